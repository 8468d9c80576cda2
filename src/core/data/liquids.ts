import { isOwn } from './tables'
import type { Dressing } from './types'

/** How a feed for water is sold and what water takes of it. */
export interface LiquidRow {
  id: string
  /** Weighed or spooned as a powder, or measured as a liquid. */
  form: 'powder' | 'liquid'
  /** g that a litre of cold water (10 C) dissolves; null where the label has to say, or where it mixes freely. */
  solubility: number | null
}

/**
 * Dressings that go into water.
 * Source: solubility at 10 C from tables of fertilizer salts (from memory); forms, common practice.
 */
const ROWS: readonly LiquidRow[] = [
  { id: 'tomato_feed_liquid', form: 'liquid', solubility: null },
  { id: 'soluble_20_20_20', form: 'powder', solubility: null },
  { id: 'soluble_cal_mag_15_5_15', form: 'powder', solubility: null },
  { id: 'soluble_acid_21_7_7', form: 'powder', solubility: null },
  { id: 'fish_emulsion', form: 'liquid', solubility: null },
  { id: 'fish_hydrolysate', form: 'liquid', solubility: null },
  { id: 'seaweed_liquid', form: 'liquid', solubility: null },
  { id: 'calcium_nitrate', form: 'powder', solubility: 1000 },
  { id: 'potassium_nitrate', form: 'powder', solubility: 210 },
  { id: 'potassium_sulfate', form: 'powder', solubility: 90 },
  { id: 'ammonium_sulfate', form: 'powder', solubility: 730 },
  { id: 'urea', form: 'powder', solubility: 850 },
  { id: 'map', form: 'powder', solubility: 290 },
  { id: 'magnesium_sulfate', form: 'powder', solubility: 600 },
  { id: 'iron_chelate', form: 'powder', solubility: null },
  { id: 'trace_chelated', form: 'powder', solubility: null },
]

/** Ids of the published dressings that go into water, ready-made feeds first. */
export const LIQUID_IDS: readonly string[] = ROWS.map((row) => row.id)

/**
 * How a dressing goes into water; a soluble one of a grower's own as a powder whose label says how much dissolves.
 * Undefined for what does not dissolve.
 *
 * @example
 * liquidRow({ id: 'potassium_nitrate', family: 'soluble' })?.solubility // 210
 */
export const liquidRow = ({ id, family }: Pick<Dressing, 'id' | 'family'>): LiquidRow | undefined =>
  ROWS.find((row) => row.id === id) ??
  (family === 'soluble' && isOwn(id) ? { id, form: 'powder', solubility: null } : undefined)
