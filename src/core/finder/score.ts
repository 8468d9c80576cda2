import type { Band } from '../data/types'
import { INTERLOCK } from '../mixing'
import { AT, NODES, type Features } from './features'
import { STEP_OF, TARGET_NAMES, type FinderProblem, type QuickFigures, type TargetName } from './problem'

/** A pH this far below the band is still lifted into it by a sensible dose of lime (about 8 g/L of peat). */
const LIFTED_BY_LIME = 3

/** Distance outside a band. */
const outside = (x: number, band: Band) => (x < band.low ? band.low - x : x > band.high ? x - band.high : 0)

/** Holds candidates against the targets of one problem. One object is made for a search and used over and over. */
export class Scorer {
  readonly figures: QuickFigures = {
    airFilledPorosity: 0,
    easilyAvailableWater: 0,
    drainedToEasy: 0,
    containerCapacity: 0,
    pH: 0,
    electricalConductivity: 0,
    drainedDensity: 0,
    structureLost: 0,
    blendingLoss: 0,
    costPerLitre: 0,
  }
  private readonly bands: (Band | undefined)[]
  private readonly weights: Float64Array
  /** Ends of the bands, by target; beyond every number where there is none. */
  private readonly lows: Float64Array
  private readonly highs: Float64Array
  private readonly pressed: number
  /** Of the materials chosen: how many, their size classes, how soft and heavy they are, how unlike each two. */
  private chosen = 0
  private present = 0
  private readonly soft: number[] = []
  private readonly dense: number[] = []
  private readonly unlike: number[] = []
  /** Of the candidate that `packed` saw last. */
  private scale = 1
  private porosity = 0
  private byStirring = 0
  private byPressing = 0

  constructor(
    private readonly f: Features,
    problem: FinderProblem,
  ) {
    this.pressed = problem.pressed ?? 0
    this.bands = TARGET_NAMES.map((t) => problem.targets[t])
    this.weights = Float64Array.from(TARGET_NAMES, (t) => (problem.weights?.[t] ?? 1) / STEP_OF[t])
    this.lows = Float64Array.from(this.bands, (b) => b?.low ?? -Infinity)
    this.highs = Float64Array.from(this.bands, (b) => b?.high ?? Infinity)
  }

  /**
   * Score of what is linear in the shares, before the packing model: never more than the full score, so a candidate
   * already beaten here need not be looked at further. `sums` are features times parts, `total` the parts.
   */
  bound(sums: Float64Array, total: number): number {
    const pH = sums[AT.bufferedPH]! / sums[AT.buffer]!
    // Loss only concentrates salts.
    const salts = sums[AT.salts]! / sums[AT.porosity]!
    let score = this.missPH(pH) + this.miss(5, sums[AT.lost]! / total)
    if (salts > this.highs[3]!) score += this.miss(3, salts)
    return score
  }

  private missPH(pH: number): number {
    const high = this.highs[2]!
    const low = this.lows[2]! - LIFTED_BY_LIME
    return (pH > high ? pH - high : pH < low ? low - pH : 0) * this.weights[2]!
  }

  /** Takes up the materials of the candidates to come: their rows, and the size classes any of them has. */
  choose(which: readonly number[], present: number): void {
    const { compressibility, density } = this.f
    this.chosen = which.length
    this.present = present
    for (let j = 0, pair = 0; j < which.length; j++) {
      const soft = compressibility[which[j]!]!
      this.soft[j] = soft
      this.dense[j] = density[which[j]!]!
      for (let l = 0; l < j; l++) this.unlike[pair++] = Math.abs(soft - this.soft[l]!)
    }
  }

  /** What stirring loses of the loose volume, as in `blend`. */
  private stirredLoss(sums: Float64Array, total: number, parts: readonly number[]): number {
    const { present, chosen, soft, dense, unlike } = this
    let crowd = 0
    for (let k = 0; k < 8; k++)
      if (present & (1 << k) && sums[AT.crowding + k]! > crowd) crowd = sums[AT.crowding + k]!
    const packing = Math.max(0, 1 - crowd / total)
    const mean = sums[AT.density]! / total
    let squeezed = 0
    let sunk = 0
    for (let j = 0, pair = 0; j < chosen; j++) {
      const lighter = mean - dense[j]!
      if (lighter > 0) squeezed += parts[j]! * soft[j]! * lighter
      for (let l = 0; l < j; l++) sunk += parts[j]! * parts[l]! * unlike[pair++]!
    }
    const givesWay = 1 - (1 - Math.min(squeezed / total, 0.3)) * (1 - (INTERLOCK * sunk) / total ** 2)
    return 1 - (1 - packing) * (1 - givesWay)
  }

