import { z } from 'zod'
import { LAYER_KINDS } from '../../core/filling/layers'
import { TARGETS } from '../../core/targets/targetsFor'

// Zod would otherwise try to compile its checks with `new Function`, which the page's security policy forbids.
z.config({ jitless: true })

/** Any real number: whether it makes sense is for the core to say, next to the field it was typed in. */
const number = z.number()
const text = (max: number) => z.string().max(max)
const id = z.string().min(1).max(80)

const bodySchemas = [
  z.object({ kind: z.literal('roundPot'), topDiameter: number, baseDiameter: number, height: number }),
  z.object({
    kind: z.literal('box'),
    topLength: number,
    topWidth: number,
    baseLength: number,
    baseWidth: number,
    height: number,
  }),
  z.object({
    kind: z.literal('oval'),
    topLength: number,
    topWidth: number,
    baseLength: number,
    baseWidth: number,
    height: number,
  }),
  z.object({ kind: z.literal('fabricBag'), diameter: number, height: number, bulge: number }),
  z.object({ kind: z.literal('halfCylinder'), length: number, diameter: number }),
  z.object({
    kind: z.literal('polygonBed'),
    corners: z.array(z.object({ x: number, y: number })).max(60),
    height: number,
  }),
] as const

export const shapeSchema = z.discriminatedUnion('kind', [
  ...bodySchemas,
  z.object({
    kind: z.literal('mounded'),
    body: z.discriminatedUnion('kind', bodySchemas),
    moundHeight: number,
  }),
])

export const baseSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('drainHoles') }),
  z.object({ kind: z.literal('sideHoles'), height: number }),
  z.object({ kind: z.literal('onSoil'), texture: z.enum(['coarse', 'loam', 'clay']) }),
  z.object({ kind: z.literal('onPaving') }),
  z.object({ kind: z.literal('closed') }),
])

/** What growers call them: what is asked about a container, and how it is drawn, follows from this. */
export const VESSEL_KINDS = [
  'roundPot',
  'box',
  'raisedBed',
  'fabricBag',
  'oval',
  'gutter',
  'freeBed',
  'heapedBed',
] as const

/** What is filled: a shape the core knows, under the name the grower gave it, so many times. */
export const vesselSchema = z.object({
  kind: z.enum(VESSEL_KINDS),
  shape: shapeSchema,
  headspace: number,
  base: baseSchema,
  count: number,
})

export const WALLS = ['plastic', 'fabric', 'terracotta', 'timber', 'metal'] as const
export const STANDINGS = ['ground', 'paving', 'balcony', 'roof'] as const

/** A container or bed with all that is asked about it. */
export const bedSpecSchema = z.object({
  name: text(120),
  vessel: vesselSchema,
  /** What its sides are of. */
  wall: z.enum(WALLS),
  /** What it stands on. */
  standing: z.enum(STANDINGS),
  /** Under the mix, from the base up; cm. */
  layers: z.array(z.object({ kind: z.enum(LAYER_KINDS), thickness: number })).max(8),
  /** Litres of roots planted with their own soil, in each. */
  rootBalls: number,
  /** Has to be lifted once filled. */
  carried: z.boolean(),
})

export const bedSchema = bedSpecSchema.extend({ id, createdAt: z.iso.datetime() })

/** One kind of bed in a job: from the list of beds, or described in the job alone. */
export const jobBedSchema = z.object({
  id,
  /** The bed of the list it follows; null where it stands alone. */
  bedId: id.nullable(),
  /** As it is, or as it last was where the list no longer has it. */
  spec: bedSpecSchema,
  /** How many of them are filled in this job. */
  count: number,
  /** Topping up: old mix has sunk so far below the fill line, cm; null where it starts empty. */
  sunkBy: number.nullable(),
})

export const partSchema = z.object({ materialId: id, twelfths: z.int().min(1).max(12_000) })

export const limeSettingSchema = z.object({
  mode: z.enum(['toTarget', 'fixed', 'none']),
  /** pH wanted six weeks after mixing, when mode is toTarget. */
  target: number,
  /** g per litre of blended mix, when mode is fixed. */
  gramsPerLitre: number,
  /** Share of dolomite by weight, 0 to 1; the rest is ground limestone. */
  dolomiteShare: z.number().min(0).max(1),
})

export const dressingPlaceSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('throughout') }),
  /** Into the top so many cm at filling. */
  z.object({ kind: z.literal('top'), depth: number }),
  /** Not yet: put on so many days after planting. */
  z.object({ kind: z.literal('heldBack'), from: number }),
])

