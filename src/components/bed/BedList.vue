<script setup lang="ts">
/** A list of beds of any length: only the rows in sight are there. Arrows go up and down it. */
import { useVirtualList } from '@vueuse/core'
import { toRef, watch } from 'vue'
import { planOfFill } from '@/model/reckoning'
import type { Bed } from '@/model/schemas'
import { bedTitle, VESSEL_NAMES } from '@/text/labels'
import { volumeText, type UnitSystem } from '@/text/units'
import VesselGlyph from '../VesselGlyph.vue'

const props = defineProps<{ beds: readonly Bed[]; chosen: string | null; units: UnitSystem }>()
const emit = defineEmits<{ choose: [bedId: string] }>()

const ROW = 60
const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(
  toRef(() => props.beds as Bed[]),
  { itemHeight: ROW, overscan: 8 },
)
watch(
  () => props.chosen,
  (id) => {
    const at = props.beds.findIndex((b) => b.id === id)
    if (at > -1 && !list.value.some((row) => row.data.id === id)) scrollTo(at)
  },
)

/** Records are replaced, never written into, so what one holds is reckoned once. Litres; null when it cannot be. */
const held = new WeakMap<Bed, number | null>()
function litresText(bed: Bed) {
  let litres = held.get(bed)
  if (litres === undefined) {
    const one = planOfFill({ spec: bed, sunkBy: null })
    litres = one.ok ? one.value.net : null
    held.set(bed, litres)
  }
  return litres === null
    ? 'look at it'
    : `${volumeText(litres, props.units)}${bed.vessel.count > 1 ? ' each' : ''}`
}
function onKey(event: KeyboardEvent, id: string) {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  if (by === 0) return
  event.preventDefault()
  const at = props.beds.findIndex((b) => b.id === id) + by
  const next = props.beds[at]
  if (!next) return
  emit('choose', next.id)
  requestAnimationFrame(() => document.getElementById(`bed-${next.id}`)?.focus())
}
</script>

<template>
  <section aria-label="All beds" v-bind="containerProps" class="rows">
    <ul class="plain" v-bind="wrapperProps">
      <li
        v-for="{ data: bed } in list"
        :key="bed.id"
        v-memo="[bed, bed.id === chosen, units]"
        :style="{ height: `${ROW}px` }"
      >
        <button
          :id="`bed-${bed.id}`"
          type="button"
          :class="{ on: bed.id === chosen }"
          :aria-pressed="bed.id === chosen"
          @click="emit('choose', bed.id)"
          @keydown="onKey($event, bed.id)"
        >
          <VesselGlyph :kind="bed.vessel.kind" />
          <span class="words">
            <strong>{{ bed.vessel.count > 1 ? `${bed.vessel.count} × ` : '' }}{{ bedTitle(bed) }}</strong>
            <small>{{ VESSEL_NAMES[bed.vessel.kind].one }}</small>
          </span>
          <span class="num">{{ litresText(bed) }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.rows {
  height: calc(100vh - 170px) !important;
  min-height: 300px;
}
.rows button {
  display: flex;
  align-items: center;
  gap: 10px;
  width: 100%;
  height: 56px;
  padding: 4px 10px;
  background: none;
  border: 1px solid transparent;
  border-bottom-color: var(--rule);
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.rows button:hover,
.rows button.on {
  background: var(--sheet);
  border-color: var(--clay);
  border-radius: var(--round);
}
.rows :deep(.vessel) {
  width: 40px;
  height: 35px;
}
.words {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
.words > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.num {
  white-space: nowrap;
}
@media (max-width: 1080px) {
  .rows {
    grid-column: 1 / -1;
    height: 260px !important;
  }
}
</style>
