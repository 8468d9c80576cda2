import type { Band } from '@/core/data'
import { searchAtOnce, type Rules, type FinderTargets } from '@/core/finder'
import type { Container } from '@/core/geometry'
import { prepareMaterial } from '@/core/mixing'
import type { Part } from '@/model/garden/schemas'
import { materialById } from '@/core/data'

/** A way growers mix, with what the finder was asked to make of it. */
export interface School {
  id: string
  /** Our own name for it. */
  name: string
  /** For what, in a few words. */
  forWhat: string
  goodAt: string
  givesUp: string
  materials: string[]
  rules: Rules
  targets: FinderTargets
  container: Container
  /** pH its lime is aimed at; null for none. */
  pH: number | null
}

const pot: Container = {
  shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 24, height: 28 },
  headspace: 3,
  base: { kind: 'drainHoles' },
}
const module: Container = {
  shape: { kind: 'roundPot', topDiameter: 6, baseDiameter: 4.5, height: 6 },
  headspace: 0.5,
  base: { kind: 'drainHoles' },
}
const bed: Container = {
  shape: { kind: 'box', topLength: 240, topWidth: 120, baseLength: 240, baseWidth: 120, height: 30 },
  headspace: 4,
  base: { kind: 'onSoil', texture: 'loam' },
}
const band = (low: number, high: number): Band => ({ low, high })
const VEGETABLES = { pH: band(6, 6.8), electricalConductivity: band(0, 3) }

