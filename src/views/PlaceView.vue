<script setup lang="ts">
/** Where the garden is and how it is looked after: the climate, the water, how often somebody can water. */
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import QuantityField from '@/components/QuantityField.vue'
import { monthlyReference } from '@/core/climate'
import { coldestNightOf, hardinessZone } from '@/core/season'
import { CLIMATES } from '@/core/data/climates'
import { monthProblem, monthsFromText, placeProblem, type ClimateProblem } from '@/model/sheets/climateSheet'
import { placeOf, startingPlace } from '@/model/garden/garden'
import { WINDS, type Place } from '@/model/garden/schemas'
import { useGarden } from '@/stores/garden'
import { MONTHS, WIND_NAMES } from '@/text/labels'
import type { Sentence } from '@/text/problems.en'
import { waterDepthText } from '@/text/units'

const garden = useGarden()
const units = computed(() => garden.settings.units)
const place = computed(() => placeOf(garden.records) ?? null)
const climates = [
  ...CLIMATES.map((c) => ({ value: c.id, label: c.name })),
  { value: 'own', label: 'My own figures' },
]
const winds = WINDS.map((value) => ({ value, label: WIND_NAMES[value] }))

const put = (next: Place, field?: string) => garden.run({ type: 'place/set', place: next, field })
/** One thing typed in; what is typed on in it undoes with it. */
const set = (change: Partial<Place>, field = Object.keys(change)[0]) =>
  place.value && put({ ...place.value, ...change }, field)
function setClimate(id: string) {
  const climate = CLIMATES.find((c) => c.id === id)
  if (!climate)
    return place.value
      ? put({ ...place.value, climateId: null })
      : put({ ...startingPlace(CLIMATES[0]!), climateId: null })
  const { latitude, elevation, months, climateId } = startingPlace(climate)
  put(place.value ? { ...place.value, latitude, elevation, months, climateId } : startingPlace(climate))
}
const setMonth = (i: number, change: Partial<Place['months'][number]>) =>
  place.value &&
  set(
    { climateId: null, months: place.value.months.map((m, k) => (k === i ? { ...m, ...change } : m)) },
    `month ${i} ${Object.keys(change)[0]}`,
  )

const beside = (field: keyof Place): Sentence | null => {
  const wrong = place.value && placeProblem(place.value, field)
  return wrong ? { why: 'Nobody would believe that.', fix: `It should lie ${wrong}.` } : null
}
const besideMonth = (i: number, column: 'tmin' | 'tmax' | 'rain'): Sentence | null => {
  const wrong = place.value && monthProblem(place.value.months[i]!)
  return wrong?.column === column
    ? { why: 'Nobody would believe that.', fix: `It should be ${wrong.wanted}.` }
    : null
}
const coldest = computed(() => (place.value ? (place.value.coldestNight ?? coldestNightOf(place.value)) : 0))
/** Water a lawn would use, mm a day: what everything else is reckoned from. */
const thirst = computed(() => {
  const p = place.value
  if (!p || p.months.some(monthProblem) || placeProblem(p, 'latitude')) return null
  return p.months.map((_, i) => monthlyReference(p, i + 1))
})
const most = computed(() => Math.max(...(thirst.value ?? [1]), 1))

const trouble = ref<ClimateProblem | null>(null)
const picker = ref<HTMLInputElement | null>(null)
async function fromFile(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file || !place.value) return
  const read = monthsFromText(await file.text(), units.value)
  trouble.value = read.ok ? null : read.problem
  if (read.ok) put({ ...place.value, months: read.months, climateId: null })
  input.value = ''
}
</script>

