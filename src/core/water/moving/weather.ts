import type { Litres } from '../../units'

/** Water given, or rain: an even flow onto the surface. */
export interface Pulse {
  /** Hours from the start. */
  start: number
  hours: number
  litres: Litres
}

/** What reaches and leaves a column by itself during a step, cm3/h. */
export interface Demand {
  /** Rain and watering on the surface. */
  arriving: number
  /** What the air would take from a wet surface. */
  evaporation: number
  /** What roots would take up with water and air in plenty. */
  uptake: number
  /** What the air would take through fabric or clay walls. */
  wall: number
  /** What the air would take from a saucer of water. */
  saucer: number
}

/** What a usual day takes, litres a day. */
export interface DayDemand {
  uptake: Litres
  evaporation: Litres
  wall: Litres
  saucer: Litres
}

/** Sunrise and sunset of the day that is followed, hours. Source: our assumption, twelve hours of sun. */
export const SUN = { rise: 6, set: 18 } as const

/**
 * Share of a day's demand that falls between midnight and an hour of it: the sun's height over a half wave.
 * Range: 0 to 24. Source: common practice.
 *
 * @example
 * shareOfDay(12) // 0.5
 */
export function shareOfDay(hour: number): number {
  if (hour <= SUN.rise) return 0
  if (hour >= SUN.set) return 1
  return (1 - Math.cos((Math.PI * (hour - SUN.rise)) / (SUN.set - SUN.rise))) / 2
}
const sunUpTo = (hours: number) => Math.floor(hours / 24) + shareOfDay(hours - 24 * Math.floor(hours / 24))

/**
 * The hours at which something starts or ends, in order, each once, up to the last.
 *
 * @example
 * breaksOf([{ start: 1, hours: 0.5, litres: 1 }], 8, 6) // [1, 1.5, 8]
 */
export function breaksOf(pulses: readonly Pulse[], hours: number, clock: number): number[] {
  const all = new Set<number>([hours])
  for (const { start, hours: long } of pulses) {
    all.add(start)
    all.add(start + long)
  }
  for (let day = 0; day * 24 < hours + clock; day++)
    for (const at of [SUN.rise, SUN.set]) all.add(day * 24 + at - clock)
  return [...all].filter((t) => t > 0 && t <= hours).sort((a, b) => a - b)
}

/** Fills `into` with the mean demand between two hours that no break lies between. */
export function demandBetween(
  into: Demand,
  { from, to, clock }: Record<'from' | 'to' | 'clock', number>,
  day: DayDemand,
  pulses: readonly Pulse[],
): void {
  const sun = ((sunUpTo(to + clock) - sunUpTo(from + clock)) / (to - from)) * 1000
  into.uptake = day.uptake * sun
  into.evaporation = day.evaporation * sun
  into.wall = day.wall * sun
  into.saucer = day.saucer * sun
  into.arriving = 0
  const middle = (from + to) / 2
  for (let i = 0; i < pulses.length; i++) {
    const p = pulses[i]!
    if (middle > p.start && middle < p.start + p.hours) into.arriving += (1000 * p.litres) / p.hours
  }
}
