import type { Material } from '../data/types'
import type { Centimetres, Fraction } from '../units'
import type { LayerKind } from './layerKinds'
import { FILLING_LIMITS } from './limits'

const L = FILLING_LIMITS

/** Any mix may lie under another; nothing washes into it. */
export type AnyLayerKind = LayerKind | 'mix'

export interface LayerNature {
  /** Row of the tables that stands for its water and weight; null for cloth. */
  material: string | null
  /** Gaps between its pieces, share of its volume. */
  voids: Fraction
  /** Share of those gaps that mix washes into within a season. */
  washesIn: Fraction
  /** Years in which half of it rots; Infinity for stone. */
  halfLife: number
}

/**
 * Gaps, washing-in and rot of what lies under a mix. Gravel 41 % gaps by its table; bark and logs from common
 * practice: prunings and logs laid by hand leave a third open, most of which fills. Source: our assumption on common
 * practice; wide.
 */
export const LAYERS: Readonly<Record<AnyLayerKind, LayerNature>> = {
  gravel: { material: 'gravel_pea', voids: 0.41, washesIn: 0.2, halfLife: Infinity },
  bark: { material: 'pine_bark_coarse', voids: 0.5, washesIn: 0.25, halfLife: 7 },
  logs: { material: 'wood_chips_fresh', voids: 0.35, washesIn: 0.7, halfLife: 5 },
  cloth: { material: null, voids: 0, washesIn: 0, halfLife: Infinity },
  mix: { material: null, voids: 0, washesIn: 0, halfLife: Infinity },
}

/**
 * A layer of any material of the tables, or of the grower's own: its gaps are what lies between its grains, and the
 * coarser it is the more of them fill.
 * Source: gaps from its row; washing-in as gravel and bark in `LAYERS`, our assumption.
 *
 * @example
 * natureOfMaterial(materialById('gravel_pea'))
 * // { material: 'gravel_pea', voids: 0.41, washesIn: 0.19, halfLife: 999 }
 */
export function natureOfMaterial({ id, sizeShares, properties }: Material): LayerNature {
  const [over8, over4] = sizeShares as [number, number]
  return {
    material: id,
    voids: 1 - properties.looseEnvelopeFraction.value,
    washesIn: L.washesIn.value * (over8 + over4),
    halfLife: properties.structuralHalfLife.value,
  }
}

export interface FillerLayer {
  kind: AnyLayerKind | 'material'
  /** cm; zero for cloth. */
  thickness: Centimetres
  /** Of a layer of some material; without it nothing washes in and nothing rots. */
  nature?: LayerNature
}

/** What is known of a layer as filler. */
export const natureOf = ({ kind, nature }: FillerLayer): LayerNature =>
  nature ?? LAYERS[kind === 'material' ? 'mix' : kind]

/**
 * How far the surface sinks because a layer rots below, cm after so many years. Bed-bound mass goes as volume.
 * Source: as `LAYERS`.
 */
export const sinkingOf = (layers: readonly FillerLayer[], years: number): Centimetres =>
  layers.reduce((sum, l) => sum + l.thickness * (1 - 2 ** (-years / natureOf(l).halfLife)), 0)
