import { z } from 'zod'
import { FIELD_TESTS } from '@/core/fieldTests/kinds'
import { GARDEN_LIMITS, LONGEST_RECIPE_NOTE } from '../limits'
import { id, name, number, text } from './basics'

/** A field test: of a batch or bed of a job, or of one material alone. */
export const testSchema = z.object({
  id,
  test: z.enum(FIELD_TESTS),
  jobId: id.nullable(),
  /** The bed of the job it was taken from; null for the mix as made. */
  fillId: id.nullable(),
  /** The material tested alone; null for a mix. */
  materialId: id.nullable(),
  startedAt: z.iso.datetime(),
  /** Null while it is going on. */
  finishedAt: z.iso.datetime().nullable(),
  /** Steps done, by their place. */
  doneSteps: z.array(z.int().min(0)).max(20),
  timers: z.array(z.object({ id, label: name, endsAt: z.iso.datetime() })).max(GARDEN_LIMITS.timers.value),
  /** What was read, each repeat by itself, by the fields of the test and in their units. */
  repeats: z
    .array(z.record(z.string().max(40), number))
    .min(1)
    .max(GARDEN_LIMITS.repeats.value),
  /** pH read with paper strips. */
  strips: z.boolean(),
  /** What was to be expected on the day, by figure; core units. */
  expected: z.record(z.string().max(40), number),
  note: text(LONGEST_RECIPE_NOTE),
})

export type Test = z.infer<typeof testSchema>
