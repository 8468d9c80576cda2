import { z } from 'zod'
import { GARDEN_LIMITS } from '../limits'
import { id, name, number } from './basics'

export const packSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('loose'), litres: z.number().positive() }),
  z.object({ kind: z.literal('compressed'), litres: z.number().positive() }),
  z.object({ kind: z.literal('block'), kg: z.number().positive() }),
  z.object({ kind: z.literal('mass'), kg: z.number().positive() }),
])

export const shelfItemSchema = z.object({
  materialId: id,
  pack: packSchema,
  /** Price of one pack in the grower's money, or null where unknown. */
  price: z.number().min(0).nullable(),
  /** Loose litres on hand. */
  stock: z.number().min(0),
})

/** A bagged mix as its label describes it. */
export const bagSchema = z.object({
  id,
  name,
  createdAt: z.iso.datetime(),
  litres: number,
  /** Of one bag; null where unknown. */
  price: number.nullable(),
  /** In the order of the label; the share where it says one, fraction of the volume. */
  ingredients: z
    .array(z.object({ materialId: id, share: number.nullable() }))
    .max(GARDEN_LIMITS.ingredients.value),
  /** As printed; null where it says none. */
  pH: number.nullable(),
  /** Fertilizer it says is in it, g per litre (kg per cubic metre). */
  feed: z.object({ dressingId: id, gramsPerLitre: number }).nullable(),
})

export type ShelfItem = z.infer<typeof shelfItemSchema>
export type Bag = z.infer<typeof bagSchema>
