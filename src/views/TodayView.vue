<script setup lang="ts">
/** What is in hand and what comes next; for a new garden, the way in. */
import { atOnce } from '@/text/base/atOnce'
import { todayView as words } from '@/text/views/todayView'
import { useTimeoutFn } from '@vueuse/core'
import Button from 'primevue/button'
import { addDays } from 'date-fns'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRouter } from 'vue-router'
import StartTiles from '@/components/today/StartTiles.vue'
import { useTour } from '@/composables/page/useTour'
import { useDues } from '@/composables/season/useDues'
import { useVerdictLines } from '@/composables/job/useVerdictLines'
import type { TimeItem } from '@/components/picture/timeStrip'
import { cropName } from '@/core/data/cropTable'
import { liveJob, placeOf } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import { isOver, nextStation, STATIONS } from '@/stations/stations'
import { useGarden } from '@/stores/garden'
import { lowerFirst } from '@/text/base/counted'
import { isoDay, localDay, shortDayText } from '@/text/base/dates'
import { fillsText, jobTitle } from '@/text/base/titles'
import { placeLine } from '@/text/bed/place'
import { inUnits, volumeText } from '@/text/base/units'

/** Fetched where there is something to show: a new garden begins without them. */
const DoneJobs = defineAsyncComponent(() => import('@/components/today/DoneJobs.vue'))
const LatelyMixed = defineAsyncComponent(() => import('@/components/today/LatelyMixed.vue'))
const JobCard = defineAsyncComponent(() => import('@/components/today/JobCard.vue'))
const ListInSight = defineAsyncComponent(() => import('@/components/frame/ListInSight.vue'))
const TimeStrip = defineAsyncComponent(() => import('@/components/picture/TimeStrip.vue'))
const TextField = defineAsyncComponent(() => import('@/components/field/TextField.vue'))
const garden = useGarden()
/** Cards drawn at once: more than a screen of them. */
const CARDS = 16
const router = useRouter()
/** Fetched while the page is looked at: pressed, a tile answers at once. */
const newJobs = async () => (await import('@/composables/job/useNewJob')).useNewJob(garden, router)
const SETTLED = 1500
useTimeoutFn(() => void newJobs().catch(() => null), SETTLED)
const tour = useTour(router)
const today = isoDay(new Date())

/** What each planted job asks for next. */
const dues = useDues(
  () => garden.records,
  () => (garden.isWhole ? garden.jobs.filter((j) => !isOver(j)) : []),
)

const inHand = computed(() => (garden.isWhole ? garden.jobs.filter((j) => !isOver(j)).slice(0, CARDS) : []))
const verdicts = useVerdictLines(() => garden.records, inHand)

const to = (name: string, job: Job) => ({ name, params: { garden: garden.name, jobId: job.id } })
function lineOf(stored: Job) {
  const job = liveJob(garden.records, stored)
  const what =
    job.amount === null
      ? fillsText(job.fills)
      : words.amountOfMix(volumeText(job.amount, garden.settings.units))
  const about = `${cropName(job.cropId) || words.noCropChosen} · ${what}`
  return { job, id: job.id, title: jobTitle(job), about, archived: job.archived }
}
/** Jobs in hand: what has a date first, soonest first, then as they were begun. */
const open = computed(() =>
  garden.jobs
    .filter((j) => !isOver(j))
    .map((stored) => {
      const line = lineOf(stored)
      const station = nextStation(line.job)
      const due = dues.value.get(line.id)
      const late = due !== undefined && (due.until ?? due.on) < today
      const next = due
        ? `${inUnits(due.title, garden.settings.units)}: ${shortDayText(due.on)}${late ? words.pastItsDay : ''}`
        : words.next(station.next)
      return {
        ...line,
        station,
        next,
        late,
        on: due?.on ?? '9',
        due: due ? `${line.title}: ${lowerFirst(inUnits(due.title, garden.settings.units))}` : '',
      }
    })
    .sort((a, b) => a.on.localeCompare(b.on)),
)
/** What is due within a fortnight, on a line; what is late lies on today. */
const FORTNIGHT = 13
const coming = computed((): TimeItem[] => {
  const last = isoDay(addDays(localDay(today), FORTNIGHT))
  return open.value
    .filter((o) => o.on <= last)
    .map((o) => ({
      id: o.id,
      title: o.due,
      on: o.on < today ? today : o.on,
      until: null,
      state: o.late ? 'late' : 'open',
    }))
})
const done = computed(() =>
  garden.jobs.filter(isOver).map((stored) => {
    const line = lineOf(stored)
    return { ...line, to: to(STATIONS[0]!.id, line.job) }
  }),
)
/** With so many jobs they are searched rather than read. */
const MANY = 12
const search = ref('')
const answering = <L extends { title: string; about: string }>(lines: readonly L[]) => {
  const wanted = search.value.trim().toLowerCase()
  return wanted === '' ? lines : lines.filter((l) => `${l.title} ${l.about}`.toLowerCase().includes(wanted))
}
const openFound = computed(() => answering(open.value))
const doneFound = computed(() => answering(done.value))
const recent = computed(() => garden.mixRecords.slice(0, 4))
const where = computed(() => placeLine(placeOf(garden.records)))
function startAgain(id: string) {
  const one = done.value.find((d) => d.id === id)
  if (one) void newJobs().then((jobs) => jobs.again(one.job))
}
</script>

