import { succeed, type Outcome } from '@/core/outcome'
import {
  learnedOfDressing,
  learnedOfMaterial,
  learnFrom,
  materialsOf,
  readingsBehind,
  type Learned,
  type LearnedRow,
} from '@/core/ranges'
import type { LearnedShelf } from '../garden/schemas'
import type { LearnRequest } from './batches'

/** What readings teach: the law of what is left open, the rows as they are then, each reading with what was said. */
export interface Taught extends Learned {
  rows: (LearnedRow & { from: string[] })[]
}

/** Five figures of a number: more says nothing, and the garden keeps it. */
const short = (x: number) => Number(x.toPrecision(5))

/** Learns from readings, for a worker. Yields the share done. Errors: those of `learnFrom`. */
export function* teach({ batches, dressings }: LearnRequest): Generator<number, Outcome<Taught>> {
  const learned = yield* learnFrom(batches)
  if (!learned.ok) return learned
  const { learning } = learned.value
  const materials = new Map(batches.flatMap((b) => [...materialsOf(b.input)]))
  const rows = [
    ...[...materials.values()].map((m) => learnedOfMaterial(m, learning)),
    ...dressings.map((d) => learnedOfDressing(d, learning)),
  ].flatMap((row) => (row ? [{ ...row, from: readingsBehind(learned.value, row.id) }] : []))
  return succeed({
    ...learned.value,
    learning: {
      names: learning.names,
      mean: learning.mean.map(short),
      slopes: learning.slopes.map((line) => line.map(short)),
      noise: learning.noise.map((line) => line.map(short)),
      spread: learning.spread,
    },
    rows,
  })
}

/** What was taught as the shelf keeps it. */
export const shelfOfTaught = (
  { learning, taught, rows }: Taught,
  kept: Pick<LearnedShelf, 'without' | 'trusted'>,
  learnedAt: string,
): LearnedShelf => ({
  learnedAt,
  from: taught,
  ...kept,
  learning,
  rows: rows.map((r) => ({ ...r })) as LearnedShelf['rows'],
})
