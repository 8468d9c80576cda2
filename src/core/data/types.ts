/** How much a value is to be trusted. */
export type Confidence = 'high' | 'medium' | 'low'

/** A property is never bare: best value, the range it likely lies in, and how sure the table is of it. */
export interface Property {
  value: number
  low: number
  high: number
  confidence: Confidence
}

/** How a material is sold. Sizes are common ones; the grower's own shelf overrides them. */
export type Pack =
  /** Loose, by the litre in the bag. */
  | { kind: 'loose'; litres: number }
  /** Pressed bale: litres as labelled, before it is loosened and wetted. */
  | { kind: 'compressed'; litres: number }
  /** Dry block or brick that swells, by weight. */
  | { kind: 'block'; kg: number }
  /** Loose, sold by weight. */
  | { kind: 'mass'; kg: number }

export const MATERIAL_FAMILIES = [
  'peat',
  'coir',
  'bark',
  'wood',
  'compost',
  'manure',
  'char',
  'hull',
  'soil',
  'sand',
  'aggregate',
  'perlite',
  'vermiculite',
  'mineral',
  'mix',
] as const
export type MaterialFamily = (typeof MATERIAL_FAMILIES)[number]

/** Properties every material has, per litre of loose material after wetting and fluffing. */
export interface MaterialProperties {
  /** kg/L. */
  dryBulkDensity: Property
  /** kg/L, moisture as bought included, before any swelling. */
  moistBulkDensityAsBought: Property
  /** Pores that fill with water or air, volume fraction; closed pores left out. */
  totalPorosity: Property
  /** Volume fractions at 10, 50 and 100 cm of tension. */
  waterAt10Cm: Property
  waterAt50Cm: Property
  waterAt100Cm: Property
  /** Share of the loose volume inside the outlines of the grains. */
  looseEnvelopeFraction: Property
  pH: Property
  /** mmol of charge per litre and pH unit. */
  bufferCapacity: Property
  /** Loose wetted litres from one litre as bought. */
  volumeFactorOnWetting: Property
  /** Loose wetted litres from one kg of dry block, where it is sold so. */
  looseLitresPerKgDry?: Property
}

export interface Material {
  id: string
  name: string
  family: MaterialFamily
  source: string
  confidence: Confidence
  /** 'y' or 'n': free of weed seed and disease as bought. */
  sterileAsBought: 'y' | 'n'
  hazards: string
  structuralHalfLifeYears: number
  /** Volume shares of the size classes, coarse to fine (see mixing/sizeClasses). */
  sizeShares: number[]
  /** Volume fraction lost per kg/L by which the blend outweighs the material (see mixing/compression). */
  compressibility: number
  pack: Pack
  properties: MaterialProperties
}

export interface Band {
  low: number
  high: number
}

export interface Crop {
  id: string
  name: string
  latin: string
  kind: string
  pH: Band
  /** In the container the plant grows in, at container capacity; volume fractions. */
  airFilledPorosity: Band
  /** Litres for one plant. */
  minRootVolume: number
  /** cm. */
  minDepth: number
  /** cm. */
  spacing: number
  moisture: string
  notes: string
  source: string
  confidence: Confidence
}

export interface LimingMaterial {
  id: string
  name: string
  /** Fraction; pure calcium carbonate = 1. */
  calciumCarbonateEquivalent: Property
  /** Shares by mass over 2.36 mm, 2.36-0.6, 0.6-0.25 and under 0.25 mm. */
  sieveShares: [number, number, number, number]
  /** First-order rate of dissolving in acid mix at 20 C, per day. */
  ratePerDay: Property
  q10: number
  /** pH at which it stops dissolving: carbonate meets the air's carbon dioxide there. Null for soluble bases. */
  ceiling: number | null
  /** g/mL, loosely spooned. */
  bulkDensity: Property
  calcium: number
  magnesium: number
  /** g per litre of mix above which it is asking for trouble. */
  usualLimit: number
  caution: string
  source: string
}
