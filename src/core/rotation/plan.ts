import { assign } from './assign'
import { rotationOf, waitOf, type Grown, type Wait } from './families'
import { ROTATION_LIMITS as L } from './limits'

/** A bed whose soil or mix stays from year to year. */
export interface RotationBed {
  id: string
  /** What grew in it, in any order. */
  history: readonly Grown[]
  /** What the grower has decided for years to come. */
  fixed: readonly Grown[]
  /** Has a crop room in it? */
  takes: (cropId: string) => boolean
}
/** What a bed grows in a year. */
export interface RotationStep {
  bedId: string
  year: number
  /** Null where no crop is left that has room in it. */
  cropId: string | null
  isFixed: boolean
  wait: Wait | null
}

/**
 * What it costs to grow a crop in a bed in a year, by what grew there. Source: `ROTATION_LIMITS`.
 *
 * @example
 * stepCost({ id: 'a', history: [], fixed: [], takes: () => true }, 'kale', 2027) // 0
 */
export function stepCost(bed: RotationBed, cropId: string, year: number): number {
  const wait = waitOf(bed.history, cropId, year)
  if (!wait) return 0
  const { waited, wanted, state } = wait
  const early =
    state === 'tooEarly'
      ? L.tooEarly.value + L.early.value * (wanted.low - waited)
      : state === 'early'
        ? (L.early.value * (wanted.value - waited)) / wanted.value
        : 0
  const before = bed.history.filter((g) => g.year === year - 1).map((g) => rotationOf(g.cropId))
  const isHungry = rotationOf(cropId)?.demand === 'heavy' && state !== 'stays'
  return (
    (bed.takes(cropId) ? 0 : L.notAtAll.value) +
    early +
    (isHungry && before.some((r) => r?.demand === 'heavy') ? L.hungryAfterHungry.value : 0) -
    (isHungry && before.some((r) => r?.leaves === 'nitrogen') ? L.hungryAfterLegume.value : 0)
  )
}

/** Crops that stay where they are: a bed that grew one last year goes on with it. */
const staying = ({ history }: RotationBed, year: number): string | null =>
  history.find((g) => g.year === year - 1 && rotationOf(g.cropId)?.leaves === 'stays')?.cropId ?? null

/**
 * What each bed grows in the years from `from` on, a year at a time, so that families come back as late as can be.
 * `crops` are to be grown once each a year, one to a bed; decided years and crops that stay for years are kept. Steps
 * come by year, then as the beds were given. Errors: none. Source: the assignment of least cost, `stepCost`.
 */
export function rotationPlan(
  beds: readonly RotationBed[],
  crops: readonly string[],
  { from, years }: { from: number; years: number },
): RotationStep[] {
  const steps: RotationStep[] = []
  let now = beds.map((bed) => ({ ...bed, history: [...bed.history] }))
  for (let year = from; year < from + years; year++) {
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
    steps.push(
      ...now.map((bed, i): RotationStep => {
        const cropId = chosen[i]!
        return {
          bedId: bed.id,
          year,
          cropId,
          isFixed: bed.fixed.some((f) => f.year === year),
          wait: cropId === null ? null : waitOf(bed.history, cropId, year),
        }
      }),
    )
    now = now.map((bed, i) => {
      const cropId = chosen[i] ?? null
      return cropId === null ? bed : { ...bed, history: [...bed.history, { year, cropId }] }
    })
  }
  return steps
}
