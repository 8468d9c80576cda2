<script setup lang="ts">
/** All that is asked about a bed. Sends changes of the whole; the core's verdict comes back by field. */
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import Select from 'primevue/select'
import { computed } from 'vue'
import { TRADE_SIZES } from '@/core/filling'
import { startingVessel } from '@/model/garden/garden'
import {
  STANDINGS,
  VESSEL_KINDS,
  WALLS,
  type BedSpec,
  type Vessel,
  type VesselKind,
} from '@/model/garden/schemas'
import { STANDING_NAMES, VESSEL_NAMES, WALL_NAMES } from '@/text/labels'
import type { Sentence } from '@/text/problems.en'
import { volumeText, type Quantity, type UnitSystem } from '@/text/units'
import QuantityField from '../QuantityField.vue'
import VesselGlyph from '../VesselGlyph.vue'
import LayerFields from './LayerFields.vue'
import OutlineFields from './OutlineFields.vue'

const { spec, units, beside } = defineProps<{
  spec: BedSpec
  units: UnitSystem
  beside: (field: string) => Sentence | null
}>()
const emit = defineEmits<{ change: [change: Partial<BedSpec>] }>()

const vessel = computed(() => spec.vessel)
const setVessel = (change: Partial<Vessel>) => emit('change', { vessel: { ...spec.vessel, ...change } })

/** Changes a kind but keeps the number of them. */
function setKind(kind: VesselKind) {
  if (kind === spec.vessel.kind) return
  emit('change', {
    vessel: { ...startingVessel(kind), count: spec.vessel.count },
    wall: kind === 'fabricBag' ? 'fabric' : spec.wall === 'fabric' ? 'plastic' : spec.wall,
  })
}

type Body = Exclude<Vessel['shape'], { kind: 'mounded' }>
/** The shape that has the sides: of a heaped bed the one under its mound. */
const body = computed<Body>(() =>
  vessel.value.shape.kind === 'mounded' ? vessel.value.shape.body : vessel.value.shape,
)
function setBody(change: object) {
  const next = { ...body.value, ...change } as Body
  const { shape } = spec.vessel
  setVessel({ shape: shape.kind === 'mounded' ? { ...shape, body: next } : next })
}
const straight = computed(() => spec.vessel.kind === 'raisedBed' || spec.vessel.kind === 'heapedBed')
/** While sides are straight the base follows the top. */
function setTop(field: 'Length' | 'Width', value: number) {
  const of = body.value
  if (of.kind !== 'box' && of.kind !== 'oval') return
  const follows = straight.value || of[`top${field}`] === of[`base${field}`]
  setBody({ [`top${field}`]: value, ...(follows ? { [`base${field}`]: value } : {}) })
}

interface Field {
  key: string
  label: string
  hint: string
  value: number
  set: (value: number) => void
  quantity?: Quantity
}
/** The lengths asked for, by shape. */
const sizes = computed<Field[]>(() => {
  const of = body.value
  const plain = (key: string, label: string, hint: string): Field => ({
    key,
    label,
    hint,
    value: (of as unknown as Record<string, number>)[key]!,
    set: (value) => setBody({ [key]: value }),
  })
  const height = plain('height', 'Height', 'inside, base to rim')
  switch (of.kind) {
    case 'roundPot':
      return [
        plain('topDiameter', 'Width across the top', 'inside'),
        plain('baseDiameter', 'Width across the base', 'inside'),
        height,
      ]
    case 'box':
    case 'oval': {
      const top: Field[] = [
        { ...plain('topLength', 'Length', 'inside, at the top'), set: (v) => setTop('Length', v) },
        { ...plain('topWidth', 'Width', 'inside, at the top'), set: (v) => setTop('Width', v) },
      ]
      return straight.value
        ? [...top, height]
        : [
            ...top,
            plain('baseLength', 'Length at the base', 'the same if it is straight'),
            plain('baseWidth', 'Width at the base', 'the same if it is straight'),
            height,
          ]
    }
    case 'fabricBag':
      return [
        plain('diameter', 'Width', 'across the rim'),
        height,
        { ...plain('bulge', 'Bulge', 'wider at half height, by this share'), quantity: 'percent' },
      ]
    case 'halfCylinder':
      return [plain('length', 'Length', 'inside'), plain('diameter', 'Width', 'inside; it is half as deep')]
    default:
      return [height]
  }
})
const mound = computed(() => (vessel.value.shape.kind === 'mounded' ? vessel.value.shape.moundHeight : null))
const setMound = (moundHeight: number) => {
  const { shape } = spec.vessel
  if (shape.kind === 'mounded') setVessel({ shape: { ...shape, moundHeight } })
}

const trade = computed(() =>
  TRADE_SIZES.map((t) => ({
    ...t,
    label: `${t.name}: holds ${volumeText(t.holds.low, units)} to ${volumeText(t.holds.high, units)}`,
  })),
)
const tradeId = computed(
  () => TRADE_SIZES.find((t) => JSON.stringify(t.shape) === JSON.stringify(vessel.value.shape))?.id ?? null,
)
function setTrade(id: string | null) {
  const size = TRADE_SIZES.find((t) => t.id === id)
  if (size) setVessel({ shape: size.shape as Vessel['shape'] })
}

