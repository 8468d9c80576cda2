import { z } from 'zod'
import { strictObject } from 'zod/mini'
import { GARDEN_LIMITS } from '@/model/garden/limits'
import { containerSchemas, dressingPlaceSchemas } from '@/model/garden/shapes'
import { BED_FIELDS, type CaseSchema } from '../garden/schemas/bedFields'
import { DRESSING_FAMILIES, ELEMENTS, MATERIAL_FAMILIES, MATERIAL_PROPERTIES } from '../../core/data/types'

const ion = (most: number) => z.number().min(0).max(most).optional()

/** What the cases of the headless door are put together from. All sizes in the core's units. */
z.config({ jitless: true })

export const positive = z.number().positive()
export const fraction = z.number().min(0).max(1)
export const id = z.string().min(1).max(80)
export const band = z
  .strictObject({ low: z.number(), high: z.number() })
  .refine((b) => b.low <= b.high, 'low is above high')
export const described = <T extends z.core.$ZodType>(schema: T, text: string): T => {
  const copy = z.clone(schema)
  z.globalRegistry.add(copy, { description: text })
  return copy
}

/** A field of a bed as a case takes it, by its row. */
export const bedField = <F extends 'firmness' | 'rootBalls'>(field: F) => {
  const { schema, says } = BED_FIELDS[field].inCase!
  return { [field]: described<z.core.$ZodType>(schema, says) } as Record<F, CaseSchema<F>>
}

const { shape, base } = containerSchemas(strictObject)

export const containerSchema = z.strictObject({
  shape: described(shape, 'Inside lengths in cm; a mounded one is any other with a dome above its rim.'),
  headspace: described(z.number().default(3), 'Lip left free, cm.'),
  base: described(z._default(base, { kind: 'drainHoles' }), 'Where water leaves; height in cm.'),
})

const lineSchema = described(
  z.union([
    z.strictObject({ material: id, parts: z.number() }),
    z.strictObject({ mix: id, parts: z.number() }),
  ]),
  'A material by id (table or ownMaterials), or a finished mix by its name in mixes; parts of one bucket.',
)
export const linesSchema = z.array(lineSchema).max(GARDEN_LIMITS.parts.value)

const knownSchema = z.union([
  z.number(),
  z.strictObject({ low: z.number(), value: z.number(), high: z.number() }),
])
const ownMaterialSchema = z.strictObject({
  id,
  name: z.string().min(1).max(120),
  family: z.enum(MATERIAL_FAMILIES).optional(),
  sterileAsBought: z.enum(['y', 'n']).optional(),
  sizeShares: z.array(z.number().min(0)).length(8).optional(),
  known: described(
    z.partialRecord(z.enum(MATERIAL_PROPERTIES), knownSchema),
    'What is known of it, in core units; the rest is estimated from kindred rows.',
  ),
})
const ownDressingSchema = z.strictObject({
  id,
  name: z.string().min(1).max(120),
  family: z.enum(DRESSING_FAMILIES).exclude(['lime']),
  label: z.strictObject({ nitrogen: z.number(), phosphate: z.number(), potash: z.number() }),
  analysis: z.partialRecord(z.enum(ELEMENTS), fraction).optional(),
  nitrogenForms: z
    .strictObject({ nitrate: fraction, ammonium: fraction, urea: fraction, organic: fraction })
    .optional(),
  longevityMonths: z.number().optional(),
  bulkDensity: positive.optional(),
})

/** What every case may bring along of its own. */
export const own = {
  mixes: described(z.record(id, linesSchema).optional(), 'Mixes by name, for use as ingredients.'),
  ownMaterials: z.array(ownMaterialSchema).max(200).optional(),
  ownDressings: z.array(ownDressingSchema).max(200).optional(),
}

/** Lime to a pH, shared between two for a wanted Ca : Mg by weight. */
export const limeTargetSchema = z.strictObject({
  targetPH: z.number(),
  calciumToMagnesium: positive.default(4),
  calcitic: id.default('lime_calcitic'),
  dolomitic: id.default('lime_dolomitic'),
})
export const limeSchema = described(
  z.union([
    z.strictObject({
      gramsPerLitre: z.number(),
      dolomiteShare: fraction.default(0),
      calcitic: id.default('lime_calcitic'),
      dolomitic: id.default('lime_dolomitic'),
    }),
    limeTargetSchema,
  ]),
  'A dose in g per litre of blend, or a pH for six weeks after mixing with the Ca : Mg wanted.',
)

