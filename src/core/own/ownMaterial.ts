import { fail, succeed, type Outcome } from '../outcome'
import { MATERIALS } from '../data'
import { emptiedBy5Cm, waterAt5From } from '../data/wetEnd'
import {
  MATERIAL_FAMILIES,
  WATER_PROPERTIES,
  type Material,
  type MaterialFamily,
  type MaterialProperties,
  type MaterialPropertyName,
  type Pack,
  type Property,
  type Wetness,
} from '../data/types'

/** A figure a grower knows: alone, or with the range they believe. */
export type KnownValue = number | { low: number; value: number; high: number }

/** Water in it over what its kin hold as bought. Source: our assumption. */
const WATER_OF: Record<Wetness, number> = { dry: 0.4, moist: 1, wet: 1.6 }

/** A material of a grower's own, of which only some is known. */
export interface OwnMaterial {
  id: string
  name: string
  /** Left out, it is that of the row most like what is known. */
  family?: MaterialFamily
  /** Id of the row of the tables it is most like: what is not known is then that row's, not the family's. */
  like?: string
  /** How it feels in the hand: coarser holds less water than its kin, finer more. */
  feel?: 'coarse' | 'fine'
  /** A filled bucket weighed: kg per litre as bought, and how wet it was. */
  asBought?: { bulkDensity: number; wetness: Wetness }
  /** Share of the volume that is thrown out on screening; the rest is what goes into a mix. */
  screenedOut?: number
  sizeShares?: readonly number[]
  sterileAsBought?: 'y' | 'n'
  pack?: Pack
  known: Partial<Record<MaterialPropertyName, KnownValue>>
}

const FRACTIONS: readonly MaterialPropertyName[] = [
  'totalPorosity',
  ...WATER_PROPERTIES,
  'looseEnvelopeFraction',
]
/** Least and most believed of what a grower may type, in core units. */
const BELIEVED: Partial<Record<MaterialPropertyName, readonly [number, number]>> = {
  dryBulkDensity: [0.005, 3],
  moistBulkDensityAsBought: [0.005, 4],
  pH: [2.5, 11],
  bufferCapacity: [0.01, 300],
  electricalConductivity: [0, 30],
}

const valueOf = (known: KnownValue) => (typeof known === 'number' ? known : known.value)

/** Scale on which two values of a property are told apart: fractions and pH as they are, the rest in logarithm. */
function apart(name: MaterialPropertyName, a: number, b: number): number {
  if (FRACTIONS.includes(name)) return (a - b) / 0.1
  if (name === 'pH') return a - b
  return Math.log(Math.max(a, 1e-6) / Math.max(b, 1e-6)) / 0.5
}

/** Squared distance of a table row from what is known, a mean over the properties both have. */
function distance(row: Material, own: OwnMaterial): number {
  let sum = 0
  let count = 0
  for (const [name, known] of Object.entries(own.known) as [MaterialPropertyName, KnownValue][]) {
    const p = row.properties[name]
    if (!p) continue
    sum += apart(name, valueOf(known), p.value) ** 2
    count++
  }
  return count > 0 ? sum / count : 0
}

/**
 * A whole material from a few known figures: the rest is a mean of the rows of its family, nearer rows counting for
 * more (weight 1 / (0.1 + distance squared)), over a range from the least low to the greatest high of the family.
 * What is estimated says so: source `family:<name>`, kind 'estimated', confidence low. What is known is kind
 * 'measured', within a tenth unless a range was given.
 *
 * A row it is like stands in for its family. A weighed bucket gives both densities: the dry one by the water its kin
 * hold, 0.4 or 1.6 times that where it was dry or wet, within 15 %. What feels coarse or fine holds water halfway to
 * the low or the high end. What is screened out comes off the volume a pack gives.
 *
 * Afterwards the parts are made to agree: a known density with unknown porosity gives porosity by the family's solid
 * density; water is scaled down under pores and made to fall with tension, known figures standing.
 * Errors: a family, a row it is like or a figure nobody would believe; water known that rises with tension or passes
 * the pores known.
 * Source: our assumption.
 * Units: those of the tables: fractions, kg/L, mmol_c, dS/m.
 */
