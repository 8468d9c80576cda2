export { finish, type Finished, type FinishWishes } from './finish'
export { Front } from './front'
export { gaussLegendre } from './gauss'
export { nextMoves, type MixPart, type Move, type NextMoves, type RankedMove } from './moves'
export {
  ruledOut,
  STEP_OF,
  TARGET_NAMES,
  type Candidate,
  type FinderProblem,
  type QuickFigures,
  type Rules,
  type ShelfMaterial,
  type TargetName,
  type FinderTargets,
  type Without,
} from './problem'
export { inTheWay, type Relaxation } from './relax'
export {
  candidateCount,
  search,
  searchAtOnce,
  USUAL_MOST_PARTS,
  type FinderProgress,
  type FinderResult,
} from './search'
