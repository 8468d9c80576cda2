import { looseLitresOfPack } from '@/core/batch'
import { depletionFraction } from '@/core/climate'
import { MATERIALS, cropById } from '@/core/data'
import type { Evaluation } from '@/core/evaluate'
import type { Candidate, FinderProblem, Move, NextMoves, RankedMove, Rules } from '@/core/finder'
import { nextMoves } from '@/core/finder'
import { judge, type Judgement } from '@/core/judgement'
import { isMeasurable } from '@/core/mixing'
import { succeed, fail, type Outcome } from '@/core/outcome'
import { shelfEntry } from '@/model/make/batchCard'
import { priceOfMix, pricePerLitre } from '@/model/mix/cost'
import { judgedBed, shelfItemOf, type Garden } from '@/model/garden/garden'
import {
  bandsOf,
  containerOf,
  evaluateJob,
  evaluateLater,
  inputOfJob,
  mixNeededFor,
  targetsOfJob,
} from '@/model/mix/reckoning'
import type { Job, Place, Recipe, Version } from '@/model/garden/schemas'
import { preparedMaterial } from '@/model/mix/prepared'
import { looseOfMix, materialIdsOf } from '@/model/mix/innerMix'
import { onGround } from '@/model/garden/starting'
import { materialById } from '@/core/data'

/** Where a search takes its materials from: those with a price or stock on the shelf, or every one of the tables. */
export type Source = 'shelf' | 'all'

const onShelf = (garden: Garden, id: string) => {
  const item = shelfItemOf(garden, id)
  return item !== undefined && (item.price !== null || item.stock > 0)
}
/** Materials a search may draw on; what is in the mix already always counts. */
export function materialsFrom(garden: Garden, job: Job, source: Source): string[] {
  const inMix = new Set(materialIdsOf(job))
  return MATERIALS.filter(
    (m) => inMix.has(m.id) || (source === 'all' ? m.family !== 'mix' : onShelf(garden, m.id)),
  ).map((m) => m.id)
}

/** Share of the solids that may have rotted in two years under what stays for years. Source: our assumption. */
const LASTING = { low: 0, high: 0.25 }
/** A bed drained by soil is not held to the easy water of pots, but gravel is no bed. Source: our assumption: a loam's own. */
const LEAST_IN_GROUND = 0.04
/** Water beyond easy reach that a mix usually holds between 5 and 10 kPa, a fraction. Source: the tables, middle of all. */
const USUAL_BUFFER = 0.05

/**
 * Easily available water a mix must hold so that a full-grown crop need not be watered oftener than every so many days in
 * its thirstiest month; null where place or crop are unknown. Fraction of the mix. Turns `wateringInterval` round, with a
 * usual buffer, so it is near and not exact: what is found is evaluated in full.
 */
export function easyWaterFor(evaluation: Evaluation, job: Job, days: number): number | null {
  const g = evaluation.growing
  const crop = cropById(job.cropId)
  if (!g || !crop || g.thirstiestMonth === null) return null
  const use = g.watering[g.thirstiestMonth - 1]!.use.value
  const kc = crop.properties.cropCoefficient.value
  const perArea = use / Math.max(crop.properties.canopyArea.value, 0.01)
  const p = depletionFraction(crop.properties.depletionFraction.value, Math.min(12, perArea * kc))
  const ofBuffer = Math.min(1, Math.max(0, (p - 0.2) / 0.4))
  return Math.max(0, (days * use) / evaluation.mix.mixVolume - ofBuffer * USUAL_BUFFER)
}

/** A job reckoned with what is on its bench, or with plain peat while that is empty: what the crop drinks does not hang on it. */
export function thirstOf(job: Job, place: Place | undefined): Evaluation | null {
  const parts = job.parts.length > 0 ? job.parts : [{ materialId: 'peat_medium', twelfths: 12 }]
  const answer = evaluateJob({ ...job, parts }, undefined, place)
  return answer.ok ? answer.value : null
}

