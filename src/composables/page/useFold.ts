import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** For every heading that was not opened or closed by itself. */
const EVERY = '*'
const useFolds = () => useLocalStorage<Record<string, boolean>>('open-bed-folds', {})

/**
 * Whether what is folded under a heading is open. This device remembers it: whoever opens a heading finds it open the
 * next time, here and in every job.
 */
export function useFold(id: string) {
  const folds = useFolds()
  const isOpen = () => folds.value[id] ?? folds.value[EVERY] ?? false
  return computed({
    get: isOpen,
    set: (open: boolean) => {
      if (open !== isOpen()) folds.value = { ...folds.value, [id]: open }
    },
  })
}

/** Whether every heading is open, for whoever wants all in sight; each one that was set by itself begins anew. */
export function useEveryFold() {
  const folds = useFolds()
  return computed({
    get: () => folds.value[EVERY] ?? false,
    set: (open: boolean) => (folds.value = { [EVERY]: open }),
  })
}
