export { CHANCE_DRAWS, meetsBands } from './chance'
export { figuresOf } from './figures'
export { drawMaterial } from './drawMaterial'
export { drawn, drawRow, withValue } from './drawProperty'
export { expectedReading, logLikelihood, readingOf, SPREAD, type Measurement } from './measurements'
export { effectiveDraws, likelyRange, weightedQuantiles, type LikelyRange } from './quantiles'
export { normal, seededRandom, streamOf, type Random } from './random'
export {
  rangesAtOnce,
  USUAL_DRAWS,
  withRanges,
  type Learned,
  type Ranged,
  type RangeRequest,
} from './withRanges'
