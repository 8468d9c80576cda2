export { CAUSES, type CauseId, type Evidence } from './causes'
export type { BedFacts, KnownFigure } from './facts'
export { rankCauses, type RankedCause } from './rank'
export { SYMPTOM_PLACES, SYMPTOMS, type Symptom, type SymptomPlace } from './symptoms'
