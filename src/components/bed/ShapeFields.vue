<script setup lang="ts">
/** The inside of a vessel: by its trade size, its lengths or its outline. */
import { computed } from 'vue'
import { TRADE_SIZES } from '@/core/filling'
import type { Vessel } from '@/model/garden/schemas'
import { bodyOf, hasStraightSides, tradeSizeOf, withBody, withLength } from '@/model/garden/vessel'
import type { Sentence } from '@/text/problems.en'
import { shapeFields } from '@/text/vessels'
import { volumeText, type UnitSystem } from '@/text/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import OutlineFields from './OutlineFields.vue'

const { vessel, units, beside } = defineProps<{
  vessel: Vessel
  units: UnitSystem
  beside: (field: string) => Sentence | null
}>()
const emit = defineEmits<{ change: [vessel: Vessel] }>()

const body = computed(() => bodyOf(vessel))
const straight = computed(() => hasStraightSides(vessel))
const fields = computed(() =>
  shapeFields(body.value, straight.value).map((f) => ({
    ...f,
    value: (body.value as unknown as Record<string, number>)[f.key]!,
  })),
)
const set = (key: string, value: number) =>
  emit('change', withBody(vessel, withLength(body.value, key, value, straight.value)))
const mound = computed(() => (vessel.shape.kind === 'mounded' ? vessel.shape : null))

const trade = computed(() =>
  TRADE_SIZES.filter((t) => t.shape.kind === vessel.shape.kind).map(({ id, name, holds }) => ({
    value: id,
    label: `${name}: holds ${volumeText(holds.low, units)} to ${volumeText(holds.high, units)}`,
  })),
)
function setTrade(id: string | null) {
  const size = TRADE_SIZES.find((t) => t.id === id)
  if (size) emit('change', { ...vessel, shape: size.shape as Vessel['shape'] })
}
</script>

<template>
  <ChoiceField
    v-if="trade.length"
    label="Sold as"
    :model-value="tradeSizeOf(vessel.shape)"
    :options="trade"
    placeholder="by its inside size, below"
    :hint="
      vessel.kind === 'roundPot'
        ? 'A “gallon” of the nursery trade holds less than a gallon.'
        : 'inside, filled'
    "
    @update:model-value="setTrade"
  />
  <OutlineFields
    v-if="body.kind === 'polygonBed'"
    :corners="body.corners"
    :units="units"
    :problem="beside('outline')"
    @change="emit('change', withBody(vessel, { ...body, corners: $event }))"
  />
  <div class="pair">
    <QuantityField
      v-for="f in fields"
      :key="`${body.kind} ${f.key}`"
      :label="f.label"
      :quantity="f.quantity"
      :units="units"
      :problem="beside(f.key)"
      :model-value="f.value"
      :hint="f.hint"
      @update:model-value="set(f.key, $event)"
    />
    <QuantityField
      v-if="mound"
      label="Heaped above the rim"
      quantity="length"
      :units="units"
      :problem="beside('moundHeight')"
      :model-value="mound.moundHeight"
      hint="at its highest"
      @update:model-value="emit('change', { ...vessel, shape: { ...mound, moundHeight: $event } })"
    />
    <QuantityField
      label="Lip left free"
      quantity="length"
      :units="units"
      :problem="beside('headspace')"
      :model-value="vessel.headspace"
      :hint="units === 'metric' ? '2.5 to 5 cm is usual' : '1 to 2 in is usual'"
      @update:model-value="emit('change', { ...vessel, headspace: $event })"
    />
  </div>
</template>
