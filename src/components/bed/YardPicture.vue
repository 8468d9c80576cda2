<script setup lang="ts">
/** All beds side by side at one scale, a bucket beside them to judge by. Press one to look at it. */
import { useElementSize, useMediaQuery, useVirtualList } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { heightForVolume, shapeHeight, type Shape } from '@/core/geometry'
import type { Bed } from '@/model/garden/schemas'
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
const heightsOf = (tall: number) => Array.from({ length: 13 }, (_, i) => (tall * i) / 12)
const widestOf = (shape: Shape) =>
  Math.min(LONGEST, Math.max(...heightsOf(shapeHeight(shape)).map((z) => sectionWidth(shape, z))))
function figureOf(shape: Shape, headspace: number): Figure {
  const tall = shapeHeight(shape)
  const steps = heightsOf(tall)
  const widest = widestOf(shape)
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
/** A bucket of usual proportions that holds so much. */
const pail = computed(() => {
  const shape: Shape = { kind: 'roundPot', topDiameter: 28, baseDiameter: 21, height: 60 }
  const height = heightForVolume(shape, bucket)
  return figureOf({ ...shape, height }, height * 0.05)
})
const root = ref<HTMLElement | null>(null)
const { width } = useElementSize(root)
const GAP = 22
const LABEL = 66
interface Standing {
  bed: Bed
  wide: number
  tall: number
}
/** Beds in the rows they stand in: only their sizes are needed for that, not their drawings. */
const rows = computed(() => {
  const list: { beds: Standing[]; tall: number }[] = []
  // The bucket stands first in the first row.
  let used = pail.value.width + 60 + GAP
  for (const bed of beds) {
    const { shape } = bed.vessel
    const tall = shapeHeight(shape) * scale.value + 6 + LABEL
    const wide = Math.min(Math.max(124, widestOf(shape) * scale.value + 26), Math.max(124, width.value))
    const row = list.at(-1)
    if (row && used + wide <= width.value) row.beds.push({ bed, wide, tall })
    else if (!row) list.push({ beds: [{ bed, wide, tall }], tall: 0 })
    else {
      used = 0
      list.push({ beds: [{ bed, wide, tall }], tall: 0 })
    }
    used += wide + GAP
    const now = list.at(-1)!
    now.tall = Math.max(now.tall, tall)
  }
  if (list[0]) list[0].tall = Math.max(list[0].tall, pail.value.height + LABEL)
  return list
})
const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(rows, {
  itemHeight: (i) => (rows.value[i]?.tall ?? 0) + 18,
  overscan: 2,
})
/** Records are replaced, never written into, so what one looks like is drawn once for each scale. */
let drawn = new WeakMap<Bed, Figure>()
watch(scale, () => (drawn = new WeakMap()), { flush: 'sync' })
function drawingOf(bed: Bed): Figure {
  let found = drawn.get(bed)
  if (!found) drawn.set(bed, (found = figureOf(bed.vessel.shape, bed.vessel.headspace)))
  return found
}
watch(
  () => chosen,
  (id) => {
    const at = rows.value.findIndex((r) => r.beds.some((s) => s.bed.id === id))
    if (at > -1 && !list.value.some((r) => r.index === at)) scrollTo(at)
  },
)
</script>

<template>
  <section ref="root" aria-label="The yard">
    <div v-bind="containerProps" class="ground">
      <div v-bind="wrapperProps">
        <ul v-for="row in list" :key="row.index" class="plain yard" :style="{ height: `${row.data.tall}px` }">
          <li v-if="row.index === 0" class="pail" aria-hidden="true">
            <svg :width="pail.width" :height="pail.height">
              <polyline class="wall" :points="pail.wall" />
            </svg>
            <small>your bucket, {{ volumeText(bucket, units) }}</small>
          </li>
          <li
            v-for="{ bed, wide, tall } in row.data.beds"
            :key="bed.id"
            class="stood"
            :style="{ width: `${wide}px`, height: `${tall}px` }"
          >
            <button
              type="button"
              :class="{ on: bed.id === chosen }"
              :aria-pressed="bed.id === chosen"
              @click="emit('choose', bed.id)"
            >
              <svg :width="drawingOf(bed).width" :height="drawingOf(bed).height" aria-hidden="true">
                <polygon class="mix" :points="drawingOf(bed).mix" />
                <polyline class="wall" :points="drawingOf(bed).wall" />
              </svg>
              <span>{{ bed.vessel.count > 1 ? `${bed.vessel.count} × ` : '' }}{{ bedTitle(bed) }}</span>
            </button>
          </li>
        </ul>
      </div>
    </div>
  </section>
</template>

<style scoped>
.ground {
  /* A layer of its own: scrolling it paints nothing else again. */
  contain: layout paint;
  will-change: transform;
  background: var(--paper);
  max-height: max(340px, 62vh);
}
.yard {
  display: flex;
  align-items: flex-end;
  gap: 22px;
  margin-bottom: 18px;
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
