<script setup lang="ts">
/** The batch card: what to do first, then one batch at a time, each measure ticked as it goes in. */
import { isDose } from '@/core/amounts'
import { shoppingList } from '@/model/make/shoppingList'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import BatchCardLine from '@/components/BatchCardLine.vue'
import CautionList from '@/components/CautionList.vue'
import ProblemBox from '@/components/ProblemBox.vue'
import { useFirstOpen } from '@/composables/useFirstOpen'
import { useJob } from '@/composables/useJob'
import { batchCards, type BatchCard } from '@/model/make/batchCard'
import { tickOf } from '@/model/garden/commands'
import { cautionsForMixing } from '@/text/cautions'
import { jobTitle, shortName } from '@/text/labels'
import { lineText } from '@/text/measures'
import { problemText } from '@/text/problems.en'
import { percentText, pHText, volumeText } from '@/text/units'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, units, quantities, materials } = useJob(() => jobId)
const router = useRouter()

const q = computed(() => (quantities.value?.ok ? quantities.value.value : null))
const problem = computed(() =>
  quantities.value && !quantities.value.ok ? problemText(quantities.value.problem, units.value) : null,
)
const cards = computed(() => (job.value && q.value ? batchCards(job.value, q.value) : []))
const ticks = computed(() => new Set(job.value?.ticks))
const isDone = (card: (typeof cards.value)[number]) => card.done === card.lines.length
const { chosen, card, allDone } = useFirstOpen(cards, isDone)
const doneCount = computed(() => cards.value.filter(isDone).length)

const soak = computed(() =>
  q.value ? shoppingList(garden.records, q.value).filter((l) => l.water >= 0.25) : [],
)
const cautions = computed(() => cautionsForMixing(materials.value, isDose(q.value?.limeGramsPerLitre ?? 0)))

const tick = (materialId: string, done: boolean) =>
  garden.run({ type: 'tick/set', jobId, batch: card.value!.index, materialId, done })
const cardTitle = (c: BatchCard) => `${c.mix ? `${c.mix.name}, batch` : 'Batch'} ${c.index + 1}`
const go = (name: string) => router.push({ name, params: { garden: garden.name, jobId } })
function nextBatch() {
  const open = cards.value.findIndex((c) => !isDone(c))
  if (open === -1) void go('record')
  else chosen.value = open
}
const printPage = () => window.print()
</script>

