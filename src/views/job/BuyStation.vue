<script setup lang="ts">
/** From the container back to the shop: how much of each, in packs, with what is lost on the way kept apart. */
import { common } from '@/text/base/common'
import { buyStation as says } from '@/text/views/buyStation'
import Button from 'primevue/button'
import { useClipboard } from '@vueuse/core'
import { computed, ref, toRaw } from 'vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import ManyChoiceField from '@/components/field/ManyChoiceField.vue'
import MoneyBox from '@/components/make/MoneyBox.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import GatherTable from '@/components/make/GatherTable.vue'
import LossFlow from '@/components/make/LossFlow.vue'
import PackDialog from '@/components/PackDialog.vue'
import DressingPackDialog from '@/components/shelf/DressingPackDialog.vue'
import PlanFields from '@/components/PlanFields.vue'
import { saveFile } from '@/composables/page/saveFile'
import { useJob } from '@/composables/job/useJob'
import { useFinderWishes } from '@/composables/find/useFinderWishes'
import { useMoney } from '@/composables/make/useMoney'
import { useQuantities } from '@/composables/make/useQuantities'
import { useShopping } from '@/composables/make/useShopping'
import { useStations } from '@/composables/job/useStations'
import type { Dressing, Material } from '@/core/data'
import { dressingIn } from '@/core/data/dressings'
import { dressingEntry, shelfEntry } from '@/model/garden/shelfEntry'
import type { MarkList } from '@/model/garden/commands'
import { liveJob } from '@/model/garden/garden'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import type { Job } from '@/model/garden/schemas'
import { shelvedOf } from '@/model/make/settle'
import { vesselsFor } from '@/model/make/vessels'
import { isOver } from '@/stations/stations'
import { shoppingCsv } from '@/model/sheets/shoppingSheet'
import { overText, vesselText } from '@/text/make/measures'
import { boughtId, gatherLines, shoppingText, withBought, type GatherLine } from '@/text/make/gather'
import { packText } from '@/text/base/labels'
import { jobTitle, shortName } from '@/text/base/titles'
import { noteText } from '@/text/base/problems.en'
import { percentText, volumeText } from '@/text/base/units'

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
const shopping = useShopping(inHand)
const { list, mixes, doses, money } = shopping
const lines = computed(() => gatherLines(list.value, mixes.value, doses.value, units.value))
const vessels = computed(() =>
  job.value
    ? vesselsFor(job.value, list.value, inHand.tables.value).map((v) => ({
        value: v.id,
        label: vesselText(v, units.value),
        plan: { vessel: v.litres, wholeVessel: v.whole },
      }))
    : [],
)
const unpriced = computed(() => {
  const names = new Map(lines.value.map((line) => [boughtId(line), line.name]))
  return money.value.missing.map((id) => names.get(id) ?? shortName(id)).join(', ')
})
const marks = (change: Partial<Pick<Job, MarkList>>, what: string) =>
  garden.run({ type: 'job/marks', jobId, change, what })
const tick = (line: GatherLine, done: boolean) =>
  marks(
    { bought: withBought(toRaw(job.value!.bought), line, done) },
    done ? says.ticking(line.name) : says.unticking(line.name),
  )
/** Jobs that may be bought for too: in hand, mixed and not made. */
const otherJobs = computed(() =>
  garden.jobs
    .filter((j) => j.id !== jobId && !isOver(j) && j.recordId === null && j.parts.length > 0)
    .map((j) => ({ value: j.id, label: jobTitle(liveJob(garden.records, j)) })),
)
const { rows: moneyTable, beds: bedCosts, bags, bag, against, nudges } = useMoney(inHand, shopping)
const { wish } = useFinderWishes(inHand, jobId)
/** Looks for another in its place, the rest of the mix as it is. */
function findAnother(material: Material) {
  const rest = job.value!.parts.map((p) => p.materialId).filter((id) => id !== material.id)
  wish.value = {
    ...wish.value,
    source: 'all',
    mustUse: rest.filter((id) => !id.startsWith('mix:')),
    mustNotUse: [material.id],
    maxMaterials: Math.max(2, rest.length + 1),
    minFamilies: 1,
  }
  void go('finder')
}
const isShelvable = computed(() => job.value?.bought.some((b) => b.amount > 0 && !b.id.startsWith('mix:')))
const putOnShelf = () =>
  garden.run({
    type: 'shelf/put',
    shelf: shelvedOf(garden.records, toRaw(job.value!.bought)),
    what: says.puttingItOnTheShelf,
    jobId,
  })
