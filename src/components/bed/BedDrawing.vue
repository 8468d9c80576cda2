<script setup lang="ts">
/**
 * A bed in section, to scale, with its dimensions. The fill line, side holes and layers can be moved on the drawing.
 */
import { bedDrawing as words } from '@/text/components/bed'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { containerOf } from '@/model/garden/garden'
import type { BedSpec } from '@/model/garden/schemas'
import type { UnitSystem } from '@/text/base/units'
import { layoutSection, tornEdge, wallLine, type Frame } from '@/painting/section'
import { bandPoints, handlesOf, levelsOf, type Handle } from './bedSection'
import SectionDimensions from './SectionDimensions.vue'
import SectionHandle from './SectionHandle.vue'

const {
  spec,
  units,
  sunkBy = null,
} = defineProps<{
  spec: BedSpec
  units: UnitSystem
  /** Old mix has sunk so far below the fill line, cm. */
  sunkBy?: number | null
}>()
const emit = defineEmits<{ change: [change: Partial<BedSpec>]; sink: [cm: number] }>()

const host = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(host)
const frame = computed<Frame>(() => ({
  width: width.value,
  height: height.value,
  left: width.value < 480 ? 44 : 64,
  right: width.value < 480 ? 64 : 96,
  top: 40,
  bottom: 64,
}))
const layout = computed(() =>
  width.value > 80 && height.value > 80 ? layoutSection(containerOf(spec.vessel), frame.value) : null,
)
const levels = computed(() => levelsOf(spec, sunkBy))
const base = computed(() => spec.vessel.base.kind)
const handles = computed(() => handlesOf(spec, levels.value, sunkBy, units))
/** A quarter inch or half a centimetre: what a tape shows. */
const step = computed(() => (units === 'us' ? 2.54 / 4 : 0.5))

/** What fills it, from the back to the front. */
const bands = computed(() => {
  const l = layout.value
  if (!l) return []
  const { total, floor, fillLine, oldTop, layers, sideHoles } = levels.value
  const cover = Math.min(total, fillLine + Math.max(0, spec.cover?.thickness ?? 0))
  return [
    { class: 'mix', from: floor, to: fillLine },
    { class: 'layer cover', from: fillLine, to: cover },
    { class: 'old', from: floor, to: oldTop ?? floor },
    ...layers.map(({ kind, from, to }) => ({ class: `layer ${kind}`, from, to })),
    { class: 'wet', from: 0, to: Math.min(sideHoles ?? 0, fillLine) },
  ]
    .filter((b) => b.to > b.from || b.class === 'layer cloth')
    .map((b) => ({ class: b.class, points: bandPoints(l, b.from, b.to) }))
})
/** A torn edge where a long bed goes on beyond the picture. */
const tear = computed(() => layout.value && tornEdge(layout.value, levels.value.total))

const toHeight = (clientY: number) => {
  const l = layout.value!
  return (l.y(0) - (clientY - host.value!.getBoundingClientRect().top)) / l.scale
}
function move(handle: Handle, to: number) {
  const moved = handle.moved(to)
  if ('change' in moved) emit('change', moved.change)
  else emit('sink', moved.sunkBy)
}
</script>

<template>
  <figure class="drawing" :aria-label="words.theBedInSection">
    <div ref="host" class="stage">
      <svg v-if="layout" :width="width" :height="height" role="group" :aria-label="words.sectionToScale">
        <line
          v-if="base === 'onSoil' || base === 'onPaving'"
          class="ground"
          :x1="layout.left(0) - 40"
          :x2="layout.right(0) + 40"
          :y1="layout.y(0)"
          :y2="layout.y(0)"
        />
        <polygon v-for="(b, i) in bands" :key="i" :class="b.class" :points="b.points" />
        <polyline class="section-wall" :points="wallLine(layout, levels.total)" />
        <polyline v-if="tear" class="section-tear" :points="tear" />
        <template v-if="base === 'drainHoles' && spec.wall !== 'fabric'">
          <circle
            v-for="t in [0.25, 0.5, 0.75]"
            :key="t"
            class="hole"
            r="5"
            :cx="layout.left(0) + (layout.right(0) - layout.left(0)) * t"
            :cy="layout.y(0)"
          />
        </template>
        <SectionDimensions :spec="spec" :levels="levels" :layout="layout" :units="units" />
        <SectionHandle
          v-for="h in handles"
          :key="h.id"
          :label="h.label"
          :value="h.value"
          :low="h.low"
          :high="h.high"
          :value-text="h.valueText"
          :x1="layout.left(h.value)"
          :x2="layout.right(h.value)"
          :y="layout.y(h.value)"
          :to-height="toHeight"
          :step="step"
          @move="move(h, $event)"
        />
      </svg>
    </div>
    <figcaption>{{ words.dragALineByIts }}</figcaption>
  </figure>
</template>

<style scoped>
.drawing {
  margin: 0;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.stage {
  position: relative;
  flex: 1;
  min-height: 280px;
}
svg {
  position: absolute;
  inset: 0;
  overflow: visible;
}
figcaption {
  text-align: center;
  font-size: 0.9rem;
  color: var(--ink-soft);
}
.mix {
  fill: var(--lies-mix);
}
.old {
  fill: var(--lies-old);
}
.layer {
  stroke: var(--ink-soft);
  stroke-dasharray: 2 3;
}
.gravel {
  fill: var(--lies-gravel);
}
.bark,
.cover,
.logs {
  fill: var(--lies-bark);
}
.material {
  fill: var(--lies-material);
}
.cloth {
  stroke-width: 4;
}
.wet {
  fill: var(--water);
  opacity: 0.55;
}
.hole {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.ground {
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
