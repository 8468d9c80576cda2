import { onScopeDispose, readonly, shallowRef, type Ref, type ShallowRef } from 'vue'
import type { TaskFailure } from '@/text/make/tasks'

export type TaskStatus = 'idle' | 'running' | 'done' | 'failed'

export interface TaskControls<P> {
  signal: AbortSignal
  onProgress: (progress: P) => void
}

export interface Task<I, P, V> {
  status: Readonly<Ref<TaskStatus>>
  /** What was last heard of the run; null before the first word and after its end. */
  progress: Readonly<ShallowRef<P | null>>
  /** The answer, with what was asked; null until it is in. */
  answer: Readonly<ShallowRef<{ of: I; value: V } | null>>
  failure: Readonly<Ref<TaskFailure | null>>
  /** Asks anew; what ran before is cancelled and its answer dropped. */
  start: (input: I) => void
  /** Ends it without an answer and forgets the last one. */
  cancel: () => void
  /** Asks the same once more, after a failure. */
  again: () => void
}

/**
 * Nothing heard for so long, ms, and the run counts as hung. Working ones speak up every few hundredths of a second.
 */
const SILENCE = 20_000

/**
 * Something that runs beside the page: in a worker, over the network. The newest question wins; a run that breaks or
 * falls silent fails with a word instead of leaving the page waiting. `run` answers null where it was cancelled.
 */
export function useTask<I, P, V>(
  run: (input: I, controls: TaskControls<P>) => Promise<V | null>,
  silence = SILENCE,
): Task<I, P, V> {
  const status = shallowRef<TaskStatus>('idle')
  const progress = shallowRef<P | null>(null)
  const answer = shallowRef<{ of: I; value: V } | null>(null)
  const failure = shallowRef<TaskFailure | null>(null)
  let last: I | undefined
  let abort: AbortController | null = null
  let timer: ReturnType<typeof setTimeout> | undefined

  function stop() {
    clearTimeout(timer)
    abort?.abort()
    abort = null
    progress.value = null
  }
  function fail(why: TaskFailure) {
    stop()
    failure.value = why
    status.value = 'failed'
  }
  function start(input: I) {
    stop()
    last = input
    answer.value = null
    failure.value = null
    status.value = 'running'
    const mine = (abort = new AbortController())
    const isMine = () => abort === mine
    const heard = () => {
      clearTimeout(timer)
      timer = setTimeout(() => isMine() && fail('silent'), silence)
    }
    heard()
    const onProgress = (word: P) => {
      if (!isMine()) return
      heard()
      progress.value = word
    }
    // A run that throws before its first wait fails like one that throws after it.
    void Promise.resolve()
      .then(() => run(input, { signal: mine.signal, onProgress }))
      .then(
        (value) => {
          if (!isMine()) return
          stop()
          if (value !== null) answer.value = { of: input, value }
          status.value = value === null ? 'idle' : 'done'
        },
        () => isMine() && fail('lost'),
      )
  }
  function cancel() {
    stop()
    answer.value = null
    failure.value = null
    status.value = 'idle'
  }
  onScopeDispose(stop)
  return {
    status: readonly(status),
    progress,
    answer,
    failure: readonly(failure),
    start,
    cancel,
    again: () => last !== undefined && start(last),
  }
}
