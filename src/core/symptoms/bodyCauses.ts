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
  pHLow,
  readFactor,
  rotting,
  saltsHigh,
  say,
  small,
  uneven,
  unripe,
  when,
  type Judge,
} from './evidence'

/** What speaks for causes that lie in air, water, warmth and what the mix is made of. */
export const BODY_CAUSES = {
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
