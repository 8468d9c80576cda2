import type { Centimetres, Kilograms, SquareCentimetres } from '../units'

/** Air at 15 C and sea level, kg/m3. Source: ISO 2533 standard atmosphere. */
export const AIR_DENSITY = 1.225
const GRAVITY = 9.80665

/**
 * Drag of a leafy crown, referred to its outline in still air; leaves fold in strong wind, so this is on the safe
 * side.
 */
export const CROWN_DRAG = { low: 0.3, value: 0.5, high: 0.9 } as const

export interface Standing {
  /** kg of mix, water, pot and plant together, as it stands. */
  weight: Kilograms
  /** Narrowest width of the foot, cm: it tips over that edge. */
  baseWidth: Centimetres
  /** Height of the pot, cm. */
  potHeight: Centimetres
  /** Area of pot the wind sees, cm2. */
  potArea: SquareCentimetres
  /** Height of the crown above the mix, cm. */
  canopyHeight: Centimetres
  /** Area of crown the wind sees, cm2. */
  canopyArea: SquareCentimetres
}

/**
 * Steady wind at which a standing pot begins to lift on its lee edge.
 *
 *   1/2 rho v^2 (Cd A_c h_c + Cp A_p h_p) = W g b / 2
 *
 * | symbol   | meaning                                            | unit  |
 * | v        | wind speed at crown height                         | m/s   |
 * | Cd, Cp   | drag of crown (0.5, range 0.3-0.9) and pot (1.0)   | 1     |
 * | h_c, h_p | lever arms: pot height + half the crown; half the pot | m  |
 *
 * Answer: m/s; Infinity where nothing stands in the wind. A gust needs only its moment: take a gust of 1.4 to 1.7
 * times the mean wind. Leaves out: sliding, ropes, neighbours, saucers. Errors: none; arguments above zero are the
 * caller's duty.
 * Source: statics; drag of tree crowns 0.2-0.9 by species and wind, common practice in tree work.
 *
 * @example
 * tippingWindSpeed({
 *   weight: 20,
 *   baseWidth: 30,
 *   potHeight: 30,
 *   potArea: 900,
 *   canopyHeight: 120,
 *   canopyArea: 6000,
 * }) // 13.02
 */
export function tippingWindSpeed(s: Standing, crownDrag: number = CROWN_DRAG.value): number {
  const m2 = 1e-4
  const metres = 0.01
  const crown = crownDrag * s.canopyArea * m2 * (s.potHeight + s.canopyHeight / 2) * metres
  const pot = s.potArea * m2 * (s.potHeight / 2) * metres
  const righting = (s.weight * GRAVITY * s.baseWidth * metres) / 2
  return Math.sqrt((2 * righting) / (AIR_DENSITY * (crown + pot)))
}

/** Share of a crown's outline that is leaf and stem: the rest lets wind through. Source: our assumption. */
const CROWN_SOLIDITY = 0.6

/**
 * Area of crown the wind sees, cm2: as tall as the crown, as wide as its shadow on the ground (m2) is round.
 * Source: plane geometry.
 *
 * @example
 * crownArea(70, 0.2) // 2119
 */
export const crownArea = (canopyHeight: Centimetres, shadow: number): SquareCentimetres =>
  CROWN_SOLIDITY * canopyHeight * 2 * Math.sqrt((shadow * 10_000) / Math.PI)
