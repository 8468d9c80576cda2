import { rotationOf, type Grown } from './families'
import { stepCost, type RotationBed } from './stepCost'

/** The crops of each year, the first year first, one place for each bed; null for none. */
export type Order = (string | null)[][]

/** Rounds of changing places; each makes the order cheaper, so that few are needed. */
const MOST_ROUNDS = 50
/** Less than this is no gain. */
const HARDLY = 1e-9

/** What one bed costs over the years. */
export function costOfBed(bed: RotationBed, crops: readonly (string | null)[], from: number): number {
  const history: Grown[] = [...bed.history]
  let cost = 0
  crops.forEach((cropId, i) => {
    if (cropId === null) return
    cost += stepCost({ ...bed, history }, cropId, from + i)
    history.push({ year: from + i, cropId })
  })
  return cost
}

/** May a bed's crop of a year change places? Not what is decided, nor what stays for years. */
const isFree = (bed: RotationBed, cropId: string | null, year: number): boolean =>
  !bed.fixed.some((f) => f.year === year) && (cropId === null || rotationOf(cropId)?.leaves !== 'stays')

/**
 * An order of crops over some years made cheaper as a whole: two beds change places in one year, or from a year on, as
 * long as that costs less. A year at a time what is best now can be in the way later. Never dearer than what is given.
 * Crops of a year stay the same ones. Source: local search; `stepCost`.
 */
export function improved(beds: readonly RotationBed[], order: Order, from: number): Order {
  const years = order.map((row) => [...row])
  const ofBed = (b: number) => years.map((row) => row[b]!)
  const cost = beds.map((bed, b) => costOfBed(bed, ofBed(b), from))
  /** Changes places in these years where that is allowed and cheaper. */
  const change = (a: number, b: number, at: readonly number[]): boolean => {
    const [one, other] = [ofBed(a), ofBed(b)]
    const isAllowed = at.every(
      (y) =>
        isFree(beds[a]!, one[y]!, from + y) &&
        isFree(beds[b]!, other[y]!, from + y) &&
        (one[y] === null || beds[b]!.takes(one[y]!)) &&
        (other[y] === null || beds[a]!.takes(other[y]!)),
    )
    if (!isAllowed) return false
    const swapped = (mine: (string | null)[], theirs: (string | null)[]) =>
      mine.map((crop, y) => (at.includes(y) ? theirs[y]! : crop))
    const now = [
      costOfBed(beds[a]!, swapped(one, other), from),
      costOfBed(beds[b]!, swapped(other, one), from),
    ] as const
    if (now[0] + now[1] >= cost[a]! + cost[b]! - HARDLY) return false
    for (const y of at) [years[y]![a], years[y]![b]] = [other[y]!, one[y]!]
    ;[cost[a], cost[b]] = now
    return true
  }
  const spans = order.flatMap((_, y) => {
    const after = order.slice(y).map((_, k) => y + k)
    return after.length > 1 ? [[y], after] : [[y]]
  })
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let isCheaper = false
    for (const at of spans)
      for (let a = 0; a < beds.length; a++)
        for (let b = a + 1; b < beds.length; b++) isCheaper = change(a, b, at) || isCheaper
    if (!isCheaper) break
  }
  return years
}
