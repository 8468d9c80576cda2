import { proxy, wrap, type Remote } from 'comlink'
import type { FinderProblem, FinderProgress, Relaxation } from '@/core/finder'
import type { LearnRequest } from '@/model/learn/batches'
import type { Taught } from '@/model/learn/learn'
import type { Outcome } from '@/core/outcome'
import type { RangeRequest } from '@/core/ranges'
import type { Watered, WateringPlan, WatchRequest } from '@/core/watering'
import type { FindProgress, FindRequest, FoundMixes } from '@/model/find/findMixes'
import type { JudgedPlanRequest } from '@/model/water/plan'
import type { MovesRequest, NextMoves } from '@/model/find/nextMoves'
import type { LiquidOffer, LiquidRequest } from '@/model/mix/liquidOffers'
import type { RestAnswer, RestRequest } from '@/model/mix/rest'
import type { Verdict, VerdictRequest } from '@/model/mix/verdict'
import type { JobWays, WaysRequest } from '@/model/water/waterWays'
import type { Garden } from '@/model/garden/garden'
import { compareWith, type FileRead } from '@/storage/importFile'
import type { CoreApi, RangesAnswer, Tell } from './coreApi'

/** The worker could not be started, or died; the next call starts another. */
class WorkerLost extends Error {
  override name = 'WorkerLost'
}

interface Running {
  worker: Worker
  remote: Remote<CoreApi>
  /** Rejects when the worker fails; never resolves. */
  lost: Promise<never>
}
let running: Running | undefined
let tasks = 0

/** The one worker of the page, started when first wanted and again after it failed. */
function core(): Running {
  if (running) return running
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' })
  const lost = new Promise<never>((_, reject) => {
    const fail = () => {
      worker.terminate()
      if (running?.worker === worker) running = undefined
      reject(new WorkerLost('The worker could not be started or has failed.'))
    }
    worker.addEventListener('error', fail)
    worker.addEventListener('messageerror', fail)
  })
  // Nobody may be waiting when it fails.
  lost.catch(() => null)
  running = { worker, remote: wrap<CoreApi>(worker), lost }
  return running
}

export interface Following<P> {
  /** Cancels the run; its answer is then null. */
  signal?: AbortSignal
  onProgress?: Tell<P>
}

/**
 * Runs one call of the worker under a number of its own. Rejects with `WorkerLost` where the worker fails meanwhile.
 */
function call<R>(
  signal: AbortSignal | undefined,
  run: (remote: Remote<CoreApi>, task: number) => Promise<R>,
): Promise<R> {
  const { remote, lost } = core()
  const task = ++tasks
  signal?.addEventListener('abort', () => void remote.cancel(task).catch(() => null), { once: true })
  return Promise.race([run(remote, task), lost])
}
const told = <P>(tell: Tell<P> | undefined) => (tell ? proxy(tell) : undefined)

/** Ranges of every figure of a mix, worked out beside the page. Plain values only: no proxies. */
export const rangesInWorker = (
  request: RangeRequest,
  { signal, onProgress }: Following<number> = {},
): Promise<Outcome<RangesAnswer> | null> =>
  call<Outcome<RangesAnswer> | null>(signal, (remote, task) => remote.ranges(task, request, told(onProgress)))

/** The changes that help a mix most, beside the page. Plain values only. */
export const movesInWorker = (
  request: MovesRequest,
  { signal, onProgress }: Following<number> = {},
): Promise<Outcome<NextMoves> | null> =>
  call<Outcome<NextMoves> | null>(signal, (remote, task) => remote.moves(task, request, told(onProgress)))

/** What is said first of several mixes, beside the page. Plain values only. */
export const verdictsInWorker = (
  requests: readonly VerdictRequest[],
  { signal }: Pick<Following<never>, 'signal'> = {},
): Promise<(Verdict | null)[] | null> =>
  call<(Verdict | null)[] | null>(signal, (remote, task) => remote.verdicts(task, requests))

/** The finder, beside the page. `enough` ends it with what it has found by then. */
export const findInWorker = (
  request: FindRequest,
  { signal, enough, onProgress }: Following<FindProgress> & { enough?: AbortSignal } = {},
): Promise<Outcome<FoundMixes> | null> =>
  call<Outcome<FoundMixes> | null>(signal, (remote, task) => {
    enough?.addEventListener('abort', () => void remote.enough(task).catch(() => null), { once: true })
    return remote.find(task, request, told(onProgress))
  })

/** What can wait until the hand rests, worked out beside the page. */
export const restInWorker = (
  request: RestRequest,
  { signal, onProgress }: Following<number> = {},
): Promise<Outcome<RestAnswer> | null> =>
  call<Outcome<RestAnswer> | null>(signal, (remote, task) => remote.rest(task, request, told(onProgress)))

/** The best ways to feed a mix with water, worked out beside the page. Plain values only. */
export const liquidInWorker = (
  request: LiquidRequest,
  { signal, onProgress }: Following<number> = {},
): Promise<LiquidOffer[] | null> =>
  call<LiquidOffer[] | null>(signal, (remote, task) => remote.liquid(task, request, told(onProgress)))

/** What a water does to a mix and what would do better, worked out beside the page. Plain values only. */
export const waterWaysInWorker = (
  request: WaysRequest,
  { signal, onProgress }: Following<number> = {},
): Promise<JobWays | null> =>
  call<JobWays | null>(signal, (remote, task) => remote.waterWays(task, request, told(onProgress)))

/** What readings teach, worked out beside the page. Plain values only. */
export const learnInWorker = (
  request: LearnRequest,
  { signal, onProgress }: Following<number> = {},
): Promise<Outcome<Taught> | null> =>
  call<Outcome<Taught> | null>(signal, (remote, task) => remote.learn(task, request, told(onProgress)))

/** Water poured on mixes, followed beside the page. */
export const waterInWorker = (
  request: WatchRequest,
  { signal, onProgress }: Following<number> = {},
): Promise<Outcome<Watered[]> | null> =>
  call<Outcome<Watered[]> | null>(signal, (remote, task) => remote.water(task, request, told(onProgress)))

/** How often and how much to water, worked out beside the page. */
export const planInWorker = (
  request: JudgedPlanRequest,
  { signal, onProgress }: Following<number> = {},
): Promise<Outcome<WateringPlan> | null> =>
  call<Outcome<WateringPlan> | null>(signal, (remote, task) =>
    remote.wateringPlan(task, request, told(onProgress)),
  )

/** A garden file, read beside the page and compared with the garden some records at a time. */
export const previewInWorker = (
  file: Blob,
  garden: Garden,
  { signal, onProgress }: Following<number> = {},
): Promise<FileRead | null> =>
  call<FileRead | null>(signal, async (remote, task) => {
    const read = await remote.previewFile(task, file, told(onProgress))
    if (!read?.ok) return read
    for (;;) {
      const some = await remote.nextRecords(task)
      if (some.length === 0) return read
      compareWith(garden, some, read.preview)
    }
  })

/** What stands in the finder's way, beside the page. */
export const inTheWayInWorker = (
  problem: FinderProblem,
  { signal, onProgress }: Following<FinderProgress> = {},
): Promise<Outcome<Relaxation[]> | null> =>
  call<Outcome<Relaxation[]> | null>(signal, (remote, task) =>
    remote.inTheWay(task, problem, told(onProgress)),
  )
