import type { LearnedFigures, LearnedProperty } from '../data/learned'
import type { MaterialPropertyName } from '../data/types'
import { blend, type BlendPart } from '../mixing'
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
  { pH, salts }: OldMixKnown,
): Outcome<LearnedFigures> {
  const then = aged(parts, years, temperature)
  const mixed = blend(then)
  if (!mixed.ok) return mixed
  const b = mixed.value
  const loose = then.reduce((s, p) => s + p.parts, 0)
  const mean = (name: MaterialPropertyName, of: (x: number) => number = (x) => x) =>
    then.reduce((s, p) => {
      const property = p.material.material.properties[name]
      return s + (property ? of(property.value) * (p.parts / loose) : 0)
    }, 0)
  const byMass = (name: MaterialPropertyName) =>
    then.reduce((s, p) => {
      const { dryBulkDensity, ...rest } = p.material.material.properties
      return (
        s +
        (p.parts / loose) *
          dryBulkDensity.value *
          ((rest as Record<string, { value: number }>)[name]?.value ?? 0)
      )
    }, 0) / Math.max(1e-6, mean('dryBulkDensity'))
  const around = (
    name: MaterialPropertyName,
    value: number,
    off: number,
    most = Infinity,
  ): LearnedProperty => ({
    name,
    low: value * (1 - off),
    value,
    high: Math.min(most, value * (1 + off)),
  })
  const beside = (name: MaterialPropertyName, value: number, off: number): LearnedProperty => ({
    name,
    low: value - off,
    value,
    high: value + off,
  })
  const properties: LearnedProperty[] = [
    around('dryBulkDensity', b.dryBulkDensity, OFF.body),
    around('moistBulkDensityAsBought', b.dryBulkDensity + 0.7 * b.waterAt(10), OFF.chemistry),
    around('totalPorosity', b.totalPorosity, OFF.body / 2, 0.97),
    ...(
      [
        ['waterAt10Cm', 10],
        ['waterAt50Cm', 50],
        ['waterAt100Cm', 100],
        ['waterAt1000Cm', 1000],
        ['waterAt15000Cm', 15_000],
      ] as const
    ).map(([name, tension]) => around(name, b.waterAt(tension), OFF.body, b.totalPorosity)),
    around('saturatedConductivity', b.saturatedConductivity, 0.7),
    around('looseEnvelopeFraction', mean('looseEnvelopeFraction') / (1 - b.blendingLoss), OFF.body, 0.9),
    beside('pH', pH.value, pH.isRead ? READ.pH : READ.course),
    around('bufferCapacity', b.bufferCapacity, OFF.chemistry),
    around('cationExchangeCapacity', b.cationExchangeCapacity, OFF.chemistry),
    around('electricalConductivity', salts.value, salts.isRead ? READ.salts : READ.saltsCourse),
    ...(['nitrogen', 'phosphorus', 'potassium', 'calcium', 'magnesium'] as const).map((name) =>
      around(name, byMass(name), OFF.chemistry),
    ),
    around('nitrogenFirstSeason', Math.max(0, NEXT_SEASON * mean('nitrogenFirstSeason')), 0.5),
    around(
      'structuralHalfLife',
      1 /
        Math.max(
          1e-3,
          mean('structuralHalfLife', (x) => 1 / x),
        ),
      OFF.chemistry,
    ),
    around('compressibility', mean('compressibility'), OFF.chemistry),
  ]
  const envelope = then.map(
    (p) => (p.parts / loose) * p.material.material.properties.looseEnvelopeFraction.value,
  )
  const all = envelope.reduce((s, e) => s + e, 0)
  const classes = then[0]!.material.material.sizeShares.length
  const sizeShares = Array.from({ length: classes }, (_, k) =>
    then.reduce((s, p, i) => s + (envelope[i]! / all) * p.material.material.sizeShares[k]!, 0),
  )
  return succeed({ properties, sizeShares })
}
