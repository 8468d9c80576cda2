<script setup lang="ts">
/**
 * The judged bed of a job, small, in section: its layers and its mix in their tints, dashed while it is to be filled.
 */
import { computed } from 'vue'
import { materialById } from '@/core/data'
import { shapeHeight } from '@/core/geometry'
import { judgedBed } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import { between } from '@/painting/colour'
import { lookOf, MIX_TINT } from '@/painting/looks'
import { EDGE, silhouetteIn } from '../bed/yard'

const { job } = defineProps<{ job: Job }>()

/** The glyph, and what is drawn in it, px. */
const WIDE = 64
const TALL = 56
const FRAME = { width: 58, height: 46 }
const spec = computed(() => judgedBed(job).spec)
const drawn = computed(() => silhouetteIn(spec.value.vessel.shape, spec.value.vessel.headspace, FRAME))
/** The tints of its parts by their shares. */
const tint = computed(() => {
  let [sum, mixed] = [0, MIX_TINT]
  for (const { materialId, twelfths } of job.parts) {
    const material = materialById(materialId)
    sum += twelfths
    mixed = between(mixed, material ? lookOf(material).tint : MIX_TINT, twelfths / sum)
  }
  return mixed
})
const state = computed(() =>
  job.parts.length === 0 ? 'none' : job.plantedOn !== null || job.filledSteps.length > 0 ? 'in' : 'still',
)
const inside = computed(() => `M${drawn.value.mix.replaceAll(' ', 'L')}Z`)
/** Each layer from the base up, px. */
const layers = computed(() => {
  const { height } = drawn.value
  const scale = (height - 2 * EDGE) / shapeHeight(spec.value.vessel.shape)
  let under = 0
  return spec.value.layers.map(({ kind, thickness }) => {
    under += thickness
    return { kind, y: height - EDGE - under * scale, height: thickness * scale }
  })
})
</script>

<template>
  <svg class="section" :viewBox="`0 0 ${WIDE} ${TALL}`" aria-hidden="true">
    <g :transform="`translate(${(WIDE - drawn.width) / 2} ${TALL - 2 - drawn.height})`">
      <path class="mix" :class="state" :style="{ '--tint': tint }" :d="inside" />
      <g v-if="state !== 'none'" :style="{ clipPath: `path('${inside}')` }">
        <rect
          v-for="(l, i) in layers"
          :key="i"
          :class="['layer', l.kind]"
          x="0"
          :y="l.y"
          :width="drawn.width"
          :height="l.height"
        />
      </g>
      <polyline class="wall" :points="drawn.wall" />
    </g>
  </svg>
</template>

<style scoped>
.section {
  width: 64px;
  height: 56px;
  flex: none;
}
.mix {
  fill: none;
}
.mix.in {
  fill: var(--tint);
}
.mix.still {
  fill: color-mix(in srgb, var(--tint) 22%, var(--sheet));
}
.mix:not(.in) {
  stroke: var(--edge);
  stroke-width: 1.5;
  stroke-dasharray: 3 3;
}
.layer {
  fill: var(--lies-gravel);
}
.layer:is(.bark, .logs) {
  fill: var(--lies-bark);
}
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
