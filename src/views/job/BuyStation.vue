<script setup lang="ts">
/** From the container back to the shop: how much of each, in packs, with what is lost on the way kept apart. */
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import GatherTable from '@/components/make/GatherTable.vue'
import LossFlow from '@/components/make/LossFlow.vue'
import PackDialog from '@/components/PackDialog.vue'
import DressingPackDialog from '@/components/shelf/DressingPackDialog.vue'
import PlanFields from '@/components/PlanFields.vue'
import { saveFile } from '@/composables/saveFile'
import { useJob } from '@/composables/useJob'
import { useQuantities } from '@/composables/useQuantities'
import { useStations } from '@/composables/useStations'
import type { Dressing, Material } from '@/core/data'
import { dressingById } from '@/core/data/dressings'
import { dressingEntry, shelfEntry } from '@/model/garden/shelfEntry'
import { doseTotals } from '@/model/make/doseTotals'
import { costOfGathering, doseLines, mixLines, shoppingList } from '@/model/make/shoppingList'
import { shoppingCsv } from '@/model/sheets/shoppingSheet'
import { overText } from '@/text/measures'
import { gatherLines } from '@/text/gather'
import { jobTitle, packText, shortName } from '@/text/labels'
import { noteText } from '@/text/problems.en'
import { percentText, volumeText } from '@/text/units'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, units, quantities, beside } = inHand
const { q, problem } = useQuantities(inHand)
const { to, go } = useStations(() => jobId)
const editing = ref<Material | null>(null)
const editingDose = ref<Dressing | null>(null)

const notes = computed(() =>
  quantities.value?.ok
    ? quantities.value.notes.filter((n) => n.code === 'measures-rounded').map((n) => noteText(n, units.value))
    : [],
)
const list = computed(() => (q.value ? shoppingList(garden.records, q.value) : []))
const doses = computed(() =>
  q.value && job.value ? doseLines(garden.records, doseTotals(job.value, q.value)) : [],
)
const mixes = computed(() => (q.value && job.value ? mixLines(job.value, q.value) : []))
const lines = computed(() => gatherLines(list.value, mixes.value, doses.value, units.value))
const cost = computed(() => costOfGathering(list.value, mixes.value, doses.value))
const unpriced = computed(() => cost.value.missing.map(({ id, name }) => name ?? shortName(id)).join(', '))
const stages = computed(() => {
  if (!q.value) return []
  const measured = q.value.plan.totals.reduce((sum, t) => sum + t.litres, 0)
  return [
    { figure: volumeText(measured, units.value), words: 'to measure out, loose' },
    { figure: volumeText(q.value.plan.blendLitres, units.value), words: 'of mix, blended' },
    { figure: volumeText(q.value.inPlace, units.value), words: 'in place, watered in' },
  ]
})
const losses = computed(() =>
  q.value && job.value
    ? [
        `−${percentText(q.value.lossHere, 1)} on stirring`,
        overText(q.value, job.value.plan.settling).join(', '),
      ]
    : [],
)
const wrongBeds = computed(() => beside('count', quantities.value))
const printPage = () => window.print()
const saveCsv = () =>
  saveFile(
    `${jobTitle(job.value!)} shopping.csv`,
    shoppingCsv(list.value, mixes.value, doses.value, (pack) => packText(pack, units.value), units.value),
    'text/csv',
  )
</script>

<template>
  <StationFrame v-if="job">
    <h1 class="print-only">{{ jobTitle(job) }}</h1>
    <section class="card plan no-print" aria-label="Tools and allowance">
      <PlanFields
        :plan="job.plan"
        :units="units"
        :beside="(field: string) => beside(field, quantities)"
        @change="garden.run({ type: 'job/plan', jobId, plan: $event })"
      />
    </section>
    <ProblemBox v-if="problem" :sentence="problem">
      <RouterLink v-if="wrongBeds" :to="to('containers')">Back to the containers</RouterLink>
      <RouterLink v-else-if="job.parts.length === 0" :to="to('mix')">Back to the mix</RouterLink>
    </ProblemBox>
    <template v-if="q">
      <LossFlow :stages="stages" :losses="losses" />
      <p v-for="note in notes" :key="note" class="soft">{{ note }}</p>
      <div class="row title">
        <h2>What to gather</h2>
        <span class="row">
          <Button label="Print the list" icon="pi pi-print" text size="small" @click="printPage" />
          <Button label="Save as CSV" icon="pi pi-download" text size="small" @click="saveCsv" />
        </span>
      </div>
      <GatherTable
        :lines="lines"
        @pack="editing = $event"
        @dose-pack="editingDose = dressingById($event) ?? null"
        @origin="(mix, kind) => garden.run({ type: 'mix/origin', jobId, mixId: mix.id, origin: { kind } })"
      />
      <p class="total">
        <template v-if="cost.missing.length < cost.of">
          Known cost: <strong class="figure">{{ cost.sum.toFixed(2) }}</strong>,
          {{ (cost.sum / q.inPlace).toFixed(3) }} a litre in place.
        </template>
        <span v-if="unpriced" class="soft">No price yet for {{ unpriced }}.</span>
      </p>
      <p class="soft">
        Pack sizes are common ones until you say what your shop sells; leftovers are loose and wetted. Peat
        wants hours to a day to take up water, coir an hour.
      </p>
      <Button label="On to mixing" icon="pi pi-arrow-right" icon-pos="right" @click="go('make')" />
    </template>
    <PackDialog
      :material="editing"
      :item="editing ? shelfEntry(garden.records, editing) : null"
      :units="units"
      @save="garden.run({ type: 'shelf/set', item: $event })"
      @close="editing = null"
    />
    <DressingPackDialog
      :dressing="editingDose"
      :item="editingDose ? dressingEntry(garden.records, editingDose.id) : null"
      :units="units"
      @save="garden.run({ type: 'dressingPack/set', item: $event })"
      @close="editingDose = null"
    />
  </StationFrame>
</template>

<style scoped>
.plan {
  margin-bottom: 16px;
}
.title {
  justify-content: space-between;
  margin-top: 10px;
}
.total {
  margin: 14px 0 6px;
}
.total .figure {
  font-size: 1.25rem;
}
</style>
