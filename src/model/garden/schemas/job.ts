import { z } from 'zod/mini'
import { TRAY_IDS } from '@/core/raising/trayIds'
import { TARGETS } from '@/core/targets/target'
import { GARDEN_LIMITS, LONGEST_NOTE, LONGEST_REASON } from '../limits'
import { id, name, number, text } from './basics'
import { jobBedSchema } from './bed'
import { recipeSchema, versionSchema } from './recipe'

export const STAGES = ['seed', 'cutting', 'transplant', 'grown'] as const
/** Where a part comes from, as far as its figures or its safety turn on that. */
export const ORIGINS = {
  /** Bagged potting mix, by its label. */
  bag: ['limedAndFed', 'limed', 'neither'],
  manure: ['unsprayed', 'doubtful', 'fresh'],
  vermiculite: ['newBag', 'old'],
} as const
export type Raising = z.infer<typeof raisingSchema>
export type OriginOf = keyof typeof ORIGINS

const ROUNDINGS = ['more', 'less', 'exact'] as const

export const planSchema = z.object({
  /** Litres. */
  bucket: number,
  /** A jug or scoop for what a quarter bucket is too coarse for, litres. */
  scoop: number,
  /** Litres brim-full. */
  vessel: number,
  /** Extra mix for what watering-in settles, fraction. */
  settling: number,
  /** Where whole measures do not come out even: a little more, a little less, or by the mark; more in older jobs. */
  rounding: z._default(z.enum(ROUNDINGS), 'more'),
  /** The vessel is filled to the brim and measures the batch itself; else two thirds of it, to turn in. */
  wholeVessel: z._default(z.boolean(), false),
})

const stepsSchema = z.array(text(160)).check(z.maxLength(GARDEN_LIMITS.readySteps.value))

export const readingSchema = z.object({
  id,
  batch: z.int().check(z.minimum(0)),
  at: z.iso.datetime(),
  /** Days after mixing. */
  day: z.number().check(z.minimum(0)),
  kind: z.enum(['pH', 'salts']),
  value: number,
  /** What was to be expected of it then; null where that could not be worked out. */
  expected: z.nullable(number),
})
export const correctionSchema = z.object({
  id,
  batch: z.int().check(z.minimum(0)),
  at: z.iso.datetime(),
  dressingId: id,
  grams: z.number().check(z.minimum(0)),
})

/** A feed given with water through the season, to every container alike. Days after planting. */
export const liquidFeedSchema = z.object({
  id,
  dressingId: id,
  /** g in a litre of water. */
  gramsPerLitre: number,
  /** Litres of that water for each container. */
  litres: number,
  everyDays: z.int().check(z.minimum(1), z.maximum(60)),
  fromDay: z.int().check(z.minimum(0), z.maximum(3650)),
  /** Its last day; null to the end of the season. */
  untilDay: z.nullable(z.int().check(z.minimum(0), z.maximum(3650))),
})

/** How its plants are raised: C, and what they grow in. */
const raisingSchema = z.object({
  warmthOfSeed: z.number().check(z.minimum(0), z.maximum(45)),
  warmth: z.number().check(z.minimum(0), z.maximum(45)),
  first: z.enum(TRAY_IDS),
  /** Potted on into; null where they stay in the first. */
  second: z.nullable(z.enum(TRAY_IDS)),
})

/** What is done to the water before it is given. */
const waterTreatmentSchema = z.object({
  /** Share of rain water. */
  rain: z.number().check(z.minimum(0), z.maximum(1)),
  acid: z.nullable(
    z.object({
      id: z.enum(['phosphoric75', 'sulfuric35', 'nitric61', 'citric']),
      toPH: z.number().check(z.minimum(5), z.maximum(7)),
    }),
  ),
})

