import { numberAt, plainly } from './numberAt'
import type { Base, Manner, VolumeUnit, WeightUnit } from '../garden/manner'
import { gramsIn, litresIn, volumeAt, weightAt, type UnitSystem } from './units'

export type { Base, Manner } from '../garden/manner'

/** An amount as it was understood. */
export interface Amount {
  value: number
  manner: Manner
}

/** Why an amount is not taken: what to ask, as plain data. */
export type AmountQuestion =
  | { code: 'nothing' }
  | { code: 'no-number'; text: string }
  | { code: 'which-number'; text: string; either: [number, number] }
  | { code: 'how-much'; text: string }
  | { code: 'which-unit'; text: string }
  | { code: 'which-spoon' }
  | { code: 'which-gallon'; unit: 'gallon' | 'pint' | 'quart' | 'fluidOunce' }
  | { code: 'heaped' }
  | { code: 'for-what'; text: string }
  | { code: 'below-nothing' }
  | { code: 'of-nothing' }

export type AmountRead = { ok: true; amount: Amount } | { ok: false; question: AmountQuestion }

const ask = (question: AmountQuestion): AmountRead => ({ ok: false, question })
const WHOSE = new Set(['gallon', 'pint', 'quart', 'fluidOunce'])
const whose = (unit: string, text: string, system: UnitSystem) =>
  system === 'metric' && WHOSE.has(unit) && !/^(?:us|u\.s\.)/.test(text)

/** Whole words for what an amount is counted for. */
const BASE_WORDS: readonly (readonly [Base, RegExp])[] = [
  ['part', /^(?:parts?|measures?)$/],
  ['bucket', /^(?:buckets?|bucketfuls?|pails?)(?: of mix)?$/],
  ['tub', /^(?:(?:wheel)?barrows?|(?:wheel)?barrowloads?|(?:mixing )?tubs?|tarps?)(?: of mix)?$/],
  ['batch', /^(?:batch|batches|mixing)$/],
  ['bag', /^(?:bags?|sacks?|bales?|bricks?|blocks?)$/],
  ['container', /^(?:pots?|containers?|troughs?|boxes|box|beds?|planters?|grow ?bags?)$/],
  ['plant', /^(?:plants?|seedlings?|transplants?|(?:planting )?holes?)$/],
]
const AREA_WORDS: readonly (readonly [RegExp, number])[] = [
  [/^(?:m2|m²|sq\.? ?m|square met(?:re|er)s?)$/, 1],
  [/^(?:ft2|ft²|sq\.? ?ft|square f(?:oo|ee)t|sf)$/, 0.3048 ** 2],
  [/^(?:yd2|yd²|sq\.? ?yds?|square yards?)$/, 0.9144 ** 2],
]
const IN_ALL = /^(?:in all|all told|in total|total|altogether|for (?:the lot|everything|all of it|it all))$/
const PER =
  /^(?:per|\/|to (?:the|each|every|an?)|for (?:each|every|the|an?)|in (?:each|every|an?|the)|into (?:each|every|the)|on (?:each|every|the)|each|every|an?)(?= |\d|$|[a-z])/

/** No dose is counted for less mix than this, litres: “2 cups per tbsp” is a slip. Source: our assumption. */
const LEAST_VOLUME = 0.1

/** What an amount is counted for, from the words after "per"; null where nobody can tell. */
function readBase(
  text: string,
  system: UnitSystem,
): { base: Base; of: number } | { question: AmountQuestion } | null {
  const number = numberAt(text)
  if (number?.kind === 'either')
    return { question: { code: 'which-number', text: number.text, either: number.either } }
  const count = number?.value ?? 1
  const rest = (number ? text.slice(number.length) : text)
    .trim()
    .replace(/ (?:of )?(?:the |loose |potting )?(?:mix|mixture|soil|substrate)$/, '')
  if (!(count > 0)) return { question: { code: 'of-nothing' } }
  for (const [base, words] of BASE_WORDS) if (words.test(rest)) return { base, of: count }
  for (const [words, squareMetres] of AREA_WORDS)
    if (words.test(rest)) return { base: 'area', of: count * squareMetres }
  // "5 gal bucket" says how large the bucket is.
  const volume = volumeAt(rest)
  const after = volume ? rest.slice(volume.length).trim() : ''
  if (!volume || !/^(?:bucket|pail|bag|pot|container|tub|barrow)?s?$/.test(after)) return null
  if (whose(volume.unit, rest, system))
    return { question: { code: 'which-gallon', unit: volume.unit as 'gallon' } }
  const litres = count * litresIn(volume.unit, system)
  return litres < LEAST_VOLUME ? { question: { code: 'for-what', text } } : { base: 'volume', of: litres }
}

