import { z } from 'zod'
import { GROUND_LIMESTONE } from '@/core/data/usualLime'
import { BASES, VOLUME_UNITS, WEIGHT_UNITS } from '../manner'
import { GARDEN_LIMITS, LONGEST_RECIPE_NOTE } from '../limits'
import { dressingPlaceSchemas } from '../shapes'
import { id, name, number, text } from './basics'

export const partSchema = z.object({
  materialId: id,
  twelfths: z.int().min(1).max(GARDEN_LIMITS.twelfths.value),
})

const partsSchema = z.array(partSchema).max(GARDEN_LIMITS.parts.value)

/**
 * An amount as the grower gave it. Without a value the dose in g per litre holds, shown in this manner; without any of
 * it, in the usual way of the units.
 */
const saidSchema = z.object({
  unit: z.enum([...WEIGHT_UNITS, ...VOLUME_UNITS]),
  base: z.enum(BASES),
  of: z.number().positive(),
  materialId: id.optional(),
  value: number.optional(),
  spoons: z.enum(['metric', 'us']).optional(),
})

export const limeSettingSchema = z.object({
  mode: z.enum(['toTarget', 'fixed', 'none']),
  /** pH wanted six weeks after mixing, when mode is toTarget. */
  target: number,
  /** g per litre of blended mix, when mode is fixed; what `measure` comes to where it has a value. */
  gramsPerLitre: number,
  /** Share of dolomite by weight, 0 to 1; the rest is the other lime. */
  dolomiteShare: z.number().min(0).max(1),
  /** The lime that is not dolomite; ground limestone where an older recipe does not say. */
  limeId: id.default(GROUND_LIMESTONE),
  measure: saidSchema.optional(),
})

export const dressingPlaceSchema = dressingPlaceSchemas(z.object)

/**
 * Fertilizer, meal, acidifier and the like, g per litre of the mix it goes into: what `measure` comes to where that has
 * a value, worked out anew by `asDosed` for every job. Lime is a matter of its own.
 */
export const dressingLineSchema = z.object({
  /** Its own in the recipe: the same dressing may be given more than once. */
  id,
  dressingId: id,
  gramsPerLitre: number,
  place: dressingPlaceSchema,
  /** Share of the mix that gets it; the rest stays without, for seed or rest. */
  share: z.number().gt(0).max(1),
  /** Ids of the beds of the job whose mix gets it, as a pile of its own; left out for all of them. */
  beds: z.array(id).max(GARDEN_LIMITS.beds.value).optional(),
  measure: saidSchema.optional(),
})

/** How a finished mix comes to hand: made for this job, ready already, or bought in bags. */
const mixOriginSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('made') }),
  z.object({ kind: z.literal('ready') }),
  /** Litres in a bag and its price; null where unknown. */
  z.object({ kind: z.literal('bag'), litres: z.number().positive(), price: z.number().min(0).nullable() }),
])

/**
 * A finished mix that goes into another, as a part of it: complete in itself and of materials only, so that nothing
 * done to the mix it was taken from changes it. Parts name it by its id.
 */
export const innerMixSchema = z.object({
  id: id.regex(/^mix:/),
  name,
  parts: partsSchema.min(1),
  /** Stirred into it when it was made, g per litre of it. */
  lime: z.object({ gramsPerLitre: z.number().min(0), dolomiteShare: z.number().min(0).max(1) }),
  dressings: z
    .array(z.object({ dressingId: id, gramsPerLitre: z.number().min(0) }))
    .max(GARDEN_LIMITS.dressings.value),
  origin: mixOriginSchema,
})

/** What makes a mix, whatever it is for. */
export const recipeSchema = z.object({
  parts: partsSchema,
  /** Finished mixes among its parts. */
  mixes: z.array(innerMixSchema).max(GARDEN_LIMITS.mixes.value),
  lime: limeSettingSchema,
  dressings: z.array(dressingLineSchema).max(GARDEN_LIMITS.dressings.value),
})

/** A recipe as it was kept. */
export const versionSchema = recipeSchema.extend({
  id,
  name,
  note: text(LONGEST_RECIPE_NOTE),
  at: z.iso.datetime(),
  /** The version it was made from. */
  from: id.nullable(),
})

export type Part = z.infer<typeof partSchema>
export type LimeSetting = z.infer<typeof limeSettingSchema>
export type DressingLine = z.infer<typeof dressingLineSchema>
export type DressingPlace = z.infer<typeof dressingPlaceSchema>
export type InnerMix = z.infer<typeof innerMixSchema>
export type MixOrigin = InnerMix['origin']
export type Recipe = z.infer<typeof recipeSchema>
export type Version = z.infer<typeof versionSchema>
