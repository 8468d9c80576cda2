import { conductivityOf } from '../nutrients/electricalConductivity'
import { ionsOf, mgPerGram, noCharge, type Charge } from '../nutrients/ions'
import { ELEMENTS, type Dressing, type Element } from '../data/types'
import type { Fraction } from '../units'

/** A feed in water: g of it per litre. */
export interface FeedPart {
  dressing: Dressing
  gramsPerLitre: number
}

/** What a feed in water brings. */
export interface FeedSolution {
  /** mg per litre (ppm) of each element, what organic matter still holds counted in. */
  charge: Charge
  /** Conductivity at 25 C that the feed adds to that of the water, dS/m. */
  conductivity: number
  /** Share of the nitrogen that is ammonium or urea; 0 where there is no nitrogen. */
  ammoniumShare: Fraction
}

/**
 * Grams of a feed in a litre of water for a strength in mg/L of one element; null where it holds none of it.
 *
 *   g/L = mg/L / (10 x percent of the element)
 *
 * Source: arithmetic of the label.
 *
 * @example
 * gramsForStrength(dressingById('soluble_20_20_20'), 'nitrogen', 100) // 0.5
 */
export function gramsForStrength(dressing: Dressing, element: Element, mgPerLitre: number): number | null {
  const held = mgPerGram(dressing, element)
  return held > 0 ? mgPerLitre / held : null
}

/**
 * What feeds dissolved together bring to their water: mg/L of each element, conductivity added, how much of the
 * nitrogen is ammonium or urea. Urea and organic matter carry no current. g per litre of water.
 * Errors: none. Range: up to about 8 dS/m; within 15 % of label tables of common soluble feeds.
 * Source: analyses of the tables; `conductivityOf`.
 *
 * @example
 * feedSolution([{ dressing: dressingById('potassium_nitrate'), gramsPerLitre: 0.5 }]).charge.nitrogen // 67.5
 */
export function feedSolution(parts: readonly FeedPart[]): FeedSolution {
  const charge = noCharge()
  const nitrogen = { nitrate: 0, ammonium: 0, urea: 0 }
  for (const { dressing, gramsPerLitre } of parts) {
    for (const e of ELEMENTS) charge[e] += gramsPerLitre * mgPerGram(dressing, e)
    const mg = gramsPerLitre * mgPerGram(dressing, 'nitrogen')
    nitrogen.nitrate += mg * (dressing.nitrogenForms?.nitrate ?? 0)
    nitrogen.ammonium += mg * (dressing.nitrogenForms?.ammonium ?? 0)
    nitrogen.urea += mg * (dressing.nitrogenForms?.urea ?? 0)
  }
  return {
    charge,
    conductivity: conductivityOf(ionsOf(charge, nitrogen)),
    ammoniumShare: charge.nitrogen > 0 ? (nitrogen.ammonium + nitrogen.urea) / charge.nitrogen : 0,
  }
}
