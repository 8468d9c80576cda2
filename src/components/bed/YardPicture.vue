<script setup lang="ts">
/** All beds side by side at one scale, a bucket beside them to judge by. Press one to look at it. */
import { useOnPhone } from '@/composables/page/useOnPhone'
import { yardPicture as words } from '@/text/components/bed'
import { useElementSize, useVirtualList } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Bed } from '@/model/garden/schemas'
import { bedTitle } from '@/text/base/titles'
import { volumeText, type UnitSystem } from '@/text/base/units'
import { bucketSilhouette, silhouetteOf, yardRows, type Silhouette } from './yard'

const {
  beds,
  chosen,
  bucket,
  units,
  captions = null,
} = defineProps<{
  beds: readonly Bed[]
  chosen: string | null
  /** Litres to the mark of the grower's bucket. */
  bucket: number
  units: UnitSystem
  /** What is below each, by its id; its count and name where none is given. */
  captions?: ReadonlyMap<string, string> | null
}>()
const emit = defineEmits<{ choose: [bedId: string] }>()

/** px per cm: the longest drawn whole has to fit a phone. */
const narrow = useOnPhone()
const scale = computed(() => (narrow.value ? 1.1 : 1.5))
const pail = computed(() => bucketSilhouette(bucket, scale.value))
const root = ref<HTMLElement | null>(null)
const { width } = useElementSize(root)
/** A line of words, px: beds with a caption have one more below them. */
const LINE = 18
const rows = computed(() => {
  const more = captions ? LINE : 0
  return yardRows(beds, width.value, scale.value, pail.value).map((row) => ({
    tall: row.tall + more,
    beds: row.beds.map((b) => ({ ...b, tall: b.tall + more })),
  }))
})
const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(rows, {
  itemHeight: (i) => (rows.value[i]?.tall ?? 0) + 18,
  overscan: 2,
})
/** Records are replaced, never written into, so what one looks like is drawn once for each scale. */
let drawn = new WeakMap<Bed, Silhouette>()
watch(scale, () => (drawn = new WeakMap()), { flush: 'sync' })
function drawingOf(bed: Bed): Silhouette {
  let found = drawn.get(bed)
  if (!found) drawn.set(bed, (found = silhouetteOf(bed.vessel.shape, bed.vessel.headspace, scale.value)))
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
  <section ref="root" :aria-label="words.theYard">
    <div v-bind="containerProps" class="ground">
      <div v-bind="wrapperProps">
        <ul v-for="row in list" :key="row.index" class="plain yard" :style="{ height: `${row.data.tall}px` }">
          <li v-if="row.index === 0" class="pail" aria-hidden="true">
            <svg :width="pail.width" :height="pail.height">
              <polyline class="wall" :points="pail.wall" />
            </svg>
            <small>{{ words.yourBucket(volumeText(bucket, units)) }}</small>
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
              <span :class="{ captioned: captions }">
                <strong v-if="captions">{{ captions.get(bed.id) }}<br /></strong>
                {{ bed.vessel.count > 1 ? `${bed.vessel.count} × ` : '' }}{{ bedTitle(bed) }}
              </span>
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
.stood .captioned {
  height: 3.9em;
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