const plainList = computed(() => shoppingText(says.whatToGather2(jobTitle(job.value!)), lines.value))
const { copy, copied } = useClipboard({ legacy: true })
async function shareList() {
  if (navigator.share)
    // Whoever shuts the sheet again has not failed at anything.
    await navigator.share({ title: jobTitle(job.value!), text: plainList.value }).catch(() => undefined)
  else await copy(plainList.value)
}
const stages = computed(() => {
  if (!q.value) return []
  const measured = q.value.plan.totals.reduce((sum, t) => sum + t.litres, 0)
  return [
    { figure: volumeText(measured, units.value), words: says.toMeasureOutLoose },
    { figure: volumeText(q.value.plan.blendLitres, units.value), words: says.ofMixBlended },
    { figure: volumeText(q.value.inPlace, units.value), words: says.inPlaceWateredIn },
  ]
})
const losses = computed(() =>
  q.value && job.value
    ? [
        says.onStirring(percentText(q.value.lossHere, 1)),
        overText(q.value, job.value.plan.settling).join(', '),
      ]
    : [],
)
const toolsSay = computed(() =>
  job.value
    ? says.bucketAndVessel(
        volumeText(job.value.plan.bucket, units.value),
        volumeText(job.value.plan.vessel, units.value),
      )
    : '',
)
const wrongBeds = computed(() => beside('count', quantities.value))
const printPage = () => window.print()
const saveCsv = () =>
  saveFile(
    `${jobTitle(job.value!)} shopping.csv`,
    shoppingCsv(
      { lines: list.value, mixes: mixes.value, doses: doses.value },
      (pack) => packText(pack, units.value),
      units.value,
    ),
    'text/csv',
  )
</script>

<template>
  <StationFrame v-if="job">
    <h1 class="print-only paper-title">{{ jobTitle(job) }}</h1>
    <FoldBox
      id="tools"
      class="no-print"
      :title="says.toolsAndAllowance"
      :says="toolsSay"
      :needed="problem !== null && job.parts.length > 0"
    >
      <PlanFields
        :plan="job.plan"
        :units="units"
        :beside="(field: string) => beside(field, quantities)"
        :vessels="vessels"
        @change="garden.run({ type: 'job/plan', jobId, plan: $event })"
      />
      <ManyChoiceField
        v-if="otherJobs.length"
        :label="says.boughtTogetherWith"
        :options="otherJobs"
        :search="says.searchYourJobs"
        :none="says.noSuchJob"
        :placeholder="says.thisJobAlone"
        :most="GARDEN_LIMITS.jobsTogether.value"
        :model-value="job.boughtWith"
        @update:model-value="marks({ boughtWith: [...$event] }, 'what is bought together')"
      />
    </FoldBox>
    <ProblemBox v-if="problem" :sentence="problem">
      <RouterLink v-if="wrongBeds" :to="to('containers')">{{ says.backToTheContainers }}</RouterLink>
      <RouterLink v-else-if="job.parts.length === 0" :to="to('mix')">{{ common.backToTheMix }}</RouterLink>
    </ProblemBox>
    <template v-if="q">
      <LossFlow :stages="stages" :losses="losses" />
      <div class="row title">
        <h2>{{ says.whatToGather }}</h2>
        <FoldBox id="buy-list" class="no-print" :title="says.printShareSave">
          <Button :label="says.printTheList" icon="pi pi-print" text size="small" @click="printPage" />
          <Button
            :label="copied ? common.copied : says.shareAsText"
            icon="pi pi-share-alt"
            text
            size="small"
            @click="shareList"
          />
          <Button :label="common.saveAsCsv" icon="pi pi-download" text size="small" @click="saveCsv" />
        </FoldBox>
      </div>
      <GatherTable
        :lines="lines"
        :units="units"
        @pack="editing = $event"
        @tick="tick"
        @missing="findAnother"
        @dose-pack="editingDose = dressingIn(inHand.tables.value, $event) ?? null"
        @origin="(mix, kind) => garden.run({ type: 'mix/origin', jobId, mixId: mix.id, origin: { kind } })"
      />
      <div v-if="isShelvable" class="row no-print">
        <span class="soft">{{ says.whatIsTickedGoesOnto }}</span>
        <Button :label="says.putItThereNow" text size="small" @click="putOnShelf" />
      </div>
      <MoneyBox
        v-model:bag="bag"
        :rows="moneyTable"
        :paid="money.paid > 0 ? money : null"
        :beds="bedCosts"
        :missing="unpriced"
        :bags="bags"
        :against="against"
        :units="units"
      />
      <p v-for="n in nudges" :key="n.text" class="nudge no-print">
        {{ n.text }}
        <Button
          :label="n.action"
          text
          size="small"
          @click="garden.run({ type: 'job/amount', jobId, litres: n.litres })"
        />
      </p>
      <FoldBox id="buy-counted" class="no-print" :title="says.howThisIsCounted">
        <p v-for="note in notes" :key="note" class="soft">{{ note }}</p>
        <p class="soft">{{ says.packSizesAreCommonOnes }}</p>
      </FoldBox>
      <Button
        class="no-print"
        :label="says.onToPreparing"
        icon="pi pi-arrow-right"
        icon-pos="right"
        @click="go('prepare')"
      />
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
  display: grid;
  gap: 14px;
  margin-bottom: 16px;
}
.title {
  justify-content: space-between;
  margin-top: 10px;
}
.nudge {
  border-left: 4px solid var(--leaf);
  padding-left: 10px;
}
.title > .fold {
  border-bottom: 0;
}
</style>
