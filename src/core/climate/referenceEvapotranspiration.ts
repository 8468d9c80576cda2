import {
  clearSkyRadiation,
  daylightHours,
  extraterrestrialRadiation,
  midMonthDay,
  netLongwave,
  netRadiation,
  radiationFromSunshine,
  radiationFromTemperature,
} from './solar'
import {
  airPressure,
  meanSaturationVapour,
  psychrometricConstant,
  saturationSlope,
  saturationVapour,
} from './vapour'

/** Depth of water evaporated by one MJ m-2, mm (1 / 2.45 MJ/kg). FAO-56 eq. 20. */
export const MM_PER_MEGAJOULE = 0.408

/**
 * Reference evapotranspiration by Hargreaves: only temperatures and the place are wanted.
 *   ET0 = 0.0023 (Tmean + 17.8) sqrt(Tmax - Tmin) 0.408 Ra
 * C and MJ m-2 day-1 in, mm/day out, never below 0. Good to about a fifth by the month; low in strong wind, high
 * where it is humid. Source: Hargreaves & Samani 1985, as FAO-56 eq. 52.
 *
 * @example
 * hargreaves(26.6, 14.8, 40.6) // 5.039
 */
export const hargreaves = (tMax: number, tMin: number, extraterrestrial: number): number =>
  Math.max(
    0,
    0.0023 *
      ((tMax + tMin) / 2 + 17.8) *
      Math.sqrt(Math.max(0, tMax - tMin)) *
      MM_PER_MEGAJOULE *
      extraterrestrial,
  )

export interface Weather {
  tMax: number
  tMin: number
  /** Degrees, north positive, and metres above the sea. */
  latitude: number
  elevation: number
  /** Day of the year. */
  day: number
  /** kPa; taken as saturation at tMin where unknown (FAO-56 eq. 48). */
  vapour?: number
  /** m/s at 2 m; 2 where unknown. */
  wind?: number
  /** Hours of sun; from the span of temperatures where unknown. */
  sunHours?: number
  /** FAO-56 eq. 50: 0.16 inland, 0.19 by the sea. */
  temperatureFactor?: number
  /** Heat into the ground, MJ m-2 day-1; 0 by the day. */
  soilHeat?: number
}

/**
 * Reference evapotranspiration by FAO Penman-Monteith.
 *
 *   ET0 = (0.408 D (Rn - G) + g 900 u2 (es - ea) / (T + 273)) / (D + g (1 + 0.34 u2))
 *
 * D slope of the vapour curve and g psychrometric constant in kPa/C, Rn and G in MJ m-2 day-1, u2 in m/s, es - ea in
 * kPa. Answer: mm/day, never below 0. Source: Allen, Pereira, Raes & Smith 1998, FAO-56 eq. 6; its worked examples
 * are among the checks.
 * Range: any weather of the open air. Errors: none.
 *
 * @example
 * penmanMonteith({ tMax: 26.6, tMin: 14.8, latitude: 45.72, elevation: 200, day: 196 }) // 4.56
 */
export function penmanMonteith(w: Weather): number {
  const { tMax, tMin } = w
  const t = (tMax + tMin) / 2
  const ea = w.vapour ?? saturationVapour(tMin)
  const u2 = w.wind ?? 2
  const ra = extraterrestrialRadiation(w.latitude, w.day)
  const rs =
    w.sunHours === undefined
      ? radiationFromTemperature(ra, tMax, tMin, w.temperatureFactor)
      : radiationFromSunshine(ra, w.sunHours, daylightHours(w.latitude, w.day))
  const rn = netRadiation(rs, netLongwave({ tMax, tMin }, ea, rs, clearSkyRadiation(ra, w.elevation)))
  const gamma = psychrometricConstant(airPressure(w.elevation))
  const slope = saturationSlope(t)
  const es = meanSaturationVapour(tMax, tMin)
  return Math.max(
    0,
    (MM_PER_MEGAJOULE * slope * (rn - (w.soilHeat ?? 0)) + (gamma * 900 * u2 * (es - ea)) / (t + 273)) /
      (slope + gamma * (1 + 0.34 * u2)),
  )
}

/** One month of a place's climate. */
export interface MonthClimate {
  /** Means of the daily extremes, C. */
  tMin: number
  tMax: number
  /** mm in the month, where known. */
  rain?: number
  /** Mean m/s at 2 m and mean hours of sun a day: where both are known Penman-Monteith is used. */
  wind?: number
  sunHours?: number
}

export interface Climate {
  /** Degrees, north positive. */
  latitude: number
  /** m above the sea. */
  elevation: number
  /** January to December. */
  months: readonly MonthClimate[]
}

/**
 * Reference evapotranspiration of a month (1 to 12) in mm/day: Penman-Monteith where wind and sun are known, else
 * Hargreaves.
 * Source: FAO-56 eq. 6 and 52.
 * Errors: none; a climate is checked where it is read.
 *
 * @example
 * monthlyReference({ latitude: 50, elevation: 100, months: [{ tMin: 1, tMax: 7, rain: 50 }] }, 1) // 0.4454
 */
export function monthlyReference(climate: Climate, month: number): number {
  const m = climate.months[month - 1]!
  const day = midMonthDay(month)
  return m.wind !== undefined && m.sunHours !== undefined
    ? penmanMonteith({ ...m, latitude: climate.latitude, elevation: climate.elevation, day })
    : hargreaves(m.tMax, m.tMin, extraterrestrialRadiation(climate.latitude, day))
}

/**
 * Mean temperature of mix in a container in a month, C: about that of the air, a degree or two warmer in the sun.
 * Source: common practice; pots on hot paving go higher.
 *
 * @example
 * mixTemperature({ latitude: 50, elevation: 100, months: [{ tMin: 1, tMax: 7, rain: 50 }] }, 1) // 5
 */
export const mixTemperature = (climate: Climate, month: number): number => {
  const m = climate.months[month - 1]!
  return (m.tMax + m.tMin) / 2 + 1
}
