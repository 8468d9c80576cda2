import { once, valueOf } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { isWorthOffering, PLAN_LIMITS } from '../watering'
import { isDeepStrictEqual } from 'node:util'
import { describe, expect, test } from 'vitest'
import { AMOUNT_LIMITS, countProblem, isDose } from '../amounts'
import {
  BATCH_LIMITS,
  isByMark,
  isRounded,
  levelSpoons,
  METRIC_SPOONS,
  planBatches,
  SPOON_LIMITS,
} from '../batch'
import {
  acidForTarget,
  acidityCourse,
  acidPerGram,
  calciteEquilibrium,
  chargeBalance,
  CHEMISTRY_LIMITS,
  JUDGED_AFTER,
  limeForReading,
  limeForTarget,
  nitrifierLag,
  SULFUR_JUDGED_AFTER,
} from '../chemistry'
import {
  coverSaving,
  dailyUse,
  depletionFraction,
  isWetMonth,
  rainCaught,
  risesTo,
  rootedVolume,
  WATERING_LIMITS,
} from '../climate'
import {
  cropById,
  LIMES,
  materialById,
  type Crop,
  type Dressing,
  type Element,
  type Material,
  type NitrogenForms,
} from '../data'
import { seasonOf } from '../data/seasons'
import { dressingById } from '../data/dressings'
import { evaluate, type Evaluation } from '../evaluate'
import { FILLING_LIMITS, natureOfMaterial, pressedLoss } from '../filling'
import { complexityOf, distinctKinds, FINDER_LIMITS, isMet, type Candidate } from '../finder'
import {
  judge,
  JUDGEMENT_LIMITS,
  standingOf,
  STEPS,
  verdictsOf,
  type JudgementCode,
  type JudgementQuestion,
  type Verdicts,
} from '../judgement'
import type { Limit } from '../limits'
import { daysToHarvest, followUp, restsFor, type FollowUpCode, type FollowUpQuestion } from '../season'
import { SEASON_LIMITS } from '../season/limits'
import { blend, type Blend } from '../mixing'
import {
  feedFlags,
  FLAG_LIMITS,
  IMMEDIATE,
  ionConcerns,
  WATER_ION_LIMITS,
  type WaterIons,
  supplyOf,
  supplyOfDressings,
  type DressingDose,
  type FeedFlag,
} from '../nutrients'
import { lostStructure } from '../structure'
import { bandsOf, targetsFor, type Bands } from '../targets'
import { containerProfile, dryingLimits, tensionAtBase, WATER_LIMITS } from '../water'
import {
  entryTensionOf,
  moveWaterAtOnce,
  mualemConductivity,
  MOVING_LIMITS,
  type MovingLayer,
  type MovingProblem,
} from '../water/moving'
import { parts } from './arbitraries'

/**
 * Every limit as it is known, tried from both sides: what comes out a little below it and a little above it must
 * differ. A limit changed by a tenth no longer lies between the two, and fails.
 */
interface Trial {
  at: number
  /** What is decided at a value. */
  decides: (x: number) => unknown
  /** How far to either side, as a share of the limit. */
  by?: number
}
const trial = (at: number, decides: Trial['decides'], by = 0.03): Trial => ({ at, decides, by })

function everyLimit<Id extends string>(
  name: string,
  limits: Readonly<Record<Id, Pick<Limit, 'value'>>>,
  trials: Record<Id, Trial>,
  /** Those that count as above when they are met to the last digit; the others count as below. */
  metIsAbove: readonly NoInfer<Id>[],
) {
  describe(name, () => {
    test('a limit met to the last digit lies on its own side', () => {
      const above = (Object.entries(trials) as [Id, Trial][]).filter(
        ([, { at, decides, by }]) => !isDeepStrictEqual(decides(at), decides(at * (1 - by!))),
      )
      expect(above.map(([id]) => id)).toEqual(metIsAbove)
    })
    test.each(Object.entries(trials) as [Id, Trial][])(
      '%s decides where it is said to',
      (id, { at, decides, by }) => {
        // Whole rows in a test; the page is built without their ranges.
        const { value, low, high, unit, source } = limits[id] as Limit
        expect(value).toBe(at)
        expect(low <= value && value <= high).toBe(true)
        expect(unit.length * source.length).toBeGreaterThan(0)
        expect(decides(at * (1 - by!))).not.toEqual(decides(at * (1 + by!)))
      },
    )
  })
}

const PEAT = { pH: 4, bufferCapacity: 40 }
const LIME = [{ lime: LIMES[0]!, share: 1 }]
const SULFUR = once(() => dressingById('sulfur_elemental')!)
const pot = {
  shape: { kind: 'roundPot' as const, topDiameter: 30, baseDiameter: 30, height: 25 },
  headspace: 0,
  base: { kind: 'drainHoles' as const },
}

everyLimit(
  'Amounts',
  AMOUNT_LIMITS,
  {
    // A typed dose of lime or of a dressing is held to these where a recipe is prepared.
    leastLime: trial(0.1, (x) => x > AMOUNT_LIMITS.leastLime.value),
    leastDose: trial(0.005, isDose),
    containers: trial(5000, (x) => countProblem(Math.round(x))),
  },
  [],
)

/** A mix that no charge moves, with nitrifiers from the first days on. */
const still = (pH: number) => ({ pH, bufferCapacity: 1e12, liveShare: 1 })
const limed = (pH: number) =>
  acidityCourse(still(pH), { limes: [{ lime: LIMES[0]!, gramsPerLitre: 1 }] }, 0.5).at(-1)!.reacted
/** One gram of something of which all is free at once, and its acid by the day. */
function acidOf(pH: number, id: string, forms: Partial<NitrogenForms> | null, days: number) {
  const row = dressingById(id)!
  const dressing = {
    ...row,
    release: { ...row.release, ratePerDay: { value: 1e4 }, fraction: { value: 1 } },
    nitrogenForms: forms && { nitrate: 0, ammonium: 0, urea: 0, organic: 0, ...forms },
  } as Dressing
  const acids = [{ dressing, gramsPerLitre: 1 }]
  return acidityCourse(still(pH), { acids }, days, 1).map((s) => s.acid)
}
/** Rate per day, from the acid of three days in a row. */
const rateFrom = ([a, b, c]: number[]) => Number((-Math.log((c! - b!) / (b! - a!))).toFixed(6))
const nitrified = (pH: number) => acidOf(pH, 'ammonium_sulfate', { ammonium: 1 }, 9).slice(-3)
/**
 * Acid of the same in nine days at a rate, by small steps: two for each of 15 mmol nitrified, half a mmol taken off.
 */
