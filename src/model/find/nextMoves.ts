import {
  nextMoves,
  type Candidate,
  type Move,
  type NextMoves,
  type RankedMove,
  type ShelfMaterial,
} from '@/core/finder'
import { isMeasurable } from '@/core/mixing'
import type { Outcome } from '@/core/outcome'
import type { Garden } from '../garden/garden'
import type { Job, Recipe } from '../garden/schemas'
import { priceOfMix } from '../mix/cost'
import { looseOfMix } from '../mix/innerMix'
import type { MixQuestion } from '../mix/question'
import { recipeOf } from '../mix/versions'
import { finderProblem } from './finderProblem'

/** Parts to one press of plus or minus that moves are made of. */
const STEP = 0.5

/** The best single changes of a job's mix with what is on a shelf. Errors: those of `finderProblem` and `nextMoves`. */
export function movesOf(
  garden: Garden,
  job: Job,
  question: MixQuestion,
  shelf: readonly ShelfMaterial[],
  most: number,
): Outcome<NextMoves> {
  const problem = finderProblem(question, shelf)
  if (!problem.ok) return problem
  return nextMoves(
    problem.value,
    job.parts.map((p) => ({ id: p.materialId, parts: p.twelfths / 12 })),
    STEP,
    most,
    job.mixes.flatMap((mix) => {
      const loose = looseOfMix(mix)
      return loose ? [{ id: mix.id, loose, pricePerPart: priceOfMix(garden, mix) }] : []
    }),
  )
}

/** Is it a change by measures that people have? */
export const isHandy = (move: Move): boolean => isMeasurable(Math.round(move.parts * 12))

/** Parts as the bench counts them; amounts nobody has a measure for go to the nearest twelfth. */
const inTwelfths = (parts: readonly { id: string; parts: number }[]) =>
  parts
    .map((p) => ({ materialId: p.id, twelfths: Math.max(1, Math.round(p.parts * 12)) }))
    .filter((p) => p.twelfths > 0)

/** The recipe a move leads to. Materials keep their places, what comes in comes last. */
export function afterMove(job: Job, move: RankedMove): Recipe {
  const next = new Map(inTwelfths(move.parts).map((p) => [p.materialId, p]))
  const kept = job.parts.flatMap((p) => next.get(p.materialId) ?? [])
  const added = [...next.values()].filter((p) => !job.parts.some((q) => q.materialId === p.materialId))
  return { ...recipeOf(job), parts: [...kept, ...added] }
}

/** A found recipe as the bench takes it: lime to the crop's pH, dressings as they are. */
export const afterFinding = (job: Job, found: Pick<Candidate, 'parts'>): Recipe => ({
  parts: inTwelfths(found.parts),
  mixes: [],
  lime: { ...job.lime, mode: job.lime.mode === 'none' ? 'none' : 'toTarget' },
  dressings: job.dressings,
})
