import type { Centimetres, Fraction, Litres } from '../../units'
import { MOVING_LIMITS } from './limits'
import type { Course, Moved } from './moved'
import type { Stepper } from './stepper'
import type { Demand } from './weather'

/** Keeps pictures and books of a run. */
export class Recorder {
  private readonly course: Course
  private readonly start: Litres
  private next = 0
  private readonly sums = { given: 0, drained: 0, takenUp: 0, evaporated: 0, overSurface: 0 }
  /** The sums, the water standing and all of it at the end of the step before. */
  private readonly before = { ...this.sums, onSurface: 0, inSaucer: 0 }
  private total: number
  /** Water made or lost in all steps, each counted without its sign, cm3. */
  private astray = 0
  private shortOfAir = 0
  private thirsty = 0
  private firstThirst: number | null = null
  private firstWilting: number | null = null
  private usedByThirst = 0

  constructor(
    private readonly stepper: Stepper,
    times: readonly number[],
  ) {
    const { column } = stepper
    const pictures = times.length
    const cells = column.cells.length
    const floats = () => new Float32Array(pictures)
    this.course = {
      times: Float64Array.from(times),
      heights: column.cellHeight,
      litres: Float64Array.from(column.cells, (i) => column.volume[i]! / 1000),
      pores: Float64Array.from(column.cells, (i) => column.tables[column.below[i]!]!.totalPorosity),
      water: new Float32Array(pictures * cells),
      hoursShortOfAir: new Float32Array(cells),
      onSurface: floats(),
      inSaucer: floats(),
      given: floats(),
      drained: floats(),
      takenUp: floats(),
      evaporated: floats(),
      overSurface: floats(),
    }
    this.start = stepper.stored() + stepper.standing()
    this.total = this.start
    this.take(1, stepper.water)
  }

  /** One step is done: `by` hours up to `now`. `before` is the water at its start. */
  note(now: number, by: number, demand: Demand, before: Float64Array): void {
    const { passed } = this.stepper
    const left = this.sums.drained + this.sums.takenUp + this.sums.evaporated + this.sums.overSurface
    Object.assign(this.before, this.sums)
    this.sums.given += demand.arriving * by
    this.sums.drained += passed.drained
    this.sums.takenUp += passed.takenUp
    this.sums.evaporated += passed.evaporated + passed.throughWall + passed.fromSaucer
    this.sums.overSurface += passed.overSurface
    const total = this.stepper.stored() + this.stepper.standing()
    const gone = this.sums.drained + this.sums.takenUp + this.sums.evaporated + this.sums.overSurface - left
    this.astray += Math.abs(total - this.total - demand.arriving * by + gone)
    this.total = total
    if (this.firstThirst === null) this.usedByThirst = this.sums.takenUp + this.sums.evaporated
    if (this.airlessRoots(by) >= MOVING_LIMITS.airlessRoots.value) this.shortOfAir += by
    const { thirst, wilts, rootsMakeUp } = MOVING_LIMITS
    const met = this.stepper.nodes.rootsMoist / rootsMakeUp.value
    if (demand.uptake > 0 && met < wilts.value) this.firstWilting ??= now
    if (demand.uptake > 0 && met < thirst.value) {
      this.firstThirst ??= now
      this.thirsty += by
    }
    while (this.next < this.course.times.length && this.course.times[this.next]! <= now + 1e-9)
      this.take(Math.min(1, 1 - (now - this.course.times[this.next]!) / by), before)
    this.before.onSurface = this.standingAt(this.stepper.column.count - 1)
    this.before.inSaucer = this.standingAt(0)
  }

  /** Depth of free water at a node, cm. */
  private standingAt = (node: number): Centimetres => Math.max(0, this.stepper.head[node]!)

  /** Share of the roots in mix with too little air; counts the hours of each cell. */
  private airlessRoots(by: number): Fraction {
    const { column, roots, water } = this.stepper
    let sum = 0
    for (let c = 0; c < column.cells.length; c++) {
      const i = column.cells[c]!
      const air = column.tables[column.below[i]!]!.totalPorosity - water[i]!
      if (air >= MOVING_LIMITS.airForRoots.value) continue
      sum += roots.share[i]!
      this.course.hoursShortOfAir[c]! += by
    }
    return sum
  }

  /**
   * A picture part of the way through the step just done: all that it shows at the same moment, so that it balances.
   */
  private take(part: number, before: Float64Array): void {
    const { column, water } = this.stepper
    const k = this.next++
    const cells = column.cells.length
    const between = (from: number, to: number) => from + part * (to - from)
    for (let c = 0; c < cells; c++) {
      const i = column.cells[c]!
      this.course.water[k * cells + c] = between(before[i]!, water[i]!)
    }
    this.course.onSurface[k] = between(this.before.onSurface, this.standingAt(column.count - 1))
    this.course.inSaucer[k] = column.outlet === 0 ? between(this.before.inSaucer, this.standingAt(0)) : 0
    for (const name of ['given', 'drained', 'takenUp', 'evaporated', 'overSurface'] as const)
      this.course[name][k] = between(this.before[name], this.sums[name]) / 1000
  }

  finish(given: number, steps: number): Moved {
    const { stepper, sums, course } = this
    const inMix = stepper.stored()
    const standing = stepper.standing()
    const passed = given + sums.drained + sums.takenUp + sums.evaporated + sums.overSurface
    const arrays = Object.values(course).reduce((sum, a) => sum + a.byteLength, 0)
    return {
      course,
      book: {
        atStart: this.start / 1000,
        given: given / 1000,
        takenUp: sums.takenUp / 1000,
        evaporated: sums.evaporated / 1000,
        drained: sums.drained / 1000,
        overSurface: sums.overSurface / 1000,
        inMix: inMix / 1000,
        standing: standing / 1000,
        error: passed > 0 ? this.astray / passed : 0,
      },
      hoursShortOfAir: this.shortOfAir,
      hoursThirsty: this.thirsty,
      firstThirst: this.firstThirst,
      firstWilting: this.firstWilting,
      usedByThirst: this.usedByThirst / 1000,
      effort: { steps, iterations: stepper.iterations, bytes: arrays + stepper.bytes() },
    }
  }
}
