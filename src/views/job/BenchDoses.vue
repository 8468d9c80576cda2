<script setup lang="ts">
/** Lime and what else is given by weight. A frame after the parts, and an offer never of an older mix. */
import { computed, defineAsyncComponent, ref } from 'vue'
import DressingList from '@/components/bench/DressingList.vue'
import LimeBox from '@/components/LimeBox.vue'
import { useBenchContext } from '@/composables/bench/useBenchContext'
import { useChoices } from '@/composables/shelf/useChoices'
import { useOwn } from '@/composables/shelf/useOwn'
import { useDelayedByFrame } from '@/composables/page/useDelayedByFrame'
import { dressingIn } from '@/core/data/dressings'
import { jobAmounts, lineAmounts } from '@/model/amounts/setting'
import { mixWanted } from '@/model/make/quantities'
import type { DressingLine, OwnDressingRecord } from '@/model/garden/schemas'
import { usualLine } from '@/model/mix/doses'
import { bedTitle } from '@/text/base/titles'

const OwnDressingDialog = defineAsyncComponent(() => import('@/components/shelf/OwnDressingDialog.vue'))
const LabelDoseDialog = defineAsyncComponent(() => import('@/components/bench/LabelDoseDialog.vue'))
const byLabel = ref(false)
const { garden, tables, delayedJob, delayedAnswer, crop, units, next, beside, evaluation, prepared } =
  useBenchContext()
/** Mix the job makes, for grams in all. */
const litres = computed(() => (delayedJob.value ? mixWanted(delayedJob.value, tables.value) : null))
const delayedRecords = useDelayedByFrame(computed(() => garden.records))
const amounts = computed(() => delayedJob.value && jobAmounts(delayedRecords.value, delayedJob.value))
const settingOf = (line: DressingLine) => lineAmounts(amounts.value!, delayedJob.value!, line, tables.value)
/** Lime goes all through. */
const limeSetting = computed(() => amounts.value && { ...amounts.value, bulkDensity: limeDensity.value })
const limeDensity = computed(
  () => dressingIn(tables.value, delayedJob.value?.lime.limeId ?? '')?.bulkDensity.value ?? 1,
)
/** Lime a frame after the figures, by who brings it. */
const lime = useDelayedByFrame(computed(() => (prepared.value?.ok ? prepared.value.value.lime : null)))
const stale = useDelayedByFrame(next.stale)
const rested = computed(() => (stale.value ? null : next.value.value))
/** Doses that mend the mix, each tried in a copy of it. */
const offers = computed(() => next.value.value?.doses ?? [])
/** An offer pressed in the frame before it is marked as of an older mix is not given. */
function set(line: DressingLine) {
  if (next.stale.value && offers.value.some((o) => o.line === line)) return
  if (delayedJob.value) garden.run({ type: 'dressing/set', jobId: delayedJob.value.id, line })
}
const beds = computed(() =>
  (delayedJob.value?.fills ?? []).map((f) => ({ id: f.id, name: bedTitle(f.spec) })),
)
const { dressings: rows, materials } = useChoices(garden)
const { dressing, describeDressing, keepDressing, close } = useOwn()
/** What is described at the bench is for this mix: given at once, or taken as its lime. */
function keepAndGive(own: OwnDressingRecord) {
  keepDressing(own)
  const jobId = delayedJob.value?.id
  if (!jobId) return
  if (own.kind === 'lime') garden.run({ type: 'mix/lime', jobId, lime: { limeId: own.id, dolomiteShare: 0 } })
  else {
    const line = usualLine(own.id, delayedJob.value?.dressings ?? [], tables.value)
    if (line) garden.run({ type: 'dressing/set', jobId, line })
  }
}
/** A feed known by its label alone is kept on the shelf first. */
function giveByLabel(line: DressingLine, own: OwnDressingRecord | null) {
  if (own) garden.run({ type: 'ownDressing/set', dressing: own })
  garden.run({ type: 'dressing/set', jobId: delayedJob.value!.id, line })
}
const outcome = useDelayedByFrame(evaluation)
const besideLime = (field: string) => beside(field, outcome.value)
</script>

<template>
  <div v-if="delayedJob && delayedJob.parts.length">
    <LimeBox
      :tables="tables"
      :rows="rows"
      :setting="limeSetting!"
      :lime="delayedJob.lime"
      :evaluation="delayedAnswer"
      :dose="lime?.own.gramsPerLitre ?? null"
      :premixed="lime?.premixed.gramsPerLitre ?? 0"
      :litres="litres"
      :offer="rested?.lime ?? null"
      :units="units"
      :crop-name="crop?.name ?? null"
      :beside="besideLime"
      @change="garden.run({ type: 'mix/lime', jobId: delayedJob.id, lime: $event })"
    />
    <DressingList
      :tables="tables"
      :rows="rows"
      :materials="materials"
      :lines="delayedJob.dressings"
      :beds="beds"
      :units="units"
      :litres="litres"
      :setting-of="settingOf"
      :offers="offers"
      :stale="stale"
      @set="set"
      @remove="garden.run({ type: 'dressing/remove', jobId: delayedJob.id, lineId: $event })"
      @describe="describeDressing()"
      @by-label="byLabel = true"
    />
    <LabelDoseDialog
      v-if="byLabel && amounts"
      v-model:visible="byLabel"
      :rows="rows"
      :lines="delayedJob.dressings"
      :amounts="amounts"
      @give="giveByLabel"
    />
    <OwnDressingDialog
      v-if="dressing"
      :dressing="dressing"
      :units="units"
      :listed="false"
      @save="keepAndGive"
      @close="close"
    />
  </div>
</template>
