<script setup lang="ts">
/** What has to be done before mixing, worked back from the mixing day, and what has to be waited for after it. */
import { common } from '@/text/base/common'
import { prepareStation as words } from '@/text/views/prepareStation'
import Button from 'primevue/button'
import { computed } from 'vue'
import CautionList from '@/components/CautionList.vue'
import ChoiceField from '@/components/field/ChoiceField.vue'
import TextField from '@/components/field/TextField.vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import TimeStrip from '@/components/picture/TimeStrip.vue'
import type { TimeItem } from '@/components/picture/timeStrip'
import MoveTask from '@/components/season/MoveTask.vue'
import PrepSteps from '@/components/make/PrepSteps.vue'
import TimerList from '@/components/make/TimerList.vue'
import { saveFile } from '@/composables/page/saveFile'
import { useCautions } from '@/composables/make/useCautions'
import { useOnPhone } from '@/composables/page/useOnPhone'
import { useJob } from '@/composables/job/useJob'
import { useQuantities } from '@/composables/make/useQuantities'
import { useStations } from '@/composables/job/useStations'
import { useJobTimers } from '@/composables/make/useTimers'
import type { StepList } from '@/model/garden/commands'
import type { TimedStep } from '@/model/make/timetable'
import { jobDates } from '@/model/season/jobDates'
import { cautionById, cautionsForMixing } from '@/text/base/cautions'
import { sidesCaution } from '@/text/bed/sides'
import { isDay, isoDay, shortDayText } from '@/text/base/dates'
import { jobTitle } from '@/text/base/titles'
import {
  BUY_STEP,
  clashText,
  mixingDayText,
  offeredText,
  stepText,
  type StepRow,
} from '@/text/make/preparing'

const { jobId } = defineProps<{ jobId: string }>()
const inHand = useJob(() => jobId)
const { garden, job, units, materials } = inHand
const { q, problem } = useQuantities(inHand)
const { go, to } = useStations(() => jobId)
const timers = useJobTimers(inHand)
const today = isoDay(new Date())

const table = computed(() =>
  job.value && q.value
    ? jobDates(garden.records, job.value, today, inHand.quantities.value ?? undefined).table
    : null,
)
const rowOf = (step: TimedStep): StepRow => ({ ...step, ...stepText(step, units.value) })
const before = computed(() => (table.value?.before ?? []).map(rowOf))
const after = computed(() => (table.value?.after ?? []).map(rowOf))
const onPhone = useOnPhone()
const canMove = computed(() => !onPhone.value && job.value?.recordId === null)
/** The mixing day goes by its own field; a step is begun sooner than it has to be. */
function move(step: string, on: string | null) {
  if (step === 'mix') setDay(on ?? '')
  else garden.run({ type: 'step/move', jobId, step, on })
}
/** From buying to planting on a line of time. */
const onLine = computed((): TimeItem[] => {
  const t = table.value
  if (!t) return []
  const isMade = job.value?.recordId !== null
  const stateOf = (done: boolean, last: string) => (done ? 'done' : last < today ? 'late' : 'open')
  return [
    ...(t.buyBy
      ? [
          {
            id: 'buy',
            title: BUY_STEP.title,
            on: t.buyBy,
            until: null,
            state: stateOf(isMade, t.buyBy),
          } as const,
        ]
      : []),
    ...[...before.value, ...after.value].map((s): TimeItem => ({
      id: s.id,
      title: s.title,
      on: s.begin,
      until: s.ready,
      state: stateOf(s.done, s.ready),
      ...(s.prep.phase === 'before' &&
        !s.done &&
        canMove.value && { movable: { from: today, to: s.movedFrom ?? s.begin } }),
    })),
    {
      id: 'mix',
      title: words.mix,
      on: t.mixOn,
      until: null,
      state: stateOf(isMade, t.mixOn),
      ...(!isMade && canMove.value && { movable: { from: t.earliest } }),
    },
  ]
})
/** What can be begun sooner than it has to be. */
const toMove = computed(() =>
  job.value?.recordId === null
    ? before.value
        .filter((s) => !s.done)
        .map(({ id, title, begin, movedFrom }) => ({ id, title, on: begin, movedFrom }))
    : [],
)
const clashes = computed(() => (table.value?.clashes ?? []).map((c) => clashText(c, units.value)))
const offers = computed(() => (table.value?.offered ?? []).map((o) => offeredText(o, units.value)))
const isHot = computed(() => before.value.some((s) => s.prep.id.startsWith('soil_pasteurise')))
const cautions = computed(() => [
  ...(job.value?.fills ?? []).flatMap(({ spec }) => sidesCaution(spec)),
  ...(isHot.value ? [cautionById('heat')] : []),
  ...cautionsForMixing(materials.value, []),
])
const seen = useCautions(garden)

