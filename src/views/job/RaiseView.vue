<script setup lang="ts">
/** Plants of a job from seed to planting out: days worked back by warmth, what each stage is filled with, its mix. */
import { raiseView as words } from '@/text/views/raiseView'
import Button from 'primevue/button'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import ChoiceField from '@/components/field/ChoiceField.vue'
import QuantityField from '@/components/field/QuantityField.vue'
import ProblemBox from '@/components/frame/ProblemBox.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import TimeStrip from '@/components/picture/TimeStrip.vue'
import { useJob } from '@/composables/job/useJob'
import { useStations } from '@/composables/job/useStations'
import { TRAYS, type RaisingStage } from '@/core/raising'
import type { Raising } from '@/model/garden/schemas'
import { raisedOf, raisingOf, stageJob, usualRaising } from '@/model/season/raising'
import { isoDay, shortDayText } from '@/text/base/dates'
import { problemText } from '@/text/base/problems.en'
import { temperatureText } from '@/text/base/units'
import {
  RAISING_STEP_NAMES,
  pastText,
  raisingText,
  stageName,
  stageText,
  stepText,
  TRAY_NAMES,
} from '@/text/season/raising'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, units, crop } = useJob(() => jobId)
const { to } = useStations(() => jobId)
const router = useRouter()
const today = isoDay(new Date())
const raised = computed(() => raisedOf(job.value?.cropId ?? null))
const raising = computed(() => job.value?.raising ?? (raised.value && usualRaising(raised.value)))
const answer = computed(() => (job.value ? raisingOf(garden.records, job.value, today) : null))
const dated = computed(() => (answer.value?.ok ? answer.value.value : null))
const problem = computed(() =>
  answer.value && !answer.value.ok ? problemText(answer.value.problem, units.value) : null,
)
const firsts = TRAYS.map(({ id }) => ({ value: id, label: TRAY_NAMES[id] }))
const STAYS = '-'
const seconds = [
  { value: STAYS, label: words.stays },
  ...TRAYS.filter((t) => t.cells > 1).map(({ id }) => ({ value: id as string, label: TRAY_NAMES[id] })),
]
const set = (change: Partial<Raising>, what: string) =>
  raising.value &&
  garden.run({
    type: 'job/raising',
    jobId,
    raising: { ...raising.value, ...change },
    what,
  })
const setSecond = (id: string | null) =>
  id && set({ second: id === STAYS ? null : (id as Raising['second']) }, words.did.second)
const stages = computed(() =>
  (dated.value?.plan.stages ?? []).map((stage, i) => ({
    stage,
    name: TRAY_NAMES[stage.tray.id],
    says: stageText(stage, units.value),
    isFirst: i === 0,
  })),
)
const strip = computed(() =>
  (dated.value?.days ?? []).map(({ step, on }) => ({
    id: step,
    on,
    until: null,
    title: RAISING_STEP_NAMES[step],
    state: on < today ? ('done' as const) : ('open' as const),
  })),
)
async function makeJob(stage: RaisingStage, isFirst: boolean) {
  const name = stageName(job.value!, crop.value?.name ?? '', isFirst ? 0 : 1)
  const made = stageJob(job.value!, stage, {
    id: crypto.randomUUID(),
    fillId: crypto.randomUUID(),
    createdAt: new Date().toISOString(),
    name,
    isFirst,
  })
  garden.run({ type: 'job/create', job: made })
  await router.push({ name: 'mix', params: { garden: garden.name, jobId: made.id } })
}
</script>

<template>
  <StationFrame v-if="job" columns="minmax(280px, 1fr) minmax(0, 1.4fr)">
    <section aria-labelledby="raise-title">
      <div class="row head">
        <h2 id="raise-title">{{ words.title }}</h2>
        <RouterLink :to="to('containers')">{{ words.back }}</RouterLink>
      </div>
      <p v-if="!crop">{{ words.noCrop }}</p>
      <p v-else-if="!raised || !raising">{{ words.notRaised }}</p>
      <div v-else class="pair">
        <ChoiceField
          :label="words.first"
          :model-value="raising.first"
          :options="firsts"
          @update:model-value="$event && set({ first: $event }, words.did.first)"
        />
        <ChoiceField
          :label="words.second"
          :model-value="raising.second ?? STAYS"
          :options="seconds"
          @update:model-value="setSecond($event)"
        />
        <QuantityField
          :label="words.warmthOfSeed"
          quantity="temperature"
          :units="units"
          :problem="problem"
          :model-value="raising.warmthOfSeed"
          :hint="
            words.best(
              temperatureText(raised.emergence.bestLow, units),
              temperatureText(raised.emergence.bestHigh, units),
            )
          "
          @update:model-value="
            set({ warmthOfSeed: Math.min(45, Math.max(0, $event)) }, words.did.warmthOfSeed)
          "
        />
        <QuantityField
          :label="words.warmth"
          quantity="temperature"
          :units="units"
          :model-value="raising.warmth"
          :hint="words.howWarm"
          @update:model-value="set({ warmth: Math.min(45, Math.max(0, $event)) }, words.did.warmth)"
        />
      </div>
    </section>
    <section v-if="dated" aria-labelledby="raise-dates">
      <h2 id="raise-dates">{{ words.dates }}</h2>
      <p class="lead" role="status">{{ raisingText(dated) }} {{ pastText(dated) }}</p>
      <TimeStrip class="strip" :items="strip" :today="today" :least="30" :label="words.steps" />
      <ol class="plain">
        <li v-for="d in dated.days" :key="d.step" class="step">
          <strong>{{ shortDayText(d.on) }}: {{ RAISING_STEP_NAMES[d.step] }}</strong>
          <span class="soft">{{ stepText(d.step) }}</span>
        </li>
      </ol>
      <h2>{{ words.mixes }}</h2>
      <p class="soft">{{ words.mixSays }}</p>
      <ul class="plain">
        <li v-for="s in stages" :key="s.name" class="stage">
          <span> <strong>{{ s.name }}</strong>: {{ s.says }}. </span>
          <Button
            :label="words.makeJob"
            :aria-label="words.makeJobOf(s.name)"
            outlined
            @click="makeJob(s.stage, s.isFirst)"
          />
        </li>
      </ul>
    </section>
    <ProblemBox v-else-if="problem" :sentence="problem" />
  </StationFrame>
</template>

<style scoped>
.head {
  justify-content: space-between;
  align-items: end;
  margin-bottom: 10px;
}
.lead {
  font-size: 1.15rem;
}
.strip {
  margin-bottom: 14px;
}
.step,
.stage {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.stage {
  flex-wrap: nowrap;
  align-items: center;
  justify-content: space-between;
}
h2:not(:first-child) {
  margin-top: 20px;
}
@media (max-width: 760px) {
  .stage {
    flex-wrap: wrap;
  }
  .pair {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
