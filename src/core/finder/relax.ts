import { succeed, type Outcome } from '../outcome'
import type { Candidate, FinderProblem, Rules, TargetName, FinderProgress } from './problem'
import { search } from './search'

/** Something a grower could give up, and the best there is without it. */
export interface Relaxation {
  givenUp: { kind: 'rule'; rule: keyof Rules; what: string | number } | { kind: 'target'; target: TargetName }
  best: Candidate
  /** Score before less score after. */
  gain: number
}

/** Parts used while asking what stands in the way: coarser than a real search, twenty times quicker. */
const COARSE_PARTS = 8
/** Steps outside its bands that giving something up must save, to be offered. Our assumption. */
const WORTH_IT = 0.1

/** Every problem that is one wish shorter. */
function* easier(
  problem: FinderProblem,
): Generator<{ givenUp: Relaxation['givenUp']; problem: FinderProblem }> {
  const rules = problem.rules ?? {}
  for (const rule of ['mustUse', 'mustNotUse', 'without', 'useUp'] as const)
    for (const what of rules[rule] ?? [])
      yield {
        givenUp: { kind: 'rule', rule, what },
        problem: { ...problem, rules: { ...rules, [rule]: (rules[rule] ?? []).filter((x) => x !== what) } },
      }
  for (const rule of ['maxCostPerLitre', 'maxPacks', 'maxMaterials'] as const)
    if (rules[rule] !== undefined)
      yield {
        givenUp: { kind: 'rule', rule, what: rules[rule] },
        problem: { ...problem, rules: { ...rules, [rule]: undefined } },
      }
  for (const target of Object.keys(problem.targets) as TargetName[])
    yield {
      givenUp: { kind: 'target', target },
      problem: { ...problem, targets: { ...problem.targets, [target]: undefined } },
    }
}

/**
 * What stands in the way when nothing meets every wish. Each rule and each target in turn is given up, and a coarse
 * search without it gives its best mix; the greatest gain comes first. When a target is given up, only the gain on
 * the others counts: its own miss is left out of the comparison. Gains under a tenth of a step are left out. Yields
 * progress of the searches. Errors: those of `search` for the problem as it stands, unless it is a rule that leaves
 * nothing: then that is what is given up.
 */
export function* inTheWay(problem: FinderProblem): Generator<FinderProgress, Outcome<Relaxation[]>> {
  const coarse = (p: FinderProblem): FinderProblem => ({
    ...p,
    rules: { ...p.rules, maxParts: Math.min(p.rules?.maxParts ?? COARSE_PARTS, COARSE_PARTS) },
  })
  const asItIs = yield* search(coarse(problem))
  const found: Relaxation[] = []
  const now = asItIs.ok ? asItIs.value.families[0] : undefined
  for (const { givenUp, problem: other } of easier(problem)) {
    const answer = yield* search(coarse(other))
    const best = answer.ok ? answer.value.families[0] : undefined
    if (!best) continue
    const own = givenUp.kind === 'target' ? (now?.misses[givenUp.target] ?? 0) : 0
    const gain = now ? now.score - own - best.score : Infinity
    if (gain > WORTH_IT) found.push({ givenUp, best, gain })
  }
  if (!asItIs.ok && found.length === 0) return asItIs
  return succeed(found.sort((a, b) => b.gain - a.gain))
}
