<script setup lang="ts">
/** What the mix will do, figure by figure: those under the hand at once, the others a frame later. */
import { useOnPhone } from '@/composables/page/useOnPhone'
import { common } from '@/text/base/common'
import { benchFigures as words } from '@/text/views/benchFigures'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import CautionList from '@/components/CautionList.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import PlaceAsk from '@/components/place/PlaceAsk.vue'
import ReadingList from '@/components/ReadingList.vue'
import { chanceSentence } from '@/text/mix/finder'
import { readingsAtOnce } from '@/text/readings/atOnce'
import { readingsLater } from '@/text/readings/later'
import { failureText } from '@/text/make/tasks'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import { useBenchContext } from '@/composables/bench/useBenchContext'
import { useDelayedByFrame } from '@/composables/page/useDelayedByFrame'
import { dressingIdsOf, materialsOf } from '@/core/ranges/rowsOf'
import { LIFT_LIMIT } from '@/core/weight'
import { CLIMATES } from '@/core/climate/climates'
import { climateOfZone } from '@/model/garden/climateGuess'
import { startingPlace } from '@/model/garden/starting'
import { learnedOf } from '@/model/garden/garden'
import { readingsTaught } from '@/model/learn/figuresTaught'
import { cautionById } from '@/text/base/cautions'
import { onGround } from '@/text/base/labels'
import { noteText } from '@/text/base/problems.en'

const {
  garden,
  job,
  lead,
  crop,
  bands,
  targets,
  units,
  container,
  place,
  prepared,
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
/** Readings behind each figure of this mix; null where nothing was learned. */
const taught = computed(() => {
  const learned = learnedOf(garden.records)
  const input = prepared.value?.ok ? prepared.value.value.input : null
  return learned && input
    ? readingsTaught(learned, new Set([...materialsOf(input).keys(), ...dressingIdsOf(input)]))
    : null
})
const delayedRanges = useDelayedByFrame(likely.ranges)
const notes = computed(() =>
  evaluation.value?.ok ? evaluation.value.notes.map((n) => noteText(n, units.value)) : [],
)
const wide = computed(() => onGround(lead.value?.spec.vessel.kind))
const heavy = computed(
  () => delayedAnswer.value !== null && delayedAnswer.value.weights.drained > LIFT_LIMIT && !wide.value,
)
const restedStale = useDelayedByFrame(later.stale)
const lasting = computed(() => (restedStale.value ? null : (later.value.value?.seasons ?? null)))
const doses = computed(() => (prepared.value?.ok ? prepared.value.value.doses : []))
const perennial = computed(() => crop.value?.perennial ?? false)
const atOnce = computed(() =>
  answer.value && container.value
    ? readingsAtOnce({
        evaluation: answer.value,
        bands: bands.value,
        targets: targets.value,
        container: container.value,
        wind: place.value?.wind ?? null,
        perennial: perennial.value,
        units: units.value,
        wide: wide.value,
      })
    : [],
)
const afterwards = computed(() =>
  delayedAnswer.value
    ? readingsLater({
        evaluation: delayedAnswer.value,
        doses: doses.value,
        later: lasting.value,
        bands: bands.value,
        cost: cost.value,
        nameOf: nameOf.value,
        perennial: perennial.value,
        units: units.value,
      })
    : [],
)
/** A phone shows at rest what the crop has targets for; the weight is in the line at the top. */
const LATER_ON_A_PHONE: ReadonlySet<string> = new Set(['weight', 'loss'])
const onPhone = useOnPhone()
const isLater = (id: string) => onPhone.value && LATER_ON_A_PHONE.has(id)
const first = computed(() => atOnce.value.filter((r) => !isLater(r.id)))
const rest = computed(() => atOnce.value.filter((r) => isLater(r.id)))
/** The climate that the clock of this device points to. */
const guess = CLIMATES.find((c) => c.id === climateOfZone(Intl.DateTimeFormat().resolvedOptions().timeZone))
function takeGuess() {
  if (guess) garden.run({ type: 'place/set', place: { ...startingPlace(guess), climateId: guess.id } })
}
const LIFTING = [cautionById('lifting')]
const toBuy = () => void router.push({ name: 'buy', params: { garden: garden.name, jobId: job.value!.id } })
</script>

<template>
  <section class="readings" :class="{ undecided }" :aria-label="words.whatTheMixWillDo">
    <template v-if="answer && container">
      <p class="chance" aria-live="off">
        {{
          likely.chance.value === null
            ? words.drawingLotsOfSuchMaterials
            : chanceSentence(likely.chance.value)
        }}
      </p>
      <ReadingList :readings="first" :ranges="likely.ranges.value" :what-if="whatIf" :taught="taught" />
      <FoldBox id="figures" :title="words.moreFigures" :says="words.moreFiguresSays">
        <ReadingList
          v-if="rest.length"
          :readings="rest"
          :ranges="likely.ranges.value"
          :what-if="whatIf"
          :taught="taught"
        />
        <ReadingList :readings="afterwards" :ranges="delayedRanges" :what-if="whatIf" :taught="taught" />
      </FoldBox>
      <ProblemBox v-if="likely.failure.value" :sentence="failureText(likely.failure.value)">
        <Button :label="common.tryAgain" size="small" outlined @click="likely.again" />
      </ProblemBox>
      <PlaceAsk
        v-if="crop && !place"
        :guess="guess?.name ?? null"
        :to="{ name: 'place', params: { garden: garden.name } }"
        @take="takeGuess"
      />
      <p v-for="note in notes" :key="note" class="note">{{ note }}</p>
      <CautionList v-if="heavy" :heading="words.beforeYouFillIt" :cautions="LIFTING" />
      <Button
        class="onward"
        :label="words.onToQuantities"
        icon="pi pi-arrow-right"
        icon-pos="right"
        @click="toBuy"
      />
    </template>
    <p v-else class="soft">{{ words.airWaterPhAndWeight }}</p>
  </section>
</template>

<style scoped>
.chance {
  margin: 0 0 4px;
  font-size: 0.92rem;
  color: var(--ink-soft);
}
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
