import { z } from 'zod'
import { DRESSING_FAMILIES, ELEMENTS, MATERIAL_FAMILIES } from '../../core/data/types'

/** Shapes of the data tables in core/data. Run when the app is built and by a test; the core trusts what passed. */

const confidence = z.enum(['high', 'medium', 'low'])
const kind = z.enum(['tabulated', 'practice', 'memory', 'estimated', 'measured'])
const source = z.string().min(3)

const propertySchema = z
  .strictObject({ low: z.number(), value: z.number(), high: z.number(), source, kind, confidence })
  .refine((p) => p.low <= p.value && p.value <= p.high, 'low <= value <= high')
/** What is possible, least and most. Solids in kg/L between light wood and basalt: closed pores bring perlite below. */
const POSSIBLE = {
  pH: [2.5, 11],
  compressibility: [0, 0.5],
  solids: [0.25, 3.1],
  /** Of the dry matter. */
  carbon: [0, 0.9],
} as const
const within = (p: { low: number; high: number }, [low, high]: readonly [number, number]) =>
  p.low >= low && p.high <= high
const fraction = propertySchema.refine((p) => p.low >= 0 && p.high <= 1, 'a fraction')
const positive = propertySchema.refine((p) => p.low > 0, 'above nothing')
const notNegative = propertySchema.refine((p) => p.low >= 0, 'not below nothing')
const band = z
  .strictObject({ low: z.number(), high: z.number(), source, kind })
  .refine((b) => b.low < b.high, 'low < high')
const shares = (count: number) =>
  z
    .array(z.number().min(0).max(1))
    .length(count)
    .refine((list) => Math.abs(list.reduce((s, x) => s + x, 0) - 1) < 1e-4, 'shares sum to one')
const limits = z.array(z.number().min(0).max(1)).length(8)

const tablePackSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.enum(['loose', 'compressed']), litres: z.number().positive() }),
  z.strictObject({ kind: z.enum(['block', 'mass']), kg: z.number().positive() }),
])

const materialId = z.string().regex(/^[a-z0-9_]+$/)
const materialRowSchema = z.strictObject({
  id: materialId,
  name: z.string().min(3),
  family: z.enum(MATERIAL_FAMILIES),
})

export const materialFiguresSchema = z
  .strictObject({
    material: materialId,
    confidence,
    sterileAsBought: z.enum(['y', 'n']),
    hazards: z.string(),
    pack: tablePackSchema,
    sizeShares: shares(8),
    sizeRange: z.strictObject({ low: limits, high: limits, source, kind }),
    properties: z.strictObject({
      dryBulkDensity: positive,
      moistBulkDensityAsBought: positive,
      totalPorosity: fraction,
      waterAt5Cm: fraction,
      waterAt10Cm: fraction,
      waterAt50Cm: fraction,
      waterAt100Cm: fraction,
      waterAt1000Cm: fraction,
      waterAt15000Cm: fraction,
      saturatedConductivity: positive,
      looseEnvelopeFraction: fraction,
      pH: propertySchema.refine((p) => within(p, POSSIBLE.pH), 'a pH'),
      bufferCapacity: positive,
      cationExchangeCapacity: notNegative,
      electricalConductivity: notNegative,
      nitrogen: fraction,
      phosphorus: fraction,
      potassium: fraction,
      calcium: fraction,
      magnesium: fraction,
      carbonToNitrogen: positive.optional(),
      nitrogenFirstSeason: propertySchema.optional(),
      carbonate: fraction.optional(),
      structuralHalfLife: positive,
      volumeFactorOnWetting: positive,
      looseLitresPerKgDry: positive.optional(),
      compressibility: fraction.refine((p) => p.high <= POSSIBLE.compressibility[1], 'at most a half'),
    }),
  })
  .superRefine((m, ctx) => {
    const p = m.properties
    const falls: [string, number, number][] = [
      ['water at 5 cm is above the porosity', p.totalPorosity.value, p.waterAt5Cm.value],
      ['water at 10 cm is above that at 5', p.waterAt5Cm.value, p.waterAt10Cm.value],
      ['water at 50 cm is above that at 10', p.waterAt10Cm.value, p.waterAt50Cm.value],
      ['water at 100 cm is above that at 50', p.waterAt50Cm.value, p.waterAt100Cm.value],
      ['water at 1,000 cm is above that at 100', p.waterAt100Cm.value, p.waterAt1000Cm.value],
      ['water at 15,000 cm is above that at 1,000', p.waterAt1000Cm.value, p.waterAt15000Cm.value],
      [
        'weighs less as bought than dry',
        p.moistBulkDensityAsBought.value,
        p.dryBulkDensity.value * Math.min(1, p.volumeFactorOnWetting.value),
      ],
    ]
    for (const [message, more, less] of falls)
      if (more < less) ctx.addIssue({ code: 'custom', message: `${m.material}: ${message}` })
    if (m.pack.kind === 'block' && !p.looseLitresPerKgDry)
      ctx.addIssue({ code: 'custom', message: `${m.material}: sold as a block, so litres per kg are wanted` })
    const particle = p.dryBulkDensity.value / (1 - p.totalPorosity.value)
    if (!(particle > POSSIBLE.solids[0] && particle < POSSIBLE.solids[1]))
      ctx.addIssue({ code: 'custom', message: `${m.material}: solids of ${particle.toFixed(2)} kg/L` })
    const carbon = (p.carbonToNitrogen?.value ?? 0) * p.nitrogen.value
    if (carbon > POSSIBLE.carbon[1])
      ctx.addIssue({ code: 'custom', message: `${m.material}: ${carbon} carbon in its dry matter` })
  })

