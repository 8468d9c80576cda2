import type { Batch, BatchPlan } from '@/core/batch'
import type { Job } from '../garden/schemas'
import type { MadeMix } from './asMade'
import { isDone, type BatchCard } from './batchCard'
import type { Quantities } from './quantities'

/** What was made of a job: its own batches and those of mixes made for it, by their cards. */
export interface Made {
  job: Job
  quantities: Quantities
  remade: ReadonlyMap<number, MadeMix>
  /** Batches of the job's own mix that were made, and those there are. */
  batches: number
  of: number
}

/** A plan with some of its batches alone. */
function planWith(plan: BatchPlan, batches: Batch[]): BatchPlan {
  const totals = plan.totals.map(({ id }, k) => ({
    id,
    twelfths: batches.reduce((sum, b) => sum + b.measures[k]!.twelfths, 0),
    scoopTwelfths: batches.reduce((sum, b) => sum + b.measures[k]!.scoopTwelfths, 0),
    litres: batches.reduce((sum, b) => sum + b.measures[k]!.litres, 0),
  }))
  return { ...plan, batches, totals, blendLitres: batches.reduce((sum, b) => sum + b.blendLitres, 0) }
}

/**
 * A job cut down to the batches that were ticked to the end; what was made otherwise goes with its batch. All of it
 * where every batch was, or where `all` is said.
 */
export function madeOf(
  job: Job,
  quantities: Quantities,
  cards: readonly BatchCard[],
  { remade, all }: { remade: ReadonlyMap<number, MadeMix>; all: boolean },
): Made {
  const of = quantities.plan.batches.length
  const done = cards.filter((c) => !c.mix && isDone(c)).map((c) => c.index)
  if (all || done.length === of) return { job, quantities, remade, batches: of, of }
  const now = new Map(done.map((index, i) => [index, i]))
  const plan = planWith(
    quantities.plan,
    done.map((index) => quantities.plan.batches[index]!),
  )
  const first = quantities.first.flatMap((one) => {
    const made = cards
      .filter((c) => c.mix?.id === one.mix.id && isDone(c))
      .map((c) => one.plan.batches[c.index]!)
    const cut = planWith(one.plan, made)
    return made.length > 0 ? [{ ...one, plan: cut, litres: cut.blendLitres }] : []
  })
  const share = plan.blendLitres / quantities.plan.blendLitres
  return {
    job: {
      ...job,
      // Nobody said what a part of it fills.
      amount: plan.blendLitres,
      otherwise: job.otherwise.flatMap((o) => (now.has(o.batch) ? [{ ...o, batch: now.get(o.batch)! }] : [])),
    },
    quantities: {
      ...quantities,
      plan,
      first,
      toBlend: quantities.toBlend * share,
      inPlace: quantities.inPlace * share,
      beside: new Map(),
    },
    remade: new Map([...remade].flatMap(([i, mix]) => (now.has(i) ? [[now.get(i)!, mix] as const] : []))),
    batches: done.length,
    of,
  }
}
