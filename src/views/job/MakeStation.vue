<script setup lang="ts">
/** The batch card: what to do first, then one batch at a time, each measure ticked as it goes in. */
import Button from 'primevue/button'
import { computed } from 'vue'
import ChipRow from '@/components/frame/ChipRow.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import BatchCard from '@/components/make/BatchCard.vue'
import BatchPrint from '@/components/make/BatchPrint.vue'
import BeforeMixing from '@/components/make/BeforeMixing.vue'
import { useFirstOpen } from '@/composables/useFirstOpen'
import { useJob } from '@/composables/useJob'
import { useQuantities } from '@/composables/useQuantities'
import { useStations } from '@/composables/useStations'

import { batchCards, isDone } from '@/model/make/batchCard'
import { doseTotals } from '@/model/make/doseTotals'
import { shoppingList } from '@/model/make/shoppingList'
import { cautionsForMixing } from '@/text/cautions'
import { counted } from '@/text/counted'
import { jobTitle } from '@/text/labels'
import { asMeasuredText, batchFillsText, batchTitle, soakingText } from '@/text/measures'
import { volumeText } from '@/text/units'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, units, materials } = inHand
const { q, problem } = useQuantities(inHand)
const { go } = useStations(() => jobId)

const cards = computed(() => (job.value && q.value ? batchCards(job.value, q.value) : []))
const ticks = computed(() => new Set(job.value?.ticks))
const { chosen, card, allDone } = useFirstOpen(cards, isDone)
const doneCount = computed(() => cards.value.filter(isDone).length)
const chips = computed(() =>
  cards.value.map((c) => ({
    label: `${c.mix ? `${c.mix.name} ` : ''}${c.index + 1}`,
    name: batchTitle(c),
    done: isDone(c),
  })),
)
const soaking = computed(() =>
  q.value ? soakingText(shoppingList(garden.records, q.value), units.value) : [],
)
const limeIds = computed(() =>
  job.value && q.value
    ? doseTotals(job.value, q.value)
        .filter((d) => d.isLime)
        .map((d) => d.id)
    : [],
)
const cautions = computed(() => cautionsForMixing(materials.value, limeIds.value))
const rounded = computed(() => (q.value ? asMeasuredText(q.value) : ''))

const tick = (materialId: string, done: boolean) =>
  garden.run({ type: 'tick/set', jobId, batch: card.value!.index, materialId, done })
const haveReady = (mixId: string) =>
  garden.run({ type: 'mix/origin', jobId, mixId, origin: { kind: 'ready' } })
function nextBatch() {
  const open = cards.value.findIndex((c) => !isDone(c))
  if (open === -1) void go('record')
  else chosen.value = open
}
const printPage = () => window.print()
</script>

<template>
  <StationFrame v-if="job" class="make" :problem="problem" columns="minmax(280px, 380px) minmax(0, 1fr)">
    <template #back><Button label="Back to quantities" text size="small" @click="go('buy')" /></template>
    <template v-if="q && card">
      <BeforeMixing :soaking="soaking" :bucket="volumeText(job.plan.bucket, units)" :cautions="cautions" />
      <section class="work" aria-labelledby="batch-title">
        <ChipRow :chips="chips" :chosen="chosen" label="Batches" @choose="chosen = $event">
          <Button label="Print the card" icon="pi pi-print" text size="small" @click="printPage" />
        </ChipRow>
        <BatchCard
          :card="card"
          :fills="batchFillsText(card, job, q)"
          :ticks="ticks"
          :units="units"
          :last="allDone"
          @tick="tick"
          @ready="haveReady(card.mix!.id)"
          @next="nextBatch"
        />
        <p class="soft no-print">
          {{ doneCount }} of {{ counted(cards.length, 'batch', 'batches') }} done.
          <Button
            v-if="job.ticks.length"
            label="Clear all ticks"
            text
            size="small"
            @click="garden.run({ type: 'ticks/clear', jobId })"
          />
        </p>
        <p v-if="rounded" class="soft no-print">{{ rounded }}</p>
        <Button v-if="!allDone" class="no-print" label="Write it down" outlined @click="go('record')" />
        <BatchPrint
          :title="jobTitle(job)"
          :bucket="job.plan.bucket"
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