function nitrifiedAt(rate: number) {
  const [all, rest] = [(0.21 * 1000) / 14.007, acidPerGram(dressingById('ammonium_sulfate')!)]
  let grown = 0
  for (let day = 0.005; day < 9; day += 0.01) grown += (0.01 * (day / 3) ** 4) / (1 + (day / 3) ** 4)
  return 2 * all * -Math.expm1(-rate * grown) + rest - 1.5 * all
}
const taken = (pH: number, day: number) => acidOf(pH, 'potassium_nitrate', { nitrate: 1 }, day + 1).slice(-3)
const ALL_TAKEN = once(() => taken(7, 900)[2]!)
/** Share taken up on a day, per day. */
const takenOn = (day: number) => {
  const [before, , after] = taken(7, day) as [number, number, number]
  return Math.log((before - ALL_TAKEN()) / (after - ALL_TAKEN())) / 2
}
const saltAcid = (pH: number) => acidOf(pH, 'iron_sulfate', null, 1).at(-1)!
/** Of diammonium phosphate: base besides what its nitrogen does. */
const saltBase = (pH: number) =>
  acidOf(pH, 'dap', { ammonium: 1 }, 1).at(-1)! - acidOf(9, 'dap', { ammonium: 1 }, 1).at(-1)!
const sulfurAcid = (pH: number) =>
  acidityCourse(still(pH), { acids: [{ dressing: SULFUR(), gramsPerLitre: 1 }] }, 1).at(-1)!.acid
/** Buffer of a mix without water. */
const dryBuffer = (pH: number) =>
  Number(chargeBalance({ pH: 6, bufferCapacity: 1, waterContent: 1e-15 }).slope(pH).toFixed(9))
const moistAt9 = (waterContent?: number) => chargeBalance({ pH: 7, bufferCapacity: 1, waterContent }).at(9)
const based = (pH: number) =>
  acidityCourse(still(pH), { limes: [{ lime: { ...LIMES[0]!, soluble: true }, gramsPerLitre: 1 }] }, 0.5).at(
    -1,
  )!.reacted
/** Hydroxide that is laid down as calcite, and dissolves again when acid comes on day 30. */
const laid = (() => {
  const lime = { ...LIMES[0]!, soluble: true, ratePerDay: { ...LIMES[0]!.ratePerDay, value: 1e4 } }
  const acids = [{ dressing: dressingById('iron_sulfate')!, gramsPerLitre: 60, from: 30 }]
  const above = acidityCourse({ pH: 8, bufferCapacity: 100 }, { limes: [{ lime, gramsPerLitre: 3 }] }, 6, 1)
  const dissolving = acidityCourse(
    { pH: 7, bufferCapacity: 5 },
    { limes: [{ lime, gramsPerLitre: 3 }], acids },
    42,
    1,
  )
  return { above: above.map((s) => s.laidDown), dissolving: dissolving.map((s) => -s.laidDown) }
})()
/** Does carbonate hold the pH of a mix in which hydroxide waits? */
const isCarbonated = (pH: number) => {
  const slope = (to?: number) => chargeBalance({ pH: 7, bufferCapacity: 1 }, to).slope(pH)
  return slope(CHEMISTRY_LIMITS.carbonatedTo.value) === slope()
}
/** Laid down in the tenth day of much hydroxide, mmol of charge per litre. */
const HYDRATED_LAID = once(() => {
  const lime = { ...LIMES[0]!, soluble: true, ratePerDay: { ...LIMES[0]!.ratePerDay, value: 1e4 } }
  const days = acidityCourse({ pH: 8, bufferCapacity: 5 }, { limes: [{ lime, gramsPerLitre: 10 }] }, 10, 1)
  return days[10]!.laidDown - days[9]!.laidDown
})
/** What is laid down in a day of water that keeps a mix above the equilibrium, over the charge above it. */
const overLaid = once(() => {
  const mix = { pH: 7, bufferCapacity: 5 }
  const [before, after] = acidityCourse(mix, { waterAlkalinity: 4 }, 60, 1).slice(-2)
  const { at } = chargeBalance(mix)
  return (after!.laidDown - before!.laidDown) / (at(after!.pH) - at(calciteEquilibrium()))
})
/** Calcium of the water of a mix with lime in plenty in which acid has worked, from where its lime stops dissolving. */
const calciumAfter = (acid: number) => {
  const iron = dressingById('iron_sulfate')!
  const end = acidityCourse(
    { pH: 7, bufferCapacity: 1 },
    {
      limes: [
        { lime: { ...LIMES[0]!, ratePerDay: { ...LIMES[0]!.ratePerDay, value: 1e3 } }, gramsPerLitre: 1e4 },
      ],
      acids: [{ dressing: iron, gramsPerLitre: acid / acidPerGram(iron) }],
      waterAlkalinity: 1e-9,
    },
    2000,
    2000,
  ).at(-1)!
  return 10 ** (2 * (calciteEquilibrium(undefined, 1) - end.pH))
}
const ownDissolving = once(() =>
  acidityCourse({ pH: 4, bufferCapacity: 1e9, carbonate: 100 }, {}, 6, 1)
    .slice(-3)
    .map((s) => s.fromOwn),
)
const okLime = (target: number) => {
  const answer = limeForTarget({ pH: 9, bufferCapacity: 40 }, { choice: LIME, target })
  return answer.ok || answer.problem.code
}
const okAcid = (target: number) => {
  const answer = acidForTarget({ pH: 2, bufferCapacity: 40 }, { dressing: SULFUR(), target })
  return answer.ok || answer.problem.code
}
/** More lime for a mix that reads so far short of its target. */
const moreLimeFor = (short: number) => {
  const answer = limeForReading(still(6), { choice: LIME, target: 6 }, {}, [{ pH: 6 - short, day: 0 }])
  return answer.ok ? answer.value.limeGramsPerLitre : NaN
}
/** Acid a gram of sulfur has made when it is judged, mmol of charge. */
const ACID_PER_GRAM = once(
  () =>
    acidityCourse(
      { pH: 7, bufferCapacity: 1e9 },
      { acids: [{ dressing: SULFUR(), gramsPerLitre: 1 }] },
      84,
    ).at(-1)!.acid,
)
everyLimit(
  'Chemistry',
  CHEMISTRY_LIMITS,
  {
    // Below it lime dissolves as fast as at any pH, above it more slowly.
    fullRatePH: trial(5.4, (pH) => limed(pH) === limed(3)),
    bufferFrom: trial(3.2, (pH) => dryBuffer(pH) === 1),
    bufferTo: trial(7.8, (pH) => dryBuffer(pH) === 1),
    bufferFades: trial(1, (out) => dryBuffer(7.8 + out) === dryBuffer(9.5)),
    bufferRest: trial(0.1, (rest) => dryBuffer(9.5) > rest),
    waterContent: trial(0.4, (water) => moistAt9(water) > moistAt9()),
    carbonDioxide: trial(0.004, (pressure) => calciteEquilibrium(pressure) < calciteEquilibrium()),
    calciumInWater: trial(3, (calcium) => calciteEquilibrium(undefined, calcium) < calciteEquilibrium()),
    solubleFull: trial(12, (pH) => based(pH) === based(8)),
    solubleNone: trial(12.5, (pH) => based(pH) > 0),
    // Beyond it the water takes hydroxide alone.
    carbonatedTo: trial(8.6, isCarbonated),
    carbonSupply: trial(5, (supply) => supply > HYDRATED_LAID()),
    laidDown: trial(0.1, (half) => Math.LN2 / half > overLaid()),
    acidCalcium: trial(0.5, (share) => 3 + (share * 8) / 2 / 0.4 > calciumAfter(8)),
    gypsumCalcium: trial(15, (calcium) => calcium > calciumAfter(1000) * (1 - 1e-9)),
    ownCarbonate: trial(0.05, (rate) => rate > rateFrom(ownDissolving())),
    fineCalcite: trial(0.2, (rate) => rate > rateFrom(laid.dissolving.slice(-3))),
    nitrifies: trial(0.06, (rate) => nitrifiedAt(rate) > nitrified(7)[2]!, 0.1),
    nitrifyFull: trial(6.5, (pH) => nitrified(pH)[2] === nitrified(7)[2]),
    nitrifyNone: trial(4, (pH) => nitrified(pH)[2]! > nitrified(3.4)[2]! + 0.1),
    lagFresh: trial(14, (lag) => lag > nitrifierLag(0)),
    lagLive: trial(3, (lag) => lag > nitrifierLag(1)),
    liveShare: trial(0.1, (share) => nitrifierLag(share) === nitrifierLag(1)),
    takenUp: trial(0.03, (rate) => rate > rateFrom(taken(7, 400))),
    // Half of the roots are there after it.
    rootsLag: trial(21, (day) => takenOn(Math.round(day)) > 0.015, 0.05),
    rootsFull: trial(5, (pH) => taken(pH, 9)[2] === taken(7, 9)[2]),
    rootsNone: trial(3.5, (pH) => taken(pH, 60)[2]! < taken(3, 60)[2]! - 0.05),
    saltAcidFull: trial(4, (pH) => saltAcid(pH) === saltAcid(6)),
    saltAcidNone: trial(3, (pH) => saltAcid(pH) > 0),
    saltBaseFull: trial(7.2, (pH) => saltBase(pH) === saltBase(7)),
    saltBaseNone: trial(8.2, (pH) => saltBase(pH) < 0),
    sulfurFull: trial(4, (pH) => sulfurAcid(pH) === sulfurAcid(6)),
    sulfurNone: trial(2.8, (pH) => sulfurAcid(pH) > 0),
    lime: trial(10, (grams) => {
      const most = limeForTarget({ pH: 4, bufferCapacity: 1e5 }, { choice: LIME, target: 6.5 })
      return most.ok && most.value.gramsPerLitre < grams
    }),
    leastLimeTarget: trial(3.5, okLime),
    mostLimeTarget: trial(8, okLime),
    leastAcidTarget: trial(3, okAcid),
    mostAcidTarget: trial(7.5, okAcid),
    // What takes so much acid for a unit of pH is brought down by the most there is, or not.
    acid: trial(
      10,
      (grams) =>
        acidForTarget({ pH: 7, bufferCapacity: grams * ACID_PER_GRAM() }, { dressing: SULFUR(), target: 6 })
          .ok,
    ),
    // What would leave it this far short is left as it is.
    readingTells: trial(0.2, (short) => moreLimeFor(short) === 0),
    limeJudged: trial(42, (day) => JUDGED_AFTER < day),
    sulfurJudged: trial(84, (day) => SULFUR_JUDGED_AFTER < day),
  },
  [
    'bufferFrom',
    'bufferFades',
    'bufferRest',
    'solubleNone',
    'laidDown',
    'nitrifyFull',
    'liveShare',
    'rootsFull',
    'saltAcidFull',
    'saltBaseNone',
    'sulfurFull',
    'leastLimeTarget',
    'leastAcidTarget',
    'acid',
    'readingTells',
  ],
)

