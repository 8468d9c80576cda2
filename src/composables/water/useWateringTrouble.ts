import { computed, type ComputedRef } from 'vue'
import type { Problem } from '@/core/problems'
import { problemText, type Sentence } from '@/text/base/problems.en'
import type { JobInHand } from '../job/useJob'

/** What keeps a mix from being watered: what the watering itself says, else what its job says. */
export function useWateringTrouble(
  { prepared, evaluation, units }: Pick<JobInHand, 'prepared' | 'evaluation' | 'units'>,
  problem: { readonly value: Problem | null },
): ComputedRef<Sentence | null> {
  return computed(() => {
    const bad = [prepared.value, evaluation.value].find((o) => o && !o.ok)
    const found = problem.value ?? (bad && !bad.ok ? bad.problem : null)
    return found && problemText(found, units.value)
  })
}
