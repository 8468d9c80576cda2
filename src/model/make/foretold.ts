import type { Entry, MixRecord, Reading } from '../garden/schemas'
import { readingsIn } from '../season/log'

/** A reading beside what was expected of it. */
export interface Foretold {
  id: string
  recordId: string
  jobName: string
  at: string
  kind: Reading['kind']
  expected: number
  read: number
}

/** Every reading at the tub and in the logs that something was expected of, oldest first. */
export const foretoldOf = (
  records: readonly MixRecord[],
  logged: (jobId: string) => readonly Entry[] = () => [],
): Foretold[] =>
  records
    .flatMap((r) =>
      [...r.readings, ...readingsIn(logged(r.jobId))].flatMap(
        ({ id, at, kind, expected, value }): Foretold[] =>
          expected === null
            ? []
            : [{ id, recordId: r.id, jobName: r.jobName, at, kind, expected, read: value }],
      ),
    )
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0))

/** How far readings of one kind lie from what was expected: by how many, on the mean, and how far without sign. */
export interface Miss {
  kind: Reading['kind']
  count: number
  mean: number
  size: number
}

/** The misses by kind; pH in its own units, salts as a share of what was expected. */
export function missesOf(foretold: readonly Foretold[]): Miss[] {
  return (['pH', 'salts'] as const).flatMap((kind): Miss[] => {
    const off = foretold
      .filter((f) => f.kind === kind && (kind === 'pH' || f.expected > 0))
      .map((f) => (kind === 'pH' ? f.read - f.expected : f.read / f.expected - 1))
    if (off.length === 0) return []
    const sum = (of: (x: number) => number) => off.reduce((s, x) => s + of(x), 0) / off.length
    return [{ kind, count: off.length, mean: sum((x) => x), size: sum(Math.abs) }]
  })
}
