<script setup lang="ts">
/** The batch card: what to do first, then one batch at a time, each measure ticked as it goes in. */
import { common } from '@/text/base/common'
import { makeStation as words } from '@/text/views/makeStation'
import Button from 'primevue/button'
import { dressingIn } from '@/core/data/dressings'
import { computed, ref, toRaw } from 'vue'
import CheckField from '@/components/field/CheckField.vue'
import ChipRow from '@/components/frame/ChipRow.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import BatchCard from '@/components/make/BatchCard.vue'
import BatchPrint from '@/components/make/BatchPrint.vue'
import BeforeMixing from '@/components/make/BeforeMixing.vue'
import BigStep from '@/components/make/BigStep.vue'
import OtherwiseDialog from '@/components/make/OtherwiseDialog.vue'
import TimerList from '@/components/make/TimerList.vue'
import TubPicture from '@/components/make/TubPicture.vue'
import TubChecks from '@/components/make/TubChecks.vue'
import { useBigStep } from '@/composables/bench/useBigStep'
import { useCautions } from '@/composables/make/useCautions'
import { useOnPhone } from '@/composables/page/useOnPhone'
import { useFirstOpen } from '@/composables/page/useFirstOpen'
import { useJob } from '@/composables/job/useJob'
import { useMaking } from '@/composables/make/useMaking'
import { useOtherwise } from '@/composables/make/useOtherwise'
import { useQuantities } from '@/composables/make/useQuantities'
import { useShopping } from '@/composables/make/useShopping'
import { useVerdict } from '@/composables/job/useVerdict'
import { useStations } from '@/composables/job/useStations'
import { useJobTimers } from '@/composables/make/useTimers'
import { useTubChecks } from '@/composables/make/useTubChecks'

import type { MarkList } from '@/model/garden/commands'
import type { Job } from '@/model/garden/schemas'
import { isDone } from '@/model/make/batchCard'
import { doseTotals } from '@/model/make/doseTotals'
import { inPlaceOf } from '@/model/make/inPlace'
import { cautionsForMixing } from '@/text/base/cautions'
import { counted } from '@/text/base/counted'
import { jobTitle } from '@/text/base/titles'
import { inPlaceText } from '@/text/make/inPlace'
import { aboutName } from '@/text/make/preparing'
import { cardAboutText } from '@/text/make/cardAbout'
import { asMeasuredText, batchFillsText, batchPlaceText, batchTitle, soakingText } from '@/text/make/measures'
import { volumeText } from '@/text/base/units'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, units, materials } = inHand
const { q, problem } = useQuantities(inHand)
const { go } = useStations(() => jobId)

/** On a phone the card comes first, and below it, from the first tick on, the picture of the tub. */
const onPhone = useOnPhone()
const making = useMaking(inHand)
const { cards } = making
const ticks = computed(() => new Set(job.value?.ticks))
const { chosen, card, allDone } = useFirstOpen(cards, isDone)
const tub = computed(() => ({ card: card.value!, ticks: ticks.value, vessel: job.value!.plan.vessel }))
const doneCount = computed(() => cards.value.filter(isDone).length)
const chips = computed(() =>
  cards.value.map((c) => ({
    label: `${c.mix ? `${c.mix.name} ` : ''}${c.index + 1}`,
    name: batchTitle(c),
    done: isDone(c),
  })),
)
const { list } = useShopping(inHand, { alone: true })
const soaking = computed(() => soakingText(list.value, units.value))
const doses = computed(() => (job.value && q.value ? doseTotals(job.value, q.value) : []))
const limeIds = computed(() => doses.value.filter((d) => d.isLime).map((d) => d.id))
const feeds = computed(() => doses.value.flatMap((d) => dressingIn(inHand.tables.value, d.id) ?? []))
const cautions = computed(() => cautionsForMixing(materials.value, limeIds.value, feeds.value))
/** A large job in beds on the ground may be mixed where it lies. */
const beds = computed(() =>
  job.value && q.value
    ? inPlaceOf(toRaw(job.value), q.value).map((bed) => inPlaceText(bed, job.value!.plan.bucket, units.value))
    : [],
)
const verdict = useVerdict(inHand)
const about = computed(() =>
  job.value ? cardAboutText(job.value, inHand.crop.value?.name ?? null, verdict.value) : [],
)
const lots = computed(() =>
  (q.value?.plan.totals ?? []).map(({ id }) => ({
    name: aboutName(id),
    lot: job.value!.bought.find((b) => b.id === id)?.lot ?? '',
  })),
)
const rounded = computed(() => (q.value ? asMeasuredText(q.value) : ''))

const tick = (materialId: string, done: boolean) =>
  garden.run({ type: 'tick/set', jobId, batch: card.value!.index, materialId, done })
const marks = (change: Partial<Pick<Job, MarkList>>, what: string) =>
  garden.run({ type: 'job/marks', jobId, change, what })
const seen = useCautions(garden)
const timers = useJobTimers(inHand)
const step = useBigStep(garden, {
  job,
  card,
  units,
  tick,
  keepTally: (tally) => marks({ tally }, 'counting'),
})
const otherwise = useOtherwise(inHand, card, making.made, marks)
const { planned, others, isChanged, lines: otherwiseLines, becomes } = otherwise
const checks = useTubChecks(inHand, card, making.remade, marks)
const telling = ref(false)
const batchPlace = computed(() => batchPlaceText(card.value!, cards.value.length - 1 - chosen.value))
const isLast = computed(() => card.value!.index === card.value!.of - 1)
const haveReady = (mixId: string) =>
  garden.run({ type: 'mix/origin', jobId, mixId, origin: { kind: 'ready' } })
