import { z } from 'zod'
import { DRESSING_FAMILIES, ELEMENTS, MATERIAL_FAMILIES } from '../core/data/types'

/**
 * Cases for the headless door: what `npm run core -- evaluate|find|dose|batch|volume` reads. All sizes in the core's units.
 * These schemas are published as JSON Schema in docs/formats; a grower's files have their own in schemas.ts.
 */
z.config({ jitless: true })

const positive = z.number().positive()
const fraction = z.number().min(0).max(1)
const id = z.string().min(1).max(80)
const band = z
  .strictObject({ low: z.number(), high: z.number() })
  .refine((b) => b.low <= b.high, 'low is above high')
const described = <T extends z.ZodType>(schema: T, text: string): T => schema.describe(text) as T

const bodySchemas = [
  z.strictObject({
    kind: z.literal('roundPot'),
    topDiameter: z.number(),
    baseDiameter: z.number(),
    height: z.number(),
  }),
  z.strictObject({
    kind: z.enum(['box', 'oval']),
    topLength: z.number(),
    topWidth: z.number(),
    baseLength: z.number(),
    baseWidth: z.number(),
    height: z.number(),
  }),
  z.strictObject({
    kind: z.literal('fabricBag'),
    diameter: z.number(),
    height: z.number(),
    bulge: z.number(),
  }),
  z.strictObject({ kind: z.literal('halfCylinder'), length: z.number(), diameter: z.number() }),
  z.strictObject({
    kind: z.literal('polygonBed'),
    corners: z.array(z.strictObject({ x: z.number(), y: z.number() })).max(200),
    height: z.number(),
  }),
] as const

export const containerSchema = z.strictObject({
  shape: described(
    z.union([
      ...bodySchemas,
      z.strictObject({ kind: z.literal('mounded'), body: z.union(bodySchemas), moundHeight: z.number() }),
    ]),
    'Inside lengths in cm; a mounded one is any other with a dome above its rim.',
  ),
  headspace: described(z.number().default(3), 'Lip left free, cm.'),
  base: described(
    z
      .discriminatedUnion('kind', [
        z.strictObject({ kind: z.literal('drainHoles') }),
        z.strictObject({ kind: z.literal('sideHoles'), height: z.number() }),
        z.strictObject({ kind: z.literal('onSoil'), texture: z.enum(['coarse', 'loam', 'clay']) }),
      ])
      .default({ kind: 'drainHoles' }),
    'Where water leaves; height in cm.',
  ),
})

const lineSchema = described(
  z.union([
    z.strictObject({ material: id, parts: z.number() }),
    z.strictObject({ mix: id, parts: z.number() }),
  ]),
  'A material by id (table or ownMaterials), or a finished mix by its name in mixes; parts of one bucket.',
)
const recipeSchema = z.array(lineSchema).max(40)

const knownSchema = z.union([
  z.number(),
  z.strictObject({ low: z.number(), value: z.number(), high: z.number() }),
])
export const ownMaterialSchema = z.strictObject({
  id,
  name: z.string().min(1).max(120),
  family: z.enum(MATERIAL_FAMILIES).optional(),
  sterileAsBought: z.enum(['y', 'n']).optional(),
  sizeShares: z.array(z.number().min(0)).length(8).optional(),
  known: described(
    z.partialRecord(
      z.enum([
        'dryBulkDensity',
        'moistBulkDensityAsBought',
        'totalPorosity',
        'waterAt10Cm',
        'waterAt50Cm',
        'waterAt100Cm',
        'saturatedConductivity',
        'looseEnvelopeFraction',
        'pH',
        'bufferCapacity',
        'cationExchangeCapacity',
        'electricalConductivity',
        'nitrogen',
        'phosphorus',
        'potassium',
        'calcium',
        'magnesium',
        'carbonToNitrogen',
        'nitrogenFirstSeason',
        'structuralHalfLife',
        'volumeFactorOnWetting',
        'looseLitresPerKgDry',
        'compressibility',
      ]),
      knownSchema,
    ),
    'What is known of it, in core units; the rest is estimated from kindred rows.',
  ),
})
export const ownDressingSchema = z.strictObject({
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
const own = {
  mixes: described(z.record(id, recipeSchema).optional(), 'Mixes by name, for use as ingredients.'),
  ownMaterials: z.array(ownMaterialSchema).max(200).optional(),
  ownDressings: z.array(ownDressingSchema).max(200).optional(),
}

const limeSchema = described(
  z.union([
    z.strictObject({
      gramsPerLitre: z.number(),
      dolomiteShare: fraction.default(0),
      calcitic: id.default('lime_calcitic'),
      dolomitic: id.default('lime_dolomitic'),
    }),
    z.strictObject({
      targetPH: z.number(),
      calciumToMagnesium: positive.default(4),
      calcitic: id.default('lime_calcitic'),
      dolomitic: id.default('lime_dolomitic'),
    }),
  ]),
  'A dose in g per litre of blend, or a pH for six weeks after mixing with the Ca : Mg wanted.',
)

const doseSchema = z.strictObject({
  dressing: id,
  gramsPerLitre: z.number(),
  place: z
    .discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('throughout') }),
      z.strictObject({ kind: z.literal('top'), depth: positive }),
      z.strictObject({ kind: z.literal('heldBack'), from: z.number().min(0) }),
    ])
    .default({ kind: 'throughout' }),
})

