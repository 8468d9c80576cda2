export { TARGETS, type Target } from './target'
export { airBandAt, USUAL_HEIGHT } from './byHeight'
export { bandsOf, waterJudged, type Bands } from './bands'
export {
  EASY_WATER,
  GROUND_WATER,
  targetsFor,
  type Reason,
  type TargetBand,
  type TargetConflict,
  type TargetQuestion,
  type Targets,
} from './targetsFor'
