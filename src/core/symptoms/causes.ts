import type { BedFacts } from './facts'

/** What a bed's numbers and log can say. */
export const EVIDENCE_CODES = [
  'air-above',
  'air-below',
  'air-enough',
  'air-not-above',
  'ammonium-much',
  'boron-enough',
  'boron-little',
  'boron-much',
  'boron-not-much',
  'calcitic-lime',
  'calcium-enough',
  'calcium-little',
  'cold',
  'compost-or-meal-in',
  'cool-nights',
  'deep',
  'dry-in-a-day',
  'fabric',
  'fed-lately',
  'frost',
  'hard-water',
  'hot',
  'hot-nights',
  'lasts',
  'long-gap',
  'magnesium-enough',
  'magnesium-little',
  'manure-or-meal-in',
  'much-compost',
  'nitrate-feed',
  'nitrogen-at-hand',
  'nitrogen-much',
  'nitrogen-not-much',
  'nitrogen-spent',
  'no-calcitic-lime',
  'no-compost',
  'no-frost',
  'no-holes',
  'no-manure',
  'no-wood',
  'not-cold',
  'not-hot',
  'not-peaty',
  'not-watered',
  'old',
  'pH-above',
  'pH-below',
  'pH-not-above',
  'pH-not-below',
  'peaty',
  'phosphorus-enough',
  'phosphorus-little',
  'phosphorus-much',
  'phosphorus-not-much',
  'pot-ample',
  'pot-small',
  'potassium-crowds',
  'potassium-enough',
  'potassium-little',
  'quick',
  'rainy',
  'salts-above',
  'salts-not-above',
  'salty-water',
  'shallow',
  'sheltered',
  'slow',
  'slumped',
  'slumps',
  'soft-water',
  'water-lasts',
  'windy',
  'wood-in',
  'young',
] as const
export type EvidenceCode = (typeof EVIDENCE_CODES)[number]

/** Something known of a bed that speaks for a cause, or against it. Worded in src/text. */
export interface Evidence {
  code: EvidenceCode
  /** How much likelier it makes the cause: over 1 for, under 1 against. */
  factor: number
  value?: number
  limit?: number
  isRead?: boolean
}
type Judge = (f: BedFacts) => (Evidence | null)[]

/** Strength of evidence. Source: our assumption. */
const STRONG = 3
const SOME = 1.6
const AGAINST = 0.5
const HARDLY = 0.25
/** A reading says more than what is only expected. */
const READ_MORE = 1.3

const say = (code: EvidenceCode, factor: number, of: Partial<Evidence> = {}): Evidence => ({
  code,
  factor,
  ...of,
})
const when = (is: boolean, code: EvidenceCode, factor: number, of: Partial<Evidence> = {}) =>
  is ? say(code, factor, of) : null
const readFactor = (isRead: boolean, factor: number) =>
  isRead ? (factor > 1 ? factor * READ_MORE : factor / READ_MORE) : factor

const pHHigh = (f: BedFacts) => {
  const { value, isRead } = f.pH
  const of = { value, limit: f.pHBand.high, isRead }
  return value > f.pHBand.high + 0.1
    ? say('pH-above', readFactor(isRead, value > f.pHBand.high + 0.5 ? STRONG : SOME), of)
    : say('pH-not-above', readFactor(isRead, HARDLY), of)
}
const pHLow = (f: BedFacts, limit = f.pHBand.low) => {
  const { value, isRead } = f.pH
  const of = { value, limit, isRead }
  return value < limit - 0.1
    ? say('pH-below', readFactor(isRead, value < limit - 0.5 ? STRONG : SOME), of)
    : say('pH-not-below', readFactor(isRead, HARDLY), of)
}
const saltsHigh = (f: BedFacts) => {
  const { value, isRead } = f.salts
  const of = { value, limit: f.saltLimit, isRead }
  return value > f.saltLimit
    ? say('salts-above', readFactor(isRead, value > 1.5 * f.saltLimit ? STRONG : SOME), of)
    : say('salts-not-above', readFactor(isRead, value < 0.6 * f.saltLimit ? HARDLY : AGAINST), of)
}
const airLow = (f: BedFacts) => {
  const of = { value: f.airFilledPorosity, limit: f.airBand.low }
  if (!f.drains) return say('no-holes', STRONG)
  return f.airFilledPorosity < f.airBand.low
    ? say('air-below', f.airFilledPorosity < f.airBand.low - 0.04 ? STRONG : SOME, of)
    : say('air-enough', f.airFilledPorosity > f.airBand.low + 0.05 ? HARDLY : AGAINST, of)
}
const cold = (f: BedFacts, limit = 15) =>
  f.temperature === null
    ? null
    : f.temperature < limit
      ? say('cold', f.temperature < limit - 4 ? STRONG : SOME, { value: f.temperature, limit })
      : say('not-cold', HARDLY, { value: f.temperature, limit })
