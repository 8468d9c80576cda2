<script setup lang="ts">
/** The water of the garden: what it is, what it does to each mix, what would do better, acid and rain. */
import { careFields } from '@/text/components/place'
import { placeView } from '@/text/views/placeView'
import { yourWaterView as words } from '@/text/views/yourWaterView'
import Button from 'primevue/button'
import { computed } from 'vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import AcidBox from '@/components/water/AcidBox.vue'
import JobWater from '@/components/water/JobWater.vue'
import RainBarrel from '@/components/water/RainBarrel.vue'
import WaterKind from '@/components/water/WaterKind.vue'
import WaterReport from '@/components/water/WaterReport.vue'
import { useCan } from '@/composables/season/useCan'
import { useJobWaters } from '@/composables/water/useJobWaters'
import { cropById } from '@/core/data'
import type { WaterTreatment } from '@/core/irrigation'
import type { Job, Place } from '@/model/garden/schemas'
import { placeProblem } from '@/model/sheets/climateSheet'
import { tapOf } from '@/model/mix/jobWater'
import { isOver } from '@/stations/stations'
import { useGarden } from '@/stores/garden'
import { unlikelyText } from '@/text/bed/place'
import { allOf } from '@/text/base/labels'
import { jobTitle } from '@/text/base/titles'
import { failureText } from '@/text/make/tasks'
import { treatmentName, waterLine } from '@/text/water/yourWater'

const garden = useGarden()
const units = computed(() => garden.settings.units)
const can = useCan(units)
const { place, rows, next, failure, again, barrel } = useJobWaters(garden, () =>
  garden.jobs.filter((job) => !isOver(job)),
)

const set = (change: Partial<Place>, field = Object.keys(change)[0]) =>
  place.value && garden.run({ type: 'place/set', place: { ...place.value, ...change }, field })
const beside = (field: keyof Place) => {
  const wrong = place.value && placeProblem(place.value, field)
  return wrong ? unlikelyText(placeView.lie(wrong)) : null
}
const use = (job: Job, water: WaterTreatment) =>
  garden.run({ type: 'job/water', jobId: job.id, water, what: treatmentName(water) })
const whose = computed(() =>
  barrel.value.jobs.length > 0 ? words.rainFor(allOf(barrel.value.jobs.map(jobTitle))) : words.rainForAll,
)
</script>

<template>
  <div class="page">
    <h1>{{ words.title }}</h1>
    <p v-if="!place">
      {{ words.choosePlace }}
      <RouterLink :to="{ name: 'place', params: { garden: garden.name } }">{{ words.toPlace }}</RouterLink>
    </p>
    <template v-else>
      <p>{{ words.says(waterLine(tapOf(place))) }}</p>
      <WaterKind class="kind" :place="place" :label="careFields.kindOfWater" @set="set" />
      <FoldBox id="water-report" :title="words.report" :says="words.reportSays">
        <WaterReport :place="place" :units="units" :beside="beside" @set="set" />
      </FoldBox>
      <section aria-labelledby="jobs-title">
        <h2 id="jobs-title">{{ words.jobs }}</h2>
        <p v-if="rows.length === 0">{{ words.noJobs }}</p>
        <ProblemBox v-if="failure" :sentence="failureText(failure)">
          <Button :label="words.tryAgain" outlined @click="again()" />
        </ProblemBox>
        <p v-else-if="next" class="soft" role="status">{{ words.lookingFor(jobTitle(next)) }}</p>
        <ul class="plain">
          <template v-for="{ job, cropId, ways } in rows" :key="job.id">
            <JobWater
              v-if="ways"
              :name="jobTitle(job)"
              :ways="ways"
              :crop-name="cropById(cropId)?.name ?? null"
              :tap="place.waterAlkalinity"
              :can="can"
              :units="units"
              @use="use(job, $event)"
            />
            <li v-else-if="ways === null">
              <h3>{{ jobTitle(job) }}</h3>
              <p class="soft">{{ words.cannot }}</p>
            </li>
          </template>
        </ul>
      </section>
      <FoldBox id="water-acid" :title="words.acid" :says="words.acidSays">
        <AcidBox :alkalinity="place.waterAlkalinity" :can="can" :units="units" />
      </FoldBox>
      <FoldBox id="water-rain" :title="words.rain" :says="words.rainSays">
        <RainBarrel
          :place="place"
          :use="barrel.use"
          :whose="whose"
          :units="units"
          :beside="beside"
          @set="set"
        />
      </FoldBox>
    </template>
  </div>
</template>

<style scoped>
.kind {
  max-width: 420px;
}
section {
  margin: 18px 0 14px;
}
</style>
