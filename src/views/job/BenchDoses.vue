<script setup lang="ts">
/** Lime and what else is given by weight. A frame after the parts, and an offer never of an older mix. */
import { computed } from 'vue'
import DressingList from '@/components/bench/DressingList.vue'
import LimeBox from '@/components/LimeBox.vue'
import { theBench } from '@/composables/theBench'
import { useCalm } from '@/composables/useCalm'
import { mixWanted, ownLime } from '@/model/reckoning'

const { garden, calmJob, calm, crop, units, later, beside, evaluation } = theBench()
/** Mix the job makes, for grams in all. */
const litres = computed(() => (calmJob.value ? mixWanted(calmJob.value) : null))
const dose = computed(() => (calm.value && calmJob.value ? ownLime(calm.value, calmJob.value) : null))
const stale = useCalm(later.stale)
const rested = computed(() => (stale.value ? null : later.value.value))
/** Doses for what the mix lacks, from the figures at rest. */
const offers = computed(() => later.value.value?.offers ?? [])
const outcome = useCalm(evaluation)
const besideLime = (field: string) => beside(field, outcome.value)
</script>

<template>
  <div v-if="calmJob && calmJob.parts.length">
    <LimeBox
      :lime="calmJob.lime"
      :evaluation="calm"
      :dose="dose"
      :litres="litres"
      :offer="rested?.lime ?? null"
      :units="units"
      :crop-name="crop?.name ?? null"
      :beside="besideLime"
      @change="garden.run({ type: 'mix/lime', jobId: calmJob.id, lime: $event })"
    />
    <DressingList
      :lines="calmJob.dressings"
      :units="units"
      :litres="litres"
      :offers="offers"
      :stale="stale"
      @set="garden.run({ type: 'dressing/set', jobId: calmJob.id, line: $event })"
      @remove="garden.run({ type: 'dressing/remove', jobId: calmJob.id, dressingId: $event })"
    />
  </div>
</template>
