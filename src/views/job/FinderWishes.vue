<script setup lang="ts">
/** What the mix may be made of, what it may cost, and how often it may want water. */
import Checkbox from 'primevue/checkbox'
import { computed } from 'vue'
import CheckField from '@/components/field/CheckField.vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import ManyChoiceField from '@/components/field/ManyChoiceField.vue'
import SwitchField from '@/components/field/SwitchField.vue'
import QuantityField from '@/components/field/QuantityField.vue'
import type { FinderWishing } from '@/composables/find/useFinderWishes'
import type { Without } from '@/core/finder'
import { useGarden } from '@/stores/garden'
import { WITHOUT_NAMES } from '@/text/finder'
import { volumeText } from '@/text/units'

const { wishing } = defineProps<{ wishing: FinderWishing }>()
const garden = useGarden()
const { wish, ids, materials, inStock, tooMuch, canAskWater, budget, units } = wishing

const SOURCES = [
  { value: 'shelf' as const, label: 'My shelf' },
  { value: 'all' as const, label: 'Every material' },
]
const lists = computed(
  () =>
    [
      ['mustUse', 'Has to be in it', materials.value],
      ['mustNotUse', 'Must not be in it', materials.value],
      ['useUp', 'Use up what is left of', inStock.value],
    ] as const,
)
const withouts = (Object.keys(WITHOUT_NAMES) as Without[]).map((value) => ({
  value,
  label: WITHOUT_NAMES[value],
}))
const leasts = [1, 2, 3].map((value) => ({ value, label: String(value) }))
const mostParts = [6, 8, 10, 12, 16].map((value) => ({ value, label: String(value) }))
const counts = [2, 3, 4, 5].map((value) => ({ value, label: String(value) }))
</script>

<template>
  <div class="wishes">
    <SwitchField v-model="wish.source" :options="SOURCES" label="Materials to choose from" />
    <p v-if="ids.length < 3" class="note">
      {{ ids.length === 0 ? 'Nothing' : `Only ${ids.length}` }} on your shelf has a price or a stock. Put more
      there, or choose from every material.
    </p>
    <fieldset>
      <legend>Without</legend>
      <label v-for="w in withouts" :key="w.value" :for="`without-${w.value}`" class="check">
        <Checkbox v-model="wish.without" :input-id="`without-${w.value}`" :value="w.value" />
        {{ w.label }}
      </label>
    </fieldset>
    <ChoiceField
      label="Kinds of material at least"
      :model-value="wish.minFamilies"
      :options="leasts"
      @update:model-value="$event && (wish.minFamilies = $event)"
    />
    <ChoiceField
      label="Materials at most"
      :model-value="wish.maxMaterials"
      :options="counts"
      @update:model-value="$event && (wish.maxMaterials = $event)"
    />
    <ChoiceField
      label="Parts in all at most"
      :model-value="wish.maxParts"
      :options="mostParts"
      help="fewer are sooner measured; more come nearer to the bands"
      @update:model-value="$event && (wish.maxParts = $event)"
    />
    <ManyChoiceField
      v-for="[field, label, list] in lists"
      v-show="list.length"
      :key="field"
      v-model="wish[field]"
      :label="label"
      :options="list"
      placeholder="nothing named"
      search="Search materials"
      none="No material of that name"
    >
      <p v-if="field === 'useUp' && tooMuch" class="said wrong" role="status">
        {{ volumeText(tooMuch.left, units) }} are left of these and the job takes
        {{ volumeText(tooMuch.takes, units) }} of mix: they cannot all go in. Name fewer, or ask for them
        under “Has to be in it”.
      </p>
    </ManyChoiceField>
    <CheckField
      :label="`${units === 'us' ? 'A gallon' : 'A litre'} may cost so much`"
      :model-value="wish.budget !== null"
      @update:model-value="wish.budget = $event ? 0.2 : null"
    />
    <QuantityField
      v-if="wish.budget !== null"
      v-model="budget"
      :label="units === 'us' ? 'Most for a gallon' : 'Most for a litre'"
      quantity="number"
      :units="units"
      :problem="wish.budget >= 0 ? null : { why: 'Below nothing.', fix: 'Type 0 or more.' }"
      hint="in the money of your shelf; what has no price is left out"
    />
    <CheckField
      v-if="canAskWater"
      label="Water no oftener than"
      :model-value="wish.everyDays !== null"
      @update:model-value="wish.everyDays = $event ? 2 : null"
    />
    <QuantityField
      v-if="canAskWater && wish.everyDays !== null"
      v-model="wish.everyDays"
      label="Days between waterings"
      quantity="number"
      :units="units"
      :problem="wish.everyDays > 0 ? null : { why: 'No days at all.', fix: 'Type more than 0.' }"
      hint="in the thirstiest month, full grown"
    />
    <p v-if="ids.length === 0" class="soft">
      Nothing on your shelf has a price or is in stock yet: look among every material, or
      <RouterLink :to="{ name: 'shelf', params: { garden: garden.name } }">fill the shelf</RouterLink>.
    </p>
  </div>
</template>

<style scoped>
.wishes {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-direction: column;
}
legend {
  font-weight: 600;
  font-size: 0.95rem;
  padding: 0;
}
.check {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 40px;
}
.note {
  border-left: 4px solid var(--straw);
  padding-left: 10px;
  margin: 0;
}
</style>
