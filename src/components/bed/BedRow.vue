<script setup lang="ts">
/** One bed in the list: what it is and what it holds. Arrows ask for the next. */
import { bedRow as words } from '@/text/components/bed'
import type { Tables } from '@/core/data'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import type { Bed } from '@/model/garden/schemas'
import { computed, toRaw } from 'vue'
import { bedTitle } from '@/text/base/titles'
import { VESSEL_NAMES } from '@/text/bed/vessels'
import { volumeText, type UnitSystem } from '@/text/base/units'
import VesselGlyph from '../VesselGlyph.vue'

const { bed, tables, chosen, units } = defineProps<{
  bed: Bed
  tables: Tables
  chosen: boolean
  units: UnitSystem
}>()
const emit = defineEmits<{ choose: [bedId: string]; step: [bedId: string, by: 1 | -1] }>()

const litresText = computed(() => {
  const one = mixNeededFor({ spec: toRaw(bed), sunkBy: null }, tables)
  return one.ok ? `${volumeText(one.value.net, units)}${bed.vessel.count > 1 ? ' each' : ''}` : words.lookAtIt
})
function onKey(event: KeyboardEvent) {
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return
  event.preventDefault()
  emit('step', bed.id, event.key === 'ArrowDown' ? 1 : -1)
}
</script>

<template>
  <li>
    <button
      :id="`bed-${bed.id}`"
      type="button"
      :class="{ on: chosen }"
      :aria-pressed="chosen"
      @click="emit('choose', bed.id)"
      @keydown="onKey"
    >
      <VesselGlyph :kind="bed.vessel.kind" />
      <span class="words">
        <strong>{{ bed.vessel.count > 1 ? `${bed.vessel.count} × ` : '' }}{{ bedTitle(bed) }}</strong>
        <small>{{ VESSEL_NAMES[bed.vessel.kind].one }}</small>
      </span>
      <span class="num">{{ litresText }}</span>
    </button>
  </li>
</template>

<style scoped>
li {
  height: 60px;
}
button {
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
button:hover,
button.on {
  background: var(--sheet);
  border-color: var(--clay);
  border-radius: var(--round);
}
button :deep(.vessel) {
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
</style>
