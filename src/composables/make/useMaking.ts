import { computed, toRaw, type Ref } from 'vue'
import { succeed } from '@/core/outcome'
import { madeOf } from '@/model/make/madeBatches'
import { batchCards } from '@/model/make/batchCard'
import { madeMix, remadeBatches, totalsAsMade } from '@/model/make/asMade'
import type { GardenDoor } from '../garden/gardenDoor'
import type { JobInHand } from '../job/useJob'

/**
 * What was made of a job, for its record: the ticked batches, or all of them once that was said; with the job, its
 * quantities and its list cut down to them.
 */
export function useMade(
  inHand: JobInHand<GardenDoor>,
  making: ReturnType<typeof useMaking>,
  all: Readonly<Ref<boolean>>,
) {
  const made = computed(() => {
    const { job, quantities } = inHand
    if (!job.value || !quantities.value?.ok) return null
    const how = { remade: making.remade.value, all: all.value }
    return madeOf(toRaw(job.value), quantities.value.value, making.cards.value, how)
  })
  const asMade: JobInHand<GardenDoor> = {
    ...inHand,
    job: computed(() => made.value?.job ?? inHand.job.value),
    quantities: computed(() => (made.value ? succeed(made.value.quantities) : inHand.quantities.value)),
  }
  return { made, asMade, makingMade: useMaking(asMade) }
}

/** A job as it is being made: its cards, what was made otherwise, and what the mix becomes by that. */
export function useMaking({ job, quantities, prepared }: JobInHand<GardenDoor>) {
  const q = computed(() => (quantities.value?.ok ? quantities.value.value : null))
  const ready = computed(() => (prepared.value?.ok ? prepared.value.value : null))
  const remade = computed(() =>
    job.value && q.value && ready.value ? remadeBatches(job.value, q.value, ready.value) : new Map(),
  )
  const totals = computed(() => (q.value && job.value ? totalsAsMade(q.value.plan, job.value.otherwise) : []))
  return {
    remade,
    cards: computed(() => (job.value && q.value ? batchCards(job.value, q.value, remade.value) : [])),
    /** All batches together as they are made; null where all goes as planned. */
    made: computed(() => {
      if (!ready.value || remade.value.size === 0) return null
      const made = madeMix(ready.value, totals.value)
      return made.ok ? made.value : null
    }),
    /** Loose litres of what went in otherwise than listed. */
    used: computed(() => {
      const used = new Map<string, number>()
      if (!q.value || remade.value.size === 0) return used
      const planned = new Map(q.value.plan.totals.map((t) => [t.id, t.litres]))
      for (const t of q.value.first.flatMap(({ plan }) => plan.totals))
        used.set(t.id, t.litres + (used.get(t.id) ?? 0))
      for (const id of new Set([...planned.keys(), ...totals.value.map((t) => t.id)])) {
        const litres = totals.value.find((t) => t.id === id)?.litres ?? 0
        used.set(id, litres + (used.get(id) ?? 0) + (q.value.beside.get(id) ?? 0))
      }
      return used
    }),
  }
}