const batches = (over: Partial<Parameters<typeof planBatches>[0]>) =>
  planBatches({
    parts: [{ id: 'a', twelfths: 12 }],
    blendingLoss: 0,
    wanted: 600,
    bucket: 10,
    vessel: 90,
    ...over,
  })
const count = (over: Parameters<typeof batches>[0]) => {
  const plan = batches(over)
  return plan.ok ? plan.value.batches.length : plan.problem.code
}
/** Can one part be measured in bucket and scoop? */
const inMeasures = (over: Parameters<typeof batches>[0]) => {
  const plan = batches({ ...over, parts: [{ id: 'a', twelfths: 12 }] })
  return plan.ok && !isByMark(plan.value)
}
everyLimit(
  'Batches',
  BATCH_LIMITS,
  {
    turn: trial(2 / 3, (share) => count({ vessel: 60 / share + 1e-9, wanted: 60 }), 0.06),
    // A bucket far too large, so that so many scoops of a litre are all there is to measure so many litres with.
    scoopsToALine: trial(4, (scoops) => inMeasures({ wanted: scoops, scoop: 1, bucket: 100 }), 0.06),
    markedScoop: trial(0.5, (scoop) => scoop >= BATCH_LIMITS.markedScoop.value),
    batchWork: trial(4, (actions) => actions > BATCH_LIMITS.batchWork.value),
    vesselBuckets: trial(2000, (buckets) => batches({ wanted: 60, vessel: buckets * 10 }).ok),
    batches: trial(400, (n) => count({ wanted: n * 60 }) === 'vessel-too-small'),
    slack: trial(0.005, (share) => count({ wanted: 60 / (1 - share) })),
    // One bucketful is so much more than is wanted: taken as it is, or not to be measured.
    tolerable: trial(0.05, (share) =>
      inMeasures({ wanted: 600 / (1 + share), vessel: 1500, bucket: 600, scoop: 600 }),
    ),
    // What a plan does with these three is held by the tests of batches.
    partMiss: trial(0.05, (miss) => miss > BATCH_LIMITS.partMiss.value),
    manyBatches: trial(1.5, (times) => times > BATCH_LIMITS.manyBatches.value),
    nextToNothing: trial(0.15, (share) => share > BATCH_LIMITS.nextToNothing.value),
    roundedShare: trial(0.005, (largestShareError) => isRounded({ largestShareError })),
  },
  ['markedScoop'],
)

everyLimit(
  'Spoons',
  SPOON_LIMITS,
  // A cup is off by so much: near enough alone, or a second measure goes with it.
  { near: trial(0.03, (off) => levelSpoons(250 / (1 - off), 1, METRIC_SPOONS).tablespoons > 0, 0.1) },
  ['near'],
)

