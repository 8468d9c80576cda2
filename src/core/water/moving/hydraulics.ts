import type { Centimetres, Fraction } from '../../units'
import { DRY_END } from '../retention'
import { MOVING_LIMITS } from './limits'

/** How a stuff holds water and lets it through. */
export interface Hydraulics {
  totalPorosity: Fraction
  /** Water at a tension; never rises with it. */
  waterAt: (tension: Centimetres) => Fraction
  /** Hydraulic conductivity at a tension, cm/h; never rises with it. */
  conductivityAt: (tension: Centimetres) => number
}

/** Tensions the tables run over, cm: from nearly full to the air of a dry room. */
export const TENSIONS = { least: 0.01, most: 1e7, count: 2001 } as const
const LN_LEAST = Math.log(TENSIONS.least)
/** Step of the tables in the logarithm of tension. */
const STEP = (Math.log(TENSIONS.most) - LN_LEAST) / (TENSIONS.count - 1)
const tensionOf = (k: number) => Math.exp(LN_LEAST + k * STEP)

/** Mualem's exponent of the winding of pores, and what coarse grains add to it. */
const WINDING = { fine: 0.5, coarseMore: 1.5 } as const
/** What coarse grains still hold at this tension is in the grains and at their points of contact, cm. */
const IN_GRAINS: Centimetres = 10

/**
 * Water of a curve beyond the wilting point, where its points end: a straight line over the logarithm of tension down
 * to nothing at 10^7 cm (oven-dry). Source: Schofield 1935; Rossi & Nimmo 1994 (from memory).
 */
function withOvenDry(waterAt: Hydraulics['waterAt']): Hydraulics['waterAt'] {
  const wilting = waterAt(DRY_END.wilting)
  const span = Math.log(TENSIONS.most / DRY_END.wilting)
  return (tension) =>
    tension <= DRY_END.wilting
      ? waterAt(tension)
      : wilting * Math.max(0, Math.log(TENSIONS.most / tension) / span)
}

/**
 * Conductivity of a stuff whose pores are those of its water curve.
 *
 *   K(h) = Ks S^0.5 [ (int_h^inf -dtheta / x) / (int_0^inf -dtheta / x) ]^2,   S = theta / theta(0) above wilting
 *
 * x is the tension, cm, at which a pore empties; pores wider than 3 mm (1 cm of tension) count as that wide, so that
 * a few large gaps do not stand for all flow. Integrated over the curve itself, which need not be van Genuchten's: a
 * blend's is a sum of several, cut off at its porosity. `saturated` in cm/h.
 *
 * Grains coarser than 2 mm touch at points, and what they hold inside does not pass from one to the next: `touching`
 * tells how far a stuff is made of them alone (0 to 1). Then S counts from the water at 10 cm, and its exponent is 2.
 * Range: any falling curve. Accuracy: a blend is known within a factor of ten at best; `moving` tells ranges.
 * Source: Mualem 1976, Water Resour. Res. 12:513-522; Ippisch, Vogel & Bastian 2006 (from memory) for the widest pore.
 *
 * @example
 * mualemConductivity((h) => 0.4 / (1 + h / 20), 10)(20) // 0.02844
 */
export function mualemConductivity(
  waterAt: Hydraulics['waterAt'],
  saturated: number,
  touching: Fraction = 0,
): (tension: Centimetres) => number {
  const full = waterAt(0)
  const dry = waterAt(DRY_END.wilting)
  const shares = new Float64Array(TENSIONS.count)
  let wetter = dry
  let flow = 0
  for (let k = TENSIONS.count - 1; k >= 0; k--) {
    const tension = tensionOf(k)
    const water = tension > DRY_END.wilting ? dry : waterAt(tension)
    const middle = tensionOf(k + 0.5)
    flow += (water - wetter) / Math.max(middle, MOVING_LIMITS.widestPore.value)
    wetter = water
    shares[k] = flow
  }
  const all = flow + (full - wetter) / MOVING_LIMITS.widestPore.value
  const apart = dry + touching * (waterAt(IN_GRAINS) - dry)
  const winding = WINDING.fine + touching * WINDING.coarseMore
  for (let k = 0; k < TENSIONS.count; k++) {
    const fill = full > apart ? Math.max(0, Math.min(1, (waterAt(tensionOf(k)) - apart) / (full - apart))) : 0
    shares[k] = all > 0 ? fill ** winding * (shares[k]! / all) ** 2 : 0
  }
  return (tension) => {
    if (tension <= TENSIONS.least) return saturated
    const u = Math.min(TENSIONS.count - 1.001, (Math.log(tension) - LN_LEAST) / STEP)
    const k = Math.floor(u)
    return saturated * (shares[k]! + (u - k) * (shares[k + 1]! - shares[k]!))
  }
}

