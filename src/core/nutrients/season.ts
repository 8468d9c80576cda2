import type { Temperature } from '../chemistry/temperature'
import type { Crop } from '../data/types'
import type { Blend } from '../mixing'
import type { Centimetres, Days, Fraction, Litres } from '../units'
import { nitrogenTakenBy, seasonDays, UPTAKE_RATIO } from './demand'
import { averagedDose, IMMEDIATE, supplyOf, type DressingDose } from './supply'

/**
 * Share of what is dissolved that washes out with drainage: nitrate freely, the others held back. Source: our
 * assumption.
 */
const WASHES_OUT = { nitrogen: 1, phosphorus: 0.3, potassium: 0.5 } as const
export type Fed = keyof typeof WASHES_OUT
export const FED: readonly Fed[] = ['nitrogen', 'phosphorus', 'potassium']

export interface FeedingInput {
  blend: Blend
  doses: readonly DressingDose[]
  crop: Crop
  /** Plants in one container. */
  plants: number
  /** Mix in one container, litres, and its height, cm. */
  mixVolume: Litres
  mixHeight: Centimetres
  /** Water held once drained, fraction of the mix. */
  containerCapacity: Fraction
  /** Litres that drain away from one container in a day of watering. */
  drainagePerDay: Litres
  /** Of the mix, from the first day on. */
  temperature: Temperature
  /** Days to follow; the crop's season where left out. */
  days?: Days
}

/** One week of one element, mg per litre of mix. */
export interface FeedingWeek {
  /** Day at the end of the week. */
  day: Days
  /** Newly in reach this week, what wood took already off. */
  supply: number
  demand: number
  uptake: number
  leached: number
  /** Left in reach at the end. */
  pool: number
}

export interface Feeding {
  weeks: Record<Fed, FeedingWeek[]>
  /** Mineral nitrogen in reach after three days, mg/L. */
  earlyNitrogen: number
  /** Nitrogen wood and bark have tied up after four weeks, mg/L. */
  drawdown: number
  /** First day at the end of which a week's demand for nitrogen was not met; null where it always was. */
  hungryFrom: Days | null
  /** Share of the season's nitrogen demand met from the mix. */
  nitrogenMet: Fraction
  /** Nitrogen still to be given by feeding, g for one container. */
  nitrogenToFeed: number
}

/**
 * Supply against demand, week by week, for one container.
 *
 *   pool += supply - drawdown - uptake - leached,   uptake = min(demand, pool),
 *   leached = pool w (1 - exp(-drainage / water held))
 *
 * Every pool is held at nought or above: wood cannot take what is not there. Demand of P and K follows N in a fixed
 * ratio. mg per litre of mix. Errors: none. Range: first season. Leaves out: loss to air, feed in the water, roots'
 * own share.
 * Source: mass balance; mixed-tank leaching; parts as in `supply` and `demand`.
 */
export function feedingSeason(input: FeedingInput): Feeding {
  const { blend, crop, plants, mixVolume, temperature } = input
  const doses = input.doses.map((d) => ({ ...d, gramsPerLitre: averagedDose(d, input.mixHeight) }))
  const days = input.days ?? seasonDays(crop)
  const water = Math.max(input.containerCapacity * mixVolume, 1e-6)
  const at = supplyOf(blend, doses, temperature)
  const weeks: Record<Fed, FeedingWeek[]> = { nitrogen: [], phosphorus: [], potassium: [] }
  const pool = { nitrogen: 0, phosphorus: 0, potassium: 0 }
  let before = { charge: { nitrogen: 0, phosphorus: 0, potassium: 0 }, drawdown: 0 }
  for (let from = 0; from < days; from += 7) {
    const day = Math.min(from + 7, days)
    const now = at(day)
    const wanted = ((nitrogenTakenBy(crop, day) - nitrogenTakenBy(crop, from)) * plants * 1000) / mixVolume
    const washed = 1 - Math.exp((-input.drainagePerDay * (day - from)) / water)
    for (const e of FED) {
      const taken = e === 'nitrogen' ? now.drawdown - before.drawdown : 0
      const given = now.charge[e] - before.charge[e]
      const supply = Math.max(given - taken, -pool[e])
      const demand = wanted * UPTAKE_RATIO[e]
      const inReach = pool[e] + supply
      const uptake = Math.min(demand, inReach)
      const leached = (inReach - uptake) * washed * WASHES_OUT[e]
      pool[e] = inReach - uptake - leached
      weeks[e].push({ day, supply, demand, uptake, leached, pool: pool[e] })
    }
    before = { charge: now.charge, drawdown: now.drawdown }
  }
  const early = at(IMMEDIATE)
  const sum = (of: (w: FeedingWeek) => number) => weeks.nitrogen.reduce((s, w) => s + of(w), 0)
  const demand = sum((w) => w.demand)
  const met = sum((w) => w.uptake)
  return {
    weeks,
    earlyNitrogen: Math.max(0, early.charge.nitrogen - early.drawdown),
    drawdown: at(28).drawdown,
    hungryFrom: weeks.nitrogen.find((w) => w.uptake < w.demand - 1e-9)?.day ?? null,
    nitrogenMet: demand > 0 ? met / demand : 1,
    nitrogenToFeed: ((demand - met) * mixVolume) / 1000,
  }
}