  /**
   * Works out what packing decides, and answers with what the score is at least: all of it but air and the weight of
   * water. `score` goes on from here. `sums` may lack the water by depth;
   * `parts` are those of the materials chosen.
   */
  packed(sums: Float64Array, total: number, parts: readonly number[]): number {
    const out = this.figures
    const pores = sums[AT.porosity]! / total
    const most = (pores - 0.05) / 0.95
    const stirred = Math.min(this.stirredLoss(sums, total, parts), most)
    const loss = Math.min(1 - (1 - stirred) * (1 - this.pressed), most)
    const scale = 1 / (total * (1 - loss))
    const porosity = (pores - loss) / (1 - loss)
    const fine = sums[AT.fine]! * scale
    const narrow = sums[AT.narrow]! * scale
    const full = pores * total * scale
    const byStirring = Math.min(1, (stirred * total * scale) / Math.max(full - fine, 1e-9))
    this.scale = scale
    this.porosity = porosity
    this.byStirring = byStirring
    this.byPressing = Math.min(
      1 - byStirring,
      ((loss - stirred) * total * scale) / Math.max(full - narrow, 1e-9),
    )
    const [at10, at50] = [Math.min(narrow - byStirring * (narrow - fine), porosity), Math.min(fine, porosity)]
    out.easilyAvailableWater = at10 - at50
    out.pH = sums[AT.bufferedPH]! / sums[AT.buffer]!
    out.electricalConductivity = sums[AT.salts]! / total / (pores - loss)
    out.structureLost = sums[AT.lost]! / total
    out.blendingLoss = stirred
    out.costPerLitre = sums[AT.cost]! / (total * (1 - stirred))
    let score = this.missPH(out.pH)
    if (!this.f.inGround) score += this.miss(1, out.easilyAvailableWater)
    return score + this.miss(3, out.electricalConductivity) + this.miss(5, out.structureLost)
  }

  /** What a figure adds to the score by its target's place; nothing where it has no band. */
  private miss(t: number, x: number): number {
    const low = this.lows[t]!
    const high = this.highs[t]!
    return x < low ? (low - x) * this.weights[t]! : x > high ? (x - high) * this.weights[t]! : 0
  }

  /**
   * Full score of a candidate that `packed` has seen; `figures` holds its numbers afterwards. The same sums as `blend`
   * and `containerProfile`, in another order.
   */
  score(sums: Float64Array): number {
    const { f, scale, porosity, byStirring, byPressing } = this
    const easy = Math.min(sums[AT.easy]! * scale, porosity)
    const fine = sums[AT.fine]! * scale
    const narrow = sums[AT.narrow]! * scale
    let water = f.foot * porosity
    let available = f.foot * (porosity - easy)
    for (let k = 0; k < NODES; k++) {
      const loose = sums[AT.water + k]! * scale
      // The loose mix is wetter at a lower tension, so what is above these waters is below those tensions.
      let held = loose
      if (loose > fine) held -= byStirring * (loose - fine)
      if (loose > narrow) held -= byPressing * (loose - narrow)
      const w = held < porosity ? held : porosity
      water += f.depthWeights[k]! * w
      if (w > easy) available += f.depthWeights[k]! * (w - easy)
    }
    const out = this.figures
    out.airFilledPorosity = porosity - water
    out.drainedToEasy = available
    if (f.inGround) out.easilyAvailableWater = available
    out.containerCapacity = water
    out.drainedDensity = sums[AT.density]! * scale + water
    return (
      this.missPH(out.pH) +
      this.miss(0, out.airFilledPorosity) +
      this.miss(1, out.easilyAvailableWater) +
      this.miss(3, out.electricalConductivity) +
      this.miss(4, out.drainedDensity) +
      this.miss(5, out.structureLost) +
      this.miss(6, out.drainedToEasy)
    )
  }

  /**
   * Mean distance of air and easy water from the middles of their bands, in half widths: of recipes that miss
   * nothing, the one nearest the middle bears most of what bags and hands differ by. 0 where neither has a band.
   */
  balance(): number {
    let sum = 0
    let count = 0
    for (const t of [0, 1] as const) {
      const band = this.bands[t]
      if (!band || !(band.high - band.low > 0)) continue
      sum +=
        Math.abs(this.figures[TARGET_NAMES[t]!] - (band.low + band.high) / 2) / ((band.high - band.low) / 2)
      count++
    }
    return count === 0 ? 0 : sum / count
  }

  /** What each target adds to the score of the figures last worked out. */
  misses(): Partial<Record<TargetName, number>> {
    const misses: Partial<Record<TargetName, number>> = {}
    TARGET_NAMES.forEach((name, t) => {
      const band = this.bands[t]
      if (!band) return
      const miss =
        t === 2 ? this.missPH(this.figures.pH) : outside(this.figures[name], band) * this.weights[t]!
      if (miss > 0) misses[name] = miss
    })
    return misses
  }
}
