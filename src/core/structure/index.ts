export { aged, HALF_LIFE_TEMPERATURE, LEFT_AS_FINES, lostStructure } from './decay'
export { seasonsOf, type SeasonState } from './seasons'
export { oldMixFigures, type OldMixKnown } from './oldMix'
