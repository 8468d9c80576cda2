import {
  doseOf,
  gramsInUnit,
  litresOf,
  valueIn,
  type Amount,
  type AmountQuestion,
  type AmountSetting,
  type Base,
  type Manner,
} from '@/model/amounts/amount'
import { LITRES } from '@/core/units'
import { numberText } from './counted'
import { aBucket, doseSpoons } from '../make/measures'
import type { Sentence } from './problems.en'
import { doseText, doseWeightText, volumeText, type UnitSystem } from './units'

/** How doses are told where the grower chose no manner of their own. */
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
}

const BASE_NAMES: Record<Exclude<Base, 'all' | 'volume' | 'area'>, string> = {
  part: 'part',
  bucket: 'bucket',
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

/** "per bucket", "/L", "per 10 L", "in all". */
function baseText({ base, of }: Manner, units: UnitSystem): string {
  if (base === 'all') return ' in all'
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

/** "2 cups per bucket", "60 g in all", "2.5 g/L". */
export function amountWords({ value, manner }: Amount, units: UnitSystem): string {
  const [one, many] = UNIT_NAMES[manner.unit]
  const shown = figure(value)
  return `${shown} ${shown === '1' ? one : many}${baseText(manner, units)}`
}

/** A dose in a grower's own manner; in the usual one where the job does not say what that counts for. */
export function doseInManner(
  gramsPerLitre: number,
  manner: Manner | null,
  setting: AmountSetting,
): { words: string; manner: Manner } {
  const usual = usualManner(setting.system)
  const chosen = manner && litresOf(manner, setting) !== null ? manner : usual
  const value = valueIn(chosen, gramsPerLitre, setting) ?? gramsPerLitre
  return { words: amountWords({ value, manner: chosen }, setting.system), manner: chosen }
}

/**
 * What an amount comes to: "38 g, that is 1.9 g/L, 76 g in all". Weight first, since scales are what tells; nothing
 * that the amount says already.
 */
export function comesToText(amount: Amount, setting: AmountSetting): string {
  const { system } = setting
  const dose = doseOf(amount, setting)
  if (dose === null) return ''
  const { unit, base, of } = amount.manner
  const weighed = unit === 'g' || unit === 'kg' || unit === 'oz' || unit === 'lb'
  const usual = usualManner(system)
  const isUsual = base === 'volume' && Math.abs(of - usual.of) < 1e-9
  return [
    ...(weighed
      ? []
      : [
          `${doseWeightText(amount.value * gramsInUnit(unit, setting), system)}${baseText(amount.manner, system)}`,
        ]),
    ...(isUsual && weighed ? [] : [doseText(dose, system)]),
    ...(base === 'all' || setting.all === null
      ? []
      : [`${doseWeightText(dose * setting.all, system)} in all`]),
    // Whose bag was meant shows in how much mix it makes.
    ...(base === 'bag' && setting.bag !== null
      ? [`a bag makes ${volumeText(setting.bag, system)} of mix`]
      : []),
    // Scales first; a spoon where there are none.
    ...(weighed
      ? [
          `${doseSpoons(dose * aBucket(system), setting.bulkDensity, system)} for ${volumeText(aBucket(system), system)}`,
        ]
      : []),
  ].join('; ')
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
    case 'below-nothing':
      return { why: 'Below nothing.', fix: 'Type 0 or more.' }
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
