import type { Confidence, Learnable, Property, ValueKind } from './property'

/** A band somebody wants, with where it comes from. */
export interface SourcedBand extends Band {
  source: string
  kind: ValueKind
}

/** A work cited, and how sure it is that it says roughly what was taken from it. */
export interface Source {
  citation: string
  sure: Confidence
}

/** How a material is sold. Sizes are common ones; the grower's own shelf overrides them. */
export type Pack =
  /** Loose, by the litre in the bag. */
  | { kind: 'loose'; litres: number }
  /** Pressed bale: litres as labelled, before it is loosened and wetted, and what each becomes where the label says. */
  | { kind: 'compressed'; litres: number; swell?: number }
  /** Dry block or brick that swells, by weight, and the loose litres a kg gives where the label says. */
  | { kind: 'block'; kg: number; litresPerKg?: number }
  /** Loose, sold by weight. */
  | { kind: 'mass'; kg: number }
  /** Loose in bulk: the least step it is delivered by. */
  | { kind: 'bulk'; litres: number }
  /** The grower's own: any amount, by the litre, for nothing. */
  | { kind: 'own' }

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

/** How wet a material was when it was weighed. */
export const WETNESSES = ['dry', 'moist', 'wet'] as const
export type Wetness = (typeof WETNESSES)[number]

/** Properties of a material, per litre of it loose, after wetting and fluffing. */
export interface MaterialProperties {
  /** kg/L. */
  dryBulkDensity: Property
  /** kg/L, moisture as bought included, before any swelling. */
  moistBulkDensityAsBought: Property
  /** Pores that fill with water or air, volume fraction; closed pores left out. */
  totalPorosity: Property
  /** Volume fractions at 5, 10, 50 and 100 cm of tension. */
  waterAt5Cm: Property
  waterAt10Cm: Property
  waterAt50Cm: Property
  waterAt100Cm: Property
  /** Volume fractions at 1,000 and 15,000 cm: half dry, and where most plants wilt for good. */
  waterAt1000Cm: Property
  waterAt15000Cm: Property
  /** cm/h. */
  saturatedConductivity: Property
  /** Share of the loose volume inside the outlines of the grains. */
  looseEnvelopeFraction: Property
  pH: Property
  /** mmol of charge per litre and pH unit. */
  bufferCapacity: Property
  /** mmol of charge per litre. */
  cationExchangeCapacity: Property
  /** dS/m in the saturated media extract. */
  electricalConductivity: Property
  /** Mass fractions of dry matter, as the element, in all (organic parts) or available (mineral parts). */
  nitrogen: Property
  phosphorus: Property
  potassium: Property
  calcium: Property
  magnesium: Property
  /**
   * Carbonate that dissolves within a season, as calcium carbonate, mass fraction of dry matter; missing where none.
   */
  carbonate?: Property
  /** kg of carbon per kg of nitrogen; missing where there is neither. */
  carbonToNitrogen?: Property
  /** mg of nitrogen per litre given (or, negative, taken) in a first season of 20 weeks at 20 C; missing where none. */
  nitrogenFirstSeason?: Property
  /** Years in which half the solids rot away; 999 for what lasts. */
  structuralHalfLife: Property
  /** Loose wetted litres from one litre as bought. */
  volumeFactorOnWetting: Property
  /** Loose wetted litres from one kg of dry block, where it is sold so. */
  looseLitresPerKgDry?: Property
  /** Volume fraction lost per kg/L by which the blend outweighs the material (see mixing/compression). */
  compressibility: Property
}
export type MaterialPropertyName = keyof MaterialProperties

/** Water at rising tension, wettest first. */
export const WATER_PROPERTIES = [
  'waterAt5Cm',
  'waterAt10Cm',
  'waterAt50Cm',
  'waterAt100Cm',
  'waterAt1000Cm',
  'waterAt15000Cm',
] as const satisfies readonly MaterialPropertyName[]

/** Their names in the order of the tables. */
export const MATERIAL_PROPERTIES = [
  'dryBulkDensity',
  'moistBulkDensityAsBought',
  'totalPorosity',
  ...WATER_PROPERTIES,
  'saturatedConductivity',
  'looseEnvelopeFraction',
  'pH',
  'bufferCapacity',
  'cationExchangeCapacity',
  'electricalConductivity',
  'nitrogen',
  'phosphorus',
  'potassium',
  'calcium',
  'magnesium',
  'carbonToNitrogen',
  'nitrogenFirstSeason',
  'structuralHalfLife',
  'volumeFactorOnWetting',
  'looseLitresPerKgDry',
  'compressibility',
  'carbonate',
] as const satisfies readonly MaterialPropertyName[]

