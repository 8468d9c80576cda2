<script setup lang="ts">
/** All that is asked about a bed. Sends changes of the whole; the core's verdict comes back by field. */
import { common } from '@/text/base/common'
import { bedForm as words } from '@/text/components/bed'
import { computed } from 'vue'
import { LONGEST_NAME } from '@/model/garden/limits'
import type { BedSpec, Vessel } from '@/model/garden/schemas'
import {
  baseOf,
  bodyOf,
  hasStraightSides,
  ofKind,
  OUTLETS,
  outletOf,
  type Outlet,
} from '@/model/garden/vessel'
import { BED_WORDS } from '@/text/bed/bedFields'
import type { Choice } from '@/text/base/choices'
import { layerName, STANDING_NAMES, WALL_NAMES } from '@/text/base/labels'
import { shortName } from '@/text/base/titles'
import type { Sentence } from '@/text/base/problems.en'
import { CLOTH_OUTLET, OUTLET_NAMES, sizesText, VESSEL_NAMES } from '@/text/bed/vessels'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import TextField from '../field/TextField.vue'
import FoldBox from '../frame/FoldBox.vue'
import LayerFields from './LayerFields.vue'
import PlainFields from './PlainFields.vue'
import ShapeFields from './ShapeFields.vue'
import VesselKinds from './VesselKinds.vue'

const {
  spec,
  materials,
  units,
  beside,
  settled = false,
  faulty = false,
} = defineProps<{
  spec: BedSpec
  /** Its size is known: it shows as a line until it is asked for. */
  settled?: boolean
  /** Something in it is wrong and has to be seen. */
  faulty?: boolean
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
/** What is under each fold, in a few words. */
const sizeSays = computed(() => {
  const name = VESSEL_NAMES[vessel.value.kind].one.toLowerCase()
  return `${name}, ${sizesText(bodyOf(vessel.value), hasStraightSides(vessel.value), units)}`
})
const bedSays = computed(() =>
  [OUTLET_NAMES[outletOf(vessel.value)], WALL_NAMES[spec.wall], STANDING_NAMES[spec.standing]]
    .join(', ')
    .toLowerCase(),
)
const layersSays = computed(
  () =>
    [...spec.layers.map(layerName), ...(spec.cover ? [shortName(spec.cover.materialId)] : [])].join(', ') ||
    common.nothing.toLowerCase(),
)
const wrong = (...fields: string[]) => fields.some((f) => beside(f) !== null)
const setOutlet = (outlet: Outlet | null) => outlet && setVessel({ base: baseOf(outlet) })
</script>

<template>
  <component
    :is="settled ? FoldBox : 'div'"
    id="size"
    class="form"
    :title="settled ? words.sizeHolesLayers : undefined"
    :says="settled ? sizeSays : undefined"
    :needed="settled && faulty"
  >
    <FoldBox id="shape" :title="common.shape" :says="VESSEL_NAMES[vessel.kind].one">
      <VesselKinds
        :model-value="vessel.kind"
        @update:model-value="emit('change', ofKind(spec, $event, units))"
      />
    </FoldBox>
    <ShapeFields
      :vessel="vessel"
      :units="units"
      :beside="beside"
      @change="emit('change', { vessel: $event })"
    />
    <FoldBox
      id="bed"
      :title="words.sidesAndFilling"
      :says="bedSays"
      :needed="wrong('sideHoles', 'bedCount', 'rootBalls', 'bears')"
    >
      <TextField
        :label="BED_WORDS.name.label"
        :model-value="spec.name"
        :placeholder="VESSEL_NAMES[vessel.kind].one"
        :most="LONGEST_NAME"
        @update:model-value="emit('change', { name: $event })"
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
    </FoldBox>
    <FoldBox
      id="layers"
      :title="words.underAndOnTheMix"
      :says="layersSays"
      :needed="wrong('thickness', 'cover')"
    >
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
    </FoldBox>
  </component>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
</style>
