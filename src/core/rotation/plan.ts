import { assign } from './assign'
import { rotationOf, waitOf, type Grown, type Wait } from './families'
import { improved, type Order } from './improve'
import { stepCost, type RotationBed } from './stepCost'

/** What a bed grows in a year. */
export interface RotationStep {
  bedId: string
  year: number
  /** Null where no crop is left that has room in it. */
  cropId: string | null
  isFixed: boolean
  wait: Wait | null
}

/** Crops that stay where they are: a bed that grew one last year goes on with it. */
const staying = ({ history }: RotationBed, year: number): string | null =>
  history.find((g) => g.year === year - 1 && rotationOf(g.cropId)?.leaves === 'stays')?.cropId ?? null

/** Crops of each bed from `from` on, a year at a time: those of least cost in that year. */
function yearByYear(
  beds: readonly RotationBed[],
  crops: readonly string[],
  { from, years }: { from: number; years: number },
): Order {
  let now = beds.map((bed) => ({ ...bed, history: [...bed.history] }))
  return Array.from({ length: years }, (_, n) => {
    const year = from + n
    const chosen = now.map(
      (bed): string | null => bed.fixed.find((f) => f.year === year)?.cropId ?? staying(bed, year),
    )
    const left = [...crops]
    for (const one of chosen) {
      const at = one === null ? -1 : left.indexOf(one)
      if (at >= 0) left.splice(at, 1)
    }
    const open = now.flatMap((_, i) => (chosen[i] === null ? [i] : []))
    const cost = open.map((i) => left.map((crop) => stepCost(now[i]!, crop, year)))
    for (const [row, column] of assign(cost)) {
      const at = open[row]!
      // Better nothing than what has no room.
      if (now[at]!.takes(left[column]!)) chosen[at] = left[column]!
    }
    now = now.map((bed, i) => {
      const cropId = chosen[i] ?? null
      return cropId === null ? bed : { ...bed, history: [...bed.history, { year, cropId }] }
    })
    return chosen
  })
}

/**
 * What each bed grows in the years from `from` on, so that families come back as late as can be: a year at a time, then
 * beds change places as long as all the years together get cheaper. `crops` are to be grown once each a year, one to a
 * bed; decided years and crops that stay for years are kept. Steps come by year, then as the beds were given. Errors:
 * none. Source: the assignment of least cost, `improved`, `stepCost`.
 */
export function rotationPlan(
  beds: readonly RotationBed[],
  crops: readonly string[],
  { from, years }: { from: number; years: number },
): RotationStep[] {
  const order = improved(beds, yearByYear(beds, crops, { from, years }), from)
  const grown = beds.map((bed): Grown[] => [...bed.history])
  return order.flatMap((row, n) => {
    const year = from + n
    return row.map((cropId, i): RotationStep => {
      const isFixed = beds[i]!.fixed.some((f) => f.year === year)
      const wait = cropId === null ? null : waitOf(grown[i]!, cropId, year)
      if (cropId !== null) grown[i]!.push({ year, cropId })
      return { bedId: beds[i]!.id, year, cropId, isFixed, wait }
    })
  })
}