export interface MaterialRow {
  id: string
  name: string
  family: MaterialFamily
}

/** What is known of a material beside its name. */
export interface MaterialFigures {
  confidence: Confidence
  /** 'y' or 'n': free of weed seed and disease as bought. */
  sterileAsBought: 'y' | 'n'
  hazards: string
  pack: Pack
  /** Share of its volume as bought that is thrown out on screening; none where left out. */
  screenedOut?: number
  /** Volume shares of the size classes, coarse to fine, summing to 1 (see mixing/sizeClasses). */
  sizeShares: number[]
  /** Likely range of each of those shares. */
  sizeRange: { low: number[]; high: number[]; source: string; kind: ValueKind }
  properties: MaterialProperties
}

export interface Material extends MaterialRow, MaterialFigures, Learnable<Material> {}

export interface Band {
  low: number
  high: number
}

export interface CropProperties {
  /** Litres for one plant. */
  minRootVolume: Property
  /** cm. */
  minDepth: Property
  /** cm. */
  spacing: Property
  /** cm above the mix, full grown or as usually kept. */
  canopyHeight: Property
  /** m2 of ground shaded by one plant at full size. */
  canopyArea: Property
  /** FAO-56 mid-season crop coefficient. */
  cropCoefficient: Property
  /** Share of the available water a plant takes before it suffers, at 5 mm a day. */
  depletionFraction: Property
  /** g of nitrogen one plant takes up in a season. */
  seasonNitrogen: Property
  /** Days from planting (or sowing) to harvest; to first crop for what stays for years. */
  daysToMaturity: Property
  /** dS/m of saturated extract at which yield starts to fall. */
  saltThreshold: Property
  /** Share of yield lost per dS/m beyond it; missing where nobody told. */
  saltSlope?: Property
}

/** A crop as far as its name, its bands and what is said of it go. */
export interface CropRow {
  id: string
  name: string
  pH: SourcedBand
}

/** What is known of a crop beside its name and the pH it likes. */
export interface CropFigures {
  latin: string
  kind: string
  confidence: Confidence
  moisture: string
  /** light, medium, heavy or very heavy. */
  demand: string
  notes: string
  /** In the container the plant grows in, at container capacity; volume fractions. */
  airFilledPorosity: SourcedBand
  /** Stays for years: demand and water use do not end with a first harvest. */
  perennial: boolean
  properties: CropProperties
}

/** A crop with its figures. */
export type Crop = CropRow & CropFigures

/** When a crop grows: mean temperatures of months, C. */
export interface CropSeason {
  crop: string
  /** It grows from `least` to `most`, and best from `low` to `high`. */
  temperature: Band & { least: number; most: number; source: string; kind: ValueKind }
  /** Mean night from which it can stand outside; null for what takes frost. */
  leastNight: { value: number; source: string; kind: ValueKind } | null
  /** Coldest night the plant stands in open ground; null for what does not stay over winter. */
  standsTo: Property | null
}

/** How a crop's leaf and thirst grow through its stages, and how it begins. */
export interface CropGrowth {
  crop: string
  /** Days of FAO-56's four stages, counted from planting, from bud break (April, south October), or never bare. */
  stages: {
    initial: number
    development: number
    middle: number
    late: number
    from: 'planting' | 'bud break' | 'all year'
    source: string
    kind: ValueKind
    confidence: Confidence
  }
  /** Crop coefficient at the end of the late stage over that of the middle. */
  coefficientAtEnd: number
  /** m2 of ground shaded by one plant on its planting day, or by a seedling just up. */
  leafAtPlanting: number
  /** Weeks from sowing to planting out; 0 for what is sown in place or bought. */
  weeksAsTransplant: number
  /** Keeps its leaves over winter. */
  evergreen: boolean
  /** Perennials only: years to the first harvest, and months (1 to 12, temperate north) it bears in. */
  yearsToFirstHarvest: number | null
  harvestMonths: number[]
}

export * from './dressingTypes'
export * from './property'
