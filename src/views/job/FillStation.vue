<script setup lang="ts">
/** What is filled, with what growing in it: beds from the list or new ones, one drawn to scale, and what they take. */
import { countProblem } from '@/core/amounts'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import BedDrawing from '@/components/bed/BedDrawing.vue'
import BedForm from '@/components/bed/BedForm.vue'
import CropFields from '@/components/bed/CropFields.vue'
import FillList from '@/components/bed/FillList.vue'
import HowMuch from '@/components/bed/HowMuch.vue'
import LoadCaution from '@/components/bed/LoadCaution.vue'
import ProblemBox from '@/components/ProblemBox.vue'
import QuantityField from '@/components/QuantityField.vue'
import TargetList from '@/components/TargetList.vue'
import { useBedProblems } from '@/composables/useBedProblems'
import { useJob } from '@/composables/useJob'
import type { Band } from '@/core/data'
import { cropFit } from '@/core/filling'
import type { Target } from '@/core/targets'
import { bedsOf, specOf, startingBed, startingJobBed } from '@/model/garden/garden'
import type { Bed, BedSpec, JobBed } from '@/model/garden/schemas'
import { bedTitle, fitTexts } from '@/text/labels'
import { noteText, problemText } from '@/text/problems.en'
import { volumeText } from '@/text/units'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, lead, crop, units, evaluation, place, targets } = useJob(() => jobId)
const router = useRouter()

const looking = ref<string | null>(null)
const chosen = computed<JobBed | null>(
  () => job.value?.fills.find((f) => f.id === looking.value) ?? lead.value,
)
const spec = computed(() => chosen.value?.spec ?? null)
const { plan, problem, beside } = useBedProblems(spec, units, () => chosen.value?.sunkBy ?? null)

/** Each bed of the job with what one of it takes; null where that or the number of them is wrong. */
const reckoned = computed(() =>
  (job.value?.fills ?? []).map((fill) => {
    const one = mixNeededFor(fill)
    return { fill, plan: one.ok && !countProblem(fill.count) ? one.value : null }
  }),
)
const rows = computed(() =>
  reckoned.value.map(({ fill, plan }) => ({ fill, litres: plan && plan.net * fill.count })),
)
const filled = computed(() =>
  reckoned.value.flatMap(({ fill, plan }) =>
    plan ? [{ name: bedTitle(fill.spec), count: fill.count, plan }] : [],
  ),
)
const whole = computed(() => filled.value.length === (job.value?.fills.length ?? 0))
const besideCount = computed(() => {
  const wrong = countProblem(chosen.value?.count ?? 1)
  return wrong && problemText(wrong, units.value)
})
const besideField = (field: string) => (field === 'bedCount' && besideCount.value ? null : beside(field))

/** Beds of the list that are not in this job yet. */
const offered = computed(() => {
  const taken = new Set(job.value?.fills.map((f) => f.bedId))
  return bedsOf(garden.records)
    .filter((b) => !taken.has(b.id))
    .map((b) => ({
      id: b.id,
      label: b.vessel.count > 1 ? `${bedTitle(b)} (${b.vessel.count})` : bedTitle(b),
    }))
})

function put(bed: Bed, isNew: boolean) {
  const fill = startingJobBed(crypto.randomUUID(), specOf(bed), bed.id)
  garden.run({ type: 'jobBed/add', jobId, fill, bed: isNew ? bed : undefined })
  looking.value = fill.id
}
function addBed(bedId: string | null) {
  const bed = bedsOf(garden.records).find((b) => b.id === bedId)
  if (bed) put(bed, false)
}
function addNew() {
  const kind = spec.value?.vessel.kind ?? 'roundPot'
  put(startingBed(crypto.randomUUID(), new Date().toISOString(), kind), true)
}
const change = (part: Partial<BedSpec>) =>
  chosen.value && garden.run({ type: 'jobBed/spec', jobId, fillId: chosen.value.id, change: part })
const setCount = (count: number) =>
  chosen.value && garden.run({ type: 'jobBed/change', jobId, fillId: chosen.value.id, change: { count } })
const setSunk = (sunkBy: number | null) =>
  chosen.value && garden.run({ type: 'jobBed/change', jobId, fillId: chosen.value.id, change: { sunkBy } })
const keepInList = () =>
  chosen.value &&
  garden.run({
    type: 'jobBed/list',
    jobId,
    fillId: chosen.value.id,
    bedId: crypto.randomUUID(),
    createdAt: new Date().toISOString(),
  })
const remove = (fillId: string) => garden.run({ type: 'jobBed/remove', jobId, fillId })

const notes = computed(() => (plan.value?.ok ? plan.value.notes.map((n) => noteText(n, units.value)) : []))
const fits = computed(() =>
  crop.value && plan.value?.ok ? cropFit(crop.value, plan.value.value, job.value?.plants ?? null) : null,
)
const advice = computed(() => {
  const words: string[] = []
  const u = units.value
  if (plan.value?.ok && plan.value.value.reservoirVolume > 0)
    words.push(
      `Below the side holes: ${volumeText(plan.value.value.reservoirVolume, u)} in each that stays wet through.`,
    )
  if (crop.value && fits.value) words.push(...fitTexts(crop.value, fits.value, u))
  return words
})
const isAloft = (fill: JobBed) => fill.spec.standing === 'balcony' || fill.spec.standing === 'roof'
const aloft = computed(() => filled.value.length > 0 && job.value!.fills.some(isAloft))
const chosenAloft = computed(() => chosen.value !== null && isAloft(chosen.value))
const heavy = computed(() => filled.value.reduce((s, f) => s + f.plan.net * f.count, 0) > 120)
const moveBand = (target: Target, band: Band | null) => garden.run({ type: 'job/band', jobId, target, band })
const onward = () => router.push({ name: 'mix', params: { garden: garden.name, jobId } })
</script>

