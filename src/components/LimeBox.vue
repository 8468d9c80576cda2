<script setup lang="ts">
/** Lime for the mix: to a pH, so many grams, or none; ground limestone and dolomite by share. */
import SelectButton from 'primevue/selectbutton'
import { computed } from 'vue'
import type { Evaluation } from '@/core/evaluate'
import type { Job, LimeSetting } from '@/model/schemas'
import type { Sentence } from '@/text/problems.en'
import { doseText, pHText, type UnitSystem } from '@/text/units'
import QuantityField from './QuantityField.vue'

const { job, evaluation, units, cropName, beside } = defineProps<{
  job: Job
  evaluation: Evaluation | null
  units: UnitSystem
  cropName: string | null
  beside: (field: string) => Sentence | null
}>()
const emit = defineEmits<{ change: [lime: Partial<LimeSetting>] }>()

const modes = [
  { value: 'toTarget', label: 'To a pH' },
  { value: 'fixed', label: 'By weight' },
  { value: 'none', label: 'None' },
]
const shares = [
  { value: 0, label: 'Limestone' },
  { value: 0.5, label: 'Half and half' },
  { value: 1, label: 'Dolomite' },
]
const dose = computed(() => evaluation?.lime.gramsPerLitre ?? 0)
</script>

<template>
  <section class="lime" aria-labelledby="lime-title">
    <div class="row">
      <h2 id="lime-title">Lime</h2>
      <strong v-if="evaluation" class="figure">{{ dose > 0.005 ? doseText(dose, units) : 'none' }}</strong>
    </div>
    <SelectButton
      :model-value="job.lime.mode"
      :options="modes"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      aria-labelledby="lime-title"
      @update:model-value="emit('change', { mode: $event })"
    />
    <QuantityField
      v-if="job.lime.mode === 'toTarget'"
      label="pH wanted in six weeks"
      quantity="number"
      :units="units"
      :problem="beside('limeTarget')"
      :model-value="job.lime.target"
      :hint="
        cropName
          ? `the middle of what ${cropName.toLowerCase()} likes, unless you change it`
          : 'most vegetables: 6.0 to 6.8'
      "
      @update:model-value="emit('change', { target: $event })"
    />
    <QuantityField
      v-else-if="job.lime.mode === 'fixed'"
      label="Lime for a litre of mix"
      quantity="dose"
      :units="units"
      :problem="beside('limeGramsPerLitre')"
      :model-value="job.lime.gramsPerLitre"
      hint="of the mix as blended"
      @update:model-value="emit('change', { gramsPerLitre: $event })"
    />
    <SelectButton
      v-if="job.lime.mode !== 'none'"
      :model-value="job.lime.dolomiteShare"
      :options="shares"
      option-label="label"
      option-value="value"
      :allow-empty="false"
      aria-label="Which lime"
      @update:model-value="emit('change', { dolomiteShare: $event })"
    />
    <p v-if="evaluation" class="soft">
      Without lime the mix is at pH {{ pHText(evaluation.blend.pH) }}.
      <template v-if="dose > 0.005">Dolomite brings magnesium and works more slowly than limestone.</template>
    </p>
  </section>
</template>

<style scoped>
.lime {
  margin-top: 16px;
  padding-top: 10px;
  border-top: 1px solid var(--rule);
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.lime .row {
  justify-content: space-between;
}
.figure {
  font-size: 1.2rem;
}
p {
  margin: 0;
  font-size: 0.92rem;
}
.lime :deep(.p-selectbutton) {
  width: fit-content;
}
</style>
