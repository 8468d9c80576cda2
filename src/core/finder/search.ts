import { toEnd } from '../toEnd'
import { fail, succeed, type Outcome } from '../outcome'
import { Framing } from './framing'
import { AT, featuresOf, WIDTH, type Features } from './features'
import { Front } from './front'
import {
  GRADED,
  ruledOut,
  type Candidate,
  type FinderProblem,
  type FinderProgress,
  type FinderResult,
  type Rules,
  type ShelfMaterial,
} from './problem'
import { Scorer } from './score'
import { candidateCount, gcd, sets } from './sets'

/** Parts in all that hands measure without losing count. Source: common practice. */
export const USUAL_MOST_PARTS = 8
export const USUAL_MOST_MATERIALS = 5
/** Candidates between two reports: some ten milliseconds on a small machine. */
const REPORT_EVERY = 20_000

/**
 * Materials the rules allow, or why there is nothing to search.
 * Errors: nothing is allowed; rules that contradict each other.
 */
export function allowedOf(problem: FinderProblem): Outcome<{ shelf: ShelfMaterial[]; must: number[] }> {
  const rules = problem.rules ?? {}
  const shelf = problem.shelf.filter(
    (s) => !ruledOut(s.material, rules.without ?? []) && !rules.mustNotUse?.includes(s.material.material.id),
  )
  if (shelf.length === 0) return fail({ code: 'nothing-to-choose-from' })
  const ids = shelf.map((s) => s.material.material.id)
  const wanted = new Set([...(rules.mustUse ?? []), ...(rules.useUp ?? [])])
  for (const id of wanted) if (!ids.includes(id)) return fail({ code: 'rules-contradict', material: id })
  const must = [...wanted].map((id) => ids.indexOf(id))
  if (must.length > (rules.maxMaterials ?? USUAL_MOST_MATERIALS))
    return fail({ code: 'rules-contradict', material: ids[must.at(-1)!]! })
  return succeed({ shelf, must })
}

/** Everything one walk over all recipes needs to hand. */
class Walk {
  readonly best = new Map<number, Candidate>()
  readonly front = new Front()
  tried = 0
  /** The rows of the materials of the set being dealt, and their parts. */
  readonly which: number[] = []
  readonly parts: number[] = []
  /** The best of these families so far. */
  private rival: Candidate | undefined
  private family = 0
  /** Of the last material of a set: where its row begins, and the sums of the others. */
  private lastRow = 0
  private before: Float64Array = new Float64Array(0)
  private readonly sums: Float64Array[]
  private readonly familyBit: number[]

  private readonly f: Features
  private readonly scorer: Scorer
  private readonly shelf: readonly ShelfMaterial[]
  private readonly rules: Rules
  private readonly volume: number
  private readonly maxParts: number
  private readonly framing: Framing | null

  constructor(of: {
    features: Features
    scorer: Scorer
    shelf: readonly ShelfMaterial[]
    rules: Rules
    frames?: FinderProblem['frames']
    volume: number
    maxParts: number
    maxMaterials: number
  }) {
    this.f = of.features
    this.scorer = of.scorer
    this.shelf = of.shelf
    this.rules = of.rules
    this.volume = of.volume
    this.maxParts = of.maxParts
    this.sums = Array.from({ length: of.maxMaterials + 1 }, () => new Float64Array(WIDTH))
    this.framing = of.frames ? new Framing(of.frames, of.shelf) : null
    const families = [...new Set(of.shelf.map((s) => s.material.material.family))]
    this.familyBit = of.shelf.map((s) => 1 << families.indexOf(s.material.material.family))
  }

  /** All compositions of one set of materials, in lowest terms. */
  compositions(which: readonly number[]): void {
    if (this.framing?.misses(which)) return
    this.which.length = 0
    this.which.push(...which)
    let present = 0
    this.family = 0
    for (const i of which) {
      present |= this.f.classes[i]!
      this.family |= this.familyBit[i]!
    }
    this.scorer.choose(which, present)
    this.rival = this.best.get(this.family)
    this.deal(0, this.maxParts, 0)
  }

