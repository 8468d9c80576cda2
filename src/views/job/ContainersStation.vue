<script setup lang="ts">
/** What is filled, with what growing in it: beds from the list or new ones, one drawn to scale, and what they take. */
import { common } from '@/text/base/common'
import { containersStation as words } from '@/text/views/containersStation'
import Button from 'primevue/button'
import { computed } from 'vue'
import AmountChoice from '@/components/bed/AmountChoice.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import BedAdder from '@/components/bed/BedAdder.vue'
import BedForm from '@/components/bed/BedForm.vue'
import BedPicture from '@/components/bed/BedPicture.vue'
import CropFields from '@/components/bed/CropFields.vue'
import FillList from '@/components/bed/FillList.vue'
import HowMuch from '@/components/bed/HowMuch.vue'
import JobBedFields from '@/components/bed/JobBedFields.vue'
import LoadCaution from '@/components/bed/LoadCaution.vue'
import TargetList from '@/components/TargetList.vue'
import { useBedProblems } from '@/composables/job/useBedProblems'
import { useJob } from '@/composables/job/useJob'
import { useJobBeds } from '@/composables/job/useJobBeds'
import { useStations } from '@/composables/job/useStations'
import { standingWater } from '@/core/water'
import { countProblem } from '@/core/amounts'
import { cropById } from '@/core/data'
import { cropFit } from '@/core/filling'
import { inBed, judgedBed } from '@/model/garden/garden'
import { materialsToChoose } from '@/model/garden/tables'
import { amountProblem } from '@/model/make/quantities'
import { mixOfARound, useUpOffers } from '@/model/make/useUp'
import { isAloft } from '@/model/garden/vessel'
import { materialChoices } from '@/text/base/choices'
import { cautionIsDue } from '@/text/base/cautions'
import { reservoirText } from '@/text/bed/filling'
import { useUpText } from '@/text/make/gather'
import { fitTexts } from '@/text/bed/targets'
import { loadHeading, loadTexts } from '@/text/bed/load'
import { noteText, problemText } from '@/text/base/problems.en'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, tables, units, evaluation, place, targets } = inHand
/** The crop of the job, whatever grows in single beds. */
const crop = computed(() => cropById(job.value?.cropId))
const beds = useJobBeds(inHand)
const { chosen, choose, rows, counted, whole, wrongCount, offered, add, addNew, change, set } = beds
const materials = computed(() => materialChoices(materialsToChoose(garden.records)))
const { go } = useStations(() => jobId)

const spec = computed(() => chosen.value?.spec ?? null)
const { plan, problem, beside } = useBedProblems(spec, tables, units, () => chosen.value?.sunkBy ?? null)
/** What is wrong with a number is said once: of those in this job rather than of those there are. */
const besideField = (field: string) => (field === 'bedCount' && wrongCount.value ? null : beside(field))

const needed = computed(() => (plan.value?.ok ? plan.value.value : null))
/** The job as the chosen bed has it: with its own crop and plants. */
const here = computed(() => (job.value && chosen.value ? inBed(job.value, chosen.value) : null))
const grows = computed(() => cropById(here.value?.cropId))
const fits = computed(() =>
  grows.value && needed.value ? cropFit(grows.value, needed.value, here.value?.plants ?? null) : null,
)
const plantsProblem = computed(() => {
  const asked = chosen.value?.plants ?? null
  const wrong = asked === null ? null : countProblem(asked)
  return wrong && problemText(wrong, units.value)
})
const advice = computed(() => {
  // The mix is worked out in the bed it is judged in.
  const isJudged = job.value && chosen.value?.id === judgedBed(job.value).id
  const answer = isJudged && evaluation.value?.ok ? evaluation.value.value : null
  const reservoir = needed.value?.reservoirVolume ?? 0
  return [
    ...(reservoir > 0
      ? [reservoirText(reservoir, answer && standingWater(answer.profile), units.value)]
      : []),
    ...(grows.value && fits.value ? fitTexts(grows.value, fits.value, units.value) : []),
    ...(plan.value?.ok ? plan.value.notes.map((n) => noteText(n, units.value)) : []),
  ]
})
const fillsLitres = computed(
  () =>
    counted.value.reduce((sum, f) => sum + f.plan.net * f.count, 0) * (1 + (job.value?.plan.settling ?? 0)),
)
const useUp = computed(() =>
  job.value
    ? useUpOffers(garden.records, job.value).map((o) => ({ litres: o.mix, label: useUpText(o, units.value) }))
    : [],
)
const round = computed(() => (job.value ? mixOfARound(job.value, tables.value) : null))
const amountWrong = computed(() => {
  const asked = job.value?.amount ?? null
  const wrong = asked === null ? null : amountProblem(asked)
  return wrong && problemText(wrong, units.value)
})
/** A bed whose weight matters where it stands, the chosen one first. */
const aloft = computed(() =>
  [chosen.value, ...(job.value?.fills ?? [])].find((f) => counted.value.length > 0 && f && isAloft(f.spec)),
)
const loads = computed(() =>
  needed.value && chosen.value && isAloft(chosen.value.spec)
    ? loadTexts(chosen.value.spec, needed.value, wrongCount.value ? 1 : chosen.value.count, units.value)
    : [],
)
/** A job whose mix is begun has its containers: their sizes show as a line. As it was when the page came. */
const settled = (job.value?.parts.length ?? 0) > 0
/** Nobody asks of a bed open to the soil whether it is a roof. */
const loaded = computed(() =>
  cautionIsDue(counted.value.filter((f) => !f.isOnSoil).reduce((s, f) => s + f.plan.net * f.count, 0)),
)
</script>