const PEPPER = once(() => cropById('pepper_sweet')!)
const use = (surface: number, wetTop = false) =>
  dailyUse({
    reference: 1,
    crop: PEPPER(),
    plants: 0,
    surface,
    perimeter: 0,
    wall: 0,
    wallKind: 'closed',
    wetTop,
  }).value
/** Of 1 mm over no mouth to speak of, all of it under leaf, per litre it would catch bare. */
const caught = once(
  () => rainCaught({ rain: 1, crop: PEPPER(), plants: 1, surface: 1e-12, perimeter: 0 }) / 1e-12,
)
const flagged = (code: string, blended: Blend, crystals = 0) =>
  feedFlags(blended, [{ dressing: dressingById('polymer_gel')!, gramsPerLitre: crystals }], {
    depth: 25,
    temperature: 20,
  }).find((f) => f.code === code)
/** A mix of peat and as much uncharged biochar as takes up so much nitrogen. */
const charred = (takes: number) => {
  const mixed = blend(parts({ biochar_raw: takes / 100, peat_medium: 1 - takes / 100 }))
  if (!mixed.ok) throw new Error(mixed.problem.code)
  return mixed.value
}
/** Perlite alone, which feeds nothing, with some dressing, at a warmth, for a crop. */
const givenTo = (doses: DressingDose[], temperature = 20, crop?: Crop) => {
  const where = { depth: 25, temperature, crop }
  return feedFlags(PERLITE(), doses, where)
}
const flags = (code: FeedFlag['code'], ...asked: Parameters<typeof givenTo>) =>
  givenTo(...asked).some((f) => f.code === code)
/** So much of a dressing that it brings so many mg of an element to a litre by a day, at 20 C. */
const bringing = (dressing: Dressing, element: Element, mg: number, day: number): DressingDose => {
  const perGram = supplyOfDressings([{ dressing, gramsPerLitre: 1 }], 20)(day).charge[element]
  // A hair less, so that rounding does not decide what is met to the last digit.
  return { dressing, gramsPerLitre: (mg / perGram) * (1 - 1e-12) }
}
/** A salt of nitrogen, dissolved at once, with a share of it ammonium: mg to a litre of mix. */
const ammonium = (share: number, mg: number): DressingDose => {
  const salt = dressingById('ammonium_sulfate')!
  const nitrogenForms = { nitrate: 1 - share, ammonium: share, urea: 0, organic: 0 }
  return bringing({ ...salt, nitrogenForms }, 'nitrogen', mg, IMMEDIATE)
}
const feedOf = (id: string) => dressingById(id)!
const PERLITE = once(() => valueOf(blend(parts({ perlite_coarse: 1 }))))
/** With what the perlite brings, so much of an element in a season. */
const inAll = (id: string, element: Element, mg: number) =>
  bringing(feedOf(id), element, mg - supplyOf(PERLITE(), [], 20)(140).charge[element], 140)
const gypsum = (mg: number) => inAll('gypsum', 'calcium', mg)
/** 400 mg of calcium and so much magnesium that there is so many times as much calcium. */
const ratioOf = (times: number) => [gypsum(400), inAll('magnesium_sulfate', 'magnesium', 400 / times)]
/** Perlite with so much fresh wood that it ties up so much nitrogen in four weeks. */
const woody = (mg: number) => {
  const wood = (share: number) => valueOf(blend(parts({ wood_fibre: share, perlite_coarse: 1 - share })))
  const tied = (share: number) => supplyOf(wood(share), [], 20)(28).drawdown
  let [low, high] = [0, 1]
  for (let i = 0; i < 40; i++)
    [low, high] = tied((low + high) / 2) < mg ? [(low + high) / 2, high] : [low, (low + high) / 2]
  return feedFlags(wood(low), [], { depth: 25, temperature: 20 }).some((f) => f.code === 'drawdown-uncovered')
}
everyLimit(
  'Feed',
  FLAG_LIMITS,
  {
    coldMix: trial(15, (c) => flags('ammonium-when-cold', [ammonium(1, 200)], c)),
    ammoniumShare: trial(0.5, (share) => flags('ammonium-when-cold', [ammonium(share, 200)], 5)),
    ammoniumCounts: trial(20, (mg) => flags('ammonium-when-cold', [ammonium(1, mg)], 5)),
    boron: trial(1, (mg) => flags('boron-high', [bringing(feedOf('borax'), 'boron', mg, 28)])),
    slowBoron: trial(2, (mg) => flags('boron-high', [bringing(feedOf('fte_mix'), 'boron', mg, 140)])),
    phosphorusForHeaths: trial(40, (mg) =>
      flags(
        'phosphorus-for-sensitive',
        [bringing(feedOf('map'), 'phosphorus', mg, 140)],
        20,
        cropById('blueberry'),
      ),
    ),
    calciumCounts: trial(50, (mg) => flags('calcium-to-magnesium', [gypsum(mg)])),
    leastCalciumToMagnesium: trial(1.5, (times) => flags('calcium-to-magnesium', ratioOf(times))),
    mostCalciumToMagnesium: trial(8, (times) => flags('calcium-to-magnesium', ratioOf(times))),
    drawdownCounts: trial(20, woody),
    charTakes: trial(4, (mg) => flagged('char-uncharged', charred(mg)) !== undefined),
    crystalsSwell: trial(80, (mL) => {
      const flag = flagged('crystals-swell', charred(1), 1)
      return flag?.code === 'crystals-swell' && flag.share > mL / 1000
    }),
    swollenShare: trial(
      0.02,
      (share) => flagged('crystals-swell', charred(1), (1000 * share) / 80) !== undefined,
    ),
  },
  ['coldMix', 'crystalsSwell'],
)

/** A planting without anything to follow but what every one has. */
const PLANTED: FollowUpQuestion = {
  mixedBefore: 0,
  limed: false,
  transplanted: false,
  hungryFrom: null,
  harvest: null,
  waterEc: 0,
  season: undefined,
  coldFrom: null,
  perennial: false,
  restsFor: 0,
}
const followed = (code: FollowUpCode, change: Partial<FollowUpQuestion> = {}) =>
  followUp({ ...PLANTED, ...change }).filter((f) => f.code === code)
