import rows from '../data/rotation.json'

/** What a crop leaves in the ground for the next. */
export type Leaves =
  | 'cleanGround'
  | 'little'
  | 'looseGround'
  | 'lowPotassium'
  | 'nitrogen'
  | 'richLeaves'
  | 'stays'
  | 'stubble'

/** A crop among those that follow it: its family, and how long that family keeps away. */
export interface RotationRow {
  crop: string
  family: string
  /** Years until its family comes again: in a pinch, as a rule, to be safe. */
  wait: { low: number; value: number; high: number }
  /** How much it feeds. */
  demand: 'heavy' | 'medium' | 'light'
  leaves: Leaves
}
/** Source: rotation tables of plant pathology and common practice (from memory). */
export const ROTATION: readonly RotationRow[] = rows.map(({ crop, family, wait, demand, leaves }) => {
  const [low, value, high] = wait as [number, number, number]
  return {
    crop,
    family,
    wait: { low, value, high },
    demand: demand as RotationRow['demand'],
    leaves: leaves as Leaves,
  }
})
const BY_CROP = new Map(ROTATION.map((row) => [row.crop, row]))

/**
 * A crop in the rotation, by its id; undefined for one the table does not know.
 *
 * @example
 * rotationOf('leek')?.family // 'Amaryllidaceae'
 */
export const rotationOf = (cropId: string): RotationRow | undefined => BY_CROP.get(cropId)

/** What grew in a bed in a year of the calendar. */
export interface Grown {
  year: number
  cropId: string
}

/** Has a crop's family been away for long enough? */
export interface Wait {
  /** The last year before that its family grew there, and what it was; null where none is known. */
  last: Grown | null
  /** Years since then; Infinity where none is known. */
  waited: number
  wanted: RotationRow['wait']
  /** Free to come, too early by the rule, or too early even in a pinch; what stays for years goes on. */
  state: 'free' | 'early' | 'tooEarly' | 'stays'
}

/**
 * Whether a crop may come into a bed in a year, by what grew there before; null for a crop the table does not know.
 * A crop that stays for years is not after itself. Source: `ROTATION`.
 *
 * @example
 * waitOf([{ year: 2026, cropId: 'leek' }], 'garlic', 2027)?.state // 'tooEarly'
 */
export function waitOf(history: readonly Grown[], cropId: string, year: number): Wait | null {
  const row = rotationOf(cropId)
  if (!row) return null
  let last: Grown | null = null
  for (const one of history)
    if (one.year < year && (!last || one.year > last.year) && rotationOf(one.cropId)?.family === row.family)
      last = one
  const waited = last ? year - last.year : Infinity
  const isItself = row.leaves === 'stays' && waited === 1 && last?.cropId === cropId
  return {
    last,
    waited,
    wanted: row.wait,
    state: isItself
      ? 'stays'
      : waited >= row.wait.value
        ? 'free'
        : waited >= row.wait.low
          ? 'early'
          : 'tooEarly',
  }
}
