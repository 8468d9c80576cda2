import type { Sign } from './judge'
import { above, below, coldUnder, either, level, MUCH, only, sign } from './sign'

const HOT = 30
const LATE = { times: 1.5, plus: 1 }
const SELDOM = 1.2

/** What air, water, warmth, age and the materials of the mix say. */
export const BODY_SIGNS = {
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
  soilIn: either([above('soil', 0.05)], ['soil-in', 'strong'], ['no-soil', 'against'], { value: 'soil' }),
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
