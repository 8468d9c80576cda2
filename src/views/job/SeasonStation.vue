<script setup lang="ts">
/** After planting: what is due and when, how often it wants water, how the months and the winter suit it. */
import { TITLES } from '@/text/views/titles'
import { useOnPhone } from '@/composables/page/useOnPhone'
import { common } from '@/text/base/common'
import { seasonStation as words } from '@/text/views/seasonStation'
import Button from 'primevue/button'
import { computed } from 'vue'
import FoldBox from '@/components/frame/FoldBox.vue'
import FigureTable from '@/components/frame/FigureTable.vue'
import StationFrame from '@/components/frame/StationFrame.vue'
import MonthStrip from '@/components/MonthStrip.vue'
import TimeCourses from '@/components/picture/TimeCourses.vue'
import TimeStrip from '@/components/picture/TimeStrip.vue'
import type { TimeItem } from '@/components/picture/timeStrip'
import DueList from '@/components/season/DueList.vue'
import MoveTask from '@/components/season/MoveTask.vue'
import { saveFile } from '@/composables/page/saveFile'
import { useJob } from '@/composables/job/useJob'
import { useNewJob } from '@/composables/job/useNewJob'
import { useStations } from '@/composables/job/useStations'
import { useCan } from '@/composables/season/useCan'
import { dressingIn } from '@/core/data/dressings'
import { recordOf } from '@/model/garden/garden'
import { dosesToEach } from '@/model/make/doseTotals'
import type { CalendarTask } from '@/model/calendar/calendarFile'
import { fedBeds, litresOfRound } from '@/model/season/feedRound'
import type { Due } from '@/model/season/season'
import { reactTo } from '@/model/season/react'
import { seasonLog } from '@/model/season/seasonLog'
import { jobDates } from '@/model/season/jobDates'
import { outdoorsOf, seasonPlan, winterOf } from '@/model/season/season'
import { isOver } from '@/stations/stations'
import { dayText, isoDay } from '@/text/base/dates'
import { bedTitle, jobTitle } from '@/text/base/titles'
import { rainText, waterText } from '@/text/base/units'
import { plantedText } from '@/text/make/preparing'
import { winterText } from '@/text/season/winter'
import { canText, rhythmOfFeed, toEachLitres } from '@/text/season/liquidFeed'
import { smallCourses } from '@/text/season/smallCourses'
import { dueText, stillToFeedText, wateringRows, type DoseToEach } from '@/text/season/seasonPlan'

const { jobId } = defineProps<{ jobId: string }>()
const { garden, job, tables, units, crop, place, bands, evaluation, quantities } = useJob(() => jobId)
const { again } = useNewJob()
const { to } = useStations(() => jobId)

const record = computed(() =>
  job.value?.recordId ? recordOf(garden.records, job.value.recordId) : undefined,
)
const answer = computed(() => (evaluation.value?.ok ? evaluation.value.value : null))
const today = isoDay(new Date())
/** A phone shows the table of months when it is asked for, and moves tasks by their names. */
const onPhone = useOnPhone()
const dates = computed(() =>
  job.value ? jobDates(garden.records, job.value, today, quantities.value ?? undefined) : null,
)
const log = computed(() => (job.value ? seasonLog(garden.records, job.value) : null))
/** Tasks by date, as readings, feeds and waterings in the log have moved them. */
const plan = computed(() => {
  if (!job.value || !log.value) return null
  const found = seasonPlan(job.value, dates.value!, answer.value, place.value)
  const known = { job: job.value, evaluation: answer.value, log: log.value, today }
  return { ...found, due: reactTo(found.due, known) }
})
/** What was held back, for one container of each bed. */
function dosesOf(lineId: string | undefined): DoseToEach[] {
  const line = job.value?.dressings.find((d) => d.id === lineId)
  if (!line || !job.value) return []
  return dosesToEach(job.value, line, tables.value).map(({ fill, grams }) => ({
    bed: bedTitle(fill.spec),
    grams,
  }))
}
const note = (kind: 'watered' | 'fed', what: string) =>
  garden.run({
    type: 'entries/put',
    entries: [
      {
        id: crypto.randomUUID(),
        jobId,
        fillId: null,
        at: new Date().toISOString(),
        kind,
        value: null,
        count: null,
        expected: null,
        note: '',
      },
    ],
    what,
  })
