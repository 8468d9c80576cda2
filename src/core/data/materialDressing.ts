import { availability, MINERALISES, TABLE_SEASON } from './availability'
import type { Property } from './property'
import type { Dressing, Material } from './types'

/**
 * Shares of the mix by volume at which a material is given as a dressing, and at which it is a part of the mix instead.
 * Source: common practice for worm castings and compost, a tenth at most; the last is our assumption.
 */
export const MATERIAL_DOSE = { low: 0.01, high: 0.1, limit: 0.3 } as const

const ROWS = new WeakMap<Material, Dressing>()

/** A figure of a material carried over to its dressing, so many times. */
const times = (p: Property, by: number): Property => ({
  ...p,
  low: p.low * by,
  value: p.value * by,
  high: p.high * by,
})

/**
 * A material as a dressing: castings by the cup, rock dust in the top, compost as a layer. It gives what the same
 * grams give as a part: nutrients in reach over a season of 20 weeks, by the rate of the parts' own nitrogen. What it
 * does to pores and pH is left out, so a dose beyond `MATERIAL_DOSE.limit` belongs among the parts.
 *
 * Mass fractions of the product as bought; g/mL; g per litre. Source: mass balance on the material's row.
 *
 * @example
 * dressingOfMaterial(materialById('vermicompost')).bulkDensity.value // 0.7
 */
export function dressingOfMaterial(material: Material): Dressing {
  const known = ROWS.get(material)
  if (known) return known
  const p = material.properties
  const density = p.moistBulkDensityAsBought
  const dry = p.dryBulkDensity.value / density.value
  const reach = availability(material.family)
  const analysis: Dressing['analysis'] = {}
  for (const e of ['phosphorus', 'potassium', 'calcium', 'magnesium'] as const)
    analysis[e] = times(p[e], dry * (reach.atOnce[e] + reach.later[e]))
  const nitrogen = p.nitrogenFirstSeason
  const season = 1 - Math.exp(-MINERALISES * TABLE_SEASON)
  // mg per litre of it, over the g that litre weighs.
  if (nitrogen && nitrogen.value > 0) analysis.nitrogen = times(nitrogen, 1 / (density.value * 1e6) / season)
  const figure = (value: number): Property => ({
    low: value,
    value,
    high: value,
    source: 'our-assumption',
    kind: 'estimated',
    confidence: 'low',
  })
  const grams = density.value * 1000
  const row: Dressing = {
    id: material.id,
    name: material.name,
    detail: material.name,
    family: 'conditioner',
    confidence: 'low',
    label: null,
    analysis,
    nitrogenForms: analysis.nitrogen ? { nitrate: 0, ammonium: 0, urea: 0, organic: 1 } : null,
    release: {
      kind: 'firstOrder',
      ratePerDay: figure(MINERALISES),
      q10: figure(2),
      fraction: figure(1),
    },
    lime: null,
    acidity: null,
    saltIndex: null,
    bulkDensity: density,
    dose: {
      low: MATERIAL_DOSE.low * grams,
      high: MATERIAL_DOSE.high * grams,
      limit: MATERIAL_DOSE.limit * grams,
      source: 'common-practice',
    },
    overdose: 'it changes air and water: give so much as a part of the mix',
    hazard: material.hazards,
    caution: null,
  }
  ROWS.set(material, row)
  return row
}
