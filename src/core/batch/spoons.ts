import type { Grams } from '../units'
import { LITRES } from '../units'
import { defineLimits } from '../limits'

/** A set of level measures, largest first, mL. */
export interface SpoonSet {
  /** A litre jug, or a quart. */
  jug: number
  cup: number
  tablespoon: number
  teaspoon: number
}

export const METRIC_SPOONS: SpoonSet = {
  jug: 1000,
  cup: LITRES.metricCup * 1000,
  tablespoon: LITRES.metricTablespoon * 1000,
  teaspoon: LITRES.metricTeaspoon * 1000,
}
export const US_SPOONS: SpoonSet = {
  jug: LITRES.usQuart * 1000,
  cup: LITRES.usCup * 1000,
  tablespoon: LITRES.usTablespoon * 1000,
  teaspoon: LITRES.usTeaspoon * 1000,
}

/** So many of each, level, at most two of them; none of any where it is less than a quarter teaspoon. */
export interface SpoonMeasure {
  /** Litre jugs or quarts, in halves. */
  jugs: number
  /** In quarters and thirds. */
  cups: number
  /** In halves. */
  tablespoons: number
  /** In quarters. */
  teaspoons: number
}

export const SPOON_LIMITS = defineLimits({
  near: {
    value: 0.03,
    low: 0.02,
    high: 0.05,
    unit: 'fraction of the dose',
    source: 'our assumption: powders pack by a fifth either way, so that finer spooning is no better',
  },
})

const NAMES = ['jugs', 'cups', 'tablespoons', 'teaspoons'] as const
type Name = (typeof NAMES)[number]
/** Fractions of each that people have a measure or a mark for. */
const FRACTIONS: Record<Name, readonly number[]> = {
  jugs: [0, 0.5],
  cups: [0, 0.25, 1 / 3, 0.5, 2 / 3, 0.75],
  tablespoons: [0, 0.5],
  teaspoons: [0, 0.25, 0.5, 0.75],
}
const NONE: SpoonMeasure = { jugs: 0, cups: 0, tablespoons: 0, teaspoons: 0 }

/** Amounts of one measure at and beside a volume, in its own number; zero is not among them. */
function around(name: Name, millilitres: number, size: number): number[] {
  const whole = Math.floor(millilitres / size)
  return [whole, whole + 1]
    .flatMap((n) => FRACTIONS[name].map((f) => n + f))
    .filter((n) => n > 0 && Math.abs(n * size - millilitres) < size)
}

interface Way {
  measure: SpoonMeasure
  kinds: number
  spoonfuls: number
  off: number
}

/**
 * A weight as level measures by its bulk density (g/mL): the largest that fits, at most two, as near as spoons can be
 * trusted; then fewest kinds, then fewest spoonfuls, then the nearest. All zero below a quarter teaspoon: weigh it.
 * Range: 0 g and up, density above 0. Scales are better: powders pack by a fifth either way (common practice).
 *
 * @example
 * levelSpoons(23, 1, { jug: 1000, cup: 250, tablespoon: 15, teaspoon: 5 })
 * // { jugs: 0, cups: 0, tablespoons: 1.5, teaspoons: 0 }
 */
export function levelSpoons(grams: Grams, bulkDensity: number, set: SpoonSet): SpoonMeasure {
  const millilitres = grams / bulkDensity
  const sizes: Record<Name, number> = {
    jugs: set.jug,
    cups: set.cup,
    tablespoons: set.tablespoon,
    teaspoons: set.teaspoon,
  }
  if (!(millilitres >= sizes.teaspoons / 8)) return NONE
  const least = (name: Name) => FRACTIONS[name][1]! * sizes[name]
  const largest = NAMES.findIndex((name) => millilitres >= least(name) * (name === 'jugs' ? 2 : 1) - 1e-9)
  const first = largest === -1 ? NAMES.length - 1 : largest
  const ways: Way[] = []
  const add = (of: Partial<SpoonMeasure>) => {
    const measure = { ...NONE, ...of }
    const amounts = NAMES.map((name) => measure[name])
    const sum = NAMES.reduce((all, name) => all + measure[name] * sizes[name], 0)
    ways.push({
      measure,
      kinds: amounts.filter((n) => n > 0).length,
      spoonfuls: amounts.reduce((all, n) => all + Math.ceil(n - 1e-9), 0),
      off: Math.abs(sum / millilitres - 1),
    })
  }
  const name = NAMES[first]!
  for (const n of around(name, millilitres, sizes[name])) {
    add({ [name]: n })
    const rest = millilitres - n * sizes[name]
    for (const smaller of NAMES.slice(first + 1))
      for (const m of around(smaller, rest, sizes[smaller])) if (rest > 0) add({ [name]: n, [smaller]: m })
  }
  const near = (way: Way) => way.off <= SPOON_LIMITS.near.value
  return ways.reduce((a, b) => {
    if (near(a) !== near(b)) return near(a) ? a : b
    const by = near(a) ? a.kinds - b.kinds || a.spoonfuls - b.spoonfuls || a.off - b.off : a.off - b.off
    return by <= 0 ? a : b
  }).measure
}
