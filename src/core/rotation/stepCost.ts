import { rotationOf, waitOf, type Grown } from './families'
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