const dayOf = (code: FollowUpCode, change: Partial<FollowUpQuestion> = {}) => followed(code, change)[0]!.day
/** Growth of a crop that needs so much warmth at the least, in months of 12 C: nothing, for one counted from 12. */
const growsAt = (least: number) => {
  const lettuce = seasonOf('lettuce')!
  return daysToHarvest(
    { perennial: false, properties: { daysToMaturity: { low: 50, value: 60, high: 70 } } },
    { ...lettuce, temperature: { ...lettuce.temperature, least, low: 20 } },
    {
      latitude: 50,
      elevation: 0,
      months: Array.from({ length: 12 }, () => ({ tMin: 11, tMax: 13, rain: 50 })),
    },
    1,
  )!.from
}
everyLimit(
  'Season',
  SEASON_LIMITS,
  {
    // Days come to the whole day.
    firstPHTest: trial(14, (day) => dayOf('test-ph-first', { limed: true }) > day),
    secondPHTest: trial(42, (day) => dayOf('test-ph-again', { limed: true }) > day),
    shade: trial(7, (day) => followed('shade', { transplanted: true })[0]!.until! > day),
    feedBefore: trial(7, (days) => 40 - dayOf('feed', { hungryFrom: 40 }) > days),
    season: trial(180, (day) => followed('feed', { hungryFrom: day }).length, 0.01),
    look: trial(56, (day) => dayOf('top-up') > day),
    saltsUntil: trial(
      200,
      (day) => day > 56 * followed('check-salts', { waterEc: 9, harvest: { from: 1, to: 999 } }).length + 32,
    ),
    topUpWorthIt: trial(70, (to) => followed('top-up', { harvest: { from: 1, to } }).length),
    leastLookBack: trial(60, (day) => dayOf('look-back', { harvest: { from: 1, to: 1 } }) > day),
    lookBackAfter: trial(14, (days) => dayOf('look-back', { harvest: { from: 1, to: 100 } }) - 100 > days),
    perennialLookBack: trial(365, (day) => dayOf('look-back', { perennial: true }) > day),
    saltyWater: trial(0.7, (waterEc) => followed('check-salts', { waterEc }).length > 0),
    // Counted from 10 C growth at 12 C is slow, counted from 4 C it is more than half.
    warmSeason: trial(10, (least) => growsAt(least) > 100),
    restBegins: trial(9, (month) => restsFor(51, Math.floor(month)) > 0, 0.12),
    restEnds: trial(3, (month) => restsFor(51, Math.ceil(month)) > 0, 0.3),
  },
  // The days follow the limit itself; of the others what is met counts as below.
  [
    'firstPHTest',
    'secondPHTest',
    'shade',
    'feedBefore',
    'season',
    'look',
    'leastLookBack',
    'lookBackAfter',
    'perennialLookBack',
    'warmSeason',
    'restBegins',
  ],
)

/** Grains of one size only. */
const COARSE = [1, 0, 0, 0, 0, 0, 0, 0]
const FINE = [...COARSE].reverse()
everyLimit(
  'Watering',
  WATERING_LIMITS,
  {
    coverSaves: trial(0.5, (share) => coverSaving({ sizeShares: COARSE }, 5) > share),
    fineCoverSaves: trial(
      0.5,
      (times) => coverSaving({ sizeShares: FINE }, 5) / coverSaving({ sizeShares: COARSE }, 5) > times,
    ),
    wholeCover: trial(
      5,
      (cm) => coverSaving({ sizeShares: COARSE }, cm) === coverSaving({ sizeShares: COARSE }, 99),
    ),
    leastDepletion: trial(0.1, (p) => depletionFraction(p, 5) === depletionFraction(0.01, 5)),
    mostDepletion: trial(0.8, (p) => depletionFraction(p, 5) === depletionFraction(2, 5)),
    depletionPerMm: trial(0.04, (x) => depletionFraction(0.4, 4) < 0.4 + x, 0.01),
    depletionAt: trial(5, (use) => depletionFraction(0.4, use) > 0.4),
    bareSurface: trial(0.4, (x) => use(1) < x),
    wetTop: trial(0.85, (x) => use(1, true) < x),
    // All of a leaf hangs over a rim of no mouth: what is left of the rain is what it does not shed.
    rainShed: trial(0.5, (x) => 1 - caught() > x),
    rootsReach: trial(2, (x) => rootedVolume(PEPPER(), 1, 1e9) > x * PEPPER().properties.minRootVolume.value),
    // A litre of roots over a square decimetre of 0.1 m2, in 60 L: 25 cm below them hold 2.5 L.
    risesToRoots: trial(0.5, (x) => risesTo(1, 0.1, { surface: 0.1, mixVolume: 60 }) < x * 2.5),
    risesFrom: trial(25, (cm) => risesTo(1, 0.1, { surface: 0.1, mixVolume: 60 }) < 0.05 * cm),
    wetMonth: trial(1.5, (x) => isWetMonth({ rain: x, use: { value: 1 } })),
  },
  ['coverSaves', 'fineCoverSaves', 'wholeCover', 'mostDepletion', 'depletionAt', 'rainShed', 'rootsReach'],
)

const onSoil = (texture: 'coarse' | 'loam' | 'clay') => ({
  ...pot,
  base: { kind: 'onSoil' as const, texture },
})
/** Layers whose water falls in one step at a tension: what is easy and what is held then tells where the limits lie. */
const stepped = (container: typeof pot | ReturnType<typeof onSoil>, at: number) =>
  containerProfile(container, [{ top: 25, totalPorosity: 0.8, waterAt: (h) => (h < at ? 0.6 : 0.1) }])
