<script setup lang="ts">
/** One dressing: how much, where it goes, how much of the mix gets it. */
import { common } from '@/text/base/common'
import { dressingRow as words } from '@/text/components/bench'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Dressing } from '@/core/data'
import type { AmountSetting } from '@/model/amounts/amount'
import type { DressingLine, DressingPlace } from '@/model/garden/schemas'
import {
  dayProblem,
  depthProblem,
  DOSE_PLACES,
  doseProblem,
  forWhom,
  ofWhom,
  overdoseText,
  usualDoseText,
  whomChoices,
} from '@/text/mix/doses'
import { dressingName } from '@/text/shelf/dressings'
import type { UnitSystem } from '@/text/base/units'
import AmountField from '../field/AmountField.vue'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const { line, dressing, units, setting, beds } = defineProps<{
  line: DressingLine
  /** Undefined where it is in no table any more. */
  dressing: Dressing | undefined
  units: UnitSystem
  /** What its amount is counted in. */
  setting: AmountSetting
  /** The beds of the job, to give it to some of them only. */
  beds: readonly { id: string; name: string }[]
}>()
const emit = defineEmits<{ set: [line: DressingLine]; remove: [] }>()

const name = computed(() => dressingName(line.dressingId))
const set = (change: Partial<DressingLine>) => emit('set', { ...line, ...change })
function setPlace(kind: DressingPlace['kind'] | null) {
  if (kind === 'top') set({ place: { kind, depth: 8 }, share: 1 })
  else if (kind === 'heldBack') set({ place: { kind, from: 21 }, share: 1 })
  else if (kind === 'hole') set({ place: { kind }, share: 1 })
  else set({ place: { kind: 'throughout' } })
}
const ids = computed(() => beds.map((b) => b.id))
const whom = computed(() => whomChoices(line, beds))
const over = computed(() => overdoseText(dressing, line.gramsPerLitre, units))
const doseHint = computed(() => over.value || usualDoseText(dressing, units))
const hazard = computed(() => (dressing?.hazard === 'low' ? '' : (dressing?.hazard ?? '')))
</script>

<template>
  <div class="line" role="group" :aria-label="name">
    <div class="row top">
      <strong>{{ name }}</strong>
      <Button
        icon="pi pi-times"
        text
        size="small"
        :aria-label="`Leave out ${name}`"
        @click="emit('remove')"
      />
    </div>
    <AmountField
      :label="words.amount"
      :name="`Amount of ${name}`"
      :dose="line.gramsPerLitre"
      :said="line.measure ?? null"
      :setting="setting"
      :problem="doseProblem(line.gramsPerLitre)"
      :hint="doseHint"
      @set="(gramsPerLitre, measure) => set({ gramsPerLitre, measure })"
    />
    <div class="pair">
      <ChoiceField
        :label="words.goes"
        :name="words.whereGoes(name)"
        :model-value="line.place.kind"
        :options="DOSE_PLACES"
        @update:model-value="setPlace"
      />
      <QuantityField
        v-if="line.place.kind === 'top'"
        :label="words.top"
        quantity="length"
        :units="units"
        :model-value="line.place.depth"
        :problem="depthProblem(line.place.depth)"
        @update:model-value="set({ place: { kind: 'top', depth: $event } })"
      />
      <QuantityField
        v-if="line.place.kind === 'heldBack'"
        :label="words.daysAfterPlanting"
        quantity="number"
        :units="units"
        :model-value="line.place.from"
        :problem="dayProblem(line.place.from)"
        @update:model-value="set({ place: { kind: 'heldBack', from: $event } })"
      />
      <ChoiceField
        v-if="whom.length > 1"
        :label="common.for"
        :name="words.howMuchOfTheMix(name)"
        :model-value="forWhom(line, ids)"
        :options="whom"
        :placeholder="words.someOfTheBeds"
        @update:model-value="$event && set(ofWhom($event, ids))"
      />
    </div>
    <p v-if="hazard" class="care">{{ words.handleWithCare(hazard) }}</p>
  </div>
</template>

<style scoped>
.line {
  padding: 4px 0 10px;
  border-bottom: 1px solid var(--rule);
  margin-bottom: 8px;
}
.pair {
  margin-top: 8px;
}
.top {
  justify-content: space-between;
}
p {
  margin: 2px 0 0;
  font-size: 0.9rem;
}
.care {
  border-left: 4px solid var(--straw);
  padding-left: 8px;
}
</style>
