import type { Band, MaterialFamily } from './types'
import type { Fraction } from '../units'

/** Some of a mix: materials of these families, and these by id; `low` to `high` of the whole by loose volume. */
export interface Slot {
  families?: readonly MaterialFamily[]
  ids?: readonly string[]
  /** Not these, though their family is among the families. */
  not?: readonly string[]
  low: Fraction
  high: Fraction
}

/** A way to put a mix together: every part belongs to the first slot that takes it, and each slot has its share. */
export type Frame = readonly Slot[]

/** What a mix is for. */
export const PURPOSES = [
  'sow',
  'root-cuttings',
  'bed-on-soil',
  'bed-on-paving',
  'aloft',
  'reservoir',
  'acid',
  'dry',
  'years',
  'season',
] as const
export type Purpose = (typeof PURPOSES)[number]

/** What a purpose follows from. */
export interface PurposeQuestion {
  stage: string | undefined
  /** Open to the soil below. */
  inGround: boolean
  /** A floor or rail has to bear it. */
  carried: boolean
  /** Water is kept below the mix on purpose. */
  reservoir: boolean
  /** Litres in one container. */
  litres: number
  /** What leads; undefined where no crop is chosen. */
  crop?: { kind: string; moisture: string; perennial: boolean; pH: Pick<Band, 'high'>; rootVolume: number }
  /** Years it is to last; undefined where nobody said. */
  years?: number
}

/** A crop whose band ends here or lower wants an acid mix. Source: common practice: blueberries and their kin. */
const ACID_TO = 5.6
/** A container of so many litres on paving is a bed. Source: common practice: it is filled by the load. */
const BED_FROM = 200
/** From so many years on a mix has to keep its structure. Source: common practice. */
const LASTING_FROM = 2
/** Perennial fruit that needs so many litres has wood, and is not repotted every spring. Source: common practice. */
export const WOODY_FROM = 10

const isDry = ({ kind, moisture }: { kind: string; moisture: string }) =>
  kind === 'herb' && moisture.startsWith('dry')
const isWoody = ({ kind, perennial, rootVolume }: NonNullable<PurposeQuestion['crop']>) =>
  kind === 'fruit' && perennial && rootVolume >= WOODY_FROM

/**
 * What a mix is for, by where it goes and what grows in it. What is sown or rooted comes first, then what the crop
 * cannot do without, then the container. Errors: none. Source: common practice.
 *
 * @example
 * purposeOf({ stage: 'grown', inGround: true, carried: false, reservoir: false, litres: 700 }) // 'bed-on-soil'
 */
export function purposeOf(q: PurposeQuestion): Purpose {
  if (q.stage === 'seed') return 'sow'
  if (q.stage === 'cutting') return 'root-cuttings'
  if (q.crop && q.crop.pH.high <= ACID_TO) return 'acid'
  if (q.inGround) return 'bed-on-soil'
  if (q.crop && isDry(q.crop)) return 'dry'
  if (q.reservoir) return 'reservoir'
  if (q.carried) return 'aloft'
  if ((q.years ?? 0) >= LASTING_FROM || (q.crop && isWoody(q.crop))) return 'years'
  return q.litres >= BED_FROM ? 'bed-on-paving' : 'season'
}

/** Manure and worm compost are strong: no more than an eighth of a mix to begin with. Rows of compost and manure. */
const STRONG = ['manure_poultry_composted', 'vermicompost', 'manure_cattle_composted']
const compost = (low: Fraction, high: Fraction): Slot => ({
  families: ['compost', 'manure'],
  not: [...STRONG, 'mushroom_compost_spent'],
  low,
  high,
})
/** What carries a mix: it holds water and air, and no germs. */
const body = (low: Fraction, high: Fraction): Slot => ({
  families: ['peat', 'coir', 'bark', 'wood'],
  not: [
    'peat_reed_sedge',
    'sphagnum_moss_long',
    'pine_bark_coarse',
    'bark_mulch_shredded',
    'wood_chips_fresh',
  ],
  low,
  high,
})
/** Light grains that open a mix. */
const opener = (low: Fraction, high: Fraction): Slot => ({
  families: ['perlite', 'vermiculite', 'hull'],
  ids: ['pumice'],
  not: ['perlite_fine', 'vermiculite_fine'],
  low,
  high,
})
/** Grains that stay open for years and weigh a pot down. */
const grains = (low: Fraction, high: Fraction): Slot => ({
  families: ['perlite'],
  not: ['perlite_fine', 'perlite_medium'],
  ids: ['pumice', 'scoria', 'grit_2_6', 'sand_coarse'],
  low,
  high,
})
const soil = (low: Fraction, high: Fraction): Slot => ({
  families: ['soil'],
  not: ['soil_clay_loam'],
  low,
  high,
})
const bark = (low: Fraction, high: Fraction): Slot => ({
  ids: ['pine_bark_fine', 'pine_bark_coarse', 'bark_composted'],
  low,
  high,
})
const fine = (low: Fraction, high: Fraction): Slot => ({
  ids: ['peat_fine', 'peat_medium', 'coir_pith'],
  low,
  high,
})
const coir = (low: Fraction, high: Fraction): Slot => ({ ids: ['coir_pith', 'coir_chips'], low, high })
const bagged = (low: Fraction, high: Fraction): Slot => ({ ids: ['potting_mix_bagged'], low, high })

