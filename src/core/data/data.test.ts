import { describe, expect, test } from 'vitest'
import { z } from 'zod'
import { CROPS, LIMES, MATERIAL_FAMILIES, MATERIALS } from '.'

const property = z
  .strictObject({
    value: z.number(),
    low: z.number(),
    high: z.number(),
    confidence: z.enum(['high', 'medium', 'low']),
  })
  .refine((p) => p.low <= p.value && p.value <= p.high, 'low <= value <= high')
const fraction = property.refine((p) => p.low >= 0 && p.high <= 1, 'a fraction')
const positive = property.refine((p) => p.low > 0, 'above nothing')
const band = z.strictObject({ low: z.number(), high: z.number() }).refine((b) => b.low < b.high, 'low < high')
const source = z.string().min(4)

const materialSchema = z.strictObject({
  id: z.string().regex(/^[a-z0-9_]+$/),
  name: z.string().min(3),
  family: z.enum(MATERIAL_FAMILIES),
  source,
  confidence: z.enum(['high', 'medium', 'low']),
  sterileAsBought: z.enum(['y', 'n']),
  hazards: z.string(),
  structuralHalfLifeYears: z.number().positive(),
  sizeShares: z.array(z.number().min(0).max(1)).length(8),
  compressibility: z.number().min(0).max(0.5),
  pack: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.enum(['loose', 'compressed']), litres: z.number().positive() }),
    z.strictObject({ kind: z.enum(['block', 'mass']), kg: z.number().positive() }),
  ]),
  properties: z.strictObject({
    dryBulkDensity: positive,
    moistBulkDensityAsBought: positive,
    totalPorosity: fraction,
    waterAt10Cm: fraction,
    waterAt50Cm: fraction,
    waterAt100Cm: fraction,
    looseEnvelopeFraction: fraction,
    pH: property.refine((p) => p.low >= 2.5 && p.high <= 11, 'a pH'),
    bufferCapacity: positive,
    volumeFactorOnWetting: positive,
    looseLitresPerKgDry: positive.optional(),
  }),
})
const cropSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  latin: z.string(),
  kind: z.string(),
  pH: band,
  airFilledPorosity: band,
  minRootVolume: z.number().positive(),
  minDepth: z.number().positive(),
  spacing: z.number().positive(),
  moisture: z.string(),
  notes: z.string(),
  source,
  confidence: z.enum(['high', 'medium', 'low']),
})
const limeSchema = z.strictObject({
  id: z.string(),
  name: z.string(),
  calciumCarbonateEquivalent: positive,
  sieveShares: z.tuple([z.number(), z.number(), z.number(), z.number()]),
  ratePerDay: positive,
  q10: z.number().min(1),
  ceiling: z.number().nullable(),
  bulkDensity: positive,
  calcium: z.number(),
  magnesium: z.number(),
  usualLimit: z.number().positive(),
  caution: z.string(),
  source,
})

describe('material tables', () => {
  test.each(MATERIALS.map((m) => [m.id, m] as const))('%s is complete and hangs together', (_id, m) => {
    materialSchema.parse(m)
    const p = m.properties
    expect(p.waterAt10Cm.value).toBeLessThanOrEqual(p.totalPorosity.value)
    expect(p.waterAt50Cm.value).toBeLessThanOrEqual(p.waterAt10Cm.value)
    expect(p.waterAt100Cm.value).toBeLessThanOrEqual(p.waterAt50Cm.value)
    expect(m.sizeShares.reduce((s, v) => s + v, 0)).toBeCloseTo(1, 4)
    // Solids cannot weigh less per litre than light wood nor more than basalt; closed pores bring perlite below.
    const particle = p.dryBulkDensity.value / (1 - p.totalPorosity.value)
    expect(particle).toBeGreaterThan(0.25)
    expect(particle).toBeLessThan(3.1)
    expect(p.moistBulkDensityAsBought.value).toBeGreaterThanOrEqual(p.dryBulkDensity.value)
    if (m.pack.kind === 'block') expect(p.looseLitresPerKgDry).toBeDefined()
  })
  test('has enough, each once', () => {
    expect(MATERIALS.length).toBeGreaterThanOrEqual(40)
    expect(new Set(MATERIALS.map((m) => m.id)).size).toBe(MATERIALS.length)
    expect(new Set(MATERIALS.map((m) => m.name)).size).toBe(MATERIALS.length)
  })
})

describe('crop and lime tables', () => {
  test.each(CROPS.map((c) => [c.id, c] as const))('%s is complete', (_id, c) => void cropSchema.parse(c))
  test('crops: enough, each once', () => {
    expect(CROPS.length).toBeGreaterThanOrEqual(45)
    expect(new Set(CROPS.map((c) => c.id)).size).toBe(CROPS.length)
  })
  test.each(LIMES.map((l) => [l.id, l] as const))('%s is complete, its sieve shares make one', (_id, l) => {
    limeSchema.parse(l)
    expect(l.sieveShares.reduce((s, v) => s + v, 0)).toBeCloseTo(1, 9)
  })
})
