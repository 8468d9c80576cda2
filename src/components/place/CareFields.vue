<script setup lang="ts">
/** Water, wind and where the place lies. */
import { careFields as words, WATER_NAMES } from '@/text/components/place'
import Button from 'primevue/button'
import { computed } from 'vue'
import { TYPICAL_WATERS, typicalWater, WATER_IDS, type WaterId } from '@/core/data/waters'
import { coldestNightOf, hardinessZone } from '@/core/season'
import { WINDS, type Place } from '@/model/garden/schemas'
import { WIND_NAMES } from '@/text/base/labels'
import type { Sentence } from '@/text/base/problems.en'
import type { Quantity, UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const { place, units, beside } = defineProps<{
  place: Place
  units: UnitSystem
  beside: (field: keyof Place) => Sentence | null
}>()
const emit = defineEmits<{ set: [change: Partial<Place>] }>()

type NumberField = 'waterAlkalinity' | 'waterEc' | 'latitude' | 'elevation'
const NUMBERS: {
  key: NumberField
  label: string
  quantity: Quantity
  hint: string
  ofClimate: boolean
  term?: string
}[] = [
  {
    key: 'waterAlkalinity',
    label: words.alkalinityOfTheWaterMeq,
    quantity: 'number',
    hint: 'rain 0, soft 1, hard tap water 3 to 6; mg/L of CaCO3 divided by 50',
    ofClimate: false,
    term: 'alkalinity',
  },
  {
    key: 'waterEc',
    label: words.saltsOfTheWaterDs,
    quantity: 'number',
    hint: 'EC; your supplier says it in µS/cm, divided by 1000',
    ofClimate: false,
    term: 'electrical conductivity',
  },
  {
    key: 'latitude',
    label: words.latitudeDegrees,
    quantity: 'number',
    hint: words.southBelowNought,
    ofClimate: true,
  },
  { key: 'elevation', label: words.heightAboveTheSea, quantity: 'height', hint: '', ofClimate: true },
]
const IONS = [
  { key: 'waterSodium', label: words.sodium },
  { key: 'waterChloride', label: words.chloride },
  { key: 'waterBoron', label: words.boron },
] as const
const winds = WINDS.map((value) => ({ value, label: WIND_NAMES[value] }))
const waters = computed(() => [
  ...WATER_IDS.map((value) => ({ value: value as WaterId | 'own', label: WATER_NAMES[value] })),
  ...(typicalWater(place) === null ? [{ value: 'own' as const, label: words.waterOfMyOwn }] : []),
])
function chooseWater(id: WaterId | 'own' | null) {
  const water = TYPICAL_WATERS.find((w) => w.id === id)
  if (water)
    emit('set', {
      waterAlkalinity: water.alkalinity,
      waterEc: water.conductivity,
      waterSoftened: water.softened,
    })
}
const coldest = computed(() => place.coldestNight ?? coldestNightOf(place))
const coldestHint = computed(() => {
  const whose = place.coldestNight === null ? words.estimatedFromTheMonths : words.yourFigure
  return words.zone(whose, hardinessZone(coldest.value))
})
</script>

<template>
  <div class="pair">
    <QuantityField
      :label="words.daysBetweenWateringsYouCan"
      quantity="number"
      :units="units"
      :problem="beside('waterEvery')"
      :model-value="place.waterEvery"
      :hint="words.from1ForEveryDay0"
      @update:model-value="emit('set', { waterEvery: $event })"
    />
    <ChoiceField
      :label="words.wind"
      :model-value="place.wind"
      :options="winds"
      @update:model-value="$event && emit('set', { wind: $event })"
    />
    <ChoiceField
      :label="words.kindOfWater"
      :model-value="typicalWater(place) ?? 'own'"
      :options="waters"
      @update:model-value="chooseWater($event)"
    />
    <QuantityField
      v-for="n in NUMBERS"
      :key="n.key"
      :label="n.label"
      :quantity="n.quantity"
      :units="units"
      :problem="beside(n.key)"
      :model-value="place[n.key]"
      :hint="n.hint"
      :term="n.term"
      @update:model-value="emit('set', { [n.key]: $event, ...(n.ofClimate ? { climateId: null } : {}) })"
    />
    <details>
      <summary>{{ words.fromAWaterReport }}</summary>
      <div class="pair">
        <QuantityField
          v-for="ion in IONS"
          :key="ion.key"
          :label="ion.label"
          quantity="number"
          :units="units"
          optional
          :problem="beside(ion.key)"
          :model-value="place[ion.key] ?? NaN"
          @update:model-value="emit('set', { [ion.key]: Number.isNaN($event) ? undefined : $event })"
        />
      </div>
    </details>
    <QuantityField
      :label="words.coldestNightOfMostWinters"
      quantity="temperature"
      :units="units"
      :problem="beside('coldestNight')"
      :model-value="coldest"
      :hint="coldestHint"
      @update:model-value="emit('set', { coldestNight: $event })"
    />
    <Button
      v-if="place.coldestNight !== null"
      :label="words.estimateItFromTheMonths"
      text
      size="small"
      @click="emit('set', { coldestNight: null })"
    />
  </div>
</template>

<style scoped>
details {
  grid-column: 1 / -1;
}
summary {
  min-height: 40px;
}
@media (max-width: 760px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
