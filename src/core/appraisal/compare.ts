import type { SEVERITIES } from './finding'
import { type Finding } from './finding'
import type { Topic } from './topics'

/** Notes weigh nothing, what is to be watched one, what is grave three. */
const WEIGHTS = { note: 0, watch: 1, grave: 3 } as const satisfies Record<(typeof SEVERITIES)[number], number>
const weights = (findings: readonly Finding[]) =>
  new Map<Topic, number>(findings.map((f) => [f.topic, WEIGHTS[f.severity]]))

/** What is more than a note. */
const isHeavy = ({ severity }: Finding) => severity !== 'note'

const gravesIn = (findings: readonly Finding[]) => findings.filter((f) => f.severity === 'grave')

/**
 * Does something grave go, none come, and is there less to say in all? Then something to watch may come with it.
 *
 * @example
 * outweighs([{ topic: 'ph-low', severity: 'grave' }], [{ topic: 'magnesium-short', severity: 'watch' }]) // true
 */
export function outweighs(before: readonly Finding[], after: readonly Finding[]): boolean {
  const graves = new Set(gravesIn(before).map((f) => f.topic))
  const left = gravesIn(after)
  return (
    left.length < graves.size && left.every((f) => graves.has(f.topic)) && burdenOf(after) < burdenOf(before)
  )
}

/**
 * Does a change leave something that weighs more than before, or a figure farther from its limit? Errors: none.
 *
 * @example
 * leavesGraver([], [{ topic: 'ph-low', severity: 'watch' }]) // true
 */
export function leavesGraver(before: readonly Finding[], after: readonly Finding[]): boolean {
  const was = new Map(before.map((f) => [f.topic, f]))
  return after.some((f) => {
    const then = was.get(f.topic)
    const weight = WEIGHTS[f.severity]
    const before = then ? WEIGHTS[then.severity] : 0
    return weight > before || (then !== undefined && weight > 0 && weight === before && isFarther(then, f))
  })
}

/** A figure so much farther from its limit is worse, though it is called the same. Source: our assumption. */
const FARTHER = 1.1
const distanceOf = ({ value, limit }: Finding): number | null =>
  value === undefined || limit === undefined ? null : Math.abs(value - limit)
function isFarther(before: Finding, after: Finding): boolean {
  const [was, is] = [distanceOf(before), distanceOf(after)]
  return was !== null && is !== null && is > FARTHER * was
}

/**
 * What a change ends or lessens: the topics that weigh less afterwards, or whose figure is a tenth nearer its limit,
 * the heaviest first; and whether they are gone.
 *
 * @example
 * mendedBy([{ topic: 'ph-low', severity: 'grave' }], []) // [{ topic: 'ph-low', gone: true }]
 */
export function mendedBy(
  before: readonly Finding[],
  after: readonly Finding[],
): { topic: Topic; gone: boolean }[] {
  const is = new Map(after.map((f) => [f.topic, f]))
  return before.filter(isHeavy).flatMap((f) => {
    const then = is.get(f.topic)
    const left = then ? WEIGHTS[then.severity] : 0
    const isLess = left < WEIGHTS[f.severity] || (then !== undefined && isFarther(then, f))
    return isLess ? [{ topic: f.topic, gone: left === 0 }] : []
  })
}

/**
 * How much a change takes off what there is to say: one for a thing to watch that is gone, three for a grave one.
 *
 * @example
 * easedBy([{ topic: 'ph-low', severity: 'grave' }], [{ topic: 'ph-low', severity: 'watch' }]) // 2
 */
export function easedBy(before: readonly Finding[], after: readonly Finding[]): number {
  const [was, is] = [weights(before), weights(after)]
  return [...was].reduce((sum, [topic, weight]) => sum + weight - (is.get(topic) ?? 0), 0)
}

/**
 * What findings weigh together: one for each thing to watch, three for each that is grave.
 *
 * @example
 * burdenOf([{ topic: 'ph-low', severity: 'grave' }, { topic: 'dust', severity: 'note' }]) // 3
 */
export const burdenOf = (findings: readonly Finding[]): number =>
  findings.reduce((sum, { severity }) => sum + WEIGHTS[severity], 0)

/**
 * Is there anything to mend at all? A mix with notes alone is good as it is.
 *
 * @example
 * isGood([{ topic: 'dust', severity: 'note' }]) // true
 */
export const isGood = (findings: readonly Finding[]): boolean => !findings.some(isHeavy)