const outlets = computed(() => [
  { value: 'drainHoles', label: spec.wall === 'fabric' ? 'Drains through the cloth' : 'Holes in the base' },
  { value: 'sideHoles', label: 'Holes up the side (reservoir)' },
  { value: 'closed', label: 'No holes at all' },
  { value: 'onPaving', label: 'Open below, on paving' },
  { value: 'coarse', label: 'Open to gravelly or sandy soil' },
  { value: 'loam', label: 'Open to loam' },
  { value: 'clay', label: 'Open to clay' },
])
const outlet = computed(() => {
  const { base } = vessel.value
  return base.kind === 'onSoil' ? base.texture : base.kind
})
function setOutlet(value: string) {
  if (value === 'coarse' || value === 'loam' || value === 'clay')
    setVessel({ base: { kind: 'onSoil', texture: value } })
  else if (value === 'sideHoles') setVessel({ base: { kind: 'sideHoles', height: 4 } })
  else setVessel({ base: { kind: value as 'drainHoles' | 'onPaving' | 'closed' } })
}
const walls = WALLS.map((value) => ({ value, label: WALL_NAMES[value] }))
const standings = STANDINGS.map((value) => ({ value, label: STANDING_NAMES[value] }))
</script>

<template>
  <div class="form">
    <div class="field">
      <label for="bed-name">Name</label>
      <InputText
        id="bed-name"
        :model-value="spec.name"
        :placeholder="VESSEL_NAMES[vessel.kind].one"
        maxlength="120"
        autocomplete="off"
        @update:model-value="emit('change', { name: $event ?? '' })"
      />
    </div>
    <fieldset class="kinds">
      <legend>Shape</legend>
      <label v-for="kind in VESSEL_KINDS" :key="kind" class="kind" :class="{ on: kind === vessel.kind }">
        <input
          type="radio"
          name="kind"
          :value="kind"
          :checked="kind === vessel.kind"
          @change="setKind(kind)"
        />
        <VesselGlyph :kind="kind" />
        <span>{{ VESSEL_NAMES[kind].one }}</span>
      </label>
    </fieldset>

    <div v-if="vessel.kind === 'roundPot'" class="field">
      <label for="trade">Sold as</label>
      <Select
        input-id="trade"
        :model-value="tradeId"
        :options="trade"
        option-label="label"
        option-value="id"
        placeholder="by its inside size, below"
        aria-label="Sold as"
        @update:model-value="setTrade"
      />
      <p class="said">A “gallon” of the nursery trade holds less than a gallon.</p>
    </div>
    <OutlineFields
      v-if="body.kind === 'polygonBed'"
      :corners="body.corners"
      :units="units"
      :problem="beside('outline')"
      @change="setBody({ corners: $event })"
    />
    <div class="grid">
      <QuantityField
        v-for="f in sizes"
        :key="`${body.kind} ${f.key}`"
        :label="f.label"
        :quantity="f.quantity ?? 'length'"
        :units="units"
        :problem="beside(f.key)"
        :model-value="f.value"
        :hint="f.hint"
        @update:model-value="f.set"
      />
      <QuantityField
        v-if="mound !== null"
        label="Heaped above the rim"
        quantity="length"
        :units="units"
        :problem="beside('moundHeight')"
        :model-value="mound"
        hint="at its highest"
        @update:model-value="setMound"
      />
      <QuantityField
        label="Lip left free"
        quantity="length"
        :units="units"
        :problem="beside('headspace')"
        :model-value="vessel.headspace"
        :hint="units === 'metric' ? '2.5 to 5 cm is usual' : '1 to 2 in is usual'"
        @update:model-value="setVessel({ headspace: $event })"
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
      <div class="field">
        <label for="wall">Sides of</label>
        <Select
          input-id="wall"
          :model-value="spec.wall"
          :options="walls"
          option-label="label"
          option-value="value"
          aria-label="Sides of"
          @update:model-value="emit('change', { wall: $event })"
        />
      </div>
      <div class="field">
        <label for="standing">Stands on</label>
        <Select
          input-id="standing"
          :model-value="spec.standing"
          :options="standings"
          option-label="label"
          option-value="value"
          aria-label="Stands on"
          @update:model-value="emit('change', { standing: $event })"
        />
      </div>
      <QuantityField
        label="Root balls planted in it"
        quantity="volume"
        :units="units"
        :problem="beside('rootBalls')"
        :model-value="spec.rootBalls"
        hint="roots with their own soil, in each"
        @update:model-value="emit('change', { rootBalls: $event })"
      />
      <label class="carried" for="carried">
        <Checkbox
          input-id="carried"
          binary
          :model-value="spec.carried"
          @update:model-value="emit('change', { carried: $event })"
        />
        Has to be lifted once filled
      </label>
    </div>
    <LayerFields
      :layers="spec.layers"
      :units="units"
      :problem="beside('thickness')"
      @change="emit('change', { layers: $event })"
    />
  </div>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.kinds {
  border: 0;
  padding: 0;
  margin: 0;
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
  padding: 6px 4px;
  border: 1.5px solid var(--edge);
  border-radius: var(--round);
  background: var(--sheet);
  cursor: pointer;
  font-size: 0.88rem;
  line-height: 1.15;
}
.kind :deep(.vessel) {
  width: 48px;
  height: 42px;
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

.carried {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  margin-top: 22px;
}
</style>
