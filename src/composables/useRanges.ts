import { watchDebounced } from '@vueuse/core'
import { computed, toValue, watch, type ComputedRef, type MaybeRefOrGetter, type Ref } from 'vue'
import type { MixInContainer } from '@/core/evaluate'
import type { Outcome } from '@/core/outcome'
import type { LikelyRange } from '@/core/ranges'
import { rangesInWorker } from '@/workers/core.client'
import type { RangesAnswer } from '@/workers/coreApi'
import type { TaskFailure } from '@/text/tasks'
import { useTask } from './useTask'

/** Waits for the hand to rest before drawing, ms. */
const REST = 120

export interface LikelyRanges {
  /** By figure; null until they are in and while they are of an older mix. */
  ranges: ComputedRef<Record<string, LikelyRange> | null>
  /** Why none come; null while all is well. */
  failure: Readonly<Ref<TaskFailure | null>>
  again: () => void
}

/**
 * Likely ranges of a mix's figures, from the worker. `mix` must be plain data. A newer mix cancels the older one's
 * draws.
 */
export function useRanges(mix: MaybeRefOrGetter<MixInContainer | null>, run = rangesInWorker): LikelyRanges {
  const wanted = computed(() => toValue(mix))
  const task = useTask<MixInContainer, number, Outcome<RangesAnswer>>((input, controls) =>
    run({ input, years: [] }, controls),
  )
  watch(wanted, (input) => input || task.cancel())
  watchDebounced(wanted, (input) => input && task.start(input), { debounce: REST, immediate: true })
  return {
    ranges: computed(() => {
      const found = task.answer.value
      return found && found.of === wanted.value && found.value.ok ? found.value.value.ranges : null
    }),
    failure: task.failure,
    again: task.again,
  }
}
