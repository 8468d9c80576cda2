import { SEVERITIES } from '@/core/appraisal/severity'
import { z } from 'zod/mini'
import { GARDEN_LIMITS, LONGEST_NOTE } from '../limits'
import { id, name, number, text } from './basics'
import { vesselSchema } from './bed'
import { correctionSchema, readingSchema } from './job'
import { dressingPlaceSchema } from './recipe'

export const recordSchema = z.object({
  id,
  jobId: id,
  jobName: name,
  cropId: z.nullable(id),
  madeOn: z.iso.date(),
  note: text(LONGEST_NOTE),
  /** The container it was judged in. */
  vessel: vesselSchema,
  /** Everything that was filled. */
  filled: z
    .array(z.object({ name, count: number, litres: number }))
    .check(z.maxLength(GARDEN_LIMITS.beds.value)),
  /** What was measured, all batches together. */
  measured: z.array(
    z.object({
      materialId: id,
      materialName: text(200),
      twelfths: z.int(),
      litres: number,
      /** What it cost, null where unknown; the lot it came from. */
      cost: z.nullable(number),
      lot: name,
    }),
  ),
  bucket: number,
  batchCount: z.int(),
  blendLitres: number,
  limes: z.array(
    z.object({ limeId: id, limeName: text(200), grams: number, cost: z.nullable(number), lot: name }),
  ),
  /** Dressings over all batches, with where they went. */
  dressings: z.array(
    z.object({
      dressingId: id,
      dressingName: text(200),
      grams: number,
      place: dressingPlaceSchema,
      cost: z.nullable(number),
      lot: name,
    }),
  ),
  /** Paid for what was bought for it, and the cost of what went in; null where nothing has a price. */
  paid: z.nullable(number),
  used: z.nullable(number),
  /** Read at the tub, and what was put in because of it. */
  readings: z.array(readingSchema),
  corrections: z.array(z.extend(correctionSchema, { dressingName: text(200) })),
  /** Batches that were made otherwise than planned, in words. */
  otherwise: z.array(text(300)),
  /** What was expected of it on the day, for holding against what was found. */
  predicted: z.object({
    airFilledPorosity: number,
    easilyAvailableWater: number,
    containerCapacity: number,
    pH: number,
    drainedWeight: number,
    blendingLoss: number,
    /** What was said of it first, and how many figures were outside what is wanted; null in older records. */
    verdict: z._default(
      z.nullable(
        z.object({
          first: z.nullable(z.object({ topic: text(60), severity: z.enum(SEVERITIES) })),
          off: z.int().check(z.minimum(0)),
        }),
      ),
      null,
    ),
  }),
})

export type MixRecord = z.infer<typeof recordSchema>
