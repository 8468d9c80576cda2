import type { Learning } from '../data/learned'
import type { Deviate } from './drawProperty'
import { choleskyOf } from './cholesky'
import { gainOf } from './law'
import { normal, seededRandom, streamOf, type Random } from './random'
import type { DeviatesOf } from './rowsOf'

/** Stream of the readings' own errors. */
const ERRORS_STREAM = 'errors of readings'

const rowOf = (name: string) => name.slice(0, name.indexOf('/'))

/**
 * Draws of deviates, one set after another: `deviatesWith(...)()` is one set. Every row has a stream of its own, so
 * its draws do not hang on its company; with a learning they are moved and narrowed as the readings ask, by Matheron's
 * rule (`Learning`). The same seed gives the same.
 */
export function deviatesWith(learning: Learning | null, seed: number): () => DeviatesOf {
  const streams = new Map<string, Random>()
  const stream = (id: string) => {
    let found = streams.get(id)
    if (!found) streams.set(id, (found = seededRandom(seed, streamOf(id))))
    return found
  }
  if (!learning || learning.slopes.length === 0) return () => (row) => () => normal(stream(row))
  const { names, mean, slopes, noise, spread = 1 } = learning
  const gain = gainOf(learning)
  const root = choleskyOf(noise)
  return () => {
    const xi = new Map<string, number>()
    const learned = new Map<string, number>()
    for (const name of names) xi.set(name, spread * normal(stream(rowOf(name))))
    const e = root.map(() => normal(stream(ERRORS_STREAM)))
    const seen = slopes.map(
      (line, i) =>
        line.reduce((sum, s, j) => sum + s * xi.get(names[j]!)!, 0) +
        root[i]!.reduce((sum, r, k) => sum + r * e[k]!, 0),
    )
    names.forEach((name, j) =>
      learned.set(name, mean[j]! + xi.get(name)! - gain[j]!.reduce((sum, k, i) => sum + k * seen[i]!, 0)),
    )
    return (row): Deviate =>
      (name) =>
        learned.get(`${row}/${name}`) ?? spread * normal(stream(row))
  }
}
