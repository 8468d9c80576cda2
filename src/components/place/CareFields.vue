<script setup lang="ts">
/** Water, wind and where the place lies. */
import { careFields as words } from '@/text/components/place'
import Button from 'primevue/button'
import { computed } from 'vue'
import { coldestNightOf, hardinessZone } from '@/core/season'
import { WINDS, type Place } from '@/model/garden/schemas'
import { WIND_NAMES } from '@/text/base/labels'
import type { Sentence } from '@/text/base/problems.en'
import type { Quantity, UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import WaterKind from '../water/WaterKind.vue'

const { place, garden, units, beside } = defineProps<{
  place: Place
  /** Its name in addresses. */
  garden: string
  units: UnitSystem
  beside: (field: keyof Place) => Sentence | null
}>()
const emit = defineEmits<{ set: [change: Partial<Place>] }>()

type NumberField = 'latitude' | 'elevation'
const NUMBERS: { key: NumberField; label: string; quantity: Quantity; hint: string }[] = [
  { key: 'latitude', label: words.latitudeDegrees, quantity: 'number', hint: words.southBelowNought },
  { key: 'elevation', label: words.heightAboveTheSea, quantity: 'height', hint: '' },
]
const winds = WINDS.map((value) => ({ value, label: WIND_NAMES[value] }))
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
    <div>
      <WaterKind :place="place" :label="words.kindOfWater" @set="emit('set', $event)" />
      <RouterLink class="more" :to="{ name: 'tap', params: { garden } }">{{ words.moreOfWater }}</RouterLink>
    </div>
    <QuantityField
      v-for="n in NUMBERS"
      :key="n.key"
      :label="n.label"
      :quantity="n.quantity"
      :units="units"
      :problem="beside(n.key)"
      :model-value="place[n.key]"
      :hint="n.hint"
      @update:model-value="emit('set', { [n.key]: $event, climateId: null })"
    />
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
.more {
  display: inline-block;
  min-height: 44px;
  align-content: center;
}
@media (max-width: 760px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
