import type { Fraction } from '../units'

/** An acid as sold, to take alkalinity out of water. */
export interface WaterAcid {
  id: 'phosphoric75' | 'sulfuric35' | 'nitric61' | 'citric'
  /** Grams of pure acid in a gram. */
  strength: Fraction
  /** g/mL; null where it is weighed. */
  density: number | null
  /** g/mol. */
  molarMass: number
  /** Its dissociation constants at 20 C. */
  pKa: readonly number[]
  /** What it leaves as feed, and grams of that in a mole; null where microbes eat it. */
  adds: { element: 'phosphorus' | 'sulfur' | 'nitrogen'; molarMass: number } | null
}

/**
 * Acids used on irrigation water. The strong ones of trade strength (sulfuric 93 %, nitric 67 %) are no work for a
 * garden and are left out.
 * Source: constants and densities from acid tables (from memory).
 */
export const WATER_ACIDS: readonly WaterAcid[] = [
  {
    id: 'phosphoric75',
    strength: 0.75,
    density: 1.579,
    molarMass: 97.99,
    pKa: [2.15, 7.2, 12.35],
    adds: { element: 'phosphorus', molarMass: 30.97 },
  },
  {
    id: 'sulfuric35',
    strength: 0.35,
    density: 1.26,
    molarMass: 98.08,
    pKa: [-3, 1.99],
    adds: { element: 'sulfur', molarMass: 32.06 },
  },
  {
    id: 'nitric61',
    strength: 0.614,
    density: 1.377,
    molarMass: 63.01,
    pKa: [-1.4],
    adds: { element: 'nitrogen', molarMass: 14.01 },
  },
  { id: 'citric', strength: 1, density: null, molarMass: 192.12, pKa: [3.13, 4.76, 6.4], adds: null },
]

/** First constant of carbonic acid at 20 C. Source: Plummer & Busenberg 1982. */
const PKA_CARBONIC = 6.38
/** pH of a usual tap water. Source: common practice; between 7.0 and 8.2 it moves a dose by a fiftieth. */
const USUAL_PH = 7.6
const bicarbonate = (pH: number) => 1 / (1 + 10 ** (PKA_CARBONIC - pH))

/**
 * Acid equivalents that a mole gives up at a pH.
 *
 * @example
 * equivalentsAt([7], 7) // 0.5
 */
export function equivalentsAt(pKa: readonly number[], pH: number): number {
  let [term, sum, weighted] = [1, 1, 0]
  pKa.forEach((pK, i) => {
    term *= 10 ** (pH - pK)
    sum += term
    weighted += (i + 1) * term
  })
  return weighted / sum
}

/** What acid took out of a water and left in it. */
export interface Acidified {
  /** meq/L of alkalinity taken out: the calcium and magnesium that came with it stay. */
  neutralised: number
  /** mg/L of what lasts. */
  adds: Record<'nitrogen' | 'phosphorus' | 'sulfur', number>
}

/** What a water needs of an acid. */
export interface WaterAcidDose {
  /** For 100 litres: mL, or g of an acid that is weighed. */
  per100Litres: number
  /** meq/L that are left: a guard against falling too far. */
  left: number
  /** mg/L of the element it leaves; 0 where nothing lasts. */
  adds: number
}

/**
 * Acid that brings water of an alkalinity to a pH, before its carbon dioxide leaves. meq/L; the answer for 100 litres.
 * Range: pH 5 to 7, alkalinity above 0.
 * Source: carbonate equilibrium at 20 C, closed to the air.
 *
 * @example
 * acidForWater(WATER_ACIDS[0], 1, 5.8).per100Litres // 6.211
 */
export function acidForWater(acid: WaterAcid, alkalinity: number, toPH: number): WaterAcidDose {
  const left = alkalinity * Math.min(1, bicarbonate(toPH) / bicarbonate(USUAL_PH))
  const mmol = (alkalinity - left) / equivalentsAt(acid.pKa, toPH)
  const grams = (mmol * acid.molarMass) / acid.strength / 1000
  return {
    per100Litres: (100 * grams) / (acid.density ?? 1),
    left,
    adds: acid.adds ? mmol * acid.adds.molarMass : 0,
  }
}
