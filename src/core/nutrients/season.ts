import type { Temperature } from '../chemistry/temperature'
import type { LimeDose } from '../chemistry/lime'
import { cropNeeds, FED, type Fed } from '../data/nutrition'
import type { Crop } from '../data/types'
import type { Blend } from '../mixing'
import type { Centimetres, Days, Fraction, Litres } from '../units'
import { nitrogenTakenBy, seasonDays } from './demand'
import { averagedDose, IMMEDIATE, supplyOf, supplyOfLimes, type DressingDose } from './supply'
import { broughtByWater, type GivenWater } from './waterNutrients'

/**
 * Share of what is dissolved that washes out with drainage: nitrate freely, sulfate nearly so, the others held back on
 * the exchange or as salts that hardly dissolve. Source: our assumption.
 */
const WASHES_OUT: Readonly<Record<Fed, Fraction>> = {
  nitrogen: 1,
  phosphorus: 0.3,
  potassium: 0.5,
  calcium: 0.25,
  magnesium: 0.3,
  sulfur: 0.8,
}

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
  /** The mix's own limes, besides those among the doses. */
  limes?: readonly LimeDose[]
  /** Water given; where left out, it brings nothing. */
  water?: GivenWater
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
  /** What is enough for the season, mg per litre of mix, of each. */
  enough: Record<Fed, number>
  /** Share of it that comes from mix and water, of each. */
  met: Record<Fed, Fraction>
  /** The least of them: growth follows the nutrient in shortest supply. */
  fed: Fraction
  /** The nutrient that is so; of equal ones the first in the order of `FED`. */
  limiting: Fed
  /** First day at the end of which a week brought less than enough; null where none did. */
  shortFrom: Record<Fed, Days | null>
  /** Still to be given by feeding, g for one container. */
  toFeed: Record<Fed, number>
}

const each = <T>(of: (e: Fed) => T): Record<Fed, T> =>
  Object.fromEntries(FED.map((e) => [e, of(e)])) as Record<Fed, T>

/** What has come into reach of each nutrient by a day, mg per litre of mix; `drawdown` is nitrogen that wood took. */
function reachOf(input: FeedingInput) {
  const { blend, temperature, mixHeight, limes = [], water } = input
  const doses = input.doses.map((d) => ({ ...d, gramsPerLitre: averagedDose(d, mixHeight) }))
  const mix = supplyOf(blend, doses, temperature)
  const limed = supplyOfLimes(limes, temperature)
  return (day: Days) => {
    const { charge, drawdown } = mix(day)
    const lime = limed(day)
    const fromWater = broughtByWater(water, day)
    return {
      drawdown,
      charge: each(
        (e) =>
          charge[e] +
          (e === 'calcium' || e === 'magnesium' || e === 'potassium' ? lime[e] : 0) +
          (e === 'potassium' ? 0 : fromWater[e]),
      ),
    }
  }
}

/**
 * Supply against demand of six nutrients, week by week, for one container.
 *
 *   pool += supply - drawdown - uptake - leached,   uptake = min(demand, pool),
 *   leached = pool w (1 - exp(-drainage / water held))
 *
 * Every pool is held at zero or above: wood cannot take what is not there. Demand of the others follows nitrogen in
 * the ratio of the crop's group; of a legume's nitrogen the mix gives what nodules do not fix. mg per litre of mix.
 * Growth follows the nutrient in shortest supply (Liebig 1855): `fed` is the least of `met`, each against the amount
 * with which the crop still grows well. Errors: none. Range: first season; good to a factor of 1.5, calcium to 2.
 * Leaves out: loss to air, feed in the water, roots' own share, what a plant moves from old leaves to new.
 * Source: mass balance; mixed-tank leaching; parts as in `supply`, `demand` and `cropNeeds`.
 */
export function feedingSeason(input: FeedingInput): Feeding {
  const { crop, plants, mixVolume } = input
  const needs = cropNeeds(crop)
  const days = input.days ?? seasonDays(crop)
  const held = Math.max(input.containerCapacity * mixVolume, 1e-6)
  const at = reachOf(input)
  const weeks = each((): FeedingWeek[] => [])
  const pool = each(() => 0)
  let before = { charge: each(() => 0), drawdown: 0 }
  for (let from = 0; from < days; from += 7) {
    const day = Math.min(from + 7, days)
    const now = at(day)
    const grown = ((nitrogenTakenBy(crop, day) - nitrogenTakenBy(crop, from)) * plants * 1000) / mixVolume
    const washed = 1 - Math.exp((-input.drainagePerDay * (day - from)) / held)
    for (const e of FED) {
      const taken = e === 'nitrogen' ? now.drawdown - before.drawdown : 0
      const supply = Math.max(now.charge[e] - before.charge[e] - taken, -pool[e])
      const demand = grown * needs.wanted[e] * (e === 'nitrogen' ? 1 - needs.fixed : 1)
      const inReach = pool[e] + supply
      const uptake = Math.min(demand, inReach)
      const leached = (inReach - uptake) * washed * WASHES_OUT[e]
      pool[e] = inReach - uptake - leached
      weeks[e].push({ day, supply, demand, uptake, leached, pool: pool[e] })
    }
    before = now
  }
  const early = at(IMMEDIATE)
  return {
    weeks,
    earlyNitrogen: Math.max(0, early.charge.nitrogen - early.drawdown),
    drawdown: at(28).drawdown,
    ...feedOf(weeks, needs.enough, mixVolume),
  }
}

/** What the weeks add up to. */
function feedOf(
  weeks: Feeding['weeks'],
  enough: Record<Fed, Fraction>,
  mixVolume: Litres,
): Pick<Feeding, 'enough' | 'met' | 'fed' | 'limiting' | 'shortFrom' | 'toFeed'> {
  const sum = (e: Fed, of: 'demand' | 'uptake') => weeks[e].reduce((s, w) => s + w[of], 0)
  const need = each((e) => enough[e] * sum(e, 'demand'))
  const taken = each((e) => sum(e, 'uptake'))
  const met = each((e) => (need[e] > 0 ? Math.min(1, taken[e] / need[e]) : 1))
  const limiting = FED.reduce((a, b) => (met[b] < met[a] ? b : a))
  return {
    enough: need,
    met,
    limiting,
    fed: met[limiting],
    shortFrom: each((e) => weeks[e].find((w) => w.uptake < enough[e] * w.demand - 1e-9)?.day ?? null),
    toFeed: each((e) => (Math.max(0, need[e] - taken[e]) * mixVolume) / 1000),
  }
}
