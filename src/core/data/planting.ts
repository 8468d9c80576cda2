import type { Centimetres } from '../units'

/** How deep a crop is set, from where it grew before or from its seed. */
export type PlantingDepth =
  /** The top of its root ball level with the mix. */
  | { way: 'rootBall' }
  /** Its stem buried up to the lowest leaves: it roots along it. */
  | { way: 'stem' }
  /** In a hole so deep, let fall in and watered, not filled. */
  | { way: 'hole'; depth: Centimetres }
  /** Its crown, where leaves meet roots, level with the mix. */
  | { way: 'crown' }
  /** The place it was grafted at stays well above the mix. */
  | { way: 'graft' }
  /** Deeper than it stood before, by so much: it comes up as a bush. */
  | { way: 'deeper'; depth: Centimetres }
  /** Seed, or a tuber, clove, set or root, so far below the surface. */
  | { way: 'seed' | 'below'; low: Centimetres; high: Centimetres }

const seed = (low: Centimetres, high: Centimetres): PlantingDepth => ({ way: 'seed', low, high })
const below = (low: Centimetres, high: Centimetres): PlantingDepth => ({ way: 'below', low, high })
const ROOT_BALL: PlantingDepth = { way: 'rootBall' }
const STEM: PlantingDepth = { way: 'stem' }
const CROWN: PlantingDepth = { way: 'crown' }
const GRAFT: PlantingDepth = { way: 'graft' }

/** What is not planted with its root ball level. Source: common practice. */
const DEPTHS: Readonly<Record<string, PlantingDepth>> = {
  tomato_indeterminate: STEM,
  tomato_determinate: STEM,
  tomato_cherry: STEM,
  tomatillo: STEM,
  cape_gooseberry: STEM,
  cabbage: STEM,
  broccoli: STEM,
  cauliflower: STEM,
  kale: STEM,
  brussels_sprout: STEM,
  leek: { way: 'hole', depth: 15 },
  lettuce: CROWN,
  celery: CROWN,
  celeriac: CROWN,
  strawberry: CROWN,
  fennel_bulb: CROWN,
  kohlrabi: CROWN,
  artichoke_globe: CROWN,
  pineapple: CROWN,
  rhubarb: below(2, 3),
  asparagus: below(10, 15),
  potato: below(10, 15),
  sweet_potato: below(5, 8),
  garlic: below(3, 5),
  onion_bulb: below(1, 2),
  shallot: below(1, 2),
  ginger: below(3, 5),
  turmeric: below(4, 6),
  apple_dwarf: GRAFT,
  pear_dwarf: GRAFT,
  peach_dwarf: GRAFT,
  citrus_lemon: GRAFT,
  citrus_lime: GRAFT,
  citrus_orange: GRAFT,
  avocado: GRAFT,
  grape_table: GRAFT,
  currant_black: { way: 'deeper', depth: 5 },
  bean_bush: seed(4, 5),
  bean_pole: seed(4, 5),
  broad_bean: seed(5, 7),
  pea: seed(3, 5),
  soybean_edamame: seed(3, 4),
  cowpea: seed(2, 4),
  peanut: seed(4, 5),
  sweet_corn: seed(3, 4),
  carrot: seed(0.5, 1.5),
  parsnip: seed(1, 2),
  salsify: seed(1, 2),
  beetroot: seed(2, 3),
  radish: seed(1, 1.5),
  turnip: seed(1, 2),
  spinach: seed(2, 3),
  chard: seed(2, 3),
  rocket: seed(0.5, 1),
  mustard_greens: seed(0.5, 1),
  mizuna: seed(0.5, 1),
  amaranth_leaf: seed(0.5, 1),
  coriander: seed(1, 1.5),
  dill: seed(0.5, 1),
  onion_spring: seed(1, 1.5),
}

/**
 * How deep a crop is set; its root ball level with the mix where nothing else is usual. Depths in cm, counted to the
 * top of what is planted.
 * Source: common practice.
 *
 * @example
 * plantingDepth('garlic') // { way: 'below', low: 3, high: 5 }
 */
export const plantingDepth = (cropId: string): PlantingDepth => DEPTHS[cropId] ?? ROOT_BALL

/** Crops that are not planted with their root ball level. */
export const SET_OTHERWISE: readonly string[] = Object.keys(DEPTHS)