/** One for each school of practice; the recipes themselves are worked out, see `workOut`. */
export const SCHOOLS: readonly School[] = [
  {
    id: 'white-and-brown',
    name: 'Light peat mix for pots',
    forWhat: 'vegetables in pots, carried about',
    goodAt: 'Light, even, clean; holds much water and much air.',
    givesUp: 'No feed in it, peat is used up, and dry peat sheds water.',
    materials: ['peat_medium', 'peat_coarse', 'perlite_medium', 'perlite_coarse', 'vermiculite_medium'],
    rules: { maxMaterials: 3, mustUse: ['peat_medium', 'perlite_medium', 'vermiculite_medium'] },
    targets: {
      ...VEGETABLES,
      airFilledPorosity: band(0.2, 0.34),
      easilyAvailableWater: band(0.15, 0.3),
      drainedDensity: band(0.4, 0.68),
    },
    container: pot,
    pH: 6.2,
  },
  {
    id: 'husk-and-hull',
    name: 'Peat-free mix for pots',
    forWhat: 'vegetables in pots without peat',
    goodAt: 'Takes water again when dry; no bog was drained for it.',
    givesUp: 'Coir brings potassium and salt, wants calcium, and dries at the edges.',
    materials: [
      'coir_pith',
      'coir_chips',
      'compost_green',
      'rice_hulls_parboiled',
      'wood_fibre',
      'leaf_mould',
    ],
    rules: {
      maxMaterials: 4,
      without: ['peat'],
      mustUse: ['coir_pith', 'compost_green', 'rice_hulls_parboiled'],
    },
    targets: { ...VEGETABLES, airFilledPorosity: band(0.18, 0.26), easilyAvailableWater: band(0.15, 0.3) },
    container: pot,
    pH: null,
  },
  {
    id: 'bark-yard',
    name: 'Bark mix for fruit in tubs',
    forWhat: 'fruit and shrubs in tubs',
    goodAt: 'Airy for years, cheap by the trailer, hard to overwater.',
    givesUp: 'Wants water often in heat, and fresh bark takes nitrogen.',
    materials: ['pine_bark_fine', 'pine_bark_coarse', 'bark_composted', 'sand_coarse', 'soil_loam'],
    rules: { maxMaterials: 3, mustUse: ['pine_bark_fine'] },
    targets: {
      ...VEGETABLES,
      airFilledPorosity: band(0.22, 0.3),
      easilyAvailableWater: band(0.1, 0.25),
      structureLost: band(0, 0.3),
    },
    container: pot,
    pH: 6.2,
  },
  {
    id: 'third-of-soil',
    name: 'Soil mix for deep pots',
    forWhat: 'long crops in deep pots',
    goodAt: 'Forgiving of feed and of a missed watering; some weight for wind.',
    givesUp: 'Soil brings weeds and disease unless heated; no two loads are alike.',
    materials: ['soil_loam', 'peat_medium', 'leaf_mould', 'grit_2_6', 'perlite_coarse', 'pine_bark_fine'],
    rules: { maxMaterials: 4, mustUse: ['soil_loam'] },
    targets: {
      ...VEGETABLES,
      airFilledPorosity: band(0.13, 0.2),
      easilyAvailableWater: band(0.15, 0.3),
      drainedDensity: band(1.05, 1.3),
    },
    container: pot,
    pH: 6.4,
  },
  {
    id: 'stand-fast',
    name: 'Heavy mix for windy terraces',
    forWhat: 'tall plants on windy terraces, where the floor bears it',
    goodAt: 'Heavy low down; does not blow over or blow away.',
    givesUp: 'Two people to lift it; little air in a shallow pot.',
    materials: ['soil_loam', 'soil_sandy_loam', 'grit_2_6', 'pumice', 'pine_bark_fine', 'compost_green'],
    rules: { maxMaterials: 4, mustUse: ['soil_loam', 'grit_2_6'] },
    targets: {
      ...VEGETABLES,
      airFilledPorosity: band(0.12, 0.2),
      drainedDensity: band(1.35, 1.7),
      easilyAvailableWater: band(0.08, 0.25),
    },
    container: pot,
    pH: null,
  },
  {
    id: 'nothing-rots',
    name: 'Mineral mix for herbs and trees',
    forWhat: 'herbs of dry hills, trees for many years',
    goodAt: 'The same in ten years as today; drains at once.',
    givesUp: 'Holds little water and no feed: both are yours to give, often.',
    materials: [
      'pumice',
      'scoria',
      'expanded_clay',
      'clay_calcined',
      'zeolite',
      'grit_2_6',
      'vermiculite_coarse',
    ],
    rules: { maxMaterials: 3 },
    targets: {
      ...VEGETABLES,
      pH: band(6, 7.6),
      airFilledPorosity: band(0.2, 0.3),
      easilyAvailableWater: band(0.04, 0.25),
      structureLost: band(0, 0.02),
    },
    container: pot,
    pH: null,
  },
  {
    id: 'rich-bed',
    name: 'Compost mix for raised beds',
    forWhat: 'hungry vegetables in raised beds on soil',
    goodAt: 'Feeds for a season or two, full of life, made of what is near.',
    givesUp: 'Sinks by a hand’s breadth in two years; salts if the compost is rich.',
    materials: [
      'soil_sandy_loam',
      'soil_loam',
      'compost_green',
      'leaf_mould',
      'manure_cattle_composted',
      'bark_composted',
    ],
    rules: {
      maxMaterials: 4,
      mustUse: ['compost_green', 'leaf_mould'],
      mustNotUse: ['manure_cattle_composted'],
      maxParts: 10,
    },
    targets: {
      ...VEGETABLES,
      pH: band(6, 7.2),
      airFilledPorosity: band(0.15, 0.42),
      electricalConductivity: band(0, 3.5),
      drainedDensity: band(0.7, 1.1),
    },
    container: bed,
    pH: null,
  },
  {
    id: 'first-leaf',
    name: 'Seeds and seedlings',
    forWhat: 'sowing and pricking out in modules',
    goodAt: 'Fine, low in salts, airy even in a small cell.',
    givesUp: 'Feeds for a fortnight at most.',
    materials: [
      'peat_fine',
      'peat_medium',
      'vermiculite_fine',
      'vermiculite_medium',
      'perlite_medium',
      'vermiculite_coarse',
    ],
    rules: { maxMaterials: 3, without: ['soil', 'animal'] },
    targets: {
      pH: band(5.5, 6.5),
      airFilledPorosity: band(0.05, 0.15),
      easilyAvailableWater: band(0.15, 0.4),
      electricalConductivity: band(0, 1.2),
    },
    container: module,
    pH: 5.8,
  },
  {
    id: 'sour-ground',
    name: 'Blueberries and other acid lovers',
    forWhat: 'blueberries, cranberries and other acid lovers',
    goodAt: 'Acid throughout, airy and low in food, as they need it.',
    givesUp: 'Peat; and hard tap water undoes it within a season.',
    materials: ['peat_medium', 'peat_coarse', 'pine_bark_fine', 'perlite_coarse', 'sand_coarse', 'grit_2_6'],
    rules: { maxMaterials: 3, mustUse: ['peat_medium', 'pine_bark_fine'] },
    targets: {
      pH: band(4, 5),
      airFilledPorosity: band(0.18, 0.28),
      easilyAvailableWater: band(0.15, 0.3),
      electricalConductivity: band(0, 1.5),
      structureLost: band(0, 0.3),
    },
    container: pot,
    pH: null,
  },
]

/** Litres and prices play no part in a starter: it is chosen by fit, then by fewest materials and parts. */
export function workOut(school: School): Part[] {
  const found = searchAtOnce({
    container: school.container,
    shelf: school.materials.map((id) => ({
      material: prepareMaterial(materialById(id)!),
      pricePerLitre: null,
      stock: 0,
      packLitres: 40,
    })),
    targets: school.targets,
    rules: { maxParts: 10, ...school.rules },
  })
  if (!found.ok) throw new Error(`Open Bed is at fault: the school ${school.id} has ${found.problem.code}`)
  return found.value.families[0]!.parts.map((p) => ({ materialId: p.id, twelfths: p.parts * 12 }))
}
