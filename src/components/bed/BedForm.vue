<script setup lang="ts">
/** All that is asked about a bed. Sends changes of the whole; the core's verdict comes back by field. */
import { computed } from 'vue'
import { LONGEST_NAME } from '@/model/garden/limits'
import { STANDINGS, WALLS, type BedSpec, type Vessel } from '@/model/garden/schemas'
import { baseOf, ofKind, OUTLETS, outletOf, type Outlet } from '@/model/garden/vessel'
import { FIRMNESSES } from '@/core/filling/firmness'
import type { Choice } from '@/text/choices'
import { FIRMNESS_NAMES, STANDING_NAMES, VESSEL_NAMES, WALL_NAMES } from '@/text/labels'
import type { Sentence } from '@/text/problems.en'
import { CLOTH_OUTLET, OUTLET_NAMES } from '@/text/shapeFields'
import type { UnitSystem } from '@/text/units'
import CheckField from '../field/CheckField.vue'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'
import LayerFields from './LayerFields.vue'
import ShapeFields from './ShapeFields.vue'
import VesselKinds from './VesselKinds.vue'

const { spec, materials, units, beside } = defineProps<{
  spec: BedSpec
  /** What may lie on the mix or under it. */
  materials: readonly Choice[]
  units: UnitSystem
  beside: (field: string) => Sentence | null
}>()
const emit = defineEmits<{ change: [change: Partial<BedSpec>] }>()

const vessel = computed(() => spec.vessel)
const setVessel = (change: Partial<Vessel>) => emit('change', { vessel: { ...spec.vessel, ...change } })
const outlets = computed(() =>
  OUTLETS.map((value) => ({
    value,
    label: value === 'drainHoles' && spec.wall === 'fabric' ? CLOTH_OUTLET : OUTLET_NAMES[value],
  })),
)
const setOutlet = (outlet: Outlet | null) => outlet && setVessel({ base: baseOf(outlet) })
const walls = WALLS.map((value) => ({ value, label: WALL_NAMES[value] }))
const firmnesses = FIRMNESSES.map((value) => ({ value, label: FIRMNESS_NAMES[value].one }))
const standings = STANDINGS.map((value) => ({ value, label: STANDING_NAMES[value] }))
</script>

<template>
  <div class="form">
    <TextField
      label="Name"
      :model-value="spec.name"
      :placeholder="VESSEL_NAMES[vessel.kind].one"
      :most="LONGEST_NAME"
      @update:model-value="emit('change', { name: $event })"
    />
    <VesselKinds
      :model-value="vessel.kind"
      @update:model-value="emit('change', ofKind(spec, $event, units))"
    />
    <ShapeFields
      :vessel="vessel"
      :units="units"
      :beside="beside"
      @change="emit('change', { vessel: $event })"
    />
    <div class="pair">
      <ChoiceField
        label="Where water leaves"
        :model-value="outletOf(vessel)"
        :options="outlets"
        @update:model-value="setOutlet"
      />
      <QuantityField
        v-if="vessel.base.kind === 'sideHoles'"
        label="Height of the side holes"
        quantity="length"
        :units="units"
        :problem="beside('sideHoles')"
        :model-value="vessel.base.height"
        hint="above the inside of the base"
        @update:model-value="setVessel({ base: { kind: 'sideHoles', height: $event } })"
      />
      <QuantityField
        label="How many there are"
        quantity="number"
        :units="units"
        :problem="beside('bedCount')"
        :model-value="vessel.count"
        hint="all alike"
        @update:model-value="setVessel({ count: $event })"
      />
      <ChoiceField
        label="Sides of"
        :model-value="spec.wall"
        :options="walls"
        @update:model-value="$event && emit('change', { wall: $event })"
      />
      <ChoiceField
        label="Stands on"
        :model-value="spec.standing"
        :options="standings"
        @update:model-value="$event && emit('change', { standing: $event })"
      />
      <ChoiceField
        label="The mix is put in"
        :model-value="spec.firmness"
        :options="firmnesses"
        :hint="FIRMNESS_NAMES[spec.firmness].hint"
        @update:model-value="$event && emit('change', { firmness: $event })"
      />
      <QuantityField
        label="Root balls planted in it"
        quantity="volume"
        :units="units"
        :problem="beside('rootBalls')"
        :model-value="spec.rootBalls"
        hint="roots with their own soil, in each"
        @update:model-value="emit('change', { rootBalls: $event })"
      />
      <CheckField
        class="beside-field"
        label="Has to be lifted once filled"
        :model-value="spec.carried"
        @update:model-value="emit('change', { carried: $event })"
      />
    </div>
    <LayerFields
      :layers="spec.layers"
      :cover="spec.cover"
      :lip="vessel.headspace"
      :materials="materials"
      :units="units"
      :problem="beside('thickness')"
      :cover-problem="beside('cover')"
      @change="emit('change', $event)"
    />
  </div>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
</style>
