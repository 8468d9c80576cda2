import type { Confidence } from '../data/types'
import type { CauseId } from './causes'

/** Where on the plant or bed it is seen. */
export const SYMPTOM_PLACES = [
  'oldLeaves',
  'newLeaves',
  'wholePlant',
  'fruit',
  'roots',
  'seedlings',
  'mix',
] as const
export type SymptomPlace = (typeof SYMPTOM_PLACES)[number]

export interface Symptom {
  id: string
  places: readonly SymptomPlace[]
  /** The likeliest first, as a plain table has them. */
  causes: readonly CauseId[]
  confidence: Confidence
}

const of = (
  id: string,
  places: readonly SymptomPlace[],
  confidence: Confidence,
  ...causes: CauseId[]
): Symptom => ({ id, places, confidence, causes })

/**
 * What is seen, and what may be behind it. Source: Bergmann, Nutritional Disorders of Plants; Handreck & Black; Ho &
 * White 2005, Annals of Botany 95:571-581 for the bottoms of fruit; common practice. From memory.
 */
export const SYMPTOMS: readonly Symptom[] = [
  of(
    'old_leaves_yellow_even',
    ['oldLeaves', 'wholePlant'],
    'high',
    'nitrogenShort',
    'nitrogenDrawdown',
    'drowned',
    'potBound',
  ),
  of(
    'new_leaves_yellow_green_veins',
    ['newLeaves'],
    'high',
    'ironLocked',
    'manganeseShort',
    'coldWetRoots',
    'phosphateMuch',
    'ironShort',
  ),
  of(
    'old_leaves_yellow_between_veins',
    ['oldLeaves'],
    'high',
    'magnesiumShort',
    'limeWithoutMagnesium',
    'pHLow',
  ),
  of('old_leaf_edges_brown', ['oldLeaves'], 'medium', 'potassiumShort', 'saltsHigh', 'drySpells'),
  of(
    'leaf_tips_brown',
    ['oldLeaves'],
    'high',
    'saltsHigh',
    'saltyWater',
    'chlorideHarm',
    'sodiumHarm',
    'drySpells',
    'boronExcess',
  ),
  of(
    'middle_leaves_netted',
    ['newLeaves', 'oldLeaves'],
    'high',
    'manganeseShort',
    'ironLocked',
    'magnesiumShort',
  ),
  of('tips_white_limp', ['newLeaves'], 'medium', 'copperShort', 'drySpells', 'calciumNotCarried'),
  of('leaves_cup_roots_brown', ['oldLeaves', 'roots'], 'medium', 'ammoniumHarm', 'coldWetRoots', 'saltsHigh'),
  of(
    'edges_scorch_leaf_drop',
    ['oldLeaves', 'wholePlant'],
    'medium',
    'chlorideHarm',
    'sodiumHarm',
    'saltsHigh',
  ),
  of('root_knots', ['roots'], 'high', 'rootKnot', 'clubRoot', 'nodules'),
  of('corky_blisters', ['oldLeaves'], 'high', 'oedema', 'leafMites'),
  of('purple_leaves', ['oldLeaves', 'seedlings'], 'medium', 'coldMix', 'phosphateShort', 'pHLow'),
  of('bottom_rot_fruit', ['fruit'], 'high', 'unevenWater', 'saltsOrAmmonium', 'calciumShort', 'fewRoots'),
  of('new_leaves_die_tip', ['newLeaves'], 'medium', 'calciumNotCarried', 'saltsHigh', 'boronShort'),
  of('thick_brittle_corky', ['newLeaves', 'roots'], 'medium', 'boronShort', 'growthSpurts'),
  of('edges_yellow_after_trace', ['oldLeaves'], 'medium', 'boronExcess', 'traceExcess'),
  of('brown_specks_old_leaves_acid', ['oldLeaves'], 'medium', 'manganeseExcess', 'traceExcess'),
  of('cauliflower_strap_leaf', ['newLeaves'], 'medium', 'molybdenumShort', 'weedkiller'),
  of('pale_new_leaves_even', ['newLeaves'], 'low', 'sulfurShort', 'ironLocked', 'coldMix'),
  of('small_rosette_leaves', ['newLeaves'], 'medium', 'zincShort', 'weedkiller'),
  of('twisted_fern_leaves', ['newLeaves', 'wholePlant'], 'high', 'weedkiller', 'heatOrDrought'),
  of('wilt_wet_mix', ['wholePlant'], 'high', 'drowned', 'rootRot', 'saltsVeryHigh', 'heatBeyondRoots'),
  of('wilt_dry_daily', ['wholePlant'], 'high', 'potTooSmall', 'holdsLittle', 'hotWindyFabric', 'shunsWater'),
  of('water_runs_off', ['mix'], 'high', 'shunsWater', 'shrunkFromWall', 'crust'),
  of('water_stands', ['mix'], 'high', 'sealedByFines', 'holesBlocked', 'collapsed'),
  of('white_crust', ['mix'], 'high', 'saltsFromFeedOrWater', 'limeFromWater', 'harmlessFungus'),
  of('green_slime', ['mix'], 'high', 'topAlwaysWet', 'shade', 'feedOnTop'),
  of('bad_smell', ['mix'], 'high', 'noAirInBase', 'unripe', 'ammonia'),
  of('mix_hot', ['mix'], 'high', 'atWork', 'sunOnPots'),
  of('mushrooms', ['mix'], 'high', 'woodRotting', 'overWet'),
  of('seedlings_fall', ['seedlings'], 'high', 'dampingOff', 'freshManure', 'saltsHigh'),
  of(
    'seeds_fail',
    ['seedlings'],
    'high',
    'tooCold',
    'crustedOrDryTop',
    'saltsOrAmmonia',
    'oldSeed',
    'sownTooDeep',
    'unripe',
  ),
  of('stunted_roots_short', ['roots'], 'medium', 'saltsHigh', 'aluminiumOrAcid', 'noAir', 'coldMix'),
  of('roots_circling', ['roots'], 'high', 'potBound', 'smoothPot'),
  of('mix_sinks', ['mix'], 'high', 'rotting', 'settlingLoose', 'washedOut'),
  of('fungus_gnats', ['mix'], 'high', 'topAlwaysWet', 'unripe'),
  of('lush_no_fruit', ['wholePlant'], 'high', 'nitrogenMuch', 'shade', 'tooHotAtNight'),
  of('roots_fork', ['roots'], 'high', 'stones', 'freshManureOrNitrogen', 'transplanted', 'shallow'),
  of('scab_potato', ['roots'], 'high', 'limyAndDry', 'manureOrLime'),
  of('fruit_split', ['fruit', 'roots'], 'high', 'dryThenSoaked', 'rainOnRipe', 'potashLow'),
  of('winter_evergreen_scorch', ['wholePlant'], 'medium', 'frozenRoots', 'killedByCold', 'wetFeet'),
  of(
    'blueberry_slow_red',
    ['wholePlant', 'newLeaves'],
    'high',
    'pHAboveAcid',
    'nitrateFeed',
    'dryFineRoots',
    'saltsHigh',
  ),
  of('bleached_patches', ['oldLeaves', 'fruit'], 'high', 'suddenSun', 'hotWall', 'dry'),
]
