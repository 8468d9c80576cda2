/**
 * Pressure of the air at an elevation in m, kPa. FAO-56 eq. 7.
 *
 * @example
 * airPressure(1800) // 81.76
 */
export const airPressure = (elevation: number): number => 101.3 * ((293 - 0.0065 * elevation) / 293) ** 5.26

/**
 * Psychrometric constant at a pressure in kPa, kPa/C. FAO-56 eq. 8.
 *
 * @example
 * psychrometricConstant(81.8) // 0.0544
 */
export const psychrometricConstant = (pressure: number): number => 0.665e-3 * pressure

/**
 * Saturation vapour pressure at a temperature in C, kPa. FAO-56 eq. 11.
 *
 * @example
 * saturationVapour(15) // 1.705
 */
export const saturationVapour = (t: number): number => 0.6108 * Math.exp((17.27 * t) / (t + 237.3))

/**
 * Mean saturation vapour pressure of a day, kPa. FAO-56 eq. 12.
 *
 * @example
 * meanSaturationVapour(22, 12) // 2.023
 */
export const meanSaturationVapour = (tMax: number, tMin: number): number =>
  (saturationVapour(tMax) + saturationVapour(tMin)) / 2

/**
 * Slope of the saturation curve at a temperature in C, kPa/C. FAO-56 eq. 13.
 *
 * @example
 * saturationSlope(17) // 0.1228
 */
export const saturationSlope = (t: number): number => (4098 * saturationVapour(t)) / (t + 237.3) ** 2

/**
 * Actual vapour pressure from the extremes of relative humidity (percent), kPa. FAO-56 eq. 17.
 *
 * @example
 * vapourFromHumidity(25, 18, 82, 54) // 1.702
 */
export const vapourFromHumidity = (tMax: number, tMin: number, rhMax: number, rhMin: number): number =>
  (saturationVapour(tMin) * rhMax + saturationVapour(tMax) * rhMin) / 200

/**
 * Wind at 2 m from wind measured higher up, m/s; height in m above 1. FAO-56 eq. 47.
 *
 * @example
 * windAtTwoMetres(3.2, 10) // 2.393
 */
export const windAtTwoMetres = (wind: number, height: number): number =>
  (wind * 4.87) / Math.log(67.8 * height - 5.42)