export function completeMaterial(own: OwnMaterial): Outcome<Material> {
  if (own.family && !MATERIAL_FAMILIES.includes(own.family))
    return fail({ code: 'unknown-family', family: own.family })
  for (const [name, known] of Object.entries(own.known) as [MaterialPropertyName, KnownValue][]) {
    const value = valueOf(known)
    const [low, high] = FRACTIONS.includes(name) ? [0, 0.99] : (BELIEVED[name] ?? [-1e4, 1e5])
    if (!(value >= low && value <= high))
      return fail({ code: 'value-out-of-range', field: name, value, low, high })
  }
  const like = own.like === undefined ? null : MATERIALS.find((m) => m.id === own.like)
  if (like === undefined) return fail({ code: 'unknown-material', material: own.like! })
  const out = own.screenedOut ?? 0
  if (!(out >= 0 && out <= MOST_SCREENED))
    return fail({ code: 'value-out-of-range', field: 'screenedOut', value: out, low: 0, high: MOST_SCREENED })
  const weighed = own.asBought?.bulkDensity
  const [lightest, heaviest] = BELIEVED.moistBulkDensityAsBought!
  if (weighed !== undefined && !(weighed >= lightest && weighed <= heaviest))
    return fail({
      code: 'value-out-of-range',
      field: 'moistBulkDensityAsBought',
      value: weighed,
      low: lightest,
      high: heaviest,
    })
  const family =
    own.family ??
    like?.family ??
    MATERIALS.reduce((a, b) => (distance(b, own) < distance(a, own) ? b : a)).family
  const rows = like ? [like] : MATERIALS.filter((m) => m.family === family)
  const weights = rows.map((row) => 1 / (0.1 + distance(row, own)))
  const properties = {} as MaterialProperties
  for (const name of Object.keys(rows[0]!.properties) as MaterialPropertyName[]) {
    const estimate = estimated(rows, weights, name, like ? `like:${like.id}` : `family:${family}`)
    const known = own.known[name]
    if (known !== undefined) properties[name] = measured(known)
    else if (estimate) properties[name] = felt(estimate, name, own.feel)
  }
  weigh(properties, own)
  const problem = agree(properties, own, rows, weights)
  if (problem) return fail(problem)
  const nearest = rows[weights.indexOf(Math.max(...weights))]!
  return succeed({
    id: own.id,
    name: own.name,
    family,
    confidence: 'low',
    sterileAsBought: own.sterileAsBought ?? 'n',
    hazards: nearest.hazards,
    pack: own.pack ?? nearest.pack,
    ...(out > 0 ? { screenedOut: out } : {}),
    sizeShares: own.sizeShares ? normalised(own.sizeShares) : meanSizes(rows, weights),
    sizeRange: {
      low: nearest.sizeRange.low.map((_, k) => Math.min(...rows.map((r) => r.sizeRange.low[k]!))),
      high: nearest.sizeRange.high.map((_, k) => Math.max(...rows.map((r) => r.sizeRange.high[k]!))),
      source: like ? `like:${like.id}` : `family:${family}`,
      kind: 'estimated',
    },
    properties,
  })
}

const normalised = (shares: readonly number[]) => {
  const sum = shares.reduce((s, v) => s + v, 0)
  return shares.map((v) => v / sum)
}
const meanSizes = (rows: readonly Material[], weights: readonly number[]) =>
  normalised(
    rows[0]!.sizeShares.map((_, k) => rows.reduce((s, r, i) => s + weights[i]! * r.sizeShares[k]!, 0)),
  )

function measured(known: KnownValue): Property {
  const range =
    typeof known === 'number'
      ? { low: known - 0.1 * Math.abs(known), value: known, high: known + 0.1 * Math.abs(known) }
      : known
  return { ...range, source: 'measured-by-you', kind: 'measured', confidence: 'medium' }
}

function estimated(
  rows: readonly Material[],
  weights: readonly number[],
  name: MaterialPropertyName,
  source: string,
): Property | undefined {
  const having = rows.flatMap((r, i) => {
    const p = r.properties[name]
    return p ? [{ p, w: weights[i]! }] : []
  })
  if (having.length === 0) return undefined
  const total = having.reduce((s, { w }) => s + w, 0)
  return {
    low: Math.min(...having.map(({ p }) => p.low)),
    value: having.reduce((s, { p, w }) => s + w * p.value, 0) / total,
    high: Math.max(...having.map(({ p }) => p.high)),
    source,
    kind: 'estimated',
    confidence: 'low',
  }
}

