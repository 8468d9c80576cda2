import type { Frame } from '../data/purposes'
import type { Band, MaterialFamily } from '../data/types'
import type { Container } from '../geometry'
import { STEPS } from '../judgement/limits'
import type { PreparedMaterial } from '../mixing'
import type { Centimetres, Fraction, Litres } from '../units'

/** One material the finder may use, with what it costs and what is there. */
export interface ShelfMaterial {
  material: PreparedMaterial
  /** Money per loose litre; null where unknown. Own compost is 0. */
  pricePerLitre: number | null
  /** Loose litres on hand. */
  stock: Litres
  /** Loose litres in one pack, for counting packs. */
  packLitres: Litres
}

/** What a mix has to meet. Bands left out do not count. Fractions, pH, dS/m, kg/L. */
export interface FinderTargets {
  airFilledPorosity?: Band
  /** In a bed open to soil plant-available water, here and in the figures. */
  easilyAvailableWater?: Band
  /** As it can be brought to with lime: only what is too high counts, or what no sensible dose lifts. */
  pH?: Band
  /** Saturated extract, of the parts. */
  electricalConductivity?: Band
  /** kg per litre, drained in the container. */
  drainedDensity?: Band
  /** Share of the solids that lose their structure in two years. */
  structureLost?: Band
  /** Water between the drained state and the easy limit: what lasts from one watering to the next. */
  drainedToEasy?: Band
}
export type TargetName = keyof FinderTargets
export const TARGET_NAMES: readonly TargetName[] = [
  'airFilledPorosity',
  'easilyAvailableWater',
  'pH',
  'electricalConductivity',
  'drainedDensity',
  'structureLost',
  'drainedToEasy',
]

/**
 * What counts as one step of distance outside a band: two points of air or water, 0.2 of pH, 0.5 dS/m, 0.1 kg/L, 5 %
 * of structure.
 * Source: our assumption: differences a grower would notice.
 */
export const STEP_OF: Readonly<Record<TargetName, number>> = {
  airFilledPorosity: STEPS.air.value,
  easilyAvailableWater: STEPS.water.value,
  pH: STEPS.pH.value,
  electricalConductivity: STEPS.salts.value,
  drainedDensity: 0.1,
  structureLost: STEPS.lasting.value,
  drainedToEasy: STEPS.water.value,
}

/** Kinds of material a grower may rule out as a whole. */
export type Without = 'peat' | 'soil' | 'floating' | 'unsterile' | 'animal'
const FLOATING: readonly MaterialFamily[] = ['perlite', 'char', 'hull']

/**
 * Does a material fall under something ruled out?
 *
 * @example
 * ruledOut(preparedMaterial(materialById('peat_fine')), ['peat']) // true
 */
export function ruledOut({ material }: PreparedMaterial, without: readonly Without[]): boolean {
  const { family, id, sterileAsBought } = material
  return without.some((w) => {
    if (w === 'peat') return family === 'peat' || family === 'mix'
    if (w === 'soil') return family === 'soil'
    if (w === 'floating') return FLOATING.includes(family) || id === 'expanded_clay'
    if (w === 'animal') return family === 'manure'
    return sterileAsBought === 'n'
  })
}

/** Families whose materials differ in grade only. */
export const GRADED: ReadonlySet<MaterialFamily> = new Set(['peat', 'perlite', 'vermiculite'])

export interface Rules {
  mustUse?: readonly string[]
  mustNotUse?: readonly string[]
  without?: readonly Without[]
  /** One grade of peat, perlite and vermiculite at most; any number where left out. */
  oneGrade?: boolean
  /** At least so many kinds of material (peat, bark, perlite …); 1 where left out. Two peats are one kind. */
  minFamilies?: number
  /** At most so many materials, 1 to 6; 5 where left out. */
  maxMaterials?: number
  /** Parts of the smallest measure that make a whole recipe, 2 to 24; 8 where left out. */
  maxParts?: number
  /** Money per litre of finished mix. */
  maxCostPerLitre?: number
  /** Packs to buy in all for `volume`, stock used first. */
  maxPacks?: number
  /** Materials whose stock must all go into `volume`. */
  useUp?: readonly string[]
}

export interface FinderProblem {
  container: Container
  /** Height the mix stands on, cm; 0 where left out. */
  floor?: Centimetres
  /** Tension less height in the mix, cm; that of the container where left out. */
  base?: Centimetres
  /** Share of its volume the mix loses on being firmed or pressed in; 0 where left out. */
  pressed?: Fraction
  shelf: readonly ShelfMaterial[]
  targets: FinderTargets
  /** How much each target matters, 1 where left out. */
  weights?: Partial<Record<TargetName, number>>
  rules?: Rules
  /** Every recipe is put together in one of these ways; in any way where left out. */
  frames?: readonly Frame[]
  /** Litres of finished mix wanted; needed for packs and stock. */
  volume?: Litres
  /** Years for `structureLost` are two, at this yearly mean, C; 15 where left out. */
  temperature?: number
}

/** What is known of a candidate without evaluating it in full. */
export interface QuickFigures {
  airFilledPorosity: Fraction
  easilyAvailableWater: Fraction
  drainedToEasy: Fraction
  containerCapacity: Fraction
  /** Before lime. */
  pH: number
  electricalConductivity: number
  drainedDensity: number
  structureLost: Fraction
  blendingLoss: Fraction
  /** NaN where some price is unknown. */
  costPerLitre: number
}

export interface Candidate {
  /** Whole parts in lowest terms, in the order of the shelf. */
  parts: { id: string; parts: number }[]
  /** 0 inside every band; steps outside, weighted and summed. */
  score: number
  /** The same by target. */
  misses: Partial<Record<TargetName, number>>
  /**
   * How far from the middle of the air and water bands: 0 in the middle, 1 at an edge. Tells equally good ones apart.
   */
  balance: number
  figures: QuickFigures
}

export interface FinderProgress {
  tried: number
  total: number
  /** Best so far, null before the first. */
  best: Candidate | null
  /** Once all are tried: how many of the best have been judged whole, of how many. */
  judged?: { done: number; of: number }
}

export interface FinderResult {
  /** The best of every family of materials, best first. */
  families: Candidate[]
  /** Cost against score, nothing beaten in both. */
  front: Candidate[]
  tried: number
  /** Everything was tried; false where it was told to stop before. */
  complete: boolean
  /** Materials the rules left over. */
  allowed: string[]
}
