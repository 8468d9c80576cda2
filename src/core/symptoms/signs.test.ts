import { describe, expect, test } from 'vitest'
import { CAUSES, evidenceOf, rankCauses, SIGNS, SYMPTOMS, type BedFacts, type SignId } from '.'

/** A bed with nothing wrong: every figure well inside what is wanted, nothing read, nothing given lately. */
const WELL: BedFacts = {
  pH: { value: 6.2, isRead: false },
  pHBand: { low: 5.8, high: 6.8 },
  salts: { value: 1.2, isRead: false },
  saltLimit: 2,
  nitrogen: 30,
  nitrogenWanted: 10,
  drawdown: 0,
  daysSinceFed: null,
  phosphorus: 40,
  potassium: 200,
  magnesium: 100,
  calcium: 500,
  boron: 0.3,
  ironShort: false,
  manganeseShort: false,
  copperShort: false,
  ammoniumShare: 0.45,
  airFilledPorosity: 0.2,
  airBand: { low: 0.15, high: 0.3 },
  drains: true,
  conductivity: 100,
  daysBetween: 2,
  daysSinceWatered: 1,
  longestGap: 3,
  alkalinity: 1,
  waterEc: 0.3,
  temperature: 20,
  tMax: 25,
  tMin: 12,
  rainy: false,
  windy: false,
  ageDays: 100,
  litresPerPlant: 12,
  litresWanted: 10,
  perennial: false,
  fabric: false,
  peatOrBark: 0.3,
  soil: 0,
  wood: 0,
  compost: 0,
  manure: 0,
  meals: 0,
  limed: false,
  limedWithMagnesium: false,
  slump: 0,
  sunk: null,
  depth: 40,
}
const [STRONG, SOME, AGAINST, HARDLY] = [3, 1.6, 0.5, 0.25]
const with_ = (change: Partial<BedFacts>): BedFacts => ({ ...WELL, ...change })
const said = (id: SignId, change: Partial<BedFacts>) => {
  const e = evidenceOf(SIGNS[id], with_(change))
  return e ? [e.code, Number(e.factor.toFixed(6))] : null
}

type Side = [code: string, factor: number] | null
/**
 * A threshold from both sides: what is said just below it and just above it. The numbers are those of
 * docs/method/symptoms.md: a tenth and half a unit of pH, half and twice what is little and much, and so on.
 */
