import type { Confidence, Learnable, Property } from './property'

/** Elements a dressing is analysed for, as labels and laboratories count them. */
export const ELEMENTS = [
  'nitrogen',
  'phosphorus',
  'potassium',
  'calcium',
  'magnesium',
  'sulfur',
  'iron',
  'manganese',
  'zinc',
  'copper',
  'boron',
  'molybdenum',
  'sodium',
  'chloride',
] as const
export type Element = (typeof ELEMENTS)[number]

export const DRESSING_FAMILIES = [
  'lime',
  'calcium',
  'acidifier',
  'soluble',
  'phosphate',
  'trace',
  'organic_N',
  'organic_P',
  'organic_K',
  'mineral_K',
  'crf',
  'conditioner',
  'biological',
] as const
export type DressingFamily = (typeof DRESSING_FAMILIES)[number]

/** How a dressing gives up what it holds. Rates per day at 20 C. */
export type Release =
  | { kind: 'none' }
  | { kind: 'firstOrder' | 'lime' | 'oxidation'; ratePerDay: Property; q10: Property; fraction: Property }
  /** Coated: the label's months at 21 C, after which about `fraction` is out. */
  | { kind: 'coated'; longevityMonths: number; q10: Property; fraction: Property }

/** How fine a lime is. */
export const GRINDS = ['powder', 'ground', 'grit'] as const
export type Grind = (typeof GRINDS)[number]

/** What makes a dressing a lime. */
export interface LimeNature {
  /** Fraction; pure calcium carbonate = 1. */
  calciumCarbonateEquivalent: Property
  /** Shares by mass over 2.36 mm, 2.36-0.6, 0.6-0.25 and under 0.25 mm. */
  sieveShares: [number, number, number, number]
  /** Reacts at once whatever the pH, as hydroxide and ash do; carbonate slows down and stops. */
  soluble: boolean
  /** Share of it that does; all of what is soluble where left out. */
  solubleShare?: number
  /** Salts it brings, dS/m in the saturated extract for a gram in a litre of mix; none where left out. */
  salts?: number
}

/** Shares of a dressing's nitrogen, summing to 1. */
export interface NitrogenForms {
  nitrate: number
  ammonium: number
  urea: number
  organic: number
}

/** Percentages as printed on the bag: nitrogen, P2O5, K2O. */
export interface Label {
  nitrogen: number
  phosphate: number
  potash: number
}

/** Anything given by weight: lime, fertilizer, meal, trace mix, conditioner. */
export interface Dressing extends Learnable<Dressing> {
  id: string
  name: string
  detail: string
  family: DressingFamily
  confidence: Confidence
  label: Label | null
  /** Mass fractions of the product as the element; an element left out is none. */
  analysis: Partial<Record<Element, Property>>
  nitrogenForms: NitrogenForms | null
  release: Release
  lime: LimeNature | null
  /**
   * kg of calcium carbonate needed to undo 1 kg of it; negative for bases. Null where nothing is known, and for limes.
   */
  acidity: Property | null
  /** pH up to which its metals stay chelated; left out where they are not. */
  chelateHolds?: number
  /** Osmotic effect against an equal weight of sodium nitrate = 100. */
  saltIndex: Property | null
  /** g/mL, loosely spooned. */
  bulkDensity: Property
  /** g per litre of mix: usual doses, and the most before trouble. */
  dose: { low: number; high: number; limit: number; source: string }
  overdose: string
  hazard: string
  caution: string | null
}

export interface LimingMaterial extends LimeNature, Learnable<LimingMaterial> {
  id: string
  name: string
  /** First-order rate of dissolving in acid mix at 20 C, per day. */
  ratePerDay: Property
  q10: number
  /** g/mL, loosely spooned. */
  bulkDensity: Property
  calcium: number
  magnesium: number
  /** Of ash; a lime of stone has none. */
  potassium?: number
  /** g per litre of mix above which it is asking for trouble. */
  usualLimit: number
  caution: string
}
