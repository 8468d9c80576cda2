import { featuresOf, WIDTH } from '../../src/core/finder/features'
import { Front } from '../../src/core/finder/front'
import { Scorer } from '../../src/core/finder/score'
import type { Candidate, FinderProblem } from '../../src/core/finder'

const all = (list: readonly number[]) => list.reduce((s, p) => s + p, 0)
const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b))

/** Every set of at most `most` of n materials, small sets first, with every whole number of parts up to `maxParts`. */
function eachRecipe(
  n: number,
  most: number,
  maxParts: number,
  take: (which: readonly number[], parts: readonly number[]) => void,
) {
  function deal(which: readonly number[], parts: number[], left: number) {
    if (parts.length === which.length) return take(which, parts)
    const most = left - (which.length - parts.length - 1)
    for (let p = 1; p <= most; p++) {
      parts.push(p)
      deal(which, parts, left - p)
      parts.pop()
    }
  }
  function sets(from: number, which: number[], size: number) {
    if (which.length === size) return deal(which, [], maxParts)
    for (let i = from; i < n; i++) {
      which.push(i)
      sets(i + 1, which, size)
      which.pop()
    }
  }
  for (let size = 1; size <= most; size++) sets(0, [], size)
}

/**
 * The finder written straightforwardly: every recipe of whole parts, in lowest terms, of every set of at most so many
 * materials; each summed from its rows on typed arrays and scored in full, nothing passed over and nothing carried from
 * one recipe to the next. For problems without rules.
 */
export function plainSearch(problem: FinderProblem, most: number, maxParts: number) {
  const { shelf } = problem
  const features = featuresOf(
    problem,
    shelf.map((s) => s.material),
    shelf.map((s) => s.pricePerLitre),
  )
  const scorer = new Scorer(features, problem)
  const names = [...new Set(shelf.map((s) => s.material.material.family))]
  const best = new Map<number, Candidate>()
  const front = new Front()
  const sums = new Float64Array(WIDTH)
  let tried = 0

  function judge(which: readonly number[], parts: readonly number[]) {
    sums.fill(0)
    let present = 0
    let family = 0
    which.forEach((i, j) => {
      for (let k = 0; k < WIDTH; k++) sums[k]! += parts[j]! * features.rows[i * WIDTH + k]!
      present |= features.classes[i]!
      family |= 1 << names.indexOf(shelf[i]!.material.material.family)
    })
    scorer.choose(which, present)
    scorer.packed(sums, all(parts), parts)
    const score = scorer.score(sums)
    const rival = best.get(family)
    const candidate = (): Candidate => ({
      parts: which.map((i, j) => ({ id: shelf[i]!.material.material.id, parts: parts[j]! })),
      score,
      misses: scorer.misses(),
      balance: scorer.balance(),
      figures: { ...scorer.figures },
    })
    const isTie = rival !== undefined && Math.abs(score - rival.score) <= 1e-12
    const wins = () => {
      const inside = Math.round(scorer.balance() * 10) - Math.round(rival!.balance * 10)
      if (inside !== 0) return inside < 0
      const cost = scorer.figures.costPerLitre - rival!.figures.costPerLitre
      if (Math.abs(cost) > 1e-12) return cost < 0
      if (which.length !== rival!.parts.length) return which.length < rival!.parts.length
      return all(parts) < all(rival!.parts.map((p) => p.parts))
    }
    if (!rival || (isTie ? wins() : score < rival.score)) best.set(family, candidate())
    if (!front.beats(scorer.figures.costPerLitre, score)) front.add(candidate())
  }

  eachRecipe(shelf.length, most, maxParts, (which, parts) => {
    tried++
    if (parts.reduce(gcd) === 1) judge(which, parts)
  })
  const families = [...best.values()].sort(
    (a, b) =>
      a.score - b.score ||
      Math.round(a.balance * 10) - Math.round(b.balance * 10) ||
      (a.figures.costPerLitre || Infinity) - (b.figures.costPerLitre || Infinity) ||
      a.parts.length - b.parts.length,
  )
  return { families, front: front.members, tried }
}
