import { useLocalStorage } from '@vueuse/core'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import type { UnitSystem } from '@/text/base/units'
import { usualCan } from '@/text/season/liquidFeed'

/** The can of this device, litres; the usual one of the units until another is chosen. */
export function useCan(units: MaybeRefOrGetter<UnitSystem>) {
  const kept = useLocalStorage('open-bed-can', 0)
  return computed({
    get: () => kept.value || usualCan(toValue(units)),
    set: (litres) => (kept.value = litres),
  })
}
