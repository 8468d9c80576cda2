<script setup lang="ts">
/** What grows in it: the crop, its companions, when and how many, and how the place suits it. */
import { common } from '@/text/base/common'
import { cropFields as words } from '@/text/components/bed'
import { raiseView } from '@/text/views/raiseView'
import { computed } from 'vue'
import { countProblem } from '@/core/amounts'
import { CROPS, type Crop } from '@/core/data'
import { cropName } from '@/core/data/cropTable'
import type { Targets } from '@/core/targets'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import { STAGES, type Job, type Place } from '@/model/garden/schemas'
import { raisedOf } from '@/model/season/raising'
import { outdoorsOf, winterOf } from '@/model/season/season'
import { cropChoices } from '@/text/base/choices'
import { counted } from '@/text/base/counted'
import { STAGE_NAMES } from '@/text/base/labels'
import { MONTHS } from '@/text/base/months'
import { conflictText } from '@/text/bed/targets'
import { climateName } from '@/text/bed/place'
import { problemText } from '@/text/base/problems.en'
import { winterText } from '@/text/season/winter'
import { cropLikesText, monthText } from '@/text/season/seasonPlan'
import type { UnitSystem } from '@/text/base/units'
import ChoiceField from '../field/ChoiceField.vue'
import ManyChoiceField from '../field/ManyChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'
import FoldBox from '../frame/FoldBox.vue'
import MonthStrip from '../MonthStrip.vue'

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
  planting: [change: Partial<Pick<Job, 'plantMonth' | 'plants' | 'stage' | 'years'>>]
}>()

/** Years a mix may be asked to last. */
const YEARS = [1, 2, 3, 4, 5, 6, 8, 10]
const crops = cropChoices(CROPS)
const others = computed(() => crops.filter((c) => c.value !== job.cropId))
const conflicts = computed(() => (targets?.conflicts ?? []).map(conflictText))
const months = MONTHS.map((label, i) => ({ value: i + 1, label }))
const stages = STAGES.map((value) => ({ value, label: STAGE_NAMES[value] }))
const years = YEARS.map((value) => ({ value, label: counted(value, 'year') }))
/** What was said is in sight; else nobody is asked. */
const isOpen = job.stage !== 'grown' || job.years !== null
const outdoors = computed(() => outdoorsOf(job, place))
const monthWord = computed(() =>
  outdoors.value && crop ? monthText(outdoors.value.planting, job.plantMonth, crop.name) : '',
)
const winter = computed(() => {
  const margin = winterOf(job, place)
  return margin && crop ? winterText(margin, crop.name, units) : null
})
/** What is under the fold, in a few words. */
const growingSays = computed(() =>
  [
    job.plantMonth === null ? words.mayIfUnsaid : MONTHS[job.plantMonth - 1]!,
    climateName(place),
    ...job.companionIds.map((id) => cropName(id)),
  ].join(', '),
)
const plantsProblem = computed(() => {
  const wrong = job.plants === null ? null : countProblem(job.plants)
  return wrong && problemText(wrong, units)
})
</script>

<template>
  <div class="crop">
    <ChoiceField
      :label="words.crop"
      :model-value="job.cropId"
      :options="crops"
      clearable
      :placeholder="words.chooseWhatWillGrowIn"
      :search="common.searchCrops"
      :none="common.noCropOfThatName"
      :hint="cropLikesText(crop)"
      @update:model-value="emit('crop', $event)"
    />
    <FoldBox v-if="crop" id="growing" :title="words.whenAndWithWhat" :says="growingSays">
      <ManyChoiceField
        :label="words.withItInTheSame"
        name="Other crops in the same mix"
        :model-value="job.companionIds"
        :options="others"
        :most="GARDEN_LIMITS.companions.value"
        :placeholder="words.nothingElse"
        :search="common.searchCrops"
        :none="common.noCropOfThatName"
        @update:model-value="emit('companions', $event)"
      >
        <p v-for="line in conflicts" :key="line" class="said wrong">{{ line }}</p>
      </ManyChoiceField>
      <div class="pair">
        <ChoiceField
          :label="words.plantedIn"
          :model-value="job.plantMonth"
          :options="months"
          clearable
          :placeholder="words.mayIfUnsaid"
          @update:model-value="emit('planting', { plantMonth: $event })"
        />
        <div class="field">
          <span class="label">{{ common.place }}</span>
          <RouterLink class="place" :to="{ name: 'place' }">{{ climateName(place) }}</RouterLink>
        </div>
        <QuantityField
          v-if="room !== null || job.plants !== null"
          :label="common.plantsInEach"
          quantity="number"
          :units="units"
          :problem="plantsProblem"
          :model-value="job.plants ?? Math.max(1, room ?? 1)"
          :hint="job.plants === null ? words.asManyAsHaveRoom : words.yourNumber"
          @update:model-value="emit('planting', { plants: $event })"
        />
        <button
          v-if="job.plants !== null"
          type="button"
          class="link"
          @click="emit('planting', { plants: null })"
        >
          {{ words.asManyAsHaveRoom2 }}
        </button>
      </div>
      <details class="more" :open="isOpen">
        <summary>{{ words.seedsCuttingsOrYears }}</summary>
        <div class="pair">
          <ChoiceField
            :label="words.whatGrowsInIt"
            :model-value="job.stage"
            :options="stages"
            @update:model-value="emit('planting', { stage: $event })"
          />
          <ChoiceField
            :label="words.yearsInThisMix"
            :model-value="job.years"
            :options="years"
            clearable
            :placeholder="words.notSaid"
            @update:model-value="emit('planting', { years: $event })"
          />
        </div>
      </details>
      <RouterLink v-if="raisedOf(job.cropId)" class="place" :to="{ name: 'raise' }">{{
        raiseView.link
      }}</RouterLink>
      <div v-if="outdoors" class="field">
        <span class="label">{{ words.whenItCanStandOutside }}</span>
        <MonthStrip :suits="outdoors.suits" :planting="outdoors.planting" />
        <p v-if="winter" class="said">{{ winter }}</p>
      </div>
    </FoldBox>
    <p v-if="monthWord" class="said">{{ monthWord }}</p>
  </div>
</template>

<style scoped>
.crop {
  display: flex;
  flex-direction: column;
  gap: 10px;
  margin-bottom: 10px;
}
.more[open] summary {
  margin-bottom: 8px;
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
