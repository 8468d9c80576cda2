<script setup lang="ts">
/** The inside of a vessel: by its trade size, its lengths or its outline. */
import { shapeFields as words } from '@/text/components/bed'
import { computed } from 'vue'
import { TRADE_SIZES } from '@/core/filling'
import type { Vessel } from '@/model/garden/schemas'
import { bodyOf, hasStraightSides, tradeSizeOf, withBody, withLength } from '@/model/garden/vessel'
import type { Sentence } from '@/text/base/problems.en'
import { shapeFields, tradeSizeName } from '@/text/bed/vessels'
import { volumeRangeText, type UnitSystem } from '@/text/base/units'
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
const set = (key: string, value: number) => emit('change', withBody(vessel, withLength(vessel, key, value)))
const mound = computed(() => (vessel.shape.kind === 'mounded' ? vessel.shape : null))

const trade = computed(() =>
  TRADE_SIZES.filter((t) => t.shape.kind === vessel.shape.kind).map(({ id, name, holds }) => ({
    value: id,
    label: words.holdsTo(tradeSizeName(name, units), volumeRangeText(holds.low, holds.high, units)),
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
    :label="words.soldAs"
    :model-value="tradeSizeOf(vessel.shape)"
    :options="trade"
    :placeholder="words.byItsInsideSizeBelow"
    :hint="vessel.kind === 'roundPot' ? words.aGallonOfTheNursery : words.insideFilled"
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
      :label="words.heapedAboveTheRim"
      quantity="length"
      :units="units"
      :problem="beside('moundHeight')"
      :model-value="mound.moundHeight"
      :hint="words.atItsHighest"
      @update:model-value="emit('change', { ...vessel, shape: { ...mound, moundHeight: $event } })"
    />
    <QuantityField
      :label="words.lipLeftFree"
      quantity="length"
      :units="units"
      :problem="beside('headspace')"
      :model-value="vessel.headspace"
      :hint="units === 'metric' ? words.from25To5Cm : words.from1To2InIs"
      @update:model-value="emit('change', { ...vessel, headspace: $event })"
    />
  </div>
</template>
