import { computed, shallowRef, toRaw, toValue, watch, type MaybeRefOrGetter, type Ref } from 'vue'
import type { Outcome } from '@/core/outcome'
import type { WateringPlan } from '@/core/watering'
import { placeOf } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import {
  awayAnswer,
  awayBeds,
  awayRequest,
  monthOf,
  type AwayAnswer,
  type AwayBed,
  type AwayRequest,
  type Stay,
} from '@/model/water/away'
import { planInWorker } from '@/workers/core.client'
import type { GardenDoor } from '../garden/gardenDoor'
import { useTables } from '../garden/useTables'
import { useTask } from '../page/useTask'

/** A bed with what it needs: undefined until it was followed, null where nothing grows in it then. */
export interface AwayRow extends AwayBed {
  answer: AwayAnswer | null | undefined
}
interface Asked {
  key: string
  job: Job
  request: AwayRequest
}
interface Found {
  job: Job
  request: AwayRequest
  plan: WateringPlan | null
}

/** What every planted bed of some jobs needs in a stay, followed beside the page one bed after another. */
export function useAway(
  garden: GardenDoor,
  jobs: MaybeRefOrGetter<readonly Job[]>,
  stay: Ref<Stay | null>,
  run = planInWorker,
) {
  const tables = useTables(garden)
  const place = computed(() => placeOf(garden.records))
  const beds = computed(() => awayBeds(toValue(jobs)))
  const month = computed(() => (stay.value ? monthOf(stay.value) : null))
  const found = shallowRef<ReadonlyMap<string, Found | null>>(new Map())
  const keyOf = ({ fill }: AwayBed) => `${fill.id} ${month.value}`
  const next = computed(() =>
    place.value && month.value ? (beds.value.find((bed) => !found.value.has(keyOf(bed))) ?? null) : null,
  )
  const keep = (key: string, one: Found | null) => (found.value = new Map([...found.value, [key, one]]))
  const task = useTask<Asked, number, Outcome<WateringPlan>>(({ request }, controls) =>
    run(request.plan, controls),
  )
  // Another place, other rows or a job changed: everything is followed anew.
  watch([place, tables, beds], () => (found.value = new Map()))
  // The same bed is asked about anew in another month.
  watch(
    [next, month],
    ([bed]) => {
      if (!bed || !month.value) return
      const request = awayRequest(garden.records, toRaw(bed), { month: month.value, tables: tables.value })
      if (!request) keep(keyOf(bed), null)
      else task.start({ key: keyOf(bed), job: toRaw(bed.job), request })
    },
    { immediate: true },
  )
  watch(task.answer, (answer) => {
    if (!answer) return
    const { key, job, request } = answer.of
    keep(key, { job, request, plan: answer.value.ok ? answer.value.value : null })
  })
  return {
    place,
    next,
    failure: task.failure,
    again: task.again,
    rows: computed<AwayRow[]>(() =>
      beds.value.map((bed) => {
        const one = found.value.get(keyOf(bed))
        const answer =
          one === undefined
            ? undefined
            : one?.plan && stay.value
              ? awayAnswer(one.request, stay.value, one.plan)
              : null
        return { ...bed, answer }
      }),
    ),
  }
}
