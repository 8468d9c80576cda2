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

/** How often it is looked at while nothing is heard. */
const GLANCES = 4

/** The run that is going on: it is heard of, or counts as hung. */
class Running {
  private readonly abort = new AbortController()
  private timer: ReturnType<typeof setTimeout> | undefined
  constructor(
    private readonly silence: number,
    private readonly onSilence: () => void,
  ) {
    this.heard()
  }
  get signal() {
    return this.abort.signal
  }
  heard() {
    this.wait(GLANCES)
  }
  /** A page that was itself held up, or asleep, finds one glance due when it goes on, not all of them. */
  private wait(glances: number) {
    clearTimeout(this.timer)
    this.timer = setTimeout(() => {
      if (this.signal.aborted) return
      if (glances > 1) this.wait(glances - 1)
      else this.onSilence()
    }, this.silence / GLANCES)
  }
  stop() {
    clearTimeout(this.timer)
    this.abort.abort()
  }
}

/**
 * Runs something beside the page once. Answers what it answers (null where it was cancelled), or why it did not: it
 * broke off, or nothing was heard of it for so long.
 */
export function runOnce<P, V>(
  run: (controls: TaskControls<P>) => Promise<V | null>,
  silence = SILENCE,
): Promise<{ value: V | null } | { failure: TaskFailure }> {
  return new Promise((answer) => {
    const running = new Running(silence, () => end({ failure: 'silent' }))
    const end = (found: { value: V | null } | { failure: TaskFailure }) => {
      running.stop()
      answer(found)
    }
    void Promise.resolve()
      .then(() => run({ signal: running.signal, onProgress: () => running.heard() }))
      .then(
        (value) => end({ value }),
        () => end({ failure: 'lost' }),
      )
  })
}

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
  let running: Running | null = null

  /** Ends what runs, and forgets its answer where that is no longer wanted. */
  function end(now: TaskStatus, why: TaskFailure | null = null) {
    running?.stop()
    running = null
    progress.value = null
    failure.value = why
    status.value = now
  }
  function start(input: I) {
    end('running')
    last = input
    answer.value = null
    const mine = (running = new Running(silence, () => end('failed', 'silent')))
    const onProgress = (word: P) => {
      if (running !== mine) return
      mine.heard()
      progress.value = word
    }
    const done = (value: V | null) => {
      if (running !== mine) return
      if (value !== null) answer.value = { of: input, value }
      end(value === null ? 'idle' : 'done')
    }
    // A run that throws before its first wait fails like one that throws after it.
    void Promise.resolve()
      .then(() => run(input, { signal: mine.signal, onProgress }))
      .then(done, () => running === mine && end('failed', 'lost'))
  }
  onScopeDispose(() => running?.stop())
  return {
    status: readonly(status),
    progress,
    answer,
    failure: readonly(failure),
    start,
    cancel() {
      end('idle')
      answer.value = null
    },
    again: () => last !== undefined && start(last),
  }
}
