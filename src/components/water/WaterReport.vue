<script setup lang="ts">
/** A water as a supplier's report or test strips give it, in their own units. */
import { careFields } from '@/text/components/place'
import { yourWaterView as words } from '@/text/views/yourWaterView'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import {
  ALKALINITY_UNITS,
  alkalinityFrom,
  CONDUCTIVITY_UNITS,
  conductivityFrom,
  type AlkalinityUnit,
  type ConductivityUnit,
} from '@/core/irrigation'
import type { Place } from '@/model/garden/schemas'
import type { Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'
import { ALKALINITY_NAMES, CONDUCTIVITY_NAMES } from '@/text/water/yourWater'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const { place, units, beside } = defineProps<{
  place: Place
  units: UnitSystem
  beside: (field: keyof Place) => Sentence | null
}>()
const emit = defineEmits<{ set: [change: Partial<Place>, field: string] }>()

const alkalinityUnit = useLocalStorage<AlkalinityUnit>('open-bed-alkalinity-unit', 'carbonate')
const conductivityUnit = useLocalStorage<ConductivityUnit>('open-bed-conductivity-unit', 'uScm')
const namesOf = <U extends string>(names: Record<U, string>) =>
  (Object.keys(names) as U[]).map((value) => ({ value, label: names[value] }))
const alkalinity = computed(() => shown(place.waterAlkalinity / ALKALINITY_UNITS[alkalinityUnit.value]))
const conductivity = computed(() => shown(place.waterEc / CONDUCTIVITY_UNITS[conductivityUnit.value]))
/** Without the last digits of a division. */
const shown = (x: number) => Number(x.toPrecision(9))
const IONS = [
  { key: 'waterSodium', label: careFields.sodium },
  { key: 'waterChloride', label: careFields.chloride },
  { key: 'waterBoron', label: careFields.boron },
] as const
</script>

<template>
  <p class="soft">{{ words.hardness }}</p>
  <div class="pair">
    <QuantityField
      :label="words.alkalinity"
      quantity="number"
      :units="units"
      term="alkalinity"
      :problem="beside('waterAlkalinity')"
      :model-value="alkalinity"
      @update:model-value="
        emit('set', { waterAlkalinity: alkalinityFrom($event, alkalinityUnit) }, 'waterAlkalinity')
      "
    />
    <ChoiceField
      :label="words.alkalinityUnit"
      :model-value="alkalinityUnit"
      :options="namesOf(ALKALINITY_NAMES)"
      @update:model-value="$event && (alkalinityUnit = $event)"
    />
    <QuantityField
      :label="words.conductivity"
      quantity="number"
      :units="units"
      term="electrical conductivity"
      :problem="beside('waterEc')"
      :model-value="conductivity"
      @update:model-value="emit('set', { waterEc: conductivityFrom($event, conductivityUnit) }, 'waterEc')"
    />
    <ChoiceField
      :label="words.conductivityUnit"
      :model-value="conductivityUnit"
      :options="namesOf(CONDUCTIVITY_NAMES)"
      @update:model-value="$event && (conductivityUnit = $event)"
    />
    <QuantityField
      v-for="ion in IONS"
      :key="ion.key"
      :label="ion.label"
      quantity="number"
      :units="units"
      optional
      :problem="beside(ion.key)"
      :model-value="place[ion.key] ?? NaN"
      @update:model-value="emit('set', { [ion.key]: Number.isNaN($event) ? undefined : $event }, ion.key)"
    />
  </div>
</template>

<style scoped>
@media (max-width: 760px) {
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
