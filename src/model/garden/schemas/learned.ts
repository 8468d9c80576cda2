import { z } from 'zod'
import { GARDEN_LIMITS } from '../limits'
import { id, number } from './basics'

const readingIds = z.array(id).max(GARDEN_LIMITS.learnedReadings.value)
const line = z.array(number).max(GARDEN_LIMITS.learnedNames.value)
const lines = z.array(line).max(GARDEN_LIMITS.learnedReadings.value)

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
    names: z.array(id).max(GARDEN_LIMITS.learnedNames.value),
    mean: line,
    slopes: lines,
    noise: lines,
    /** Times the tables' spread. */
    spread: number.min(1).max(5).optional(),
  }),
  /** Each row as it is now. */
  rows: z
    .array(
      z.object({
        id,
        properties: z
          .array(z.object({ name: z.string().max(60), low: number, value: number, high: number }))
          .max(60),
        sizeShares: z.array(number).max(12).optional(),
        /** Readings that had a say in it. */
        from: readingIds,
      }),
    )
    .max(GARDEN_LIMITS.learnedReadings.value),
})

export type LearnedShelf = z.infer<typeof learnedSchema>
