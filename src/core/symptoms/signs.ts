import type { EvidenceCode, Strength } from './evidence'
import type { Fact } from './factTable'
import type { Condition, Level, Sign } from './judge'

const OURS = 'our assumption'
const MEMORY = 'from memory, as docs/method/symptoms.md'

const above = (of: Fact, than: number | Fact, more: Partial<Condition> = {}): Condition => ({
  of,
  is: 'above',
  than,
  ...more,
})
const below = (of: Fact, than: number | Fact, more: Partial<Condition> = {}): Condition => ({
  of,
  is: 'below',
  than,
  ...more,
})
const level = (
  says: EvidenceCode,
  strength: Strength,
  all: readonly Condition[] = [],
  shown: Pick<Level, 'value' | 'limit'> & { any?: readonly Condition[] } = {},
): Level => ({ says, strength, all, ...shown })
const sign = (levels: readonly Level[], more: Omit<Partial<Sign>, 'levels'> = {}): Sign => ({
  levels,
  source: OURS,
  ...more,
})
/** Said where it holds; nothing where it does not. */
const only = (
  says: EvidenceCode,
  strength: Strength,
  all: readonly Condition[],
  shown: Pick<Level, 'value' | 'limit'> = {},
) => sign([level(says, strength, all, shown)])

/** pH below a limit: half a unit below speaks strongly, a tenth is no more than a meter shows. */
const pHUnder = (limit: number | Fact): Sign => {
  const shown = { value: 'pH', limit } as const
  return sign(
    [
      level('pH-below', 'strong', [below('pH', limit, { plus: -0.5 })], shown),
      level('pH-below', 'some', [below('pH', limit, { plus: -0.1 })], shown),
      level('pH-not-below', 'hardly', [], shown),
    ],
    { read: 'pH' },
  )
}
const coldUnder = (limit: number): Sign => {
  const shown = { value: 'temperature', limit } as const
  return sign(
    [
      level('cold', 'strong', [below('temperature', limit - 4)], shown),
      level('cold', 'some', [below('temperature', limit)], shown),
      level('not-cold', 'hardly', [], shown),
    ],
    { needs: ['temperature'] },
  )
}
/** A nutrient over a season, mg per litre of mix: half of what is little speaks strongly. */
const littleOf = (
  of: 'potassium' | 'magnesium' | 'calcium' | 'boron' | 'phosphorus',
  limit: number,
): Sign => {
  const shown = { value: of, limit } as const
  return sign(
    [
      level(`${of}-little`, 'strong', [below(of, limit / 2)], shown),
      level(`${of}-little`, 'some', [below(of, limit)], shown),
      level(`${of}-enough`, 'against', [], shown),
    ],
    { source: MEMORY },
  )
}
/** Twice of what is much speaks strongly. */
const muchOf = (of: 'phosphorus' | 'boron' | 'nitrogen', limit: number): Sign => {
  const shown = { value: of, limit } as const
  return sign(
    [
      level(`${of}-much`, 'strong', [above(of, 2 * limit)], shown),
      level(`${of}-much`, 'some', [above(of, limit)], shown),
      level(`${of}-not-much`, 'hardly', [], shown),
    ],
    { source: MEMORY, needs: [of] },
  )
}
/** Either one thing or its opposite. */
const either = (
  all: readonly Condition[],
  [yes, forIt]: readonly [EvidenceCode, Strength],
  [no, against]: readonly [EvidenceCode, Strength],
  { value, limit, any, ...more }: Pick<Level, 'value' | 'limit' | 'any'> & Omit<Partial<Sign>, 'levels'> = {},
): Sign =>
  sign([level(yes, forIt, all, { value, limit, any }), level(no, against, [], { value, limit })], more)

/** mg per litre over a season from which an element harms. */
const MUCH = { phosphorus: 120, boron: 1, nitrogen: 150 }
const HARD_WATER = 3
const SALTY_WATER = 0.7
const HOT = 30
const LATE = { times: 1.5, plus: 1 }
const SELDOM = 1.2

