import { numberAt, plainly } from './numberAt'
import type { Base, Manner, VolumeUnit, WeightUnit } from '../garden/manner'
import type { Amount } from './counting'
import { lengthAt, litresIn, volumeAt, weightAt, type UnitSystem } from './units'

export * from './counting'
export type { Base, Manner, SaidAmount } from '../garden/manner'

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
  | { code: 'not-in-mix'; text: string }
  | { code: 'below-nothing' }
  | { code: 'of-nothing' }

export type AmountRead = { ok: true; amount: Amount } | { ok: false; question: AmountQuestion }

/** How an amount is read: whose units, what a bare number counts, and which part of the recipe some words name. */
export interface Reading {
  system: UnitSystem
  usual: Manner
  /** The id of a part of the recipe, by what people call it; null where there is none of that name. */
  named?: (words: string) => string | null
}

const ask = (question: AmountQuestion): AmountRead => ({ ok: false, question })
const WHOSE = new Set(['gallon', 'pint', 'quart', 'fluidOunce'])
const whose = (unit: string, text: string, system: UnitSystem) =>
  system === 'metric' && WHOSE.has(unit) && !/^(?:us|u\.s\.)/.test(text)

/** Whole words for what an amount is counted for. */
const BASE_WORDS: readonly (readonly [Base, RegExp])[] = [
  ['part', /^(?:parts?|measures?)$/],
  ['bucket', /^(?:buckets?|bucketfuls?|pails?)(?: of mix)?$/],
  ['scoop', /^(?:scoops?|scoopfuls?|jugs?|jugfuls?)(?: of mix)?$/],
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
  /^(?:per|\/|to (?:the|each|every|an?)|for (?:each|every|the|an?)|in (?:each|every|an?|the)|into (?:each|every|the)|on (?:each|every|the)|(?:for|to|in|into)(?= ?\d)|each|every|an?)(?= |\d|$|[a-z])/

/** No dose is counted for less mix than this, litres: “2 cups per tbsp” is a slip. Source: our assumption. */
const LEAST_VOLUME = 0.1

type BaseOfManner = Omit<Manner, 'unit'>
type BaseRead = BaseOfManner | { question: AmountQuestion } | null

/** What an amount is counted for where no material is named. */
function readCount(rest: string, count: number, { system }: Reading): BaseRead {
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
  return litres < LEAST_VOLUME
    ? { question: { code: 'for-what', text: rest } }
    : { base: 'volume', of: litres }
}

/** What can be counted of one material of a recipe. */
const OF_MATERIAL: ReadonlySet<Base> = new Set(['volume', 'bucket', 'scoop', 'bag', 'part'])

/** What an amount is counted for, from the words after "per"; null where nobody can tell. */
function readBase(text: string, reading: Reading): BaseRead {
  const number = numberAt(text)
  if (number?.kind === 'either')
    return { question: { code: 'which-number', text: number.text, either: number.either } }
  const count = number?.value ?? 1
  const rest = (number ? text.slice(number.length) : text)
    .trim()
    .replace(/ (?:of )?(?:the |loose |potting )?(?:mix|mixture|substrate)$/, '')
  if (!(count > 0)) return { question: { code: 'of-nothing' } }
  const plain = readCount(rest, count, reading)
  if (plain) return plain
  const of = /^(.+?) of (?:the )?(.+)$/.exec(rest)
  const counted = of ? readCount(of[1]!, count, reading) : null
  if (!of || !counted || 'question' in counted || !OF_MATERIAL.has(counted.base)) return counted
  const materialId = reading.named?.(of[2]!) ?? null
  // A recipe without such a part: "per litre of soil" is said of any mix.
  if (materialId === null)
    return of[2] === 'soil' ? counted : { question: { code: 'not-in-mix', text: of[2]! } }
  return { ...counted, materialId }
}

const WHOSE_SPOONS = /^(metric|us|u\.s\.) (?=(?:level )?(?:t|cup))/

/** "2 cm", "a 1 inch layer", "3 cm deep on top": a layer over all the surface. */
function readLayer(text: string): { unit: 'cmDeep' | 'inchDeep'; times: number } | null {
  const depth = lengthAt(text)
  if (!depth) return null
  const rest = ` ${text.slice(depth.length).trim()}`.trimEnd()
  if (!/^(?: (?:layer|deep|thick|dressing|of [^0-9/]+|(?:on|over) (?:the )?top|all over))*$/.test(rest))
    return null
  if (depth.unit === 'mm') return { unit: 'cmDeep', times: 0.1 }
  if (depth.unit === 'cm') return { unit: 'cmDeep', times: 1 }
  return depth.unit === 'in' ? { unit: 'inchDeep', times: 1 } : null
}

/** The unit of an amount at the head of a text. */
function readUnit(
  text: string,
  system: UnitSystem,
): { unit: WeightUnit | VolumeUnit; spoons?: UnitSystem; rest: string } | { question: AmountQuestion } {
  const spoons = WHOSE_SPOONS.exec(text)
  const heap = /^(?:heaped|heaping|rounded|generous|big|large|small) /.exec(text)
  if (heap) return { question: { code: 'heaped' } }
  const plain = (spoons ? text.slice(spoons[0].length) : text).replace(/^(?:level|flat|scant) /, '')
  const weight = weightAt(plain)
  const found = weight ?? volumeAt(plain)
  if (!found) {
    if (/^spoon(?:ful)?s?(?= |$|\/)/.test(plain)) return { question: { code: 'which-spoon' } }
    return { question: { code: 'which-unit', text: plain } }
  }
  if (whose(found.unit, plain, system))
    return { question: { code: 'which-gallon', unit: found.unit as 'gallon' } }
  const rest = plain.slice(found.length).trim()
  return spoons
    ? { unit: found.unit, spoons: spoons[1] === 'metric' ? 'metric' : 'us', rest }
    : { unit: found.unit, rest }
}

/**
 * An amount of a dressing as people say it: "60 g to the barrow", "2 level tbsp per bucket", "half a cup in all",
 * "3 lb per cubic yard", "a handful a plant". A bare number is in `usual`, the manner the field shows. What can be
 * read in two ways, or not at all, is asked about.
 */
export function readAmount(typed: string, reading: Reading): AmountRead {
  const { system, usual } = reading
  // "A 2 cm layer" is 2 cm.
  const text = plainly(typed)
    .replace(/[.!]$/, '')
    .replace(/^an? (?=\d)/, '')
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
  const layer = readLayer(rest)
  if (layer)
    return {
      ok: true,
      amount: { value: value * layer.times, manner: { unit: layer.unit, base: 'area', of: 1 } },
    }
  const unit = readUnit(rest, system)
  if ('question' in unit) return ask(unit.question)
  // Pounds and ounces: the amount is given in ounces.
  const ounces =
    unit.unit === 'lb' ? /^(?:and )?(\d+(?:\.\d+)?) ?(?:oz|ounces?)(?= |\/|$)/.exec(unit.rest) : null
  if (ounces)
    return readAmount(`${value * 16 + Number(ounces[1])} oz ${unit.rest.slice(ounces[0].length)}`, reading)
  // What it is of may be said between: "2 cups of bone meal per bucket".
  let tail = unit.rest.replace(/^,? ?(?:level|flat)(?= |$)/, '').trim()
  const of =
    /^of .*?(?= (?:per|to (?:the|each|every|a)|for (?:each|every|the)|(?:for|to|in) ?\d|in (?:each|every|all|total)|an? )|\/|$)/.exec(
      tail,
    )
  if (of) tail = tail.slice(of[0].length).trim()
  if (tail === '') return ask({ code: 'for-what', text: typed.trim() })
  const whole = (base: BaseOfManner): AmountRead => ({
    ok: true,
    amount: {
      value,
      manner: { unit: unit.unit, ...base },
      ...(unit.spoons && { spoons: unit.spoons }),
    },
  })
  if (IN_ALL.test(tail)) return whole({ base: 'all', of: 1 })
  const per = PER.exec(tail)
  const base = per ? readBase(tail.slice(per[0].length).trim(), reading) : null
  if (!base) return ask({ code: 'for-what', text: tail })
  if ('question' in base) return ask(base.question)
  return whole(base)
}
