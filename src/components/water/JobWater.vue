<script setup lang="ts">
/** One job under its water: how pH goes, what would do better, each tried on its mix. */
import { yourWaterView as words } from '@/text/views/yourWaterView'
import Button from 'primevue/button'
import { computed } from 'vue'
import type { WaterTreatment } from '@/core/irrigation'
import type { JobWays, WaterWay } from '@/model/water/waterWays'
import {
  canOfWater,
  suitsText,
  treatmentName,
  waterCourse,
  waterVerdict,
  wayText,
} from '@/text/water/yourWater'
import type { UnitSystem } from '@/text/base/units'
import WeekLine from '../picture/WeekLine.vue'

const { name, ways, cropName, tap, can, units } = defineProps<{
  name: string
  ways: JobWays
  cropName: string | null
  /** meq/L of the tap. */
  tap: number
  /** Litres of the can. */
  can: number
  units: UnitSystem
}>()
const emit = defineEmits<{ use: [treatment: WaterTreatment] }>()
const isTreated = computed(() => ways.given.treatment.rain > 0 || ways.given.treatment.acid !== null)
const beside = computed(() => (isTreated.value ? ways.plain : (ways.offers[0] ?? null)))
const isTooHard = computed(() => ways.given.water.alkalinity > ways.aim.act)
const picture = computed(() => waterCourse(ways, beside.value))
const says = (way: WaterWay) => waterVerdict(way, cropName)
const mixing = (treatment: WaterTreatment) => canOfWater(treatment, { alkalinity: tap, can }, units)
</script>

<template>
  <li class="job">
    <h3>{{ name }}</h3>
    <div class="both">
      <div>
        <p>
          <strong v-if="isTreated">{{ words.gets(treatmentName(ways.given.treatment)) }}</strong>
          {{ suitsText(ways) }} {{ wayText(ways.given) }}
        </p>
        <p v-if="isTreated && mixing(ways.given.treatment)">{{ mixing(ways.given.treatment) }}</p>
        <p v-if="says(ways.given)">{{ says(ways.given) }}</p>
      </div>
      <WeekLine v-if="beside" :course="picture.course" :label="picture.label" />
    </div>
    <p v-if="isTooHard && ways.offers.length === 0" class="soft">{{ words.nothingBetter }}</p>
    <div v-for="offer in ways.offers" :key="treatmentName(offer.treatment)" class="offer">
      <p>
        <strong>{{ words.better(treatmentName(offer.treatment)) }}.</strong> {{ wayText(offer) }}
        {{ says(offer) }}
        <span class="soft">{{ mixing(offer.treatment) }}</span>
      </p>
      <Button
        :label="words.use(treatmentName(offer.treatment))"
        :aria-label="words.useFor(treatmentName(offer.treatment), name)"
        outlined
        @click="emit('use', offer.treatment)"
      />
    </div>
    <Button
      v-if="isTreated"
      :label="words.back"
      :aria-label="words.backFor(name)"
      text
      @click="emit('use', { rain: 0, acid: null })"
    />
  </li>
</template>

<style scoped>
.job {
  padding: 10px 0 14px;
  border-bottom: 1px solid var(--rule);
}
.job p {
  margin: 0 0 4px;
}
.both {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(220px, 1fr);
  gap: 8px 24px;
}
.offer {
  margin-top: 8px;
}
@media (max-width: 760px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
