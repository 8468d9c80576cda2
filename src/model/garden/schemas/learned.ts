import { z } from 'zod/mini'
import { GARDEN_LIMITS } from '../limits'
import { id, number } from './basics'

const readingIds = z.array(id).check(z.maxLength(GARDEN_LIMITS.learnedReadings.value))
const line = z.array(number).check(z.maxLength(GARDEN_LIMITS.learnedNames.value))
const lines = z.array(line).check(z.maxLength(GARDEN_LIMITS.learnedReadings.value))

/** What readings have taught of materials, feeds and limes, kept on the shelf. */
export const learnedSchema = z.object({
  learnedAt: z.iso.datetime(),
  /** Readings it was learned from. */
  from: readingIds,
  /** Readings nothing is learned from, because the grower said so. */
  without: readingIds,
  /** Readings that the tables cannot explain and the grower says are right. */
  trusted: readingIds,
  /** The law of what is left open: see `Learning` in core/ranges. */
  learning: z.object({
    names: z.array(id).check(z.maxLength(GARDEN_LIMITS.learnedNames.value)),
    mean: line,
    slopes: lines,
    noise: lines,
    /** Times the tables' spread. */
    spread: z.optional(number.check(z.minimum(1), z.maximum(5))),
  }),
  /** Each row as it is now. */
  rows: z
    .array(
      z.object({
        id,
        properties: z
          .array(
            z.object({ name: z.string().check(z.maxLength(60)), low: number, value: number, high: number }),
          )
          .check(z.maxLength(60)),
        sizeShares: z.optional(z.array(number).check(z.maxLength(12))),
        /** Readings that had a say in it. */
        from: readingIds,
      }),
    )
    .check(z.maxLength(GARDEN_LIMITS.learnedReadings.value)),
})

export type LearnedShelf = z.infer<typeof learnedSchema>