type Trial = [
  id: SignId,
  fact: keyof BedFacts,
  at: number,
  below: Side,
  above: Side,
  more?: Partial<BedFacts>,
]
const pH = (n: number, code: string, near: Side): Trial[] => [
  [code as SignId, 'pH', n - 0.5, ['pH-below', STRONG], ['pH-below', SOME]],
  [code as SignId, 'pH', n - 0.1, ['pH-below', SOME], near],
]
const little = (id: SignId, of: keyof BedFacts, limit: number): Trial[] => [
  [id, of, limit / 2, [`${of}-little`, STRONG], [`${of}-little`, SOME]],
  [id, of, limit, [`${of}-little`, SOME], [`${of}-enough`, AGAINST]],
]
const much = (id: SignId, of: keyof BedFacts, limit: number): Trial[] => [
  [id, of, limit, [`${of}-not-much`, HARDLY], [`${of}-much`, SOME]],
  [id, of, 2 * limit, [`${of}-much`, SOME], [`${of}-much`, STRONG]],
]
const cold = (id: SignId, limit: number): Trial[] => [
  [id, 'temperature', limit - 4, ['cold', STRONG], ['cold', SOME]],
  [id, 'temperature', limit, ['cold', SOME], ['not-cold', HARDLY]],
]
const TRIALS: Trial[] = [
  ['pHHigh', 'pH', 6.9, ['pH-not-above', HARDLY], ['pH-above', SOME]],
  ['pHHigh', 'pH', 7.3, ['pH-above', SOME], ['pH-above', STRONG]],
  // The band ends at 6.8: half a unit above is strong, a tenth or pH 7 is some; below 6.5 it is hardly pH.
  ['pHLocksTraces', 'pH', 6.5, ['pH-not-above', HARDLY], ['pH-not-above', AGAINST]],
  ['pHLocksTraces', 'pH', 6.9, ['pH-not-above', AGAINST], ['pH-above', SOME]],
  ['pHLocksTraces', 'pH', 7.3, ['pH-above', SOME], ['pH-above', STRONG]],
  // A crop that likes lime: 7.3 is within its band, and iron is out of reach all the same.
  [
    'pHLocksTraces',
    'pH',
    7,
    ['pH-not-above', AGAINST],
    ['pH-above', SOME],
    { pHBand: { low: 6, high: 7.5 } },
  ],
  ['pHUnder70', 'pH', 7, ['pH-below', SOME], ['pH-not-below', AGAINST]],
  ['ammoniumHarms', 'ammoniumShare', 0.5, ['nitrate-feed', AGAINST], ['ammonium-much', STRONG]],
  ['soilIn', 'soil', 0.05, ['no-soil', AGAINST], ['soil-in', STRONG]],
  ...pH(5.8, 'pHLow', ['pH-not-below', HARDLY]),
  ...pH(4.7, 'pHUnder47', ['pH-not-below', HARDLY]),
  ...pH(5.3, 'pHUnder53', ['pH-not-below', HARDLY]),
  ...pH(5.5, 'pHUnder55', ['pH-not-below', HARDLY]),
  ...pH(6, 'pHUnder60', ['pH-not-below', HARDLY]),
  ['pHOver70', 'pH', 7, null, ['pH-above', SOME]],
  ['pHOver55', 'pH', 5.5, ['pH-not-above', HARDLY], ['pH-above', SOME]],
  ['pHOver53', 'pH', 5.3, ['pH-not-above', HARDLY], ['pH-above', STRONG]],
  ['salts', 'salts', 1.2, ['salts-not-above', HARDLY], ['salts-not-above', AGAINST]],
  ['salts', 'salts', 2, ['salts-not-above', AGAINST], ['salts-above', SOME]],
  ['salts', 'salts', 3, ['salts-above', SOME], ['salts-above', STRONG]],
  ['airLow', 'airFilledPorosity', 0.11, ['air-below', STRONG], ['air-below', SOME]],
  ['airLow', 'airFilledPorosity', 0.15, ['air-below', SOME], ['air-enough', AGAINST]],
  ['airLow', 'airFilledPorosity', 0.2, ['air-enough', AGAINST], ['air-enough', HARDLY]],
  ['airHigh', 'airFilledPorosity', 0.3, ['air-not-above', AGAINST], ['air-above', STRONG]],
  ...cold('cold', 15),
  ...cold('coldUnder16', 16),
  ...cold('coldUnder18', 18),
  ['nitrogenSpent', 'nitrogen', 10, ['nitrogen-spent', STRONG], ['nitrogen-at-hand', AGAINST]],
  ['nitrogenSpent', 'nitrogen', 40, ['nitrogen-at-hand', AGAINST], ['nitrogen-at-hand', HARDLY]],
  // Two weeks: the fourteenth day is the last, days being whole.
  ['nitrogenSpent', 'daysSinceFed', 15, ['fed-lately', AGAINST], ['nitrogen-at-hand', AGAINST]],
  ...much('nitrogenMuch', 'nitrogen', 150),
  ['drawdown', 'wood', 0.1, ['no-wood', HARDLY], ['wood-in', SOME]],
  ['drawdown', 'drawdown', 30, ['no-wood', HARDLY], ['wood-in', SOME]],
  ['drawdown', 'drawdown', 60, ['wood-in', SOME], ['wood-in', STRONG]],
  ['oldForDrawdown', 'ageDays', 120, null, ['old', AGAINST]],
  ['over60Days', 'ageDays', 60, ['young', HARDLY], ['old', SOME]],
  ['under60Days', 'ageDays', 60, ['young', STRONG], ['old', AGAINST]],
  ['over300Days', 'ageDays', 300, null, ['old', SOME]],
  ['perennialOverAYear', 'ageDays', 365, null, ['old', SOME], { perennial: true }],
  ['collapsed', 'ageDays', 300, ['young', HARDLY], ['slumped', STRONG], { slump: 0.2 }],
  ['collapsed', 'slump', 0.08, ['young', HARDLY], ['slumped', STRONG], { ageDays: 400 }],
  ['slumps', 'slump', 0.06, ['lasts', AGAINST], ['slumps', STRONG]],
  ['dryInADay', 'daysBetween', 1.2, ['dry-in-a-day', SOME], null],
  // Half as long again as it takes, and a day: 1.5 × 2 + 1.
  ['notWatered', 'daysSinceWatered', 4, null, ['not-watered', STRONG]],
  ['waterLasts', 'daysSinceWatered', 4, ['water-lasts', AGAINST], null],
  ['waterLasts', 'daysBetween', 1.2, null, ['water-lasts', AGAINST]],
  ['seldomWatered', 'daysBetween', 6, null, ['water-lasts', SOME]],
  // Twice as long as it takes, and a day: 2 × 2 + 1.
  ['uneven', 'longestGap', 5, null, ['long-gap', STRONG]],
  ['uneven', 'daysBetween', 1.5, ['dry-in-a-day', SOME], null],
  ['weekWithout', 'longestGap', 7, null, ['long-gap', SOME]],
  ['small', 'litresPerPlant', 6, ['pot-small', STRONG], ['pot-small', SOME]],
  ['small', 'litresPerPlant', 10, ['pot-small', SOME], ['pot-ample', AGAINST]],
  ['shallow', 'depth', 25, ['shallow', STRONG], ['deep', HARDLY]],
  ['hardWater', 'alkalinity', 3, null, ['hard-water', SOME]],
  ['limeInWater', 'alkalinity', 3, ['soft-water', HARDLY], ['hard-water', STRONG]],
  ['saltyWater', 'waterEc', 0.7, null, ['salty-water', SOME]],
  ['saltsInWater', 'waterEc', 0.7, ['soft-water', AGAINST], ['salty-water', STRONG]],
  ...much('phosphorusMuch', 'phosphorus', 120),
  ['phosphorusHigh', 'phosphorus', 120, null, ['phosphorus-much', SOME]],
  ...much('boronMuch', 'boron', 1),
  ['boronHigh', 'boron', 1, null, ['boron-much', SOME]],
  ...little('potassiumLittle', 'potassium', 120),
  ...little('magnesiumLittle', 'magnesium', 60),
  ...little('calciumLittle', 'calcium', 200),
  ...little('boronLittle', 'boron', 0.05),
  ...little('phosphorusLittle', 'phosphorus', 15),
  // Six times the magnesium there is, 100; where there is none, six in all.
  ['potassiumCrowds', 'potassium', 600, null, ['potassium-crowds', SOME]],
  ['potassiumCrowds', 'potassium', 6, null, ['potassium-crowds', SOME], { magnesium: 0 }],
  ['noCompostNorLime', 'compost', 0.05, ['no-compost', SOME], null],
  ['noCompostNorLime', 'pH', 6.8, ['no-compost', SOME], null],
  ['sulfurFromCompost', 'compost', 0.1, ['no-compost', SOME], ['much-compost', HARDLY]],
  ['ammoniumMuch', 'ammoniumShare', 0.5, null, ['ammonium-much', SOME]],
  ['nitrateFeed', 'ammoniumShare', 0.4, ['nitrate-feed', SOME], ['ammonium-much', AGAINST]],
  ['fedLately', 'daysSinceFed', 30, ['fed-lately', SOME], null],
  ['weedkillerIn', 'manure', 0.05, ['no-compost', AGAINST], ['compost-or-meal-in', SOME]],
  ['unripe', 'compost', 0.05, ['no-compost', HARDLY], ['compost-or-meal-in', SOME]],
  ['unripe', 'meals', 0.5, ['no-compost', HARDLY], ['compost-or-meal-in', SOME]],
  ['unripe', 'ageDays', 45, ['compost-or-meal-in', STRONG], ['compost-or-meal-in', SOME], { compost: 0.3 }],
  ['compostForSeedlings', 'compost', 0.1, null, ['compost-or-meal-in', SOME]],
  ['muchCompost', 'compost', 0.35, null, ['much-compost', SOME]],
  ['ammoniaRises', 'manure', 0.05, ['no-manure', HARDLY], ['manure-or-meal-in', SOME]],
  ['ammoniaRises', 'meals', 0.5, ['no-manure', HARDLY], ['manure-or-meal-in', SOME]],
  ['ammoniaRises', 'ammoniumShare', 0.6, ['no-manure', HARDLY], ['manure-or-meal-in', SOME]],
  ['ammoniaRises', 'manure', 0.05, ['no-manure', HARDLY], ['manure-or-meal-in', STRONG], { limed: true }],
  ['manureOrMeal', 'manure', 0.05, ['no-manure', HARDLY], ['manure-or-meal-in', STRONG]],
  ['manureOrMeal', 'meals', 0.5, ['no-manure', HARDLY], ['manure-or-meal-in', STRONG]],
  ['manureOrNitrogen', 'manure', 0.05, ['no-manure', HARDLY], ['manure-or-meal-in', STRONG]],
  ['manureOrNitrogen', 'nitrogen', 150, ['no-manure', HARDLY], ['manure-or-meal-in', STRONG]],
  ['manureOrLime', 'manure', 0.05, ['no-manure', HARDLY], ['manure-or-meal-in', SOME]],
  ['woodToFeedFungus', 'wood', 0.2, ['no-wood', AGAINST], ['wood-in', SOME]],
  ['woodToRot', 'compost', 0.15, ['no-wood', AGAINST], ['wood-in', STRONG]],
  ['woodInTheWay', 'wood', 0.1, null, ['wood-in', SOME]],
  ['peaty', 'peatOrBark', 0.4, ['not-peaty', HARDLY], ['peaty', SOME]],
  ['slow', 'conductivity', 20, ['slow', SOME], ['quick', AGAINST]],
  ['verySlow', 'conductivity', 20, ['slow', STRONG], ['quick', AGAINST]],
  ['hot', 'tMax', 30, null, ['hot', SOME]],
  ['tooHot', 'tMax', 30, ['not-hot', HARDLY], ['hot', STRONG]],
  ['hotNights', 'tMin', 21, ['cool-nights', HARDLY], ['hot-nights', STRONG]],
  ['frost', 'tMin', 0, ['frost', STRONG], ['no-frost', HARDLY]],
  ['hardFrost', 'tMin', -5, ['frost', STRONG], ['no-frost', HARDLY]],
]
/** What holds or does not. */
const SWITCHES: [id: SignId, change: Partial<BedFacts>, not: Side, is: Side][] = [
  ['airLow', { drains: false }, ['air-enough', AGAINST], ['no-holes', STRONG]],
  ['noHoles', { drains: false }, null, ['no-holes', STRONG]],
  ['ironExpected', { ironShort: true }, null, ['trace-short', SOME]],
  ['manganeseExpected', { manganeseShort: true }, null, ['trace-short', SOME]],
  ['copperExpected', { copperShort: true }, ['trace-enough', AGAINST], ['trace-short', STRONG]],
  ['rainy', { rainy: true }, null, ['rainy', SOME]],
  ['rainOnRipe', { rainy: true }, null, ['rainy', STRONG]],
  ['windy', { windy: true }, null, ['windy', SOME]],
  ['inFabric', { fabric: true }, null, ['fabric', STRONG]],
  ['notInFabric', { fabric: true }, null, ['fabric', HARDLY]],
  ['sheltered', { windy: true }, ['sheltered', AGAINST], null],
  ['sheltered', { fabric: true }, ['sheltered', AGAINST], null],
  ['manureOrLime', { limed: true }, ['no-manure', HARDLY], ['manure-or-meal-in', SOME]],
  ['limeWithoutMagnesium', { limed: true }, ['no-calcitic-lime', HARDLY], ['calcitic-lime', STRONG]],
  [
    'limeWithoutMagnesium',
    { limed: true, limedWithMagnesium: true },
    ['no-calcitic-lime', HARDLY],
    ['no-calcitic-lime', HARDLY],
  ],
  ['perennialOverAYear', { perennial: true, ageDays: 400 }, null, ['old', SOME]],
]

