import { proxy, wrap, type Remote } from 'comlink'
import type { FinderProblem, FinderProgress, FinderResult, Relaxation } from '@/core/finder'
import type { Outcome } from '@/core/outcome'
import type { RangeRequest } from '@/core/ranges'
import type { CoreApi, RangesAnswer, Tell } from './coreApi'

let remote: Remote<CoreApi> | undefined
let tasks = 0

/** The one worker of the page, started when first wanted. */
function core(): Remote<CoreApi> {
  remote ??= wrap<CoreApi>(new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }))
  return remote
}

export interface Following<P> {
  /** Cancels the run; its answer is then null. */
  signal?: AbortSignal
  onProgress?: Tell<P>
}

function begin(signal: AbortSignal | undefined): number {
  const task = ++tasks
  signal?.addEventListener('abort', () => void core().cancel(task), { once: true })
  return task
}
const told = <P>(tell: Tell<P> | undefined) => (tell ? proxy(tell) : undefined)

/** Ranges of every figure of a mix, worked out beside the page. Plain values only: no proxies. */
export const rangesInWorker = (
  request: RangeRequest,
  { signal, onProgress }: Following<number> = {},
): Promise<Outcome<RangesAnswer> | null> => core().ranges(begin(signal), request, told(onProgress))

/** The finder, beside the page. `enough` ends it with what it has found by then. */
export function findInWorker(
  problem: FinderProblem,
  { signal, enough, onProgress }: Following<FinderProgress> & { enough?: AbortSignal } = {},
): Promise<Outcome<FinderResult> | null> {
  const task = begin(signal)
  enough?.addEventListener('abort', () => void core().enough(task), { once: true })
  return core().find(task, problem, told(onProgress))
}

/** What stands in the finder's way, beside the page. */
export const inTheWayInWorker = (
  problem: FinderProblem,
  { signal, onProgress }: Following<FinderProgress> = {},
): Promise<Outcome<Relaxation[]> | null> => core().inTheWay(begin(signal), problem, told(onProgress))
