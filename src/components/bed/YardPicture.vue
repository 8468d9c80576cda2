<script setup lang="ts">
/** All beds side by side at one scale, a bucket beside them to judge by. Press one to look at it. */
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import { heightForVolume, shapeHeight, type Shape } from '@/core/geometry'
import type { Bed } from '@/model/schemas'
import { bedTitle } from '@/text/labels'
import { volumeText, type UnitSystem } from '@/text/units'
import { sectionWidth } from '../cutaway/section'

const { beds, chosen, bucket, units } = defineProps<{
  beds: readonly Bed[]
  chosen: string | null
  /** Litres to the mark of the grower's bucket. */
  bucket: number
  units: UnitSystem
}>()
const emit = defineEmits<{ choose: [bedId: string] }>()

/** px per cm: the longest drawn whole has to fit a phone. */
const narrow = useMediaQuery('(max-width: 760px)')
const scale = computed(() => (narrow.value ? 1.1 : 1.5))
/** A bed longer than this is drawn in part, cm. */
const LONGEST = 260

interface Figure {
  width: number
  height: number
  wall: string
  mix: string
}
function figureOf(shape: Shape, headspace: number): Figure {
  const tall = shapeHeight(shape)
  const steps = Array.from({ length: 13 }, (_, i) => (tall * i) / 12)
  const widest = Math.min(LONGEST, Math.max(...steps.map((z) => sectionWidth(shape, z))))
  const half = (z: number) => Math.min(LONGEST, sectionWidth(shape, z)) / 2
  const at = (side: 1 | -1, z: number) =>
    `${((widest / 2 + side * half(z)) * scale.value + 3).toFixed(1)},${((tall - z) * scale.value + 3).toFixed(1)}`
  const top = Math.max(0, tall - headspace)
  const filled = Array.from({ length: 9 }, (_, i) => (top * i) / 8)
  return {
    width: widest * scale.value + 6,
    height: tall * scale.value + 6,
    wall: [...[...steps].reverse().map((z) => at(-1, z)), ...steps.map((z) => at(1, z))].join(' '),
    mix: [...filled.map((z) => at(-1, z)), ...[...filled].reverse().map((z) => at(1, z))].join(' '),
  }
}
const figures = computed(() =>
  beds.map((bed) => ({ bed, figure: figureOf(bed.vessel.shape, bed.vessel.headspace) })),
)
/** A bucket of usual proportions that holds so much. */
const pail = computed(() => {
  const shape: Shape = { kind: 'roundPot', topDiameter: 28, baseDiameter: 21, height: 60 }
  const height = heightForVolume(shape, bucket)
  return figureOf({ ...shape, height }, height * 0.05)
})
</script>

<template>
  <ul class="plain yard">
    <li class="pail" aria-hidden="true">
      <svg :width="pail.width" :height="pail.height">
        <polyline class="wall" :points="pail.wall" />
      </svg>
      <small>your bucket, {{ volumeText(bucket, units) }}</small>
    </li>
    <li
      v-for="{ bed, figure } in figures"
      :key="bed.id"
      class="stood"
      :style="{ width: `${Math.max(124, figure.width + 20)}px`, height: `${figure.height + 66}px` }"
    >
      <button type="button" :class="{ on: bed.id === chosen }" @click="emit('choose', bed.id)">
        <svg :width="figure.width" :height="figure.height" aria-hidden="true">
          <polygon class="mix" :points="figure.mix" />
          <polyline class="wall" :points="figure.wall" />
        </svg>
        <span>{{ bed.vessel.count > 1 ? `${bed.vessel.count} × ` : '' }}{{ bedTitle(bed) }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.yard {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 18px 22px;
  padding: 16px 0;
}
/* Each has its size beforehand, so one drawn or pressed moves none of the others. */
.stood {
  max-width: 100%;
  contain: layout style;
}
.stood button {
  width: 100%;
  height: 100%;
  justify-content: flex-end;
}
.pail small {
  height: 2.8em;
}
.stood span {
  max-width: 100%;
  height: 2.6em;
  line-height: 1.3;
  overflow: hidden;
  overflow-wrap: anywhere;
}
button,
.pail {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 4px;
  padding: 8px;
  background: none;
  border: 1.5px solid transparent;
  border-radius: var(--round);
  color: var(--ink);
  font: inherit;
  font-size: 0.92rem;
  max-width: 100%;
}
button {
  cursor: pointer;
  border-bottom-color: var(--rule);
}
button:hover,
button.on {
  border-color: var(--clay);
  background: var(--sheet);
}
svg {
  max-width: 100%;
  display: block;
}
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
  stroke-linejoin: round;
}
.mix {
  fill: color-mix(in srgb, #6b5136 45%, var(--sheet));
}
</style>
