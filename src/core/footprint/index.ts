import rows from '../data/footprint.json'
import type { Litres } from '../units'

/** kg of carbon dioxide, or what warms as much, with its range. */
export interface Footprint {
  low: number
  value: number
  high: number
}

/**
 * Of a cubic metre of each material, from the ground to the gate, with the carbon of peat that is lost; negative where
 * carbon is stored. Good to a factor of two.
 * Source: Boldrin et al. 2010; Quantis for EPAGMA 2012; Stucki et al. 2019; Stichnothe 2022 (from memory); grades of a
 * material alike.
 */
const PER_CUBIC_METRE: ReadonlyMap<string, Footprint> = new Map(rows.map((r) => [r.material, r]))

/**
 * Of a kg of ground lime: its carbon dioxide, given off as it neutralises acid, and grinding. Source: stoichiometry, 44
 * of 100.
 */
const PER_KG_LIME: Footprint = { low: 0.3, value: 0.46, high: 0.52 }

/** A part of a mix: loose litres of a material. */
export interface FootprintPart {
  id: string
  litres: Litres
}

/**
 * Footprint of a litre of mix, kg, and materials of which nothing is known; null where that is all of them. `made`:
 * litres that the parts come to once they are stirred. Lime in g for a litre of mix. Errors: none. Left out: packs, the
 * way to the garden, feed. Source: beside the figures; parts and lime add up.
 *
 * @example
 * carbonFootprint([{ id: 'peat_medium', litres: 1 }], { made: 1, limeGramsPerLitre: 0 }).perLitre.value // 0.19
 */
export function carbonFootprint(
  parts: readonly FootprintPart[],
  { made, limeGramsPerLitre }: { made: Litres; limeGramsPerLitre: number },
): { perLitre: Footprint | null; unknown: string[] } {
  const known = parts.filter((p) => PER_CUBIC_METRE.has(p.id))
  const unknown = parts.filter((p) => !PER_CUBIC_METRE.has(p.id)).map((p) => p.id)
  if (known.length === 0 || !(made > 0)) return { perLitre: null, unknown }
  const sum = (of: keyof Footprint) =>
    known.reduce((all, p) => all + (PER_CUBIC_METRE.get(p.id)![of] / 1000) * p.litres, 0) / made +
    (PER_KG_LIME[of] * limeGramsPerLitre) / 1000
  return { perLitre: { low: sum('low'), value: sum('value'), high: sum('high') }, unknown }
}
