export { finish, type Finished, type FinishWishes } from './finish'
export { bestOfEachFirst } from './framing'
export { Front } from './front'
export { gaussLegendre } from './gauss'
export { FINDER_LIMITS } from './limits'
export {
  complexityOf,
  distinctKinds,
  inOrder,
  isMet,
  keyOf,
  meetsAll,
  rankFound,
  type Found,
  type Look,
} from './order'
export {
  singleChanges,
  worthALook,
  type MixPart,
  type Move,
  type RankedMove,
  type SingleChanges,
} from './moves'
export {
  ruledOut,
  STEP_OF,
  TARGET_NAMES,
  type Candidate,
  type FinderProblem,
  type FinderProgress,
  type FinderResult,
  type QuickFigures,
  type Rules,
  type ShelfMaterial,
  type TargetName,
  type FinderTargets,
  type Without,
} from './problem'
export { inTheWay, type Relaxation } from './relax'
export { search, searchAtOnce, USUAL_MOST_MATERIALS, USUAL_MOST_PARTS } from './search'
export { candidateCount } from './sets'
export { shareDone } from './progress'
