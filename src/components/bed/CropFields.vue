<script setup lang="ts">
/** What grows in it: the crop, its companions, when and how many, and how the place suits it. */
import { countProblem } from '@/core/amounts'
import MultiSelect from 'primevue/multiselect'
import Select from 'primevue/select'
import { computed } from 'vue'
import MonthStrip from '@/components/MonthStrip.vue'
import QuantityField from '@/components/QuantityField.vue'
import { CROPS, type Crop } from '@/core/data'
import type { Targets } from '@/core/targets'
import { CLIMATES } from '@/core/data/climates'
import { outdoorsOf, winterOf } from '@/model/season/season'
import type { Job, Place } from '@/model/garden/schemas'
import { conflictText, cropsByKind, MONTHS } from '@/text/labels'
import { problemText } from '@/text/problems.en'
import { winterText } from '@/text/season'
import { percentText, pHText, type UnitSystem } from '@/text/units'

const { job, crop, place, targets, units, room } = defineProps<{
  job: Job
  crop: Crop | undefined
  place: Place | undefined
  targets: Targets | null
  units: UnitSystem
  /** Plants each container has room for; null while that cannot be said. */
  room: number | null
}>()
const emit = defineEmits<{
  crop: [cropId: string | null]
  companions: [cropIds: string[]]
  planting: [change: Partial<Pick<Job, 'plantMonth' | 'plants'>>]
}>()

const crops = cropsByKind(CROPS)
const others = computed(() => crops.filter((c) => c.id !== job.cropId))
const conflicts = computed(() => (targets?.conflicts ?? []).map(conflictText))
const months = MONTHS.map((label, i) => ({ value: i + 1, label }))
const outdoors = computed(() => outdoorsOf(job, place))
/** What the months say of the one chosen. */
const monthWord = computed(() => {
  const o = outdoors.value
  if (!o || !crop) return ''
  if (o.planting.length === 0)
    return `Outside, your months never suit ${crop.name.toLowerCase()} from planting to harvest: it wants glass or a warm wall.`
  const asked = job.plantMonth
  if (asked === null || o.planting.includes(asked)) return ''
  return `Planted in ${MONTHS[asked - 1]} it would want shelter; outside from ${o.planting.map((m) => MONTHS[m - 1]!.slice(0, 3)).join(', ')}.`
})
const winter = computed(() => {
  const w = winterOf(job, place)
  return w && crop ? winterText(w, crop.name, units) : null
})
const placeName = computed(() =>
  place
    ? (CLIMATES.find((c) => c.id === place.climateId)?.name ?? 'Your own climate')
    : 'Say where you garden',
)
const plantsProblem = computed(() => {
  const wrong = job.plants === null ? null : countProblem(job.plants)
  return wrong && problemText(wrong, units)
})
</script>

<template>
  <div class="field">
    <label for="crop">Crop</label>
    <Select
      input-id="crop"
      :model-value="job.cropId"
      :options="crops"
      option-label="name"
      option-value="id"
      filter
      auto-filter-focus
      show-clear
      placeholder="Choose what will grow in it"
      filter-placeholder="Search crops"
      empty-filter-message="No crop of that name"
      aria-label="Crop"
      @update:model-value="emit('crop', $event)"
    />
    <p v-if="crop" class="said">
      Likes {{ percentText(crop.airFilledPorosity.low) }} to
      {{ percentText(crop.airFilledPorosity.high) }} air after draining, pH {{ pHText(crop.pH.low) }} to
      {{ pHText(crop.pH.high) }}, moisture: {{ crop.moisture }}.
    </p>
    <p v-else class="said">Sets what the mix is held against. Without one: what most vegetables like.</p>
  </div>
  <template v-if="crop">
    <div class="field">
      <label for="companions">With it in the same mix</label>
      <MultiSelect
        input-id="companions"
        :model-value="job.companionIds"
        :options="others"
        option-label="name"
        option-value="id"
        filter
        auto-filter-focus
        :show-toggle-all="false"
        :selection-limit="12"
        placeholder="nothing else"
        filter-placeholder="Search crops"
        empty-filter-message="No crop of that name"
        aria-label="Other crops in the same mix"
        @update:model-value="emit('companions', $event)"
      />
      <p v-for="line in conflicts" :key="line" class="said wrong">{{ line }}</p>
    </div>
    <div class="grid">
      <div class="field">
        <label for="month">Planted in</label>
        <Select
          input-id="month"
          :model-value="job.plantMonth"
          :options="months"
          option-label="label"
          option-value="value"
          show-clear
          placeholder="May, if unsaid"
          aria-label="Planted in"
          @update:model-value="emit('planting', { plantMonth: $event })"
        />
      </div>
      <div class="field">
        <label>Place</label>
        <RouterLink class="place" :to="{ name: 'place' }">{{ placeName }}</RouterLink>
      </div>
      <QuantityField
        v-if="room !== null || job.plants !== null"
        label="Plants in each"
        quantity="number"
        :units="units"
        :problem="plantsProblem"
        :model-value="job.plants ?? Math.max(1, room ?? 1)"
        :hint="job.plants === null ? 'as many as have room' : 'your number'"
        @update:model-value="emit('planting', { plants: $event })"
      />
      <button
        v-if="job.plants !== null"
        type="button"
        class="link"
        @click="emit('planting', { plants: null })"
      >
        As many as have room
      </button>
    </div>
    <div v-if="outdoors" class="field when">
      <span class="label">When it can stand outside</span>
      <MonthStrip :suits="outdoors.suits" :planting="outdoors.planting" />
      <p v-if="monthWord" class="said">{{ monthWord }}</p>
      <p v-if="winter" class="said">{{ winter }}</p>
    </div>
  </template>
</template>

<style scoped>
.field {
  margin-bottom: 10px;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 14px;
  align-items: start;
}
.place {
  padding: 8px 0;
}
.link {
  align-self: center;
  justify-self: start;
  background: none;
  border: 0;
  padding: 10px 0;
  font: inherit;
  color: var(--clay);
  text-decoration: underline;
  cursor: pointer;
}
</style>
