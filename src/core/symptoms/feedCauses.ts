import {
  AGAINST,
  HARDLY,
  HARD_WATER,
  HOT,
  LITTLE,
  MUCH,
  SALTY_WATER,
  SOME,
  STRONG,
  airLow,
  cold,
  dryOften,
  little,
  much,
  nitrogenSpent,
  old,
  pHHigh,
  pHLow,
  saltsHigh,
  say,
  small,
  uneven,
  when,
  type Judge,
} from './evidence'

/** What speaks for causes that lie in feed, salts and acidity. */
export const FEED_CAUSES = {
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
} satisfies Record<string, Judge>
