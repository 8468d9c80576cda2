/**
 * Units of weight, and of volume with what does for one: spoons and cups are those of the grower's system; a layer so
 * many cm or inches deep is counted for its area.
 */
export const WEIGHT_UNITS = ['g', 'kg', 'oz', 'lb'] as const
export const VOLUME_UNITS = [
  'mL',
  'L',
  'teaspoon',
  'tablespoon',
  'cup',
  'handful',
  'fluidOunce',
  'pint',
  'quart',
  'gallon',
  'imperialGallon',
  'cubicFoot',
  'cubicYard',
  'cubicMetre',
  'cmDeep',
  'inchDeep',
] as const
export type WeightUnit = (typeof WEIGHT_UNITS)[number]
export type VolumeUnit = (typeof VOLUME_UNITS)[number]

/** What an amount is counted for. Volumes are of mix, or of one material of it; a part is one part of a batch. */
export const BASES = [
  'all',
  'volume',
  'part',
  'bucket',
  'scoop',
  'tub',
  'batch',
  'bag',
  'container',
  'plant',
  'area',
] as const
export type Base = (typeof BASES)[number]

/** How a grower gives an amount: in which unit, and for what. Volumes in litres, areas in m2, of so many bases. */
export interface Manner {
  unit: WeightUnit | VolumeUnit
  base: Base
  /** Litres or m2 of it, where the base is a volume or an area; else how many. */
  of: number
  /** The part of the recipe that is counted: per litre, bucket, bag or part of peat. Left out for the mix. */
  materialId?: string
}

/** An amount as the grower gave it: nobody but the grower changes it. */
export interface SaidAmount extends Manner {
  /** So many of the unit. Left out where the dose was worked out and only the manner was chosen. */
  value?: number
  /** Whose spoons and cups they are, where the grower's units have changed since. */
  spoons?: 'metric' | 'us'
}
