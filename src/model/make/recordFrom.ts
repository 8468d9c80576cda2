import type { Evaluation } from '@/core/evaluate'
import type { Verdict } from '../mix/verdict'
import type { Quantities } from './quantities'
import { doseTotals, type DoseTotal } from './doseTotals'
import { batchCards, type BatchCard } from './batchCard'
import { totalsAsMade, type MadeMix } from './asMade'
import type { Money } from './money'
import type { BatchPlan } from '@/core/batch'
import { dressingIn } from '@/core/data/dressings'
import { asJudged, judgedBed } from '@/model/garden/garden'
import { mixIn } from '@/model/mix/innerMix'
import { materialIn, type Tables } from '@/core/data'
import type { Job, MixRecord } from '@/model/garden/schemas'

/** A finished mix is written down with what is in it: it may be gone when the record is read. */
function measuredName(job: Job, id: string, tables: Tables): string {
  const mix = mixIn(job, id)
  if (!mix) return materialIn(tables, id)?.name ?? id
  const inside = mix.parts.map((p) => materialIn(tables, p.materialId)?.name ?? p.materialId).join(', ')
  return `${mix.name} (${inside})`.slice(0, 200)
}

/** What is said of a mix that was made, beside what was planned. */
export interface Told {
  id: string
  madeOn: string
  note: string
  jobName: string
  /** The mix of all batches where some were made otherwise, and each of those. */
  made?: MadeMix | null
  remade?: ReadonlyMap<number, MadeMix>
  /** In words. */
  otherwise?: string[]
  money?: Money
  /** What is said first of it. */
  verdict?: Verdict | null
}

/** Litres of mix in all batches, those made otherwise as they were. */
const blendAsMade = (plan: BatchPlan, remade: ReadonlyMap<number, MadeMix> = new Map()): number =>
  plan.batches.reduce((sum, b, i) => sum + (remade.get(i)?.blendLitres ?? b.blendLitres), 0)

/** Grams of each dressing over the job, with the lime and feed of batches made otherwise. */
function dosesAsMade(job: Job, quantities: Quantities, remade: ReadonlyMap<number, MadeMix>): DoseTotal[] {
  const totals = doseTotals(job, quantities)
  if (remade.size === 0) return totals
  const planned = stirredIn(batchCards(job, quantities))
  const made = stirredIn(batchCards(job, quantities, remade))
  return totals.map((t) => {
    const lineId = job.dressings.find((d) => d.dressingId === t.id)?.id ?? t.id
    const before = planned.get(lineId) ?? 0
    return t.place.kind === 'throughout' && before > 0
      ? { ...t, grams: t.grams + (made.get(lineId) ?? 0) - before }
      : t
  })
}
/** Grams of each dose line over all cards. */
function stirredIn(cards: readonly BatchCard[]): Map<string, number> {
  const grams = new Map<string, number>()
  for (const line of cards.flatMap((c) => c.lines))
    if (line.kind === 'dose') grams.set(line.id, (grams.get(line.id) ?? 0) + line.grams)
  return grams
}

/** A job's mix as it was made on a day: what was measured and what is expected of it, complete in itself. */
export function recordFrom(job: Job, quantities: Quantities, told: Told): MixRecord {
  const { plan } = quantities
  const { id, madeOn, note, jobName, made, money } = told
  return {
    id,
    jobId: job.id,
    jobName,
    cropId: asJudged(job).cropId,
    madeOn,
    note,
    vessel: { ...judgedBed(job).spec.vessel, count: judgedBed(job).count },
    filled: filledBeds(job, quantities),
    ...asMeasured(job, quantities, told),
    bucket: job.plan.bucket,
    batchCount: plan.batches.length,
    blendLitres: blendAsMade(plan, told.remade),
    paid: money && money.lines.some((l) => l.paid !== null) ? money.paid : null,
    used: money && money.lines.some((l) => l.used !== null) ? money.used : null,
    readings: job.readings,
    corrections: job.corrections.map((c) => ({
      ...c,
      dressingName: dressingIn(quantities.tables, c.dressingId)?.name ?? c.dressingId,
    })),
    otherwise: told.otherwise ?? [],
    predicted: {
      ...predictedOf(made?.evaluation ?? quantities.asMeasured),
      verdict: told.verdict ?? null,
    },
  }
}

/** The beds it fills. A set amount is made whatever the beds take: nobody said what it fills. */
const filledBeds = (job: Job, { needed }: Quantities): MixRecord['filled'] =>
  job.amount === null
    ? job.fills.map((f, i) => ({
        name: f.spec.name,
        count: f.count,
        litres: needed[i]!.net * f.count,
      }))
    : []

/** What went in, each with its cost and its lot. */
function asMeasured(
  job: Job,
  quantities: Quantities,
  { money, remade }: Told,
): Pick<MixRecord, 'measured' | 'limes' | 'dressings'> {
  const costed = (of: string) => ({
    cost: money?.lines.find((l) => l.id === of)?.used ?? null,
    lot: job.bought.find((b) => b.id === of)?.lot ?? '',
  })
  const doses = dosesAsMade(job, quantities, remade ?? new Map())
  return {
    measured: totalsAsMade(quantities.plan, job.otherwise).map((t) => ({
      materialId: t.id,
      materialName: measuredName(job, t.id, quantities.tables),
      twelfths: Math.round((t.litres / job.plan.bucket) * 12),
      litres: t.litres,
      ...costed(t.id),
    })),
    limes: doses
      .filter((d) => d.isLime)
      .map((d) => ({ limeId: d.id, limeName: d.name, grams: d.grams, ...costed(d.id) })),
    dressings: doses
      .filter((d) => !d.isLime)
      .map((d) => ({
        dressingId: d.id,
        dressingName: d.name,
        grams: d.grams,
        place: d.place,
        ...costed(d.id),
      })),
  }
}

const predictedOf = ({ mix, lime, weights, blend }: Evaluation): Omit<MixRecord['predicted'], 'verdict'> => ({
  airFilledPorosity: mix.airFilledPorosity,
  easilyAvailableWater: mix.easilyAvailableWater,
  containerCapacity: mix.containerCapacity,
  pH: lime.pH,
  drainedWeight: weights.drained,
  blendingLoss: blend.blendingLoss,
})
