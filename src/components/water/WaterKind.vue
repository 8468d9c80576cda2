<script setup lang="ts">
/** A typical water to choose, where nobody has a report. */
import { careFields as words, WATER_NAMES } from '@/text/components/place'
import { computed } from 'vue'
import { TYPICAL_WATERS, typicalWater, WATER_IDS, type WaterId } from '@/core/data/waters'
import type { Place } from '@/model/garden/schemas'
import ChoiceField from '../field/ChoiceField.vue'

const { place, label } = defineProps<{ place: Place; label: string }>()
const emit = defineEmits<{ set: [change: Partial<Place>, field: string] }>()
const waters = computed(() => [
  ...WATER_IDS.map((value) => ({ value: value as WaterId | 'own', label: WATER_NAMES[value] })),
  ...(typicalWater(place) === null ? [{ value: 'own' as const, label: words.waterOfMyOwn }] : []),
])
function choose(id: WaterId | 'own' | null) {
  const water = TYPICAL_WATERS.find((w) => w.id === id)
  if (water)
    emit(
      'set',
      {
        waterAlkalinity: water.alkalinity,
        waterEc: water.conductivity,
        waterSoftened: water.softened,
      },
      'water',
    )
}
</script>

<template>
  <ChoiceField
    :label="label"
    :model-value="typicalWater(place) ?? 'own'"
    :options="waters"
    @update:model-value="choose($event)"
  />
</template>
