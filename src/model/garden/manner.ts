/** Units of weight, and of volume with what stands in for one: spoons and cups are those of the grower's system. */
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
] as const
export type WeightUnit = (typeof WEIGHT_UNITS)[number]
export type VolumeUnit = (typeof VOLUME_UNITS)[number]

/** What an amount is counted for. Volumes are of mix; a part is one measure of the recipe. */
export const BASES = [
  'all',
  'volume',
  'part',
  'bucket',
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
}