export const jobSchema = z.extend(recipeSchema, {
  id,
  name,
  createdAt: z.iso.datetime(),
  /** The crop that leads; null where none is chosen. */
  cropId: z.nullable(id),
  /** Others in the same mix. */
  companionIds: z.array(id).check(z.maxLength(GARDEN_LIMITS.companions.value)),
  fills: z.array(jobBedSchema).check(z.minLength(1), z.maxLength(GARDEN_LIMITS.beds.value)),
  /** The fill the mix is judged in; the first where null or gone. */
  judgedIn: z.nullable(id),
  /** Litres of mix to make whatever the containers take; null to fill them. */
  amount: z._default(z.nullable(number), null),
  /** Month it is planted or sown, 1 to 12; null where nobody said. */
  plantMonth: z.nullable(z.int().check(z.minimum(1), z.maximum(12))),
  /** What grows in it: seeds, cuttings, young plants that move on, or a crop to its harvest. */
  stage: z._default(z.enum(STAGES), 'grown'),
  /** Years the mix is to last; null where nobody said. */
  years: z._default(z.nullable(z.number().check(z.minimum(1), z.maximum(30))), null),
  /** Where parts come from; null where nobody said. */
  origins: z._default(
    z.object({
      bag: z.nullable(z.enum(ORIGINS.bag)),
      manure: z.nullable(z.enum(ORIGINS.manure)),
      vermiculite: z.nullable(z.enum(ORIGINS.vermiculite)),
    }),
    { bag: null, manure: null, vermiculite: null },
  ),
  /** Plants in each container of the leading crop; null for as many as have room. */
  plants: z.nullable(z.number()),
  /** Bands the grower has moved. */
  bands: z.partialRecord(z.enum(TARGETS), z.object({ low: number, high: number })),
  /** Steps of filling that are done, as "fill:step". */
  filledSteps: z.array(text(120)).check(z.maxLength(GARDEN_LIMITS.filledSteps.value)),
  /** The day it was planted or sown; null until then. */
  plantedOn: z.nullable(z.iso.date()),
  /** What the season asked for and was done. */
  followedSteps: z.array(text(120)).check(z.maxLength(GARDEN_LIMITS.followedSteps.value)),
  /** Tasks of getting ready and of the season that the grower has put on a day of their own. */
  movedDays: z._default(
    z
      .array(z.object({ step: text(120), on: z.iso.date() }))
      .check(z.maxLength(GARDEN_LIMITS.movedDays.value)),
    [],
  ),
  liquidFeeds: z._default(z.array(liquidFeedSchema).check(z.maxLength(GARDEN_LIMITS.liquidFeeds.value)), []),
  /** Null where plants are bought, or nobody has looked yet. */
  raising: z._default(z.nullable(raisingSchema), null),
  /** As it comes where nobody chose. */
  water: z._default(waterTreatmentSchema, { rain: 0, acid: null }),
  /** Put away: kept, but not among the jobs in hand. */
  archived: z.boolean(),
  /** Recipes kept on the way, oldest first. */
  versions: z.array(versionSchema).check(z.maxLength(GARDEN_LIMITS.versions.value)),
  /** The kept one that the bench began from. */
  versionId: z.nullable(id),
  /** Warnings the grower has answered, by what they warn of. */
  dismissed: z
    .array(z.object({ code: text(80), reason: text(LONGEST_REASON) }))
    .check(z.maxLength(GARDEN_LIMITS.answered.value)),
  /** Size of one press of plus or minus. */
  step: z.enum(['whole', 'half', 'third', 'quarter']),
  plan: planSchema,
  /** The day it is to be mixed; null while nobody said. */
  mixOn: z.nullable(z.iso.date()),
  /** Steps of getting ready, as "step:material": done, added to the usual ones, left out of them. */
  readySteps: stepsSchema,
  readyAdded: stepsSchema,
  readyLeft: stepsSchema,
  /** Other jobs that are bought for with it. */
  boughtWith: z.array(id).check(z.maxLength(GARDEN_LIMITS.jobsTogether.value)),
  /** Bought: loose litres of a material or a mix in bags, kg of a lime or feed; paid, null where unknown. */
  bought: z
    .array(
      z.object({
        id,
        amount: z.number().check(z.minimum(0)),
        paid: z.nullable(z.number().check(z.minimum(0))),
        lot: name,
      }),
    )
    .check(z.maxLength(GARDEN_LIMITS.bought.value)),
  /** Measures that went in otherwise than planned: so many loose litres, and what went in for the rest. */
  otherwise: z
    .array(
      z.object({
        batch: z.int().check(z.minimum(0)),
        materialId: id,
        litres: z.number().check(z.minimum(0)),
        instead: z.nullable(z.object({ materialId: id, litres: z.number().check(z.minimum(0)) })),
      }),
    )
    .check(z.maxLength(GARDEN_LIMITS.otherwise.value)),
  /** Whole measures of one line that are in, of the line "batch:material"; null where none is under way. */
  tally: z.nullable(z.object({ of: text(160), count: z.int().check(z.minimum(0)) })),
  /** Read at the tub: pH, or dS/m by one part of mix to two of water. */
  readings: z.array(readingSchema).check(z.maxLength(GARDEN_LIMITS.readings.value)),
  /** Put into a batch because of a reading: a lime or another dressing, grams. */
  corrections: z.array(correctionSchema).check(z.maxLength(GARDEN_LIMITS.readings.value)),
  /** Count-downs that were started. */
  timers: z
    .array(z.object({ id, label: name, endsAt: z.iso.datetime() }))
    .check(z.maxLength(GARDEN_LIMITS.timers.value)),
  /** Measures already in, as "batch:material". */
  ticks: z.array(text(120)).check(z.maxLength(GARDEN_LIMITS.ticks.value)),
  /** Note being written for the record. */
  note: text(LONGEST_NOTE),
  /** The record made from it, once done. */
  recordId: z.nullable(id),
})

export type Plan = z.infer<typeof planSchema>
export type Reading = z.infer<typeof readingSchema>
export type Correction = z.infer<typeof correctionSchema>
export type LiquidFeedLine = z.infer<typeof liquidFeedSchema>
export type Job = z.infer<typeof jobSchema>
