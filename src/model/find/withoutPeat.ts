import type { Band } from '@/core/data'
import type { FinderTargets } from '@/core/finder'
import type { Evaluation } from '@/core/evaluate'
import { defineLimits } from '@/core/limits'
import { succeed, type Outcome } from '@/core/outcome'
import { waterJudged, bandsOf } from '@/core/targets'
import { asJudged, placeOf, type Garden } from '../garden/garden'
import { framesWith } from './firstOffers'
import { isPeat } from './threeMixes'
import { tablesOf } from '../garden/tables'
import type { Job } from '../garden/schemas'
import { dosePrices } from '../mix/doseCost'
import { evaluateJob } from '../mix/evaluateJob'
import { targetsOf } from '../mix/prepare'
import { questionOfJob } from '../mix/questionOfJob'
import { finderProblem } from './finderProblem'
import type { FindRequest } from './findMixes'
import { finderShelf } from './materialsFrom'
import { afterFinding } from './nextMoves'

/** How near another mix has to come to behave like the first. */
export const ALIKE_LIMITS = defineLimits({
  air: {
    value: 0.04,
    low: 0.02,
    high: 0.06,
    unit: 'of volume',
    source: 'our assumption: two steps a grower would notice',
  },
  water: {
    value: 0.05,
    low: 0.03,
    high: 0.08,
    unit: 'of volume',
    source: 'our assumption: two steps a grower would notice',
  },
})

/** Is there peat in a mix? */
export const hasPeat = (job: Job, garden: Garden): boolean => {
  const tables = tablesOf(garden)
  return job.parts.some((p) => isPeat(p.materialId, tables))
}

const around = (x: number, by: number, band: Band | undefined): Band => {
  const [low, high] = [Math.max(0, x - by), x + by]
  // Within what the crop wants, where the two meet.
  return band && band.low < high && band.high > low
    ? { low: Math.max(low, band.low), high: Math.min(high, band.high) }
    : { low, high }
}

/**
 * What a finder is asked for to come near a mix: its air, its water, its weight, and what the crop wants of pH and
 * salts.
 */
export function alike(targets: FinderTargets, e: Evaluation, water: number): FinderTargets {
  const L = ALIKE_LIMITS
  return {
    ...targets,
    airFilledPorosity: around(e.mix.airFilledPorosity, L.air.value, targets.airFilledPorosity),
    easilyAvailableWater: around(water, L.water.value, targets.easilyAvailableWater),
  }
}

/**
 * The finder's question for a mix without peat that behaves like that of a job, from every material there is. Errors:
 * those of the job's own evaluation and of its bed.
 */
export function withoutPeatRequest(garden: Garden, job: Job): Outcome<FindRequest> {
  const place = placeOf(garden)
  const tables = tablesOf(garden)
  const answer = evaluateJob(job, place, tables)
  if (!answer.ok) return answer
  const shelf = finderShelf(garden, job, 'all')
  if (!shelf.ok) return shelf
  const bare = { ...job, ...afterFinding(asJudged(job), { parts: [] }) }
  const question = questionOfJob(bare, place, tables)
  const problem = finderProblem(question, shelf.value, {
    rules: { without: ['peat'], oneGrade: true, maxMaterials: 4 },
    volume: null,
    easyWater: null,
  })
  if (!problem.ok) return problem
  // Put together as its purpose asks; freely where every such mix is built on peat.
  const ids = shelf.value.map((m) => m.material.material.id).filter((id) => !isPeat(id, tables))
  const frames = framesWith(question, ids, tables)
  const water = waterJudged(answer.value.mix, bandsOf(targetsOf(question)))
  return succeed({
    problem: {
      ...problem.value,
      ...(frames.length > 0 ? { frames } : {}),
      targets: alike(problem.value.targets, answer.value, water),
    },
    question,
    prices: dosePrices(garden),
  })
}
