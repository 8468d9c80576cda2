<script setup lang="ts">
/** Getting the containers ready, filling them in lifts, planting: one bed at a time, each step ticked as it is done. */
import { common } from '@/text/base/common'
import { fillStation as words } from '@/text/views/fillStation'
import Button from 'primevue/button'
import { computed } from 'vue'
import CautionList from '@/components/CautionList.vue'
import CheckField from '@/components/field/CheckField.vue'
import ChipRow from '@/components/frame/ChipRow.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import TickLine from '@/components/frame/TickLine.vue'
import FillPicture from '@/components/make/FillPicture.vue'
import PlantedForm from '@/components/make/PlantedForm.vue'
import { useBriefly } from '@/composables/page/useBriefly'
import { useCautions } from '@/composables/make/useCautions'
import { useFirstOpen } from '@/composables/page/useFirstOpen'
import { useJob } from '@/composables/job/useJob'
import { useQuantities } from '@/composables/make/useQuantities'
import { useStations } from '@/composables/job/useStations'
import { LIFT_LIMIT } from '@/core/weight'
import { isAloft } from '@/model/garden/vessel'
import { fillingCards } from '@/model/make/filling'
import { cautionById, type CautionId } from '@/text/base/cautions'
import { sidesCaution } from '@/text/bed/sides'
import { fillingText } from '@/text/bed/filling'
import { bedTitle } from '@/text/base/titles'
import { volumeText } from '@/text/base/units'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, units, crop } = inHand
const { q, problem } = useQuantities(inHand)
/** The same limit as on the bench. */
const tooHeavy = computed(() => (q.value?.asMeasured.weights.drained ?? 0) > LIFT_LIMIT)
const { go } = useStations(() => jobId)
const seen = useCautions(garden)

const cards = computed(() => (job.value && q.value ? fillingCards(job.value, q.value) : []))
const { chosen, card, allDone } = useFirstOpen(cards, (c) => c.left === 0)
const chips = computed(() => cards.value.map((c) => ({ label: bedTitle(c.fill.spec), done: c.left === 0 })))
const steps = computed(() =>
  (card.value?.steps ?? []).map((s) => ({
    ...s,
    ...fillingText(s.do, {
      spec: card.value!.fill.spec,
      bucket: job.value!.plan.bucket,
      tooHeavy: tooHeavy.value,
      units: units.value,
    }),
  })),
)
const { whole, isBrief } = useBriefly('fill-steps', steps)
const tick = (step: string, done: boolean) =>
  garden.run({ type: 'steps/set', jobId, list: 'filledSteps', step, done })

const cautions = computed(() => {
  const ids: CautionId[] = []
  if (job.value?.fills.some((f) => isAloft(f.spec))) ids.push('load')
  if (tooHeavy.value) ids.push('lifting')
  const sides = (job.value?.fills ?? []).flatMap(({ spec }) => sidesCaution(spec))
  return [...sides, ...[...ids, 'legionella' as const].map(cautionById)]
})
const setPlanted = (plantedOn: string | null) =>
  garden.run({ type: 'job/planting', jobId, change: { plantedOn } })
async function plant(day: string) {
  setPlanted(day)
  await go('season')
}
</script>

<template>
  <StationFrame v-if="job" :problem="problem" columns="minmax(300px, 420px) minmax(0, 1fr)">
    <template #back><Button :label="common.backToTheMix" text size="small" @click="go('mix')" /></template>
    <template v-if="card">
      <section>
        <FillPicture
          :spec="card.fill.spec"
          :sunk-by="card.fill.sunkBy"
          :steps="card.steps"
          :bucket="job.plan.bucket"
          :units="units"
        />
      </section>
      <section class="steps" aria-labelledby="bed-title">
        <ChipRow
          v-if="cards.length > 1"
          :chips="chips"
          :chosen="chosen"
          :label="words.bedsOfThisJob"
          @choose="chosen = $event"
        />
        <h2 id="bed-title">
          {{ card.fill.count > 1 ? `${card.fill.count} × ` : '' }}{{ bedTitle(card.fill.spec) }}
          <small>{{ words.ofLooseMixInAll(volumeText(card.loose, units)) }}</small>
        </h2>
        <ol class="plain">
          <TickLine
            v-for="s in steps"
            :key="s.id"
            :title="s.title"
            :text="s.text"
            :done="s.done"
            :brief="isBrief(s)"
            @update:done="tick(s.id, $event)"
          />
        </ol>
        <CheckField v-model="whole" class="no-print" :label="common.everyStepInFull" />
      </section>
      <section class="side">
        <PlantedForm
          :planted="job.plantedOn"
          :open="!allDone"
          :has-crop="crop !== undefined"
          @plant="plant"
          @undo="setPlanted(null)"
        />
        <Button :label="words.labels" icon="pi pi-qrcode" outlined @click="go('labels')" />
        <CautionList
          :heading="words.whileYouFill"
          :cautions="cautions"
          :read="seen.read.value"
          @read="seen.acknowledge"
        />
      </section>
    </template>
  </StationFrame>
</template>

<style scoped>
.station {
  grid-template-rows: auto 1fr;
}
.steps {
  grid-row: span 2;
}
.side {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  gap: 16px;
}
@media (max-width: 900px) {
  .steps {
    grid-row: auto;
  }
}
</style>
