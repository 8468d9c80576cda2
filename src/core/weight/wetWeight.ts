import type { Fill } from '../geometry'
import type { Blend } from '../mixing'
import type { Kilograms } from '../units'
import type { ContainerProfile } from '../water'

export interface Weights {
  /** Mix alone, bone dry, kg for one container. */
  dry: Kilograms
  /** Mix and the water it keeps once drained, kg for one container. */
  drained: Kilograms
  /** Mix with every pore full, in the middle of a watering or a blocked drain, kg for one container. */
  saturated: Kilograms
  /** Saturated weight over the footprint, kg/m2: what a floor has to bear from the mix alone. */
  floorLoad: number
}

/** Load a fit person may lift in ideal conditions, kg. Source: NIOSH revised lifting equation (Waters et al. 1993). */
export const LIFT_LIMIT: Kilograms = 23

/** Usual design live load of a dwelling's floor, kg/m2 (1.92 kPa). For scale only. Source: ASCE 7. */
export const FLOOR_DESIGN_LOAD = 1920 / 9.80665

/**
 * Weight of the mix in one container; pot, plant and people come on top.
 *   drained = V (rho + CC),  saturated = V (rho + porosity)       water at 1 kg/L
 * Source: mass balance.
 */
export function weights(fill: Fill, blend: Blend, profile: ContainerProfile): Weights {
  const v = fill.mixVolume
  const saturated = v * (blend.dryBulkDensity + blend.totalPorosity)
  return {
    dry: v * blend.dryBulkDensity,
    drained: v * (blend.dryBulkDensity + profile.containerCapacity),
    saturated,
    floorLoad: saturated / (fill.footprint / 10_000),
  }
}