  private deal(at: number, left: number, divisor: number): void {
    const last = at === this.which.length - 1
    const most = left - (this.which.length - 1 - at)
    if (last) {
      this.dealLast(at, left, divisor)
      return
    }
    const row = this.which[at]! * WIDTH
    const now = this.sums[at + 1]!
    const { rows } = this.f
    now.set(this.sums[at]!)
    for (let p = 1; p <= most; p++) {
      for (let k = 0; k < WIDTH; k++) now[k]! += rows[row + k]!
      this.parts[at] = p
      this.deal(at + 1, left - p, gcd(divisor, p))
    }
  }

  /** The last material of a set, whose sums are taken only as far as a candidate is looked at. */
  private dealLast(at: number, left: number, divisor: number): void {
    this.lastRow = this.which[at]! * WIDTH
    this.before = this.sums[at]!
    for (let p = 1; p <= left; p++) {
      this.tried++
      this.parts[at] = p
      if (gcd(divisor, p) === 1) this.judge(this.sums[at + 1]!, this.maxParts - left + p, p)
    }
  }

  /** Sums from one place of the row to another, with so many parts of the last material. */
  private sum(into: Float64Array, from: number, to: number, p: number): void {
    const { before, lastRow } = this
    const { rows } = this.f
    for (let k = from; k < to; k++) into[k] = before[k]! + p * rows[lastRow + k]!
  }

  private judge(sums: Float64Array, total: number, p: number): void {
    if (this.framing && !this.framing.holds(this.parts, total)) return
    const { rival } = this
    this.sum(sums, 0, AT.crowding, p)
    // Cost per litre only rises with what blending loses.
    const cost = sums[AT.cost]! / total
    if (rival && this.isBeaten(this.scorer.bound(sums, total), rival, cost)) return
    this.sum(sums, AT.crowding, AT.water, p)
    const least = this.scorer.packed(sums, total, this.parts)
    if (rival && this.isBeaten(least, rival, this.scorer.figures.costPerLitre)) return
    this.sum(sums, AT.water, WIDTH, p)
    const score = this.scorer.score(sums)
    const { figures } = this.scorer
    const better =
      !rival || score < rival.score - 1e-12 || (score <= rival.score + 1e-12 && this.betterTie(rival))
    const ahead = figures.costPerLitre >= 0 && !this.front.beats(figures.costPerLitre, score)
    if (!(better || ahead) || !this.keepsRules(total)) return
    const candidate: Candidate = {
      parts: this.which.map((i, j) => ({ id: this.shelf[i]!.material.material.id, parts: this.parts[j]! })),
      score,
      misses: this.scorer.misses(),
      balance: this.scorer.balance(),
      figures: { ...figures },
    }
    if (better) {
      this.rival = candidate
      this.best.set(this.family, candidate)
    }
    if (ahead) this.front.add(candidate)
  }

  /** Is a candidate of at least this score and cost beaten by its rival, and by the front? */
  private isBeaten(least: number, rival: Candidate, cost: number): boolean {
    // Sums taken in another order differ in their last digits.
    const score = least - 1e-9
    return score > rival.score && (!(cost >= 0) || this.front.beats(cost, score))
  }

  /**
   * Of two equally good, the one well inside its bands, then the cheaper, then the one of fewer materials, then of
   * fewer parts.
   */
  private betterTie(rival: Candidate): boolean {
    const inside = Math.round(this.scorer.balance() * 10) - Math.round(rival.balance * 10)
    if (inside !== 0) return inside < 0
    const cost = this.scorer.figures.costPerLitre
    const theirs = rival.figures.costPerLitre
    if (Math.abs(cost - theirs) > 1e-12) return cost < theirs
    if (this.which.length !== rival.parts.length) return this.which.length < rival.parts.length
    const sum = (list: readonly number[]) => list.reduce((s, p) => s + p, 0)
    return sum(this.parts.slice(0, this.which.length)) < sum(rival.parts.map((p) => p.parts))
  }