describe('what a bed’s numbers say', () => {
  const EPS = 1e-6
  const put = (fact: keyof BedFacts, value: number): Partial<BedFacts> => ({
    [fact]: fact === 'pH' || fact === 'salts' ? { value, isRead: false } : value,
  })
  test.each(TRIALS)('%s: %s from both sides of %d', (id, fact, at, below, above, more = {}) => {
    expect(said(id, { ...more, ...put(fact, at - EPS) })).toEqual(below)
    expect(said(id, { ...more, ...put(fact, at + EPS) })).toEqual(above)
  })
  test.each(SWITCHES)('%s with %o', (id, change, not, is) => {
    expect(said(id, {})).toEqual(not)
    expect(said(id, change)).toEqual(is)
  })
  test('every row is tried', () => {
    const tried = new Set([...TRIALS, ...SWITCHES].map(([id]) => id))
    expect(Object.keys(SIGNS).filter((id) => !tried.has(id as SignId))).toEqual([])
  })
  test('what is met to the last digit is not beyond it', () => {
    expect(said('frost', { tMin: 0 })).toEqual(['no-frost', HARDLY])
    expect(said('tooHot', { tMax: 30 })).toEqual(['not-hot', HARDLY])
    expect(said('waterLasts', { daysSinceWatered: 4 })).toEqual(['water-lasts', AGAINST])
    expect(said('waterLasts', { daysBetween: 1.2 })).toEqual(['water-lasts', AGAINST])
  })
  test('a reading speaks a third louder, for and against, and says that it was read', () => {
    const read = (value: number) => evidenceOf(SIGNS.pHHigh, with_({ pH: { value, isRead: true } }))!
    expect(read(7.5)).toMatchObject({ factor: STRONG * 1.3, isRead: true, value: 7.5, limit: 6.8 })
    expect(read(6)).toMatchObject({ factor: HARDLY / 1.3, isRead: true })
    const salts = evidenceOf(SIGNS.salts, with_({ salts: { value: 2.5, isRead: true } }))!
    expect(salts).toMatchObject({ factor: SOME * 1.3, isRead: true, value: 2.5, limit: 2 })
    // No row of its own scale: what was read is shown, and speaks no louder.
    expect(evidenceOf(SIGNS.pHOver70, with_({ pH: { value: 7.4, isRead: true } }))).toMatchObject({
      factor: SOME,
      isRead: true,
    })
    expect(evidenceOf(SIGNS.slow, WELL)).not.toHaveProperty('isRead')
  })
  test('what nobody knows says nothing, and is never taken for too much or too little', () => {
    for (const id of ['cold', 'coldUnder16', 'coldUnder18'] as const)
      expect(said(id, { temperature: null })).toBeNull()
    for (const id of ['hotNights', 'frost', 'hardFrost'] as const) expect(said(id, { tMin: null })).toBeNull()
    for (const id of ['tooHot', 'hot'] as const) expect(said(id, { tMax: null })).toBeNull()
    expect(said('nitrogenSpent', { nitrogen: null })).toBeNull()
    expect(said('nitrogenSpent', { nitrogenWanted: null })).toBeNull()
    expect(said('nitrogenMuch', { nitrogen: null })).toBeNull()
    expect(said('manureOrNitrogen', { nitrogen: null })).toEqual(['no-manure', HARDLY])
    const unknown = { daysBetween: null, daysSinceWatered: null, longestGap: null }
    expect(said('dryInADay', unknown)).toBeNull()
    expect(said('notWatered', unknown)).toBeNull()
    expect(said('uneven', unknown)).toBeNull()
    expect(said('seldomWatered', unknown)).toBeNull()
    expect(said('waterLasts', unknown)).toEqual(['water-lasts', AGAINST])
    expect(said('fedLately', { daysSinceFed: null })).toBeNull()
    // A gap is shown beside the usual one: three days where nobody knows.
    expect(evidenceOf(SIGNS.weekWithout, with_({ longestGap: 9, daysBetween: null }))).toMatchObject({
      limit: 3,
    })
  })
})

