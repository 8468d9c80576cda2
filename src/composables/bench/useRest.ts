import { watchDebounced } from '@vueuse/core'
import { computed, shallowRef, watch, type ComputedRef, type Ref } from 'vue'
import type { Outcome } from '@/core/outcome'
import type { RestAnswer, RestRequest } from '@/model/mix/rest'
import { restInWorker } from '@/workers/core.client'
import { useTask } from '../page/useTask'

/** Waits for the hand to rest, ms: the figures come first. */
const REST = 90

/** An answer that comes when the hand rests; `stale` while it is of an older mix. */
export interface Rested<V> {
  value: ComputedRef<V | null>
  stale: ComputedRef<boolean>
}

/**
 * What can wait until the hand rests, from the worker. `key` is the mix and changes with it; `ask` makes the request
 * when the hand rests. A newer mix cancels the older one's run.
 */
export function useRest<K extends object>(
  key: Ref<K | null>,
  ask: (key: K) => RestRequest,
  run = restInWorker,
): Rested<RestAnswer> {
  const shown = shallowRef<{ of: K; value: RestAnswer | null } | null>(null)
  const task = useTask<K, number, Outcome<RestAnswer>>((of, controls) => run(ask(of), controls))
  watch(key, (of) => of || task.cancel())
  watchDebounced(key, (of) => of && task.start(of), { debounce: REST, immediate: true })
  watch(task.answer, (found) => {
    if (found) shown.value = { of: found.of, value: found.value.ok ? found.value.value : null }
  })
  return {
    value: computed(() => (key.value === null ? null : (shown.value?.value ?? null))),
    stale: computed(() => key.value !== null && shown.value?.of !== key.value),
  }
}
