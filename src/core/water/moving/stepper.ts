import type { Centimetres } from '../../units'
import { Carry, NOTHING_PASSED, type Passed, type WaterNow } from './carry'
import { OPEN_HOLE, type Below, type Column } from './column'
import { TENSIONS } from './hydraulics'
import { MOVING_LIMITS } from './limits'
import { Nodes, type Roots } from './nodes'
import { moistureOver, moistureSlope, surfaceHead } from './surface'
import { thomas } from './thomas'
import type { Demand } from './weather'

/** Depth of water in a saucer that still gives it all up to the air, cm: below it less. */
const LAST_FILM = 0.02
const MOST_ITERATIONS = 14
/** A step is solved when what is out of balance is less than this share of the column. */
const TOLERANCE = 2e-10
/**
 * Where a pond has just run dry Newton's method may swing between the two sides of a corner: so short a step (hours) is
 * then taken with less than this share out of balance, which the book of the water shows.
 */
const [SHORT, LOOSE] = [1e-3, 1e-8]
/** A tension may grow so many times in one iteration: steeper guesses lead astray. */
const FARTHEST = 8
/** Least part of a correction tried. */
const LEAST_PART = 1e-5

/**
 * Moves the water of a column by one step of time after another: Richards' equation in its mixed form, backward
 * differences over two steps (`Carry`), Newton's method on the tensions of all nodes at once.
 *
 *   d(theta)/dt = d/dz [ K (dpsi/dz + 1) ] - uptake,   psi = -tension
 *
 * What is stored and what passes is counted from the same expressions, so that water is neither made nor lost beyond
 * the tolerance, 2e-10 of the volume each step. Conductivity between two cells is the mean of both; next to a node
 * without volume it is that of the side water comes from, for then its tension has one answer. All arrays are made
 * once; a step allocates nothing. Units cm, cm3, hours.
 * Source: Celia, Bouloutas & Zarba 1990, Water Resour. Res. 26:1483-1496 for the mixed form; uptake with Feddes,
 * Kowalik & Zaradny 1978 for its form and Jarvis 1989 for roots that make up for others (both from memory).
 */
export class Stepper {
  readonly nodes: Nodes
  /** Pressure head of each node, cm. */
  readonly head: Float64Array
  /** Water of each node, volume fraction, at the end of the last step. */
  readonly water: Float64Array
  readonly passed: Passed = { ...NOTHING_PASSED }
  iterations = 0
  /** Heads held at the ends, where they are; NaN where they are free. */
  heldBase = NaN
  heldTop = NaN
  private readonly oldHead: Float64Array
  private readonly carry: Carry
  private readonly residual: Float64Array
  private readonly from: Float64Array
  private readonly change: Float64Array
  private readonly lower: Float64Array
  private readonly middle: Float64Array
  private readonly upper: Float64Array
  private readonly whole: number
  /** What is stored on the surface and in the saucer: cm3 for each cm it stands. */
  private readonly saucerArea: number
  private readonly saucerDepth: number

  constructor(
    readonly column: Column,
    below: Below,
    readonly roots: Roots,
  ) {
    const arrays = () => new Float64Array(column.count)
    this.nodes = new Nodes(column, roots)
    this.head = this.nodes.head
    this.water = this.nodes.water
    this.oldHead = arrays()
    this.carry = new Carry(column.count)
    this.moment = { water: this.water, pond: 0, saucer: 0 }
    this.residual = arrays()
    this.from = arrays()
    this.change = arrays()
    this.lower = arrays()
    this.middle = arrays()
    this.upper = arrays()
    this.whole = column.volume.reduce((a, b) => a + b, 0)
    this.saucerArea = below.kind === 'saucer' ? below.area : 0
    this.saucerDepth = below.kind === 'saucer' ? below.depth : 0
    if (below.kind === 'keptWater') this.heldBase = below.height
  }

  /** Sets every node to a tension by its height, cm, and what hangs on it. */
  begin(tensionAt: (height: Centimetres) => Centimetres): void {
    for (let i = 0; i < this.column.count; i++) this.head[i] = -tensionAt(this.column.height[i]!)
    if (!Number.isNaN(this.heldBase)) this.head[0] = this.heldBase
    this.nodes.evaluate()
  }

