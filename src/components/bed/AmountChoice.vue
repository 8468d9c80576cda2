<script setup lang="ts">
/** How much mix is made: what the containers take, so many litres, or what a pack gives. */
import { amountChoice as words } from '@/text/components/bed'
import { computed } from 'vue'
import type { Sentence } from '@/text/base/problems.en'
import { volumeText, type UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import SwitchField from '../field/SwitchField.vue'

const { amount, fills, round, offers, units, problem } = defineProps<{
  /** Litres to make; null to fill the containers. */
  amount: number | null
  /** What the containers take, litres. */
  fills: number
  /** Mix of one bucket to each part of the recipe, litres; null where there is no recipe. */
  round: number | null
  /** What would be used up by making so much. */
  offers: readonly { label: string; litres: number }[]
  units: UnitSystem
  problem: Sentence | null
}>()
const emit = defineEmits<{ set: [litres: number | null] }>()

const WAYS = [
  { value: 'fill', label: words.fillThese },
  { value: 'amount', label: words.aSetAmount },
] as const
const way = computed({
  get: () => (amount === null ? 'fill' : 'amount'),
  set: (value) => emit('set', value === 'fill' ? null : Math.max(1, Math.round(fills))),
})
const options = computed(() => offers.map((o, i) => ({ value: i, label: o.label })))
</script>

<template>
  <div class="choice">
    <SwitchField v-model="way" :options="WAYS" :label="words.whatIsMade" />
    <template v-if="amount !== null">
      <QuantityField
        :label="words.mixToMakeLoose"
        quantity="volume"
        :units="units"
        :model-value="amount"
        :problem="problem"
        @update:model-value="emit('set', $event)"
      />
      <QuantityField
        v-if="round !== null"
        :label="words.bucketsToEachPart"
        quantity="number"
        :units="units"
        :model-value="amount / round"
        :hint="words.makes(volumeText(amount, units))"
        @update:model-value="$event > 0 && emit('set', $event * round)"
      />
      <ChoiceField
        v-if="options.length"
        :label="words.orUseUp"
        :model-value="null"
        :options="options"
        :placeholder="words.aPackOrWhatIs"
        @update:model-value="$event !== null && emit('set', offers[$event]!.litres)"
      />
    </template>
  </div>
</template>

<style scoped>
.choice {
  display: flex;
  flex-direction: column;
  gap: 10px;
  margin: 6px 0 10px;
}
</style>