<template>
  <div class="page">
    <h1>{{ words.today }}</h1>
    <p v-if="garden.name === 'demo' && tour.at.value < 0">
      <Button :label="words.takeTheTour" icon="pi pi-compass" outlined size="small" @click="tour.go(0)" />
    </p>
    <p class="where">
      <RouterLink :to="{ name: 'place', params: { garden: garden.name } }">
        <i class="pi pi-map-marker" aria-hidden="true" /> {{ where }}
      </RouterLink>
      <RouterLink v-if="open.length === 0" :to="{ name: 'settings', params: { garden: garden.name } }">
        <i class="pi pi-sliders-h" aria-hidden="true" /> {{ words.sizesIn(garden.settings.units) }}
      </RouterLink>
    </p>
    <StartTiles
      v-if="open.length === 0"
      @start="newJobs().then((jobs) => jobs.forKind($event))"
      @batch="newJobs().then((jobs) => jobs.batch())"
    />
    <TimeStrip
      v-if="coming.length > 0"
      :items="coming"
      :today="today"
      :least="7"
      :label="words.dueInAFortnight"
    />
    <div class="two">
      <section aria-labelledby="open-title">
        <h2 id="open-title">{{ words.inHand }}</h2>
        <TextField
          v-if="garden.jobs.length > MANY"
          v-model="search"
          :label="words.searchJobs"
          :placeholder="words.searchJobs"
          hide-label
        />
        <p v-if="open.length === 0" class="soft">
          {{ words.nothingInHandAJob }}
        </p>
        <ListInSight v-if="openFound.length" v-slot="{ item: o }" :items="openFound" :lines="CARDS">
          <JobCard
            :job="o.job"
            :title="o.title"
            :about="o.about"
            :to="to(o.station.id, o.job)"
            :says="verdicts.get(o.id)"
            :next="o.next"
            :station="o.station.title"
            :late="o.late"
          />
        </ListInSight>
        <DoneJobs
          v-if="done.length"
          :jobs="doneFound"
          @again="startAgain"
          @take="garden.run({ type: 'job/archive', jobId: $event, archived: false })"
        />
      </section>
      <section aria-labelledby="recent-title">
        <h2 id="recent-title">{{ words.latelyMixed }}</h2>
        <LatelyMixed v-if="recent.length" :records="recent" :units="garden.settings.units" />
        <p v-else class="soft">{{ words.noMixYet }}</p>
        <Button
          v-if="recent.length"
          :label="atOnce.allRecords"
          text
          icon="pi pi-book"
          @click="router.push({ name: 'records', params: { garden: garden.name } })"
        />
      </section>
    </div>
    <!-- For who comes back, what is due comes first. -->
    <StartTiles
      v-if="open.length > 0"
      class="later"
      @start="newJobs().then((jobs) => jobs.forKind($event))"
      @batch="newJobs().then((jobs) => jobs.batch())"
    />
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1.6fr 1fr;
  gap: 40px;
  margin-top: 24px;
}
.later {
  margin-top: 28px;
}
.where a {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  min-height: 32px;
}
.where {
  display: flex;
  flex-wrap: wrap;
  gap: 0 20px;
  margin: -4px 0 12px;
}
@media (max-width: 760px) {
  .two {
    grid-template-columns: 1fr;
    gap: 14px;
  }
}
</style>
