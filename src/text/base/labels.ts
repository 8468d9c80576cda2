import { cropInText } from './cropInText'
import { cropRow } from '@/core/data/cropTable'
import { materialName } from '../shelf/ownNames'
import { isOwn } from '@/core/data/tables'
import type { Crop, Pack } from '@/core/data'
import type { CropFit, Firmness, LayerKind } from '@/core/filling'
import type { Reason, Target, TargetConflict } from '@/core/targets'
import { LITRES } from '@/core/units'
import { LIFT_LIMIT } from '@/core/weight'
import type { BedSpec, DressingPlace, JobBed, Job, Layer, Place } from '@/model/garden/schemas'
import { VESSEL_NAMES } from '../bed/vessels'
import { lengthText, percentText, pHText, volumeText, weightText, type UnitSystem } from './units'

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

export const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const

export const TARGET_NAMES: Record<Target, { label: string; term: string }> = {
  airFilledPorosity: { label: 'Air after draining', term: 'air-filled porosity at container capacity' },
  easilyAvailableWater: { label: 'Easy water', term: 'easily available water' },
  plantAvailableWater: { label: 'Water for plants', term: 'plant-available water, drained to wilting' },
  pH: { label: 'pH', term: 'six weeks after mixing' },
  electricalConductivity: { label: 'Salts', term: 'electrical conductivity, saturated extract' },
  drainedWeight: { label: 'Weight just after watering', term: 'mix and the water it keeps' },
  daysBetweenWaterings: { label: 'Days between waterings', term: 'in the thirstiest month' },
}

const cropNamed = (id: string) => cropRow(id)?.name ?? id
/** Why a band is what it is. */
export function reasonText(reason: Reason, units: UnitSystem): string {
  switch (reason.code) {
    case 'crop':
      return reason.end === 'both'
        ? `what ${cropInText(cropNamed(reason.crop))} likes`
        : `${reason.end === 'low' ? 'no less, for' : 'no more, for'} ${cropInText(cropNamed(reason.crop))}`
    case 'most-vegetables':
      return 'what most vegetables like; no crop is chosen'
    case 'pots':
      return 'what pots should hold: 20 to 30 % is ideal (De Boodt & Verdonck 1972), 15 % enough'
    case 'ground':
      return 'what ground for vegetables should hold; more is no fault (common practice)'
    case 'soil-bed':
      return 'a large bed of soil holds water as ground does; more is no fault (common practice)'
    case 'height':
      return `for ${lengthText(reason.height, units)} of mix: a shallow mix holds less air, and plants in it need less`
    case 'soilless':
      return `${reason.by} lower at the least, for an organic mix without soil (Lucas & Davis 1961)`
    case 'carried':
      return `it has to be lifted: ${weightText(LIFT_LIMIT, units)} is the most for one (NIOSH)`
    case 'can-water-every':
      return reason.days === 1 ? 'you can water every day' : `you can water every ${reason.days} days`
    case 'grower':
      return 'moved by you'
  }
}

/** Two crops of one mix that cannot both be pleased. */
export const conflictText = (c: TargetConflict): string =>
  c.target === 'pH'
    ? `${cropNamed(c.low.crop)} wants pH ${pHText(c.low.most)} at most, ${cropNamed(c.high.crop)} ${pHText(c.high.least)} at least: give them beds of their own.`
    : `${cropNamed(c.low.crop)} wants ${percentText(c.low.most)} air at most, ${cropNamed(c.high.crop)} ${percentText(c.high.least)} at least: give them mixes of their own.`

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

/** Short name for lists and buttons: without what stands in brackets, and what was done to it. */
export const shortName = (materialId: string): string =>
  isOwn(materialId)
    ? (materialName(materialId) ?? 'a material of your own')
    : materialId.startsWith('mix:')
      ? 'finished mix'
      : (materialName(materialId) ?? materialId).replace(/\s*\([^)]*\)/, '').replace(/, washed.*$/, '')

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

/** How a crop fits its container, in sentences. */
export function fitTexts(crop: Crop, fit: CropFit, units: UnitSystem): string[] {
  const words: string[] = []
  if (fit.tooShallow)
    words.push(
      `${crop.name} wants at least ${lengthText(fit.tooShallow.wanted, units)} of depth; this has ${lengthText(fit.tooShallow.there, units)}.`,
    )
  if (fit.raising)
    return [
      `For raising ${cropInText(crop.name)}: ${fit.plants === 1 ? 'one' : fit.plants} in each, to be moved on before the roots fill it.`,
    ]
  const { byRoot, bySpace, count } = fit.room
  const a = crop.properties
  if (fit.tooSmall)
    words.push(
      `One plant wants at least ${volumeText(fit.tooSmall.wanted, units)}; each of these holds ${volumeText(fit.tooSmall.there, units)}.`,
    )
  else if (fit.crowded)
    words.push(
      `${fit.plants} in each is more than have room: ${byRoot} by root room (${volumeText(a.minRootVolume.value, units)} a plant), ${bySpace} by space (${lengthText(a.spacing.value, units)} apart). They will want more water and feed.`,
    )
  else
    words.push(
      `Room for ${count} ${count === 1 ? 'plant' : 'plants'} in each: ${byRoot} by root room (${volumeText(a.minRootVolume.value, units)} a plant), ${bySpace} by space (${lengthText(a.spacing.value, units)} apart).`,
    )
  return words
}

/** A bed's own name, or what it is. */
export const bedTitle = (spec: BedSpec): string => spec.name.trim() || VESSEL_NAMES[spec.vessel.kind].one

/** "3 fabric bags", "Salad trough", "Fig tub and 2 more". */
export function fillsText(fills: readonly JobBed[]): string {
  const first = fills[0]!
  const { kind } = first.spec.vessel
  const one =
    first.count === 1 || first.spec.name.trim()
      ? `${first.count === 1 ? '' : `${first.count} × `}${bedTitle(first.spec)}`
      : `${first.count} ${VESSEL_NAMES[kind].many}`
  return fills.length === 1 ? one : `${one} and ${fills.length - 1} more`
}

/** A job's own name, or one made from what it fills. */
export const jobTitle = (job: Job): string => job.name.trim() || fillsText(job.fills)

/** US packs are sold by the cubic foot, small ones by the quart. */
function packVolume(litres: number, units: UnitSystem): string {
  if (units === 'metric') return volumeText(litres, units)
  const feet = litres / LITRES.cubicFoot
  return feet >= LEAST_IN_FEET
    ? `${Number(feet.toFixed(1))} cu ft`
    : `${Number((litres / LITRES.usQuart).toFixed(1))} qt`
}
/** Smaller packs than this are told in quarts, cubic feet. */
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

/** What a bed is found by. */
export const bedWords = (bed: BedSpec): string =>
  `${bedTitle(bed)} ${VESSEL_NAMES[bed.vessel.kind].one}`.toLowerCase()

/** "zinc", "zinc and copper", "iron, zinc and copper". */
export const allOf = (words: readonly string[]): string =>
  [words.slice(0, -1).join(', '), ...words.slice(-1)].filter(Boolean).join(' and ')
