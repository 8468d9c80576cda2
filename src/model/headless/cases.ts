import { z } from 'zod'
import { ELEMENTS } from '../../core/data/types'
import { ALKALINITY_UNIT_IDS, CONDUCTIVITY_UNIT_IDS } from '../../core/irrigation'
import { TRAY_IDS } from '../../core/raising'
import {
  band,
  bedField,
  containerSchema,
  described,
  doseSchema,
  fraction,
  growingSchema,
  id,
  limeSchema,
  limeTargetSchema,
  measurementSchema,
  own,
  positive,
  linesSchema,
  situationSchema,
  treatmentSchema,
} from './caseParts'

/**
 * Cases for the headless door: what `npm run core -- evaluate|find|dose|batch|volume|water|feed|treat|raise|rotate`
 * reads. All sizes in the core's units. These schemas are published as JSON Schema in docs/formats; a grower's files
 * have their own in schemas.ts.
 */
const evaluateCase = z.strictObject({
  mix: linesSchema,
  container: containerSchema,
  bottomLayers: z
    .array(z.strictObject({ thickness: z.number(), mix: linesSchema }))
    .max(10)
    .optional(),
  ...bedField('firmness'),
  cover: described(
    z.strictObject({ material: id, thickness: positive }).optional(),
    'What lies on the mix, cm thick: it keeps back water of the bare surface and adds weight.',
  ),
  lime: limeSchema.optional(),
  dressings: z.array(doseSchema).max(40).optional(),
  growing: growingSchema.optional(),
  situation: described(
    situationSchema.optional(),
    'How it will be used and where parts come from, for the appraisal: stage, standing, years, manureFrom and so on.',
  ),
  offers: described(
    z.boolean().default(false),
    'Also the next moves: at most three, each carried out and appraised whole.',
  ),
  answer: described(
    z.enum(['full', 'figures']).default('full'),
    'figures leaves out courses, later years, the appraisal and offers: for many mixes, many times faster.',
  ),
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
  drainedToEasy: band.optional(),
})

