import { fail, succeed, type Outcome } from '../../../core/outcome'
import { phosphorusStore, rotationOf, rotationPlan, type Grown } from '../../../core/rotation'
import type { CaseOf } from '../cases'

const asGrown = (list: readonly { year: number; crop: string }[] = []): Grown[] =>
  list.map(({ year, crop }) => ({ year, cropId: crop }))

/** Crops moved among beds so that no family comes back too soon, and phosphorus that compost has left in each. */
export function runRotate({ from, years, crops, beds }: CaseOf<'rotate'>): Outcome<object> {
  const named = [...crops, ...beds.flatMap((b) => [...b.grew, ...(b.decided ?? [])].map((g) => g.crop))]
  const unknown = named.find((crop) => !rotationOf(crop))
  if (unknown !== undefined) return fail({ code: 'unknown-crop', crop: unknown })
  const steps = rotationPlan(
    beds.map((b) => ({ id: b.id, history: asGrown(b.grew), fixed: asGrown(b.decided), takes: () => true })),
    crops,
    { from, years },
  )
  return succeed({
    steps: steps.map(({ bedId, year, cropId, wait }) => ({
      bed: bedId,
      year,
      crop: cropId,
      ...(wait ? { state: wait.state, waited: wait.last ? wait.waited : null, wanted: wait.wanted } : {}),
    })),
    phosphorus: beds.flatMap((b) => (b.phosphorus ? [{ bed: b.id, ...phosphorusStore(b.phosphorus) }] : [])),
  })
}