/** Where in the size classes 2 mm stands: what comes before it is coarser. */
const COARSE_BEFORE = 3
/** Share of coarse grains from which they begin to stand on each other with nothing between. */
const SKELETON = 0.5

/**
 * How far a blend is made of grains coarser than 2 mm alone, 0 to 1: nothing up to half of its loose volume.
 * Source: our assumption.
 *
 * @example
 * touchingGrains([{ material: materialById('gravel_pea'), share: 1 }]) // 1
 */
export function touchingGrains(
  shares: readonly { material: { sizeShares: readonly number[] }; share: Fraction }[],
) {
  const coarse = shares.reduce(
    (sum, { material, share }) =>
      sum + share * material.sizeShares.slice(0, COARSE_BEFORE).reduce((a, b) => a + b, 0),
    0,
  )
  return Math.max(0, Math.min(1, (coarse - SKELETON) / (1 - SKELETON)))
}

/**
 * What a blend is to moving water.
 * Errors: none. Source: `mualemConductivity`.
 *
 * @example
 * hydraulicsOf(blend([{ material: preparedMaterial(materialById('peat_medium')), parts: 1 }]).value)
 *   .conductivityAt(0) // 80
 */
export const hydraulicsOf = (blend: {
  totalPorosity: Fraction
  waterAt: Hydraulics['waterAt']
  /** cm/h. */
  saturatedConductivity: number
  shares: Parameters<typeof touchingGrains>[0]
}): Hydraulics => ({
  totalPorosity: blend.totalPorosity,
  waterAt: blend.waterAt,
  conductivityAt: mualemConductivity(
    blend.waterAt,
    blend.saturatedConductivity,
    touchingGrains(blend.shares),
  ),
})

/** Tensions between which a layer may stall, cm, and halvings of that to 0.01 cm. */
const STALLS_WITHIN = { to: 50, halvings: 13 } as const

/**
 * Tension from which a layer lets so little through that it takes no more from a finer layer above within a day, cm.
 * Range: 0 to 50, to 0.01. Source: our own runs of moving water, read 24 hours after watering; common sense of
 * capillary barriers (Ross 1990, Water Resour. Res. 26:2625-2629, from memory).
 *
 * @example
 * entryTensionOf({ conductivityAt: (tension) => (tension < 4 ? 10 : 0.001) }) // 4.001
 */
export function entryTensionOf({ conductivityAt }: Pick<Hydraulics, 'conductivityAt'>): Centimetres {
  let [low, high] = [0, STALLS_WITHIN.to as number]
  for (let i = 0; i < STALLS_WITHIN.halvings; i++) {
    const middle = (low + high) / 2
    if (conductivityAt(middle) > MOVING_LIMITS.stalls.value) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/**
 * Entries to either side over which water is averaged: the corner where a blend's curve meets its porosity is rounded.
 */
const ROUNDED = 8

/** Least conductivity kept, as a share of the greatest: a stuff that lets nothing at all through has no answer. */
const LEAST_SHARE = 1e-14

/**
 * The same curves laid out over the logarithm of tension, straight in between: what the inner loop reads. Beyond
 * 15,000 cm water goes on down to nothing at 10^7 cm, so that a surface can dry further than any root dries it.
 */
export class HydraulicTable {
  readonly water = new Float64Array(TENSIONS.count)
  readonly conductivity = new Float64Array(TENSIONS.count)
  readonly fullWater: Fraction
  readonly fullConductivity: number
  readonly totalPorosity: Fraction

  constructor(of: Hydraulics) {
    const waterAt = withOvenDry(of.waterAt)
    this.totalPorosity = of.totalPorosity
    this.fullWater = of.waterAt(0)
    this.fullConductivity = of.conductivityAt(0)
    for (let k = 0; k < TENSIONS.count; k++) {
      let sum = 0
      for (let j = -ROUNDED; j <= ROUNDED; j++) sum += waterAt(tensionOf(k + j))
      this.water[k] = sum / (2 * ROUNDED + 1)
      this.conductivity[k] = Math.max(of.conductivityAt(tensionOf(k)), LEAST_SHARE * this.fullConductivity)
    }
  }

  /** Conductivity at a tension, cm/h; for a single look, not for the inner loop. */
  conductivityAt(tension: Centimetres): number {
    if (tension <= 0) return this.fullConductivity
    const u = Math.min(TENSIONS.count - 1.001, Math.max(0, placeInTable(tension)))
    const k = Math.floor(u)
    return this.conductivity[k]! + (u - k) * (this.conductivity[k + 1]! - this.conductivity[k]!)
  }
}

/**
 * Where a tension stands in the tables, in steps from their start; below zero where it is nearly full.
 *
 * @example
 * placeInTable(1e7) // 2000
 */
export const placeInTable = (tension: Centimetres): number => (Math.log(tension) - LN_LEAST) / STEP
/** Step of the tables in the logarithm of tension. */
export const TABLE_STEP = STEP
