import { watchDebounced } from '@vueuse/core'
import { computed, shallowRef, toValue, watch, type ComputedRef, type MaybeRefOrGetter, type Ref } from 'vue'
import type { Outcome } from '@/core/outcome'
import type { MovesRequest, NextMoves } from '@/model/find/nextMoves'
import { movesInWorker } from '@/workers/core.client'
import type { TaskFailure } from '@/text/make/tasks'
import { useTask } from '../page/useTask'

/** Waits for the hand to rest, ms. */
const REST = 120

export interface NextMovesInHand {
  /** Of the mix in hand, or while they are `stale` of the one before; null before the first. */
  value: ComputedRef<NextMoves | null>
  stale: ComputedRef<boolean>
  /** Why none come; null while all is well. */
  failure: Readonly<Ref<TaskFailure | null>>
  again: () => void
}

/**
 * The next moves of a mix, from the worker. `key` stands for the mix and changes with it; `ask` makes the request when
 * the hand rests, null where there is none to make. A newer mix cancels the older one's run.
 */
export function useNextMoves<K extends object>(
  key: MaybeRefOrGetter<K | null>,
  ask: (key: K) => MovesRequest | null,
  run = movesInWorker,
): NextMovesInHand {
  const wanted = computed(() => toValue(key))
  const shown = shallowRef<{ of: K; moves: NextMoves } | null>(null)
  const task = useTask<K, number, Outcome<NextMoves>>(async (of, controls) => {
    const request = ask(of)
    return request && run(request, controls)
  })
  watch(wanted, (of) => of || task.cancel())
  watchDebounced(wanted, (of) => of && task.start(of), { debounce: REST, immediate: true })
  watch(task.answer, (found) => {
    if (found?.value.ok) shown.value = { of: found.of, moves: found.value.value }
  })
  return {
    value: computed(() => (wanted.value ? (shown.value?.moves ?? null) : null)),
    stale: computed(() => shown.value !== null && shown.value.of !== wanted.value),
    failure: task.failure,
    again: task.again,
  }
}
