<script setup lang="ts">
/** All that is asked about a bed. Sends changes of the whole; the core's verdict comes back by field. */
import { common } from '@/text/base/common'
import { bedForm as words } from '@/text/components/bed'
import { computed } from 'vue'
import { LONGEST_NAME } from '@/model/garden/limits'
import type { BedSpec, Vessel } from '@/model/garden/schemas'
import { baseOf, ofKind, OUTLETS, outletOf, type Outlet } from '@/model/garden/vessel'
import { BED_WORDS } from '@/text/bed/bedFields'
import type { Choice } from '@/text/base/choices'
import { VESSEL_NAMES } from '@/text/bed/vessels'
import type { Sentence } from '@/text/base/problems.en'
import { CLOTH_OUTLET, OUTLET_NAMES } from '@/text/bed/vessels'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'
import LayerFields from './LayerFields.vue'
import PlainFields from './PlainFields.vue'
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
</script>

<template>
  <div class="form">
    <TextField
      :label="BED_WORDS.name.label"
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
        :label="words.whereWaterLeaves"
        :model-value="outletOf(vessel)"
        :options="outlets"
        @update:model-value="setOutlet"
      />
      <QuantityField
        v-if="vessel.base.kind === 'sideHoles'"
        :label="words.heightOfTheSideHoles"
        quantity="length"
        :units="units"
        :problem="beside('sideHoles')"
        :model-value="vessel.base.height"
        :hint="words.aboveTheInsideOfThe"
        @update:model-value="setVessel({ base: { kind: 'sideHoles', height: $event } })"
      />
      <QuantityField
        :label="words.howManyThereAre"
        quantity="number"
        :units="units"
        :problem="beside('bedCount')"
        :model-value="vessel.count"
        :hint="common.allAlike"
        @update:model-value="setVessel({ count: $event })"
      />
      <PlainFields :spec="spec" :units="units" :beside="beside" @change="emit('change', $event)" />
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
