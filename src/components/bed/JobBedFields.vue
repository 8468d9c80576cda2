<script setup lang="ts">
/** What a job asks of one of its beds: how many of it, and whether old mix stays in it. */
import Button from 'primevue/button'
import type { JobBed } from '@/model/garden/schemas'
import { bedTitle } from '@/text/labels'
import type { Sentence } from '@/text/problems.en'
import type { UnitSystem } from '@/text/units'
import CheckField from '../field/CheckField.vue'
import QuantityField from '../field/QuantityField.vue'

const { bed, units, countProblem, beside } = defineProps<{
  bed: JobBed
  units: UnitSystem
  countProblem: Sentence | null
  beside: (field: string) => Sentence | null
}>()
const emit = defineEmits<{ change: [change: Partial<Pick<JobBed, 'count' | 'sunkBy'>>]; keep: [] }>()

/** How far old mix usually has sunk, cm. */
const USUAL_SINKING = 5
</script>

<template>
  <div class="this">
    <h3>{{ bedTitle(bed.spec) }} in this job</h3>
    <div class="pair">
      <QuantityField
        label="How many"
        quantity="number"
        :units="units"
        :problem="countProblem"
        :model-value="bed.count"
        :hint="bed.spec.vessel.count > 1 ? `of the ${bed.spec.vessel.count} there are` : 'all alike'"
        @update:model-value="emit('change', { count: $event })"
      />
      <CheckField
        class="beside-field"
        label="Old mix stays in it: top up"
        :model-value="bed.sunkBy !== null"
        @update:model-value="emit('change', { sunkBy: $event ? USUAL_SINKING : null })"
      />
      <QuantityField
        v-if="bed.sunkBy !== null"
        label="It has sunk by"
        quantity="length"
        :units="units"
        :problem="beside('sunkBy')"
        :model-value="bed.sunkBy"
        hint="below the fill line"
        @update:model-value="emit('change', { sunkBy: $event })"
      />
    </div>
    <p v-if="bed.bedId === null" class="said">
      It stands in this job alone.
      <Button label="Put it among the beds" size="small" text @click="emit('keep')" />
    </p>
  </div>
</template>

<style scoped>
.this {
  margin: 14px 0;
  padding: 8px 0;
  border-block: 1px solid var(--rule);
}
h3 {
  margin-bottom: 8px;
}
</style>