function nextBatch() {
  const open = cards.value.findIndex((c) => !isDone(c))
  if (open === -1) void go('record')
  else chosen.value = open
}
const timeTurning = () => timers.start(words.turning(batchTitle(card.value!).toLowerCase()), 5)
const printPage = () => window.print()
</script>

<template>
  <StationFrame v-if="job" class="make" :problem="problem" columns="minmax(280px, 380px) minmax(0, 1fr)">
    <template #back><Button :label="words.backToQuantities" text size="small" @click="go('buy')" /></template>
    <template v-if="q && card">
      <div>
        <TubPicture v-if="!onPhone" class="no-print" v-bind="tub" :units="units" />
        <BeforeMixing
          :soaking="soaking"
          :bucket="volumeText(job.plan.bucket, units)"
          :cautions="cautions"
          :read="seen.read.value"
          @read="seen.acknowledge"
        />
      </div>
      <section class="work" aria-labelledby="batch-title">
        <ChipRow :chips="chips" :chosen="chosen" :label="words.batches" @choose="chosen = $event">
          <CheckField
            :label="words.oneBigStepAtA"
            :model-value="garden.settings.bigSteps"
            @update:model-value="step.setBig"
          />
          <CheckField
            v-if="garden.settings.bigSteps"
            :label="words.leftHand"
            :model-value="garden.settings.hand === 'left'"
            @update:model-value="garden.setSettings({ hand: $event ? 'left' : 'right' })"
          />
        </ChipRow>
        <BigStep
          v-if="step.big.value && step.line.value"
          :line="step.line.value"
          :at="step.at.value"
          :of="card.lines.length"
          :batch="batchPlace"
          :count="step.count.value"
          :left="garden.settings.hand === 'left'"
          :speaks="step.speaks"
          :units="units"
          @press="step.press"
          @back="step.back"
          @say="step.say"
        />
        <BatchCard
          v-else
          :card="card"
          :fills="batchFillsText(card, job, q)"
          :ticks="ticks"
          :units="units"
          :last="allDone"
          @tick="tick"
          @ready="haveReady(card.mix!.id)"
          @next="nextBatch"
        />
        <TubPicture v-if="onPhone && card.done > 0" class="no-print" v-bind="tub" :units="units" />
        <TimerList :timers="timers" />
        <div class="row no-print">
          <Button
            v-if="planned.length"
            :label="words.ranShortOrUsedSomething"
            icon="pi pi-exclamation-circle"
            outlined
            @click="telling = true"
          />
          <Button v-if="isChanged" :label="words.thisBatchAsPlannedAgain" text @click="otherwise.asPlanned" />
          <Button :label="words.printTheCard" icon="pi pi-print" text @click="printPage" />
          <Button :label="words.timeTheTurning5Minutes" icon="pi pi-stopwatch" text @click="timeTurning" />
        </div>
        <div v-if="becomes" class="changed">
          <p v-for="line in otherwiseLines" :key="line">{{ line }}</p>
          <p><strong>{{ words.allTogether }}</strong> {{ becomes }}</p>
        </div>
        <TubChecks
          v-if="!card.mix"
          :readings="checks.rows.value"
          :corrections="checks.corrections.value"
          :units="units"
          @read="checks.read"
          @forget="checks.forget"
          @correct="checks.correct"
        />
        <OtherwiseDialog
          v-model:visible="telling"
          :measures="planned"
          :materials="others"
          :says="otherwise.says"
          :is-last="isLast"
          :units="units"
          @keep="otherwise.keep"
        />
        <p class="soft no-print">
          {{ words.ofDone(doneCount, counted(cards.length, 'batch', 'batches')) }}
          <Button
            v-if="job.ticks.length"
            :label="words.clearAllTicks"
            text
            size="small"
            @click="garden.run({ type: 'ticks/clear', jobId })"
          />
        </p>
        <details v-if="beds.length" class="no-print in-place">
          <summary>{{ words.mixItInPlace }}</summary>
          <section v-for="bed in beds" :key="bed.title">
            <h3>{{ bed.title }}</h3>
            <ul>
              <li v-for="line in bed.lines" :key="line">{{ line }}</li>
            </ul>
            <p class="soft">{{ bed.then }}</p>
          </section>
        </details>
        <p v-if="rounded" class="soft no-print">{{ rounded }}</p>
        <Button v-if="!allDone" class="no-print" :label="common.writeItDown" outlined @click="go('record')" />
        <BatchPrint
          :title="jobTitle(job)"
          :about="about"
          :lots="lots"
          :bucket="job.plan.bucket"
          :scoop="job.plan.scoop"
          :blend-litres="q.plan.blendLitres"
          :cards="cards"
          :cautions="cautions"
          :units="units"
        />
      </section>
    </template>
  </StationFrame>
</template>

<style scoped>
.changed {
  border-left: 4px solid var(--straw);
  padding-left: 10px;
  margin: 10px 0;
}
.changed p {
  margin: 0 0 4px;
}
.in-place {
  margin: 8px 0;
}
@media print {
  .make {
    display: block;
  }
}
@media (max-width: 900px) {
  .work {
    order: -1;
  }
}
</style>
