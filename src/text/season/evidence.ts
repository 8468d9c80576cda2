import type { Evidence, EvidenceCode } from '@/core/symptoms'
import {
  intervalText,
  lengthText,
  percentText,
  pHText,
  temperatureText,
  volumeText,
  type UnitSystem,
} from '../base/units'
/** A number of a bed's own with its limit, and whether it was read. */
interface Said {
  value: number
  limit: number
  isRead: boolean
  units: UnitSystem
}

const read = (s: Said, what: string) => `${what} ${s.isRead ? 'was read as' : 'is taken to be'}`
const days = (x: number) => `${Math.round(x)} ${Math.round(x) === 1 ? 'day' : 'days'}`
const mg = (x: number) => `${x < 10 ? x.toFixed(1) : x.toFixed(0)} mg in a litre`
const element = ({ value }: Said, name: string, little: boolean) =>
  `${name}: ${mg(value)}, ${little ? 'little' : 'much'}.`

const TEXTS: Record<EvidenceCode, (s: Said) => string> = {
  'air-above': (s) => `Air is ${percentText(s.value)}, above ${percentText(s.limit)}.`,
  'air-below': (s) => `Air is ${percentText(s.value)}, below ${percentText(s.limit)}.`,
  'air-enough': (s) => `Air is ${percentText(s.value)}: enough.`,
  'air-not-above': (s) => `Air is ${percentText(s.value)}: not too much.`,
  'ammonium-much': (s) => `${percentText(s.value)} of its nitrogen is ammonium.`,
  'boron-enough': (s) => `Boron: ${mg(s.value)}, enough.`,
  'boron-little': (s) => element(s, 'Boron', true),
  'boron-much': (s) => element(s, 'Boron', false),
  'boron-not-much': (s) => `Boron: ${mg(s.value)}, not much.`,
  'calcitic-lime': () => 'Its lime held no magnesium.',
  'calcium-enough': (s) => `Calcium: ${mg(s.value)}, enough.`,
  'calcium-little': (s) => element(s, 'Calcium', true),
  cold: (s) => `The mix is at about ${temperatureText(s.value, s.units)}.`,
  'compost-or-meal-in': () => 'There is compost, manure or meal in it.',
  'cool-nights': (s) => `Nights are at about ${temperatureText(s.value, s.units)}.`,
  deep: (s) => `${lengthText(s.value, s.units)} deep: enough.`,
  'dry-in-a-day': (s) => `It dries ${intervalText(s.value)} in this month.`,
  fabric: () => 'A fabric wall dries and cools it.',
  'fed-lately': (s) => `Fed ${days(s.value)} ago.`,
  frost: (s) => `Nights go down to about ${temperatureText(s.value, s.units)}.`,
  'hard-water': (s) => `The water carries ${s.value.toFixed(1)} meq/L of lime.`,
  hot: (s) => `Days reach about ${temperatureText(s.value, s.units)}.`,
  'hot-nights': (s) => `Nights stay above ${temperatureText(s.value, s.units)}.`,
  lasts: () => 'It hardly sinks by rotting.',
  'long-gap': (s) => `It stood ${days(s.value)} without water.`,
  'magnesium-enough': (s) => `Magnesium: ${mg(s.value)}, enough.`,
  'magnesium-little': (s) => element(s, 'Magnesium', true),
  'manure-or-meal-in': () => 'There is manure, meal or much nitrogen in it.',
  'much-compost': (s) => `${percentText(s.value)} of it is compost or manure.`,
  'nitrate-feed': () => 'Most of its nitrogen is nitrate.',
  'nitrogen-at-hand': (s) => `Available nitrogen: ${mg(s.value)}.`,
  'nitrogen-much': (s) => element(s, 'Nitrogen', false),
  'nitrogen-not-much': (s) => `Nitrogen: ${mg(s.value)}, not much.`,
  'nitrogen-spent': (s) => `Available nitrogen: ${mg(s.value)}, less than a week’s need.`,
  'no-calcitic-lime': () => 'Its lime held magnesium, or there was none.',
  'no-compost': () => 'There is no compost in it.',
  'no-frost': () => 'No frost in this month.',
  'no-holes': () => 'It has no holes.',
  'no-manure': () => 'There is no manure or meal in it.',
  'no-wood': () => 'There is no wood or bark in it.',
  'not-cold': (s) => `The mix is at about ${temperatureText(s.value, s.units)}.`,
  'not-hot': (s) => `Days reach about ${temperatureText(s.value, s.units)}.`,
  'not-peaty': () => 'Little peat or bark in it.',
  'not-watered': (s) => `Last watered ${days(s.value)} ago; it wants water ${intervalText(s.limit)}.`,
  old: (s) => `It is ${days(s.value)} old.`,
  'pH-above': (s) => `${read(s, 'pH')} ${pHText(s.value)}, above ${pHText(s.limit)}.`,
  'pH-below': (s) => `${read(s, 'pH')} ${pHText(s.value)}, below ${pHText(s.limit)}.`,
  'pH-not-above': (s) => `${read(s, 'pH')} ${pHText(s.value)}, not above ${pHText(s.limit)}.`,
  'pH-not-below': (s) => `${read(s, 'pH')} ${pHText(s.value)}, not below ${pHText(s.limit)}.`,
  peaty: (s) => `${percentText(s.value)} of it is peat or bark.`,
  'phosphorus-enough': (s) => `Phosphorus: ${mg(s.value)}, enough.`,
  'phosphorus-little': (s) => element(s, 'Phosphorus', true),
  'phosphorus-much': (s) => element(s, 'Phosphorus', false),
  'phosphorus-not-much': (s) => `Phosphorus: ${mg(s.value)}, not much.`,
  'pot-ample': (s) => `${volumeText(s.value, s.units)} a plant: enough.`,
  'pot-small': (s) =>
    `${volumeText(s.value, s.units)} a plant, where it wants ${volumeText(s.limit, s.units)}.`,
  'potassium-crowds': () => 'Much potash crowds out magnesium.',
  'potassium-enough': (s) => `Potassium: ${mg(s.value)}, enough.`,
  'potassium-little': (s) => element(s, 'Potassium', true),
  quick: () => 'Water goes through it quickly.',
  rainy: () => 'More rain than plants use in this month.',
  'salts-above': (s) => `${read(s, 'Salts')} ${s.value.toFixed(1)} dS/m, above ${s.limit.toFixed(1)}.`,
  'salts-not-above': (s) =>
    `${read(s, 'Salts')} ${s.value.toFixed(1)} dS/m, not above ${s.limit.toFixed(1)}.`,
  'salty-water': (s) => `The water holds ${s.value.toFixed(1)} dS/m of salts.`,
  shallow: (s) => `${lengthText(s.value, s.units)} deep.`,
  sheltered: () => 'No fabric wall, and no wind to speak of.',
  slow: () => 'Water goes through it slowly.',
  slumped: () => 'It is old and has sunk together.',
  slumps: (s) => `It sinks by about ${percentText(s.value)} a year.`,
  'soil-in': (s) => `${percentText(s.value)} of it is soil.`,
  'no-soil': () => 'There is no soil in it.',
  'trace-short': () => 'The mix gives too little of it at this pH.',
  'trace-enough': () => 'The mix gives enough of it.',
  'soft-water': () => 'The water is soft.',
  'water-lasts': (s) => `It wants water ${intervalText(s.value)}.`,
  windy: () => 'It stands in the wind.',
  'wood-in': () => 'There is wood, bark or compost in it.',
  young: (s) => `It is ${days(s.value)} old.`,
}

/** What a bed's own numbers say, in words. */
export const evidenceText = ({ code, value = 0, limit = 0, isRead }: Evidence, units: UnitSystem): string =>
  TEXTS[code]({ value, limit, isRead: Boolean(isRead), units })
