import { watchDebounced } from '@vueuse/core'
import { computed, toValue, watch, type ComputedRef, type MaybeRefOrGetter, type Ref } from 'vue'
import type { Outcome } from '@/core/outcome'
import type { LikelyRange, RangeRequest } from '@/core/ranges'
import { rangesInWorker } from '@/workers/core.client'
import type { RangesAnswer } from '@/workers/coreApi'
import type { TaskFailure } from '@/text/make/tasks'
import { useTask } from '../page/useTask'

/** Waits for the hand to rest before drawing, ms. */
const REST = 120

/** A mix with the bands it is held to, as `prepare` makes them. */
type Asked = Pick<RangeRequest, 'input' | 'bands' | 'learning'>

export interface LikelyRanges {
  /** By figure; null until they are in and while they are of an older mix. */
  ranges: ComputedRef<Record<string, LikelyRange> | null>
  /** Share of such lots that meet every band; null until it is in, or where no band was asked. */
  chance: ComputedRef<number | null>
  /** Why none come; null while all is well. */
  failure: Readonly<Ref<TaskFailure | null>>
  again: () => void
}

/**
 * Likely ranges of a mix's figures, from the worker. `mix` must be plain data. A newer mix cancels the older one's
 * draws.
 */
export function useRanges(mix: MaybeRefOrGetter<Asked | null>, run = rangesInWorker): LikelyRanges {
  const wanted = computed(() => toValue(mix))
  const task = useTask<Asked, number, Outcome<RangesAnswer>>(({ input, bands, learning }, controls) =>
    run({ input, bands, learning, years: [] }, controls),
  )
  const answer = computed(() => {
    const found = task.answer.value
    return found && found.of === wanted.value && found.value.ok ? found.value.value : null
  })
  watch(wanted, (input) => input || task.cancel())
  watchDebounced(wanted, (input) => input && task.start(input), { debounce: REST, immediate: true })
  return {
    ranges: computed(() => answer.value?.ranges ?? null),
    chance: computed(() => answer.value?.chance ?? null),
    failure: task.failure,
    again: task.again,
  }
}
