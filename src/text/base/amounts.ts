import {
  amountSaid,
  doseOf,
  gramsOf,
  litresOf,
  valueIn,
  type Amount,
  type AmountQuestion,
  type AmountSetting,
  type Base,
  type Manner,
  type SaidAmount,
} from '@/model/amounts/amount'
import { LITRES } from '@/core/units'
import { BELOW_NOTHING } from './belowNothing'
import { numberText } from './counted'
import { shortName } from './titles'
import { aBucket, spoonsOf } from '../make/measures'
import type { Sentence } from './problems.en'
import { doseText, doseWeightText, volumeText, type UnitSystem } from './units'

/** How doses are given where the grower chose no manner of their own. */
export const usualManner = (units: UnitSystem): Manner =>
  units === 'us' ? { unit: 'oz', base: 'volume', of: LITRES.usGallon } : { unit: 'g', base: 'volume', of: 1 }

const UNIT_NAMES: Record<Manner['unit'], readonly [one: string, many: string]> = {
  g: ['g', 'g'],
  kg: ['kg', 'kg'],
  oz: ['oz', 'oz'],
  lb: ['lb', 'lb'],
  mL: ['mL', 'mL'],
  L: ['L', 'L'],
  teaspoon: ['teaspoon', 'teaspoons'],
  tablespoon: ['tablespoon', 'tablespoons'],
  cup: ['cup', 'cups'],
  handful: ['handful', 'handfuls'],
  fluidOunce: ['fl oz', 'fl oz'],
  pint: ['pint', 'pints'],
  quart: ['quart', 'quarts'],
  gallon: ['gallon', 'gallons'],
  imperialGallon: ['imperial gallon', 'imperial gallons'],
  cubicFoot: ['cu ft', 'cu ft'],
  cubicYard: ['cu yd', 'cu yd'],
  cubicMetre: ['m³', 'm³'],
  cmDeep: ['cm deep', 'cm deep'],
  inchDeep: ['inch deep', 'inches deep'],
}

const BASE_NAMES: Record<Exclude<Base, 'all' | 'volume' | 'area'>, string> = {
  part: 'part',
  bucket: 'bucket',
  scoop: 'scoop',
  tub: 'tub',
  batch: 'batch',
  bag: 'bag',
  container: 'container',
  plant: 'plant',
}

/** Three figures, no empty decimals. */
const figure = (value: number) => String(Number(value.toPrecision(3)))

/** Round areas people name: a square metre, foot or yard. */
const areaText = (squareMetres: number, units: UnitSystem): string => {
  const feet = squareMetres / 0.3048 ** 2
  return units === 'us'
    ? Math.abs(feet - 1) < 1e-6
      ? 'square foot'
      : `${figure(feet)} sq ft`
    : Math.abs(squareMetres - 1) < 1e-6
      ? 'm²'
      : `${figure(squareMetres)} m²`
}

/** "per bucket", "/L", "per 10 L", "per bag of peat", "in all"; nothing for a layer, which covers all the surface. */
function baseText({ unit, base, of, materialId }: Manner, units: UnitSystem): string {
  if (base === 'all') return ' in all'
  if (unit === 'cmDeep' || unit === 'inchDeep') return ''
  if (materialId !== undefined)
    return `${baseText({ unit, base, of }, units).replace('/L', ' per litre').replace('/gal', ' per gallon')} of ${shortName(materialId).toLowerCase()}`
  if (base === 'volume') {
    if (units === 'metric' && of === 1) return '/L'
    if (units === 'us' && Math.abs(of - LITRES.usGallon) < 1e-9) return '/gal'
    // To the millilitre: a tenth of a litre too much or too little would be another dose.
    if (units === 'metric' && of < 1) return ` per ${figure(of * 1000)} mL`
    return ` per ${volumeText(of, units)}`
  }
  if (base === 'area') return ` per ${areaText(of, units)}`
  return ` per ${of === 1 ? BASE_NAMES[base] : `${numberText(of)} ${BASE_NAMES[base]}s`.replace('batchs', 'batches')}`
}

/** "2 cups per bucket", "60 g in all", "2.5 g/L"; spoons of the other system say whose they are. */
export function amountWords(amount: Amount, units: UnitSystem): string {
  return `${unitsText(amount, units)}${baseText(amount.manner, units)}`
}

/** "2 cups", "60 g", "2 metric tablespoons". */
function unitsText({ value, manner, spoons }: Amount, units: UnitSystem): string {
  const [one, many] = UNIT_NAMES[manner.unit]
  const shown = figure(value)
  const whose = spoons && spoons !== units ? (spoons === 'us' ? 'US ' : 'metric ') : ''
  return `${shown} ${whose}${shown === '1' ? one : many}`
}

/**
 * An amount as the grower gave it; a dose that was worked out in the manner chosen for it, or in the usual one where
 * the job does not say what that counts for.
 */
export function doseInManner(
  gramsPerLitre: number,
  said: SaidAmount | null,
  setting: AmountSetting,
): { words: string; manner: Manner } {
  const amount = said && amountSaid(said)
  if (amount) return { words: amountWords(amount, setting.system), manner: amount.manner }
  const usual = usualManner(setting.system)
  const chosen = said && litresOf(said, setting) !== null ? said : usual
  const value = valueIn(chosen, gramsPerLitre, setting) ?? gramsPerLitre
  return { words: amountWords({ value, manner: chosen }, setting.system), manner: chosen }
}

/** Of these a number is a whole count of things; of the rest it may be any amount of mix. */
const COUNTED: ReadonlySet<Base> = new Set([
  'part',
  'batch',
  'bag',
  'container',
  'plant',
  'bucket',
  'scoop',
  'tub',
])
/** Spoons that are counted one by one. Source: our assumption. */
const COUNTABLE = 12
/** Beyond this a dose is measured by the bucket, not weighed, litres. Source: our assumption. */
const BY_VOLUME = 1