/** Fertilizer, meal, acidifier and the like, g per litre of the mix it goes into. Lime is a matter of its own. */
export const dressingLineSchema = z.object({
  dressingId: id,
  gramsPerLitre: number,
  place: dressingPlaceSchema,
  /** Share of the mix that gets it; the rest stays without, for seed or rest. */
  share: z.number().gt(0).max(1),
})

/** How a finished mix comes to hand: made for this job, ready already, or bought in bags. */
export const mixOriginSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('made') }),
  z.object({ kind: z.literal('ready') }),
  /** Litres in a bag and its price; null where unknown. */
  z.object({ kind: z.literal('bag'), litres: z.number().positive(), price: z.number().min(0).nullable() }),
])

/**
 * A finished mix that goes into another, as a part of it: complete in itself and of materials only, so that nothing done to the
 * mix it was taken from changes it. Parts name it by its id.
 */
export const innerMixSchema = z.object({
  id: id.regex(/^mix:/),
  name: text(120),
  parts: z.array(partSchema).min(1).max(40),
  /** Stirred into it when it was made, g per litre of it. */
  lime: z.object({ gramsPerLitre: z.number().min(0), dolomiteShare: z.number().min(0).max(1) }),
  dressings: z.array(z.object({ dressingId: id, gramsPerLitre: z.number().min(0) })).max(20),
  origin: mixOriginSchema,
})

/** What makes a mix, whatever it is for. */
export const recipeSchema = z.object({
  parts: z.array(partSchema).max(40),
  /** Finished mixes among its parts. */
  mixes: z.array(innerMixSchema).max(12),
  lime: limeSettingSchema,
  dressings: z.array(dressingLineSchema).max(20),
})

/** A recipe as it was kept. */
export const versionSchema = recipeSchema.extend({
  id,
  name: text(120),
  note: text(2000),
  at: z.iso.datetime(),
  /** The version it was made from. */
  from: id.nullable(),
})

export const planSchema = z.object({
  /** Litres. */
  bucket: number,
  /** Litres brim-full. */
  vessel: number,
  /** Extra mix for what watering-in settles, fraction. */
  settling: number,
})

export const jobSchema = z.object({
  id,
  name: text(120),
  createdAt: z.iso.datetime(),
  /** The crop that leads; null where none is chosen. */
  cropId: id.nullable(),
  /** Others in the same mix. */
  companionIds: z.array(id).max(12),
  fills: z.array(jobBedSchema).min(1).max(200),
  /** The fill the mix is judged in; the first where null or gone. */
  judgedIn: id.nullable(),
  /** Month it is planted or sown, 1 to 12; null where nobody said. */
  plantMonth: z.int().min(1).max(12).nullable(),
  /** Plants in each container of the leading crop; null for as many as have room. */
  plants: z.number().nullable(),
  /** Bands the grower has moved. */
  bands: z.partialRecord(z.enum(TARGETS), z.object({ low: number, high: number })),
  /** Steps of filling that are done, as "fill:step". */
  filledSteps: z.array(z.string().max(120)).max(4000),
  /** The day it was planted or sown; null until then. */
  plantedOn: z.iso.date().nullable(),
  /** What the season asked for and was done. */
  followedSteps: z.array(z.string().max(120)).max(400),
  /** Put away: kept, but not among the jobs in hand. */
  archived: z.boolean(),
  parts: z.array(partSchema).max(40),
  mixes: z.array(innerMixSchema).max(12),
  dressings: z.array(dressingLineSchema).max(20),
  /** Recipes kept on the way, oldest first. */
  versions: z.array(versionSchema).max(200),
  /** The kept one that the bench began from. */
  versionId: id.nullable(),
  /** Warnings the grower has answered, by what they warn of. */
  dismissed: z.array(z.object({ code: text(80), reason: text(500) })).max(80),
  /** Size of one press of plus or minus. */
  step: z.enum(['whole', 'half', 'third', 'quarter']),
  lime: limeSettingSchema,
  plan: planSchema,
  /** Measures already in, as "batch:material". */
  ticks: z.array(z.string().max(120)).max(20_000),
  /** Note being written for the record. */
  note: text(10_000),
  /** The record made from it, once done. */
  recordId: id.nullable(),
})