<template>
  <div class="page place">
    <h1>Place</h1>
    <p class="soft">
      Where the garden is decides how fast pots dry, how fast lime and feed work, and how mixes rot. Six
      made-up climates to begin from; your own figures are better.
    </p>
    <div class="field climate">
      <label for="climate">Climate like</label>
      <Select
        input-id="climate"
        :model-value="place ? (place.climateId ?? 'own') : null"
        :options="climates"
        option-label="label"
        option-value="value"
        placeholder="Choose the nearest"
        aria-label="Climate like"
        @update:model-value="setClimate"
      />
    </div>
    <template v-if="place">
      <div class="two">
        <section aria-labelledby="care-title">
          <h2 id="care-title">Water and wind</h2>
          <div class="grid">
            <QuantityField
              label="Days between waterings you can keep"
              quantity="number"
              :units="units"
              :problem="beside('waterEvery')"
              :model-value="place.waterEvery"
              hint="1 for every day, 0.5 for twice a day"
              @update:model-value="set({ waterEvery: $event })"
            />
            <div class="field">
              <label for="wind">Wind</label>
              <Select
                input-id="wind"
                :model-value="place.wind"
                :options="winds"
                option-label="label"
                option-value="value"
                aria-label="Wind"
                @update:model-value="set({ wind: $event })"
              />
            </div>
            <QuantityField
              label="Alkalinity of the water, meq/L"
              quantity="number"
              :units="units"
              :problem="beside('waterAlkalinity')"
              :model-value="place.waterAlkalinity"
              hint="rain 0, soft 1, hard tap water 3 to 6; mg/L of CaCO3 divided by 50"
              @update:model-value="set({ waterAlkalinity: $event })"
            />
            <QuantityField
              label="Salts of the water, dS/m"
              quantity="number"
              :units="units"
              :problem="beside('waterEc')"
              :model-value="place.waterEc"
              hint="EC; your supplier says it in µS/cm, divided by 1000"
              @update:model-value="set({ waterEc: $event })"
            />
            <QuantityField
              label="Latitude, degrees"
              quantity="number"
              :units="units"
              :problem="beside('latitude')"
              :model-value="place.latitude"
              hint="south below nought"
              @update:model-value="set({ latitude: $event, climateId: null })"
            />
            <QuantityField
              label="Height above the sea"
              quantity="height"
              :units="units"
              :problem="beside('elevation')"
              :model-value="place.elevation"
              @update:model-value="set({ elevation: $event, climateId: null })"
            />
            <QuantityField
              label="Coldest night of most winters"
              quantity="temperature"
              :units="units"
              :problem="beside('coldestNight')"
              :model-value="coldest"
              :hint="
                place.coldestNight === null
                  ? `reckoned from the months; zone ${hardinessZone(coldest)}`
                  : `your figure; zone ${hardinessZone(coldest)}`
              "
              @update:model-value="set({ coldestNight: $event })"
            />
            <Button
              v-if="place.coldestNight !== null"
              class="reckon"
              label="Reckon it from the months"
              text
              size="small"
              @click="set({ coldestNight: null })"
            />
          </div>
        </section>
        <section aria-labelledby="thirst-title">
          <h2 id="thirst-title">How thirsty the air is</h2>
          <div v-if="thirst" class="bars" aria-hidden="true">
            <span v-for="(mm, i) in thirst" :key="i" class="bar">
              <i :style="{ height: `${(mm / most) * 100}%` }" />
              <small>{{ MONTHS[i]!.slice(0, 1) }}</small>
            </span>
          </div>
          <p v-if="thirst" class="soft">
            A lawn would use {{ waterDepthText(Math.min(...thirst), units) }} a day in the quietest month,
            {{ waterDepthText(Math.max(...thirst), units) }} in
            {{ MONTHS[thirst.indexOf(Math.max(...thirst))] }} (reference evapotranspiration, FAO-56 eq. 52).
          </p>
        </section>
      </div>
      <section aria-labelledby="months-title">
        <div class="row months-head">
          <h2 id="months-title">By the month</h2>
          <Button label="From a CSV" icon="pi pi-upload" text size="small" @click="picker?.click()" />
          <input
            ref="picker"
            type="file"
            accept=".csv,.tsv,.txt,text/csv"
            class="visually-hidden"
            tabindex="-1"
            aria-label="CSV file of a climate"
            @change="fromFile"
          />
        </div>
        <p v-if="trouble" class="wrong" role="alert">
          <strong>The file was not taken.</strong> {{ trouble.row === null ? '' : `Row ${trouble.row}, `
          }}{{ trouble.column }}: “{{ trouble.text }}”; wanted: {{ trouble.wanted }}. Headings: tmin, tmax,
          rain; twelve rows, January first.
        </p>
        <div class="months">
          <div v-for="(m, i) in place.months" :key="i" class="month">
            <QuantityField
              :label="`${MONTHS[i]}, nights`"
              quantity="temperature"
              :units="units"
              :problem="besideMonth(i, 'tmin')"
              :model-value="m.tMin"
              @update:model-value="setMonth(i, { tMin: $event })"
            />
            <QuantityField
              :label="`${MONTHS[i]}, days`"
              quantity="temperature"
              :units="units"
              :problem="besideMonth(i, 'tmax')"
              :model-value="m.tMax"
              @update:model-value="setMonth(i, { tMax: $event })"
            />
            <QuantityField
              :label="`${MONTHS[i]}, rain`"
              quantity="rain"
              :units="units"
              :problem="besideMonth(i, 'rain')"
              :model-value="m.rain"
              @update:model-value="setMonth(i, { rain: $event })"
            />
          </div>
        </div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.climate {
  max-width: 420px;
  margin-bottom: 16px;
}
.two {
  display: grid;
  grid-template-columns: 1.6fr 1fr;
  gap: 32px;
}
.two h2 {
  margin-bottom: 10px;
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 16px;
}
.bars {
  display: flex;
  gap: 6px;
  height: 150px;
  align-items: flex-end;
}
.bar {
  flex: 1;
  height: 100%;
  display: flex;
  flex-direction: column;
  justify-content: flex-end;
  align-items: center;
}
.bar i {
  width: 100%;
  background: var(--straw);
  border-radius: 3px 3px 0 0;
}
.months-head {
  margin-top: 18px;
  gap: 10px;
}
.months {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(320px, 1fr));
  gap: 12px 24px;
}
.month {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 4px 8px;
}
.month :deep(label) {
  font-weight: 400;
  font-size: 0.88rem;
}
.wrong {
  color: var(--alarm);
}
@media (max-width: 760px) {
  .two,
  .grid {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
