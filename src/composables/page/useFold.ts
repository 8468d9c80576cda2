import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'

/** For every heading that was not opened or closed by itself. */
const EVERY = '*'

/**
 * Whether what is folded under a heading is open. This device remembers it: whoever opens a heading finds it open the
 * next time, here and in every job. `unless` says what is open until somebody closes it.
 */
export function useFold(id: string, unless = false) {
  const folds = useLocalStorage<Record<string, boolean>>('open-bed-folds', {})
  return computed({
    get: () => folds.value[id] ?? folds.value[EVERY] ?? unless,
    set: (open: boolean) => {
      if (open !== (folds.value[id] ?? folds.value[EVERY] ?? unless))
        folds.value = { ...folds.value, [id]: open }
    },
  })
}
