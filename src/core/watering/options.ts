import type { MixInContainer } from '../evaluate'
import type { Days } from '../units'
import type { Below, Moved } from '../water/moving'
import { changed, CHANGES, type PlanChange } from './changes'
import { daysUntilThirst, dryDown } from './dryDown'
import { PLAN_LIMITS as L } from './limits'
import type { Plant } from './problem'
import { portion } from './watch'

/** One change and what it does to the days between waterings. */
export interface PlanOption {
  change: PlanChange
  untilThirst: Days
  hoursShortOfAir: number
}

/** Judges the mix that a change leads to, before anything is offered. */
export type MayOffer = (changed: MixInContainer) => boolean

/**
 * Does a change gain enough, and leave roots without air for no longer than they bear or already do?
 *
 * @example
 * isWorthOffering({ untilThirst: 2.5, hoursShortOfAir: 0 }, { untilThirst: 2, hoursShortOfAir: 0 }) // true
 */
export const isWorthOffering = (
  then: Pick<PlanOption, 'untilThirst' | 'hoursShortOfAir'>,
  now: Pick<PlanOption, 'untilThirst' | 'hoursShortOfAir'>,
): boolean =>
  then.untilThirst - now.untilThirst >= L.worthwhile.value &&
  then.hoursShortOfAir <= Math.max(L.airless.value, now.hoursShortOfAir)

interface Planned {
  input: MixInContainer
  below: Below
  plant: Plant
}

/**
 * The changes that make a mix last longer by a gain worth having, the best first, each carried out and followed: none
 * that `mayOffer` refuses, none that leaves roots without air for longer than they bear. The days are as many times
 * those of the plan as the water followed says.
 *
 * A generator: yields the share done. Source: `moveWater`.
 */
export function* planOptions(
  { input, below, plant }: Planned,
  now: { untilThirst: Days; run: Moved },
  mayOffer: MayOffer,
): Generator<number, PlanOption[]> {
  const options: PlanOption[] = []
  const each = 1 / CHANGES.length
  for (const [k, change] of CHANGES.entries()) {
    const other = changed(change, { input, below, plant })
    if (!other || !mayOffer(other.input)) continue
    const run = yield* portion(dryDown(other.input, other.below, other.plant), k * each, each)
    if (!run.ok) continue
    const { hoursShortOfAir } = run.value
    const untilThirst = (now.untilThirst * daysUntilThirst(run.value)) / daysUntilThirst(now.run)
    const option = { change, untilThirst, hoursShortOfAir }
    const today = { untilThirst: now.untilThirst, hoursShortOfAir: now.run.hoursShortOfAir }
    if (isWorthOffering(option, today)) options.push(option)
  }
  return options.sort((a, b) => b.untilThirst - a.untilThirst)
}
