<script setup lang="ts">
/** What is given by weight besides lime: how much, where it goes, how much of the mix gets it. */
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed } from 'vue'
import type { Dressing } from '@/core/data'
import { DRESSINGS } from '@/core/data/dressings'
import type { DoseOffer } from '@/model/mix/doses'
import type { DressingLine, DressingPlace } from '@/model/garden/schemas'
import { dressingById } from '@/core/data/dressings'
import { dressingName } from '@/text/dressings'
import { doseInHand } from '@/text/measures'
import { doseText, doseWeightText, percentText, pHText, type UnitSystem } from '@/text/units'
import QuantityField from '../QuantityField.vue'

const { lines, units, litres, offers, stale } = defineProps<{
  /** The doses are of an older mix: shown, not to be given. */
  stale: boolean
  /** Doses worked out for what this mix lacks. */
  offers: readonly DoseOffer[]
  lines: readonly DressingLine[]
  units: UnitSystem
  /** Mix the job makes, for grams in all; null where that is not known. */
  litres: number | null
}>()
const emit = defineEmits<{ set: [line: DressingLine]; remove: [dressingId: string] }>()

const offered = computed(() => {
  const taken = new Set(lines.map((l) => l.dressingId))
  return DRESSINGS.filter((d) => d.family !== 'lime' && !taken.has(d.id)).map((d) => ({
    id: d.id,
    label: d.name,
  }))
})
function add(id: string | null) {
  const d = id ? dressingById(id) : undefined
  if (!d) return
  // The middle of what is usually given; what feeds for months and what feeds at once alike.
  const gramsPerLitre = Number(((d.dose.low + d.dose.high) / 2).toPrecision(2))
  emit('set', { dressingId: d.id, gramsPerLitre, place: { kind: 'throughout' }, share: 1 })
}
const places = [
  { value: 'throughout', label: 'All through' },
  { value: 'top', label: 'In the top' },
  { value: 'heldBack', label: 'Held back' },
]
function setPlace(line: DressingLine, kind: DressingPlace['kind']) {
  const place: DressingPlace =
    kind === 'top' ? { kind, depth: 8 } : kind === 'heldBack' ? { kind, from: 21 } : { kind: 'throughout' }
  emit('set', { ...line, place, share: kind === 'throughout' ? line.share : 1 })
}
const shares = [
  { value: 1, label: 'all of it' },
  { value: 0.75, label: 'three quarters' },
  { value: 0.5, label: 'half' },
  { value: 0.25, label: 'a quarter' },
]
const usual = (d: Dressing | undefined) =>
  d
    ? `usual ${doseText(d.dose.low, units)} to ${doseText(d.dose.high, units)}, trouble from ${doseText(d.dose.limit, units)}`
    : 'not in the tables any more'
/** An offer in words: what to press, and why so much. */
const doses = computed(() =>
  offers.map(({ line, why }) => {
    const name = dressingName(line.dressingId).toLowerCase()
    const dressing = dressingById(line.dressingId)
    const inHand = dressing ? doseInHand(line.gramsPerLitre, dressing.bulkDensity.value, litres, units) : ''
    const says =
      why.code === 'feed'
        ? `${doseWeightText(why.grams, units)} of nitrogen is short in each container; in ${Math.round(why.days)} days it gives out ${percentText(why.released)} of its own.`
        : `To bring pH from ${pHText(why.from)} to ${pHText(why.to)} in ${why.weeks} weeks of warmth.`
    const capped = why.capped
      ? ' More would be needed; this is the most usually given, the rest is for liquid feed.'
      : ''
    return {
      line,
      label: `${doseText(line.gramsPerLitre, units)} of ${name}`,
      why: `${says}${why.code === 'feed' ? capped : why.capped ? ' This is the most usually given; look again then.' : ''} ${inHand}.`,
    }
  }),
)
const rows = computed(() =>
  lines.map((line) => {
    const dressing = dressingById(line.dressingId)
    return {
      line,
      name: dressingName(line.dressingId),
      usual: usual(dressing),
      hazard: dressing?.hazard ?? '',
      amount:
        litres !== null && dressing && line.place.kind === 'throughout' && line.gramsPerLitre > 0
          ? doseInHand(line.gramsPerLitre, dressing.bulkDensity.value, litres * line.share, units)
          : '',
    }
  }),
)
</script>

