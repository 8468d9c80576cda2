<script setup lang="ts">
/** One of two containers of a lesson, to the scale of both: an outline until it is watered, then wet by depth. */
import { computed } from 'vue'
import { shapeHeight } from '@/core/geometry'
import type { LessonSide } from '@/model/water/lessonSides'
import { between } from '@/painting/colour'
import { MIX_TINT, WETNESS_TINTS } from '@/painting/looks'
import { bandCorners } from '../picture/bandCorners'

const {
  side,
  scale,
  moment = null,
} = defineProps<{
  side: LessonSide
  /** px per cm, the same for both. */
  scale: number
  /** The moment shown; none before the guess. */
  moment?: number | null
}>()

/** The picture, and the ground in it, px. */
const WIDE = 240
const TALL = 190
const GROUND = TALL - 18
const at = computed(() => ({ middle: WIDE / 2, scale, y: (cm: number) => GROUND - cm * scale }))
const shape = computed(() => side.container.shape)
const mixTop = computed(() => shapeHeight(shape.value) - side.container.headspace)
const corners = (from: number, to: number) => bandCorners(shape.value, { from, to }, at.value)
const shown = computed(() => (moment === null || side.moments === 0 ? null : side.at(moment)))
const wall = computed(() => {
  const [a, b, c, d] = corners(0, shapeHeight(shape.value)).split(' ')
  return [b, a, d, c].join(' ')
})
/** The saucer about its foot, and the water in it. */
const saucer = computed(() => {
  const [a, , , d] = corners(0, 1).split(' ')
  const [from, to] = [Number(a!.split(',')[0]) - 12, Number(d!.split(',')[0]) + 12]
  const deep = Math.min(16, (shown.value?.saucer ?? 0) * scale)
  return { line: `M${from} ${GROUND - 14}V${GROUND + 3}H${to}V${GROUND - 14}`, from, to, deep }
})
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} ${TALL}`" aria-hidden="true">
    <polygon v-if="side.floor > 0" class="gravel" :points="corners(0, side.floor)" />
    <polygon v-if="!shown" class="mix" :points="corners(side.floor, mixTop)" :style="{ fill: MIX_TINT }" />
    <template v-else>
      <polygon
        v-for="band in shown.bands.filter((b) => b.to > side.floor)"
        :key="band.from"
        :points="corners(Math.max(side.floor, band.from), Math.min(mixTop, band.to) + 0.05)"
        class="band"
        :style="{ '--tint': between(WETNESS_TINTS.dry, WETNESS_TINTS.wet, band.share) }"
      />
    </template>
    <template v-if="side.hasSaucer">
      <rect
        class="water"
        :x="saucer.from"
        :y="GROUND + 3 - saucer.deep"
        :width="saucer.to - saucer.from"
        :height="saucer.deep"
      />
      <path class="saucer" :d="saucer.line" />
    </template>
    <polyline class="wall" :points="wall" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 260px;
}
.band {
  fill: var(--tint);
  stroke: var(--tint);
  stroke-width: 0.7;
}
.gravel {
  fill: var(--lies-gravel);
}
.water {
  fill: var(--water);
  opacity: 0.7;
}
.wall,
.saucer {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4.5;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.saucer {
  stroke-width: 3;
}
</style>