<template>
  <div v-if="job && spec && chosen" class="containers">
    <section :aria-label="words.whatIsFilled">
      <CropFields
        :job="job"
        :crop="crop"
        :place="place"
        :targets="targets"
        :units="units"
        :room="chosen.cropId === null ? (fits?.room.count ?? null) : null"
        @crop="garden.run({ type: 'job/crop', jobId, cropId: $event })"
        @companions="garden.run({ type: 'job/companions', jobId, cropIds: $event })"
        @planting="garden.run({ type: 'job/planting', jobId, change: $event })"
      />
      <h2 :class="{ 'visually-hidden': rows.length === 1 }">{{ common.beds }}</h2>
      <FillList
        v-if="rows.length > 1"
        :rows="rows"
        :chosen="chosen.id"
        :units="units"
        @choose="choose"
        @remove="beds.remove"
      />
      <FoldBox id="beds" :title="words.moreBeds">
        <BedAdder :offered="offered" @add="add" @new="addNew" />
      </FoldBox>
      <JobBedFields
        :bed="chosen"
        :crop-name="crop?.name ?? ''"
        :alone="job.fills.length === 1"
        :plants-problem="plantsProblem"
        :units="units"
        :count-problem="wrongCount"
        :beside="beside"
        @change="set"
        @keep="beds.keepInList"
      />
      <BedForm
        :spec="spec"
        :materials="materials"
        :units="units"
        :beside="besideField"
        :settled="settled"
        :faulty="problem !== null"
        @change="change"
      />
    </section>
    <section class="picture" :aria-label="common.inSection">
      <BedPicture
        :spec="spec"
        :units="units"
        :sunk-by="chosen.sunkBy"
        :problem="problem"
        @change="change"
        @sink="set({ sunkBy: $event })"
      />
    </section>
    <section class="amount" :aria-label="words.howMuch">
      <h2>{{ words.howMuch }}</h2>
      <template v-if="counted.length">
        <AmountChoice
          :amount="job.amount"
          :fills="fillsLitres"
          :round="round"
          :offers="useUp"
          :units="units"
          :problem="amountWrong"
          @set="garden.run({ type: 'job/amount', jobId, litres: $event })"
        />
        <HowMuch
          :amount="amountWrong ? null : job.amount"
          :parts="counted"
          :units="units"
          :settling="job.plan.settling"
          :bucket="job.plan.bucket"
          :loss="evaluation?.ok ? evaluation.value.blend.blendingLoss : null"
        />
        <p v-if="!whole" class="said wrong">{{ words.oneOfTheBedsIs }}</p>
        <p v-for="line in advice" :key="line">{{ line }}</p>
      </template>
      <details v-if="targets" class="held">
        <summary>{{ words.whatTheMixHasTo }}</summary>
        <TargetList
          :targets="targets"
          :units="units"
          @move="(target, band) => garden.run({ type: 'job/band', jobId, target, band })"
        />
      </details>
      <Button
        :label="words.onToTheMix"
        icon="pi pi-arrow-right"
        icon-pos="right"
        :disabled="!whole"
        @click="go('mix')"
      />
      <LoadCaution
        v-if="aloft || loaded"
        class="load"
        :heading="loadHeading((aloft ?? chosen).spec)"
        :lines="loads"
      />
    </section>
  </div>
</template>

<style scoped>
.containers {
  display: grid;
  grid-template-columns: minmax(360px, 440px) 1fr 270px;
  gap: 28px;
  padding: 16px 24px 32px;
  align-items: start;
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
  .containers {
    grid-template-columns: 1fr 1fr;
  }
}
@media (max-width: 760px) {
  .containers {
    grid-template-columns: minmax(0, 1fr);
    padding: 12px 14px 64px;
    gap: 8px;
  }
  .picture,
  .amount {
    position: static;
  }
  .picture {
    height: 216px;
    min-height: 0;
  }
}
</style>
