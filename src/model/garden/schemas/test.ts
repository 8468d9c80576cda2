import { z } from 'zod/mini'
import { FIELD_TESTS } from '@/core/fieldTests/kinds'
import { GARDEN_LIMITS, LONGEST_RECIPE_NOTE } from '../limits'
import { id, name, number, text } from './basics'

/** A field test: of a batch or bed of a job, or of one material alone. */
export const testSchema = z.object({
  id,
  test: z.enum(FIELD_TESTS),
  jobId: z.nullable(id),
  /** The bed of the job it was taken from; null for the mix as made. */
  fillId: z.nullable(id),
  /** The material tested alone; null for a mix. */
  materialId: z.nullable(id),
  startedAt: z.iso.datetime(),
  /** Null while it is going on. */
  finishedAt: z.nullable(z.iso.datetime()),
  /** Steps done, by their place. */
  doneSteps: z.array(z.int().check(z.minimum(0))).check(z.maxLength(20)),
  timers: z
    .array(z.object({ id, label: name, endsAt: z.iso.datetime() }))
    .check(z.maxLength(GARDEN_LIMITS.timers.value)),
  /** What was read, each repeat by itself, by the fields of the test and in their units. */
  repeats: z
    .array(z.record(z.string().check(z.maxLength(40)), number))
    .check(z.minLength(1), z.maxLength(GARDEN_LIMITS.repeats.value)),
  /** pH read with paper strips. */
  strips: z.boolean(),
  /** What was to be expected on the day, by figure; core units. */
  expected: z.record(z.string().check(z.maxLength(40)), number),
  note: text(LONGEST_RECIPE_NOTE),
})

export type Test = z.infer<typeof testSchema>