<template>
  <section class="dressings" aria-labelledby="dressings-title">
    <h2 id="dressings-title">Feed and other dressings</h2>
    <div v-for="r in rows" :key="r.line.dressingId" class="line" role="group" :aria-label="r.name">
      <div class="row top">
        <strong>{{ r.name }}</strong>
        <Button
          icon="pi pi-times"
          text
          size="small"
          :aria-label="`Leave out ${r.name}`"
          @click="emit('remove', r.line.dressingId)"
        />
      </div>
      <div class="grid">
        <QuantityField
          label="For a litre of mix"
          quantity="dose"
          :units="units"
          :model-value="r.line.gramsPerLitre"
          :problem="
            r.line.gramsPerLitre < 0
              ? { why: 'Below nothing.', fix: 'Type 0 or more.' }
              : r.line.gramsPerLitre > 60
                ? { why: 'Nobody gives so much.', fix: 'Check the unit.' }
                : null
          "
          :hint="r.usual"
          @update:model-value="emit('set', { ...r.line, gramsPerLitre: $event })"
        />
        <div class="field">
          <label :for="`place-${r.line.dressingId}`">Goes</label>
          <Select
            :input-id="`place-${r.line.dressingId}`"
            :model-value="r.line.place.kind"
            :options="places"
            option-label="label"
            option-value="value"
            :aria-label="`Where ${r.name} goes`"
            @update:model-value="setPlace(r.line, $event)"
          />
        </div>
        <QuantityField
          v-if="r.line.place.kind === 'top'"
          label="Top"
          quantity="length"
          :units="units"
          :model-value="r.line.place.depth"
          :problem="r.line.place.depth > 0 ? null : { why: 'No depth.', fix: 'Type more than 0.' }"
          @update:model-value="emit('set', { ...r.line, place: { kind: 'top', depth: $event } })"
        />
        <QuantityField
          v-if="r.line.place.kind === 'heldBack'"
          label="Days after planting"
          quantity="number"
          :units="units"
          :model-value="r.line.place.from"
          :problem="r.line.place.from >= 0 ? null : { why: 'Below nothing.', fix: 'Type 0 or more.' }"
          @update:model-value="emit('set', { ...r.line, place: { kind: 'heldBack', from: $event } })"
        />
        <div v-if="r.line.place.kind === 'throughout'" class="field">
          <label :for="`share-${r.line.dressingId}`">For</label>
          <Select
            :input-id="`share-${r.line.dressingId}`"
            :model-value="r.line.share"
            :options="shares"
            option-label="label"
            option-value="value"
            :aria-label="`How much of the mix gets ${r.name}`"
            @update:model-value="emit('set', { ...r.line, share: $event })"
          />
        </div>
      </div>
      <p v-if="r.amount" class="soft">{{ r.amount }}.</p>
      <p v-if="r.hazard && r.hazard !== 'low'" class="care">Handle with care: {{ r.hazard }}.</p>
    </div>
    <div v-for="o in doses" :key="o.line.dressingId" class="offer">
      <Button
        :label="`Give ${o.label}`"
        icon="pi pi-plus"
        size="small"
        outlined
        :disabled="stale"
        @click="emit('set', o.line)"
      />
      <p class="soft">{{ o.why }}</p>
    </div>
    <Select
      :model-value="null"
      :options="offered"
      option-label="label"
      option-value="id"
      filter
      auto-filter-focus
      placeholder="Add a feed or other dressing"
      filter-placeholder="Search dressings"
      empty-filter-message="No dressing of that name"
      aria-label="Add a feed or other dressing"
      class="add"
      @update:model-value="add"
    />
  </section>
</template>

<style scoped>
.dressings {
  margin-top: 16px;
  padding-top: 10px;
  border-top: 1px solid var(--rule);
}
.line {
  padding: 4px 0 10px;
  border-bottom: 1px solid var(--rule);
  margin-bottom: 8px;
}
.top {
  justify-content: space-between;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 12px;
  align-items: start;
}
p {
  margin: 2px 0 0;
  font-size: 0.9rem;
}
.care {
  border-left: 4px solid var(--straw);
  padding-left: 8px;
}
.offer {
  margin-bottom: 10px;
}
.add {
  width: 100%;
}
</style>