export const doseSchema = z.strictObject({
  dressing: id,
  gramsPerLitre: z.number(),
  place: z._default(dressingPlaceSchemas(strictObject, { depth: positive, from: z.number().min(0) }), {
    kind: 'throughout',
  }),
})

const climateSchema = z.strictObject({
  latitude: z.number().min(-90).max(90),
  elevation: z.number().min(-430).max(6000).default(0),
  months: described(
    z
      .array(
        z
          .strictObject({
            tMin: z.number().min(-70).max(60),
            tMax: z.number().min(-70).max(60),
            rain: z.number().min(0).optional(),
            wind: z.number().min(0).optional(),
            sunHours: z.number().min(0).max(24).optional(),
          })
          .refine((m) => m.tMin <= m.tMax, 'tMin is above tMax'),
      )
      .length(12),
    'January to December: mean daily extremes in C, mm of rain, m/s at 2 m, hours of sun a day.',
  ),
})

/** How water is treated before it is given. */
export const treatmentSchema = z.strictObject({
  rain: described(z.number().min(0).max(1).default(0), 'Share of rain water.'),
  acid: z
    .strictObject({
      id: z.enum(['phosphoric75', 'sulfuric35', 'nitric61', 'citric']),
      toPH: z.number().min(5).max(7),
    })
    .optional(),
})

export const growingSchema = z.strictObject({
  crop: id,
  plants: positive.default(1),
  climate: climateSchema.optional(),
  plantingMonth: z.int().min(1).max(12).optional(),
  wallKind: z.enum(['closed', 'fabric', 'terracotta']).optional(),
  leachingFraction: z.number().min(0).max(0.9).optional(),
  waterAlkalinity: z.number().min(0).max(20).optional(),
  waterConductivity: z.number().min(0).max(10).optional(),
  waterSoftened: z.boolean().optional(),
  /** Of a water report, mg/L. */
  waterIons: z.strictObject({ sodium: ion(11_000), chloride: ion(20_000), boron: ion(100) }).optional(),
  waterTreatment: treatmentSchema.optional(),
  emptyWeight: z.number().min(0).optional(),
  liquidFeeds: described(
    z
      .array(
        z.strictObject({
          dressing: id,
          gramsPerLitre: positive.max(200),
          litres: positive,
          everyDays: z.int().min(1).max(60).default(7),
          fromDay: z.int().min(0).max(3650).default(0),
          untilDay: z.int().min(0).max(3650).optional(),
        }),
      )
      .max(6)
      .optional(),
    'Feeds given with water: g in a litre of water, litres of it for one container each time, days after planting.',
  ),
})

/** As the words of `Situation` in the core; what it does not know is left alone. */
export const situationSchema = z
  .object({
    stage: z.string().max(40).optional(),
    standing: z.string().max(80).optional(),
    loadAllowed: z.string().max(40).optional(),
    indoors: z.boolean().optional(),
    purpose: z.string().max(120).optional(),
    years: z.number().min(0).max(100).optional(),
    bagLimed: z.boolean().optional(),
    bagFed: z.boolean().optional(),
    feedLater: z.string().max(120).optional(),
    manureFrom: z.string().max(200).optional(),
    vermiculiteFrom: z.string().max(200).optional(),
    harvestAfterDays: z.number().min(0).max(3650).optional(),
    waterEc: z.number().min(0).max(10).optional(),
    softened: z.boolean().optional(),
  })
  .loose()

export const measurementSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('pH'),
    value: z.number().min(2).max(12),
    day: z.number().min(0).max(1000),
  }),
  z.strictObject({
    kind: z.literal('drainTest'),
    airFilledPorosity: fraction,
    container: containerSchema.optional(),
  }),
  z.strictObject({ kind: z.literal('weighed'), kg: positive, container: containerSchema.optional() }),
  z.strictObject({
    kind: z.literal('electricalConductivity'),
    value: z.number().min(0),
    method: z.enum(['saturatedExtract', 'oneToTwo', 'pourThrough']),
  }),
  z.strictObject({
    kind: z.literal('waterHeld'),
    containerCapacity: fraction,
    container: containerSchema.optional(),
  }),
  z.strictObject({ kind: z.literal('dryDensity'), kgPerLitre: positive }),
  z.strictObject({ kind: z.literal('blendingLoss'), share: fraction }),
  z.strictObject({ kind: z.literal('percolation'), cmPerHour: positive }),
])
