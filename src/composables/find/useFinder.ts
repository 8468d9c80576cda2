import { useThrottleFn } from '@vueuse/core'
import { computed, shallowRef, watch, type ComputedRef, type Ref } from 'vue'
import type { FinderProblem, FinderProgress, Found, Relaxation } from '@/core/finder'
import type { Outcome } from '@/core/outcome'
import type { FindProgress, FindRequest, FoundMixes } from '@/model/find/findMixes'
import { problemText, type Sentence } from '@/text/base/problems.en'
import { failureText } from '@/text/make/tasks'
import { findInWorker, inTheWayInWorker } from '@/workers/core.client'
import type { FinderWishing } from './useFinderWishes'
import { useTask } from '../page/useTask'

export interface Finder {
  running: ComputedRef<boolean>
  progress: Readonly<Ref<FindProgress | null>>
  /** What was found; null until it is in and once the wishes have changed. */
  result: ComputedRef<FoundMixes | null>
  /** In the order to be shown; while it is running, the best of what is judged so far. */
  found: ComputedRef<Found[]>
  /** What could be given up, and what that would buy; null until asked. */
  way: ComputedRef<Relaxation[] | null>
  asking: ComputedRef<boolean>
  /** Why there is no answer. */
  trouble: ComputedRef<Sentence | null>
  /** Whether a run broke off, and the same can be asked once more. */
  canTryAgain: ComputedRef<boolean>
  again: () => void
  find: () => void
  askWay: () => void
  /** Ends the search with what it has. */
  show: () => void
}

/** Progress is drawn a few times a second, ms: more often, drawing it would cost the page its smoothness. */
const TOLD_EVERY = 250

/** The search for a mix beside the page, and what was found. The worker's calls can be replaced for a test. */
export function useFinder(
  { request, units }: Pick<FinderWishing, 'request' | 'units'>,
  workers = { find: findInWorker, inTheWay: inTheWayInWorker },
): Finder {
  let enough: AbortController | null = null
  const search = useTask<FindRequest, FindProgress, Outcome<FoundMixes>>((wanted, { signal, onProgress }) => {
    enough = new AbortController()
    const told = useThrottleFn(onProgress, TOLD_EVERY)
    return workers.find(wanted, {
      signal,
      enough: enough.signal,
      // The first recipe of all is shown as soon as there is one, and so is a list.
      onProgress: (p) => void (p.best && !p.found ? told(p) : onProgress(p)),
    })
  })
  const giveUp = useTask<FinderProblem, FinderProgress, Outcome<Relaxation[]>>(
    (problem, { signal, onProgress }) => workers.inTheWay(problem, { signal, onProgress }),
  )
  // What was found belongs to what was asked.
  watch(request, () => {
    search.cancel()
    giveUp.cancel()
  })
  const asked = computed(() => (request.value?.ok ? request.value.value : null))
  const answered = <V>(outcome: Outcome<V> | undefined) => (outcome?.ok ? outcome.value : null)
  const result = computed(() => answered(search.answer.value?.value))
  const trouble = computed<Sentence | null>(() => {
    const failure = search.failure.value ?? giveUp.failure.value
    if (failure) return failureText(failure)
    for (const outcome of [search.answer.value?.value, giveUp.answer.value?.value])
      if (outcome && !outcome.ok) return problemText(outcome.problem, units.value)
    return null
  })

  // A list stays until the next one comes or the wishes change.
  const kept = shallowRef<Found[]>([])
  watch(search.progress, (p) => p?.found && (kept.value = p.found))
  watch(request, () => (kept.value = []))
  return {
    running: computed(() => search.status.value === 'running'),
    progress: search.progress,
    result,
    found: computed(() => result.value?.found ?? kept.value),
    way: computed(() => answered(giveUp.answer.value?.value)),
    asking: computed(() => giveUp.status.value === 'running'),
    trouble: computed(() => {
      const wrong = request.value
      return trouble.value ?? (wrong && !wrong.ok ? problemText(wrong.problem, units.value) : null)
    }),
    canTryAgain: computed(() => search.failure.value !== null || giveUp.failure.value !== null),
    again: () => (search.failure.value ? search.again() : giveUp.again()),
    find: () => asked.value && search.start(asked.value),
    askWay: () => asked.value && giveUp.start(asked.value.problem),
    show: () => enough?.abort(),
  }
}
