import type { Centimetres } from '../../units'
import type { Demand } from './weather'

/** What passed during one step, cm3. */
export interface Passed {
  evaporated: number
  takenUp: number
  throughWall: number
  /** Through the holes for good. */
  drained: number
  fromSaucer: number
  overSurface: number
}

export const NOTHING_PASSED: Readonly<Passed> = {
  evaporated: 0,
  takenUp: 0,
  throughWall: 0,
  drained: 0,
  fromSaucer: 0,
  overSurface: 0,
}
const NO_DEMAND: Readonly<Demand> = { arriving: 0, evaporation: 0, uptake: 0, wall: 0, saucer: 0 }
const PASSED = Object.keys(NOTHING_PASSED) as (keyof Passed)[]
const DEMANDS = Object.keys(NO_DEMAND) as (keyof Demand)[]

/** Water at one moment: of each node, volume fraction, and free on the surface and in the saucer, cm. */
export interface WaterNow {
  water: Float64Array
  pond: Centimetres
  saucer: Centimetres
}

/**
 * Backward differences over two steps of unequal length, written as one implicit step. With w the length of a step over
 * that of the one before,
 *
 *   x(n+1) = x(n) + c (x(n) - x(n-1)) + h' f(n+1),   c = w^2 / (1 + 2 w),   h' = h (1 + w) / (1 + 2 w)
 *
 * What is stored and what passes follow the same rule, so water is neither made nor lost. A step just after a change
 * carries nothing: it is backward Euler. Demands are scaled so that what they add up to over the day is exact.
 * Source: Hairer & Wanner, Solving Ordinary Differential Equations, III.5 (from memory).
 */
export class Carry {
  /** Where the step at hand starts: the end of the last one and a share of what that one changed. */
  readonly start: WaterNow
  /** Length of the implicit step, hours, and its demand. */
  hours = 0
  readonly demand: Demand = { ...NO_DEMAND }
  private share = 0
  private readonly before: WaterNow
  private readonly gain: WaterNow
  private readonly passed: Passed = { ...NOTHING_PASSED }
  private readonly mean: Demand = { ...NO_DEMAND }
  private lastHours = 0

  constructor(count: number) {
    const blank = (): WaterNow => ({ water: new Float64Array(count), pond: 0, saucer: 0 })
    this.start = blank()
    this.before = blank()
    this.gain = blank()
  }

  /** Sets out a step of `hours` from `now`, under a mean demand; `fresh` where nothing may be carried. */
  setOut(hours: number, now: WaterNow, mean: Demand, fresh: boolean): void {
    const { before, gain, start } = this
    before.water.set(now.water)
    before.pond = now.pond
    before.saucer = now.saucer
    const w = fresh || this.lastHours === 0 ? 0 : hours / this.lastHours
    const c = (this.share = w ** 2 / (1 + 2 * w))
    this.hours = (hours * (1 + w)) / (1 + 2 * w)
    for (let i = 0; i < start.water.length; i++) start.water[i] = before.water[i]! + c * gain.water[i]!
    start.pond = now.pond + c * gain.pond
    start.saucer = now.saucer + c * gain.saucer
    const carried = c * this.lastHours
    for (const name of DEMANDS)
      this.demand[name] = Math.max(0, (hours * mean[name] - carried * this.mean[name]) / this.hours)
  }

  /** The step of `hours` is solved and ends at `now`: adds what is carried to what `passed`. */
  arrive(hours: number, now: WaterNow, mean: Demand, passed: Passed): void {
    const { before, gain } = this
    for (const name of PASSED) passed[name] += this.share * this.passed[name]
    Object.assign(this.passed, passed)
    Object.assign(this.mean, mean)
    for (let i = 0; i < gain.water.length; i++) gain.water[i] = now.water[i]! - before.water[i]!
    gain.pond = now.pond - before.pond
    gain.saucer = now.saucer - before.saucer
    // A pond or a saucer that came or went is a corner: nothing is carried over it.
    const corner = now.pond > 0 !== before.pond > 0 || now.saucer > 0 !== before.saucer > 0
    this.lastHours = corner ? 0 : hours
  }
}
