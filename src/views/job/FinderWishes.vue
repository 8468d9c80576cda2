<script setup lang="ts">
/** What the mix may be made of, what it may cost, and how often it may want water. */
import { BELOW_NOTHING } from '@/text/base/belowNothing'
import { common } from '@/text/base/common'
import { finderWishes as words } from '@/text/views/finderWishes'
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
import { WITHOUT_NAMES } from '@/text/mix/finder'
import { volumeText } from '@/text/base/units'

const { wishing } = defineProps<{ wishing: FinderWishing }>()
const garden = useGarden()
const { wish, ids, materials, inStock, tooMuch, canAskWater, budget, units } = wishing

const SOURCES = [
  { value: 'shelf' as const, label: words.myShelf },
  { value: 'all' as const, label: words.everyMaterial },
]
const lists = computed(
  () =>
    [
      ['mustUse', words.hasToBeInIt, materials.value],
      ['mustNotUse', words.mustNotBeInIt, materials.value],
      ['useUp', words.useUpWhatIsLeft, inStock.value],
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
    <SwitchField v-model="wish.source" :options="SOURCES" :label="words.materialsToChooseFrom" />
    <p v-if="ids.length < 3" class="note">
      {{ words.fewOnTheShelf(ids.length) }}
    </p>
    <fieldset>
      <legend>{{ words.without }}</legend>
      <label v-for="w in withouts" :key="w.value" :for="`without-${w.value}`" class="check">
        <Checkbox v-model="wish.without" :input-id="`without-${w.value}`" :value="w.value" />
        {{ w.label }}
      </label>
    </fieldset>
    <ChoiceField
      :label="words.kindsOfMaterialAtLeast"
      :model-value="wish.minFamilies"
      :options="leasts"
      @update:model-value="$event && (wish.minFamilies = $event)"
    />
    <ChoiceField
      :label="words.materialsAtMost"
      :model-value="wish.maxMaterials"
      :options="counts"
      @update:model-value="$event && (wish.maxMaterials = $event)"
    />
    <ChoiceField
      :label="words.partsInAllAtMost"
      :model-value="wish.maxParts"
      :options="mostParts"
      :help="words.fewerAreSoonerMeasuredMore"
      @update:model-value="$event && (wish.maxParts = $event)"
    />
    <ManyChoiceField
      v-for="[field, label, list] in lists"
      v-show="list.length"
      :key="field"
      v-model="wish[field]"
      :label="label"
      :options="list"
      :placeholder="words.nothingNamed"
      :search="common.searchMaterials"
      :none="common.noMaterialOfThatName"
    >
      <p v-if="field === 'useUp' && tooMuch" class="said wrong" role="status">
        {{ words.areLeftOfTheseAnd(volumeText(tooMuch.left, units), volumeText(tooMuch.takes, units)) }}
      </p>
    </ManyChoiceField>
    <CheckField
      :label="words.mayCostSoMuch(units === 'us' ? 'A gallon' : 'A litre')"
      :model-value="wish.budget !== null"
      @update:model-value="wish.budget = $event ? 0.2 : null"
    />
    <QuantityField
      v-if="wish.budget !== null"
      v-model="budget"
      :label="units === 'us' ? words.mostForAGallon : words.mostForALitre"
      quantity="number"
      :units="units"
      :problem="wish.budget >= 0 ? null : BELOW_NOTHING"
      :hint="words.inTheMoneyOfYour"
    />
    <CheckField
      v-if="canAskWater"
      :label="words.leastDaysBetween"
      :model-value="wish.everyDays !== null"
      @update:model-value="wish.everyDays = $event ? 2 : null"
    />
    <QuantityField
      v-if="canAskWater && wish.everyDays !== null"
      v-model="wish.everyDays"
      :label="words.daysBetweenWaterings"
      quantity="number"
      :units="units"
      :problem="wish.everyDays > 0 ? null : { why: words.noDaysAtAll, fix: words.typeMoreThan0 }"
      :hint="words.inTheThirstiestMonthFull"
    />
    <p v-if="ids.length === 0" class="soft">
      {{ words.nothingOnYourShelfHas }}
      <RouterLink :to="{ name: 'shelf', params: { garden: garden.name } }">{{
        words.fillTheShelf
      }}</RouterLink
      >.
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
