import { emptiedBy5Cm, waterAt5From } from './wetEnd'
import {
  WATER_PROPERTIES,
  type Dressing,
  type Material,
  type MaterialPropertyName,
  type Property,
} from './types'

/**
 * What readings have taught, as a normal law over deviates of rows: given by the readings' slopes, so that what hangs
 * together stays together. Plain data; with `K = s2 J' (s2 J J' + N)^-1`, a draw is `mean + s xi - K (s J xi + e)`.
 */
export interface Learning {
  /** Row and property, "compost_green/pH". */
  names: string[]
  /** In standard deviations of the tables. */
  mean: number[]
  /** J: a line a reading, a column a name. */
  slopes: number[][]
  /** N: covariance of the readings' errors. */
  noise: number[][]
  /** s: times the tables' spread that the readings speak for; 1 where left out. */
  spread?: number
}

/** A property as readings have it: what it likely is, and the range nine in ten lie in. */
export interface LearnedProperty {
  /** Of a material, or the path in a dressing's row ("release.ratePerDay"). */
  name: string
  low: number
  value: number
  high: number
}

/** A row as readings have it. */
export interface LearnedFigures {
  properties: readonly LearnedProperty[]
  /** Volume shares of its size classes, where they moved. */
  sizeShares?: readonly number[]
}

/** Where figures that take the place of a row's own come from. */
type Origin = Pick<Property, 'source' | 'kind'>
const READINGS: Origin = { source: 'measured-by-you', kind: 'measured' }
const AGED: Origin = { source: 'aged-mix', kind: 'estimated' }

const put = (was: Property, { low, value, high }: Omit<LearnedProperty, 'name'>, from: Origin): Property => ({
  ...was,
  low: Math.min(low, value),
  value,
  high: Math.max(high, value),
  ...from,
})

/** A material with other figures in place of some of its own. */
function withFigures(row: Material, { properties, sizeShares }: LearnedFigures, from: Origin): Material {
  const changed = { ...row.properties }
  for (const p of properties) {
    const was = row.properties[p.name as MaterialPropertyName]
    if (was) changed[p.name as MaterialPropertyName] = put(was, p, from)
  }
  if (!properties.some((p) => p.name === 'waterAt5Cm')) {
    const [pores, at10] = [changed.totalPorosity.value, changed.waterAt10Cm.value]
    const value = waterAt5From(pores, Math.min(at10, pores), emptiedBy5Cm(row.properties))
    const was = changed.waterAt5Cm
    changed.waterAt5Cm = { ...was, value, low: Math.min(was.low, value), high: Math.max(was.high, value) }
  }
  let most = changed.totalPorosity.value
  for (const name of WATER_PROPERTIES) {
    const p = changed[name]
    if (p.value > most) changed[name] = { ...p, value: most, low: Math.min(p.low, most) }
    most = changed[name].value
  }
  return { ...row, properties: changed, sizeShares: [...(sizeShares ?? row.sizeShares)] }
}

/** A material that is a mix which has aged: what was worked out for it in place of the row it is like. */
export const agedMaterial = (row: Material, figures: LearnedFigures): Material =>
  withFigures(row, figures, AGED)

/**
 * A material with what readings taught of it; what they did not stays as the tables have it. Water still falls with
 * tension and never passes the pores. Names that the row has not are passed over.
 */
export const learnedMaterial = (row: Material, figures: LearnedFigures): Material => ({
  ...withFigures(row, figures, READINGS),
  unlearned: row,
})

/** The same of a dressing, whose properties are named by their path ("release.ratePerDay"). */
export function learnedDressing(row: Dressing, { properties }: LearnedFigures): Dressing {
  const by = new Map(properties.map((p) => [p.name, p]))
  const walk = (of: unknown, path: string): unknown => {
    const p = by.get(path)
    if (p) return put(of as Property, p, READINGS)
    if (Array.isArray(of) || typeof of !== 'object' || of === null) return of
    return Object.fromEntries(Object.entries(of).map(([k, v]) => [k, walk(v, path ? `${path}.${k}` : k)]))
  }
  return { ...(walk(row, '') as Dressing), unlearned: row }
}
