import { inTheWay, type FinderProblem, type FinderProgress, type Relaxation } from '../core/finder'
import { succeed, type Outcome } from '../core/outcome'
import { withRanges, type Ranged, type RangeRequest } from '../core/ranges'
import { watchWater, type Watered, type WateringPlan, type WatchRequest } from '../core/watering'
import { findMixes, type FindProgress, type FindRequest, type FoundMixes } from '../model/find/findMixes'
import { liquidOffers, type LiquidOffer, type LiquidRequest } from '../model/mix/liquidOffers'
import { atRest, type RestAnswer, type RestRequest } from '../model/mix/rest'
import { verdictsOn, type Verdict, type VerdictRequest } from '../model/mix/verdict'
import { previewImport, type FileRead } from '../storage/importFile'
import { findMoves, type MovesRequest, type NextMoves } from '../model/find/nextMoves'
import type { AnyData } from '../model/garden/schemas'
import type { LearnRequest } from '../model/learn/batches'
import { teach, type Taught } from '../model/learn/learn'
import { judgedPlan, type JudgedPlanRequest } from '../model/water/plan'
import { waterWays, type JobWays, type WaysRequest } from '../model/water/waterWays'
import { drive } from './drive'

/** What crosses from the worker of a range request: everything but the evaluation, whose curves are functions. */
export type RangesAnswer = Omit<Ranged, 'best'>

const RECORDS_AT_ONCE = 500

/** Told now and then: share done, or the finder's own progress. */
export type Tell<P> = (progress: P) => void

/**
 * A pause that lets waiting messages in. A message of our own comes after all that wait; a timer would wait for
 * longer.
 */
function messageTurn(): Promise<void> {
  return new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      port1.close()
      resolve()
    }
    port2.postMessage(null)
  })
}

/**
 * Long computations, each under a number of the caller's. Takes and gives plain data only; null means cancelled.
 * Runs wherever it is made: in the worker, or in a test.
 */
export function makeCoreApi() {
  const cancelled = new Set<number>()
  const enough = new Set<number>()
  const run: Run = async (task, steps, tell) => {
    try {
      return await drive(steps, {
        onProgress: tell,
        isCancelled: () => cancelled.has(task),
        pause: messageTurn,
        now: () => performance.now(),
      })
    } finally {
      cancelled.delete(task)
      enough.delete(task)
    }
  }
  return {
    cancel(task: number): void {
      cancelled.add(task)
    },
    /** The finder ends with what it has found by then. */
    enough(task: number): void {
      enough.add(task)
    },
    ...finding(run, enough),
    ...reading(run),
    ...following(run),
  }
}

/** Drives a long run to its end; null where it was cancelled. */
type Run = <P, R>(task: number, steps: Generator<P, R>, tell?: Tell<P>) => Promise<R | null>
type Answer<T> = Promise<Outcome<T> | null>

const finding = (run: Run, enough: ReadonlySet<number>) => ({
  async ranges(task: number, request: RangeRequest, tell?: Tell<number>): Answer<RangesAnswer> {
    const answer = await run(task, withRanges(request), tell)
    if (!answer?.ok) return answer
    const { figures, ranges, draws, chance } = answer.value
    return succeed({ figures, ranges, draws, chance }, ...answer.notes)
  },
  find(task: number, request: FindRequest, tell?: Tell<FindProgress>): Answer<FoundMixes> {
    const steps = findMixes(request, () => enough.has(task))
    return run(task, steps, tell)
  },
  /** The changes that help a mix most. */
  moves(task: number, request: MovesRequest, tell?: Tell<number>): Answer<NextMoves> {
    return run(task, findMoves(request), tell)
  },
  /** What is said first of several mixes. */
  verdicts(task: number, requests: readonly VerdictRequest[]): Promise<(Verdict | null)[] | null> {
    return run(task, verdictsOn(requests))
  },
  /** The best ways to feed a mix with water. */
  liquid(task: number, request: LiquidRequest, tell?: Tell<number>): Promise<LiquidOffer[] | null> {
    return run(task, liquidOffers(request), tell)
  },
  /** What can wait until the hand rests. */
  rest(task: number, request: RestRequest, tell?: Tell<number>): Answer<RestAnswer> {
    return run(task, atRest(request), tell)
  },
  inTheWay(task: number, problem: FinderProblem, tell?: Tell<FinderProgress>): Answer<Relaxation[]> {
    return run(task, inTheWay(problem), tell)
  },
})

function reading(run: Run) {
  /** Records of files looked at, by task, until they are fetched. */
  const records = new Map<number, [string, AnyData][]>()
  return {
    /**
     * A garden file, read. Its records are fetched afterwards with `nextRecords`, some at a time: all at once would
     * hold up the page, and so would handing the garden over to compare them with.
     */
    async previewFile(task: number, file: Blob, tell?: Tell<number>): Promise<FileRead | null> {
      const read = await run(task, previewImport(await file.text(), new Map()), tell)
      if (!read?.ok) return read
      const all = read.preview.added.map(({ key, after }): [string, AnyData] => [key, after!])
      records.set(task, all)
      return { ok: true, preview: { ...read.preview, added: [], changed: [] } }
    },
    /** The next records of a file looked at; an empty list when there are no more. */
    nextRecords(task: number): [string, AnyData][] {
      const rest = records.get(task) ?? []
      const next = rest.splice(0, RECORDS_AT_ONCE)
      if (rest.length === 0) records.delete(task)
      return next
    },
  }
}

const following = (run: Run) => ({
  /** What readings teach of the rows they are of. */
  learn(task: number, request: LearnRequest, tell?: Tell<number>): Answer<Taught> {
    return run(task, teach(request), tell)
  },
  /** Water poured on a mix, or on several side by side. */
  water(task: number, request: WatchRequest, tell?: Tell<number>): Answer<Watered[]> {
    return run(task, watchWater(request), tell)
  },
  /** What a water does to a mix, and what would do better. */
  waterWays(task: number, request: WaysRequest, tell?: Tell<number>): Promise<JobWays | null> {
    return run(task, waterWays(request), tell)
  },
  /** How often and how much to water. */
  wateringPlan(task: number, request: JudgedPlanRequest, tell?: Tell<number>): Answer<WateringPlan> {
    return run(task, judgedPlan(request), tell)
  },
})
export type CoreApi = ReturnType<typeof makeCoreApi>
