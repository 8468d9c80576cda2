import type { WaterStretch } from './chemistry'
import type { WateringInterval } from './climate'
import type { WaterAmounts } from './nutrients'
import { DAYS_PER_MONTH, type Fraction, type Litres } from './units'

/** Share of the mix that drains away in a day where no place is known. Source: our assumption. */
const DRAINED_SOMEWHERE = 1 / 70

/**
 * Alkalinity that watering brings to a litre of mix and what drains from it, month after month from planting on. Rain
 * brings none, saves watering and washes out where it is more than plants take up. After the crop nothing is given.
 * mmol of charge and litres per litre of mix and day. Where no climate is known, as much is given as drains.
 */
export function waterStretches(
  { planting, leaching, alkalinity }: { planting: number; leaching: Fraction; alkalinity: number },
  volume: Litres,
  watering: readonly Pick<WateringInterval, 'use' | 'rain'>[],
  standing: readonly number[],
): (WaterStretch & WaterAmounts)[] {
  if (watering.length === 0)
    return [
      {
        from: 0,
        given: DRAINED_SOMEWHERE,
        alkalinity: alkalinity * DRAINED_SOMEWHERE,
        drained: DRAINED_SOMEWHERE,
      },
    ]
  return Array.from({ length: 12 }, (_, k) => {
    const month = ((planting - 1 + k) % 12) + 1
    const { use, rain } = watering[month - 1]!
    const short = standing.includes(month) ? Math.max(0, use.value - rain) : 0
    const given = short / (1 - leaching)
    return {
      from: k * DAYS_PER_MONTH,
      given: given / volume,
      alkalinity: (alkalinity * given) / volume,
      drained: (given * leaching + Math.max(0, rain - use.value)) / volume,
    }
  })
}