const set = (list: StepList, step: string, done: boolean) =>
  garden.run({ type: 'steps/set', jobId, list, step, done })
function add(id: string | null) {
  if (!id || !table.value) return
  const offered = table.value.offered.find((o) => o.id === id)!
  if (offered.prep.usual) set('readyLeft', id, false)
  else set('readyAdded', id, true)
}
/** A usual step is left out, one that was added goes away again. */
const leave = (step: TimedStep) =>
  step.prep.usual ? set('readyLeft', step.id, true) : set('readyAdded', step.id, false)
const setDay = (day: string) => {
  if (day === '' || isDay(day))
    garden.run({ type: 'job/planting', jobId, change: { mixOn: day === '' ? null : day } })
}
const printPage = () => window.print()
async function saveCalendar() {
  const [{ calendarFile }, { prepareTasks }] = await Promise.all([
    import('@/model/calendar/calendarFile'),
    import('@/model/make/prepareTasks'),
  ])
  const name = jobTitle(job.value!)
  const tasks = prepareTasks({ jobId, name }, table.value!, (step) => stepText(step, units.value), BUY_STEP)
  saveFile(`${name}.ics`, calendarFile(name, tasks), 'text/calendar')
}
</script>

<template>
  <StationFrame v-if="job" :problem="problem" columns="minmax(0, 1.6fr) minmax(280px, 1fr)">
    <template #back><Button :label="common.backToTheMix" text size="small" @click="go('mix')" /></template>
    <template v-if="table">
      <h1 class="print-only paper-title">{{ words.gettingReady(jobTitle(job)) }}</h1>
      <TimeStrip
        class="line no-print"
        :items="onLine"
        :today="today"
        :label="words.lineOfTime"
        @move="move"
      />
      <section aria-labelledby="before-title">
        <h2 id="before-title">{{ words.beforeMixing }}</h2>
        <p class="soft">{{ mixingDayText(table) }}</p>
        <div v-for="c in clashes" :key="c.why" class="clash" role="note">
          <strong>{{ c.why }}</strong> {{ c.fix }}
        </div>
        <p v-if="before.length === 0">{{ words.nothingOfThisMixHas }}</p>
        <p v-if="table.buyBy" class="buy">
          <strong>{{ BUY_STEP.title }}</strong> {{ words.by(shortDayText(table.buyBy)) }}
          <RouterLink class="no-print" :to="to('buy')">{{ words.theList }}</RouterLink>
        </p>
        <PrepSteps
          :steps="before"
          @tick="(id, done) => set('readySteps', id, done)"
          @time="timers.start($event.title, $event.days * 1440)"
          @leave="leave"
        />
        <template v-if="after.length">
          <h2>{{ words.afterMixingBeforePlanting }}</h2>
          <PrepSteps :steps="after" @tick="(id, done) => set('readySteps', id, done)" @leave="leave" />
        </template>
        <FoldBox
          id="prepare-more"
          class="no-print"
          :title="words.otherSteps"
          :says="words.anotherStepCalendarPaper"
        >
          <ChoiceField
            v-if="offers.length"
            class="more no-print"
            :label="words.anotherStep"
            :model-value="null"
            :options="offers"
            :placeholder="words.screenChargeHeatWash"
            :search="words.searchTheSteps"
            :none="words.noSuchStepForThis"
            @update:model-value="add"
          />
          <MoveTask v-if="toMove.length" :tasks="toMove" @move="move" />
          <Button :label="common.saveToYourCalendar" icon="pi pi-calendar" text @click="saveCalendar" />
          <Button :label="words.print" icon="pi pi-print" text @click="printPage" />
        </FoldBox>
        <div class="row no-print">
          <Button :label="words.onToMixing" icon="pi pi-arrow-right" icon-pos="right" @click="go('make')" />
        </div>
      </section>
      <section class="side">
        <TextField
          class="no-print"
          :label="words.mixingDay"
          type="date"
          :model-value="job.mixOn ?? ''"
          :hint="words.atTheEarliest(shortDayText(table.earliest))"
          @update:model-value="setDay"
        />
        <TimerList :timers="timers" />
        <CautionList
          :heading="words.whileYouGetReady"
          :cautions="cautions"
          :read="seen.read.value"
          @read="seen.acknowledge"
        />
      </section>
    </template>
  </StationFrame>
</template>

<style scoped>
.line {
  grid-column: 1 / -1;
}
.clash {
  border-left: 4px solid var(--straw);
  background: var(--straw-wash);
  padding: 8px 12px;
  margin: 8px 0;
  border-radius: 4px;
}
.more {
  margin: 14px 0;
}
.side {
  display: flex;
  flex-direction: column;
  gap: 16px;
}
</style>