const nitrogenSpent = (f: BedFacts) => {
  if (f.nitrogen === null || f.nitrogenWanted === null) return null
  const of = { value: f.nitrogen }
  if (f.daysSinceFed !== null && f.daysSinceFed <= 14)
    return say('fed-lately', AGAINST, { value: f.daysSinceFed })
  return f.nitrogen < f.nitrogenWanted
    ? say('nitrogen-spent', STRONG, of)
    : say('nitrogen-at-hand', f.nitrogen > 4 * f.nitrogenWanted ? HARDLY : AGAINST, of)
}
const old = (f: BedFacts, days: number) =>
  f.ageDays > days ? say('old', SOME, { value: f.ageDays }) : say('young', HARDLY, { value: f.ageDays })
const dryOften = (f: BedFacts) => {
  const often = when((f.daysBetween ?? 9) < 1.2, 'dry-in-a-day', SOME, { value: f.daysBetween ?? 0 })
  const late =
    f.daysSinceWatered !== null && f.daysBetween !== null && f.daysSinceWatered > 1.5 * f.daysBetween + 1
      ? say('not-watered', STRONG, { value: f.daysSinceWatered, limit: f.daysBetween })
      : null
  return (often ?? late) ? [often, late] : [say('water-lasts', AGAINST, { value: f.daysBetween ?? 0 })]
}
const uneven = (f: BedFacts) => {
  const gap =
    f.longestGap !== null && f.daysBetween !== null && f.longestGap > 2 * f.daysBetween + 1
      ? say('long-gap', STRONG, { value: f.longestGap, limit: f.daysBetween })
      : null
  return [gap ?? when((f.daysBetween ?? 9) < 1.5, 'dry-in-a-day', SOME, { value: f.daysBetween ?? 0 })]
}
const small = (f: BedFacts) =>
  f.litresPerPlant < f.litresWanted
    ? say('pot-small', f.litresPerPlant < 0.6 * f.litresWanted ? STRONG : SOME, {
        value: f.litresPerPlant,
        limit: f.litresWanted,
      })
    : say('pot-ample', AGAINST, { value: f.litresPerPlant, limit: f.litresWanted })
const rotting = (f: BedFacts) =>
  when(f.compost + f.manure > 0.35, 'much-compost', SOME, { value: f.compost + f.manure })
const unripe = (f: BedFacts) => [
  f.compost + f.manure > 0.05 || f.meals > 0.5
    ? say('compost-or-meal-in', f.ageDays < 45 ? STRONG : SOME, { value: f.compost + f.manure })
    : say('no-compost', HARDLY),
]
const little = (
  value: number,
  limit: number,
  code: 'potassium' | 'magnesium' | 'calcium' | 'boron' | 'phosphorus',
) =>
  value < limit
    ? say(`${code}-little`, value < limit / 2 ? STRONG : SOME, { value, limit })
    : say(`${code}-enough`, AGAINST, { value, limit })
const much = (value: number, limit: number, code: 'phosphorus' | 'boron' | 'nitrogen') =>
  value > limit
    ? say(`${code}-much`, value > 2 * limit ? STRONG : SOME, { value, limit })
    : say(`${code}-not-much`, HARDLY, { value, limit })

/** mg per litre over a season below which an element may run short, or above which it harms. Source: from memory. */
const LITTLE = { potassium: 120, magnesium: 60, calcium: 200, boron: 0.05, phosphorus: 15 }
const MUCH = { phosphorus: 120, boron: 1, nitrogen: 150 }

const HARD_WATER = 3
const SALTY_WATER = 0.7
const HOT = 30

