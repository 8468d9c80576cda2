import { invariant } from '../outcome'

/** The tropics, degrees: nearer the equator nothing rests for the winter. Source: tilt of the earth. */
export const TROPIC = 23.5

/** Solar constant, MJ m-2 min-1. FAO-56 eq. 21. */
const SOLAR_CONSTANT = 0.082
/** Stefan-Boltzmann constant, MJ K-4 m-2 day-1. FAO-56 eq. 39. */
const STEFAN_BOLTZMANN = 4.903e-9
export const KELVIN = 273.16

const radians = (degrees: number) => (Math.PI / 180) * degrees

/**
 * Day of the year, 1 to 366, of the 15th of a month (1 to 12): stands for the month. FAO-56 eq. 22 and annex 2.
 *
 * @example
 * midMonthDay(1) // 15
 */
export function midMonthDay(month: number): number {
  invariant(Number.isInteger(month) && month >= 1 && month <= 12, `month ${month}`)
  return Math.trunc(30.4 * month - 15)
}

/**
 * Sun's declination (rad) and inverse relative distance of the earth on a day of the year. FAO-56 eqs 23 and 24.
 *
 * @example
 * sunOn(15) // { declination: -0.3702, inverseDistance: 1.032 }
 */
export const sunOn = (day: number) => ({
  declination: 0.409 * Math.sin((2 * Math.PI * day) / 365 - 1.39),
  inverseDistance: 1 + 0.033 * Math.cos((2 * Math.PI * day) / 365),
})

/**
 * Hour angle of sunset, rad: 0 in polar night, pi under the midnight sun. FAO-56 eq. 25. Latitude in degrees, north
 * positive.
 * Range: -90 to 90 degrees, days 1 to 366.
 *
 * @example
 * sunsetHourAngle(51, 76) // 1.53
 */
export function sunsetHourAngle(latitude: number, day: number): number {
  const x = -Math.tan(radians(latitude)) * Math.tan(sunOn(day).declination)
  return Math.acos(Math.min(1, Math.max(-1, x)))
}

/**
 * Hours from sunrise to sunset, no refraction. FAO-56 eq. 34.
 * Latitude in degrees, north positive, -90 to 90; days 1 to 366.
 *
 * @example
 * daylightHours(80, 172) // 24
 */
export const daylightHours = (latitude: number, day: number): number =>
  (24 / Math.PI) * sunsetHourAngle(latitude, day)

/**
 * Radiation on top of the air over a day, MJ m-2 day-1. Any latitude; day 1 to 366. FAO-56 eq. 21.
 *
 * @example
 * extraterrestrialRadiation(51, 45) // 13.6
 */
export function extraterrestrialRadiation(latitude: number, day: number): number {
  const { declination, inverseDistance } = sunOn(day)
  const phi = radians(latitude)
  const w = sunsetHourAngle(latitude, day)
  return (
    ((24 * 60) / Math.PI) *
    SOLAR_CONSTANT *
    inverseDistance *
    (w * Math.sin(phi) * Math.sin(declination) + Math.cos(phi) * Math.cos(declination) * Math.sin(w))
  )
}

/**
 * Radiation at the ground from hours of sun, MJ m-2 day-1; a = 0.25, b = 0.50 (Angstrom). FAO-56 eq. 35.
 *
 * @example
 * radiationFromSunshine(25.1, 7.1, 10.9) // 14.45
 */
export const radiationFromSunshine = (extraterrestrial: number, sunHours: number, daylight: number): number =>
  (0.25 + (0.5 * sunHours) / daylight) * extraterrestrial

/**
 * Radiation from the span of the day's temperatures, MJ m-2 day-1; k 0.16 inland, 0.19 by the sea. FAO-56 eq. 50.
 *
 * @example
 * radiationFromTemperature(40.6, 26.6, 14.8) // 22.31
 */
export const radiationFromTemperature = (
  extraterrestrial: number,
  tMax: number,
  tMin: number,
  k = 0.16,
): number => k * Math.sqrt(Math.max(0, tMax - tMin)) * extraterrestrial

/**
 * Radiation under a clear sky, MJ m-2 day-1; elevation in m. FAO-56 eq. 37.
 *
 * @example
 * clearSkyRadiation(25.1, 0) // 18.83
 */
export const clearSkyRadiation = (extraterrestrial: number, elevation: number): number =>
  (0.75 + 2e-5 * elevation) * extraterrestrial

/**
 * Net outgoing long waves, MJ m-2 day-1; temperatures in C, vapour pressure in kPa. FAO-56 eq. 39.
 *
 * @example
 * netLongwave({ tMax: 25.1, tMin: 19.1 }, 2.1, 14.5, 18.8) // 3.534
 */
export const netLongwave = (
  { tMax, tMin }: { tMax: number; tMin: number },
  vapour: number,
  radiation: number,
  clearSky: number,
): number =>
  STEFAN_BOLTZMANN *
  (((tMax + KELVIN) ** 4 + (tMin + KELVIN) ** 4) / 2) *
  (0.34 - 0.14 * Math.sqrt(vapour)) *
  (1.35 * Math.min(1, radiation / clearSky) - 0.35)

/**
 * Net radiation of a short green cover, MJ m-2 day-1; albedo 0.23. FAO-56 eqs 38 and 40.
 *
 * @example
 * netRadiation(14.5, 3.5) // 7.665
 */
export const netRadiation = (radiation: number, longwave: number): number => 0.77 * radiation - longwave
