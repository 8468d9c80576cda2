import type { Evaluation } from '@/core/evaluate'
import { acidityCourse, rainShareFor, withRain, type AcidityState } from '@/core/chemistry'
import { percentText, pHText } from '../base/units'
import { dressingName } from '../shelf/dressings'
import { shortName } from '../base/titles'
import { listed, type Why } from './reading'
import type { Band } from '@/core/data'

/** Weeks at which the course of pH is given, the day of mixing first. */
const WEEKS = [0, 2, 4, 6, 12, 20]

/** The last day that is drawn. */
const DRAWN_UNTIL = 7 * WEEKS.at(-1)!

/**
 * Why the pH is what it is: the one course it takes, with its weeks, then what holds it and what moves it. `tooHigh` is
 * the most the crop likes where the pH lies above it.
 */
export function pHWhy(evaluation: Evaluation, tooHigh: number | null, suits: Band | null = null): Why[] {
  const { blend, acidity } = evaluation
  const at = acidity.filter(({ day }) => WEEKS.includes(day / 7))
  const points = weekPoints(acidity)
  const rain = rainCourse(evaluation)
  return [
    ...(points.length > 1
      ? [
          {
            course: { points, suits, ...(rain && { beside: rain }) },
            label: `The course of pH: ${points[0]!.text} after mixing, ${points.at(-1)!.text} in week ${points.at(-1)!.week.toFixed(0)}; your water, lime and feed are in it.${rain ? ` With rain water (dashed) it is ${rain.points.at(-1)!.text} by then.` : ''}`,
          },
        ]
      : []),
    {
      head: ['Weeks after mixing', ...at.map(({ day }) => String(day / 7))],
      rows: [['pH', ...at.map(({ pH }) => pHText(pH))]],
    },
    `At first, before lime and feed work, it is pH ${pHText(blend.pH)}. What holds it there: ${listed(buffersOf(evaluation), (b) => `${b.name} (pH ${b.pH}) ${percentText(b.weight)}`)}. Peat and limes vary from bag to bag: test after a fortnight.`,
    ...movedBy(evaluation),
    ...(tooHigh === null ? [] : rainFor(evaluation, tooHigh)),
  ]
}

const weekPoints = (acidity: readonly AcidityState[]) =>
  acidity
    .filter(({ day }) => day <= DRAWN_UNTIL)
    .map(({ day, pH }) => ({ week: day / 7, value: pH, text: pHText(pH) }))

/** The course with rain in place of the water, where a meter would show the difference at its end. */
function rainCourse({ blend, lime, given, acidity }: Evaluation) {
  if (!given.water?.some((s) => s.alkalinity > 0)) return null
  const limes = [...lime.doses, ...(given.limes ?? [])]
  const points = weekPoints(acidityCourse(blend, withRain({ ...given, limes }, 1), DRAWN_UNTIL))
  const tap = weekPoints(acidity).at(-1)
  return tap && tap.value - points.at(-1)!.value >= SEEN_ON_A_METER
    ? { name: 'with rain water', points }
    : null
}

/** Who holds the pH, strongest first. */
function buffersOf({ blend }: Evaluation) {
  const hold = blend.shares.map(({ material: m, share }) => ({
    name: shortName(m.id),
    pH: m.properties.pH.value,
    weight: share * m.properties.bufferCapacity.value,
  }))
  const total = hold.reduce((sum, b) => sum + b.weight, 0)
  return hold.map((b) => ({ ...b, weight: b.weight / total })).sort((a, b) => b.weight - a.weight)
}

/** Less of pH no meter shows. */
export const SEEN_ON_A_METER = 0.05

/** What each lime and dressing does to the pH within six weeks, where it can be seen. */
function movedBy({ lime }: Evaluation): string[] {
  const movers = lime.movers.filter((m) => Math.abs(m.by) >= SEEN_ON_A_METER)
  const sign = (by: number) => `${by > 0 ? 'up' : 'down'} by ${pHText(Math.abs(by))}`
  const all = [
    ...movers.map((m) => ({ by: m.by, what: dressingName(m.id).toLowerCase() })),
    { by: lime.byWater, what: 'your water' },
    { by: lime.byOwn, what: 'lime that compost and soil bring' },
  ].filter((m) => Math.abs(m.by) >= SEEN_ON_A_METER)
  return all.length > 0 ? [`By six weeks ${listed(all, (m) => `${m.what} moves it ${sign(m.by)}`)}.`] : []
}

/** What rain water does against a pH that the water raises. */
function rainFor({ blend, lime, given }: Evaluation, most: number): string[] {
  if (lime.byWater < RAISED_BY_WATER) return []
  const share = rainShareFor(blend, { ...given, limes: [...lime.doses, ...(given.limes ?? [])] }, most)
  if (share === 0) return []
  return [
    share === null
      ? 'Rain water alone does not bring it down: the mix and its lime are too alkaline.'
      : `With ${percentText(share)} rain water it is ${pHText(most)} in six weeks. Alkalinity counts, not the pH of the water.`,
  ]
}

/** Water that raises pH by so much by six weeks is the first thing to change. Source: our assumption. */
export const RAISED_BY_WATER = 0.2
