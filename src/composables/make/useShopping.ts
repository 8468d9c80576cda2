import { computed, toRaw, type ComputedRef } from 'vue'
import { jobOf } from '@/model/garden/garden'
import { asDosed } from '@/model/amounts/asDosed'
import type { Job } from '@/model/garden/schemas'
import { doseTotals, type DoseTotal } from '@/model/make/doseTotals'
import { moneyOf, type Money } from '@/model/make/money'
import { quantitiesOf, type Measures, type Quantities } from '@/model/make/quantities'
import {
  doseLines,
  mixLines,
  shoppingList,
  type DoseLine,
  type MixLine,
  type ShoppingLine,
} from '@/model/make/shoppingList'
import { lostOnPreparing } from '@/model/make/timetable'
import { prepareJob } from '@/model/mix/evaluateJob'
import type { GardenDoor } from '../garden/gardenDoor'
import type { JobInHand } from '../job/useJob'

/** What a job takes, with other jobs bought for at the same time where it asks for that, and what that costs. */
export interface Shopping {
  /** Jobs on the list beside this one, as far as their measures can be worked out. */
  others: ComputedRef<{ job: Job; quantities: Quantities }[]>
  /** Limes and dressings of all of them. */
  totals: ComputedRef<DoseTotal[]>
  list: ComputedRef<ShoppingLine[]>
  /** The list for other quantities, with what was bought and is on the shelf now. */
  listOf: (all: readonly Measures[]) => ShoppingLine[]
  mixes: ComputedRef<MixLine[]>
  doses: ComputedRef<DoseLine[]>
  money: ComputedRef<Money>
}

/** `alone`: what this job takes, whatever it is bought with. */
export function useShopping(
  { garden, job, quantities, place, tables }: JobInHand<GardenDoor>,
  { alone = false } = {},
): Shopping {
  const q = computed(() => (quantities.value?.ok ? quantities.value.value : null))
  const others = computed(() =>
    alone
      ? []
      : (job.value?.boughtWith ?? []).flatMap((id) => {
          const stored = jobOf(garden.records, id)
          if (!stored || id === job.value!.id) return []
          const other = asDosed(garden.records, stored)
          const found = quantitiesOf(toRaw(other), prepareJob(toRaw(other), toRaw(place.value), tables.value))
          return found.ok ? [{ job: other, quantities: found.value }] : []
        }),
  )
  const all = computed(() =>
    job.value && q.value ? [{ job: job.value, quantities: q.value }, ...others.value] : [],
  )
  const bought = computed(() => job.value?.bought ?? [])
  const lost = computed(() => {
    const lost = new Map<string, number>()
    for (const { job } of all.value)
      for (const [id, share] of lostOnPreparing(job)) lost.set(id, Math.max(share, lost.get(id) ?? 0))
    return lost
  })
  const totals = computed(() => all.value.flatMap((one) => doseTotals(one.job, one.quantities)))
  const listOf = (quantities: readonly Measures[]) =>
    shoppingList(garden.records, quantities, { lost: lost.value, bought: bought.value })
  const list = computed(() => (all.value.length === 0 ? [] : listOf(all.value.map((one) => one.quantities))))
  const mixes = computed(() => all.value.flatMap((one) => mixLines(one.job, one.quantities, bought.value)))
  const doses = computed(() => doseLines(garden.records, totals.value, bought.value))
  const money = computed(() => moneyOf(garden.records, list.value, mixes.value, doses.value))
  return { others, totals, list, listOf, mixes, doses, money }
}
