import type { Dressing, Material } from '@/core/data'
import { airCapacityAt10Cm, easilyAvailableWaterAlone } from '@/core/data/columnFigures'
import type { OwnDressingRecord, OwnMaterialRecord } from '@/model/garden/schemas'
import { lengthText, percentText, pHText, weightText, type UnitSystem } from '../base/units'
import { LITRES } from '@/core/units'

/** Nothing told, as a choice of its own: a select shows nothing for no value. */
export const USUAL = 'usual'

export const FEELS = [
  { value: USUAL, label: 'as most of its kind' },
  { value: 'coarse', label: 'coarser, airier' },
  { value: 'fine', label: 'finer, wetter' },
] satisfies { value: NonNullable<OwnMaterialRecord['feel']> | typeof USUAL; label: string }[]

export const WETNESS_NAMES = [
  { value: 'dry', label: 'dry' },
  { value: 'moist', label: 'moist' },
  { value: 'wet', label: 'wet' },
] satisfies { value: OwnMaterialRecord['wetness']; label: string }[]

export const OWN_KINDS = [
  { value: 'soluble', label: 'Soluble feed' },
  { value: 'coated', label: 'Coated feed' },
  { value: 'organic', label: 'Organic feed' },
  { value: 'mineral', label: 'Mineral feed' },
  { value: 'lime', label: 'Lime' },
] satisfies { value: OwnDressingRecord['kind']; label: string }[]

export const ACID_NAMES = [
  { value: 'acid', label: 'ammonium or urea: acid-forming' },
  { value: 'neutral', label: 'mostly nitrate' },
]

export const GRIND_NAMES = [
  { value: USUAL, label: 'as usual for its kind' },
  { value: 'powder', label: 'powder, like flour' },
  { value: 'ground', label: 'ground, like fine sand' },
  { value: 'grit', label: 'grit or crushed' },
] satisfies { value: NonNullable<OwnDressingRecord['grind']> | typeof USUAL; label: string }[]

/** A round volume to weigh a bucket by, litres. */
const weighVolume = (units: UnitSystem) => (units === 'metric' ? 10 : LITRES.usGallon)

/** What an own material is taken as, with what of it is estimated. */
export function ownMaterialText(row: Material, units: UnitSystem): string {
  const p = row.properties
  const litres = weighVolume(units)
  const kg = p.moistBulkDensityAsBought.value * litres
  const of = units === 'metric' ? 'Ten litres' : 'A gallon'
  const air = `air ${percentText(airCapacityAt10Cm(row))} and easy water ${percentText(easilyAvailableWaterAlone(row))} in ${lengthText(20, units)}`
  const told = [
    ...(p.pH.kind === 'measured' ? ['the pH'] : []),
    ...(p.moistBulkDensityAsBought.kind === 'measured' ? ['the weight'] : []),
    ...(p.electricalConductivity.kind === 'measured' ? ['the salts'] : []),
  ]
  const rest =
    told.length > 0
      ? `Only ${told.join(', ')} ${told.length > 1 || told[0] === 'the salts' ? 'are' : 'is'} as you say; the rest`
      : 'All of it'
  return `${of} as bought weigh ${weightText(kg, units)}; ${air}; pH ${pHText(p.pH.value)}. ${rest} is estimated from similar materials, with wide ranges.`
}

/** "15-15-15". */
export const labelText = ({ nitrogen, phosphate, potash }: OwnDressingRecord['label']): string =>
  [nitrogen, phosphate, potash].map((n) => String(Number(n.toFixed(2)))).join('-')

/** "15-15-15", or what it neutralizes, for a list. */
export function dressingFacts(row: Dressing): string {
  if (row.lime)
    return `neutralizes ${percentText(row.lime.calciumCarbonateEquivalent.value)} of pure limestone`
  return row.label ? `${labelText(row.label)} (N-P-K as on a bag)` : 'no N, P or K'
}

/** The name of a copy. */
export const copied = (name: string) => `${name}, copy`