/** A step ticked; watering and a liquid feed are noted in the log, and the next one follows from it. */
function tick(step: string, done: boolean) {
  const fed = plan.value?.due.find((d) => d.id === step)?.feedId
  if (step === 'water') note('watered', 'watering')
  else if (fed) note('fed', words.feeding)
  else garden.run({ type: 'steps/set', jobId, list: 'followedSteps', step, done })
}
const feed = computed(() => stillToFeedText(answer.value?.growing?.feeding ?? null, units.value))
const can = useCan(units)
const liquid = computed(() => new Map(job.value?.liquidFeeds.map((line) => [line.id, line])))
/** What is said of a feed that is due: how the job's own is made up, or what is still to be given. */
function feedText(due: Due): string {
  const line = liquid.value.get(due.feedId ?? '')
  const dressing = line && dressingIn(tables.value, line.dressingId)
  if (!line || !dressing) return feed.value
  const each = fedBeds(garden.records, job.value!, line)
  const litres =
    each.length === 1
      ? toEachLitres(each[0]!.litres, each[0]!.count, units.value)
      : words.litresInAll(waterText(litresOfRound(each), units.value))
  return `${canText(dressing, line.gramsPerLitre, can.value, units.value)}; ${litres}, ${rhythmOfFeed(line.everyDays)}.`
}
const rows = computed(() =>
  (plan.value?.due ?? []).map((due) => ({
    ...dueText(due, dosesOf(due.lineId), feedText(due), units.value),
    ...(due.code === 'feed' && !due.done && { link: { to: to('feed'), label: words.whatToFeed } }),
    id: due.id,
    done: due.done,
    late: !due.done && plan.value!.planted.said && (due.until ?? due.on) < today,
  })),
)
/** The same on a line of time. */
const onLine = computed((): TimeItem[] => {
  const planted = plan.value!.planted
  const tasks = plan.value!.due.map((due, i): TimeItem => {
    const { title, done, late } = rows.value[i]!
    const isHarvest = due.code === 'harvest'
    return {
      id: due.id,
      title,
      on: due.on,
      until: due.until,
      isHarvest,
      ...(!done && !isHarvest && !onPhone.value && { movable: {} }),
      state: done ? 'done' : late ? 'late' : 'open',
    }
  })
  const state = planted.said ? 'done' : 'open'
  return [{ id: 'planted', title: words.planted, on: planted.day, until: null, state }, ...tasks]
})
/** What is still to do and can be put on another day. */
const toMove = computed(() =>
  plan.value!.due.flatMap(({ id, on, code, done, movedFrom }, i) =>
    done || code === 'harvest' ? [] : [{ id, title: rows.value[i]!.title, on, movedFrom }],
  ),
)
const move = (step: string, on: string | null) => garden.run({ type: 'step/move', jobId, step, on })
/** The day it was mixed or is to be; what is not planned yet is mixed when it is planted. */
const mixedOn = computed(() => (record.value || job.value?.mixOn ? (dates.value?.mixOn ?? null) : null))
/** pH, salts, food and level on the same days. */
const courses = computed(() => {
  if (!job.value || !answer.value || !plan.value || !log.value) return []
  return smallCourses({
    job: job.value,
    record: record.value,
    evaluation: answer.value,
    entries: log.value.entries,
    tests: log.value.tests,
    bands: bands.value,
    units: units.value,
    start: mixedOn.value ?? plan.value.planted.day,
  })
})
/** What is still to do, for the grower's calendar. */
const tasks = computed((): CalendarTask[] =>
  (plan.value?.planted.said ? plan.value.due : []).flatMap((due, i) => {
    const row = rows.value[i]!
    const uid = `${jobId}-${due.id}@open-bed`
    const title = `${jobTitle(job.value!)}: ${row.title}`
    return due.done ? [] : [{ uid, title, text: row.text, on: due.on, until: due.until }]
  }),
)
async function saveCalendar() {
  const { calendarFile } = await import('@/model/calendar/calendarFile')
  const name = jobTitle(job.value!)
  saveFile(`${name}.ics`, calendarFile(name, tasks.value), 'text/calendar')
}
const watering = computed(() => (answer.value?.growing ? wateringRows(answer.value.growing) : []))
const outdoors = computed(() => (job.value ? outdoorsOf(job.value, place.value) : null))
const rain = computed(() =>
  place.value
    ? { mm: place.value.months.map((m) => m.rain), write: (mm: number) => rainText(mm, units.value) }
    : null,
)
const winter = computed(() => {
  const margin = job.value && winterOf(job.value, place.value)
  return margin && crop.value ? winterText(margin, crop.value.name, units.value) : null
})
const over = computed(() => job.value !== undefined && isOver(job.value))
</script>

