import { numberAt, plainly } from './numberAt'
import { centimetresIn, gramsIn, lengthAt, litresIn, volumeAt, weightAt, type UnitSystem } from './units'

/** What a field holds: lengths in cm, volumes in litres, weights in kg. */
export type Dimension = 'length' | 'volume' | 'weight'

export type MeasureRead =
  | { kind: 'value'; value: number; unit: string }
  | { kind: 'either'; text: string; either: [number, number] }
  /** A gallon or pint, where nobody can tell whose. */
  | { kind: 'whose'; unit: 'gallon' | 'pint' | 'quart' | 'fluidOunce' }
  | null

const AT = { length: lengthAt, volume: volumeAt, weight: weightAt } as const
/** Measures that are larger in Britain than in the US: asked about where the grower's units are metric. */
const WHOSE = new Set(['gallon', 'pint', 'quart', 'fluidOunce'])

function sizeOf(dimension: Dimension, unit: string, system: UnitSystem): number {
  if (dimension === 'length') return centimetresIn(unit as 'cm')
  if (dimension === 'weight') return gramsIn(unit as 'g') / 1000
  return litresIn(unit as 'L', system)
}

/**
 * A measure with its units as people write it: `22"`, `3'6"`, "4 ft", "1.2 m", "2 lb 3 oz", "1.5 cu ft". Lengths in
 * cm, volumes in litres, weights in kg. Null where it is no such measure, a bare number included: what that counts is
 * the field's to say.
 */
export function readMeasure(text: string, dimension: Dimension, system: UnitSystem): MeasureRead {
  let rest = plainly(text)
  let sum = 0
  let smallest = Infinity
  let first = ''
  while (rest !== '') {
    const number = numberAt(rest)
    if (!number) return null
    if (number.kind === 'either') return number
    rest = rest.slice(number.length).trimStart()
    const unit = AT[dimension](rest)
    if (!unit) return null
    const bare = /^(?:us|u\.s\.)/.test(rest)
    if (system === 'metric' && WHOSE.has(unit.unit) && !bare)
      return { kind: 'whose', unit: unit.unit as 'gallon' }
    const size = sizeOf(dimension, unit.unit, system)
    // Feet then inches, pounds then ounces: each smaller than the one before, and above zero after the first.
    if (size >= smallest || (first !== '' && number.value < 0)) return null
    smallest = size
    first ||= unit.unit
    sum += number.value * size
    rest = rest
      .slice(unit.length)
      .trimStart()
      .replace(/^(?:and|,|\+) ?/, '')
  }
  return first === '' ? null : { kind: 'value', value: sum, unit: first }
}