const cropSchema = z.strictObject({ id: z.string(), name: z.string(), pH: band })

const cropFiguresSchema = z.strictObject({
  crop: z.string(),
  latin: z.string(),
  kind: z.string(),
  confidence,
  moisture: z.string(),
  demand: z.enum(['light', 'medium', 'heavy', 'very heavy']),
  notes: z.string(),
  airFilledPorosity: band,
  perennial: z.boolean(),
  properties: z.strictObject({
    minRootVolume: positive,
    minDepth: positive,
    spacing: positive,
    canopyHeight: positive,
    canopyArea: positive,
    cropCoefficient: positive,
    depletionFraction: fraction,
    seasonNitrogen: positive,
    daysToMaturity: positive,
    saltThreshold: positive,
    saltSlope: positive.optional(),
  }),
})

const seasonSchema = z
  .strictObject({
    crop: z.string(),
    temperature: z.strictObject({
      least: z.number(),
      low: z.number(),
      high: z.number(),
      most: z.number(),
      source,
      kind,
    }),
    leastNight: z.strictObject({ value: z.number(), source, kind }).nullable(),
    standsTo: propertySchema.nullable(),
  })
  .refine(({ temperature: t }) => t.least < t.low && t.low < t.high && t.high < t.most, 'temperatures rise')

const days = z.number().positive().max(400)
const growthSchema = z.strictObject({
  crop: z.string(),
  stages: z.strictObject({
    initial: days,
    development: days,
    middle: days,
    late: days,
    from: z.enum(['planting', 'bud break', 'all year']),
    source,
    kind,
    confidence,
  }),
  coefficientAtEnd: z.number().min(0.2).max(1.2),
  leafAtPlanting: z.number().positive(),
  weeksAsTransplant: z.number().min(0).max(20),
  evergreen: z.boolean(),
  yearsToFirstHarvest: z.number().positive().nullable(),
  harvestMonths: z.array(z.int().min(1).max(12)),
})

