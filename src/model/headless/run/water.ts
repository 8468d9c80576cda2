import { toEnd } from '@/core/toEnd'
import { succeed, type Outcome } from '@/core/outcome'
import { needsWhileAway, plantOf, watchWater, type Watered } from '@/core/watering'
import { waterIn } from '@/core/water/moving'
import { evaluatePrepared, prepare } from '../../mix/prepare'
import { judgedPlan } from '../../water/plan'
import type { RowsAtHand } from '../tablesOfCase'
import type { CaseOf } from '../cases'
import { questionOfCase } from '../questionOfCase'

/** A dozen depths are enough to draw from. */
const DEPTHS = 12

/** A run as plain data: figures with their ranges, the book of its water, moments by depth. */
function written({ moved, figures, ranges }: Watered, every: number) {
  const { course } = moved
  const cells = [...course.heights.keys()].filter((_, i, all) => i % Math.ceil(all.length / DEPTHS) === 0)
  const moments: object[] = []
  let next = 0
  course.times.forEach((hours, k) => {
    if (hours < next - 1e-9) return
    next += every
    moments.push({
      hours,
      water: cells.map((i) => waterIn(course, k, i)),
      onSurface: course.onSurface[k],
      inSaucer: course.inSaucer[k],
      given: course.given[k],
      drained: course.drained[k],
      takenUp: course.takenUp[k],
      evaporated: course.evaporated[k],
    })
  })
  return {
    figures,
    ranges,
    book: moved.book,
    firstThirst: moved.firstThirst,
    depths: cells.map((i) => ({
      height: course.heights[i],
      pores: course.pores[i],
      hoursShortOfAir: course.hoursShortOfAir[i],
    })),
    moments,
  }
}

/** Works a case of moving water out. Errors: those of `prepare`, `watchWater` and, where it is asked, `judgedPlan`. */
export function runWater(c: CaseOf<'water'>, rows: RowsAtHand): Outcome<object> {
  const question = questionOfCase(
    { ...c, lime: undefined, dressings: undefined, ranges: undefined, offers: false, answer: 'full' },
    rows,
  )
  if (!question.ok) return question
  const prepared = prepare(question.value)
  if (!prepared.ok) return prepared
  const answer = evaluatePrepared(prepared.value)
  if (!answer.ok) return answer
  const { input } = prepared.value
  const plant = c.uses
    ? {
        day: {
          uptake: c.uses.leaves,
          evaporation: c.uses.surface,
          wall: c.uses.wall,
          saucer: c.uses.saucer,
        },
      }
    : plantOf(answer.value, input, c.month)
  const { below, begin, days, pourings: pulses, draws, seed } = c
  const run = toEnd(watchWater({ cases: [{ input, below, begin, days, pulses, plant }], draws, seed }))
  if (!run.ok) return run
  const plan = c.plan
    ? toEnd(judgedPlan({ question: question.value, answered: [], input, below, month: c.month, draws, seed }))
    : null
  if (plan && !plan.ok) return plan
  return succeed(
    {
      ...written(run.value[0]!, c.every),
      ...(plan ? { plan: plan.value } : {}),
      ...(plan && c.away
        ? { away: needsWhileAway(plan.value, plan.value.month, { days: c.away, movable: c.movable }) }
        : {}),
    },
    ...prepared.notes,
    ...answer.notes,
  )
}
