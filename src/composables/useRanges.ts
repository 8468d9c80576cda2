import { watchDebounced } from '@vueuse/core'
import { computed, shallowRef, toValue, watchEffect, type MaybeRefOrGetter } from 'vue'
import type { MixInContainer } from '@/core/evaluate'
import type { LikelyRange } from '@/core/ranges'
import { rangesInWorker } from '@/workers/core.client'

/** Waits for the hand to rest before drawing, ms. */
const REST = 120

/**
 * Likely ranges of a mix's figures by name, from the worker; null until they are in and while they are of an older mix.
 * `mix` must be plain data. A newer mix cancels the older one's draws.
 */
export function useRanges(mix: MaybeRefOrGetter<MixInContainer | null>, run = rangesInWorker) {
  const wanted = computed(() => toValue(mix))
  // A plain debounced ref would make a deep proxy of it, which cannot cross to the worker.
  const rested = shallowRef<MixInContainer | null>(null)
  watchDebounced(wanted, (input) => (rested.value = input), { debounce: REST, immediate: true })
  const found = shallowRef<{ of: MixInContainer; ranges: Record<string, LikelyRange> } | null>(null)
  watchEffect(async (onCleanup) => {
    const input = rested.value
    const abort = new AbortController()
    onCleanup(() => abort.abort())
    if (!input) return
    const answer = await run({ input, years: [] }, { signal: abort.signal })
    if (!abort.signal.aborted && answer?.ok) found.value = { of: input, ranges: answer.value.ranges }
  })
  return computed(() => (found.value && found.value.of === wanted.value ? found.value.ranges : null))
}
