import type { Tables } from '@/core/data'
import { countProblem } from '@/core/amounts'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import type { Outcome } from '@/core/outcome'
import type { BedSpec } from '@/model/garden/schemas'
import { problemField, problemText, type Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'

/** What one container of a bed takes, and what is wrong with it by field. */
export function useBedProblems(
  spec: MaybeRefOrGetter<BedSpec | null>,
  tables: MaybeRefOrGetter<Tables>,
  units: MaybeRefOrGetter<UnitSystem>,
  sunkBy: MaybeRefOrGetter<number | null> = null,
) {
  const plan = computed(() => {
    const of = toValue(spec)
    return of && mixNeededFor({ spec: of, sunkBy: toValue(sunkBy) }, toValue(tables))
  })
  const problem = computed(() => {
    const outcome: Outcome<unknown> | null = plan.value
    return outcome && !outcome.ok ? problemText(outcome.problem, toValue(units)) : null
  })
  const beside = (field: string): Sentence | null => {
    if (field === 'bedCount') {
      const wrong = countProblem(toValue(spec)?.vessel.count ?? 1)
      return wrong && problemText(wrong, toValue(units))
    }
    const outcome = plan.value
    return outcome && !outcome.ok && problemField(outcome.problem) === field ? problem.value : null
  }
  return { plan, problem, beside }
}