<template>
  <div v-if="job" class="page make">
    <ProblemBox v-if="problem" :sentence="problem">
      <Button label="Back to quantities" text size="small" @click="go('buy')" />
    </ProblemBox>
    <template v-if="q && card">
      <section class="first no-print" aria-label="Before you begin">
        <details open>
          <summary><h2>First</h2></summary>
          <ul v-if="soak.length" class="plain soak">
            <li v-for="l in soak" :key="l.material.id">
              <strong>{{ shortName(l.material.id) }}:</strong> {{ volumeText(l.water, units) }} of
              water<template v-if="l.material.family === 'peat'"
                >, warm if you can, hours before; {{ l.wettingAgent.toFixed(0) }} mL of wetting agent if it
                sheds water</template
              ><template v-else-if="l.pack.kind === 'block'">
                to swell the block, an hour or more; then fluff it up</template
              >.
            </li>
          </ul>
          <p>
            Fill the bucket loosely to its mark, {{ volumeText(job.plan.bucket, units) }}; never press it
            down. Spread the measures in layers, scatter lime and feed over them, turn from below and scrape
            the corners until it is one colour.
          </p>
          <CautionList heading="Before you open the bags" :cautions="cautions" />
        </details>
      </section>

      <section class="work" aria-labelledby="batch-title">
        <div class="row chooser no-print" role="group" aria-label="Batches">
          <button
            v-for="(c, i) in cards"
            :key="i"
            type="button"
            class="chip"
            :class="{ on: c === card, done: isDone(c) }"
            :aria-pressed="c === card"
            :aria-label="`${cardTitle(c)}${isDone(c) ? ', done' : ''}`"
            @click="chosen = i"
          >
            {{ c.mix ? `${c.mix.name} ` : '' }}{{ c.index + 1
            }}<span v-if="isDone(c)" aria-hidden="true"> ✓</span>
          </button>
          <Button label="Print the card" icon="pi pi-print" text size="small" @click="printPage" />
        </div>
        <div class="batch no-print">
          <h2 id="batch-title">
            {{ cardTitle(card) }} of {{ card.of }}
            <small
              >{{ card.short ? 'a short one, ' : '' }}gives {{ volumeText(card.blendLitres, units) }}</small
            >
          </h2>
          <p v-if="card.mix" class="soft">
            Made first: it goes into the others as one measure.
            <Button
              :label="`I have ${card.mix.name} ready`"
              text
              size="small"
              @click="
                garden.run({ type: 'mix/origin', jobId, mixId: card.mix.id, origin: { kind: 'ready' } })
              "
            />
          </p>
          <ul class="plain">
            <BatchCardLine
              v-for="line in card.lines"
              :key="line.id"
              :line="line"
              :units="units"
              :done="ticks.has(tickOf(card.index, line.id))"
              @tick="tick(line.id, $event)"
            />
          </ul>
          <div v-if="isDone(card)" class="row after">
            <strong>All in. Turn it until it is even.</strong>
            <Button
              :label="allDone ? 'Write it down' : 'Next batch'"
              icon="pi pi-arrow-right"
              icon-pos="right"
              @click="nextBatch"
            />
          </div>
        </div>
        <p class="soft no-print">
          {{ doneCount }} of {{ cards.length }} batches done.
          <Button
            v-if="job.ticks.length"
            label="Clear all ticks"
            text
            size="small"
            @click="garden.run({ type: 'ticks/clear', jobId })"
          />
        </p>
        <p v-if="q.plan.largestShareError > 0.005" class="soft no-print">
          As these buckets measure it: air
          {{ percentText(q.asMeasured.profile.airFilledPorosity, 1) }} instead of
          {{ percentText(q.asWritten.profile.airFilledPorosity, 1) }}, pH
          {{ pHText(q.asMeasured.lime.pH) }} instead of {{ pHText(q.asWritten.lime.pH) }}.
        </p>
        <Button v-if="!allDone" class="no-print" label="Write it down" outlined @click="go('record')" />

        <div class="print-only">
          <h1>{{ jobTitle(job) }}</h1>
          <p>
            Bucket {{ volumeText(job.plan.bucket, units) }}. {{ cards.length }} batches,
            {{ volumeText(q.plan.blendLitres, units) }} of mix in all.
          </p>
          <section v-for="(c, i) in cards" :key="i">
            <h2>{{ cardTitle(c) }}: {{ volumeText(c.blendLitres, units) }}</h2>
            <p v-for="line in c.lines" :key="line.id">☐ {{ lineText(line, units) }}</p>
          </section>
          <CautionList heading="Before you open the bags" :cautions="cautions" />
        </div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.make {
  display: grid;
  grid-template-columns: minmax(280px, 380px) minmax(0, 1fr);
  gap: 32px;
  align-items: start;
}
.make > .problem {
  grid-column: 1 / -1;
}
summary {
  cursor: pointer;
  margin-bottom: 8px;
}
summary h2 {
  display: inline;
}
.soak {
  margin-bottom: 10px;
}
.soak li {
  padding: 4px 0;
}
.chooser {
  gap: 6px;
  margin-bottom: 12px;
  max-height: 130px;
  overflow-y: auto;
}
.chip {
  min-width: 44px;
  height: 44px;
  padding: 0 8px;
  border: 1.5px solid var(--edge);
  border-radius: 9px;
  background: var(--sheet);
  color: var(--ink);
  font: 600 1rem var(--text);
  cursor: pointer;
}
.chip.done {
  color: var(--leaf);
}
.chip.on {
  border-color: var(--clay);
  box-shadow: inset 0 0 0 2px var(--clay);
}
.batch {
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  padding: 14px 18px;
  margin-bottom: 12px;
}
h2 small {
  font: 400 1rem var(--text);
  color: var(--ink-soft);
  margin-left: 8px;
}
.after {
  justify-content: space-between;
  margin-top: 12px;
}
.print-only {
  display: none;
}
@media print {
  .print-only {
    display: block;
  }
  .make {
    display: block;
  }
  .print-only section {
    break-inside: avoid;
  }
}
@media (max-width: 900px) {
  .make {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
  .work {
    order: -1;
  }
  .batch {
    padding: 10px 12px;
    margin-inline: -6px;
  }
}
</style>
