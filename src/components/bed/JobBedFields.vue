<script setup lang="ts">
/** What a job asks of one of its beds: how many, what grows in it, whether old mix stays in it. */
import { common } from '@/text/base/common'
import { jobBedFields as says } from '@/text/components/bed'
import Button from 'primevue/button'
import { computed } from 'vue'
import { CROPS } from '@/core/data'
import type { JobBed } from '@/model/garden/schemas'
import { cropChoices } from '@/text/base/choices'
import { bedTitle } from '@/text/base/titles'
import type { Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'
import CheckField from '../field/CheckField.vue'
import ChoiceField from '../field/ChoiceField.vue'
import QuantityField from '../field/QuantityField.vue'

const { bed, cropName, alone, units, countProblem, plantsProblem, beside } = defineProps<{
  bed: JobBed
  /** The crop of the job; empty where none is chosen. */
  cropName: string
  /** No other bed is in the job: what grows in it is the crop of the job. */
  alone: boolean
  units: UnitSystem
  countProblem: Sentence | null
  plantsProblem: Sentence | null
  beside: (field: string) => Sentence | null
}>()
const emit = defineEmits<{
  change: [change: Partial<Pick<JobBed, 'count' | 'sunkBy' | 'cropId' | 'plants'>>]
  keep: []
}>()

/** The choice of what grows in the rest of the job. */
const OF_JOB = says.ofTheJob
const crops = computed(() => [
  { value: OF_JOB, label: cropName ? says.asInTheJob(cropName) : says.asInTheJob2, words: [] },
  ...cropChoices(CROPS),
])

/** How far old mix usually has sunk, cm. */
const USUAL_SINKING = 5
</script>

<template>
  <div class="this">
    <h3 :class="{ 'visually-hidden': alone }">{{ says.inThisJob(bedTitle(bed.spec)) }}</h3>
    <div class="pair">
      <QuantityField
        :label="common.howMany"
        quantity="number"
        :units="units"
        :problem="countProblem"
        :model-value="bed.count"
        :hint="
          bed.spec.vessel.count > 1
            ? says.ofTheThereAre(bed.spec.vessel.count)
            : bed.count > 1
              ? common.allAlike
              : ''
        "
        @update:model-value="emit('change', { count: $event })"
      />
      <ChoiceField
        v-if="!alone || bed.cropId !== null"
        :label="says.growsInIt"
        :model-value="bed.cropId ?? OF_JOB"
        :options="crops"
        :search="common.searchCrops"
        :none="common.noCropOfThatName"
        @update:model-value="emit('change', { cropId: $event === OF_JOB ? null : $event, plants: null })"
      />
      <QuantityField
        v-if="bed.cropId !== null"
        :label="common.plantsInEach"
        quantity="number"
        :units="units"
        :problem="plantsProblem"
        :model-value="bed.plants ?? NaN"
        optional
        :hint="says.from0ForAsManyAs"
        @update:model-value="emit('change', { plants: Number.isNaN($event) ? null : $event })"
      />
      <CheckField
        class="beside-field"
        :label="says.oldMixStaysInIt"
        :model-value="bed.sunkBy !== null"
        @update:model-value="emit('change', { sunkBy: $event ? USUAL_SINKING : null })"
      />
      <QuantityField
        v-if="bed.sunkBy !== null"
        :label="says.itHasSunkBy"
        quantity="length"
        :units="units"
        :problem="beside('sunkBy')"
        :model-value="bed.sunkBy"
        :hint="says.belowTheFillLine"
        @update:model-value="emit('change', { sunkBy: $event })"
      />
    </div>
    <p v-if="bed.bedId === null" class="said">
      {{ says.itStandsInThisJob }}
      <Button :label="says.putItAmongTheBeds" size="small" text @click="emit('keep')" />
    </p>
  </div>
</template>

<style scoped>
.this {
  margin: 14px 0;
  padding: 8px 0;
}
h3 {
  margin-bottom: 8px;
}
</style>
