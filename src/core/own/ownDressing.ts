import { equivalentAcidity } from '../chemistry/pierre'
import { elementsOfLabel } from '../nutrients/labels'
import { fail, succeed, type Outcome } from '../outcome'
import { DRESSINGS } from '../data/dressings'
import {
  DRESSING_FAMILIES,
  type Dressing,
  type DressingFamily,
  type Element,
  type Label,
  type NitrogenForms,
  type Property,
  type Release,
} from '../data/types'

/** A dressing of a grower's own: what its bag says. */
export interface OwnDressing {
  id: string
  name: string
  family: Exclude<DressingFamily, 'lime'>
  /** The three numbers, percent N, P2O5 and K2O. */
  label: Label
  /** Other elements by mass fraction, as the bag gives them. */
  analysis?: Partial<Record<Element, number>>
  nitrogenForms?: NitrogenForms
  /** Months at 21 C, for coated products. */
  longevityMonths?: number
  /** g/mL. */
  bulkDensity?: number
}

const stated = (value: number, spread: number, kind: 'measured' | 'estimated', source: string): Property => ({
  low: value - spread * Math.abs(value),
  value,
  high: value + spread * Math.abs(value),
  source,
  kind,
  confidence: kind === 'measured' ? 'medium' : 'low',
})

/**
 * A whole dressing from its label. N, P and K are the label's, within a twentieth; release and forms of nitrogen come
 * from the row of its family nearest in analysis, acidity from the analysis by Pierre's convention, doses scaled by
 * how much stronger it is than that row. What is estimated says so. Errors: an unknown family; numbers below zero
 * or over a hundred in all; forms of nitrogen that do not make one; a longevity not above zero. Source: our
 * assumption.
 */
export function completeDressing(own: OwnDressing): Outcome<Dressing> {
  if (!DRESSING_FAMILIES.includes(own.family) || (own.family as string) === 'lime')
    return fail({ code: 'unknown-family', family: own.family })
  const numbers = [own.label.nitrogen, own.label.phosphate, own.label.potash]
  const sum = numbers.reduce((s, n) => s + n, 0)
  if (!numbers.every((n) => n >= 0) || !(sum <= WHOLE_LABEL))
    return fail({ code: 'value-out-of-range', field: 'label', value: sum, low: 0, high: WHOLE_LABEL })
  const forms = own.nitrogenForms
  const formsSum = forms ? forms.nitrate + forms.ammonium + forms.urea + forms.organic : 1
  if (Math.abs(formsSum - 1) > ROUNDED)
    return fail({ code: 'value-out-of-range', field: 'nitrogenForms', value: formsSum, low: 1, high: 1 })
  if (own.longevityMonths !== undefined && !(own.longevityMonths > 0))
    return fail({ code: 'size-not-positive', field: 'longevityMonths', value: own.longevityMonths })
  const kin = nearestKin(own)
  const source = `family:${own.family}`
  const analysis: Dressing['analysis'] = {}
  const e = elementsOfLabel(own.label)
  for (const [name, value] of Object.entries({ ...e, ...own.analysis }) as [Element, number][])
    if (value > 0) analysis[name] = stated(value, 0.05, 'measured', 'measured-by-you')
  const hasNitrogen = e.nitrogen > 0
  const strength = strengthOf(e) / Math.max(strengthOf({ ...zero, ...valuesOf(kin) }), 1e-3)
  const dose = (x: number) => (strength > 0 ? x / strength : x)
  const release: Release =
    own.longevityMonths !== undefined ? { ...coated(kin), longevityMonths: own.longevityMonths } : kin.release
  return succeed({
    id: own.id,
    name: own.name,
    detail: own.name,
    family: own.family,
    confidence: 'low',
    label: own.label,
    analysis,
    nitrogenForms: hasNitrogen
      ? (forms ?? kin.nitrogenForms ?? { nitrate: 0, ammonium: 1, urea: 0, organic: 0 })
      : null,
    release,
    lime: null,
    acidity: stated(equivalentAcidity(analysis), 0.3, 'estimated', 'pierre-1933'),
    saltIndex: null,
    bulkDensity: own.bulkDensity
      ? stated(own.bulkDensity, 0.1, 'measured', 'measured-by-you')
      : { ...kin.bulkDensity, source, kind: 'estimated', confidence: 'low' },
    dose: { low: dose(kin.dose.low), high: dose(kin.dose.high), limit: dose(kin.dose.limit), source },
    overdose: kin.overdose,
    hazard: kin.hazard,
    caution: kin.caution,
  })
}

/** All of a feed, %. */
const WHOLE_LABEL = 100
/** By how much forms of nitrogen may miss one, as labels round. */
const ROUNDED = 0.01
const zero = { nitrogen: 0, phosphorus: 0, potassium: 0 }
const valuesOf = (d: Dressing) => ({
  nitrogen: d.analysis.nitrogen?.value ?? 0,
  phosphorus: d.analysis.phosphorus?.value ?? 0,
  potassium: d.analysis.potassium?.value ?? 0,
})
const strengthOf = (e: typeof zero) => e.nitrogen + 0.5 * e.phosphorus + 0.5 * e.potassium

function nearestKin(own: OwnDressing): Dressing {
  const wanted = elementsOfLabel(own.label)
  const off = (d: Dressing) => {
    const has = valuesOf(d)
    return Math.hypot(
      has.nitrogen - wanted.nitrogen,
      has.phosphorus - wanted.phosphorus,
      has.potassium - wanted.potassium,
    )
  }
  return DRESSINGS.filter((d) => d.family === own.family).reduce((a, b) => (off(b) < off(a) ? b : a))
}

const coated = (kin: Dressing) =>
  (kin.release.kind === 'coated' ? kin : DRESSINGS.find((d) => d.release.kind === 'coated')!)
    .release as Extract<Release, { kind: 'coated' }>
