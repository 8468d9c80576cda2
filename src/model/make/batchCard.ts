import { tickOf } from '@/model/garden/commands'
import { type BlendedDose, dosesIn, blendedDoses } from './blendedDoses'
import type { BatchPlan } from '@/core/batch'
import type { Quantities } from './quantities'
import type { InnerMix, Job, JobBed } from '@/model/garden/schemas'
import { type Material, materialById } from '@/core/data'

/** What a bucket is filled with: a material, or a finished mix. */
export type Measured = { material: Material } | { mix: InnerMix }
const measuredOf = (id: string, mixes: readonly InnerMix[]): Measured | null => {
  const mix = mixes.find((m) => m.id === id)
  if (mix) return { mix }
  const material = materialById(id)
  return material ? { material } : null
}

/** One line of a batch card: a bucket measure of a material, or a weight of lime or another dressing. */
export type CardLine =
  | { kind: 'measure'; id: string; what: Measured; twelfths: number; scoopTwelfths: number; litres: number }
  | {
      kind: 'dose'
      id: string
      name: string
      bulkDensity: number
      grams: number
      /** Litres of the batch it goes into where that is not all of it. */
      into: number | null
      /** The beds that get it, where others do not. */
      beds: JobBed[] | null
    }

/** A share of a batch so small is none of it, one so near to all is all. */
const LEAST_PILE = 0.001

export interface BatchCard {
  /** What it makes: a finished mix that goes into the job's own; null for the job's own. */
  mix: InnerMix | null
  /** Counted from 0, for each mix anew. */
  index: number
  /** Batches of the same mix. */
  of: number
  lines: CardLine[]
  blendLitres: number
  short: boolean
  done: number
}

/**
 * Every batch of a job as the hand will measure it, dressings last; finished mixes that are made for it come before
 * it.
 */
export function batchCards(job: Job, quantities: Quantities): BatchCard[] {
  const ticks = new Set(job.ticks)
  const cardsOf = (
    mix: InnerMix | null,
    plan: BatchPlan,
    doses: BlendedDose[],
    idOf: (id: string) => string,
  ) => {
    let before = 0
    return plan.batches.map((batch, index): BatchCard => {
      const lines = batch.measures.flatMap((m): CardLine[] => {
        const what = measuredOf(m.id, mix ? [] : job.mixes)
        const { twelfths, scoopTwelfths, litres } = m
        return what ? [{ kind: 'measure', id: idOf(m.id), what, twelfths, scoopTwelfths, litres }] : []
      })
      const after = before + batch.blendLitres
      for (const { id, name, bulkDensity, gramsPerLitre, into: stretches, beds } of doses) {
        const into = stretches.reduce(
          (sum, s) => sum + Math.max(0, Math.min(after, s.to) - Math.max(before, s.from)),
          0,
        )
        if (into < LEAST_PILE * batch.blendLitres) continue
        const grams = gramsPerLitre * into
        const all = into > (1 - LEAST_PILE) * batch.blendLitres
        lines.push({ kind: 'dose', id: idOf(id), name, bulkDensity, grams, into: all ? null : into, beds })
      }
      before = after
      return {
        mix,
        index,
        of: plan.batches.length,
        lines,
        blendLitres: batch.blendLitres,
        short: batch.short,
        done: lines.filter((l) => ticks.has(tickOf(index, l.id))).length,
      }
    })
  }
  return [
    ...quantities.first.flatMap(({ mix, plan }) =>
      cardsOf(mix, plan, dosesIn(mix, plan.blendLitres), (id) => `${mix.id}/${id}`),
    ),
    ...cardsOf(null, quantities.plan, blendedDoses(job, quantities), (id) => id),
  ]
}

/** Is every measure of it in? */
export const isDone = (card: BatchCard): boolean => card.done === card.lines.length