/** What a bed's numbers can say, a row each; causes name the rows that speak for and against them. */
export const SIGNS = {
  pHHigh: sign(
    [
      level('pH-above', 'strong', [above('pH', 'pHMost', { plus: 0.5 })], { value: 'pH', limit: 'pHMost' }),
      level('pH-above', 'some', [above('pH', 'pHMost', { plus: 0.1 })], { value: 'pH', limit: 'pHMost' }),
      level('pH-not-above', 'hardly', [], { value: 'pH', limit: 'pHMost' }),
    ],
    { read: 'pH' },
  ),
  pHLow: pHUnder('pHLeast'),
  pHUnder47: pHUnder(4.7),
  pHUnder53: pHUnder(5.3),
  pHUnder55: pHUnder(5.5),
  pHUnder60: pHUnder(6),
  pHOver70: sign([level('pH-above', 'some', [above('pH', 7)], { value: 'pH', limit: 7 })], {
    source: MEMORY,
  }),
  pHOver55: either([above('pH', 5.5)], ['pH-above', 'some'], ['pH-not-above', 'hardly'], {
    value: 'pH',
    limit: 5.5,
  }),
  pHOver53: either([above('pH', 5.3)], ['pH-above', 'strong'], ['pH-not-above', 'hardly'], {
    value: 'pH',
    limit: 5.3,
    read: 'pH',
  }),
  salts: sign(
    [
      level('salts-above', 'strong', [above('salts', 'saltLimit', { times: 1.5 })], {
        value: 'salts',
        limit: 'saltLimit',
      }),
      level('salts-above', 'some', [above('salts', 'saltLimit')], { value: 'salts', limit: 'saltLimit' }),
      level('salts-not-above', 'hardly', [below('salts', 'saltLimit', { times: 0.6 })], {
        value: 'salts',
        limit: 'saltLimit',
      }),
      level('salts-not-above', 'against', [], { value: 'salts', limit: 'saltLimit' }),
    ],
    { read: 'salts' },
  ),
  airLow: sign([
    level('no-holes', 'strong', [below('drains', 0.5)]),
    level('air-below', 'strong', [below('air', 'airLeast', { plus: -0.04 })], {
      value: 'air',
      limit: 'airLeast',
    }),
    level('air-below', 'some', [below('air', 'airLeast')], { value: 'air', limit: 'airLeast' }),
    level('air-enough', 'hardly', [above('air', 'airLeast', { plus: 0.05 })], {
      value: 'air',
      limit: 'airLeast',
    }),
    level('air-enough', 'against', [], { value: 'air', limit: 'airLeast' }),
  ]),
  airHigh: either([above('air', 'airMost')], ['air-above', 'strong'], ['air-not-above', 'against'], {
    value: 'air',
    limit: 'airMost',
  }),
  noHoles: only('no-holes', 'strong', [below('drains', 0.5)]),
  cold: coldUnder(15),
  coldUnder16: coldUnder(16),
  coldUnder18: coldUnder(18),
  nitrogenSpent: sign(
    [
      level('fed-lately', 'against', [below('daysSinceFed', 15)], { value: 'daysSinceFed' }),
      level('nitrogen-spent', 'strong', [below('nitrogen', 'nitrogenWanted')], { value: 'nitrogen' }),
      level('nitrogen-at-hand', 'hardly', [above('nitrogen', 'nitrogenWanted', { times: 4 })], {
        value: 'nitrogen',
      }),
      level('nitrogen-at-hand', 'against', [], { value: 'nitrogen' }),
    ],
    { needs: ['nitrogen', 'nitrogenWanted'] },
  ),
  nitrogenMuch: muchOf('nitrogen', MUCH.nitrogen),
  drawdown: sign([
    level('wood-in', 'strong', [above('drawdown', 60)], { value: 'wood' }),
    level('wood-in', 'some', [], { value: 'wood', any: [above('wood', 0.1), above('drawdown', 30)] }),
    level('no-wood', 'hardly'),
  ]),
  oldForDrawdown: only('old', 'against', [above('ageDays', 120)], { value: 'ageDays' }),
  over60Days: either([above('ageDays', 60)], ['old', 'some'], ['young', 'hardly'], { value: 'ageDays' }),
  under60Days: either([below('ageDays', 60)], ['young', 'strong'], ['old', 'against'], { value: 'ageDays' }),
  over300Days: only('old', 'some', [above('ageDays', 300)], { value: 'ageDays' }),
  perennialOverAYear: only('old', 'some', [above('perennial', 0.5), above('ageDays', 365)], {
    value: 'ageDays',
  }),
  collapsed: sign([
    level('slumped', 'strong', [above('ageDays', 300), above('slump', 0.08)], { value: 'slump' }),
    level('young', 'hardly', [], { value: 'ageDays' }),
  ]),
  slumps: either([above('slump', 0.06)], ['slumps', 'strong'], ['lasts', 'against'], { value: 'slump' }),
  dryInADay: only('dry-in-a-day', 'some', [below('daysBetweenOrLong', SELDOM)], { value: 'daysBetween' }),
  notWatered: only('not-watered', 'strong', [above('daysSinceWatered', 'daysBetween', LATE)], {
    value: 'daysSinceWatered',
    limit: 'daysBetween',
  }),
  waterLasts: only(
    'water-lasts',
    'against',
    [
      { of: 'daysBetweenOrLong', is: 'notBelow', than: SELDOM },
      { of: 'daysSinceWatered', is: 'notAbove', than: 'daysBetween', ...LATE },
    ],
    { value: 'daysBetween' },
  ),
  seldomWatered: only('water-lasts', 'some', [above('daysBetween', 6)], { value: 'daysBetween' }),
  uneven: sign([
    level('long-gap', 'strong', [above('longestGap', 'daysBetween', { times: 2, plus: 1 })], {
      value: 'longestGap',
      limit: 'daysBetween',
    }),
    level('dry-in-a-day', 'some', [below('daysBetweenOrLong', 1.5)], { value: 'daysBetween' }),
  ]),
  weekWithout: only('long-gap', 'some', [above('longestGap', 7)], { value: 'longestGap', limit: 'usualGap' }),
  small: sign([
    level('pot-small', 'strong', [below('litresPerPlant', 'litresWanted', { times: 0.6 })], {
      value: 'litresPerPlant',
      limit: 'litresWanted',
    }),
    level('pot-small', 'some', [below('litresPerPlant', 'litresWanted')], {
      value: 'litresPerPlant',
      limit: 'litresWanted',
    }),
    level('pot-ample', 'against', [], { value: 'litresPerPlant', limit: 'litresWanted' }),
  ]),
  shallow: either([below('depth', 25)], ['shallow', 'strong'], ['deep', 'hardly'], { value: 'depth' }),
  hardWater: only('hard-water', 'some', [above('alkalinity', HARD_WATER)], { value: 'alkalinity' }),
  limeInWater: either([above('alkalinity', HARD_WATER)], ['hard-water', 'strong'], ['soft-water', 'hardly'], {
    value: 'alkalinity',
  }),
  saltyWater: only('salty-water', 'some', [above('waterEc', SALTY_WATER)], { value: 'waterEc' }),
  saltsInWater: either(
    [above('waterEc', SALTY_WATER)],
    ['salty-water', 'strong'],
    ['soft-water', 'against'],
    {
      value: 'waterEc',
    },
  ),
  phosphorusMuch: muchOf('phosphorus', MUCH.phosphorus),
  phosphorusHigh: only('phosphorus-much', 'some', [above('phosphorus', MUCH.phosphorus)], {
    value: 'phosphorus',
    limit: MUCH.phosphorus,
  }),
  boronMuch: muchOf('boron', MUCH.boron),
  boronHigh: only('boron-much', 'some', [above('boron', MUCH.boron)], { value: 'boron', limit: MUCH.boron }),
  potassiumLittle: littleOf('potassium', 120),
  magnesiumLittle: littleOf('magnesium', 60),
  calciumLittle: littleOf('calcium', 200),
  boronLittle: littleOf('boron', 0.05),
  phosphorusLittle: littleOf('phosphorus', 15),
  potassiumCrowds: only('potassium-crowds', 'some', [above('potassium', 'someMagnesium', { times: 6 })]),
  limeWithoutMagnesium: either(
    [above('limed', 0.5), below('limedWithMagnesium', 0.5)],
    ['calcitic-lime', 'strong'],
    ['no-calcitic-lime', 'hardly'],
  ),
  noCompostNorLime: only('no-compost', 'some', [below('compost', 0.05), below('pH', 'pHMost')]),
  sulfurFromCompost: sign([
    level('much-compost', 'hardly', [above('compostOrManure', 0.1)]),
    level('no-compost', 'some'),
  ]),
  ammoniumMuch: only('ammonium-much', 'some', [above('ammonium', 0.5)], { value: 'ammonium' }),
  nitrateFeed: sign([
    level('nitrate-feed', 'some', [below('ammonium', 0.4)], { value: 'nitrate' }),
    level('ammonium-much', 'against', [], { value: 'ammonium' }),
  ]),
  fedLately: only('fed-lately', 'some', [below('daysSinceFed', 30)], { value: 'daysSinceFed' }),
  weedkillerIn: either(
    [above('compostOrManure', 0.05)],
    ['compost-or-meal-in', 'some'],
    ['no-compost', 'against'],
    { value: 'compostOrManure' },
  ),
  unripe: sign([
    level('compost-or-meal-in', 'strong', [below('ageDays', 45)], {
      value: 'compostOrManure',
      any: [above('compostOrManure', 0.05), above('meals', 0.5)],
    }),
    level('compost-or-meal-in', 'some', [], {
      value: 'compostOrManure',
      any: [above('compostOrManure', 0.05), above('meals', 0.5)],
    }),
    level('no-compost', 'hardly'),
  ]),
  compostForSeedlings: only('compost-or-meal-in', 'some', [above('compostOrManure', 0.1)], {
    value: 'compostOrManure',
  }),
  muchCompost: only('much-compost', 'some', [above('compostOrManure', 0.35)], { value: 'compostOrManure' }),
  ammoniaRises: sign([
    level('manure-or-meal-in', 'strong', [above('limed', 0.5)], {
      value: 'manure',
      any: [above('manure', 0.05), above('meals', 0.5), above('ammonium', 0.6)],
    }),
    level('manure-or-meal-in', 'some', [], {
      value: 'manure',
      any: [above('manure', 0.05), above('meals', 0.5), above('ammonium', 0.6)],
    }),
    level('no-manure', 'hardly'),
  ]),
  manureOrMeal: either([], ['manure-or-meal-in', 'strong'], ['no-manure', 'hardly'], {
    value: 'manure',
    any: [above('manure', 0.05), above('meals', 0.5)],
  }),
  manureOrNitrogen: either([], ['manure-or-meal-in', 'strong'], ['no-manure', 'hardly'], {
    value: 'manure',
    any: [above('manure', 0.05), above('nitrogen', MUCH.nitrogen)],
  }),
  manureOrLime: either([], ['manure-or-meal-in', 'some'], ['no-manure', 'hardly'], {
    value: 'manure',
    any: [above('manure', 0.05), above('limed', 0.5)],
  }),
  woodToFeedFungus: either([above('woodOrCompost', 0.2)], ['wood-in', 'some'], ['no-wood', 'against'], {
    value: 'wood',
  }),
  woodToRot: either([above('woodOrCompost', 0.15)], ['wood-in', 'strong'], ['no-wood', 'against'], {
    value: 'wood',
  }),
  woodInTheWay: only('wood-in', 'some', [above('wood', 0.1)], { value: 'wood' }),
  peaty: either([above('peatOrBark', 0.4)], ['peaty', 'some'], ['not-peaty', 'hardly'], {
    value: 'peatOrBark',
  }),
  slow: either([below('conductivity', 20)], ['slow', 'some'], ['quick', 'against'], {
    value: 'conductivity',
  }),
  verySlow: either([below('conductivity', 20)], ['slow', 'strong'], ['quick', 'against'], {
    value: 'conductivity',
  }),
  hot: only('hot', 'some', [above('hottest', HOT)], { value: 'hottest' }),
  tooHot: either([above('hottest', HOT)], ['hot', 'strong'], ['not-hot', 'hardly'], {
    value: 'hottest',
    needs: ['hottest'],
  }),
  hotNights: either([above('coldest', 21)], ['hot-nights', 'strong'], ['cool-nights', 'hardly'], {
    value: 'coldest',
    needs: ['coldest'],
  }),
  frost: either([below('coldest', 0)], ['frost', 'strong'], ['no-frost', 'hardly'], {
    value: 'coldest',
    needs: ['coldest'],
  }),
  hardFrost: either([below('coldest', -5)], ['frost', 'strong'], ['no-frost', 'hardly'], {
    value: 'coldest',
    needs: ['coldest'],
  }),
  rainy: only('rainy', 'some', [above('rainy', 0.5)]),
  rainOnRipe: only('rainy', 'strong', [above('rainy', 0.5)]),
  windy: only('windy', 'some', [above('windy', 0.5)]),
  inFabric: only('fabric', 'strong', [above('fabric', 0.5)]),
  notInFabric: only('fabric', 'hardly', [above('fabric', 0.5)]),
  sheltered: only('sheltered', 'against', [below('fabric', 0.5), below('windy', 0.5)]),
} as const satisfies Record<string, Sign>

export type SignId = keyof typeof SIGNS
