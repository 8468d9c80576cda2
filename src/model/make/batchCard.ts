import { tickOf } from '@/model/garden/commands'
import { type BlendedDose, dosesIn, blendedDoses } from './blendedDoses'
import type { BatchPlan } from '@/core/batch'
import type { Quantities } from './quantities'
import type { InnerMix, Job, JobBed } from '@/model/garden/schemas'
import { limeIn, type Material, materialIn, type Tables } from '@/core/data'
import { isDose } from '@/core/amounts'
import { byBucket } from '@/core/batch'
import type { MadeMix } from './asMade'

/** What a bucket is filled with: a material, or a finished mix. */
export type Measured =
  | { material: Material }
  /** With the material it has most of. */
  | { mix: InnerMix; most: Material | undefined }
const measuredOf = (id: string, mixes: readonly InnerMix[], tables: Tables): Measured | null => {
  const mix = mixes.find((m) => m.id === id)
  if (mix) {
    const most = mix.parts.reduce((a, b) => (b.twelfths > a.twelfths ? b : a))
    return { mix, most: materialIn(tables, most.materialId) }
  }
  const material = materialIn(tables, id)
  return material ? { material } : null
}

/** One line of a batch card: a bucket measure of a material, or a weight of lime or another dressing. */
export type CardLine =
  | {
      kind: 'measure'
      id: string
      what: Measured
      twelfths: number
      scoopTwelfths: number
      litres: number
      /** Otherwise than planned. */
      changed?: true
    }
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

const NOTHING_REMADE: ReadonlyMap<number, MadeMix> = new Map()

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
 * it. A batch that was made otherwise shows what goes in, with its lime and feed for what that makes.
 */
export function batchCards(
  job: Job,
  quantities: Quantities,
  remade: ReadonlyMap<number, MadeMix> = NOTHING_REMADE,
): BatchCard[] {
  const { tables } = quantities
  const ticks = new Set(job.ticks)
  const cardsOf = (
    mix: InnerMix | null,
    plan: BatchPlan,
    doses: BlendedDose[],
    idOf: (id: string) => string,
  ) => {
    let before = 0
    return plan.batches.map((batch, index): BatchCard => {
      const made = mix ? undefined : remade.get(index)
      const lines = batch.measures.flatMap((m): CardLine[] => {
        const what = measuredOf(m.id, mix ? [] : job.mixes, tables)
        if (!what) return []
        const { twelfths, scoopTwelfths, litres } = m
        const other = made && job.otherwise.find((o) => o.batch === index && o.materialId === m.id)
        if (!other) return [{ kind: 'measure', id: idOf(m.id), what, twelfths, scoopTwelfths, litres }]
        const instead = other.instead && measuredOf(other.instead.materialId, job.mixes, tables)
        const lineOf = (id: string, of: Measured, litres: number): CardLine[] =>
          litres > 0
            ? [{ kind: 'measure', id, what: of, ...byBucket(litres, job.plan), litres, changed: true }]
            : []
        return [
          ...lineOf(m.id, what, other.litres),
          ...(instead ? lineOf(`${m.id}>${other.instead!.materialId}`, instead, other.instead!.litres) : []),
        ]
      })
      const after = before + batch.blendLitres
      const blendLitres = made?.blendLitres ?? batch.blendLitres
      /** What the batch makes over what was planned; of lime, by what it asks for now. */
      const moreOf = (dressingId: string) =>
        (blendLitres / batch.blendLitres) *
        (made && limeIn(tables, dressingId) && quantities.limeGramsPerLitre > 0
          ? made.limeGramsPerLitre / quantities.limeGramsPerLitre
          : 1)
      for (const { id, dressingId, name, bulkDensity, gramsPerLitre, into: stretches, beds } of doses) {
        const into = stretches.reduce(
          (sum, s) => sum + Math.max(0, Math.min(after, s.to) - Math.max(before, s.from)),
          0,
        )
        if (into < LEAST_PILE * batch.blendLitres) continue
        const grams = gramsPerLitre * into * moreOf(dressingId)
        const all = into > (1 - LEAST_PILE) * batch.blendLitres
        const pile = all ? null : (into * blendLitres) / batch.blendLitres
        if (isDose(grams))
          lines.push({ kind: 'dose', id: idOf(id), name, bulkDensity, grams, into: pile, beds })
      }
      before = after
      return {
        mix,
        index,
        of: plan.batches.length,
        lines,
        blendLitres,
        short: batch.short,
        done: lines.filter((l) => ticks.has(tickOf(index, l.id))).length,
      }
    })
  }
  return [
    ...quantities.first.flatMap(({ mix, plan }) =>
      cardsOf(mix, plan, dosesIn(mix, plan.blendLitres, tables), (id) => `${mix.id}/${id}`),
    ),
    ...cardsOf(null, quantities.plan, blendedDoses(job, quantities), (id) => id),
  ]
}

/** Is every measure of it in? */
export const isDone = (card: BatchCard): boolean => card.done === card.lines.length
