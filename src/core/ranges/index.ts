export { CHANCE_DRAWS, meetsBands } from './chance'
export { figuresOf } from './figures'
export { deviatesOfProperty, drawMaterial } from './drawMaterial'
export { drawn, drawRow, withValue, type Deviate } from './drawProperty'
export { gainOf } from './law'
export {
  learnAtOnce,
  learnFrom,
  type Learned,
  type MeasuredBatch,
  type ReadingTold,
  type TaughtReading,
} from './learn'
export { learnedOfDressing, learnedOfMaterial, readingsBehind, type LearnedRow } from './learnedRows'
export { ERRORS, expectedReading, readingOf, type Measurement, type MeasurementKind } from './measurements'
export { deviatesWith } from './posterior'
export { likelyRange, quantiles, type LikelyRange } from './quantiles'
export { normal, seededRandom, streamOf, type Random } from './random'
export type { WhyOdd } from './robust'
export { drawMix, dressingIdsOf, materialsOf, unlearned } from './rowsOf'
export { rangesAtOnce, USUAL_DRAWS, withRanges, type Ranged, type RangeRequest } from './withRanges'
