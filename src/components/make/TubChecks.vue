<script setup lang="ts">
/** Checks at the tub once a batch is mixed: the hand, the meter, and what a reading asks for. */
import { lowerFirst } from '@/text/base/counted'
import { tubChecks as words } from '@/text/components/make'
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import type { Correction, Reading } from '@/model/garden/schemas'
import { dressingName } from '@/text/shelf/dressings'
import { readingProblem, type ReadRow } from '@/text/make/making'
import { doseWeightText, type UnitSystem } from '@/text/base/units'
import QuantityField from '../field/QuantityField.vue'
import SwitchField from '../field/SwitchField.vue'

const { readings, corrections, units } = defineProps<{
  readings: readonly ReadRow[]
  corrections: readonly Correction[]
  units: UnitSystem
}>()
const emit = defineEmits<{
  read: [kind: Reading['kind'], value: number, day: number]
  forget: [id: string]
  correct: [id: string]
}>()

const KINDS = [
  { value: 'pH', label: 'pH' },
  { value: 'salts', label: 'Salts' },
] as const
const kind = ref<Reading['kind']>('pH')
const values = ref({ pH: 6, salts: 1 })
const day = ref(0)
const value = computed({
  get: () => values.value[kind.value],
  set: (v) => (values.value = { ...values.value, [kind.value]: v }),
})
const wrong = computed(() => readingProblem(kind.value, value.value))
const wrongDay = computed(() => readingProblem('day', day.value))
function keep() {
  if (!wrong.value && !wrongDay.value) emit('read', kind.value, value.value, day.value)
}
</script>

<template>
  <details class="checks no-print">
    <summary>{{ words.checkWhatIsInThe }}</summary>
    <p>
      {{ words.squeezeAHandfulItHolds }}
    </p>
    <form class="read" @submit.prevent="keep">
      <SwitchField v-model="kind" :options="KINDS" :label="words.whatWasRead" />
      <QuantityField
        :key="kind"
        v-model="value"
        :label="kind === 'pH' ? words.phRead : words.saltsReadDsM"
        quantity="number"
        :units="units"
        :problem="wrong"
        :hint="words.oneMeasureOfMixIn"
      />
      <QuantityField
        v-if="kind === 'pH'"
        v-model="day"
        :label="words.daysAfterMixing"
        quantity="number"
        :units="units"
        :problem="wrongDay"
        :hint="words.limeHasHardlyWorkedOn"
      />
      <Button
        type="submit"
        :label="words.keepTheReading"
        outlined
        :disabled="wrong !== null || wrongDay !== null"
      />
    </form>
    <ul v-if="readings.length" class="plain" aria-live="polite">
      <li v-for="r in readings" :key="r.id">
        <strong>{{ r.title }}</strong>
        <p>{{ r.text }}</p>
        <div class="row">
          <Button v-if="r.action" :label="r.action" @click="emit('correct', r.id)" />
          <Button
            :label="words.forgetIt"
            text
            size="small"
            :aria-label="words.forgetTheReading(r.title)"
            @click="emit('forget', r.id)"
          />
        </div>
      </li>
    </ul>
    <p v-for="c in corrections" :key="c.id" class="soft">
      {{ words.putInOfTurnThe(doseWeightText(c.grams, units), lowerFirst(dressingName(c.dressingId))) }}
    </p>
  </details>
</template>

<style scoped>
.checks {
  margin: 12px 0;
}
summary {
  cursor: pointer;
  min-height: 48px;
  align-content: center;
  font-weight: 600;
}
.read {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 12px;
  align-items: start;
}
li {
  border-top: 1px solid var(--rule);
  padding: 8px 0;
}
li p {
  margin: 2px 0 4px;
}
</style>
