import type { Material } from '@/core/data'

/** How a material is drawn: a tint from the real thing and a grain of its own, so that colour is never alone. */
export interface Look {
  tint: string
  edge: string
  grain: 'flake' | 'crumb' | 'chunk' | 'sliver' | 'plate' | 'fibre' | 'hull' | 'speck' | 'pebble'
}

/** A mix with dry pores and one full of water. */
export const WETNESS_TINTS = { dry: '#c9a878', wet: '#2f4f63' } as const
/** Tint of a mix as a whole. */
export const MIX_TINT = '#6b5136'

const BY_FAMILY: Record<Material['family'], Look> = {
  peat: { tint: '#5f4029', edge: '#3d2817', grain: 'flake' },
  coir: { tint: '#a0693a', edge: '#6f4522', grain: 'fibre' },
  bark: { tint: '#8a4e2d', edge: '#562d17', grain: 'sliver' },
  wood: { tint: '#c79a62', edge: '#8d683a', grain: 'fibre' },
  compost: { tint: '#3f3a26', edge: '#231f12', grain: 'crumb' },
  manure: { tint: '#54452b', edge: '#332815', grain: 'crumb' },
  char: { tint: '#2c2b2b', edge: '#111111', grain: 'chunk' },
  hull: { tint: '#d3b375', edge: '#94773d', grain: 'hull' },
  soil: { tint: '#77593d', edge: '#4c3722', grain: 'crumb' },
  sand: { tint: '#d9c491', edge: '#a28a51', grain: 'speck' },
  aggregate: { tint: '#a49a8c', edge: '#6d6457', grain: 'pebble' },
  perlite: { tint: '#fffefa', edge: '#7d776c', grain: 'chunk' },
  vermiculite: { tint: '#bd9a4a', edge: '#7d6226', grain: 'plate' },
  mineral: { tint: '#b9a98f', edge: '#7c6d54', grain: 'pebble' },
  mix: { tint: MIX_TINT, edge: '#43311d', grain: 'crumb' },
}

const BY_ID: Record<string, Partial<Look>> = {
  leaf_mould: { tint: '#4b3420', edge: '#2c1c0f', grain: 'flake' },
  vermicompost: { tint: '#2f2a20', edge: '#17130c' },
  pumice: { tint: '#c9beae', edge: '#857b6c' },
  scoria: { tint: '#8b4a3c', edge: '#572a20' },
  brick_crushed: { tint: '#b4593f', edge: '#743523' },
  expanded_clay: { tint: '#a8613f', edge: '#6d3a22' },
  grit_2_6: { tint: '#938d83', edge: '#5d584f' },
  sphagnum_moss_long: { tint: '#a89a5e', edge: '#6f6536', grain: 'fibre' },
  biochar_charged: { tint: '#383431', edge: '#141211' },
  rock_dust: { tint: '#6f7070', edge: '#454646', grain: 'speck' },
}

export const lookOf = (material: Material): Look => ({ ...BY_FAMILY[material.family], ...BY_ID[material.id] })
