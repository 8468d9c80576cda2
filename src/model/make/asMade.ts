import { succeed, type Outcome } from '@/core/outcome'
import type { BatchPlan } from '@/core/batch'
import type { Evaluation } from '@/core/evaluate'
import type { Job } from '../garden/schemas'
import { evaluatePrepared, prepare, type PreparedMix } from '../mix/prepare'
import type { Quantities } from './quantities'

export type Otherwise = Job['otherwise'][number]

/** Loose litres of a material. */
export interface Measured {
  id: string
  litres: number
}

/** The measures of a batch as they went in: what ran short is less, what went in for it beside it. */
export function measuresAsMade(
  batch: { measures: readonly Measured[] },
  index: number,
  otherwise: readonly Otherwise[],
): Measured[] {
  const litres = new Map<string, number>()
  const add = (id: string, of: number) => litres.set(id, (litres.get(id) ?? 0) + of)
  for (const { id, litres: planned } of batch.measures) {
    const other = otherwise.find((o) => o.batch === index && o.materialId === id)
    add(id, other ? other.litres : planned)
    if (other?.instead) add(other.instead.materialId, other.instead.litres)
  }
  return [...litres].filter(([, of]) => of > 0).map(([id, of]) => ({ id, litres: of }))
}

/** All batches together as they were made. */
export function totalsAsMade(plan: BatchPlan, otherwise: readonly Otherwise[]): Measured[] {
  const litres = new Map<string, number>()
  for (const [i, batch] of plan.batches.entries())
    for (const m of measuresAsMade(batch, i, otherwise)) litres.set(m.id, (litres.get(m.id) ?? 0) + m.litres)
  return [...litres].map(([id, of]) => ({ id, litres: of }))
}

/** A mix as it was measured: what it will be, how much of it there is, and the lime it asks for. */
export interface MadeMix {
  evaluation: Evaluation
  blendLitres: number
  limeGramsPerLitre: number
}

/**
 * A mix of so many litres of each. The lime is worked out anew where it aims at a pH. Errors: those of `prepare` and
 * `evaluatePrepared`; nothing measured.
 */
export function madeMix({ question }: PreparedMix, measured: readonly Measured[]): Outcome<MadeMix> {
  const { recipe } = question
  const lines = measured.map(({ id, litres }) => ({ id, parts: litres }))
  const prepared = prepare({ ...question, recipe: { ...recipe, lines } })
  if (!prepared.ok) return prepared
  const evaluation = evaluatePrepared(prepared.value)
  if (!evaluation.ok) return evaluation
  const loose = measured.reduce((sum, m) => sum + m.litres, 0)
  const { flat, lime } = prepared.value
  return succeed({
    evaluation: evaluation.value,
    blendLitres: loose * (1 - flat.lossHere),
    limeGramsPerLitre: lime.own.gramsPerLitre,
  })
}

/** Each batch that was made otherwise, as it was made; those that cannot be worked out are left as planned. */
export function remadeBatches(
  job: Job,
  quantities: Quantities,
  prepared: PreparedMix,
): ReadonlyMap<number, MadeMix> {
  const remade = new Map<number, MadeMix>()
  for (const index of new Set(job.otherwise.map((o) => o.batch))) {
    const batch = quantities.plan.batches[index]
    const made = batch && madeMix(prepared, measuresAsMade(batch, index, job.otherwise))
    if (made?.ok) remade.set(index, made.value)
  }
  return remade
}

/** What a grower says of a measure that did not go in as planned. */
export interface OtherwiseAnswer {
  materialId: string
  /** That went in of it in this batch, and what went in for the rest. */
  litres: number
  instead: Otherwise['instead']
  /** The batches after it are made the same way, by proportion. */
  onward: boolean
}

/** What is kept once a measure of a batch was noted; an answer as planned takes the entry away. */
export function otherwiseAfter(
  otherwise: readonly Otherwise[],
  plan: BatchPlan,
  index: number,
  { materialId, litres, instead, onward }: OtherwiseAnswer,
): Otherwise[] {
  const plannedIn = (batch: number) =>
    plan.batches[batch]!.measures.find((m) => m.id === materialId)?.litres ?? 0
  const here = plannedIn(index)
  const batches = plan.batches.flatMap((_, i) => (i === index || (onward && i > index) ? [i] : []))
  const kept = otherwise.filter((o) => o.materialId !== materialId || !batches.includes(o.batch))
  if (!instead && Math.abs(litres - here) < 1e-9) return kept
  return [
    ...kept,
    ...batches.map((batch): Otherwise => {
      const scale = here > 0 ? plannedIn(batch) / here : Number(batch === index)
      return {
        batch,
        materialId,
        litres: scale * litres,
        instead: instead && { ...instead, litres: scale * instead.litres },
      }
    }),
  ]
}