describe('causes in order', () => {
  test('shares are the rank of the table times what speaks for each, over all of them', () => {
    // Brown edges low on the plant: potassium, salts, dryness. Nothing known but potassium, half of what is little.
    const symptom = { id: 'x', places: [], causes: ['potassiumShort', 'shade', 'oldSeed'] } as never
    const ranked = rankCauses(symptom, with_({ potassium: 50 }))
    const all = 1 * STRONG + 0.7 + 0.5
    expect(ranked.map((r) => [r.cause, r.share])).toEqual([
      ['potassiumShort', expect.closeTo(STRONG / all, 9)],
      ['shade', expect.closeTo(0.7 / all, 9)],
      ['oldSeed', expect.closeTo(0.5 / all, 9)],
    ])
    // Enough of it halves the first, which then comes behind the second.
    expect(rankCauses(symptom, WELL).map((r) => r.cause)).toEqual(['shade', 'potassiumShort', 'oldSeed'])
  })
  test('a list longer than the ranks goes on with the last of them', () => {
    const causes = ['shade', 'oldSeed', 'sownTooDeep', 'washedOut', 'transplanted', 'suddenSun', 'noonFlag']
    const ranked = rankCauses({ id: 'x', places: [], causes } as never, WELL)
    const weights = [1, 0.7, 0.5, 0.36, 0.26, 0.2, 0.2]
    const all = weights.reduce((s, w) => s + w, 0)
    expect(ranked.map((r) => r.share)).toEqual(weights.map((w) => expect.closeTo(w / all, 9)))
  })
  test('every cause of every symptom has its row, and no row is idle', () => {
    for (const s of SYMPTOMS) for (const cause of s.causes) expect(CAUSES[cause], cause).toBeDefined()
    const used = new Set<string>(Object.values(CAUSES).flat())
    expect(Object.keys(SIGNS).filter((id) => !used.has(id))).toEqual([])
  })
})
