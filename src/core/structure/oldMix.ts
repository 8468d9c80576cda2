import type { LearnedFigures, LearnedProperty } from '../data/learned'
import type { MaterialPropertyName } from '../data/types'
import { blend, type Blend, type BlendPart } from '../mixing'
import { succeed, type Outcome } from '../outcome'
import { aged } from './decay'

/** What is known of an old mix beside its recipe: as read, or as its course ends; and how surely. */
export interface OldMixKnown {
  pH: { value: number; isRead: boolean }
  /** dS/m in the saturated extract. */
  salts: { value: number; isRead: boolean }
}

/** Of the nitrogen a part gives in its first season, what it gives in the next. Source: our assumption, two fifths. */
const NEXT_SEASON = 0.4
/** How far each figure may be off, as a share of it. Source: our assumption: half-lives are known within twofold. */
const OFF = { body: 0.12, chemistry: 0.25 }
/** A pH that was read, and one from its course; salts likewise, as a share. */
const READ = { pH: 0.2, course: 0.5, salts: 0.2, saltsCourse: 0.4 }

/**
 * A mix after some years in its container as one material for the next: what rotted, what became fines, what pH and
 * salts are left. Per litre loose, after loosening. `parts` as it was made; C.
 * Errors: those of `blend`. Range: up to five years. Source: `aged`, then `blend`; what is known of it first.
 */
export function oldMixFigures(
  parts: readonly BlendPart[],
  years: number,
  temperature: number,
  known: OldMixKnown,
): Outcome<LearnedFigures> {
  const then = aged(parts, years, temperature)
  const mixed = blend(then)
  if (!mixed.ok) return mixed
  return succeed({
    properties: [
      ...bodyOf(mixed.value),
      ...chemistryOf(mixed.value, known),
      ...feedOf(then),
      ...lastingOf(then, mixed.value),
    ],
    sizeShares: sizeSharesOf(then),
  })
}

/** A figure within a share of itself. */
const around = (
  name: MaterialPropertyName,
  value: number,
  off: number,
  most = Infinity,
): LearnedProperty => ({ name, low: value * (1 - off), value, high: Math.min(most, value * (1 + off)) })
/** A figure within an amount either way. */
const beside = (name: MaterialPropertyName, value: number, off: number): LearnedProperty => ({
  name,
  low: value - off,
  value,
  high: value + off,
})

const sharesOf = (parts: readonly BlendPart[]) => {
  const loose = parts.reduce((s, p) => s + p.parts, 0)
  return parts.map((p) => p.parts / loose)
}
type Read = (name: MaterialPropertyName, of?: (x: number) => number) => number
/** Mean of a figure over the loose parts; one that a material has not counts as 0. */
function byVolume(parts: readonly BlendPart[]): Read {
  const shares = sharesOf(parts)
  return (name, of = (x) => x) =>
    parts.reduce((s, p, i) => {
      const property = p.material.material.properties[name]
      return s + (property ? of(property.value) * shares[i]! : 0)
    }, 0)
}
/** Mean of a content, each part by its dry weight. */
function byMass(parts: readonly BlendPart[]): Read {
  const shares = sharesOf(parts)
  const density = byVolume(parts)('dryBulkDensity')
  return (name) =>
    parts.reduce((s, p, i) => {
      const { properties } = p.material.material
      return s + shares[i]! * properties.dryBulkDensity.value * (properties[name]?.value ?? 0)
    }, 0) / Math.max(1e-6, density)
}

const TENSIONS = [
  ['waterAt5Cm', 5],
  ['waterAt10Cm', 10],
  ['waterAt50Cm', 50],
  ['waterAt100Cm', 100],
  ['waterAt1000Cm', 1000],
  ['waterAt15000Cm', 15_000],
] as const
const bodyOf = (b: Blend): LearnedProperty[] => [
  around('dryBulkDensity', b.dryBulkDensity, OFF.body),
  around('moistBulkDensityAsBought', b.dryBulkDensity + 0.7 * b.waterAt(10), OFF.chemistry),
  around('totalPorosity', b.totalPorosity, OFF.body / 2, 0.97),
  ...TENSIONS.map(([name, tension]) => around(name, b.waterAt(tension), OFF.body, b.totalPorosity)),
  around('saturatedConductivity', b.saturatedConductivity, 0.7),
]
const chemistryOf = (b: Blend, { pH, salts }: OldMixKnown): LearnedProperty[] => [
  beside('pH', pH.value, pH.isRead ? READ.pH : READ.course),
  around('bufferCapacity', b.bufferCapacity, OFF.chemistry),
  around('cationExchangeCapacity', b.cationExchangeCapacity, OFF.chemistry),
  around('electricalConductivity', salts.value, salts.isRead ? READ.salts : READ.saltsCourse),
]
function feedOf(parts: readonly BlendPart[]): LearnedProperty[] {
  const content = byMass(parts)
  const firstSeason = byVolume(parts)('nitrogenFirstSeason')
  return [
    ...(['nitrogen', 'phosphorus', 'potassium', 'calcium', 'magnesium'] as const).map((name) =>
      around(name, content(name), OFF.chemistry),
    ),
    around('nitrogenFirstSeason', Math.max(0, NEXT_SEASON * firstSeason), 0.5),
  ]
}
/** How it packs, settles and rots from here on. Half-lives by their rates. */
function lastingOf(parts: readonly BlendPart[], { blendingLoss }: Blend): LearnedProperty[] {
  const mean = byVolume(parts)
  const rate = mean('structuralHalfLife', (x) => 1 / x)
  return [
    around('looseEnvelopeFraction', mean('looseEnvelopeFraction') / (1 - blendingLoss), OFF.body, 0.9),
    around('structuralHalfLife', 1 / Math.max(1e-3, rate), OFF.chemistry),
    around('compressibility', mean('compressibility'), OFF.chemistry),
  ]
}

/** Shares of the size classes, each part by the room its grains take. */
function sizeSharesOf(parts: readonly BlendPart[]): number[] {
  const shares = sharesOf(parts)
  const envelope = parts.map(
    (p, i) => shares[i]! * p.material.material.properties.looseEnvelopeFraction.value,
  )
  const all = envelope.reduce((s, e) => s + e, 0)
  return parts[0]!.material.material.sizeShares.map((_, k) =>
    parts.reduce((s, p, i) => s + (envelope[i]! / all) * p.material.material.sizeShares[k]!, 0),
  )
}