  /** Bytes of its arrays and tables. */
  bytes(): number {
    const tables = this.column.tables.length * 2 * TENSIONS.count
    return 8 * (19 * this.column.count + tables)
  }
  /** Water in the column itself, cm3. */
  stored(): number {
    let sum = 0
    for (let i = 0; i < this.column.count; i++) sum += this.column.volume[i]! * this.water[i]!
    return sum
  }
  /** Water that stands on the surface and in the saucer, cm3. */
  standing(): number {
    const top = this.column.count - 1
    const onTop = Math.max(0, this.head[top]!) * this.column.surfaceArea
    return (Number.isNaN(this.heldTop) ? onTop : 0) + Math.max(0, this.head[0]!) * this.saucerArea
  }

  /**
   * One step of `hours`. True if it is solved; if not, nothing has changed and the caller tries a shorter one.
   * `changed` where rain, watering or sun has just set in or ended: the step then starts afresh.
   */
  step(hours: number, demand: Demand, changed = false): boolean {
    const { head, oldHead, carry } = this
    oldHead.set(head)
    carry.setOut(hours, this.now(), demand, changed)
    if (changed && Number.isNaN(this.heldTop)) {
      head[this.column.count - 1] = surfaceHead(this.nodes, hours, demand)
      this.nodes.evaluate()
    }
    if (!this.solve(carry.hours, carry.demand)) {
      head.set(oldHead)
      this.nodes.evaluate()
      return false
    }
    carry.arrive(hours, this.now(), demand, this.passed)
    return true
  }

  private readonly moment: WaterNow
  private now(): WaterNow {
    const { moment, head } = this
    moment.pond = Number.isNaN(this.heldTop) ? Math.max(0, head[this.column.count - 1]!) : 0
    moment.saucer = this.saucerArea > 0 ? Math.max(0, head[0]!) : 0
    return moment
  }

  private solve(hours: number, demand: Demand): boolean {
    let off = this.balance(hours, demand)
    for (let iteration = 0; iteration < MOST_ITERATIONS; iteration++) {
      if (off < TOLERANCE * this.whole) return true
      if (!(off < Infinity)) break
      off = this.correct(off, hours, demand)
    }
    return hours < SHORT && off < LOOSE * this.whole
  }

  /** What each node is out of balance by, cm3, and how that hangs on the heads; gives the sum of it all. */
  private balance(hours: number, demand: Demand): number {
    const { count, volume, linkLength, linkArea, surfaceArea, outlet, outletTension } = this.column
    const { head, residual, lower, middle, passed } = this
    const above = this.upper
    const top = count - 1
    for (let i = 0; i < count; i++) {
      residual[i] = volume[i]! * (this.water[i]! - this.carry.start.water[i]!)
      middle[i] = volume[i]! * this.nodes.capacity[i]! + 1e-13
      lower[i] = 0
      above[i] = 0
    }
    for (let i = 0; i < top; i++) {
      const by = linkArea[i]! * hours
      const gradient = (head[i + 1]! - head[i]!) / linkLength[i]! + 1
      // What the conductivity of the upper node counts for, the rest being that of the lower.
      const upper = volume[i]! > 0 && volume[i + 1]! > 0 ? 0.5 : gradient > 0 ? 1 : 0
      const conduct = (1 - upper) * this.nodes.conductAbove[i]! + upper * this.nodes.conductBelow[i + 1]!
      const down = by * conduct * gradient
      const withUpper = by * (conduct / linkLength[i]! + upper * this.nodes.slopeBelow[i + 1]! * gradient)
      const withLower = by * (-conduct / linkLength[i]! + (1 - upper) * this.nodes.slopeAbove[i]! * gradient)
      residual[i]! -= down
      residual[i + 1]! += down
      middle[i]! -= withLower
      above[i] = -withUpper
      middle[i + 1]! += withUpper
      lower[i + 1] = withLower
    }
    this.surface(hours, demand)
    this.saucer(hours, demand)
    this.drinking(hours, demand)
    // The outlet.
    const over = head[outlet]! + outletTension - this.saucerDepth
    passed.drained = 0
    if (over > 0 && over < Infinity && Number.isNaN(this.heldBase)) {
      const hole = OPEN_HOLE * hours * surfaceArea
      passed.drained = hole * over
      residual[outlet]! += passed.drained
      middle[outlet]! += hole
    }
    if (!Number.isNaN(this.heldBase)) passed.drained = -residual[0]!
    this.hold(0, this.heldBase)
    this.hold(top, this.heldTop)
    let sum = 0
    for (let i = 0; i < count; i++) sum += Math.abs(residual[i]!)
    return sum
  }