everyLimit(
  'Water',
  WATER_LIMITS,
  {
    subsoilCoarse: trial(60, (h) => tensionAtBase(onSoil('coarse')) < h),
    subsoilLoam: trial(100, (h) => tensionAtBase(onSoil('loam')) < h),
    subsoilClay: trial(150, (h) => tensionAtBase(onSoil('clay')) < h),
    easyInPots: trial(50, (h) => stepped(pot, h).drainedToEasy > 0.1),
    bufferInPots: trial(100, (h) => stepped(pot, h).waterBufferingCapacity > 0.1),
    easyInGround: trial(400, (h) => stepped(onSoil('loam'), h).drainedToEasy > 0.1),
    bufferInGround: trial(800, (h) => stepped(onSoil('loam'), h).waterBufferingCapacity > 0.1),
  },
  [],
)
const stuff = (top: number, air: number): MovingLayer => ({
  top,
  hydraulics: {
    totalPorosity: 0.6,
    waterAt: (h) => (0.6 - air) * (1 - 1e-3 * Math.log(1 + h)),
    conductivityAt: () => 1e-12,
  },
})
/** Stuff that, drained, is nearly full up to a height and open above it: pores of one width. */
const drownedTo = (height: number): MovingLayer => {
  const { top, hydraulics } = stuff(25, 0)
  const waterAt = (h: number) => 0.25 + 0.3 / (1 + Math.exp(20 * (h - height)))
  return { top, hydraulics: { ...hydraulics, waterAt } }
}
/** A pot of stuff that holds still: the same tension everywhere and hardly a flow, for a few hours around noon. */
const standingStill = (tension: number, layer = stuff(25, 0.3), begin?: MovingProblem['begin']) => {
  const answer = moveWaterAtOnce({
    container: pot,
    layers: [layer],
    below: { kind: 'free' },
    begin: begin ?? { kind: 'even', tension },
    hours: 2,
    clock: 11,
    cells: 40,
    pulses: [],
    day: { uptake: 1e-6, evaporation: 0, wall: 0, saucer: 0 },
  })
  if (!answer.ok) throw new Error(answer.problem.code)
  return answer.value
}
const { driestInPots, thirst } = MOVING_LIMITS
/** Tension at which roots meet so much of the demand. */
const tensionAt = (met: number) => 50 * (driestInPots.value / 50) ** (1 - met)
/** A stuff that gives up half of its water at a tension and the rest at 10 cm. */
const twoPores = (at: number) => mualemConductivity((h) => (h < at ? 0.6 : h < 10 ? 0.3 : 0.1), 1)(5)
everyLimit(
  'MovingWater',
  MOVING_LIMITS,
  {
    widestPore: trial(1, (x) => Math.abs(twoPores(x) / twoPores(0.3) - 1) > 1e-3, 0.1),
    stalls: trial(0.02, (k) => entryTensionOf({ conductivityAt: () => k }) > 25),
    airlessRoots: trial(
      0.5,
      (share) => standingStill(0, drownedTo(25 * share), { kind: 'drained' }).hoursShortOfAir > 0,
      0.1,
    ),
    airForRoots: trial(0.1, (air) => standingStill(30, stuff(25, air)).hoursShortOfAir > 0),
    rootsMakeUp: trial(
      1,
      (x) => standingStill(tensionAt(0.8)).book.takenUp > (0.8 / x) * standingStill(30).book.takenUp,
    ),
    driestInPots: trial(1500, (h) => standingStill(h).book.takenUp < 1e-12),
    wilts: trial(0.5, (met) => standingStill(tensionAt(met)).firstWilting === null),
    thirst: trial(0.9, (met) => standingStill(tensionAt(met)).firstThirst === null),
  },
  ['widestPore', 'airForRoots', 'driestInPots'],
)
test('thirst comes before wilting', () => expect(thirst.value).toBeGreaterThan(MOVING_LIMITS.wilts.value))
test('a bed open to soil dries to other limits than a pot', () => {
  expect(dryingLimits(pot)).toEqual({ easy: 50, buffer: 100 })
  expect(dryingLimits(onSoil('clay'))).toEqual({ easy: 400, buffer: 800 })
})

const found = (n: number) => ({ parts: [{ id: 'peat_medium', parts: n }] })
/** A recipe that costs so much. */
const alike = (costPerLitre: number) =>
  ({ parts: [{ id: 'pumice', parts: 1 }], misses: {}, figures: { costPerLitre } }) as unknown as Candidate
everyLimit(
  'Finder',
  FINDER_LIMITS,
  {
    met: trial(0.25, isMet),
    oddParts: trial(24, (n) => complexityOf(found(n), PUBLISHED) > 1),
    // How many are looked at as the bench would: held by its value alone.
    judged: trial(24, (n) => n > FINDER_LIMITS.judged.value),
    cheaperOfAKind: trial(0.15, (saved) => distinctKinds([alike(1), alike(1 - saved)], PUBLISHED).length),
  },
  ['met'],
)

// --- What stands out ---

const base = once(() =>
  valueOf(
    evaluate({
      container: pot,
      parts: parts({ peat_medium: 3, perlite_coarse: 1 }),
      limes: LIME,
      limeGramsPerLitre: 0,
    }),
  ),
)
const BERRY = once(() => cropById('blueberry')!)
const row = (id: string, more: Partial<Material> = {}): Material => ({ ...materialById(id)!, ...more })
const QUESTION = once<JudgementQuestion>(() => ({
  evaluation: base(),
  container: pot,
  parts: parts({ peat_medium: 3, perlite_coarse: 1 }),
  limes: LIME,
  airWanted: { low: 0, high: 1 },
  pHWanted: { low: 0, high: 14 },
  liftable: null,
  wind: null,
  wide: false,
  waterEvery: null,
  waterAlkalinity: 0,
  calciumGiven: 0,
  dressings: [],
}))
const judged = (evaluation: Partial<Evaluation>, q: Partial<JudgementQuestion> = {}) =>
  judge({ ...QUESTION(), evaluation: { ...base(), ...evaluation }, ...q })
const codes = (...asked: Parameters<typeof judged>) => judged(...asked).map((j) => `${j.level} ${j.code}`)
const says =
  (code: JudgementCode, level = 'warn') =>
  (list: string[]) =>
    list.includes(`${level} ${code}`)
const mix = (over: Partial<Evaluation['mix']>) => ({ mix: { ...base().mix, ...over } })
const shares = (...list: [material: Material, share: number][]) => ({
  blend: { ...base().blend, shares: list.map(([material, share]) => ({ material, share })) },
})
const salts = (saturatedExtract: number) => ({
  salts: {
    ...base().salts,
    mix: {
      ...base().salts.mix,
      electricalConductivity: { ...base().salts.mix.electricalConductivity, saturatedExtract },
    },
    most: { day: 0, saturatedExtract },
  },
})
/** Salts that rise from none to what costs so much of a crop. */
const risen = (lost: number) => {
  const p = { saltThreshold: { value: 2.5 }, saltSlope: { value: 0.1 } }
  const water = { conductivity: 1, held: 0.5, amounts: [] }
  const to = p.saltThreshold.value + lost / p.saltSlope.value
  return { salts: { ...salts(0).salts, most: { day: 70, saturatedExtract: to }, water } }
}
const course = (from: number, to: number) => ({
  acidity: [
    { ...base().acidity[0]!, day: 42, pH: from },
    { ...base().acidity[0]!, day: 140, pH: to },
  ],
})
const SMALL = once(() => mix({ mixVolume: 0.5 }))
const bands = once(() =>
  bandsOf(targetsFor({ crops: [], inGround: false, height: null, carried: false, waterEvery: 2 })),
)
const verdicts = (evaluation: Partial<Evaluation>) => verdictsOf({ ...base(), ...evaluation }, bands(), true)
const seasons = (volumeLost: number, airFilledPorosity = 0.3) => ({
  seasons: [{ ...base().seasons.find((s) => s.years === 3)!, volumeLost, airFilledPorosity }],
})
const growing = (days: number) =>
  ({
    thirstiestMonth: 7,
    wetMonths: [],
    watering: Array.from({ length: 12 }, () => ({ days: { value: days } })),
    feeding: {},
  }) as unknown as Evaluation['growing']
