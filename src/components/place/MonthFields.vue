<script setup lang="ts">
/** The climate month by month: nights, days and rain. */
import type { Place } from '@/model/garden/schemas'
import { MONTHS } from '@/text/base/months'
import type { Sentence } from '@/text/base/problems.en'
import type { Quantity, UnitSystem } from '@/text/base/units'
import QuantityField from '../field/QuantityField.vue'

type Month = Place['months'][number]
type Column = 'tmin' | 'tmax' | 'rain'
const { months, units, beside } = defineProps<{
  months: readonly Month[]
  units: UnitSystem
  beside: (month: number, column: Column) => Sentence | null
}>()
const emit = defineEmits<{ set: [month: number, change: Partial<Month>] }>()
const FIELDS: { key: keyof Month; column: Column; label: string; quantity: Quantity }[] = [
  { key: 'tMin', column: 'tmin', label: 'nights', quantity: 'temperature' },
  { key: 'tMax', column: 'tmax', label: 'days', quantity: 'temperature' },
  { key: 'rain', column: 'rain', label: 'rain', quantity: 'rain' },
]
</script>

<template>
  <div class="months">
    <div v-for="(m, i) in months" :key="i" class="month">
      <QuantityField
        v-for="f in FIELDS"
        :key="f.key"
        :label="`${MONTHS[i]}, ${f.label}`"
        :quantity="f.quantity"
        :units="units"
        :problem="beside(i, f.column)"
        :model-value="m[f.key]"
        @update:model-value="emit('set', i, { [f.key]: $event })"
      />
    </div>
  </div>
</template>

<style scoped>
.months {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(320px, 100%), 1fr));
  gap: 12px 24px;
}
.month {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 8px;
}
.month :deep(label) {
  font-weight: 400;
  font-size: 0.88rem;
}
</style>
