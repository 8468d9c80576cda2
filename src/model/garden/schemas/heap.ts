import { z } from 'zod/mini'
import { GARDEN_LIMITS, LONGEST_NOTE } from '../limits'
import { id, name, number, text } from './basics'

/** A compost heap of the grower's own: what went on it, how hot it was, how ripe it is. */
export const heapSchema = z.object({
  id,
  name,
  /** The day it was built; days of readings count from it. */
  builtOn: z.iso.date(),
  createdAt: z.iso.datetime(),
  /** Litres as they are heaped, by the ids of `HEAP_INPUTS`. */
  loads: z
    .array(z.object({ id: text(60), litres: number }))
    .check(z.maxLength(GARDEN_LIMITS.heapLoads.value)),
  /** Litres of water poured over it. */
  water: number,
  readings: z
    .array(z.object({ on: z.iso.date(), temperature: number, turned: z.boolean() }))
    .check(z.maxLength(GARDEN_LIMITS.heapReadings.value)),
  /** Rise in a vacuum flask, C above the air, and index of a cress test; null where not done. */
  rise: z.nullable(number),
  cress: z.nullable(number),
  note: text(LONGEST_NOTE),
})
export type HeapRecord = z.infer<typeof heapSchema>
