<script setup lang="ts">
/** What is in hand and what comes next; for a new garden, the way in. */
import { cropById } from '@/core/data'
import Button from 'primevue/button'
import { computed, shallowRef, watchEffect } from 'vue'
import { useRouter } from 'vue-router'
import VesselGlyph from '@/components/VesselGlyph.vue'
import { CLIMATES } from '@/core/data/climates'
import {
  judgedBed,
  liveJob,
  placeOf,
  nextYearsJob,
  specOf,
  startingBed,
  startingJobBed,
  startingJob,
} from '@/model/garden/garden'
import { isOver, nextStation } from '@/model/stations'
import type { Due } from '@/model/season/season'
import { FOLLOW_UP_TEXTS } from '@/text/season'
import { VESSEL_KINDS, type Job, type VesselKind } from '@/model/garden/schemas'
import { useGarden } from '@/stores/garden'
import { dayText, isoDay, shortDayText } from '@/text/dates'
import { fillsText, jobTitle, STATION_NAMES, STATION_NEXT, VESSEL_NAMES } from '@/text/labels'
import { pHText, percentText, volumeText } from '@/text/units'

const garden = useGarden()
const router = useRouter()
const kinds: readonly VesselKind[] = VESSEL_KINDS

const place = computed(() => placeOf(garden.records))
const today = isoDay(new Date())
/** What each planted job asks for next; the reckoning for it is fetched after the page stands. */
const dues = shallowRef<ReadonlyMap<string, Due>>(new Map())
watchEffect(async () => {
  const { records, jobs } = garden
  if (!jobs.some((j) => j.plantedOn && !isOver(j))) return
  const { duesOf } = await import('@/model/season/due')
  dues.value = duesOf(
    records,
    jobs.filter((j) => !isOver(j)),
  )
})
function dueOf(job: Job) {
  const due = dues.value.get(job.id)
  return due && { on: due.on, title: FOLLOW_UP_TEXTS[due.code].title, late: (due.until ?? due.on) < today }
}
/** Jobs in hand: what has a date first, soonest first, then as they were begun. */
const open = computed(() =>
  garden.jobs
    .filter((j) => !isOver(j))
    .map((stored) => liveJob(garden.records, stored))
    .map((job) => ({ job, next: nextStation(job), due: dueOf(job) }))
    .sort((a, b) => (a.due?.on ?? '9').localeCompare(b.due?.on ?? '9')),
)
/** Looked back on or put away: kept for doing again. */
const done = computed(() => garden.jobs.filter(isOver).map((stored) => liveJob(garden.records, stored)))
async function again(job: Job) {
  const next = nextYearsJob(job, crypto.randomUUID(), new Date().toISOString())
  garden.run({ type: 'job/create', job: next })
  await router.push({ name: 'fill', params: { garden: garden.name, jobId: next.id } })
}
const placeWords = computed(() => {
  const p = place.value
  if (!p) return 'Say where you garden'
  const climate = CLIMATES.find((c) => c.id === p.climateId)?.name ?? 'Your own climate'
  const every = p.waterEvery
  const often = every === 1 ? 'day' : every < 1 ? `${Math.round(every * 24)} hours` : `${every} days`
  return `${climate}, watered every ${often} if need be`
})
const recent = computed(() => garden.mixRecords.slice(0, 4))
const cropName = (job: Job) => cropById(job.cropId)?.name

async function start(kind: VesselKind) {
  const at = new Date().toISOString()
  const bed = startingBed(crypto.randomUUID(), at, kind)
  const fill = startingJobBed(crypto.randomUUID(), specOf(bed), bed.id)
  const job = startingJob(crypto.randomUUID(), at, [fill])
  garden.run({ type: 'job/create', job, beds: [bed] })
  await router.push({ name: 'fill', params: { garden: garden.name, jobId: job.id } })
}
</script>

