import { computed, type ComputedRef } from 'vue'
import type { Quantities } from '@/model/make/quantities'
import { problemText, type Sentence } from '@/text/base/problems.en'
import type { JobInHand } from '../job/useJob'

/** The quantities of a job, or the sentence of what keeps them from being worked out. */
export function useQuantities({ quantities, units }: Pick<JobInHand, 'quantities' | 'units'>): {
  q: ComputedRef<Quantities | null>
  problem: ComputedRef<Sentence | null>
} {
  return {
    q: computed(() => (quantities.value?.ok ? quantities.value.value : null)),
    problem: computed(() =>
      quantities.value && !quantities.value.ok ? problemText(quantities.value.problem, units.value) : null,
    ),
  }
}
