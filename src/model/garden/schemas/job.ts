import { z } from 'zod'
import { TARGETS } from '@/core/targets/target'
import { GARDEN_LIMITS, LONGEST_NOTE, LONGEST_REASON } from '../limits'
import { id, name, number, text } from './basics'
import { jobBedSchema } from './bed'
import { recipeSchema, versionSchema } from './recipe'

export const ROUNDINGS = ['more', 'less', 'exact'] as const

export const planSchema = z.object({
  /** Litres. */
  bucket: number,
  /** A jug or scoop for what a quarter bucket is too coarse for, litres. */
  scoop: number,
  /** Litres brim-full. */
  vessel: number,
  /** Extra mix for what watering-in settles, fraction. */
  settling: number,
  /** Where whole measures do not come out even: a little more, a little less, or by the mark; more in older jobs. */
  rounding: z.enum(ROUNDINGS).default('more'),
})

export const jobSchema = recipeSchema.extend({
  id,
  name,
  createdAt: z.iso.datetime(),
  /** The crop that leads; null where none is chosen. */
  cropId: id.nullable(),
  /** Others in the same mix. */
  companionIds: z.array(id).max(GARDEN_LIMITS.companions.value),
  fills: z.array(jobBedSchema).min(1).max(GARDEN_LIMITS.beds.value),
  /** The fill the mix is judged in; the first where null or gone. */
  judgedIn: id.nullable(),
  /** Litres of mix to make whatever the containers take; null to fill them. */
  amount: number.nullable().default(null),
  /** Month it is planted or sown, 1 to 12; null where nobody said. */
  plantMonth: z.int().min(1).max(12).nullable(),
  /** Plants in each container of the leading crop; null for as many as have room. */
  plants: z.number().nullable(),
  /** Bands the grower has moved. */
  bands: z.partialRecord(z.enum(TARGETS), z.object({ low: number, high: number })),
  /** Steps of filling that are done, as "fill:step". */
  filledSteps: z.array(text(120)).max(GARDEN_LIMITS.filledSteps.value),
  /** The day it was planted or sown; null until then. */
  plantedOn: z.iso.date().nullable(),
  /** What the season asked for and was done. */
  followedSteps: z.array(text(120)).max(GARDEN_LIMITS.followedSteps.value),
  /** Put away: kept, but not among the jobs in hand. */
  archived: z.boolean(),
  /** Recipes kept on the way, oldest first. */
  versions: z.array(versionSchema).max(GARDEN_LIMITS.versions.value),
  /** The kept one that the bench began from. */
  versionId: id.nullable(),
  /** Warnings the grower has answered, by what they warn of. */
  dismissed: z
    .array(z.object({ code: text(80), reason: text(LONGEST_REASON) }))
    .max(GARDEN_LIMITS.answered.value),
  /** Size of one press of plus or minus. */
  step: z.enum(['whole', 'half', 'third', 'quarter']),
  plan: planSchema,
  /** Measures already in, as "batch:material". */
  ticks: z.array(text(120)).max(GARDEN_LIMITS.ticks.value),
  /** Note being written for the record. */
  note: text(LONGEST_NOTE),
  /** The record made from it, once done. */
  recordId: id.nullable(),
})

export type Plan = z.infer<typeof planSchema>
export type Job = z.infer<typeof jobSchema>
