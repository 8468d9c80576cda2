<script setup lang="ts">
/** Where the garden is and how it is looked after: the climate, the water, how often somebody can water. */
import { common } from '@/text/base/common'
import { placeView as words } from '@/text/views/placeView'
import { computed, ref } from 'vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import FileButton from '@/components/field/FileButton.vue'
import CareFields from '@/components/place/CareFields.vue'
import MonthFields from '@/components/place/MonthFields.vue'
import ThirstBars from '@/components/place/ThirstBars.vue'
import { monthlyReference } from '@/core/climate'
import { CLIMATES } from '@/core/climate/climates'
import { placeOf } from '@/model/garden/garden'
import type { Place } from '@/model/garden/schemas'
import { startingPlace } from '@/model/garden/starting'
import { decodeText } from '@/model/sheets/decode'
import { monthProblem, monthsFromText, placeProblem, type ClimateProblem } from '@/model/sheets/climateSheet'
import { useGarden } from '@/stores/garden'
import { climateProblemText, unlikelyText } from '@/text/bed/place'

const garden = useGarden()
const units = computed(() => garden.settings.units)
const place = computed(() => placeOf(garden.records) ?? null)
const climates = [
  ...CLIMATES.map((c) => ({ value: c.id, label: c.name })),
  { value: 'own', label: words.myOwnFigures },
]

const setPlace = (next: Place, field?: string) => garden.run({ type: 'place/set', place: next, field })
/** One thing typed in; what is typed on in it undoes with it. */
const set = (change: Partial<Place>, field = Object.keys(change)[0]) =>
  place.value && setPlace({ ...place.value, ...change }, field)
function setClimate(id: string | null) {
  const known = CLIMATES.find((c) => c.id === id)
  const from = startingPlace(known ?? CLIMATES[0]!)
  const climateId = known ? known.id : null
  const { latitude, elevation, months } = from
  if (!place.value) setPlace({ ...from, climateId })
  else
    setPlace(
      known ? { ...place.value, latitude, elevation, months, climateId } : { ...place.value, climateId },
    )
}
const setMonth = (i: number, change: Partial<Place['months'][number]>) =>
  place.value &&
  set(
    { climateId: null, months: place.value.months.map((m, k) => (k === i ? { ...m, ...change } : m)) },
    `month ${i} ${Object.keys(change)[0]}`,
  )

const beside = (field: keyof Place) => {
  const wrong = place.value && placeProblem(place.value, field)
  return wrong ? unlikelyText(words.lie(wrong)) : null
}
const besideMonth = (i: number, column: 'tmin' | 'tmax' | 'rain') => {
  const wrong = place.value && monthProblem(place.value.months[i]!)
  return wrong?.column === column ? unlikelyText(words.be(wrong.wanted)) : null
}
/** What everything else is worked out from; null while a figure is wrong. */
const reference = computed(() => {
  const p = place.value
  if (!p || p.months.some(monthProblem) || placeProblem(p, 'latitude')) return null
  return p.months.map((_, i) => monthlyReference(p, i + 1))
})

const trouble = ref<ClimateProblem | null>(null)
async function fromFile(file: File) {
  const { text } = decodeText(new Uint8Array(await file.arrayBuffer()))
  if (!place.value) return
  const read = monthsFromText(text, units.value)
  trouble.value = read.ok ? null : read.problem
  if (read.ok) setPlace({ ...place.value, months: read.months, climateId: null })
}
</script>

<template>
  <div class="page">
    <h1>{{ common.place }}</h1>
    <p class="soft">
      {{ words.whereTheGardenIsDecides }}
    </p>
    <ChoiceField
      class="climate"
      :label="words.climateLike"
      :model-value="place ? (place.climateId ?? 'own') : null"
      :options="climates"
      :placeholder="words.chooseTheNearest"
      @update:model-value="setClimate"
    />
    <template v-if="place">
      <div class="two">
        <section aria-labelledby="care-title">
          <h2 id="care-title">{{ words.waterAndWind }}</h2>
          <CareFields :place="place" :garden="garden.name" :units="units" :beside="beside" @set="set" />
        </section>
        <section aria-labelledby="thirst-title">
          <h2 id="thirst-title">{{ words.howThirstyTheAirIs }}</h2>
          <ThirstBars v-if="reference" :reference="reference" :units="units" />
        </section>
      </div>
      <section aria-labelledby="months-title">
        <div class="row months">
          <h2 id="months-title">{{ words.byTheMonth }}</h2>
          <FileButton
            :label="words.fromACsv"
            name="CSV file of a climate"
            accept=".csv,.tsv,.txt,text/csv"
            quiet
            @file="fromFile"
          />
        </div>
        <p v-if="trouble" class="said wrong" role="alert">
          <strong>{{ words.theFileWasNotTaken }}</strong> {{ climateProblemText(trouble) }}
        </p>
        <MonthFields :months="place.months" :units="units" :beside="besideMonth" @set="setMonth" />
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
.months {
  margin-top: 18px;
  gap: 10px;
}
@media (max-width: 760px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