<template>
  <StationFrame v-if="job && plan" columns="minmax(0, 1.5fr) minmax(280px, 1fr)">
    <TimeStrip
      class="line"
      :items="onLine"
      :today="today"
      :suits="outdoors?.suits"
      :rain="rain"
      :label="words.lineOfTime"
      @move="move"
    >
      <template v-if="courses.length" #below="{ strip, width }">
        <FoldBox id="season-courses" :title="words.courses" :says="words.coursesSays">
          <TimeCourses :strip="strip" :width="width" :courses="courses" />
          <p class="soft">
            {{ words.coursesKey }} <RouterLink :to="to('log')">{{ words.coursesInTheLog }}</RouterLink>
          </p>
        </FoldBox>
      </template>
    </TimeStrip>
    <section aria-labelledby="due-title">
      <div class="row head">
        <h2 id="due-title">{{ words.whatIsDue }}</h2>
        <span class="row">
          <RouterLink class="p-button p-button-outlined" :to="to('log')">{{
            words.noteSomethingInTheLog
          }}</RouterLink>
          <RouterLink
            class="p-button p-button-outlined"
            :to="{ name: 'tests', params: { garden: garden.name }, query: { of: `job ${jobId}` } }"
            >{{ common.testTheMix }}</RouterLink
          >
          <RouterLink class="p-button p-button-outlined" :to="to('plan')">{{
            common.wateringPlan
          }}</RouterLink>
          <RouterLink class="p-button p-button-outlined" :to="to('wrong')">{{
            common.somethingLooksWrong
          }}</RouterLink>
        </span>
      </div>
      <p v-if="!plan.planted.said" class="guess">
        {{ words.notPlantedYet }} {{ plantedText(plan.planted) }}
        <RouterLink :to="to('fill')">{{ words.sayWhenItIsPlanted }}</RouterLink>
      </p>
      <p v-else class="soft">{{ words.plantedOn(dayText(plan.planted.day)) }}</p>
      <DueList :rows="rows" :locked="!plan.planted.said" @tick="tick" />
      <p v-if="plan.harvest?.slowed" class="soft">
        {{ words.harvestIsDrawnOutBy }}
      </p>
      <FoldBox id="season-more" :title="words.more" :says="words.moreSays">
        <MoveTask v-if="toMove.length" :tasks="toMove" @move="move" />
        <Button
          v-if="tasks.length"
          :label="common.saveToYourCalendar"
          icon="pi pi-calendar"
          text
          :title="words.aCalendarFileSavedAgain"
          @click="saveCalendar"
        />
        <p>
          <RouterLink class="p-button p-button-text" :to="to('feed')">{{ common.liquidFeed }}</RouterLink>
          <RouterLink
            class="p-button p-button-text"
            :to="{ name: 'away', params: { garden: garden.name } }"
            >{{ TITLES.away }}</RouterLink
          >
        </p>
        <p v-if="record">
          <RouterLink class="p-button p-button-text" :to="to('next')">{{
            words.nextYearUseTheMix
          }}</RouterLink>
        </p>
      </FoldBox>
      <Button v-if="over" :label="words.beginItAgainForAnother" icon="pi pi-replay" @click="again(job)" />
    </section>
    <section class="side">
      <template v-if="watering.length">
        <h2>{{ words.watering }}</h2>
        <component
          :is="onPhone ? FoldBox : 'div'"
          id="season-water"
          :title="onPhone ? words.monthByMonth : undefined"
        >
          <FigureTable class="water" :rows="watering" :caption="words.howOftenItWantsWater" />
          <p class="soft">
            {{ words.inDryWeatherAtThe }}
          </p>
        </component>
      </template>
      <p v-else>
        <RouterLink :to="{ name: 'place', params: { garden: garden.name } }">{{
          common.sayWhereYouGarden
        }}</RouterLink>
        <template v-if="!crop"> {{ words.andChooseACrop }}</template> {{ words.toSeeHowOftenIt }}
      </p>
      <template v-if="outdoors && crop">
        <h2>{{ words.outsideByTheMonth(crop.name) }}</h2>
        <MonthStrip :suits="outdoors.suits" :planting="outdoors.planting" />
      </template>
      <template v-if="winter">
        <h2>{{ words.winter }}</h2>
        <p>{{ winter }}</p>
      </template>
    </section>
  </StationFrame>
</template>

<style scoped>
.head {
  justify-content: space-between;
}
.line {
  grid-column: 1 / -1;
}
.guess {
  border-left: 4px solid var(--straw);
  padding-left: 10px;
}
.water :deep(:is(th, td)) {
  text-align: left;
  font-weight: 400;
  font-size: 1rem;
  line-height: 1.3;
  padding: 3px 12px 3px 0;
  vertical-align: baseline;
  white-space: normal;
}
.side h2:not(:first-child) {
  margin-top: 22px;
}
</style>