const feedSchema = z.strictObject({
  targets: described(
    z
      .array(z.strictObject({ element: z.enum(ELEMENTS), mgPerLitre: z.number() }))
      .max(14)
      .optional(),
    'mg per litre wanted of each element.',
  ),
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

const findCase = z.strictObject({
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
  finish: described(
    z.strictObject({ lime: limeTargetSchema.optional(), feed: feedSchema.optional() }).optional(),
    'Lime and feed to solve for each recipe found.',
  ),
  ownMaterials: own.ownMaterials,
  ownDressings: own.ownDressings,
})

const doseCase = z.strictObject({
  mix: linesSchema,
  temperature: z.number().min(-5).max(45).default(20),
  lime: limeTargetSchema.optional(),
  acid: z.strictObject({ dressing: id, targetPH: z.number(), days: positive.default(84) }).optional(),
  feed: feedSchema.optional(),
  ...own,
})

const batchCase = z.strictObject({
  mix: linesSchema,
  wanted: described(z.number(), 'Litres of blended mix.'),
  bucket: described(z.number().default(10), 'Litres to its mark.'),
  scoop: described(z.number().default(1), 'The smaller measure, litres.'),
  vessel: described(z.number().default(90), 'Litres brim-full of what it is mixed in.'),
  spoons: z.enum(['metric', 'us']).default('metric'),
  lime: limeSchema.optional(),
  dressings: z.array(doseSchema).max(40).optional(),
  ...own,
})

const volumeCase = z.strictObject({
  containers: z
    .array(
      z.strictObject({
        name: z.string().max(120).optional(),
        container: containerSchema,
        count: z.number().default(1),
        ...bedField('rootBalls'),
      }),
    )
    .min(1)
    .max(2000),
  settling: described(fraction.max(0.5).default(0.07), 'Extra for what watering-in settles.'),
  mix: described(linesSchema.optional(), 'Where given, the loose parts to measure out are given too.'),
  ...own,
})

const evaluateParts = evaluateCase.shape
const litresADay = z.number().min(0).max(10_000).default(0)

const waterCase = z.strictObject({
  mix: evaluateParts.mix,
  container: evaluateParts.container,
  bottomLayers: evaluateParts.bottomLayers,
  firmness: evaluateParts.firmness,
  cover: evaluateParts.cover,
  growing: evaluateParts.growing,
  temperature: evaluateParts.temperature,
  below: described(
    z
      .discriminatedUnion('kind', [
        z.strictObject({ kind: z.literal('free') }),
        z.strictObject({ kind: z.literal('saucer'), area: positive, depth: positive }),
        z.strictObject({ kind: z.literal('keptWater'), height: z.number().min(0) }),
      ])
      .default({ kind: 'free' }),
    'What lies below the holes: nothing, a saucer (free water beside the foot in cm2, rim in cm), water kept at a height in cm.',
  ),
  begin: z.enum(['drained', 'thirsty', 'dry']).default('thirsty'),
  days: described(positive.max(60).default(3), 'Followed from six in the morning on.'),
  pourings: described(
    z
      .array(z.strictObject({ start: z.number().min(0), hours: positive, litres: z.number().min(0) }))
      .max(500)
      .default([]),
    'Hours from the start, hours each takes, litres for one container.',
  ),
  uses: described(
    z
      .strictObject({ leaves: litresADay, surface: litresADay, wall: litresADay, saucer: litresADay })
      .optional(),
    'Litres a day; where left out what the crop of `growing` takes in `month`.',
  ),
  month: z.int().min(1).max(12).default(7),
  every: described(positive.default(1), 'Hours between the moments given.'),
  draws: described(z.int().min(0).max(200).default(16), 'Of the mix, for the likely ranges.'),
  seed: z.int().default(1),
  plan: described(
    z.boolean().default(false),
    'Also the fewest waterings that keep the crop from thirst, month by month; wants a climate.',
  ),
  away: described(
    z.int().min(1).max(60).optional(),
    'Days nobody is there, with `plan`: when it is watered meanwhile, and what would make it last longer.',
  ),
  movable: described(z.boolean().default(false), 'It can be carried into shade meanwhile.'),
  ...own,
})

const feedCase = z.strictObject({
  feeds: described(
    z
      .array(
        z.union([
          z.strictObject({ dressing: id, gramsPerLitre: positive.max(1000) }),
          z.strictObject({ dressing: id, element: z.enum(ELEMENTS), mgPerLitre: positive.max(100_000) }),
        ]),
      )
      .min(1)
      .max(8),
    'Feeds for one water: g in a litre of it, or mg per litre of one element.',
  ),
  waterConductivity: described(z.number().min(0).max(10).default(0), 'Of the water alone, dS/m.'),
  ratio: described(z.number().min(1).max(1000).default(100), 'Parts of water to one of stock.'),
  meterReads: described(z.number().min(0).max(50).optional(), 'Read in the feed made up, dS/m.'),
  ownMaterials: own.ownMaterials,
  ownDressings: own.ownDressings,
})

const twelve = z.array(z.number().min(0)).length(12)
const treatCase = z.strictObject({
  alkalinity: described(
    z.strictObject({
      value: z.number().min(0).max(2000),
      unit: z.enum(ALKALINITY_UNIT_IDS).default('meq'),
    }),
    'As reported: meq/L, mg/L as calcium carbonate or of bicarbonate, German, English or French degrees.',
  ),
  conductivity: described(
    z
      .strictObject({
        value: z.number().min(0).max(20_000),
        unit: z.enum(CONDUCTIVITY_UNIT_IDS).default('dSm'),
      })
      .default({ value: 0, unit: 'dSm' }),
    'As reported: dS/m, µS/cm, mS/m or mg/L of dissolved solids.',
  ),
  treatment: treatmentSchema.default({ rain: 0 }),
  litres: described(
    z.array(positive).max(20).default([10, 100]),
    'Of a can and a tank, for the amounts of acid.',
  ),
  container: described(
    z
      .strictObject({
        litres: positive,
        inGround: z.boolean().default(false),
        acidCrop: z.boolean().default(false),
      })
      .optional(),
    'What the water is for: litres of mix in one container.',
  ),
  barrel: described(
    z
      .strictObject({ rain: twelve, use: twelve, roof: z.number().min(0), litres: z.number().min(0) })
      .optional(),
    'Rain in mm by the month, litres wanted in a day of each month, m2 of roof, litres of barrel.',
  ),
})

const raiseCase = z.strictObject({
  crop: id,
  plants: described(z.int().min(1).max(1_000_000), 'Wanted, when they are planted out.'),
  weeks: described(
    positive.max(104).optional(),
    'From sowing to planting out at 20 C; the crop’s own where left out.',
  ),
  warmthOfSeed: described(z.number().min(0).max(45), 'C, night and day together, until it is up.'),
  warmth: described(z.number().min(0).max(45), 'C after that.'),
  first: z.enum(TRAY_IDS),
  second: z.enum(TRAY_IDS).optional(),
})

const grown = z.array(z.strictObject({ year: z.int().min(1900).max(2200), crop: id })).max(200)
const rotateCase = z.strictObject({
  from: described(z.int().min(1900).max(2200), 'The first year to be planned.'),
  years: z.int().min(1).max(10),
  crops: described(z.array(id).min(1).max(200), 'Grown each year, one to a bed.'),
  beds: z
    .array(
      z.strictObject({
        id,
        grew: described(grown, 'In years before.'),
        decided: described(grown.optional(), 'In years to come.'),
        phosphorus: described(
          z
            .array(positive.or(z.literal(0)))
            .max(200)
            .optional(),
          'Brought by compost and manure, g/m2, year by year until the first to be planned.',
        ),
      }),
    )
    .min(1)
    .max(200),
})

/** Every case by the name of its command. */
export const CASES = {
  evaluate: evaluateCase,
  find: findCase,
  dose: doseCase,
  batch: batchCase,
  volume: volumeCase,
  water: waterCase,
  feed: feedCase,
  treat: treatCase,
  raise: raiseCase,
  rotate: rotateCase,
} as const
export type CaseName = keyof typeof CASES
export type CaseOf<N extends CaseName> = z.output<(typeof CASES)[N]>