<template>
  <div v-if="job && spec && chosen" class="fill">
    <section class="form" aria-label="What is filled">
      <CropFields
        :job="job"
        :crop="crop"
        :place="place"
        :targets="targets"
        :units="units"
        :room="fits?.room.count ?? null"
        @crop="garden.run({ type: 'job/crop', jobId, cropId: $event })"
        @companions="garden.run({ type: 'job/companions', jobId, cropIds: $event })"
        @planting="garden.run({ type: 'job/planting', jobId, change: $event })"
      />

      <h2>Beds</h2>
      <FillList :rows="rows" :chosen="chosen.id" :units="units" @choose="looking = $event" @remove="remove" />
      <div class="adding">
        <Select
          v-if="offered.length"
          :model-value="null"
          :options="offered"
          option-label="label"
          option-value="id"
          filter
          auto-filter-focus
          placeholder="Add one of your beds"
          filter-placeholder="Search beds"
          empty-filter-message="No bed of that name"
          aria-label="Add one of your beds"
          @update:model-value="addBed"
        />
        <Button label="A new one" icon="pi pi-plus" outlined @click="addNew" />
      </div>

      <div class="this">
        <h3 class="whose">{{ bedTitle(spec) }} in this job</h3>
        <div class="grid">
          <QuantityField
            label="How many"
            quantity="number"
            :units="units"
            :problem="besideCount"
            :model-value="chosen.count"
            :hint="spec.vessel.count > 1 ? `of the ${spec.vessel.count} there are` : 'all alike'"
            @update:model-value="setCount"
          />
          <label class="top-up" for="topping">
            <Checkbox
              input-id="topping"
              binary
              :model-value="chosen.sunkBy !== null"
              @update:model-value="setSunk($event ? 5 : null)"
            />
            Old mix stays in it: top up
          </label>
          <QuantityField
            v-if="chosen.sunkBy !== null"
            label="It has sunk by"
            quantity="length"
            :units="units"
            :problem="beside('sunkBy')"
            :model-value="chosen.sunkBy"
            hint="below the fill line"
            @update:model-value="setSunk"
          />
        </div>
        <p v-if="chosen.bedId === null" class="said">
          It stands in this job alone.
          <Button label="Put it among the beds" size="small" text @click="keepInList" />
        </p>
      </div>
      <BedForm :spec="spec" :units="units" :beside="besideField" @change="change" />
    </section>
    <section class="picture" aria-label="In section">
      <BedDrawing
        v-if="plan?.ok"
        :spec="spec"
        :units="units"
        :sunk-by="chosen.sunkBy"
        @change="change"
        @sink="setSunk"
      />
      <ProblemBox v-else-if="problem" :sentence="problem">
        <p class="soft">The drawing waits until that is mended; everything else is kept as you typed it.</p>
      </ProblemBox>
    </section>
    <section class="amount" aria-label="How much">
      <h2>How much</h2>
      <template v-if="filled.length">
        <HowMuch
          :parts="filled"
          :units="units"
          :settling="job.plan.settling"
          :bucket="job.plan.bucket"
          :loss="evaluation?.ok ? evaluation.value.blend.blendingLoss : null"
        />
        <p v-if="!whole" class="said wrong">One of the beds is not counted: something is wrong with it.</p>
        <p v-for="line in [...advice, ...notes]" :key="line">{{ line }}</p>
      </template>
      <details v-if="targets" class="held">
        <summary>What the mix is held against</summary>
        <TargetList :targets="targets" :units="units" @move="moveBand" />
      </details>
      <Button
        label="On to the mix"
        icon="pi pi-arrow-right"
        icon-pos="right"
        :disabled="!whole"
        @click="onward"
      />
      <LoadCaution
        v-if="aloft || heavy"
        class="load"
        :heading="aloft ? 'It stands on a balcony or roof' : 'Is it a balcony, roof or deck?'"
        :plan="chosenAloft && plan?.ok ? plan.value : null"
        :count="besideCount ? 1 : (chosen?.count ?? 1)"
        :units="units"
      />
    </section>
  </div>
</template>

<style scoped>
.whose {
  margin-bottom: 8px;
}
.fill {
  display: grid;
  grid-template-columns: minmax(360px, 440px) 1fr 270px;
  gap: 28px;
  padding: 16px 24px 32px;
  align-items: start;
}
.adding {
  display: flex;
  gap: 8px;
  margin-top: 8px;
}
.adding > :first-child {
  flex: 1;
  min-width: 0;
}
.this {
  margin: 14px 0;
  padding: 8px 0;
  border-block: 1px solid var(--rule);
}
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 14px;
  align-items: start;
}
.top-up {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
  margin-top: 22px;
}
.picture {
  display: flex;
  flex-direction: column;
  position: sticky;
  top: 10px;
  height: min(600px, calc(100vh - 140px));
  min-height: 380px;
}
.picture > :first-child {
  flex: 1;
}
.picture > .problem {
  flex: none;
}
.amount {
  position: sticky;
  top: 10px;
}
.load {
  margin-top: 18px;
}
.held {
  margin: 8px 0 12px;
}
.held summary {
  cursor: pointer;
  color: var(--clay);
}
@media (max-width: 1080px) {
  .fill {
    grid-template-columns: 1fr 1fr;
  }
}
@media (max-width: 760px) {
  .fill {
    grid-template-columns: minmax(0, 1fr);
    padding: 12px 14px 90px;
    gap: 16px;
  }
  .picture,
  .amount {
    position: static;
  }
  .picture {
    height: 340px;
    min-height: 0;
  }
}
</style>