<template>
  <div class="page">
    <h1>Today</h1>
    <p class="where">
      <RouterLink :to="{ name: 'place', params: { garden: garden.name } }">
        <i class="pi pi-map-marker" aria-hidden="true" /> {{ placeWords }}
      </RouterLink>
    </p>
    <section class="new" aria-labelledby="new-title">
      <div>
        <h2 id="new-title">What are you filling?</h2>
        <p class="soft">
          Choose one to start a job. You will say how big it is, make up a mix by parts, see how it drains in
          that very container, and get a card of buckets to measure.
        </p>
      </div>
      <div class="tiles">
        <button v-for="kind in kinds" :key="kind" type="button" class="tile" @click="start(kind)">
          <VesselGlyph :kind="kind" />
          <span
            ><strong>{{ VESSEL_NAMES[kind].one }}</strong
            ><small>{{ VESSEL_NAMES[kind].hint }}</small></span
          >
        </button>
      </div>
    </section>

    <div class="two">
      <section aria-labelledby="open-title">
        <h2 id="open-title">In hand</h2>
        <p v-if="open.length === 0" class="soft">
          Nothing in hand. A job you start waits here until its mix is recorded.
        </p>
        <ul class="plain jobs">
          <li v-for="{ job, next, due } in open" :key="job.id">
            <RouterLink class="job" :to="{ name: next, params: { garden: garden.name, jobId: job.id } }">
              <VesselGlyph :kind="judgedBed(job).spec.vessel.kind" />
              <span class="words">
                <strong>{{ jobTitle(job) }}</strong>
                <span class="soft">
                  {{ cropName(job) ?? 'No crop chosen' }} · {{ fillsText(job.fills) }}
                </span>
              </span>
              <span class="next"
                ><small v-if="due" :class="{ late: due.late }"
                  >{{ due.title }}: {{ shortDayText(due.on) }}{{ due.late ? ', past its day' : '' }}</small
                ><small v-else>Next: {{ STATION_NEXT[next] }}</small
                ><b>{{ STATION_NAMES[next] }} →</b></span
              >
            </RouterLink>
          </li>
        </ul>
        <details v-if="done.length" class="done">
          <summary>Done and put away ({{ done.length }})</summary>
          <ul class="plain">
            <li v-for="job in done" :key="job.id" class="recent">
              <span>
                <RouterLink :to="{ name: 'fill', params: { garden: garden.name, jobId: job.id } }">{{
                  jobTitle(job)
                }}</RouterLink><br /><span class="soft"
                  >{{ cropName(job) ?? 'No crop chosen' }} · {{ fillsText(job.fills) }}</span
                >
              </span>
              <span class="row">
                <Button
                  label="Again"
                  icon="pi pi-replay"
                  size="small"
                  outlined
                  :aria-label="`Begin ${jobTitle(job)} again for another year`"
                  @click="again(job)"
                />
                <Button
                  v-if="job.archived"
                  label="Take up"
                  size="small"
                  text
                  :aria-label="`Take up ${jobTitle(job)} again`"
                  @click="garden.run({ type: 'job/archive', jobId: job.id, archived: false })"
                />
              </span>
            </li>
          </ul>
        </details>
      </section>
      <section aria-labelledby="recent-title">
        <h2 id="recent-title">Lately mixed</h2>
        <p v-if="recent.length === 0" class="soft">
          No mix recorded yet. What you make is kept here with its date, its recipe and what was expected of
          it.
        </p>
        <ul class="plain">
          <li v-for="r in recent" :key="r.id" class="recent">
            <span
              ><strong>{{ r.jobName }}</strong
              ><br /><span class="soft">{{ dayText(r.madeOn) }}</span></span
            >
            <span class="numbers">
              {{ volumeText(r.blendLitres, garden.settings.units) }}<br />
              <span class="soft"
                >air {{ percentText(r.predicted.airFilledPorosity) }} · pH {{ pHText(r.predicted.pH) }}</span
              >
            </span>
          </li>
        </ul>
        <Button
          v-if="recent.length"
          label="All records"
          text
          icon="pi pi-book"
          @click="router.push({ name: 'records', params: { garden: garden.name } })"
        />
      </section>
    </div>
  </div>
</template>

<style scoped>
.new {
  display: grid;
  grid-template-columns: minmax(240px, 1fr) 2.4fr;
  gap: 24px;
  align-items: center;
  padding: 18px 0 24px;
  border-block: 1px solid var(--rule);
}
.tiles {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 12px;
}
.tile {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 6px;
  padding: 14px 8px;
  background: var(--sheet);
  border: 1.5px solid var(--edge);
  border-radius: var(--round);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  text-align: center;
}
.tile:hover {
  background: var(--clay-wash);
  border-color: var(--clay);
}
.tile small {
  display: block;
}
.two {
  display: grid;
  grid-template-columns: 1.6fr 1fr;
  gap: 40px;
  margin-top: 24px;
}
.jobs li {
  margin-top: 8px;
}
.job {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 8px 14px;
  color: var(--ink);
  text-decoration: none;
  border: 1px solid var(--rule);
  border-radius: var(--round);
  background: var(--sheet);
}
.job:hover {
  border-color: var(--clay);
}
.words {
  flex: 1;
  display: flex;
  flex-direction: column;
}
.next {
  text-align: right;
  display: flex;
  flex-direction: column;
}
.late {
  color: var(--alarm);
}
.where {
  margin: -4px 0 12px;
}
.next b {
  color: var(--clay);
  white-space: nowrap;
}
.done {
  margin-top: 18px;
}
.done summary {
  cursor: pointer;
  color: var(--clay);
  padding: 6px 0;
}
.recent {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  padding: 10px 0;
  border-bottom: 1px solid var(--rule);
}
.numbers {
  text-align: right;
  white-space: nowrap;
}
@media (max-width: 760px) {
  .new,
  .two {
    grid-template-columns: 1fr;
    gap: 14px;
  }
  .tiles {
    grid-template-columns: 1fr 1fr;
  }
  .job {
    gap: 10px;
    padding: 8px 10px;
  }
  .next small {
    display: none;
  }
}
</style>
