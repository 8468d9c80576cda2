import type { Fraction } from '../../units'
import { OPEN_HOLE } from './column'
import { TENSIONS } from './hydraulics'
import type { Nodes } from './nodes'
import type { Demand } from './weather'

/** exp(h / this) is the moisture of air in the pores, h in cm: R T / (M g) at 20 C. Source: Kelvin 1871. */
const KELVIN = 1.38e6
/** Moisture of the air outside. Source: our assumption, a mild day. */
const AIR_OUTSIDE = 0.5
/** Halvings that find the surface. */
const HALVINGS = 40
/** Deepest pond looked for, cm above the rim. */
const DEEPEST = 100

/**
 * Share of what the air would take that a surface at a head (cm) gives, by the moisture of the air in its pores.
 *
 * @example
 * moistureOver(-1e5) // 0.8602
 */
export const moistureOver = (head: number): Fraction =>
  head >= 0 ? 1 : Math.max(0, (Math.exp(head / KELVIN) - AIR_OUTSIDE) / (1 - AIR_OUTSIDE))

/** How that share changes for each cm of head, from the share itself. */
export const moistureSlope = (moist: Fraction): number => (moist + AIR_OUTSIDE / (1 - AIR_OUTSIDE)) / KELVIN

/**
 * The head of the surface, cm, that would suit the node below it as it is, by halving. The surface has no volume: when
 * water first falls on a top as dry as dust its head leaps from one end of the scale to the other, farther than
 * Newton's method follows.
 */
export function surfaceHead({ column, head, conductAbove }: Nodes, hours: number, demand: Demand): number {
  const { linkLength, linkArea, surfaceArea, headspace, tables, below } = column
  const top = column.count - 1
  const table = tables[below[top]!]!
  const before = Math.max(0, head[top]!)
  /** More leaves the surface than comes, when its head is this. */
  const tooMuch = (at: number): boolean => {
    const gradient = (at - head[top - 1]!) / linkLength[top - 1]! + 1
    const down = gradient * (gradient > 0 ? table.conductivityAt(-at) : conductAbove[top - 1]!)
    const stays = surfaceArea * (Math.max(0, at) - before)
    const over = OPEN_HOLE * surfaceArea * Math.max(0, at - headspace)
    const given = demand.arriving - demand.evaporation * moistureOver(at)
    return stays + hours * (linkArea[top - 1]! * down + over - given) > 0
  }
  const dry = tooMuch(0)
  let [low, high] = dry ? [Math.log(TENSIONS.least) - 9, Math.log(TENSIONS.most)] : [0, headspace + DEEPEST]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    if (tooMuch(dry ? -Math.exp(middle) : middle) === dry) low = middle
    else high = middle
  }
  return dry ? -Math.exp(low) : low
}
