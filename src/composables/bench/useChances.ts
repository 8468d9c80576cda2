import { shallowRef, toValue, watch, type MaybeRefOrGetter, type ShallowRef } from 'vue'
import { CHANCE_DRAWS, type RangeRequest } from '@/core/ranges'
import { rangesInWorker } from '@/workers/core.client'

/** A mix to be drawn, by an id of its own. */
export interface Drawn {
  id: string
  request: Pick<RangeRequest, 'input' | 'bands' | 'learning'>
}

/**
 * The chance of each of several mixes that every band is met, from the worker, one after another; mixes not drawn yet,
 * or that could not be, are not in the map. A change of the list cancels what runs and begins anew.
 */
export function useChances(
  mixes: MaybeRefOrGetter<readonly Drawn[]>,
  run = rangesInWorker,
): Readonly<ShallowRef<ReadonlyMap<string, number>>> {
  const chances = shallowRef<ReadonlyMap<string, number>>(new Map())
  watch(
    () => toValue(mixes),
    async (list, _, onCleanup) => {
      const abort = new AbortController()
      onCleanup(() => abort.abort())
      chances.value = new Map()
      for (const { id, request } of list) {
        const answer = await run(
          { ...request, draws: CHANCE_DRAWS, years: [] },
          { signal: abort.signal },
        ).catch(() => null)
        if (abort.signal.aborted) return
        if (answer?.ok && answer.value.chance !== null)
          chances.value = new Map([...chances.value, [id, answer.value.chance]])
      }
    },
    { immediate: true },
  )
  return chances
}
