/** Extracts of a mix that laboratories report, by volume of mix to water where that is in the name. */
export const LAB_METHODS = [
  'saturatedExtract',
  'pourThrough',
  'oneToTwo',
  'oneToOneHalf',
  'oneToFive',
] as const
export type LabMethod = (typeof LAB_METHODS)[number]

/** What reports print: pH, dS/m, and mg/L of the extract of each element; nitrogen is nitrate and ammonium together. */
export const LAB_FIGURES = [
  'pH',
  'salts',
  'nitrogen',
  'ammonium',
  'phosphorus',
  'potassium',
  'calcium',
  'magnesium',
  'sulfur',
  'sodium',
  'chloride',
  'iron',
  'manganese',
  'zinc',
  'copper',
  'boron',
  'molybdenum',
] as const
export type LabFigure = (typeof LAB_FIGURES)[number]
export type LabFigures = Readonly<Partial<Record<LabFigure, number>>>

type Times = readonly [low: number, value: number, high: number]

/**
 * What one of a saturated extract reads as by each method: conductivity, and what is dissolved.
 * Source: Cavins, Whipker & Fonteno 2000; Warncke & Krauskopf 1983; Sonneveld & Voogt; Handreck & Black (from memory).
 * Nutrients of 1 to 1.5 are our assumption, between 1 to 2 and the saturated extract.
 */
const TIMES: Readonly<Record<LabMethod, { salts: Times; dissolved: Times }>> = {
  saturatedExtract: { salts: [1, 1, 1], dissolved: [1, 1, 1] },
  pourThrough: { salts: [1.2, 1.35, 1.7], dissolved: [1.2, 1.4, 1.8] },
  oneToTwo: { salts: [0.3, 0.37, 0.45], dissolved: [0.28, 0.37, 0.5] },
  oneToOneHalf: { salts: [0.36, 0.42, 0.5], dissolved: [0.34, 0.45, 0.56] },
  oneToFive: { salts: [0.13, 0.17, 0.22], dissolved: [0.12, 0.16, 0.25] },
}
/** pH by each method less that of a saturated extract. Source: as `TIMES`; 1 to 1.5 and 1 to 5 our assumption. */
const HIGHER: Readonly<Record<LabMethod, Times>> = {
  saturatedExtract: [0, 0, 0],
  pourThrough: [-0.3, -0.05, 0.2],
  oneToTwo: [-0.1, 0.05, 0.25],
  oneToOneHalf: [-0.1, 0.05, 0.25],
  oneToFive: [-0.1, 0.1, 0.3],
}

/**
 * Litres of water in a saturated extract for a litre of mix. Source: Warncke & Krauskopf 1983 (from memory),
 * 0.7 to 0.92.
 */
export const EXTRACT_WATER = 0.83

/**
 * A figure of a report as a saturated extract would have it, with the range the method leaves open. pH; dS/m; mg/L.
 * Errors: none. Range: mixes in containers; mineral soils are read by their own tests. Source: beside the factors.
 *
 * @example
 * asSaturated('salts', 0.74, 'oneToTwo').value // 2
 */
export function asSaturated(
  figure: LabFigure,
  read: number,
  method: LabMethod,
): { low: number; value: number; high: number } {
  if (figure === 'pH') {
    const [low, value, high] = HIGHER[method]
    return { low: read - high, value: read - value, high: read - low }
  }
  const [low, value, high] = TIMES[method][figure === 'salts' ? 'salts' : 'dissolved']
  return { low: read / high, value: read / value, high: read / low }
}