  /** Ponding, evaporation and run-off at the surface. */
  private surface(hours: number, demand: Demand): void {
    const { head, residual, middle, passed } = this
    const { count, surfaceArea: area, headspace } = this.column
    const top = count - 1
    const pond = Math.max(0, head[top]!)
    residual[top]! += area * (pond - this.carry.start.pond) - hours * demand.arriving
    if (head[top]! > 0) middle[top]! += area
    passed.overSurface = 0
    if (head[top]! > headspace) {
      const rim = OPEN_HOLE * hours * area
      passed.overSurface = rim * (head[top]! - headspace)
      residual[top]! += passed.overSurface
      middle[top]! += rim
    }
    const moist = moistureOver(head[top]!)
    passed.evaporated = hours * demand.evaporation * moist
    residual[top]! += passed.evaporated
    if (head[top]! < 0 && moist > 0) middle[top]! += hours * demand.evaporation * moistureSlope(moist)
  }

  /** A saucer at the base: what it takes, and what it gives off. */
  private saucer(hours: number, demand: Demand): void {
    const { head, residual, middle, passed } = this
    passed.fromSaucer = 0
    if (!(this.saucerArea > 0)) return
    const depth = Math.max(0, head[0]!)
    residual[0]! += this.saucerArea * (depth - this.carry.start.saucer)
    const wet = Math.min(1, depth / LAST_FILM)
    passed.fromSaucer = hours * demand.saucer * wet
    residual[0]! += passed.fromSaucer
    if (depth > 0) middle[0]! += this.saucerArea + (wet < 1 ? (hours * demand.saucer) / LAST_FILM : 0)
  }

  /** What roots take up, and what leaves through walls. */
  private drinking(hours: number, demand: Demand): void {
    const { share } = this.roots
    const { cells } = this.column
    const { passed } = this
    passed.takenUp = 0
    passed.throughWall = 0
    if (demand.uptake <= 0 && demand.wall <= 0) return
    // Roots that stand well drink for those that do not, down to some share of all.
    const uptake = (hours * demand.uptake) / Math.max(this.nodes.rootsAble, MOVING_LIMITS.rootsMakeUp.value)
    const wall = hours * demand.wall
    for (let c = 0; c < cells.length; c++) {
      const i = cells[c]!
      if (share[i]! === 0) continue
      const tension = -this.head[i]!
      const dry = this.nodes.dryness(tension)
      const air = Math.min(1, Math.max(0, this.nodes.air[i]! / MOVING_LIMITS.airForRoots.value))
      const drunk = uptake * share[i]! * air * dry
      const dried = wall * share[i]! * dry
      passed.takenUp += drunk
      passed.throughWall += dried
      this.residual[i]! += drunk + dried
      // More water is drier less (grows what is taken) and has less air (lessens it).
      if (tension > this.roots.easy && dry > 0)
        this.middle[i]! += (share[i]! * (uptake * air + wall)) / (tension * this.nodes.dryingSpan)
      if (air < 1 && tension > 0)
        this.middle[i]! -=
          (uptake * share[i]! * dry * this.nodes.capacity[i]!) / MOVING_LIMITS.airForRoots.value
    }
  }

  /** Keeps the head of an end where it is held. */
  private hold(i: number, at: number): void {
    if (Number.isNaN(at)) return
    this.residual[i] = this.head[i]! - at
    this.lower[i] = 0
    this.upper[i] = 0
    this.middle[i] = 1
  }

  /**
   * Newton's correction, by Thomas' algorithm; where all of it leaves more out of balance than before, as where a pond
   * runs dry, a part of it. Gives what is out of balance after it.
   */
  private correct(off: number, hours: number, demand: Demand): number {
    const { head, from, change, residual, lower, middle, upper } = this
    const n = this.column.count
    thomas({ lower, middle, upper }, residual, change)
    from.set(head)
    let now = Infinity
    for (let part = 1; part > LEAST_PART; part *= 0.4) {
      for (let i = 0; i < n; i++)
        head[i] = Math.max(from[i]! - part * change[i]!, FARTHEST * Math.min(-1, from[i]!))
      this.iterations++
      this.nodes.evaluate()
      now = this.balance(hours, demand)
      if (now < off) return now
    }
    return now
  }
}