export const climateSchema = z.strictObject({
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

const growingSchema = z.strictObject({
  crop: id,
  plants: positive.default(1),
  climate: climateSchema.optional(),
  plantingMonth: z.int().min(1).max(12).optional(),
  wallKind: z.enum(['closed', 'fabric', 'terracotta']).optional(),
  leachingFraction: z.number().min(0).max(0.9).optional(),
  waterAlkalinity: z.number().min(0).max(20).optional(),
  emptyWeight: z.number().min(0).optional(),
})

const measurementSchema = z.discriminatedUnion('kind', [
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
])

export const evaluateCase = z.strictObject({
  mix: recipeSchema,
  container: containerSchema,
  bottomLayers: z
    .array(z.strictObject({ thickness: z.number(), mix: recipeSchema }))
    .max(10)
    .optional(),
  lime: limeSchema.optional(),
  dressings: z.array(doseSchema).max(40).optional(),
  growing: growingSchema.optional(),
  temperature: described(
    z.number().min(-5).max(45).default(20),
    'Mean of the mix where no climate is given, C.',
  ),
  ranges: z
    .strictObject({
      draws: z.int().min(10).max(5000).default(500),
      seed: z.int().default(1),
      measurements: z.array(measurementSchema).max(50).default([]),
    })
    .optional(),
  ...own,
})

const targetsSchema = z.strictObject({
  airFilledPorosity: band.optional(),
  easilyAvailableWater: band.optional(),
  pH: band.optional(),
  electricalConductivity: band.optional(),
  drainedDensity: band.optional(),
  structureLost: band.optional(),
})

const feedSchema = z.array(z.strictObject({ element: z.enum(ELEMENTS), mgPerLitre: z.number() })).max(14)

export const findCase = z.strictObject({
  container: containerSchema,
  shelf: described(
    z
      .array(
        z.strictObject({
          material: id,
          pricePerLitre: z.number().min(0).nullable().default(null),
          stock: z.number().min(0).default(0),
          packLitres: positive.default(50),
        }),
      )
      .min(1)
      .max(60),
    'Materials that may be used; money per loose litre.',
  ),
  crop: described(id.optional(), 'Fills in air, pH and salts where targets leave them out.'),
  targets: targetsSchema.default({}),
  weights: z.partialRecord(targetsSchema.keyof(), z.number().min(0)).optional(),
  rules: z
    .strictObject({
      mustUse: z.array(id).optional(),
      mustNotUse: z.array(id).optional(),
      without: z.array(z.enum(['peat', 'soil', 'floating', 'unsterile', 'animal'])).optional(),
      maxMaterials: z.int().min(1).max(6).optional(),
      maxParts: z.int().min(2).max(24).optional(),
      maxCostPerLitre: z.number().min(0).optional(),
      maxPacks: z.int().min(1).optional(),
      useUp: z.array(id).optional(),
    })
    .optional(),
  volume: described(z.number().min(0).optional(), 'Litres of mix wanted, for packs and stock.'),
  most: described(z.int().min(1).max(50).default(8), 'Families of answers to give.'),
  explain: described(z.boolean().default(false), 'Also say which wish stands in the way.'),
  ownMaterials: own.ownMaterials,
})

export const doseCase = z.strictObject({
  mix: recipeSchema,
  temperature: z.number().min(-5).max(45).default(20),
  lime: z
    .strictObject({
      targetPH: z.number(),
      calciumToMagnesium: positive.default(4),
      calcitic: id.default('lime_calcitic'),
      dolomitic: id.default('lime_dolomitic'),
    })
    .optional(),
  acid: z.strictObject({ dressing: id, targetPH: z.number(), days: positive.default(84) }).optional(),
  feed: z
    .strictObject({
      targets: described(feedSchema.optional(), 'mg per litre wanted of each element.'),
      likeLabel: described(
        z
          .strictObject({
            nitrogen: z.number(),
            phosphate: z.number(),
            potash: z.number(),
            gramsPerLitre: positive,
          })
          .optional(),
        'A bag’s three numbers and its dose: the same N, P and K is made of the dressings given.',
      ),
      dressings: z.array(id).min(1).max(20),
      countParts: described(z.boolean().default(true), 'Take off what the parts themselves give at once.'),
    })
    .optional(),
  ...own,
})

export const batchCase = z.strictObject({
  mix: recipeSchema,
  wanted: described(z.number(), 'Litres of blended mix.'),
  bucket: described(z.number().default(10), 'Litres to its mark.'),
  vessel: described(z.number().default(90), 'Litres brim-full of what it is mixed in.'),
  spoons: z.enum(['metric', 'us']).default('metric'),
  lime: limeSchema.optional(),
  dressings: z.array(doseSchema).max(40).optional(),
  ...own,
})

export const volumeCase = z.strictObject({
  containers: z
    .array(
      z.strictObject({
        name: z.string().max(120).optional(),
        container: containerSchema,
        count: z.number().default(1),
        rootBalls: described(z.number().min(0).default(0), 'Litres of roots planted with each.'),
      }),
    )
    .min(1)
    .max(2000),
  settling: described(fraction.max(0.5).default(0.07), 'Extra for what watering-in settles.'),
  mix: described(recipeSchema.optional(), 'Where given, the loose parts to measure out are told too.'),
  ...own,
})

/** Every case by the name of its command. */
export const CASES = {
  evaluate: evaluateCase,
  find: findCase,
  dose: doseCase,
  batch: batchCase,
  volume: volumeCase,
} as const
export type CaseName = keyof typeof CASES
export type CaseOf<N extends CaseName> = z.output<(typeof CASES)[N]>
