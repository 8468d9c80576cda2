<script setup lang="ts">
/** What is read in one repeat of a test. Nothing typed is nothing read. */
import { repeatFields as words } from '@/text/components/tests'
import { computed } from 'vue'
import { FIZZ_GRADES, TEST_FIELDS, type FieldTest, type Repeat, type TestProblem } from '@/core/fieldTests'
import { LAB_METHODS, SOIL_METHODS } from '@/core/laboratory'
import {
  FIZZ_NAMES,
  LAB_METHOD_NAMES,
  quantityOfField,
  TEST_FIELD_NAMES,
  testProblemText,
} from '@/text/tests/fieldTests'
import { SOIL_METHOD_NAMES } from '@/text/tests/soilReport'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const {
  test,
  units,
  problem = null,
} = defineProps<{
  test: FieldTest
  units: UnitSystem
  /** What is wrong in this repeat. */
  problem?: TestProblem | null
}>()
const repeat = defineModel<Repeat>({ required: true })

const GRADES = FIZZ_GRADES.map((_, i) => ({ value: i, label: FIZZ_NAMES[i]! }))
const SOILS = SOIL_METHODS.map((method, i) => ({ value: i, label: SOIL_METHOD_NAMES[method] }))
const METHODS = LAB_METHODS.map((method, i) => ({ value: i, label: LAB_METHOD_NAMES[method] }))
/** Of a report most figures may be missing. */
const isByWeight = computed(() => test === 'metals' || test === 'soilReport')
const isReport = computed(() => test === 'laboratory' || isByWeight.value)
const besides = (name: string) =>
  problem?.field === name && problem.code !== 'field-missing' ? testProblemText(problem) : null
function set(name: string, value: number | null) {
  const rest = Object.fromEntries(Object.entries(repeat.value).filter(([n]) => n !== name))
  repeat.value = value === null || Number.isNaN(value) ? rest : { ...rest, [name]: value }
}
</script>

<template>
  <p v-if="isReport" class="soft">{{ words.report(isByWeight) }}</p>
  <div class="fields">
    <template v-for="field in TEST_FIELDS[test]" :key="field.name">
      <ChoiceField
        v-if="field.unit === 'grade'"
        :label="TEST_FIELD_NAMES[field.name]!"
        :options="GRADES"
        :model-value="repeat[field.name] ?? null"
        @update:model-value="set(field.name, $event)"
      />
      <ChoiceField
        v-else-if="field.unit === 'method' || field.unit === 'soilMethod'"
        :label="TEST_FIELD_NAMES[field.name]!"
        :options="field.unit === 'method' ? METHODS : SOILS"
        :model-value="repeat[field.name] ?? 0"
        @update:model-value="set(field.name, $event)"
      />
      <QuantityField
        v-else
        :label="TEST_FIELD_NAMES[field.name]!"
        :quantity="quantityOfField(field)"
        :units="units"
        :model-value="repeat[field.name] ?? NaN"
        optional
        :hint="field.optional && !isReport ? words.ifYouReadIt : ''"
        :problem="besides(field.name)"
        @update:model-value="set(field.name, $event)"
      />
    </template>
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
  gap: 12px;
  align-items: start;
}
</style>
