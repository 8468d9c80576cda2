import { z } from 'zod/mini'
import { GROUND_LIMESTONE } from '@/core/data/usualLime'
import { BASES, VOLUME_UNITS, WEIGHT_UNITS } from '../manner'
import { GARDEN_LIMITS, LONGEST_RECIPE_NOTE } from '../limits'
import { dressingPlaceSchemas } from '../shapes'
import { id, name, number, text } from './basics'

export const partSchema = z.object({
  materialId: id,
  twelfths: z.int().check(z.minimum(1), z.maximum(GARDEN_LIMITS.twelfths.value)),
})

const partsSchema = z.array(partSchema).check(z.maxLength(GARDEN_LIMITS.parts.value))

/**
 * An amount as the grower gave it. Without a value the dose in g per litre holds, shown in this manner; without any of
 * it, in the usual way of the units.
 */
const saidSchema = z.object({
  unit: z.enum([...WEIGHT_UNITS, ...VOLUME_UNITS]),
  base: z.enum(BASES),
  of: z.number().check(z.positive()),
  materialId: z.optional(id),
  value: z.optional(number),
  spoons: z.optional(z.enum(['metric', 'us'])),
})

export const limeSettingSchema = z.object({
  mode: z.enum(['toTarget', 'fixed', 'none']),
  /** pH wanted six weeks after mixing, when mode is toTarget. */
  target: number,
  /** g per litre of blended mix, when mode is fixed; what `measure` comes to where it has a value. */
  gramsPerLitre: number,
  /** Share of dolomite by weight, 0 to 1; the rest is the other lime. */
  dolomiteShare: z.number().check(z.minimum(0), z.maximum(1)),
  /** The lime that is not dolomite; ground limestone where an older recipe does not say. */
  limeId: z._default(id, GROUND_LIMESTONE),
  measure: z.optional(saidSchema),
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
  share: z.number().check(z.gt(0), z.maximum(1)),
  /** Ids of the beds of the job whose mix gets it, as a pile of its own; left out for all of them. */
  beds: z.optional(z.array(id).check(z.maxLength(GARDEN_LIMITS.beds.value))),
  measure: z.optional(saidSchema),
})

/** How a finished mix comes to hand: made for this job, ready already, or bought in bags. */
const mixOriginSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('made') }),
  z.object({ kind: z.literal('ready') }),
  /** Litres in a bag and its price; null where unknown. */
  z.object({
    kind: z.literal('bag'),
    litres: z.number().check(z.positive()),
    price: z.nullable(z.number().check(z.minimum(0))),
  }),
])

/**
 * A finished mix that goes into another, as a part of it: complete in itself and of materials only, so that nothing
 * done to the mix it was taken from changes it. Parts name it by its id.
 */
export const innerMixSchema = z.object({
  id: id.check(z.regex(/^mix:/)),
  name,
  parts: partsSchema.check(z.minLength(1)),
  /** Stirred into it when it was made, g per litre of it. */
  lime: z.object({
    gramsPerLitre: z.number().check(z.minimum(0)),
    dolomiteShare: z.number().check(z.minimum(0), z.maximum(1)),
  }),
  dressings: z
    .array(z.object({ dressingId: id, gramsPerLitre: z.number().check(z.minimum(0)) }))
    .check(z.maxLength(GARDEN_LIMITS.dressings.value)),
  origin: mixOriginSchema,
})

/** What makes a mix, whatever it is for. */
export const recipeSchema = z.object({
  parts: partsSchema,
  /** Finished mixes among its parts. */
  mixes: z.array(innerMixSchema).check(z.maxLength(GARDEN_LIMITS.mixes.value)),
  lime: limeSettingSchema,
  dressings: z.array(dressingLineSchema).check(z.maxLength(GARDEN_LIMITS.dressings.value)),
})

/** A recipe as it was kept. */
export const versionSchema = z.extend(recipeSchema, {
  id,
  name,
  note: text(LONGEST_RECIPE_NOTE),
  at: z.iso.datetime(),
  /** The version it was made from. */
  from: z.nullable(id),
})

export type Part = z.infer<typeof partSchema>
export type LimeSetting = z.infer<typeof limeSettingSchema>
export type DressingLine = z.infer<typeof dressingLineSchema>
export type DressingPlace = z.infer<typeof dressingPlaceSchema>
export type InnerMix = z.infer<typeof innerMixSchema>
export type MixOrigin = InnerMix['origin']
export type Recipe = z.infer<typeof recipeSchema>
export type Version = z.infer<typeof versionSchema>
