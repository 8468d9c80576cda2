<script setup lang="ts">
/** What the mix has to meet: each band, why, and the grower's hand on it. */
import { targetList as words } from '@/text/components/shared'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Band } from '@/core/data'
import type { Target, Targets } from '@/core/targets'
import { reasonText, TARGET_NAMES } from '@/text/bed/targets'
import type { Quantity, UnitSystem } from '@/text/base/units'
import QuantityField from './field/QuantityField.vue'
import TermHint from './frame/TermHint.vue'

const { targets, units } = defineProps<{ targets: Targets; units: UnitSystem }>()
const emit = defineEmits<{ move: [target: Target, band: Band | null] }>()

const QUANTITY: Record<Target, Quantity> = {
  airFilledPorosity: 'percent',
  easilyAvailableWater: 'percent',
  plantAvailableWater: 'percent',
  pH: 'number',
  electricalConductivity: 'number',
  drainedWeight: 'weight',
  daysBetweenWaterings: 'number',
}
/** Words of the field that not everybody knows, by what is aimed at. */
const TERM: Partial<Record<Target, string>> = {
  airFilledPorosity: 'air-filled porosity',
  easilyAvailableWater: 'easily available water',
  electricalConductivity: 'dS/m',
  daysBetweenWaterings: 'days between waterings',
}
const rows = computed(() =>
  targets.bands.map((b) => ({
    ...b,
    ...TARGET_NAMES[b.target],
    moved: b.reasons.some((r) => r.code === 'grower'),
    why: b.reasons.map((r) => reasonText(r, units)).join('; '),
    /** A band upside down holds nothing. */
    wrong: b.band.low > b.band.high ? { why: words.moreThanTheUpperEnd, fix: words.lowerItOrRaiseThe } : null,
  })),
)
</script>

<template>
  <div class="targets">
    <div v-for="row in rows" :key="row.target" class="target">
      <div class="name">
        <span
          ><strong>{{ row.label }}</strong><TermHint v-if="TERM[row.target]" :term="TERM[row.target]!"
        /></span>
        <small class="soft">{{ row.why }}</small>
        <Button
          v-if="row.moved"
          :label="words.leaveItToTheCrop"
          size="small"
          text
          @click="emit('move', row.target, null)"
        />
      </div>
      <QuantityField
        :label="words.from(row.label)"
        :quantity="QUANTITY[row.target]"
        :units="units"
        :problem="row.wrong"
        :model-value="row.band.low"
        @update:model-value="emit('move', row.target, { low: $event, high: row.band.high })"
      />
      <QuantityField
        :label="words.to(row.label)"
        :quantity="QUANTITY[row.target]"
        :units="units"
        :model-value="row.band.high"
        @update:model-value="emit('move', row.target, { low: row.band.low, high: $event })"
      />
    </div>
  </div>
</template>

<style scoped>
.target {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2px 10px;
  padding: 8px 0;
  border-bottom: 1px solid var(--rule);
}
.name {
  grid-column: 1 / -1;
  display: flex;
  flex-direction: column;
  align-items: flex-start;
}
.target :deep(label) {
  font-weight: 400;
  font-size: 0.86rem;
}
</style>
