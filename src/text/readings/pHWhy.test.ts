import { expect, test } from 'vitest'
import { acidityCourse } from '@/core/chemistry'
import { LIMES, materialById } from '@/core/data'
import { evaluate, FULL_EFFORT } from '@/core/evaluate'
import { prepareMaterial } from '@/core/mixing'
import { pHText } from '../base/units'
import type { Why } from './reading'
import { pHWhy } from './pHWhy'

const peat = evaluate(
  {
    container: {
      shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 24, height: 28 },
      headspace: 3,
      base: { kind: 'drainHoles' },
    },
    parts: [{ material: prepareMaterial(materialById('peat_medium')!), parts: 1 }],
    limes: [{ lime: LIMES[0]!, share: 1 }],
    limeGramsPerLitre: 4,
  },
  FULL_EFFORT,
)

test('one course of pH with its weeks: it begins as the mix without lime and is, in six weeks, what the bench shows', () => {
  if (!peat.ok) throw new Error(peat.problem.code)
  const [drawn, course, held, moved] = pHWhy(peat.value, null, { low: 5.5, high: 6.5 })
  const { head, rows } = course as { head: string[]; rows: string[][] }
  const at = (week: number) => rows[0]![head.indexOf(String(week))]
  expect(head.slice(1)).toEqual(['0', '2', '4', '6', '12', '20'])
  expect(at(0)).toBe(pHText(peat.value.blend.pH))
  expect(at(6)).toBe(pHText(peat.value.lime.pH))
  // Lime raises peat, and never lowers it again without acid or water.
  const figures = rows[0]!.slice(1).map(Number)
  expect(figures).toEqual([...figures].sort((a, b) => a - b))
  expect(figures.at(-1)! - figures[0]!).toBeGreaterThan(1)
  expect(held).toContain(`it is pH ${pHText(peat.value.blend.pH)}`)
  expect(moved).toContain('limestone moves it up')
  // The picture has the same course, and what the crop likes.
  const picture = drawn as Extract<Why, { course: unknown }>
  const weeks = picture.course.points.filter((p) => [0, 2, 4, 6, 12, 20].includes(p.week))
  expect(weeks.map((p) => p.text)).toEqual(rows[0]!.slice(1))
  expect(picture.course.suits).toEqual({ low: 5.5, high: 6.5 })
  expect(picture.label).toContain(`${at(0)} after mixing, ${at(20)} in week 20`)
})

test('rain water is named where the water lifts the pH too high, and not else', () => {
  if (!peat.ok) throw new Error(peat.problem.code)
  const dry = pHWhy(peat.value, 5)
  expect(dry.some((w) => typeof w === 'string' && w.includes('rain water'))).toBe(false)
  const wet = {
    ...peat.value,
    acidity: peat.value.acidity,
    blend: peat.value.blend,
    lime: { ...peat.value.lime, byWater: 0.5 },
  }
  expect(pHWhy(wet, 5).some((w) => typeof w === 'string' && w.includes('ain water'))).toBe(true)
})

test('with alkaline water the course with rain lies beside it: lower, and the same where the water brings nothing', () => {
  if (!peat.ok) throw new Error(peat.problem.code)
  const courseOf = (alkalinity: number) => {
    const given = { ...peat.value.given, water: [{ from: 0, alkalinity, drained: 0.01 }] }
    const limes = [...peat.value.lime.doses]
    const acidity = acidityCourse(peat.value.blend, { ...given, limes }, 7 * 20)
    const answer = { ...peat.value, given, acidity, blend: peat.value.blend, lime: peat.value.lime }
    const drawn = pHWhy(answer, null)[0] as Extract<Why, { course: unknown }>
    return drawn
  }
  const hard = courseOf(0.3)
  const { points, beside } = hard.course
  // Both begin with the same mix; alkalinity only raises.
  expect(beside!.points[0]).toEqual(points[0])
  beside!.points.slice(1).forEach((p, i) => expect(p.value).toBeLessThan(points[i + 1]!.value))
  expect(hard.label).toContain(`With rain water (dashed) it is ${beside!.points.at(-1)!.text}`)
  // Rain is the same course as water that brings no alkalinity.
  const soft = courseOf(0)
  expect(soft.course.beside).toBeUndefined()
  expect(beside!.points.at(-1)!.value).toBeCloseTo(soft.course.points.at(-1)!.value, 9)
})
