import { z } from 'zod/mini'
import { id, number, text } from './basics'

export const WINDS = ['sheltered', 'open', 'exposed'] as const

/** Where the garden is, and how it is looked after. */
export const placeSchema = z.object({
  /** The made-up climate it began from, or null where the figures are the grower's own. */
  climateId: z.nullable(id),
  latitude: number,
  elevation: number,
  months: z.array(z.object({ tMin: number, tMax: number, rain: number })).check(z.length(12)),
  /** meq/L and dS/m of the water. */
  waterAlkalinity: number,
  waterEc: number,
  /** From a softener: sodium in place of calcium and magnesium. */
  waterSoftened: z.boolean(),
  /** Of a report on the water, mg/L; left out where nobody looked. */
  waterSodium: z.optional(number),
  waterChloride: z.optional(number),
  waterBoron: z.optional(number),
  /**
   * Of a roof that rain is caught from, m2 as seen from above, and of its barrels, litres; left out where
   * there is none.
   */
  roof: z.optional(number),
  barrel: z.optional(number),
  /** Days between the waterings that can be kept. */
  waterEvery: number,
  wind: z.enum(WINDS),
  /** The coldest night of most winters, C; null where it is estimated from the months. */
  coldestNight: z.nullable(number),
})

export const settingsSchema = z.object({
  units: z.enum(['metric', 'us']),
  theme: z.enum(['auto', 'light', 'dark', 'contrast']),
  /** The hand that holds the phone while the other works. */
  hand: z.enum(['right', 'left']),
  /** A batch one big step at a time, not as a list. */
  bigSteps: z.boolean(),
  /** Cautions read, with the day: each is asked for once a day. */
  cautionsRead: z.record(text(40), z.iso.date()),
  /** Lessons gone through, by their ids. */
  lessonsSeen: z.array(text(40)),
  /** The address others reach this app by, for codes on labels; empty where nobody said. */
  address: z._default(text(200), ''),
  /** The sign before a sum of money, as "£"; empty where nobody said. */
  currency: z._default(text(4), ''),
})

export type Place = z.infer<typeof placeSchema>
export type Settings = z.infer<typeof settingsSchema>
