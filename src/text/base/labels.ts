import type { Pack } from '@/core/data'
import type { Firmness, LayerKind } from '@/core/filling'
import { LITRES } from '@/core/units'
import type { BedSpec, DressingPlace, Job, Layer, Place } from '@/model/garden/schemas'
import { shortName } from './titles'
import { lengthText, volumeText, weightText, type UnitSystem } from './units'

export const WALL_NAMES: Record<BedSpec['wall'], string> = {
  plastic: 'Plastic',
  fabric: 'Cloth',
  terracotta: 'Unglazed clay',
  timber: 'Timber',
  metal: 'Metal',
}

export const STAGE_NAMES: Record<Job['stage'], string> = {
  seed: 'Seeds',
  cutting: 'Cuttings',
  transplant: 'Young plants',
  grown: 'A crop',
}

export const STANDING_NAMES: Record<BedSpec['standing'], string> = {
  ground: 'The ground',
  paving: 'Paving',
  balcony: 'A balcony or deck',
  roof: 'A roof',
  wall: 'A wall or ledge',
  railing: 'A railing',
  bracket: 'A bracket on a wall',
  hung: 'Hangs from a hook',
}

export const WIND_NAMES: Record<Place['wind'], string> = {
  sheltered: 'Sheltered by walls or hedges',
  open: 'Open',
  exposed: 'Exposed: coast, hilltop, high balcony',
}

export const LAYER_NAMES: Record<LayerKind, { one: string; hint: string }> = {
  gravel: { one: 'Gravel', hint: 'holds the water up above it' },
  bark: { one: 'Coarse bark', hint: 'a quarter of its gaps fills with mix' },
  logs: { one: 'Logs and prunings', hint: 'mix washes into the gaps; sinks as it rots' },
  cloth: { one: 'Cloth over the holes', hint: 'Keeps mix in; takes no room.' },
}

/** A layer as lists and drawings name it. */
export const layerName = (layer: Layer): string =>
  layer.kind === 'material' ? shortName(layer.materialId) : LAYER_NAMES[layer.kind].one

/** How a mix is put in, with what that does. */
export const FIRMNESS_NAMES: Record<Firmness, { one: string; hint: string }> = {
  loose: { one: 'Loosely', hint: 'and watered in' },
  firmed: { one: 'Firmed by hand', hint: 'a little more goes in; a little less air' },
  pressed: { one: 'Pressed down', hint: 'more goes in, as for loam or a heavy plant; much less air' },
}

/** Where a dressing goes. */
export function placeText(place: DressingPlace, units: UnitSystem): string {
  switch (place.kind) {
    case 'throughout':
      return 'all through'
    case 'top':
      return `top ${lengthText(place.depth, units)}`
    case 'hole':
      return 'in the planting hole'
    case 'heldBack':
      return `held back ${Math.round(place.from)} days`
  }
}

export { onGround } from '@/model/garden/starting'

/** US packs are sold by the cubic foot, small ones by the quart. */
function packVolume(litres: number, units: UnitSystem): string {
  if (units === 'metric') return volumeText(litres, units)
  const feet = litres / LITRES.cubicFoot
  return feet >= LEAST_IN_FEET
    ? `${Number(feet.toFixed(1))} cu ft`
    : `${Number((litres / LITRES.usQuart).toFixed(1))} qt`
}
/** Smaller packs than this are given in quarts, cubic feet. */
const LEAST_IN_FEET = 0.75

/** Bulk as it is sold: "0.5 m³", "1 cu yd". */
const bulkVolume = (litres: number, units: UnitSystem) =>
  units === 'metric'
    ? `${Number((litres / 1000).toFixed(2))} m³`
    : `${Number((litres / LITRES.cubicYard).toFixed(2))} cu yd`

export function packText(pack: Pack, units: UnitSystem): string {
  switch (pack.kind) {
    case 'loose':
      return `${packVolume(pack.litres, units)} bag`
    case 'compressed':
      return `${packVolume(pack.litres, units)} pressed bale`
    case 'block':
      return `${weightText(pack.kg, units)} dry block`
    case 'mass':
      return `${weightText(pack.kg, units)} bag`
    case 'bulk':
      return `${bulkVolume(pack.litres, units)} in bulk`
    case 'own':
      return 'your own, free'
  }
}

/** "zinc", "zinc and copper", "iron, zinc and copper". */
export const allOf = (words: readonly string[]): string =>
  [words.slice(0, -1).join(', '), ...words.slice(-1)].filter(Boolean).join(' and ')
