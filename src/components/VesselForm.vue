<script setup lang="ts">
/** Kind, size, number and outlet of what is filled. Sends whole vessels; the core's verdict comes back by field. */
import Select from 'primevue/select'
import { computed } from 'vue'
import { startingVessel } from '@/model/garden'
import type { Vessel, VesselKind } from '@/model/schemas'
import { VESSEL_NAMES } from '@/text/labels'
import type { Sentence } from '@/text/problems.en'
import type { UnitSystem } from '@/text/units'
import QuantityField from './QuantityField.vue'
import VesselGlyph from './VesselGlyph.vue'

const { vessel, units, beside } = defineProps<{
  vessel: Vessel
  units: UnitSystem
  beside: (field: string) => Sentence | null
}>()
const emit = defineEmits<{ change: [change: Partial<Vessel>] }>()

const kinds = Object.keys(VESSEL_NAMES) as VesselKind[]
const shape = computed(() => vessel.shape)

/** Changes a kind but keeps the number of containers. */
function setKind(kind: VesselKind) {
  if (kind !== vessel.kind) emit('change', { ...startingVessel(kind), count: vessel.count })
}
const setShape = (change: object) =>
  emit('change', { shape: { ...vessel.shape, ...change } as Vessel['shape'] })
/** A box keeps its taper: the base follows the top by the same difference. */
function setBox(field: 'Length' | 'Width', value: number) {
  if (vessel.shape.kind !== 'box') return
  const top = `top${field}` as const
  const base = `base${field}` as const
  const straight = vessel.kind === 'raisedBed' || vessel.shape[top] === vessel.shape[base]
  setShape({ [top]: value, ...(straight ? { [base]: value } : {}) })
}

const outlets = computed(() => [
  {
    value: 'drainHoles',
    label: vessel.kind === 'fabricBag' ? 'Drains through the cloth' : 'Holes in the base',
  },
  { value: 'sideHoles', label: 'Holes up the side (reservoir)' },
  { value: 'coarse', label: 'Open to gravelly or sandy soil' },
  { value: 'loam', label: 'Open to loam' },
  { value: 'clay', label: 'Open to clay' },
])
const outlet = computed(() => (vessel.base.kind === 'onSoil' ? vessel.base.texture : vessel.base.kind))
function setOutlet(value: string) {
  if (value === 'drainHoles') emit('change', { base: { kind: 'drainHoles' } })
  else if (value === 'sideHoles') emit('change', { base: { kind: 'sideHoles', height: 4 } })
  else emit('change', { base: { kind: 'onSoil', texture: value as 'coarse' | 'loam' | 'clay' } })
}
</script>

<template>
  <fieldset class="kinds">
    <legend>Container</legend>
    <label v-for="kind in kinds" :key="kind" class="kind" :class="{ on: kind === vessel.kind }">
      <input type="radio" name="kind" :value="kind" :checked="kind === vessel.kind" @change="setKind(kind)" />
      <VesselGlyph :kind="kind" />
      <span>{{ VESSEL_NAMES[kind].one }}</span>
    </label>
  </fieldset>

  <div class="grid">
    <template v-if="shape.kind === 'roundPot'">
      <QuantityField
        label="Width across the top"
        quantity="length"
        :units="units"
        :problem="beside('topDiameter')"
        :model-value="shape.topDiameter"
        hint="inside"
        @update:model-value="setShape({ topDiameter: $event })"
      />
      <QuantityField
        label="Width across the base"
        quantity="length"
        :units="units"
        :problem="beside('baseDiameter')"
        :model-value="shape.baseDiameter"
        hint="inside"
        @update:model-value="setShape({ baseDiameter: $event })"
      />
    </template>
    <template v-else-if="shape.kind === 'box'">
      <QuantityField
        label="Length"
        quantity="length"
        :units="units"
        :problem="beside('topLength')"
        :model-value="shape.topLength"
        hint="inside, at the top"
        @update:model-value="setBox('Length', $event)"
      />
      <QuantityField
        label="Width"
        quantity="length"
        :units="units"
        :problem="beside('topWidth')"
        :model-value="shape.topWidth"
        hint="inside, at the top"
        @update:model-value="setBox('Width', $event)"
      />
      <template v-if="vessel.kind === 'box'">
        <QuantityField
          label="Length at the base"
          quantity="length"
          :units="units"
          :problem="beside('baseLength')"
          :model-value="shape.baseLength"
          hint="the same if it is straight"
          @update:model-value="setShape({ baseLength: $event })"
        />
        <QuantityField
          label="Width at the base"
          quantity="length"
          :units="units"
          :problem="beside('baseWidth')"
          :model-value="shape.baseWidth"
          hint="the same if it is straight"
          @update:model-value="setShape({ baseWidth: $event })"
        />
      </template>
    </template>
    <QuantityField
      v-else
      label="Width"
      quantity="length"
      :units="units"
      :problem="beside('diameter')"
      :model-value="shape.diameter"
      hint="across the rim"
      @update:model-value="setShape({ diameter: $event })"
    />
    <QuantityField
      label="Height"
      quantity="length"
      :units="units"
      :problem="beside('height')"
      :model-value="shape.height"
      hint="inside, base to rim"
      @update:model-value="setShape({ height: $event })"
    />
    <QuantityField
      label="Lip left free"
      quantity="length"
      :units="units"
      :problem="beside('headspace')"
      :model-value="vessel.headspace"
      :hint="units === 'metric' ? '2.5 to 5 cm is usual' : '1 to 2 in is usual'"
      @update:model-value="emit('change', { headspace: $event })"
    />
    <QuantityField
      label="How many"
      quantity="number"
      :units="units"
      :problem="beside('count')"
      :model-value="vessel.count"
      hint="all alike"
      @update:model-value="emit('change', { count: $event })"
    />
    <div class="field">
      <label for="outlet">Where water leaves</label>
      <Select
        input-id="outlet"
        :model-value="outlet"
        :options="outlets"
        option-label="label"
        option-value="value"
        aria-label="Where water leaves"
        @update:model-value="setOutlet"
      />
    </div>
    <QuantityField
      v-if="vessel.base.kind === 'sideHoles'"
      label="Height of the side holes"
      quantity="length"
      :units="units"
      :problem="beside('sideHoles')"
      :model-value="vessel.base.height"
      hint="above the inside of the base"
      @update:model-value="emit('change', { base: { kind: 'sideHoles', height: $event } })"
    />
  </div>
</template>

<style scoped>
.kinds {
  border: 0;
  padding: 0;
  margin: 0 0 16px;
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 8px;
}
legend {
  font-weight: 600;
  font-size: 0.95rem;
  padding: 0;
  margin-bottom: 4px;
}
.kind {
  position: relative;
  display: flex;
  flex-direction: column;
  align-items: center;
  text-align: center;
  gap: 2px;
  padding: 8px 4px;
  border: 1.5px solid var(--edge);
  border-radius: var(--round);
  background: var(--sheet);
  cursor: pointer;
  font-size: 0.95rem;
}
.kind.on {
  border-color: var(--clay);
  box-shadow: inset 0 0 0 2px var(--clay);
  font-weight: 600;
}
.kind input {
  position: absolute;
  opacity: 0;
  inset: 0;
  width: 100%;
  height: 100%;
  cursor: pointer;
}
.kind:has(:focus-visible) {
  outline: 3px solid var(--focus);
  outline-offset: 2px;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 14px;
  align-items: start;
}
.field {
  display: flex;
  flex-direction: column;
  gap: 3px;
}
.field label {
  font-weight: 600;
  font-size: 0.95rem;
}
@media (max-width: 480px) {
  .kinds {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