/** Grown with so many days between waterings, fed to a share of its season. */
const fed = (days: number, share: number) =>
  ({
    ...growing(days),
    feeding: { fed: share, met: { nitrogen: share } },
  }) as unknown as Evaluation['growing']
/** A profile drowned over a share of its depth, to an amount of air. */
const drowned = (share: number, air: number) => ({
  profile: {
    ...base().profile,
    slices: Array.from({ length: 1000 }, (_, i) => ({
      ...base().profile.slices[0]!,
      height: ((i + 0.5) * 25) / 1000,
      air: i < share * 1000 ? air : 0.3,
    })),
  },
})
/** Lime of so much at a pH, where half of it comes to another. */
const withLime = (gramsPerLitre: number, pH: number) => ({
  lime: { ...base().lime, gramsPerLitre, pH, doses: [] },
  blend: { ...base().blend, pH: 6.9, bufferCapacity: 1e6 },
})

everyLimit(
  'Filling',
  FILLING_LIMITS,
  {
    washesIn: trial(
      0.2,
      (share) => natureOfMaterial({ ...materialById('gravel_pea')!, sizeShares: COARSE }).washesIn > share,
    ),
    firmed: trial(0.07, (loss) => pressedLoss('firmed') > loss),
    pressed: trial(0.15, (loss) => pressedLoss('pressed') > loss),
    seedlingVolume: trial(1, (mixVolume) =>
      codes({ ...mix({ mixVolume }), ...salts(5) }).some((c) => c.endsWith('rich-for-seedlings')),
    ),
  },
  ['washesIn', 'firmed', 'pressed', 'seedlingVolume'],
)
everyLimit(
  'Judgement',
  JUDGEMENT_LIMITS,
  {
    shareSlack: trial(0.005, (s) =>
      codes(mix({ airFilledPorosity: 0.2 - s }), { airWanted: { low: 0.2, high: 1 } }),
    ),
    pHSlack: trial(0.05, (s) => verdicts({ lime: { ...base().lime, pH: bands().pH.high + s } }).pH),
    // No crop is named there: the usual threshold and a tenth for each dS/m beyond it.
    graveSalts: trial(0.25, (lost) => codes(risen(lost)).filter((c) => c.includes('salts-rise'))),
    saltsSlack: trial(0.05, (s) => verdicts(salts(bands().electricalConductivity!.high + s)).salts),
    daysSlack: trial(0.25, (s) => verdicts({ growing: growing(2 - s) }).days),
    fed: trial(0.95, (x) => verdicts({ growing: fed(9, x) }).feed),
    graveAir: trial(0.5, (s) =>
      codes(mix({ airFilledPorosity: 0.2 * s }), { airWanted: { low: 0.2, high: 1 } }),
    ),
    drownedAir: trial(0.04, (air) => says('foot-drowned')(codes(drowned(0.9, air)))),
    drownedDepth: trial(1 / 3, (share) => says('foot-drowned')(codes(drowned(share, 0)))),
    wetPlaceAir: trial(1 / 3, (share) =>
      says('stays-wet')(
        codes(
          {
            ...mix({ airFilledPorosity: 0.2 + share * 0.1 }),
            growing: { ...growing(2), wetMonths: [11] } as Evaluation['growing'],
          },
          { airWanted: { low: 0.2, high: 0.3 } },
        ),
      ),
    ),
    wetSeasonAir: trial(2 / 3, (share) =>
      says('stays-wet')(
        codes(
          {
            ...mix({ airFilledPorosity: 0.2 + share * 0.1 }),
            growing: {
              ...growing(2),
              standing: [5, 6, 7],
              wetMonths: [5, 6, 7],
              thirstiestMonth: 7,
            } as Evaluation['growing'],
          },
          { airWanted: { low: 0.2, high: 0.3 } },
        ),
      ),
    ),
    sandShare: trial(
      0.06,
      (share) =>
        codes({
          ...shares([row('sand_sharp'), share], [row('peat_medium'), 1 - share]),
          ...mix({ airFilledPorosity: 0.01 }),
        }).length,
    ),
    sandGain: trial(0.01, (gain) => {
      const sandless = base().mix.airFilledPorosity
      return codes(
        {
          ...shares([row('sand_sharp'), 0.3], [row('peat_medium'), 0.7]),
          ...mix({ airFilledPorosity: sandless - gain }),
        },
        { parts: parts({ sand_sharp: 1, peat_medium: 3, perlite_coarse: 1 }) },
      ).filter((c) => c.includes('sand')).length
    }),
    limeAsked: trial(1, (g) => says('lime-does-little')(codes(withLime(g, 7.1)))),
    limePlateau: trial(7, (pH) => says('lime-does-little')(codes(withLime(5, pH))), 0.01),
    limeHardly: trial(0.3, (more) => says('lime-does-little')(codes(withLime(5, 6.9 + more)))),
    pHCreep: trial(0.4, (creep) =>
      says('water-raises-ph')(codes(course(6.5, 6.5 + creep), { pHWanted: { low: 5, high: 6 } })),
    ),
    acidCrop: trial(5.6, (high) =>
      says('hard-water-for-acid')(
        codes(course(5, 5), { crop: BERRY(), waterAlkalinity: 4, pHWanted: { low: 4, high } }),
      ),
    ),
    hardWater: trial(2, (waterAlkalinity) =>
      says('hard-water-for-acid')(
        codes(course(5, 5), { crop: BERRY(), waterAlkalinity, pHWanted: { low: 4, high: 5 } }),
      ),
    ),
    seedlingSalts: trial(1.3, (ec) => says('rich-for-seedlings')(codes({ ...SMALL(), ...salts(ec) }))),
    seedlingManure: trial(0.01, (share) =>
      says('rich-for-seedlings')(
        codes({
          ...SMALL(),
          ...salts(0),
          ...shares([row('manure_cattle_composted'), share], [row('peat_medium'), 1 - share]),
        }),
      ),
    ),
    compost: trial(0.4, (share) =>
      says(
        'much-compost',
        'note',
      )(codes(shares([row('compost_green'), share], [row('peat_medium'), 1 - share]))),
    ),
    goneHalf: trial(0.5, (lost) => {
      const peat = row('peat_medium')
      const of = (years: number): Material => ({
        ...peat,
        properties: {
          ...peat.properties,
          structuralHalfLife: { ...peat.properties.structuralHalfLife, value: years },
        },
      })
      // A half-life of three years loses half in three at its own temperature; the rest is a matter of powers of two.
      const pace = -Math.log2(1 - lostStructure(of(3), 3, 15))
      const rots = of((-3 * pace) / Math.log2(1 - lost))
      const found = judged({ ...shares([rots, 1]), ...seasons(0.4) }, { crop: BERRY() })
      return found.flatMap((j) => (j.code === 'slumps' ? j.going : [])).length
    }),
    rootNitrogen: trial(150, (mg) => {
      const rich = { ...growing(2)!, feeding: { earlyNitrogen: mg } }
      return says('nitrogen-for-roots')(
        codes({ growing: rich as unknown as Evaluation['growing'] }, { crop: cropById('carrot')! }),
      )
    }),
    coirShare: trial(0.3, (share) =>
      says(
        'coir-wants-calcium',
        'note',
      )(codes(shares([row('coir_pith'), share], [row('peat_medium'), 1 - share]))),
    ),
    coirCalcium: trial(300, (calciumGiven) =>
      says('coir-wants-calcium', 'note')(codes(shares([row('coir_pith'), 1]), { calciumGiven })),
    ),
    slump: trial(0.2, (lost) => says('slumps')(codes(seasons(lost), { crop: BERRY() }))),
    slumpAir: trial(0.02, (s) =>
      says('slumps')(codes(seasons(0, 0.25 - s), { crop: BERRY(), airWanted: { low: 0.25, high: 1 } })),
    ),
  },
  [
    'fed',
    'graveAir',
    'drownedAir',
    'drownedDepth',
    'wetPlaceAir',
    'wetSeasonAir',
    'sandShare',
    'pHCreep',
    'hardWater',
    'goneHalf',
    'coirCalcium',
  ],
)
/** Steps of a figure outside bands of its own. */
const stepsOf = (figure: keyof Verdicts, change: Partial<Evaluation>, more: Partial<Bands> = {}) =>
  standingOf({ ...base(), ...change }, { bands: { ...bands(), ...more }, perennial: true }, []).misses[
    figure
  ] ?? 0
