export { bandsOf, waterJudged, type Bands } from './bands'
export {
  EASY_WATER,
  GROUND_WATER,
  TARGETS,
  targetsFor,
  type Reason,
  type Target,
  type TargetBand,
  type TargetConflict,
  type TargetQuestion,
  type Targets,
} from './targetsFor'
