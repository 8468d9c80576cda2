import type { MaybeRefOrGetter } from 'vue'
import { computed, toValue } from 'vue'
import { useFold } from './useFold'

/**
 * Of a list of steps only the next one says how it is done, until all are asked for; this device remembers which.
 * `isBrief` is whether a step shows its name alone.
 */
export function useBriefly(id: string, steps: MaybeRefOrGetter<readonly { id: string; done: boolean }[]>) {
  const whole = useFold(id)
  const next = computed(() => toValue(steps).find((s) => !s.done)?.id)
  return { whole, isBrief: (step: { id: string }) => !whole.value && step.id !== next.value }
}
