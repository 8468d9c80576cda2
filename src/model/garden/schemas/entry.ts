import { z } from 'zod/mini'
import { LONGEST_RECIPE_NOTE } from '../limits'
import { id, number, text } from './basics'

/** What a grower notes in the season: what was done, what was read, what was seen. */
export const ENTRY_KINDS = [
  'watered',
  'fed',
  'pH',
  'salts',
  'weight',
  'sunk',
  'harvest',
  'leaf',
  'pest',
  'note',
] as const

/** One line of a season's log. */
export const entrySchema = z.object({
  id,
  jobId: id,
  /** The bed of the job it is about; null for all of them. */
  fillId: z.nullable(id),
  at: z.iso.datetime(),
  kind: z.enum(ENTRY_KINDS),
  /** Litres, g, pH, dS/m of one part of mix to two of water, kg, cm, kg by kind; null where nobody said. */
  value: z.nullable(number),
  /** Fruits, heads or bunches of a harvest; null where nobody counted. */
  count: z.nullable(z.int().check(z.minimum(0))),
  /** What was to be expected of a reading on its day; null where that could not be worked out. */
  expected: z.nullable(number),
  note: text(LONGEST_RECIPE_NOTE),
})

export type Entry = z.infer<typeof entrySchema>
export type EntryKind = Entry['kind']