export const recordSchema = z.object({
  id,
  jobId: id,
  jobName: text(120),
  cropId: id.nullable(),
  madeOn: z.iso.date(),
  note: text(10_000),
  /** The container it was judged in. */
  vessel: vesselSchema,
  /** Everything that was filled. */
  filled: z.array(z.object({ name: text(120), count: number, litres: number })).max(200),
  /** What was measured, all batches together. */
  measured: z.array(z.object({ materialId: id, materialName: text(200), twelfths: z.int(), litres: number })),
  bucket: number,
  batchCount: z.int(),
  blendLitres: number,
  limes: z.array(z.object({ limeId: id, limeName: text(200), grams: number })),
  /** Dressings over all batches, with where they went. */
  dressings: z.array(
    z.object({ dressingId: id, dressingName: text(200), grams: number, place: dressingPlaceSchema }),
  ),
  /** What was expected of it on the day, for holding against what was found. */
  predicted: z.object({
    airFilledPorosity: number,
    easilyAvailableWater: number,
    containerCapacity: number,
    pH: number,
    drainedWeight: number,
    blendingLoss: number,
  }),
})

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
  name: text(120),
  createdAt: z.iso.datetime(),
  litres: number,
  /** Of one bag; null where unknown. */
  price: number.nullable(),
  /** In the order of the label; the share where it says one, fraction of the volume. */
  ingredients: z.array(z.object({ materialId: id, share: number.nullable() })).max(12),
  /** As printed; null where it says none. */
  pH: number.nullable(),
  /** Fertilizer it says is in it, g per litre (kg per cubic metre). */
  feed: z.object({ dressingId: id, gramsPerLitre: number }).nullable(),
})

export const WINDS = ['sheltered', 'open', 'exposed'] as const

/** Where the garden is, and how it is looked after. */
export const placeSchema = z.object({
  /** The made-up climate it began from, or null where the figures are the grower's own. */
  climateId: id.nullable(),
  latitude: number,
  elevation: number,
  months: z.array(z.object({ tMin: number, tMax: number, rain: number })).length(12),
  /** meq/L and dS/m of the water. */
  waterAlkalinity: number,
  waterEc: number,
  /** Days between the waterings that can be kept. */
  waterEvery: number,
  wind: z.enum(WINDS),
  /** The coldest night of most winters, C; null where it is reckoned from the months. */
  coldestNight: number.nullable(),
})

export const settingsSchema = z.object({
  units: z.enum(['metric', 'us']),
  theme: z.enum(['auto', 'light', 'dark', 'contrast']),
})

export const SCHEMAS = {
  bag: bagSchema,
  bed: bedSchema,
  job: jobSchema,
  place: placeSchema,
  record: recordSchema,
  shelf: shelfItemSchema,
  settings: settingsSchema,
} as const

/** Version each kind of record is written with today. Raise it together with a migration. */
export const SCHEMA_VERSIONS: Record<Kind, number> = {
  bag: 1,
  bed: 1,
  job: 5,
  place: 2,
  record: 3,
  shelf: 1,
  settings: 1,
}

export type Kind = keyof typeof SCHEMAS
export type Vessel = z.infer<typeof vesselSchema>
export type VesselKind = Vessel['kind']
export type BedSpec = z.infer<typeof bedSpecSchema>
export type Bed = z.infer<typeof bedSchema>
export type JobBed = z.infer<typeof jobBedSchema>
export type Place = z.infer<typeof placeSchema>
export type Part = z.infer<typeof partSchema>
export type LimeSetting = z.infer<typeof limeSettingSchema>
export type DressingLine = z.infer<typeof dressingLineSchema>
export type DressingPlace = z.infer<typeof dressingPlaceSchema>
export type InnerMix = z.infer<typeof innerMixSchema>
export type MixOrigin = InnerMix['origin']
export type Bag = z.infer<typeof bagSchema>
export type Recipe = z.infer<typeof recipeSchema>
export type Version = z.infer<typeof versionSchema>
export type Plan = z.infer<typeof planSchema>
export type Job = z.infer<typeof jobSchema>
export type MixRecord = z.infer<typeof recordSchema>
export type ShelfItem = z.infer<typeof shelfItemSchema>
export type Settings = z.infer<typeof settingsSchema>
export interface DataOf {
  bag: Bag
  bed: Bed
  job: Job
  place: Place
  record: MixRecord
  shelf: ShelfItem
  settings: Settings
}
export type AnyData = DataOf[Kind]

/** Kind of a record from its key ("job/abc", "settings"), or null for keys that are not ours. */
export function kindOfKey(key: string): Kind | null {
  if (key === 'settings' || key === 'place') return key
  const kind = /^(bag|bed|job|record|shelf)\/.+/.exec(key)?.[1]
  return kind ? (kind as Kind) : null
}
