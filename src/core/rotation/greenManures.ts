import rows from '../data/greenManures.json'
import { rotationOf, waitOf, type Grown } from './families'

/**
 * What is sown to be dug in: months in which it is sown in the north, whether it lives through frost, weeks until it is
 * dug in, and g/m2 of nitrogen it then holds or has fixed.
 */
export interface GreenManure {
  id: string
  family: string
  sow: { from: number; to: number }
  isHardy: boolean
  weeks: { low: number; high: number }
  nitrogen: { low: number; high: number }
}
const pair = ([low, high]: number[]) => ({ low: low!, high: high! })
/** Source: common practice of growers (from memory). */
export const GREEN_MANURES: readonly GreenManure[] = rows.map(({ sow, weeks, nitrogen, ...row }) => ({
  ...row,
  sow: { from: sow[0]!, to: sow[1]! },
  weeks: pair(weeks),
  nitrogen: pair(nitrogen),
}))

/** When a bed is empty. */
export interface Gap {
  /** Month it is cleared, and months until the next crop goes in. */
  month: number
  months: number
  /** Does frost come in that time? */
  hasFrost: boolean
  south: boolean
}

/**
 * Green manures for a bed that is empty for a while, those that bring most nitrogen first: sown in time, ready before
 * the next crop, alive through frost where there is some (or done before), and of no family that the next crop has, or
 * that has to wait itself. Errors: none. Source: `GREEN_MANURES`.
 */
export function greenManuresFor(
  { month, months, hasFrost, south }: Gap,
  { history, year, next }: { history: readonly Grown[]; year: number; next: string | null },
): GreenManure[] {
  const asInNorth = south ? ((month + 5) % 12) + 1 : month
  const nextFamily = next === null ? null : (rotationOf(next)?.family ?? null)
  const isRecent = (family: string) =>
    history.some((g) => {
      const row = rotationOf(g.cropId)
      return row?.family === family && waitOf(history, g.cropId, year)?.state === 'tooEarly'
    })
  return GREEN_MANURES.filter(
    (g) =>
      asInNorth >= g.sow.from &&
      asInNorth <= g.sow.to &&
      g.weeks.low <= (months * 365) / 12 / 7 &&
      (g.isHardy || !hasFrost) &&
      g.family !== nextFamily &&
      !isRecent(g.family),
  ).sort((a, b) => b.nitrogen.low + b.nitrogen.high - a.nitrogen.low - a.nitrogen.high)
}
