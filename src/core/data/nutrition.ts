import type { Fraction } from '../units'
import nutrition from './nutrition.json'
import type { MaterialFamily } from './types'

/** What a mix has to feed a crop with, by the week. */
export const FED = ['nitrogen', 'phosphorus', 'potassium', 'calcium', 'magnesium', 'sulfur'] as const
export type Fed = (typeof FED)[number]
/** What a crop needs in traces. */
export const TRACES = ['iron', 'manganese', 'zinc', 'copper', 'boron', 'molybdenum'] as const
export type Trace = (typeof TRACES)[number]

type Row = readonly [low: number, value: number, high: number]
type Group = keyof typeof nutrition.groups

/** Group of a crop the table does not name, by its kind. */
const BY_KIND: Readonly<Record<string, Group>> = {
  'fruiting veg': 'solanum_fruit',
  'root veg': 'root',
  legume: 'legume',
  'grain veg': 'corn',
  brassica: 'brassica',
  allium: 'allium',
  'perennial veg': 'perennial_veg',
  herb: 'herb_soft',
  fruit: 'soft_fruit',
}
const GROUP_OF = new Map(
  Object.entries(nutrition.crops).flatMap(([group, crops]) => crops.map((id) => [id, group as Group])),
)

/** What a whole crop takes up for each gram of nitrogen. */
export interface CropNeeds {
  /** g per g of nitrogen taken up by a crop that lacks nothing. */
  wanted: Readonly<Record<Fed, number>>
  /** Share of that with which it still grows well: the low end of the range in healthy crops. */
  enough: Readonly<Record<Fed, Fraction>>
  /** mg per g of nitrogen: low, usual, high. */
  traces: Readonly<Record<Trace, Row>>
  /** Share of its nitrogen that nodules fix. */
  fixed: Fraction
}

const ROWS = nutrition.groups as unknown as Record<Group, Record<Exclude<Fed, 'nitrogen'> | Trace, Row>>
const PER_HUNDRED = 100

function needsOfGroup(group: Group): Omit<CropNeeds, 'fixed'> {
  const row = ROWS[group]
  const fed = FED.filter((e) => e !== 'nitrogen')
  const each = (of: (row: Row) => number) => Object.fromEntries(fed.map((e) => [e, of(row[e])]))
  return {
    wanted: { nitrogen: 1, ...each(([, value]) => value / PER_HUNDRED) } as CropNeeds['wanted'],
    enough: { nitrogen: 1, ...each(([low, value]) => low / value) } as CropNeeds['enough'],
    traces: row,
  }
}

/**
 * What a crop takes up of each nutrient beside its nitrogen; a crop of its own row by its kind.
 * Range: whole crop with leaves and roots, in health. Source: Sonneveld & Voogt 2009; nutrient removal tables of
 * extension services (both from memory); fixed nitrogen of legumes, common practice.
 *
 * @example
 * cropNeeds({ id: 'tomato_cherry', kind: 'fruiting veg' }).wanted.potassium // 1.6
 */
export const cropNeeds = ({ id, kind }: { id: string; kind: string }): CropNeeds => ({
  ...needsOfGroup(GROUP_OF.get(id) ?? BY_KIND[kind] ?? 'leaf'),
  fixed: (nutrition.fixed as Record<string, number>)[id] ?? 0,
})

/** mg of sulfate sulfur in a litre of a material no row names. Source: middle of the family's rows. */
const SULFUR_OF: Partial<Record<MaterialFamily, number>> = {
  peat: 8,
  coir: 6,
  bark: 8,
  wood: 4,
  compost: 80,
  manure: 150,
  char: 30,
  hull: 5,
  soil: 15,
  mix: 50,
}

/**
 * Sulfur of a material that is dissolved from the start, mg per litre of it.
 * Source: as sulfate of saturated extracts, order of size (from memory); low confidence.
 *
 * @example
 * sulfurAtStart({ id: 'compost_green', family: 'compost' }) // 80
 */
export const sulfurAtStart = ({ id, family }: { id: string; family: MaterialFamily }): number =>
  (nutrition.sulfur as Record<string, number>)[id] ?? SULFUR_OF[family] ?? 1