const SEASON: readonly Frame[] = [
  [body(0.5, 0.75), compost(0.1, 0.3), opener(0.1, 0.3)],
  [body(0.4, 0.65), compost(0.1, 0.25), grains(0.2, 0.4)],
  [bagged(0.6, 0.9), opener(0.1, 0.4)],
]

/**
 * How a mix for each purpose is put together, to begin with: the finder works out the parts within. The growers' own
 * materials count by their family. Source: common practice, by judgement; why each is as it is: docs/method/finder.md.
 */
export const FRAMES: Readonly<Record<Purpose, readonly Frame[]>> = {
  sow: [[fine(0.5, 0.8), { families: ['vermiculite', 'perlite'], ids: ['sand_sharp'], low: 0.2, high: 0.5 }]],
  'root-cuttings': [
    [
      fine(0.25, 0.5),
      { families: ['perlite', 'vermiculite'], ids: ['sand_sharp', 'pumice'], low: 0.5, high: 0.75 },
    ],
  ],
  'bed-on-soil': [
    [soil(0.5, 0.85), compost(0.1, 0.5)],
    [soil(0.45, 0.75), compost(0.1, 0.4), bark(0.1, 0.25)],
    [soil(0.45, 0.75), compost(0.1, 0.4), { families: ['sand'], low: 0.1, high: 0.25 }],
  ],
  'bed-on-paving': [
    [soil(0.3, 0.5), compost(0.1, 0.4), bark(0.2, 0.45)],
    [soil(0.3, 0.5), compost(0.1, 0.4), grains(0.2, 0.4)],
  ],
  aloft: [
    [body(0.45, 0.7), compost(0.1, 0.25), opener(0.2, 0.4)],
    [bagged(0.6, 0.8), opener(0.2, 0.4)],
  ],
  reservoir: [
    [fine(0.5, 0.75), compost(0.1, 0.25), opener(0.1, 0.3)],
    [bagged(0.7, 0.9), opener(0.1, 0.3)],
  ],
  acid: [
    [{ ids: ['peat_medium', 'peat_coarse'], low: 0.4, high: 0.7 }, bark(0.25, 0.5)],
    [
      { ids: ['peat_medium', 'peat_coarse'], low: 0.4, high: 0.7 },
      bark(0.2, 0.4),
      { ids: ['perlite_coarse', 'pumice'], low: 0.1, high: 0.2 },
    ],
    [bark(0.5, 0.8), { ids: ['coir_pith', 'coir_chips'], low: 0.2, high: 0.4 }],
  ],
  dry: [
    [grains(0.4, 0.65), bark(0.2, 0.45), compost(0.1, 0.2)],
    [grains(0.4, 0.65), coir(0.2, 0.45), compost(0.1, 0.2)],
    [soil(0.25, 0.45), grains(0.4, 0.65), compost(0.1, 0.2)],
    [bagged(0.35, 0.6), grains(0.4, 0.65)],
  ],
  years: [
    [
      bark(0.4, 0.6),
      grains(0.2, 0.4),
      { ids: ['peat_coarse', 'peat_medium', 'coir_chips', 'coir_pith'], low: 0.1, high: 0.3 },
    ],
    [bark(0.35, 0.55), grains(0.2, 0.4), compost(0.1, 0.2)],
    [soil(0.25, 0.4), bark(0.25, 0.45), grains(0.2, 0.4)],
  ],
  season: SEASON,
}

/** Soil in a smaller container than this stays wet and airless, litres. Source: common practice. */
export const SOIL_FROM = 60

/**
 * Does a slot take a material?
 *
 * @example
 * takes({ families: ['peat'], not: ['peat_fine'], low: 0, high: 1 }, { id: 'peat_fine', family: 'peat' }) // false
 */
export const takes = (
  { families, ids, not }: Slot,
  { id, family }: { id: string; family: MaterialFamily },
): boolean => !not?.includes(id) && (ids?.includes(id) === true || families?.includes(family) === true)

/**
 * The ways a mix for a purpose is put together here: none with soil in a small container or where a floor bears it.
 *
 * @example
 * framesFor({ stage: 'seed', inGround: false, carried: false, reservoir: false, litres: 1 }).length // 1
 */
export function framesFor(q: PurposeQuestion): readonly Frame[] {
  const bearsSoil = q.inGround || (q.litres >= SOIL_FROM && !q.carried)
  return FRAMES[purposeOf(q)].filter((frame) => bearsSoil || !frame.some((s) => s.families?.includes('soil')))
}
