<script setup lang="ts">
/** What the mix will do, figure by figure: those under the hand at once, the others a frame later. */
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import CautionList from '@/components/CautionList.vue'
import MixReadings from '@/components/MixReadings.vue'
import MoreReadings from '@/components/MoreReadings.vue'
import { useBenchContext } from '@/composables/useBenchContext'
import { useDelayedByFrame } from '@/composables/useDelayedByFrame'
import { LIFT_LIMIT } from '@/core/weight'
import { cautionById } from '@/text/cautions'
import { onGround } from '@/text/labels'
import { noteText } from '@/text/problems.en'

const {
  garden,
  job,
  lead,
  crop,
  bands,
  units,
  container,
  place,
  evaluation,
  answer,
  delayedAnswer,
  later,
  whatIf,
  undecided,
  likely,
  cost,
  nameOf,
} = useBenchContext()
const router = useRouter()
const delayedRanges = useDelayedByFrame(likely.ranges)
const notes = computed(() =>
  evaluation.value?.ok ? evaluation.value.notes.map((n) => noteText(n, units.value)) : [],
)
const wide = computed(() => onGround(lead.value?.spec.vessel.kind))
const heavy = computed(
  () => delayedAnswer.value !== null && delayedAnswer.value.weights.drained > LIFT_LIMIT && !wide.value,
)
const restedStale = useDelayedByFrame(later.stale)
const lasting = computed(() => (restedStale.value ? null : (later.value.value?.evaluation ?? null)))
const LIFTING = [cautionById('lifting')]
const toBuy = () => void router.push({ name: 'buy', params: { garden: garden.name, jobId: job.value!.id } })
</script>

<template>
  <section class="readings" :class="{ undecided }" aria-label="What the mix will do">
    <template v-if="answer && container">
      <MixReadings
        :evaluation="answer"
        :what-if="whatIf"
        :ranges="likely.ranges.value"
        :bands="bands"
        :wind="place?.wind ?? null"
        :crop-name="crop?.name ?? null"
        :container="container"
        :units="units"
        :wide="wide"
      />
      <MoreReadings
        v-if="delayedAnswer"
        :evaluation="delayedAnswer"
        :later="lasting"
        :what-if="whatIf"
        :ranges="delayedRanges"
        :salts="bands.electricalConductivity"
        :cost="cost"
        :name-of="nameOf"
        :perennial="crop?.perennial ?? false"
        :units="units"
      />
      <p v-if="crop && !place" class="note">
        <RouterLink :to="{ name: 'place', params: { garden: garden.name } }">Say where you garden</RouterLink>
        to see how often it will want water.
      </p>
      <p v-for="note in notes" :key="note" class="note">{{ note }}</p>
      <CautionList v-if="heavy" heading="Before you fill it" :cautions="LIFTING" />
      <Button
        class="onward"
        label="On to quantities"
        icon="pi pi-arrow-right"
        icon-pos="right"
        @click="toBuy"
      />
    </template>
    <p v-else class="soft">Air, water, pH and weight appear here as soon as there is something in the mix.</p>
  </section>
</template>

<style scoped>
.note {
  font-size: 0.92rem;
  margin: 8px 0 0;
  padding-left: 10px;
  border-left: 4px solid var(--straw);
}
.onward {
  margin-top: 12px;
}
</style>