/**
 * "1 tablespoon for each of 5 parts: 5 tablespoons", or for weights, whose sum follows anyway, without it; null where
 * an amount is not counted by number, or the number is one.
 */
function timesText(amount: Amount, setting: AmountSetting): string | null {
  const { base, materialId } = amount.manner
  const each = litresOf(amount.manner, setting)
  if (!COUNTED.has(base) || setting.all === null || each === null) return null
  const times = setting.all / each
  if (Math.abs(times - 1) < 0.005) return null
  const name = BASE_NAMES[base as keyof typeof BASE_NAMES]
  const of = materialId === undefined ? '' : ` of ${shortName(materialId).toLowerCase()}`
  const count = `${unitsText(amount, setting.system)} for each of ${figure(times)} ${`${name}s`.replace('batchs', 'batches')}${of}`
  if (isWeighed(amount)) return count
  const all = { ...amount, value: amount.value * times }
  // A dozen spoons are counted, more go by the cup.
  return `${count}: ${all.value <= COUNTABLE ? unitsText(all, setting.system) : spoonsOf(gramsOf(all, setting), setting.bulkDensity, setting.system)}`
}
const isWeighed = ({ manner: { unit } }: Amount): boolean =>
  unit === 'g' || unit === 'kg' || unit === 'oz' || unit === 'lb'

/**
 * What an amount comes to: "for each of 5 parts: 5 tablespoons, 100 g in all; 5.3 g/L". Grams in all first, since
 * scales are what tells; nothing that the amount says already.
 */
export function comesToText(amount: Amount, setting: AmountSetting): string {
  const { system } = setting
  const dose = doseOf(amount, setting)
  if (dose === null) return ''
  const { base, of, materialId } = amount.manner
  const weighed = isWeighed(amount)
  const usual = usualManner(system)
  const isUsual = base === 'volume' && materialId === undefined && Math.abs(of - usual.of) < 1e-9
  const grams = setting.all === null ? null : dose * setting.all
  const litres = grams === null ? 0 : grams / setting.bulkDensity / 1000
  const times = timesText(amount, setting)
  const spoons = spoonsOf(dose * aBucket(system), setting.bulkDensity, system)
  const inAll =
    grams === null
      ? null
      : `${litres > BY_VOLUME && !weighed ? `${volumeText(litres, system)}, ` : ''}${doseWeightText(grams, system)} in all`
  return [
    ...(base === 'all'
      ? weighed
        ? []
        : [doseWeightText(gramsOf(amount, setting), system)]
      : [[times, inAll].filter(Boolean).join(', ')]),
    ...(isUsual && weighed ? [] : [doseText(dose, system)]),
    // Whose bag was meant shows in how much mix it makes.
    ...(base === 'bag' && materialId === undefined && setting.bag !== null
      ? [`a bag makes ${volumeText(setting.bag, system)} of mix`]
      : []),
    // Scales first; a spoon where there are none.
    ...(weighed && spoons ? [`${spoons} for ${volumeText(aBucket(system), system)}`] : []),
  ]
    .filter(Boolean)
    .join('; ')
}

const EXAMPLES: Record<UnitSystem, string> = {
  metric: 'for example “60 g per bucket”, “2 tablespoons per part”, “half a cup in all”, “2.5 g/L”',
  us: 'for example “2 oz per bucket”, “2 tablespoons per part”, “half a cup in all”, “3 lb per cubic yard”',
}

/** What is asked where an amount is not understood. */
export function amountQuestionText(question: AmountQuestion, units: UnitSystem): Sentence {
  const fix = `Type an amount and what it is for: ${EXAMPLES[units]}.`
  switch (question.code) {
    case 'nothing':
      return { why: 'Nothing typed here yet.', fix }
    case 'no-number':
      return { why: `“${question.text}” does not begin with a number.`, fix }
    case 'which-number':
      return {
        why: `“${question.text}” may mean ${question.either.map(figure).join(' or ')}.`,
        fix: 'Type it so that it can be read in one way.',
      }
    case 'how-much':
      return { why: `How much is “${question.text}”?`, fix: 'Say it in teaspoons or grams.' }
    case 'which-unit':
      return { why: `“${question.text}”: in which unit?`, fix }
    case 'which-spoon':
      return { why: 'Teaspoons or tablespoons?', fix: 'A tablespoon is three teaspoons: say which.' }
    case 'which-gallon':
      return {
        why: `Whose ${UNIT_NAMES[question.unit][0]}? A US and an imperial one differ by a fifth.`,
        fix: 'Say “us” or “imperial” before it, or litres.',
      }
    case 'heaped':
      return { why: 'Heaped spoons differ from hand to hand.', fix: 'Give level ones, or grams.' }
    case 'for-what':
      return {
        why: `“${question.text}”: for what? A litre, a part, a bucket, a batch, a plant, or in all?`,
        fix,
      }
    case 'not-in-mix':
      return {
        why: `There is no “${question.text}” in this mix.`,
        fix: 'Name one of its parts, or say it for a litre of the mix.',
      }
    case 'below-nothing':
      return BELOW_NOTHING
    case 'of-nothing':
      return { why: 'For none of it?', fix: 'Say for how many or how much.' }
  }
}

/** Said where an amount is understood, but this job does not tell what it counts for. */
export const noBaseText = ({ base }: Manner): Sentence => ({
  why:
    base === 'plant'
      ? 'How many plants a container holds is not known yet.'
      : 'This job does not say yet how much mix that is for.',
  fix:
    base === 'plant'
      ? 'Choose a crop or type the number of plants under Containers.'
      : 'Give it for a litre or a bucket.',
})
