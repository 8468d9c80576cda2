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
  const { tables, first, plan } = quantities
  const making = { job, quantities, ticks: new Set(job.ticks) }
  return [
    ...first.flatMap(({ mix, plan }) =>
      cardsOf(making, {
        mix,
        plan,
        doses: dosesIn(mix, plan.blendLitres, tables),
        remade: NOTHING_REMADE,
        idOf: (id) => `${mix.id}/${id}`,
      }),
    ),
    ...cardsOf(making, { mix: null, plan, doses: blendedDoses(job, quantities), remade, idOf: (id) => id }),
  ]
}

interface Making {
  job: Job
  quantities: Quantities
  ticks: ReadonlySet<string>
}
/** One mix of the job in its batches: a finished one that is made for it, or the job's own. */
interface Batches {
  mix: InnerMix | null
  plan: BatchPlan
  doses: BlendedDose[]
  remade: ReadonlyMap<number, MadeMix>
  idOf: (id: string) => string
}

function cardsOf(making: Making, batches: Batches): BatchCard[] {
  const { mix, plan, remade } = batches
  let before = 0
  return plan.batches.map((batch, index): BatchCard => {
    const made = remade.get(index)
    const stretch = { before, after: before + batch.blendLitres, batch, made }
    const lines = [
      ...batch.measures.flatMap((m) => measureLines(making, batches, { m, index, made })),
      ...doseLines(making, batches, stretch),
    ]
    before = stretch.after
    return {
      mix,
      index,
      of: plan.batches.length,
      lines,
      blendLitres: made?.blendLitres ?? batch.blendLitres,
      short: batch.short,
      done: lines.filter((l) => making.ticks.has(tickOf(index, l.id))).length,
    }
  })
}

/** One measure of a batch: as planned, or what went in, and what went in for it. */
function measureLines(
  { job, quantities }: Making,
  { mix, idOf }: Batches,
  { m, index, made }: { m: BatchPlan['batches'][number]['measures'][number]; index: number; made?: MadeMix },
): CardLine[] {
  const what = measuredOf(m.id, mix ? [] : job.mixes, quantities.tables)
  if (!what) return []
  const { twelfths, scoopTwelfths, litres } = m
  const other = made && job.otherwise.find((o) => o.batch === index && o.materialId === m.id)
  if (!other) return [{ kind: 'measure', id: idOf(m.id), what, twelfths, scoopTwelfths, litres }]
  const lineOf = (id: string, of: Measured, litres: number): CardLine[] =>
    litres > 0
      ? [{ kind: 'measure', id, what: of, ...byBucket(litres, job.plan), litres, changed: true }]
      : []
  const { instead } = other
  const insteadOf = instead && measuredOf(instead.materialId, job.mixes, quantities.tables)
  return [
    ...lineOf(m.id, what, other.litres),
    ...(instead && insteadOf ? lineOf(`${m.id}>${instead.materialId}`, insteadOf, instead.litres) : []),
  ]
}

/** A stretch of the blend, litres from the first batch on, that one batch makes. */
interface Stretch {
  before: number
  after: number
  batch: BatchPlan['batches'][number]
  made?: MadeMix
}
/** What is scattered over a batch. */
function doseLines(
  { quantities }: Making,
  { doses, idOf }: Batches,
  { before, after, batch, made }: Stretch,
): CardLine[] {
  const blendLitres = made?.blendLitres ?? batch.blendLitres
  /** What the batch makes over what was planned; of lime, by what it asks for now. */
  const moreOf = (id: string, dressingId: string) =>
    (blendLitres / batch.blendLitres) *
    (made && id === dressingId && limeIn(quantities.tables, dressingId) && quantities.limeGramsPerLitre > 0
      ? made.limeGramsPerLitre / quantities.limeGramsPerLitre
      : 1)
  return doses.flatMap(
    ({ id, dressingId, name, bulkDensity, gramsPerLitre, into: stretches, beds }): CardLine[] => {
      const into = stretches.reduce(
        (sum, s) => sum + Math.max(0, Math.min(after, s.to) - Math.max(before, s.from)),
        0,
      )
      const grams = gramsPerLitre * into * moreOf(id, dressingId)
      if (into < LEAST_PILE * batch.blendLitres || !isDose(grams)) return []
      const all = into > (1 - LEAST_PILE) * batch.blendLitres
      const pile = all ? null : (into * blendLitres) / batch.blendLitres
      return [{ kind: 'dose', id: idOf(id), name, bulkDensity, grams, into: pile, beds }]
    },
  )
}

/** Is every measure of it in? */
export const isDone = (card: BatchCard): boolean => card.done === card.lines.length
