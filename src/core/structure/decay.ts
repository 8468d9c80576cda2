import { q10Factor } from '../chemistry/q10'
import { MATERIALS } from '../data/materials'
import type { Material, Property } from '../data/types'
import { lazy } from '../lazy'
import { prepareMaterial, type BlendPart, type PreparedMaterial } from '../mixing'
import type { Fraction } from '../units'

/** Temperature the tables' half-lives stand for, C: a mix out of doors in a temperate year. Source: our assumption. */
export const HALF_LIFE_TEMPERATURE = 15

/**
 * Of a part's solids that lose their structure, the mass that stays as fine humus; the rest goes off as gas. Source:
 * our assumption.
 */
export const LEFT_AS_FINES = { low: 0.2, value: 0.35, high: 0.5 } as const

const assumed = (value: number): Property => ({
  low: value,
  value,
  high: value,
  source: 'our-assumption',
  kind: 'estimated',
  confidence: 'low',
})

/**
 * What rotted structure turns to: fine, wet and heavy, much like sieved old compost. Its pH and salts are left to the
 * part it came from. Source: our assumption, set near the finest composts of the tables.
 */
const FINES = {
  dryBulkDensity: assumed(0.3),
  totalPorosity: assumed(0.8),
  waterAt5Cm: assumed(0.77),
  waterAt10Cm: assumed(0.74),
  waterAt50Cm: assumed(0.58),
  waterAt100Cm: assumed(0.5),
  waterAt1000Cm: assumed(0.32),
  waterAt15000Cm: assumed(0.2),
  looseEnvelopeFraction: assumed(0.58),
  saturatedConductivity: assumed(2),
  compressibility: assumed(0.05),
}
const FINE_SIZES = [0, 0, 0, 0, 0.1, 0.2, 0.3, 0.4]

/**
 * Share of a part's solids that have lost their structure after some years at a mean temperature: 1 - 2^(-t Q /
 * half-life).
 * Range: 0 to 1. Source: as the half-lives of the tables.
 *
 * @example
 * lostStructure(materialById('compost_green'), 1, 15) // 0.2063
 */
export function lostStructure(material: Material, years: number, temperature: number): Fraction {
  const halfLife = material.properties.structuralHalfLife.value
  return 1 - 2 ** ((-years * q10Factor(2, temperature, HALF_LIFE_TEMPERATURE)) / halfLife)
}

/** Fines of a part. */
const asFines = (material: Material): Material => ({
  ...material,
  id: `${material.id}:fines`,
  sizeShares: FINE_SIZES,
  properties: { ...material.properties, ...FINES },
})
/** Their water and packing are the same whatever they come from, so both are worked out once. */
const finesPhysics = lazy(() => prepareMaterial(asFines(MATERIALS[0]!)))
function finesOf(material: Material): PreparedMaterial {
  const { retention, beta } = finesPhysics()
  return { material: asFines(material), retention, beta }
}

/**
 * A recipe as it is after some years: of every part what kept its structure, and the fines that the rest has become.
 *
 *   sound   f (1 - D)                          D = share that lost its structure
 *   fines   f D m rho / rho_fines              m = mass of it that stays
 *
 * Loose volumes, in the unit of the parts given; blend them to see what fell into the gaps. Mass: solids that went are
 * f D (1 - m) rho. Years from 0; 5 to 30 C. Wide: half-lives are known within a factor of two.
 * Source: exponential decay, common practice; the turning to fines is our assumption.
 */
export function aged(parts: readonly BlendPart[], years: number, temperature: number): BlendPart[] {
  return parts.flatMap(({ material, parts: n }) => {
    const lost = lostStructure(material.material, years, temperature)
    if (lost < 1e-4) return [{ material, parts: n }]
    const fines = finesOf(material.material)
    const ratio =
      material.material.properties.dryBulkDensity.value / fines.material.properties.dryBulkDensity.value
    return [
      { material, parts: n * (1 - lost) },
      { material: fines, parts: n * lost * LEFT_AS_FINES.value * ratio },
    ]
  })
}