/** What of a bed's own numbers speaks for each cause. Those with nothing keep the rank of the table. */
export const CAUSES = {
  nitrogenShort: (f) => [nitrogenSpent(f)],
  nitrogenDrawdown: (f) => [
    f.wood > 0.1 || f.drawdown > 30
      ? say('wood-in', f.drawdown > 60 ? STRONG : SOME, { value: f.wood })
      : say('no-wood', HARDLY),
    when(f.ageDays > 120, 'old', AGAINST, { value: f.ageDays }),
  ],
  drowned: (f) => [airLow(f), when(f.rainy, 'rainy', SOME)],
  potBound: (f) => [small(f), old(f, 60)],
  ironLocked: (f) => [
    pHHigh(f),
    when(f.alkalinity > HARD_WATER, 'hard-water', SOME, { value: f.alkalinity }),
  ],
  coldWetRoots: (f) => [cold(f), airLow(f)],
  phosphateMuch: (f) => [much(f.phosphorus, MUCH.phosphorus, 'phosphorus')],
  ironShort: (f) => [when(f.compost < 0.05 && f.pH.value < f.pHBand.high, 'no-compost', SOME)],
  magnesiumShort: (f) => [
    little(f.magnesium, LITTLE.magnesium, 'magnesium'),
    when(f.potassium > 6 * Math.max(1, f.magnesium), 'potassium-crowds', SOME),
  ],
  limeWithoutMagnesium: (f) => [
    f.limed && !f.limedWithMagnesium ? say('calcitic-lime', STRONG) : say('no-calcitic-lime', HARDLY),
  ],
  pHLow: (f) => [pHLow(f)],
  pHVeryLow: (f) => [pHLow(f, 4.7)],
  potassiumShort: (f) => [little(f.potassium, LITTLE.potassium, 'potassium')],
  saltsHigh: (f) => [saltsHigh(f), when(f.waterEc > SALTY_WATER, 'salty-water', SOME, { value: f.waterEc })],
  drySpells: (f) => [...dryOften(f), ...uneven(f)],
  saltyWater: (f) => [
    f.waterEc > SALTY_WATER ? say('salty-water', STRONG, { value: f.waterEc }) : say('soft-water', AGAINST),
  ],
  boronExcess: (f) => [much(f.boron, MUCH.boron, 'boron')],
  traceExcess: (f) => [
    pHLow(f),
    when(f.boron > MUCH.boron, 'boron-much', SOME, { value: f.boron, limit: MUCH.boron }),
  ],
  coldMix: (f) => [cold(f)],
  phosphateShort: (f) => [little(f.phosphorus, LITTLE.phosphorus, 'phosphorus')],
  unevenWater: uneven,
  saltsOrAmmonium: (f) => [
    saltsHigh(f),
    when(f.ammoniumShare > 0.5, 'ammonium-much', SOME, { value: f.ammoniumShare }),
  ],
  calciumShort: (f) => [little(f.calcium, LITTLE.calcium, 'calcium'), pHLow(f, 5.5)],
  fewRoots: (f) => [airLow(f), small(f)],
  calciumNotCarried: uneven,
  boronShort: (f) => [
    little(f.boron, LITTLE.boron, 'boron'),
    when(f.pH.value > 7, 'pH-above', SOME, { value: f.pH.value, limit: 7, isRead: f.pH.isRead }),
  ],
  growthSpurts: uneven,
  manganeseExcess: (f) => [pHLow(f, 5.3)],
  molybdenumShort: (f) => [pHLow(f, 6)],
  sulfurShort: (f) => [f.compost + f.manure > 0.1 ? say('much-compost', HARDLY) : say('no-compost', SOME)],
  zincShort: (f) => [
    pHHigh(f),
    when(f.phosphorus > MUCH.phosphorus, 'phosphorus-much', SOME, {
      value: f.phosphorus,
      limit: MUCH.phosphorus,
    }),
  ],
  weedkiller: (f) => [
    f.compost + f.manure > 0.05
      ? say('compost-or-meal-in', SOME, { value: f.compost + f.manure })
      : say('no-compost', AGAINST),
  ],
  heatOrDrought: (f) => [when((f.tMax ?? 0) > HOT, 'hot', SOME, { value: f.tMax ?? 0 }), ...dryOften(f)],
  rootRot: (f) => [airLow(f), when(f.rainy, 'rainy', SOME)],
  saltsVeryHigh: (f) => [saltsHigh(f)],
  heatBeyondRoots: (f) => [
    f.tMax === null
      ? null
      : f.tMax > HOT
        ? say('hot', STRONG, { value: f.tMax })
        : say('not-hot', HARDLY, { value: f.tMax }),
  ],
  potTooSmall: (f) => [small(f), ...dryOften(f)],
  holdsLittle: (f) => [
    f.airFilledPorosity > f.airBand.high
      ? say('air-above', STRONG, { value: f.airFilledPorosity, limit: f.airBand.high })
      : say('air-not-above', AGAINST, { value: f.airFilledPorosity, limit: f.airBand.high }),
  ],
  hotWindyFabric: (f) => [
    when(f.fabric, 'fabric', STRONG),
    when(f.windy, 'windy', SOME),
    when((f.tMax ?? 0) > HOT, 'hot', SOME, { value: f.tMax ?? 0 }),
    when(!f.fabric && !f.windy, 'sheltered', AGAINST),
  ],
  shunsWater: (f) => [
    f.peatOrBark > 0.4
      ? say('peaty', SOME, { value: f.peatOrBark })
      : say('not-peaty', HARDLY, { value: f.peatOrBark }),
    when((f.longestGap ?? 0) > 7, 'long-gap', SOME, { value: f.longestGap ?? 0, limit: f.daysBetween ?? 3 }),
  ],
  shrunkFromWall: (f) => [
    when((f.longestGap ?? 0) > 7, 'long-gap', SOME, { value: f.longestGap ?? 0, limit: f.daysBetween ?? 3 }),
  ],
  crust: (f) => [
    f.conductivity < 20
      ? say('slow', SOME, { value: f.conductivity })
      : say('quick', AGAINST, { value: f.conductivity }),
  ],
  sealedByFines: (f) => [
    f.conductivity < 20
      ? say('slow', STRONG, { value: f.conductivity })
      : say('quick', AGAINST, { value: f.conductivity }),
  ],
  holesBlocked: (f) => [
    when(!f.drains, 'no-holes', STRONG),
    when(f.ageDays > 300, 'old', SOME, { value: f.ageDays }),
  ],
  collapsed: (f) => [
    f.ageDays > 300 && f.slump > 0.08
      ? say('slumped', STRONG, { value: f.slump })
      : say('young', HARDLY, { value: f.ageDays }),
  ],
  saltsFromFeedOrWater: (f) => [
    saltsHigh(f),
    when(f.waterEc > SALTY_WATER, 'salty-water', SOME, { value: f.waterEc }),
  ],
  limeFromWater: (f) => [
    f.alkalinity > HARD_WATER
      ? say('hard-water', STRONG, { value: f.alkalinity })
      : say('soft-water', HARDLY),
  ],
  harmlessFungus: (f) => [
    f.wood + f.compost > 0.2 ? say('wood-in', SOME, { value: f.wood }) : say('no-wood', AGAINST),
  ],
  topAlwaysWet: (f) => [
    airLow(f),
    when((f.daysBetween ?? 0) > 6, 'water-lasts', SOME, { value: f.daysBetween ?? 0 }),
    when(f.rainy, 'rainy', SOME),
  ],
  shade: () => [],
  feedOnTop: (f) => [
    when(f.daysSinceFed !== null && f.daysSinceFed < 30, 'fed-lately', SOME, { value: f.daysSinceFed ?? 0 }),
  ],
  noAirInBase: (f) => [airLow(f)],
  unripe,
  ammonia: (f) => [
    f.manure > 0.05 || f.meals > 0.5 || f.ammoniumShare > 0.6
      ? say('manure-or-meal-in', f.limed ? STRONG : SOME, { value: f.manure })
      : say('no-manure', HARDLY),
  ],
  atWork: unripe,
  sunOnPots: (f) => [when((f.tMax ?? 0) > HOT, 'hot', SOME, { value: f.tMax ?? 0 })],
  woodRotting: (f) => [
    f.wood + f.compost > 0.15 ? say('wood-in', STRONG, { value: f.wood }) : say('no-wood', AGAINST),
  ],
  overWet: (f) => [airLow(f), when(f.rainy, 'rainy', SOME)],
  dampingOff: (f) => [
    airLow(f),
    cold(f, 18),
    when(f.compost + f.manure > 0.1, 'compost-or-meal-in', SOME, { value: f.compost + f.manure }),
  ],
  freshManure: (f) => [
    f.manure > 0.05 || f.meals > 0.5
      ? say('manure-or-meal-in', STRONG, { value: f.manure })
      : say('no-manure', HARDLY),
  ],
  tooCold: (f) => [cold(f, 16)],
  crustedOrDryTop: (f) => [...dryOften(f)],
  saltsOrAmmonia: (f) => [saltsHigh(f)],
  oldSeed: () => [],
  sownTooDeep: () => [],
  aluminiumOrAcid: (f) => [pHLow(f, 4.7)],
  noAir: (f) => [airLow(f)],
  smoothPot: (f) => [
    when(f.fabric, 'fabric', HARDLY),
    when(f.perennial && f.ageDays > 365, 'old', SOME, { value: f.ageDays }),
  ],
  rotting: (f) => [
    f.slump > 0.06 ? say('slumps', STRONG, { value: f.slump }) : say('lasts', AGAINST, { value: f.slump }),
    rotting(f),
  ],
  settlingLoose: (f) => [
    f.ageDays < 60 ? say('young', STRONG, { value: f.ageDays }) : say('old', AGAINST, { value: f.ageDays }),
  ],
  washedOut: () => [],
  nitrogenMuch: (f) => [f.nitrogen === null ? null : much(f.nitrogen, MUCH.nitrogen, 'nitrogen')],
  tooHotAtNight: (f) => [
    f.tMin === null
      ? null
      : f.tMin > 21
        ? say('hot-nights', STRONG, { value: f.tMin })
        : say('cool-nights', HARDLY, { value: f.tMin }),
  ],
  stones: (f) => [when(f.wood > 0.1, 'wood-in', SOME, { value: f.wood })],
  freshManureOrNitrogen: (f) => [
    f.manure > 0.05 || (f.nitrogen ?? 0) > MUCH.nitrogen
      ? say('manure-or-meal-in', STRONG, { value: f.manure })
      : say('no-manure', HARDLY),
  ],
  transplanted: () => [],
  shallow: (f) => [
    f.depth < 25 ? say('shallow', STRONG, { value: f.depth }) : say('deep', HARDLY, { value: f.depth }),
  ],
  limyAndDry: (f) => [
    f.pH.value > 5.5
      ? say('pH-above', SOME, { value: f.pH.value, limit: 5.5, isRead: f.pH.isRead })
      : say('pH-not-above', HARDLY, { value: f.pH.value, limit: 5.5, isRead: f.pH.isRead }),
    ...uneven(f),
  ],
  manureOrLime: (f) => [
    f.manure > 0.05 || f.limed
      ? say('manure-or-meal-in', SOME, { value: f.manure })
      : say('no-manure', HARDLY),
  ],
  dryThenSoaked: uneven,
  rainOnRipe: (f) => [when(f.rainy, 'rainy', STRONG)],
  potashLow: (f) => [little(f.potassium, LITTLE.potassium, 'potassium')],
  frozenRoots: (f) => [
    f.tMin === null
      ? null
      : f.tMin < 0
        ? say('frost', STRONG, { value: f.tMin })
        : say('no-frost', HARDLY, { value: f.tMin }),
  ],
  killedByCold: (f) => [
    f.tMin === null
      ? null
      : f.tMin < -5
        ? say('frost', STRONG, { value: f.tMin })
        : say('no-frost', HARDLY, { value: f.tMin }),
  ],
  wetFeet: (f) => [airLow(f), when(f.rainy, 'rainy', SOME)],
  pHAboveAcid: (f) => [
    f.pH.value > 5.3
      ? say('pH-above', readFactor(f.pH.isRead, STRONG), {
          value: f.pH.value,
          limit: 5.3,
          isRead: f.pH.isRead,
        })
      : say('pH-not-above', readFactor(f.pH.isRead, HARDLY), {
          value: f.pH.value,
          limit: 5.3,
          isRead: f.pH.isRead,
        }),
  ],
  nitrateFeed: (f) => [
    f.ammoniumShare < 0.4
      ? say('nitrate-feed', SOME, { value: 1 - f.ammoniumShare })
      : say('ammonium-much', AGAINST, { value: f.ammoniumShare }),
  ],
  dryFineRoots: (f) => [...dryOften(f)],
  suddenSun: () => [],
  hotWall: (f) => [when((f.tMax ?? 0) > HOT, 'hot', SOME, { value: f.tMax ?? 0 })],
  dry: (f) => [...dryOften(f)],
  noonFlag: () => [],
} satisfies Record<string, Judge>

export type CauseId = keyof typeof CAUSES
