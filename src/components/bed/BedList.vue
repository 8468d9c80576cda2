<script setup lang="ts">
/** A list of beds of any length: only the rows in sight are there. Arrows go up and down it. */
import { common } from '@/text/base/common'
import { useVirtualList } from '@vueuse/core'
import { computed, watch } from 'vue'
import type { Tables } from '@/core/data'
import type { Bed } from '@/model/garden/schemas'
import type { UnitSystem } from '@/text/base/units'
import BedRow from './BedRow.vue'

const props = defineProps<{
  beds: readonly Bed[]
  tables: Tables
  chosen: string | null
  units: UnitSystem
}>()
const emit = defineEmits<{ choose: [bedId: string] }>()

const ROW = 60
/** Rows come and go in blocks, so that most of a scroll changes nothing on the page. */
const BLOCK = 8
const blocks = computed(() =>
  Array.from({ length: Math.ceil(props.beds.length / BLOCK) }, (_, i) =>
    props.beds.slice(i * BLOCK, (i + 1) * BLOCK),
  ),
)
const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(blocks, {
  itemHeight: (i) => ROW * (blocks.value[i]?.length ?? 0),
  overscan: 2,
})
watch(
  () => props.chosen,
  (id) => {
    const at = props.beds.findIndex((b) => b.id === id)
    const block = Math.floor(at / BLOCK)
    if (at > -1 && !list.value.some((shown) => shown.index === block)) scrollTo(block)
  },
)

function step(id: string, by: number) {
  const next = props.beds[props.beds.findIndex((b) => b.id === id) + by]
  if (!next) return
  emit('choose', next.id)
  requestAnimationFrame(() => document.getElementById(`bed-${next.id}`)?.focus())
}
</script>

<template>
  <section :aria-label="common.allBeds" v-bind="containerProps" class="rows">
    <div v-bind="wrapperProps">
      <ul v-for="{ data: block, index } in list" :key="index" class="plain">
        <BedRow
          v-for="bed in block"
          :key="bed.id"
          :bed="bed"
          :tables="tables"
          :chosen="bed.id === chosen"
          :units="units"
          @choose="emit('choose', $event)"
          @step="step"
        />
      </ul>
    </div>
  </section>
</template>

<style scoped>
.rows {
  /* A layer of its own: scrolling it paints nothing else again. */
  contain: strict;
  will-change: transform;
  background: var(--paper);
  height: calc(100vh - 170px) !important;
  min-height: 300px;
}
@media (max-width: 1080px) {
  .rows {
    grid-column: 1 / -1;
    height: 260px !important;
  }
}
</style>
