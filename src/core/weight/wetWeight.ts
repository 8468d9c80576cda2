import type { ContainerVolumes } from '../geometry'
import type { Kilograms } from '../units'
import type { WaterBalance } from '../water'

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

/** One layer in the container, with its own water. */
export interface WeighedLayer {
  balance: Pick<WaterBalance, 'mixVolume' | 'totalPorosity' | 'containerCapacity'>
  /** kg/L. */
  dryBulkDensity: number
}

/**
 * Weight of what is in one container, all layers together; pot, plant and people come on top.
 *   drained = sum V (rho + CC),  saturated = sum V (rho + porosity)       water at 1 kg/L
 * Source: mass balance.
 */
export function weights(fill: ContainerVolumes, layers: readonly WeighedLayer[]): Weights {
  const sum = (of: (layer: WeighedLayer) => number) =>
    layers.reduce((total, layer) => total + layer.balance.mixVolume * of(layer), 0)
  const saturated = sum((l) => l.dryBulkDensity + l.balance.totalPorosity)
  return {
    dry: sum((l) => l.dryBulkDensity),
    drained: sum((l) => l.dryBulkDensity + l.balance.containerCapacity),
    saturated,
    floorLoad: saturated / (fill.footprint / 10_000),
  }
}

/**
 * What a full, soaked container can weigh before anybody has chosen its mix, from a light one to a heavy one, kg per
 * litre.
 *   rho + 1 - rho / rho_s     of peat with perlite (0.1 over 1.4 g/cm3) and of a sandy soil (1.4 over 2.65 g/cm3)
 * Source: mass balance; densities as in the material tables.
 */
export const SATURATED_DENSITY = { low: 0.1 + 1 - 0.1 / 1.4, high: 1.4 + 1 - 1.4 / 2.65 } as const

/**
 * Bounds of the saturated weight of one container, kg, and of its load on what it stands on, kg/m2; pot and plant
 * come on top.
 * Source: densities of peat with perlite and of sandy soil, common practice.
 *
 * @example
 * saturatedBounds({ mixVolume: 100, footprint: 5000 })
 * // { weight: { low: 102.9, high: 187.2 }, floorLoad: { low: 205.7, high: 374.3 } }
 */
export function saturatedBounds(fill: Pick<ContainerVolumes, 'mixVolume' | 'footprint'>) {
  const square = fill.footprint / 10_000
  const low = fill.mixVolume * SATURATED_DENSITY.low
  const high = fill.mixVolume * SATURATED_DENSITY.high
  return { weight: { low, high }, floorLoad: { low: low / square, high: high / square } }
}