/** The unit of an amount at the head of a text. */
function readUnit(
  text: string,
  system: UnitSystem,
): { unit: WeightUnit | VolumeUnit; rest: string } | { question: AmountQuestion } {
  const heap = /^(?:heaped|heaping|rounded|generous|big|large|small) /.exec(text)
  if (heap) return { question: { code: 'heaped' } }
  const plain = text.replace(/^(?:level|flat|scant) /, '')
  const weight = weightAt(plain)
  const found = weight ?? volumeAt(plain)
  if (!found) {
    if (/^spoon(?:ful)?s?(?= |$|\/)/.test(plain)) return { question: { code: 'which-spoon' } }
    return { question: { code: 'which-unit', text: plain } }
  }
  if (whose(found.unit, plain, system))
    return { question: { code: 'which-gallon', unit: found.unit as 'gallon' } }
  return { unit: found.unit, rest: plain.slice(found.length).trim() }
}

/**
 * An amount of a dressing as people say it: "60 g to the barrow", "2 level tbsp per bucket", "half a cup in all",
 * "3 lb per cubic yard", "a handful a plant". A bare number is in `usual`, the manner the field shows. What can be
 * read in two ways, or not at all, is asked about.
 */
export function readAmount(typed: string, system: UnitSystem, usual: Manner): AmountRead {
  const text = plainly(typed).replace(/[.!]$/, '')
  if (text === '') return ask({ code: 'nothing' })
  if (/^an? (?:few|little|bit|dash|pinch|dusting|sprinkle|splash)/.test(text))
    return ask({ code: 'how-much', text })
  const number = numberAt(text)
  if (!number) return ask({ code: 'no-number', text })
  if (number.kind === 'either') return ask({ code: 'which-number', text: number.text, either: number.either })
  const { value } = number
  if (value < 0) return ask({ code: 'below-nothing' })
  const rest = text.slice(number.length).trim()
  if (rest === '') return { ok: true, amount: { value, manner: usual } }
  const unit = readUnit(rest, system)
  if ('question' in unit) return ask(unit.question)
  // Pounds and ounces: the amount is told in ounces.
  const ounces =
    unit.unit === 'lb' ? /^(?:and )?(\d+(?:\.\d+)?) ?(?:oz|ounces?)(?= |\/|$)/.exec(unit.rest) : null
  if (ounces)
    return readAmount(
      `${value * 16 + Number(ounces[1])} oz ${unit.rest.slice(ounces[0].length)}`,
      system,
      usual,
    )
  // What it is of may be said between: "2 cups of bone meal per bucket".
  let tail = unit.rest.replace(/^,? ?(?:level|flat)(?= |$)/, '').trim()
  const of =
    /^of .*?(?= (?:per|to (?:the|each|every|a)|for (?:each|every|the)|in (?:each|every|all|total)|an? )|\/|$)/.exec(
      tail,
    )
  if (of) tail = tail.slice(of[0].length).trim()
  if (tail === '') return ask({ code: 'for-what', text: typed.trim() })
  if (IN_ALL.test(tail))
    return { ok: true, amount: { value, manner: { unit: unit.unit, base: 'all', of: 1 } } }
  const per = PER.exec(tail)
  const base = per ? readBase(tail.slice(per[0].length).trim(), system) : null
  if (!base) return ask({ code: 'for-what', text: tail })
  if ('question' in base) return ask(base.question)
  return { ok: true, amount: { value, manner: { unit: unit.unit, ...base } } }
}

/** What an amount is reckoned with. Litres of mix, g/mL, m2; null or nought where a job does not say. */
export interface AmountSetting {
  system: UnitSystem
  /** g/mL of the dressing, loosely spooned. */
  bulkDensity: number
  /** Litres of mix the job makes. */
  all: number | null
  bucket: number
  tub: number
  /** Litres of mix to one measured part, to a batch, to a bag of what there is most of. */
  part: number | null
  batch: number | null
  bag: number | null
  /** Litres of mix in a container, and for a plant. */
  container: number | null
  plant: number | null
  /** Litres of mix under a square metre of surface. */
  area: number | null
}

/** Litres of mix that a manner counts for; null where the job does not say. */
export function litresOf({ base, of }: Manner, setting: AmountSetting): number | null {
  if (base === 'volume') return of
  const one = setting[base]
  return one === null || !(one > 0) ? null : one * of
}

/** Grams in one of a unit, by its own weight or by the dressing's bulk density. */
export const gramsInUnit = (unit: Manner['unit'], { system, bulkDensity }: AmountSetting): number =>
  unit === 'g' || unit === 'kg' || unit === 'oz' || unit === 'lb'
    ? gramsIn(unit)
    : litresIn(unit, system) * 1000 * bulkDensity

/** An amount as a dose, g per litre of mix; null where the job does not say what it counts for. */
export function doseOf({ value, manner }: Amount, setting: AmountSetting): number | null {
  const litres = litresOf(manner, setting)
  return litres === null ? null : (value * gramsInUnit(manner.unit, setting)) / litres
}

/** A dose in a grower's own manner, so many of its unit; null where the job does not say what it counts for. */
export function valueIn(manner: Manner, gramsPerLitre: number, setting: AmountSetting): number | null {
  const litres = litresOf(manner, setting)
  return litres === null ? null : (gramsPerLitre * litres) / gramsInUnit(manner.unit, setting)
}
