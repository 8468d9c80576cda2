import type { Centimetres, Fraction } from '../../units'
import type { Column } from './column'
import { placeInTable, TABLE_STEP, TENSIONS } from './hydraulics'
import { MOVING_LIMITS } from './limits'

/** Where roots drink, and when they stop. */
export interface Roots {
  /** Share of the roots at each node of the column; adds up to 1, or all zero without roots. */
  share: Float64Array
  /** Tension to which they take water with ease, and that at which they take none, cm. */
  easy: Centimetres
  driest: Centimetres
}

/**
 * What a mix gives by itself under pressure, 1/cm, and the tension to which that is counted: without it a pot full to
 * the brim with no way out would have no one answer. Source: our assumption, hardly anything.
 */
const GIVES = 1e-6
const GIVES_TO = 10

/**
 * What every node of a column is at its head: water, how that changes, what it lets through to either side, air, what
 * roots can take. Arrays are made once. Units cm, hours, volume fractions.
 */
export class Nodes {
  /** Pressure head, cm: below zero where the water hangs. */
  readonly head: Float64Array
  readonly water: Float64Array
  /** Water gained for each cm of head. */
  readonly capacity: Float64Array
  /** Conductivity in the stuff below and above, and how it changes for each cm of head. */
  readonly conductBelow: Float64Array
  readonly conductAbove: Float64Array
  readonly slopeBelow: Float64Array
  readonly slopeAbove: Float64Array
  readonly air: Float64Array
  /** Share of the demand the roots could meet, each where it stands; and by water alone, air in plenty. */
  rootsAble = 1
  rootsMoist = 1
  private readonly lnEasy: number
  /** Over the logarithm of tension, from the end of ease to where they take none. */
  readonly dryingSpan: number

  constructor(
    readonly column: Column,
    readonly roots: Roots,
  ) {
    const arrays = () => new Float64Array(column.count)
    this.head = arrays()
    this.water = arrays()
    this.capacity = arrays()
    this.conductBelow = arrays()
    this.conductAbove = arrays()
    this.slopeBelow = arrays()
    this.slopeAbove = arrays()
    this.air = arrays()
    this.lnEasy = Math.log(roots.easy)
    this.dryingSpan = Math.log(roots.driest / roots.easy)
  }

  /** Reads the tables at the heads; straight lines between their entries. */
  evaluate(): void {
    const { count, volume, below, above, tables } = this.column
    let able = 0
    let moist = 0
    for (let i = 0; i < count; i++) {
      const tension = -this.head[i]!
      const lo = tables[below[i]!]!
      const hi = tables[above[i]!]!
      if (tension <= 0) {
        this.water[i] = volume[i]! > 0 ? lo.fullWater - GIVES * tension : 0
        this.capacity[i] = volume[i]! > 0 ? GIVES : 0
        this.conductBelow[i] = lo.fullConductivity
        this.conductAbove[i] = hi.fullConductivity
        this.slopeBelow[i] = 0
        this.slopeAbove[i] = 0
        this.air[i] = 0
        moist += this.roots.share[i]!
        continue
      }
      const u = tension < TENSIONS.least ? -1 : placeInTable(tension)
      const k = u < 0 ? 0 : u >= TENSIONS.count - 1 ? TENSIONS.count - 2 : u | 0
      /** Place between entries, and its slope with tension. */
      const part = u < 0 ? tension / TENSIONS.least : Math.min(1, u - k)
      const slope = u < 0 ? 1 / TENSIONS.least : 1 / (TABLE_STEP * tension)
      const kLow = u < 0 ? lo.fullConductivity : lo.conductivity[k]!
      const kLowStep = lo.conductivity[u < 0 ? 0 : k + 1]! - kLow
      this.conductBelow[i] = kLow + part * kLowStep
      this.slopeBelow[i] = -kLowStep * slope
      if (lo === hi) {
        this.conductAbove[i] = this.conductBelow[i]!
        this.slopeAbove[i] = this.slopeBelow[i]!
      } else {
        const kHigh = u < 0 ? hi.fullConductivity : hi.conductivity[k]!
        const kHighStep = hi.conductivity[u < 0 ? 0 : k + 1]! - kHigh
        this.conductAbove[i] = kHigh + part * kHighStep
        this.slopeAbove[i] = -kHighStep * slope
      }
      if (volume[i] === 0) continue
      const w = u < 0 ? lo.fullWater : lo.water[k]!
      const step = lo.water[u < 0 ? 0 : k + 1]! - w
      this.water[i] = w + part * step - GIVES * Math.min(tension, GIVES_TO)
      this.capacity[i] = -step * slope + (tension < GIVES_TO ? GIVES : 0)
      this.air[i] = lo.totalPorosity - this.water[i]!
      const share = this.roots.share[i]!
      if (share === 0) continue
      const dry = share * this.dryness(tension)
      moist += dry
      able += dry * Math.min(1, this.air[i]! / MOVING_LIMITS.airForRoots.value)
    }
    this.rootsAble = able
    this.rootsMoist = moist
  }

  /** What roots can take of what they are asked, by water alone. */
  dryness(tension: Centimetres): Fraction {
    if (tension <= this.roots.easy) return 1
    return Math.max(0, 1 - (Math.log(tension) - this.lnEasy) / this.dryingSpan)
  }
}