  private keepsRules(total: number): boolean {
    const { maxCostPerLitre, maxPacks, useUp } = this.rules
    const { costPerLitre, blendingLoss } = this.scorer.figures
    if (maxCostPerLitre !== undefined && !(costPerLitre <= maxCostPerLitre)) return false
    if (maxPacks === undefined && !useUp?.length) return true
    let packs = 0
    for (let j = 0; j < this.which.length; j++) {
      const item = this.shelf[this.which[j]!]!
      const need = ((this.parts[j]! / total) * this.volume) / (1 - blendingLoss)
      packs += Math.ceil(Math.max(0, need - item.stock) / item.packLitres - 1e-9)
      if (useUp?.includes(item.material.material.id) && need < item.stock - 1e-9) return false
    }
    return maxPacks === undefined || packs <= maxPacks
  }
}

/**
 * Tries every recipe of whole parts, in lowest terms, of every set of materials the rules allow, and keeps the best
 * of each family of materials and the front of cost against score. Nothing is sampled: the answer is the best there
 * is on this grid.
 *
 * Whole parts of the smallest measure, so that twelve halves are six parts. A generator: reports progress every
 * 20,000 recipes, for showing and for cancelling between; where `isEnough` says so after one, it ends with what it
 * has by then (small sets of materials are tried first). Errors: nothing allowed; rules that contradict each other.
 * Source: exhaustive search; a candidate is passed over only where a lower bound of its score and cost is already
 * beaten.
 */
export function* search(
  problem: FinderProblem,
  isEnough: () => boolean = () => false,
): Generator<FinderProgress, Outcome<FinderResult>> {
  const allowed = allowedOf(problem)
  if (!allowed.ok) return allowed
  const { shelf, must } = allowed.value
  const rules = problem.rules ?? {}
  const most = Math.min(rules.maxMaterials ?? USUAL_MOST_MATERIALS, 6)
  const parts = Math.min(rules.maxParts ?? USUAL_MOST_PARTS, 24)
  const features = featuresOf(
    problem,
    shelf.map((s) => s.material),
    shelf.map((s) => s.pricePerLitre),
  )
  const scorer = new Scorer(features, problem)
  const walk = new Walk({
    features,
    scorer,
    shelf,
    rules,
    frames: problem.frames,
    volume: problem.volume ?? 0,
    maxParts: parts,
    maxMaterials: Math.min(most, shelf.length),
  })
  const total = candidateCount(shelf.length, Math.min(most, shelf.length), parts, must.length)
  const ranked = () =>
    [...walk.best.values()].sort(
      (a, b) => a.score - b.score || Math.round(a.balance * 10) - Math.round(b.balance * 10) || byCost(a, b),
    )
  let report = 0
  let complete = true
  const family = shelf.map((s) => s.material.material.family)
  const kinds = (which: readonly number[]) => new Set(which.map((i) => family[i])).size
  const hasTwoGrades = (which: readonly number[]) => {
    const graded = which.filter((i) => GRADED.has(family[i]!) && !must.includes(i)).map((i) => family[i]!)
    return new Set(graded).size < graded.length
  }
  // Nobody can be asked for more kinds than there are.
  const least = Math.min(rules.minFamilies ?? 1, most, new Set(family).size)
  for (const which of sets(shelf.length, most, must)) {
    if (least > 1 && kinds(which) < least) continue
    if (rules.oneGrade && hasTwoGrades(which)) continue
    walk.compositions(which)
    if (walk.tried < report) continue
    report = walk.tried + REPORT_EVERY
    yield { tried: walk.tried, total, best: ranked()[0] ?? null }
    if (!isEnough()) continue
    complete = false
    break
  }
  return succeed({
    families: ranked(),
    front: walk.front.members,
    tried: walk.tried,
    complete,
    allowed: shelf.map((s) => s.material.material.id),
  })
}

const byCost = (a: Candidate, b: Candidate) =>
  (a.figures.costPerLitre || Infinity) - (b.figures.costPerLitre || Infinity) ||
  a.parts.length - b.parts.length

/**
 * Runs a search to its end in one go.
 * Errors: those of `search`.
 */
export function searchAtOnce(problem: FinderProblem): Outcome<FinderResult> {
  return toEnd(search(problem))
}
