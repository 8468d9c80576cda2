import type { SEVERITIES } from './finding'
import { type Finding } from './finding'
import type { Topic } from './topics'

/** Topics that follow a figure: a change may lessen them before they are gone. */
const BY_FIGURE: ReadonlySet<Topic> = new Set([
  'air-low',
  'air-high',
  'stays-wet',
  'dries-fast',
  'ph-low',
  'ph-high',
  'salts-high',
  'nitrogen-short',
  'nitrogen-none',
  'potassium-short',
  'phosphorus-short',
  'calcium-short',
  'magnesium-short',
  'weight-load',
  'tips-in-wind',
])

/** Notes weigh nothing, what is to be watched one, what is grave three. */
const WEIGHTS = { note: 0, watch: 1, grave: 3 } as const satisfies Record<(typeof SEVERITIES)[number], number>
const weights = (findings: readonly Finding[]) =>
  new Map<Topic, number>(findings.map((f) => [f.topic, WEIGHTS[f.severity]]))

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
function isFarther(before: Finding, after: Finding): boolean {
  const [was, is] = [before, after].map(({ value, limit }) =>
    value === undefined || limit === undefined ? null : Math.abs(value - limit),
  )
  return was !== null && is !== null && was !== undefined && is !== undefined && is > FARTHER * was
}

/**
 * What a change ends or lessens: the topics that weigh less afterwards, the heaviest first, and whether they are gone.
 *
 * @example
 * mendedBy([{ topic: 'ph-low', severity: 'grave' }], []) // [{ topic: 'ph-low', gone: true }]
 */
export function mendedBy(
  before: readonly Finding[],
  after: readonly Finding[],
): { topic: Topic; gone: boolean }[] {
  const is = weights(after)
  return before.flatMap(({ topic, severity }) => {
    const left = is.get(topic) ?? 0
    return left < WEIGHTS[severity] ? [{ topic, gone: left === 0 }] : []
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

/** What is more than a note. */
const isHeavy = ({ severity }: Finding) => severity !== 'note'

/**
 * Is there anything to mend at all? A mix with notes alone is good as it is.
 *
 * @example
 * isGood([{ topic: 'dust', severity: 'note' }]) // true
 */
export const isGood = (findings: readonly Finding[]): boolean => !findings.some(isHeavy)

/**
 * Does something heavy follow a figure, so that a change of the mix may lessen it step by step?
 *
 * @example
 * maySoften([{ topic: 'no-drainage', severity: 'grave' }]) // false
 */
export const maySoften = (findings: readonly Finding[]): boolean =>
  findings.some((f) => isHeavy(f) && BY_FIGURE.has(f.topic))