export interface FinderWishes {
  source: Source
  rules: Rules
  /** Litres of mix the job takes, for packs and stock; null where that is not known. */
  volume: number | null
  /** Easily available water at least; null where no rule asks. */
  easyWater: number | null
}

/** A job as the finder takes it: its bed, its bands, the shelf with prices. */
export function finderProblem(
  garden: Garden,
  job: Job,
  place: Place | undefined,
  wishes: FinderWishes,
): Outcome<FinderProblem> {
  const { spec } = judgedBed(job)
  const plan = mixNeededFor({ spec, sunkBy: null })
  if (!plan.ok) return plan
  const bands = bandsOf(targetsOfJob(job, place))
  const salts = targetsOfJob(job, place).bands.find((b) => b.target === 'electricalConductivity')?.band
  const perennial = cropById(job.cropId)?.perennial ?? false
  const easy = bands.easilyAvailableWater
  const least = wishes.easyWater
  const inGround = spec.vessel.base.kind === 'onSoil'
  const shelf: FinderProblem['shelf'][number][] = []
  for (const id of materialsFrom(garden, job, wishes.source)) {
    const material = preparedMaterial(id)
    if (!material) return fail({ code: 'unknown-material', material: id })
    const { pack, stock } = shelfEntry(garden, material.material)
    shelf.push({
      material,
      pricePerLitre: pricePerLitre(garden, material.material),
      stock,
      packLitres: looseLitresOfPack(material.material, pack),
    })
  }
  return succeed({
    container: containerOf(spec.vessel),
    floor: plan.value.floor,
    shelf,
    targets: {
      airFilledPorosity: bands.airFilledPorosity,
      pH: bands.pH,
      ...(salts ? { electricalConductivity: salts } : {}),
      ...(easy || least !== null || inGround
        ? {
            easilyAvailableWater: {
              low: Math.max(easy?.low ?? (inGround ? LEAST_IN_GROUND : 0), least ?? 0),
              high: Math.max(easy?.high ?? 1, least ?? 0),
            },
          }
        : {}),
      ...(bands.drainedWeight
        ? { drainedDensity: { low: 0, high: bands.drainedWeight.high / plan.value.space } }
        : {}),
      ...(perennial ? { structureLost: LASTING } : {}),
    },
    rules: wishes.rules,
    volume: wishes.volume ?? undefined,
  })
}

/** The best single changes of a job's mix. Errors: those of `nextMoves`. */
export function movesOf(
  garden: Garden,
  job: Job,
  place: Place | undefined,
  source: Source,
  most: number,
): Outcome<NextMoves> {
  const problem = finderProblem(garden, job, place, { source, rules: {}, volume: null, easyWater: null })
  if (!problem.ok) return problem
  return nextMoves(
    problem.value,
    job.parts.map((p) => ({ id: p.materialId, parts: p.twelfths / 12 })),
    0.5,
    most,
    job.mixes.flatMap((mix) => {
      const loose = looseOfMix(mix)
      return loose ? [{ id: mix.id, loose, pricePerPart: priceOfMix(garden, mix) }] : []
    }),
  )
}

/** Parts as the bench counts them; amounts nobody has a measure for go to the nearest twelfth. */
const inTwelfths = (parts: readonly { id: string; parts: number }[]) =>
  parts
    .map((p) => ({ materialId: p.id, twelfths: Math.max(1, Math.round(p.parts * 12)) }))
    .filter((p) => p.twelfths > 0)

export const recipeOf = ({ parts, mixes, lime, dressings }: Recipe): Recipe => ({
  parts,
  mixes,
  lime,
  dressings,
})
export const sameRecipe = (a: Recipe, b: Recipe): boolean =>
  JSON.stringify(recipeOf(a)) === JSON.stringify(recipeOf(b))