const rated = { ratePerDay: positive, q10: positive, fraction }
export const dressingSchema = z
  .strictObject({
    id: z.string().regex(/^[a-z0-9_]+$/),
    name: z.string().min(3),
    detail: z.string(),
    family: z.enum(DRESSING_FAMILIES),
    confidence,
    label: z.strictObject({ nitrogen: z.number(), phosphate: z.number(), potash: z.number() }).nullable(),
    analysis: z.partialRecord(z.enum(ELEMENTS), fraction),
    nitrogenForms: z
      .strictObject({ nitrate: z.number(), ammonium: z.number(), urea: z.number(), organic: z.number() })
      .nullable(),
    release: z.discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('none') }),
      z.strictObject({ kind: z.literal('firstOrder'), ...rated }),
      z.strictObject({ kind: z.literal('lime'), ...rated }),
      z.strictObject({ kind: z.literal('oxidation'), ...rated }),
      z.strictObject({
        kind: z.literal('coated'),
        longevityMonths: z.number().positive(),
        q10: positive,
        fraction,
      }),
    ]),
    lime: z
      .strictObject({
        calciumCarbonateEquivalent: positive,
        sieveShares: shares(4),
        soluble: z.boolean(),
        solubleShare: z.number().min(0).max(1).optional(),
        salts: z.number().min(0).max(1).optional(),
      })
      .nullable(),
    acidity: propertySchema.nullable(),
    chelateHolds: z.number().min(4).max(10).optional(),
    saltIndex: positive.nullable(),
    bulkDensity: positive,
    dose: z.strictObject({ low: z.number().min(0), high: z.number(), limit: z.number(), source }),
    overdose: z.string(),
    hazard: z.string(),
    caution: z.string().nullable(),
  })
  .superRefine((d, ctx) => {
    const f = d.nitrogenForms
    if ((d.analysis.nitrogen !== undefined) !== (f !== null))
      ctx.addIssue({ code: 'custom', message: `${d.id}: nitrogen and its forms go together` })
    if (f && Math.abs(f.nitrate + f.ammonium + f.urea + f.organic - 1) > 1e-3)
      ctx.addIssue({ code: 'custom', message: `${d.id}: forms of nitrogen do not make one` })
    if (!(d.dose.low <= d.dose.high && d.dose.high <= d.dose.limit))
      ctx.addIssue({ code: 'custom', message: `${d.id}: doses out of order` })
    if ((d.lime !== null) !== (d.release.kind === 'lime'))
      ctx.addIssue({ code: 'custom', message: `${d.id}: a lime releases as a lime` })
  })

const sourcesSchema = z.record(z.string(), z.strictObject({ citation: z.string().min(8), sure: confidence }))

const range = z
  .strictObject({ low: z.number(), value: z.number(), high: z.number() })
  .refine((p) => p.low <= p.value && p.value <= p.high, 'low <= value <= high')
const preparationSchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9_]+$/),
  appliesTo: z.array(z.string()).min(1),
  usual: z.boolean(),
  phase: z.enum(['before', 'after']),
  order: z.int().min(1),
  title: z.string().min(3),
  why: z.string().min(3),
  how: z.string().min(3),
  lead: range.refine((p) => p.low > 0, 'above nothing'),
  q10: z.number().min(1).max(4),
  coldest: z.number().nullable(),
  only: z.literal('block').optional(),
  loss: range.refine((p) => p.low >= 0 && p.high < 1, 'a share').optional(),
  source,
  kind,
  confidence,
})

/** Every table with its shape, by file name. */
export const TABLES = {
  'materials.json': z.array(materialRowSchema),
  'materialFigures.json': z.array(materialFiguresSchema),
  'crops.json': z.array(cropSchema),
  'cropFigures.json': z.array(cropFiguresSchema),
  'seasons.json': z.array(seasonSchema),
  'growth.json': z.array(growthSchema),
  'limes.json': z.array(dressingSchema),
  'dressings.json': z.array(dressingSchema),
  'preparation.json': z.array(preparationSchema),
  'sources.json': sourcesSchema,
} as const

/** Source keys used in a table that the list of sources does not hold. */
export function missingSources(table: unknown, sources: Record<string, unknown>): string[] {
  const missing = new Set<string>()
  const walk = (x: unknown) => {
    if (Array.isArray(x)) x.forEach(walk)
    else if (x && typeof x === 'object')
      for (const [key, value] of Object.entries(x)) {
        if (key === 'source' && typeof value === 'string') {
          if (!(value in sources)) missing.add(value)
        } else walk(value)
      }
  }
  walk(table)
  return [...missing]
}