/** More than this is not screened but thrown away. */
const MOST_SCREENED = 0.9

/** An estimate as the hand corrects it: water of what feels coarse or fine, halfway to that end of its range. */
function felt(p: Property, name: MaterialPropertyName, feel: OwnMaterial['feel']): Property {
  if (!feel || !(WATER_PROPERTIES as readonly string[]).includes(name)) return p
  const value = (p.value + (feel === 'coarse' ? p.low : p.high)) / 2
  return feel === 'coarse' ? { ...p, value, high: p.value } : { ...p, value, low: p.value }
}

/** Both densities from a weighed bucket, where they are not known otherwise. */
function weigh(p: MaterialProperties, own: OwnMaterial) {
  if (!own.asBought) return
  const { bulkDensity, wetness } = own.asBought
  // What settles when wetted holds less dry matter in a litre as bought.
  const dryKin = p.dryBulkDensity.value * Math.min(1, p.volumeFactorOnWetting.value)
  const kinWater = Math.max(p.moistBulkDensityAsBought.value / dryKin - 1, 0.02)
  const dry = bulkDensity / (1 + kinWater * WATER_OF[wetness]) / p.volumeFactorOnWetting.value
  const within = (value: number, spread: number): Property =>
    measured({ low: value * (1 - spread), value, high: value * (1 + spread) })
  if (own.known.moistBulkDensityAsBought === undefined) p.moistBulkDensityAsBought = within(bulkDensity, 0.05)
  if (own.known.dryBulkDensity === undefined) p.dryBulkDensity = within(dry, 0.15)
}

/**
 * Makes porosity, density and water agree, leaving what is known alone; the problem where known figures contradict
 * each other.
 */
function agree(
  p: MaterialProperties,
  own: OwnMaterial,
  rows: readonly Material[],
  weights: readonly number[],
) {
  const known = (name: MaterialPropertyName) => own.known[name] !== undefined
  const set = (name: MaterialPropertyName, value: number) => {
    const of = p[name]!
    p[name] = { ...of, value, low: Math.min(of.low, value), high: Math.max(of.high, value) }
  }
  if ((known('dryBulkDensity') || own.asBought) && !known('totalPorosity')) {
    const solid = (m: Material) => m.properties.dryBulkDensity.value / (1 - m.properties.totalPorosity.value)
    const total = weights.reduce((s, w) => s + w, 0)
    const mean = rows.reduce((s, m, i) => s + weights[i]! * solid(m), 0) / total
    set('totalPorosity', Math.min(0.98, Math.max(0.2, 1 - p.dryBulkDensity.value / mean)))
  }
  if (
    !known('moistBulkDensityAsBought') &&
    !own.asBought &&
    p.moistBulkDensityAsBought.value < p.dryBulkDensity.value * Math.min(1, p.volumeFactorOnWetting.value)
  )
    set('moistBulkDensityAsBought', p.dryBulkDensity.value * 1.1)
  const chain = (['totalPorosity', ...WATER_PROPERTIES] as const).filter(
    (name) => name !== 'waterAt5Cm' || known(name),
  )
  for (let i = 1; i < chain.length; i++) {
    const [above, below] = [chain[i - 1]!, chain[i]!]
    if (p[below].value <= p[above].value) continue
    if (known(below) && known(above))
      return {
        code: 'value-out-of-range' as const,
        field: below,
        value: p[below].value,
        low: 0,
        high: p[above].value,
      }
    if (known(below))
      for (const name of chain.slice(0, i)) {
        if (!known(name)) set(name, Math.max(p[name].value, p[below].value))
      }
    else set(below, p[above].value * 0.85)
  }
  if (!known('waterAt5Cm')) {
    const total = weights.reduce((s, w) => s + w, 0)
    const emptied = rows.reduce((s, m, i) => s + weights[i]! * emptiedBy5Cm(m.properties), 0) / total
    set('waterAt5Cm', waterAt5From(p.totalPorosity.value, p.waterAt10Cm.value, emptied))
  }
  return null
}
