import { z } from 'zod/mini'
import { GARDEN_LIMITS } from '../limits'
import { id, name, number } from './basics'

const packSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('loose'), litres: z.number().check(z.positive()) }),
  /** Loose litres that a labelled one becomes, where the label says. */
  z.object({
    kind: z.literal('compressed'),
    litres: z.number().check(z.positive()),
    swell: z.optional(z.number().check(z.positive())),
  }),
  /** Loose litres of a kg, where the label says. */
  z.object({
    kind: z.literal('block'),
    kg: z.number().check(z.positive()),
    litresPerKg: z.optional(z.number().check(z.positive())),
  }),
  z.object({ kind: z.literal('mass'), kg: z.number().check(z.positive()) }),
  z.object({ kind: z.literal('bulk'), litres: z.number().check(z.positive()) }),
  z.object({ kind: z.literal('own') }),
])

/** What a pack costs, and where and when that was seen. */
const priceFields = {
  /** Price of one pack in the grower's money, or null where unknown. */
  price: z.nullable(z.number().check(z.minimum(0))),
  place: name,
  seenOn: z.nullable(z.iso.date()),
}

/** One way a material is sold. */
export const offerSchema = z.object({
  pack: packSchema,
  ...priceFields,
  /** Paid once for a delivery, however many come. */
  delivery: z.number().check(z.minimum(0)),
})

export const shelfItemSchema = z.extend(offerSchema, {
  materialId: id,
  /** Other packs it is sold in. */
  others: z.array(offerSchema).check(z.maxLength(GARDEN_LIMITS.otherPacks.value)),
  /** Loose litres on hand. */
  stock: z.number().check(z.minimum(0)),
})

/** How a dressing is bought and how much is on hand. */
export const dressingPackSchema = z.object({
  dressingId: id,
  /** kg in a pack. */
  kg: z.number().check(z.positive()),
  ...priceFields,
  others: z
    .array(z.object({ kg: z.number().check(z.positive()), ...priceFields }))
    .check(z.maxLength(GARDEN_LIMITS.otherPacks.value)),
  /** kg on hand. */
  stock: z.number().check(z.minimum(0)),
})

/** A bagged mix as its label describes it. */
export const bagSchema = z.object({
  id,
  name,
  createdAt: z.iso.datetime(),
  litres: number,
  /** Of one bag; null where unknown. */
  price: z.nullable(number),
  /** In the order of the label; the share where it says one, fraction of the volume. */
  ingredients: z
    .array(z.object({ materialId: id, share: z.nullable(number) }))
    .check(z.maxLength(GARDEN_LIMITS.ingredients.value)),
  /** As printed; null where it says none. */
  pH: z.nullable(number),
  /** Fertilizer it says is in it, g per litre (kg per cubic metre). */
  feed: z.nullable(z.object({ dressingId: id, gramsPerLitre: number })),
})

export type Offer = z.infer<typeof offerSchema>
export type ShelfItem = z.infer<typeof shelfItemSchema>
export type DressingPack = z.infer<typeof dressingPackSchema>
export type Bag = z.infer<typeof bagSchema>
