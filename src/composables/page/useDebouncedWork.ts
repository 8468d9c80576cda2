import { watchDebounced } from '@vueuse/core'
import { computed, shallowRef, type Ref } from 'vue'

/** Waits for the hand to rest, ms: the figures come first. */
const REST = 90

/**
 * Work on what is in hand, done when the hand rests. `stale` while the answer is of something older, so that it can
 * be shown as such and nothing be done with it. A null asks for nothing and is answered with null at once.
 */
export function useDebouncedWork<K, V>(of: Ref<K | null>, work: (of: K) => V | null, rest = REST) {
  const found = shallowRef<{ of: K; value: V | null } | null>(null)
  watchDebounced(
    of,
    (key) => {
      found.value = key === null ? null : { of: key, value: work(key) }
    },
    { debounce: rest, immediate: true },
  )
  return {
    value: computed(() => (of.value === null ? null : (found.value?.value ?? null))),
    stale: computed(() => of.value !== null && found.value?.of !== of.value),
  }
}
