import { LITRES, type Litres } from '../units'
import type { BatchJob } from './sizing'

/** What would make a job measurable: the nearest scoop or cup, and the nearest amount with these tools. Litres. */
export interface WhatWorks {
  scoop: Litres | null
  amount: Litres | null
}

const stepped = (from: number, to: number, step: number) =>
  Array.from({ length: Math.round((to - from) / step) + 1 }, (_, i) => from + i * step)

/** Spoons, cups, scoops and jugs as people have them, litres. Source: common practice. */
const SCOOPS: readonly Litres[] = [
  ...stepped(10, 300, 10).map((mL) => mL / 1000),
  ...stepped(350, 1000, 50).map((mL) => mL / 1000),
  LITRES.usCup / 4,
  LITRES.usCup / 2,
  LITRES.usCup,
  LITRES.usQuart / 2,
  LITRES.usQuart,
  1.5,
  2,
  3,
]

/** Amounts tried above and below the one wanted, as shares of it, the nearest first. */
const AMOUNTS = [1.1, 0.9, 1.2, 1.35, 0.75, 1.5, 1.75, 2, 2.5, 3, 4, 5, 6, 8, 10, 12]

/**
 * The scoop nearest to the one there is, and the nearest amount, with which a plan holds; null where none of those
 * people have, and none up to twelve times as much, would do. `plan` finds a plan or says there is none.
 */
export function whatWorks(job: BatchJob, plan: (job: BatchJob) => unknown): WhatWorks {
  const { tools, wanted } = job
  const far = (scoop: Litres) => Math.abs(Math.log(scoop / tools.scoop))
  const scoop =
    SCOOPS.filter((s) => s < tools.bucket)
      .sort((a, b) => far(a) - far(b))
      .find((s) => plan({ ...job, tools: { ...tools, scoop: s } })) ?? null
  const share = AMOUNTS.find((by) => plan({ ...job, wanted: wanted * by }))
  return { scoop, amount: share === undefined ? null : wanted * share }
}
