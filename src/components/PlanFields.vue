<script setup lang="ts">
/** Bucket, scoop, tub, the allowance for settling, and which way to round. */
import type { Plan } from '@/model/garden/schemas'
import type { Sentence } from '@/text/problems.en'
import type { UnitSystem } from '@/text/units'
import { ROUNDING_NAMES } from '@/text/measures'
import ChoiceField from './field/ChoiceField.vue'
import QuantityField from './field/QuantityField.vue'

const { plan, units, beside, vessels } = defineProps<{
  plan: Plan
  units: UnitSystem
  beside: (field: string) => Sentence | null
  /** What it may be mixed in, with the litres of each. */
  vessels: readonly { value: number; label: string }[]
}>()
const emit = defineEmits<{ change: [plan: Partial<Plan>] }>()
</script>

<template>
  <div class="fields">
    <QuantityField
      label="Bucket"
      quantity="volume"
      :units="units"
      :problem="beside('bucket')"
      :model-value="plan.bucket"
      hint="what you measure with, to its mark"
      @update:model-value="emit('change', { bucket: $event })"
    />
    <QuantityField
      label="Scoop or jug"
      quantity="volume"
      :units="units"
      :problem="beside('scoop')"
      :model-value="plan.scoop"
      hint="for what a quarter bucket is too coarse"
      @update:model-value="emit('change', { scoop: $event })"
    />
    <QuantityField
      label="Tub, tarp or barrow"
      quantity="volume"
      :units="units"
      :problem="beside('vessel')"
      :model-value="plan.vessel"
      hint="brim-full; two thirds is used, to turn in"
      @update:model-value="emit('change', { vessel: $event })"
    />
    <ChoiceField
      label="Mixed in"
      :model-value="plan.vessel"
      :options="vessels"
      placeholder="something else"
      hint="or a bag at a time"
      @update:model-value="$event && emit('change', { vessel: $event })"
    />
    <QuantityField
      label="Allowance for settling"
      quantity="percent"
      :units="units"
      :problem="beside('settling')"
      :model-value="plan.settling"
      hint="5 to 10 % goes when it is watered in"
      @update:model-value="emit('change', { settling: $event })"
    />
    <ChoiceField
      label="Whole measures give"
      :model-value="plan.rounding"
      :options="ROUNDING_NAMES"
      @update:model-value="$event && emit('change', { rounding: $event })"
    />
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 14px;
}
@media (max-width: 600px) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
