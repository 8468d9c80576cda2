import { SEASON_LIMITS } from '../season/limits'
import type { Sign } from './judge'
import { above, below, either, level, littleOf, MEMORY, muchOf, MUCH, only, pHUnder, sign } from './sign'

const HARD_WATER = 3

/** What acidity, salts and nutrients say. */
export const FEED_SIGNS = {
  pHHigh: sign(
    [
      level('pH-above', 'strong', [above('pH', 'pHMost', { plus: 0.5 })], { value: 'pH', limit: 'pHMost' }),
      level('pH-above', 'some', [above('pH', 'pHMost', { plus: 0.1 })], { value: 'pH', limit: 'pHMost' }),
      level('pH-not-above', 'hardly', [], { value: 'pH', limit: 'pHMost' }),
    ],
    { read: 'pH' },
  ),
  // Iron and manganese go out of reach by pH 7 whatever the crop's own band is.
  pHLocksTraces: sign(
    [
      level('pH-above', 'strong', [above('pH', 'pHMost', { plus: 0.5 })], { value: 'pH', limit: 'pHMost' }),
      level('pH-above', 'some', [above('pH', 7)], { value: 'pH', limit: 7 }),
      level('pH-above', 'some', [above('pH', 'pHMost', { plus: 0.1 })], { value: 'pH', limit: 'pHMost' }),
      level('pH-not-above', 'against', [above('pH', 6.5)], { value: 'pH', limit: 'pHMost' }),
      level('pH-not-above', 'hardly', [], { value: 'pH', limit: 'pHMost' }),
    ],
    { read: 'pH', source: MEMORY },
  ),
  pHUnder70: either([below('pH', 7)], ['pH-below', 'some'], ['pH-not-below', 'against'], {
    value: 'pH',
    limit: 7,
  }),
  ironExpected: only('trace-short', 'some', [above('ironShort', 0.5)]),
  manganeseExpected: only('trace-short', 'some', [above('manganeseShort', 0.5)]),
  copperExpected: either([above('copperShort', 0.5)], ['trace-short', 'strong'], ['trace-enough', 'against']),
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
  hardWater: only('hard-water', 'some', [above('alkalinity', HARD_WATER)], { value: 'alkalinity' }),
  limeInWater: either([above('alkalinity', HARD_WATER)], ['hard-water', 'strong'], ['soft-water', 'hardly'], {
    value: 'alkalinity',
  }),
  saltyWater: only('salty-water', 'some', [above('waterEc', SEASON_LIMITS.saltyWater.value)], {
    value: 'waterEc',
  }),
  saltsInWater: either(
    [above('waterEc', SEASON_LIMITS.saltyWater.value)],
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
  ammoniumHarms: either([above('ammonium', 0.5)], ['ammonium-much', 'strong'], ['nitrate-feed', 'against'], {
    value: 'ammonium',
  }),
  nitrateFeed: sign([
    level('nitrate-feed', 'some', [below('ammonium', 0.4)], { value: 'nitrate' }),
    level('ammonium-much', 'against', [], { value: 'ammonium' }),
  ]),
  fedLately: only('fed-lately', 'some', [below('daysSinceFed', 30)], { value: 'daysSinceFed' }),
} as const satisfies Record<string, Sign>