everyLimit(
  'Steps',
  STEPS,
  {
    air: trial(
      0.02,
      (x) =>
        stepsOf('air', mix({ airFilledPorosity: 0.2 - x }), { airFilledPorosity: { low: 0.2, high: 1 } }) > 1,
    ),
    water: trial(
      0.02,
      (x) =>
        stepsOf('water', mix({ easilyAvailableWater: 0.2 - x }), {
          easilyAvailableWater: { low: 0.2, high: 1 },
        }) > 1,
    ),
    pH: trial(0.2, (x) => stepsOf('pH', { lime: { ...base().lime, pH: bands().pH.high + x } }) > 1),
    salts: trial(0.5, (x) => stepsOf('salts', salts(bands().electricalConductivity!.high + x)) > 1),
    days: trial(0.25, (x) => stepsOf('days', { growing: fed(2 / (1 + x), 1) }) > 1),
    weight: trial(
      0.1,
      (x) =>
        stepsOf(
          'weight',
          { weights: { ...base().weights, drained: 10 * (1 + x) } },
          {
            drainedWeight: { low: 0, high: 10 },
          },
        ) > 1,
    ),
    feed: trial(0.1, (x) => stepsOf('feed', { growing: fed(9, 1 - x) }) > 1),
    lasting: trial(0.05, (x) => stepsOf('lasting', seasons(0.2 + x)) > 1),
  },
  ['pH', 'weight'],
)
test('what a verdict says for the screen is what a warning says', () => {
  const slumped = seasons(0.21)
  expect(verdicts(slumped).lasting).toBe('high')
  expect(verdictsOf({ ...base(), ...slumped }, bands(), false).lasting).toBe('plain')
  expect(verdicts({ growing: growing(99) }).days).toBe('good')
  expect(limeForTarget(PEAT, { choice: LIME, target: 6.5 }).ok).toBe(true)
})

test('what is met to the last digit is not said, and what is said carries its figures', () => {
  const creeps = (from: number, to: number, high: number) =>
    says('water-raises-ph')(codes(course(from, to), { pHWanted: { low: -9, high } }))
  const { pHCreep, pHSlack } = JUDGEMENT_LIMITS
  expect([creeps(0, pHCreep.value, -1), creeps(0, 2 * pHCreep.value, -1)]).toEqual([false, true])
  expect([creeps(4, 6 + pHSlack.value, 6), creeps(4, 6.1, 6)]).toEqual([false, true])
  const PEPPER_CROP = cropById('pepper_sweet')!
  const rot = (days: number, waterEvery: number | null) =>
    says('blossom-end-rot')(codes({ growing: growing(days) }, { crop: PEPPER_CROP, waterEvery }))
  expect([rot(1.75, 2), rot(1.7, 2), rot(0.75, null), rot(0.7, null), rot(1.05, null)]).toEqual([
    false,
    true,
    false,
    true,
    false,
  ])
  expect(judged(course(5, 8), { pHWanted: { low: 5, high: 6 } })).toContainEqual(
    expect.objectContaining({ code: 'water-raises-ph', weeks: 20 }),
  )
  const third = base().seasons.find((s) => s.years === 3)!
  const years = [1, 3, 2].map((y) => ({ ...third, years: y, volumeLost: 0.5 }))
  expect(judged({ seasons: years }, { crop: BERRY() })).toContainEqual(
    expect.objectContaining({ code: 'slumps', years: 3 }),
  )
  const doses = [{ lime: { ...LIMES[0]!, calcium: 0.4 }, gramsPerLitre: 0.5 }]
  expect(
    judged({ ...shares([row('coir_pith'), 1]), lime: { ...base().lime, doses } }, { calciumGiven: 20 }),
  ).toContainEqual(expect.objectContaining({ code: 'coir-wants-calcium', calcium: 220 }))
})

const concern = (ions: WaterIons, crop: string | null = null) => ionConcerns(ions, crop)[0]
everyLimit(
  'Ions of the water',
  WATER_ION_LIMITS,
  {
    sodiumWatch: trial(70, (sodium) => concern({ sodium }) === undefined),
    sodiumStop: trial(200, (sodium) => concern({ sodium })?.stop === false),
    chlorideWatch: trial(140, (chloride) => concern({ chloride }) === undefined),
    chlorideStop: trial(350, (chloride) => concern({ chloride })?.stop === false),
    boronWatch: trial(0.75, (boron) => concern({ boron }) === undefined, 0.01),
    boronStop: trial(2, (boron) => concern({ boron })?.stop === false),
    tender: trial(0.5, (share) => concern({ chloride: 140 * share }, 'strawberry') === undefined, 0.01),
  },
  [],
)
everyLimit(
  'Watering plan',
  PLAN_LIMITS,
  {
    worthwhile: trial(0.2, (days) =>
      isWorthOffering({ untilThirst: 0 + days, hoursShortOfAir: 0 }, { untilThirst: 0, hoursShortOfAir: 0 }),
    ),
    airless: trial(6, (hours) =>
      isWorthOffering({ untilThirst: 9, hoursShortOfAir: hours }, { untilThirst: 1, hoursShortOfAir: 0 }),
    ),
  },
  ['worthwhile'],
)
