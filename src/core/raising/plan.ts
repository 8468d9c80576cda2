import type { Emergence } from '../data/emergence'
import { fail, succeed, type Outcome } from '../outcome'
import type { Days, Litres } from '../units'
import { daysToEmerge, growthRate } from './emerge'
import { RAISING_LIMITS as L } from './limits'
import type { TrayId } from './trayIds'
import { trayOf, type Tray } from './trays'

/** How plants are to be raised. */
export interface RaisingQuestion {
  emergence: Emergence
  /** Weeks from sowing to a plant fit to be set out, at the usual warmth. */
  weeks: number
  /** Wanted, when they are planted out. */
  plants: number
  /** C, day and night together: while they come up, and after that. */
  warmthOfSeed: number
  warmth: number
  /** Sown in, and potted on into; null where they stay until they are planted out. */
  first: TrayId
  second: TrayId | null
}

export const RAISING_STEPS = ['sow', 'emerge', 'prickOut', 'potOn', 'hardenOff', 'plantOut'] as const
export type RaisingStep = (typeof RAISING_STEPS)[number]

/** A step of raising plants. */
export interface RaisingDate {
  step: RaisingStep
  /** Days before planting out; 0 for planting out. */
  before: Days
}
/** What one stage is filled with. */
export interface RaisingStage {
  tray: Tray
  /** Cells, blocks or pots, and trays of them. */
  cells: number
  trays: number
  /** Of loose mix for all of them, and for a hundred. */
  litres: Litres
  litresForHundred: Litres
}
export interface RaisingPlan {
  dates: RaisingDate[]
  /** Seeds to sow. */
  seeds: number
  stages: RaisingStage[]
  /** The earliest and latest day before planting out on which the seed may be sown. */
  sowBetween: { early: Days; late: Days }
}

/**
 * A plan from seed to planting out, worked back from the day of planting out: hardening off, growing as long as the
 * crop takes at this warmth, potting on when the first cell is full of roots, pricking out at the first true leaf,
 * coming up. Seeds and cells are more than plants, for what does not come up and what is lost.
 *
 * Errors: `too-cold-to-emerge`, `too-warm-to-emerge`. Range: vegetables and herbs; woody cuttings by weeks alone.
 * Source: `daysToEmerge`, `growthRate`; common practice beside the limits.
 */
export function raisingPlan(q: RaisingQuestion): Outcome<RaisingPlan> {
  const { emergence, warmthOfSeed } = q
  const up = daysToEmerge(emergence, warmthOfSeed)
  if (!up)
    return fail(
      warmthOfSeed <= emergence.least
        ? { code: 'too-cold-to-emerge', least: emergence.least }
        : { code: 'too-warm-to-emerge', most: emergence.most },
    )
  const coming = (up.low + up.high) / 2
  const grown = daysGrown(q)
  const hardening = L.hardening.value
  const sow = coming + grown + hardening
  const rate = growthRate(emergence, q.warmth)
  const first = trayOf(q.first)
  const moved = movedAfter(first, q.second, { grown, rate })
  const afterSowing: [RaisingStep, Days][] = [
    ['sow', 0],
    ['emerge', coming],
    ...(moved === null
      ? []
      : [[first.days === null ? 'prickOut' : 'potOn', coming + moved] as [RaisingStep, Days]]),
    ['hardenOff', coming + grown],
    ['plantOut', sow],
  ]
  const seedlings = q.plants / L.kept.value
  return succeed({
    dates: afterSowing.map(([step, after]) => ({ step, before: Math.round(sow - after) })),
    seeds: Math.ceil(seedlings / L.comesUp.value),
    stages: [
      stageOf(first, first.cells === 1 ? seedlings / L.comesUp.value / L.inTray.value : seedlings),
      ...(q.second ? [stageOf(trayOf(q.second), seedlings)] : []),
    ],
    sowBetween: {
      early: Math.round(up.high + grown + hardening),
      late: Math.round(up.low + grown + hardening),
    },
  })
}

/** Days from coming up to hardening off at this warmth. */
function daysGrown({ emergence, weeks, warmth }: RaisingQuestion): Days {
  const usual = (emergence.days.low + emergence.days.high) / 2
  const atUsual = Math.max(LEAST_GROWN, 7 * weeks - usual - L.hardening.value)
  return atUsual / growthRate(emergence, warmth)
}
/** A plant that is set out has at least its first leaves, days. */
const LEAST_GROWN = 7

/** Days from coming up until it is moved; null where it stays. */
function movedAfter(
  first: Tray,
  second: TrayId | null,
  { grown, rate }: { grown: Days; rate: number },
): Days | null {
  if (!second) return null
  const stays = first.days === null ? L.pricked.value : first.days * POT_ON
  return Math.min(stays / rate, grown * MOST_OF_GROWTH)
}
/** A cell is left before its roots turn: at so much of the days it would bear. Source: common practice. */
const POT_ON = 0.7
/** No move in the last part of growing: roots have to take hold. Source: our assumption. */
const MOST_OF_GROWTH = 0.7

function stageOf(tray: Tray, wanted: number): RaisingStage {
  const cells = Math.ceil(wanted)
  const one = ((tray.millilitres * tray.pressed) / 1000) * (1 + L.settles.value)
  return {
    tray,
    cells,
    trays: Math.ceil(cells / tray.cells),
    litres: cells * one,
    litresForHundred: 100 * one,
  }
}