/** The recipe a move leads to. Materials keep their places, what comes in comes last. */
export function afterMove(job: Job, move: RankedMove): Recipe {
  const next = new Map(inTwelfths(move.parts).map((p) => [p.materialId, p]))
  const kept = job.parts.flatMap((p) => next.get(p.materialId) ?? [])
  const added = [...next.values()].filter((p) => !job.parts.some((q) => q.materialId === p.materialId))
  return { ...recipeOf(job), parts: [...kept, ...added] }
}

/** A found recipe as the bench takes it: lime to the crop's pH, dressings as they are. */
export const afterFinding = (job: Job, found: Candidate): Recipe => ({
  parts: inTwelfths(found.parts),
  mixes: [],
  lime: { ...job.lime, mode: job.lime.mode === 'none' ? 'none' : 'toTarget' },
  dressings: job.dressings,
})

/** Share of a recipe in materials whose figures are known badly: the odd and the vague. Fraction. */
function doubtOf({ parts }: Candidate): number {
  const total = parts.reduce((s, p) => s + p.parts, 0)
  const vague = parts.filter((p) => materialById(p.id)?.confidence === 'low')
  return vague.reduce((s, p) => s + p.parts, 0) / total
}

/** Parts by which a recipe is as odd as one made wholly of what is known badly. */
const ODD_PARTS = 24

/**
 * How odd a recipe looks to whoever has to believe in it and measure it out: the share known badly, and how many parts there
 * are to count, ten to one sooner than two to one. For setting in order what fits alike. Source: common practice, by judgement.
 */
export const complexityOf = (c: Candidate): number =>
  doubtOf(c) + c.parts.reduce((s, p) => s + p.parts, 0) / ODD_PARTS

/**
 * What would stand out about a recipe found, had it been put on the job's bench: warnings and alarms, the gravest first. Null
 * where it cannot be worked out.
 */
export function concernsOf(job: Job, place: Place | undefined, c: Candidate): Judgement[] | null {
  const there = { ...job, ...afterFinding(job, c) }
  const answer = evaluateLater(there, place)
  return answer.ok ? judgementsOf(there, place, answer.value).filter((j) => j.level !== 'note') : null
}

/** How much that is: an alarm counts for three warnings. */
export const severityOf = (concerns: readonly Judgement[]): number =>
  concerns.reduce((sum, j) => sum + (j.level === 'alarm' ? 3 : 1), 0)

/** Is it a change by measures that people have? */
export const isHandy = (move: Move): boolean => isMeasurable(Math.round(move.parts * 12))

/** Warnings of a job's mix in words the core can count. Null where it cannot be worked out. */
export function judgementsOf(job: Job, place: Place | undefined, evaluation: Evaluation): Judgement[] {
  const input = inputOfJob(job, undefined, place)
  if (!input.ok) return []
  const bands = bandsOf(targetsOfJob(job, place))
  const { spec } = judgedBed(job)
  return judge({
    evaluation,
    container: input.value.container,
    parts: input.value.parts,
    limes: input.value.limes,
    crop: cropById(job.cropId),
    airWanted: bands.airFilledPorosity,
    pHWanted: bands.pH,
    wind: place?.wind ?? null,
    wide: onGround(spec.vessel.kind),
    waterEvery: place?.waterEvery ?? null,
    waterAlkalinity: place?.waterAlkalinity ?? 0,
    calciumGiven: (input.value.dressings ?? []).reduce(
      (s, d) => s + d.gramsPerLitre * 1000 * (d.dressing.analysis.calcium?.value ?? 0),
      0,
    ),
  })
}

/** As long as a name can be kept; one made of other names is cut there. */
const LONGEST_NAME = 120

/** The recipe as it stands, to be kept. */
export const versionOf = (job: Job, id: string, at: string, name: string): Version => ({
  id,
  name: name.slice(0, LONGEST_NAME),
  note: '',
  at,
  from: job.versionId,
  ...recipeOf(job),
})

/** Whether the bench holds something no version keeps: it would be lost when another is put there. */
export const isUnkept = (job: Job): boolean =>
  job.parts.length > 0 && !job.versions.some((v) => sameRecipe(v, job))
