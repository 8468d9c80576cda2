import { defineLimits } from '../limits'
import type { Days, Litres } from '../units'
import type { PlanChange } from './changes'
import type { MonthPlan, WateringPlan } from './plan'

/** What a stay away is judged by. */
export const AWAY_LIMITS = defineLimits({
  hotWeek: {
    value: 0.5,
    low: 0.4,
    high: 0.6,
    unit: 'of the days of a mean week that a hot one leaves',
    source: 'common practice: a hot, windy week takes twice the water of a mean one',
  },
  shade: {
    value: 0.6,
    low: 0.5,
    high: 0.7,
    unit: 'of the water used in full light that is used in light shade, out of the wind',
    source: 'common practice: half the light and less wind',
  },
})

/** What helps while nobody is there: a change of the plan, a place in shade, or somebody who waters. */
export type AwayHelp = PlanChange | 'shade'

/** What a container needs while its grower is away. */
export interface AwayNeeds {
  /** Days away. */
  days: Days
  /** Nothing; a look in a hot week; water. */
  needs: 'nothing' | 'look' | 'water'
  /** Days it lasts after a good watering, in mean weather; `within`: no longer than this. */
  lasts: Days
  within: boolean
  /** Days from leaving on which it is watered; several times a day where `timesADay` says so. */
  on: Days[]
  timesADay: number
  /** Each time, for one container, and in all that time. */
  litres: Litres
  inAll: Litres
  /** The day, from leaving, on which somebody looks at it in a hot week. */
  look: Days
  /** What would make it last longer, the best first. */
  helps: { help: AwayHelp; lasts: Days; enough: boolean }[]
}

/**
 * What a container needs in a stay of so many days, watered well on the day of leaving: nothing where even a hot
 * week does
 * not make it thirsty, a look where only a hot one does, else a watering as often as the plan of its month says.
 *
 *   lasts in a hot week = days until thirst x 0.5;   in shade = days until thirst / 0.6
 *
 * Days, litres. `movable`: it can be carried into shade. Errors: none. Range: stays of up to 60 days in one month's
 * weather.
 * Source: `wateringPlan`; factors beside the limits.
 *
 * @example
 * needsWhileAway({ options: [] }, { untilThirst: 20, within: true, interval: 20, timesADay: 1, litres: 2, use: 0.1 },
 *   { days: 7, movable: true }).needs // 'nothing'
 */
export function needsWhileAway(
  { options }: Pick<WateringPlan, 'options'>,
  month: Pick<MonthPlan, 'untilThirst' | 'within' | 'interval' | 'timesADay' | 'litres' | 'use'>,
  { days, movable }: { days: Days; movable: boolean },
): AwayNeeds {
  const { untilThirst, within, interval, timesADay, litres } = month
  const hot = untilThirst * AWAY_LIMITS.hotWeek.value
  const needs = !within || hot >= days ? 'nothing' : untilThirst >= days ? 'look' : 'water'
  const every = Math.max(1, interval)
  const on =
    needs === 'water'
      ? Array.from({ length: days }, (_, i) => i + 1).filter((d) => d < days && d % every === 0)
      : []
  const lasting = [
    ...options.map((o) => ({ help: o.change as AwayHelp, lasts: o.untilThirst })),
    ...(movable ? [{ help: 'shade' as const, lasts: untilThirst / AWAY_LIMITS.shade.value }] : []),
  ]
  return {
    days,
    needs,
    lasts: untilThirst,
    within,
    on,
    timesADay,
    litres,
    inAll: on.length * timesADay * litres,
    look: Math.max(1, Math.floor(hot)),
    helps:
      needs === 'nothing'
        ? []
        : lasting.map((h) => ({ ...h, enough: h.lasts >= days })).sort((a, b) => b.lasts - a.lasts),
  }
}
