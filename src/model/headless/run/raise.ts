import { emergenceOf } from '../../../core/data/emergence'
import { growthOf } from '../../../core/data/growth'
import { fail, succeed, type Outcome } from '../../../core/outcome'
import { raisingPlan } from '../../../core/raising'
import type { CaseOf } from '../cases'

/** Plants raised from seed: days before planting out, seeds, and what each stage is filled with. */
export function runRaise(c: CaseOf<'raise'>): Outcome<object> {
  const emergence = emergenceOf(c.crop)
  const weeks = c.weeks ?? growthOf(c.crop)?.weeksAsTransplant
  if (!emergence || !weeks) return fail({ code: 'unknown-crop', crop: c.crop })
  const plan = raisingPlan({ ...c, emergence, weeks, second: c.second ?? null })
  if (!plan.ok) return plan
  const { dates, seeds, stages, sowBetween } = plan.value
  return succeed({
    seeds,
    sowBetween,
    dates,
    stages: stages.map(({ tray, ...stage }) => ({ tray: tray.id, ...stage })),
  })
}
