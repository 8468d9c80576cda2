import { computed, shallowRef, toRaw, toValue, watch, type MaybeRefOrGetter } from 'vue'
import { asJudged, placeOf } from '@/model/garden/garden'
import { asDosed } from '@/model/amounts/asDosed'
import type { Job, Place } from '@/model/garden/schemas'
import { fedBeds, litresOfRound } from '@/model/season/feedRound'
import { questionOfJob } from '@/model/mix/questionOfJob'
import { tapOf } from '@/model/mix/jobWater'
import type { JobWays, WaysRequest } from '@/model/water/waterWays'
import { waterWaysInWorker } from '@/workers/core.client'
import type { GardenDoor } from '../garden/gardenDoor'
import { useTables } from '../garden/useTables'
import { useTask } from '../page/useTask'

/** A mix in hand under its water; `ways` is undefined until it was tried, null where it cannot be. */
export interface WateredJob {
  job: Job
  cropId: string | null
  ways: JobWays | null | undefined
}

/** What the water of the place does to every mix in hand, tried beside the page, one after another. */
export function useJobWaters(
  garden: GardenDoor,
  inHand: MaybeRefOrGetter<readonly Job[]>,
  run = waterWaysInWorker,
) {
  const tables = useTables(garden)
  const place = computed(() => placeOf(garden.records))
  const jobs = computed(() => toValue(inHand).filter((job) => job.parts.length > 0))
  // What was found holds for as long as the job, its place and the rows are the same.
  const found = shallowRef<ReadonlyMap<Job, Found>>(new Map())
  const known = (job: Job) => {
    const one = found.value.get(toRaw(job))
    return one && one.place === toRaw(place.value) && one.tables === tables.value ? one : undefined
  }
  const next = computed(() => (place.value ? (jobs.value.find((job) => !known(job)) ?? null) : null))
  const task = useTask<Asked, number, JobWays | 'none'>(
    async ({ request }, controls) =>
      (await run(request, controls)) ?? (controls.signal.aborted ? null : 'none'),
  )
  // The same job is asked about anew where the water or the rows have changed meanwhile.
  watch(
    [next, place, tables],
    ([job]) => {
      if (!job) return
      const raw = toRaw(job)
      const at = toRaw(place.value!)
      const request: WaysRequest = {
        question: toRaw(questionOfJob(asDosed(garden.records, raw), at, tables.value)),
        tap: tapOf(at),
        treatment: raw.water,
        answered: raw.dismissed.map((d) => d.code),
      }
      task.start({ job: raw, place: at, tables: tables.value, request })
    },
    { immediate: true },
  )
  watch(task.answer, (answer) => {
    if (!answer) return
    const { job, place: at, tables: rows } = answer.of
    const ways = answer.value === 'none' ? null : answer.value
    // Of jobs that are no more nothing is kept.
    const kept = [...found.value].filter(([old]) => jobs.value.some((j) => toRaw(j) === old))
    found.value = new Map([...kept, [job, { place: at, tables: rows, ways }]])
  })
  const rows = computed<WateredJob[]>(() =>
    jobs.value.map((job) => ({ job, cropId: asJudged(job).cropId, ways: known(job)?.ways })),
  )
  return {
    place,
    rows,
    next,
    failure: task.failure,
    again: task.again,
    barrel: computed(() => barrelUse(garden, rows.value)),
  }
}

type Found = { place: Place; tables: unknown; ways: JobWays | null }
type Asked = Omit<Found, 'ways'> & { job: Job; request: WaysRequest }

/** Litres of rain water in a day of each month: for the jobs that get some, for all of them where none does. */
function barrelUse(garden: GardenDoor, rows: readonly WateredJob[]) {
  const rained = rows.filter(({ job }) => job.water.rain > 0)
  const counted = rained.length > 0 ? rained : rows
  const use = Array.from({ length: 12 }, () => 0)
  for (const { job, ways } of counted)
    ways?.use?.forEach((litres, month) => {
      const all = litresOfRound(fedBeds(garden.records, job, { litres }))
      use[month]! += all * (rained.length > 0 ? job.water.rain : 1)
    })
  return { use, jobs: rained.map(({ job }) => job) }
}
