import type { Band } from '../data/types'
import { INTERLOCK } from '../mixing'
import { AT, NODES, type Features } from './features'
import { STEP_OF, TARGET_NAMES, type FinderProblem, type QuickFigures, type TargetName } from './problem'

/** A pH this far below the band is still lifted into it by a sensible dose of lime (about 8 g/L of peat). */
const LIFTED_BY_LIME = 3

/** Distance outside a band. */
const outside = (x: number, band: Band) => (x < band.low ? band.low - x : x > band.high ? x - band.high : 0)

/** Rows of a candidate's materials, and the parts of each. */
interface Chosen {
  which: readonly number[]
  parts: readonly number[]
}

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
  private readonly weights: number[]
  private readonly pressed: number

  constructor(
    private readonly f: Features,
    problem: FinderProblem,
  ) {
    this.pressed = problem.pressed ?? 0
    this.bands = TARGET_NAMES.map((t) => problem.targets[t])
    this.weights = TARGET_NAMES.map((t) => (problem.weights?.[t] ?? 1) / STEP_OF[t])
  }

  /**
   * Score of what is linear in the shares, before the packing model: never more than the full score, so a candidate
   * already beaten here need not be looked at further. `sums` are features times parts, `total` the parts.
   */
  bound(sums: Float64Array, total: number): number {
    const pH = sums[AT.bufferedPH]! / sums[AT.buffer]!
    // Loss only concentrates salts.
    const salts = sums[AT.salts]! / sums[AT.porosity]!
    let score = this.missPH(pH)
    const band = this.bands[3]
    if (band && salts > band.high) score += (salts - band.high) * this.weights[3]!
    const lost = this.bands[5]
    if (lost) score += outside(sums[AT.lost]! / total, lost) * this.weights[5]!
    return score
  }

  private missPH(pH: number): number {
    const band = this.bands[2]
    if (!band) return 0
    const low = band.low - LIFTED_BY_LIME
    return (pH > band.high ? pH - band.high : pH < low ? low - pH : 0) * this.weights[2]!
  }

  /** What stirring loses of the loose volume, as in `blend`. */
  private stirredLoss(sums: Float64Array, total: number, { which, parts }: Chosen, present: number): number {
    const f = this.f
    let crowd = 0
    for (let k = 0; k < 8; k++) if (present & (1 << k) && sums[k]! > crowd) crowd = sums[k]!
    const packing = Math.max(0, 1 - crowd / total)
    const mean = sums[AT.density]! / total
    let squeezed = 0
    let sunk = 0
    for (let j = 0; j < which.length; j++) {
      const i = which[j]!
      const soft = f.compressibility[i]!
      const lighter = mean - f.density[i]!
      if (lighter > 0) squeezed += parts[j]! * soft * lighter
      for (let l = 0; l < j; l++)
        sunk += parts[j]! * parts[l]! * Math.abs(soft - f.compressibility[which[l]!]!)
    }
    const givesWay = 1 - (1 - Math.min(squeezed / total, 0.3)) * (1 - (INTERLOCK * sunk) / total ** 2)
    return 1 - (1 - packing) * (1 - givesWay)
  }

  /**
   * Full score of a candidate; `figures` holds its numbers afterwards. `which` are the rows of its materials, `parts`
   * theirs, `present` the size classes any of them has. The same sums as `blend` and `containerProfile`, in another
   * order.
   */
  score(sums: Float64Array, total: number, { which, parts }: Chosen, present: number): number {
    const f = this.f
    const pores = sums[AT.porosity]! / total
    const most = (pores - 0.05) / 0.95
    const stirred = Math.min(this.stirredLoss(sums, total, { which, parts }, present), most)
    const loss = Math.min(1 - (1 - stirred) * (1 - this.pressed), most)
    const scale = 1 / (total * (1 - loss))
    const porosity = (pores - loss) / (1 - loss)
    const easy = Math.min(sums[AT.easy]! * scale, porosity)
    const fine = sums[AT.fine]! * scale
    const narrow = sums[AT.narrow]! * scale
    const full = pores * total * scale
    const byStirring = Math.min(1, (stirred * total * scale) / Math.max(full - fine, 1e-9))
    const byPressing = Math.min(
      1 - byStirring,
      ((loss - stirred) * total * scale) / Math.max(full - narrow, 1e-9),
    )
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
    const [at10, at50] = [Math.min(narrow - byStirring * (narrow - fine), porosity), Math.min(fine, porosity)]
    out.drainedToEasy = available
    out.easilyAvailableWater = f.inGround ? available : at10 - at50
    out.containerCapacity = water
    out.pH = sums[AT.bufferedPH]! / sums[AT.buffer]!
    out.electricalConductivity = sums[AT.salts]! / total / (pores - loss)
    out.drainedDensity = sums[AT.density]! * scale + water
    out.structureLost = sums[AT.lost]! / total
    out.blendingLoss = stirred
    out.costPerLitre = sums[AT.cost]! / (total * (1 - stirred))
    let score = this.missPH(out.pH)
    for (let t = 0; t < TARGET_NAMES.length; t++) {
      const band = this.bands[t]
      if (band && t !== 2) score += outside(out[TARGET_NAMES[t]!], band) * this.weights[t]!
    }
    return score
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
