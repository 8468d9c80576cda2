import { once, valueOf } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { describe, expect, test } from 'vitest'
import { watchWater, type Watered, type WateringCase, type WateringPlan } from '@/core/watering'
import { startingJob, startingJobBed, startingSpec } from '@/model/garden/starting'
import { evaluatePrepared } from '@/model/mix/prepare'
import { prepareJob } from '@/model/mix/evaluateJob'
import { cameOf, figureRows, LESSON_TEXTS, questionText } from '@/text/water/lessons'
import { awayText, daysText, monthRows, planText, rhythmText } from '@/text/water/wateringPlan'
import {
  changeName,
  differenceText,
  momentRows,
  outcomeRows,
  pictureAt,
  pictureText,
  sinceText,
  type WateredSide,
} from '@/text/water/watering'
import { answerOf, answerOfPoured, casesOfLesson, LESSONS, POURED, withSand } from './lessons'
import { sidesOf } from './lessonSides'
import { caseOf, changesFor, usualMonth, usualPouring, type Pouring, type WaterChange } from './pouring'

const job = once(() => ({
  ...startingJob('j', '2026-03-01T09:00:00.000Z', [startingJobBed('f', startingSpec('roundPot'), null)]),
  parts: [
    { materialId: 'peat_medium', twelfths: 24 },
    { materialId: 'perlite_coarse', twelfths: 12 },
  ],
}))
const prepared = once(() => valueOf(prepareJob(job(), undefined, PUBLISHED)))
const evaluation = once(() => valueOf(evaluatePrepared(prepared())))
const input = once(() => valueOf(prepareJob(job(), undefined, PUBLISHED)).input)
const POURING: Pouring = {
  litres: 4,
  minutes: 3,
  times: 'once',
  days: 2,
  begin: 'thirsty',
  below: 'free',
  rain: 0,
  uses: NaN,
  month: 7,
}
function watched(cases: WateringCase[]): Watered[] {
  const run = watchWater({ cases, draws: 0 })
  for (;;) {
    const turn = run.next()
    if (!turn.done) continue
    if (!turn.value.ok) throw new Error(turn.value.problem.code)
    return turn.value.value
  }
}

describe('a pouring as a grower says it', () => {
  test('its times, three goes of a third, and the rain of the second day', () => {
    const given = (change: Partial<Pouring>, what: WaterChange | null = null) =>
      caseOf(input(), evaluation(), { ...POURING, ...change }, what).pulses
    expect(given({})).toEqual([{ start: 1, hours: 0.05, litres: 4 }])
    expect(given({ times: 'daily', days: 3 }).map((p) => p.start)).toEqual([1, 25, 49])
    expect(given({ times: 'everyOther', days: 3 }).map((p) => p.start)).toEqual([1, 49])
    expect(given({ times: 'thrice', days: 1 })).toHaveLength(3)
    const three = given({}, 'threeSmall')
    expect(three.map((p) => p.start)).toEqual([1, 5, 9])
    expect(three.reduce((sum, p) => sum + p.litres, 0)).toBeCloseTo(4, 9)
    const rain = given({ litres: 0, rain: 10 })
    expect(rain).toHaveLength(1)
    expect(rain[0]!.litres).toBeCloseTo(evaluation().fill.surface / 1000, 6)
  })
  test('litres a day are shared as the crop would, or as a bare pot does', () => {
    const day = (of: ReturnType<typeof evaluation>, uses: number) =>
      caseOf(input(), of, { ...POURING, uses }).plant.day
    expect(day(evaluation(), NaN).uptake).toBe(0)
    const own = day(evaluation(), 2)
    expect(own.uptake + own.evaporation).toBeCloseTo(2, 9)
  })
  test('changes are offered only where they are one, and each changes something', () => {
    const offered = changesFor(input(), POURING)
    expect(offered).toContain('gravel')
    expect(offered).not.toContain('noLayers')
    const layered = { ...input(), bottomLayers: [{ thickness: 3, parts: input().parts }] }
    expect(changesFor(layered, POURING)).toContain('noLayers')
    expect(changesFor(layered, POURING)).not.toContain('gravel')
    expect(changesFor(input(), { ...POURING, below: 'saucer' })).not.toContain('saucer')
    const plain = caseOf(input(), evaluation(), { ...POURING, uses: 1 })
    for (const change of offered)
      expect(caseOf(input(), evaluation(), { ...POURING, uses: 1 }, change), change).not.toEqual(plain)
  })
  test('without its layers a container is one with none, all mix', () => {
    const layered = { ...input(), bottomLayers: [{ thickness: 3, parts: input().parts }] }
    const without = caseOf(layered, evaluation(), POURING, 'noLayers')
    expect(without).toEqual({
      ...caseOf(input(), evaluation(), POURING),
      input: { ...input(), bottomLayers: [] },
    })
  })
  test('a usual watering fills the mix again', () => {
    const [run] = watched([
      caseOf(input(), evaluation(), { ...POURING, litres: usualPouring(evaluation(), input()), days: 1 }),
    ])
    expect(run!.figures.airAtEnd).toBeGreaterThan(evaluation().mix.airFilledPorosity - 0.01)
    expect(run!.figures.airAtEnd).toBeLessThan(evaluation().mix.airFilledPorosity + 0.05)
    expect(usualMonth(evaluation())).toBe(7)
  })
})

describe('what is said of two side by side', () => {
  const cases = [caseOf(input(), evaluation(), POURING), caseOf(input(), evaluation(), POURING, 'keptWater')]
  const sides = once<WateredSide[]>(() =>
    watched(cases).map((w, i) => ({
      title: i === 0 ? 'As it is' : 'In a tray kept filled',
      parts: input().parts,
      watered: w,
      floor: 0,
      below: cases[i]!.below,
    })),
  )
  test('every row has a figure for each, in both units', () => {
    for (const units of ['metric', 'us'] as const)
      for (const rows of [momentRows(sides(), 1.2, units), outcomeRows(sides(), 2, units)]) {
        for (const row of rows) expect(row).toHaveLength(3)
        expect(rows.flat().join(' ')).not.toMatch(/NaN|undefined|Infinity/)
      }
    expect(momentRows(sides(), 1.2, 'us').flat().join(' ')).not.toMatch(/\d (L|cm)\b/)
  })
  test('the difference worth a word is said, and none where there is none', () => {
    expect(differenceText(sides(), 2)).toMatch(/^In a tray kept filled: .*air/)
    // A tray gives: nothing that drained is less than nothing.
    expect(momentRows(sides(), 1, 'metric').flat().join(' ')).toContain('came up')
    expect(momentRows(sides(), 1, 'metric').flat().join(' ')).not.toMatch(/[-−]\d/)
    expect(differenceText([sides()[0]!, sides()[0]!], 2)).toMatch(/hardly differ/)
    expect(differenceText(sides().slice(0, 1), 2)).toBe('')
  })
  test('a moment lies between the pictures kept', () => {
    const { moved } = sides()[0]!.watered
    expect(pictureAt(moved, 0)).toEqual({ picture: 0, part: 0 })
    const last = moved.course.times.length - 1
    expect(pictureAt(moved, 48)).toEqual({ picture: last - 1, part: 1 })
    expect(pictureText(sides()[0]!, 1)).toMatch(/^As it is, after 1 h: \d+ % water at the top/)
  })
  test('times and names read as people say them', () => {
    expect([0.5, 1.25, 7, 24, 51].map(sinceText)).toEqual([
      '30 min',
      '1 h 15 min',
      '7 h',
      '1 day',
      '2 days 3 h',
    ])
    expect(changeName('gravel', 'us')).toBe('over 2 in of gravel')
    expect(rhythmText({ interval: 1, timesADay: 1 })).toBe('every day')
    expect(rhythmText({ interval: 0.5, timesADay: 2 })).toBe('twice a day')
    expect([0.25, 1, 2.6, 14.2].map((d) => daysText(d))).toEqual(['6 hours', 'a day', '2.5 days', '14 days'])
    expect(daysText(45, false)).toBe('more than 45 days')
    const month = {
      month: 7,
      use: 1,
      interval: 45,
      timesADay: 1,
      litres: 45,
      untilThirst: 45,
      untilWilting: 45,
    }
    const plan = (within: boolean) =>
      ({ month: { ...month, within }, months: [{ ...month, within }] }) as WateringPlan
    expect(planText(plan(false), 'metric')).toBe('In July: nothing from above for 45 days or more.')
    expect(awayText(plan(false))).toMatch(/^It stays moist/)
    expect(planText(plan(true), 'metric')).toBe('In July: 45 L every 45 days, in the morning.')
    expect(monthRows(plan(false), 'metric')[0]).toContain('none from above')
  })
})

describe('lessons', () => {
  const given = (lesson: (typeof LESSONS)[number]) => {
    if (!POURED.has(lesson)) return answerOf(lesson, input(), evaluation(), 3)
    const cases = casesOfLesson(lesson, input())
    return answerOfPoured(
      lesson,
      watched(cases).map((w) => w.moved),
      cases,
    )
  }
  test.each(LESSONS)('%s has an answer with figures, in words of both units', (lesson) => {
    const found = given(lesson)!
    for (const units of ['metric', 'us'] as const) {
      const rows = figureRows(found, units)
      expect(rows.length).toBeGreaterThan(1)
      expect(rows.flat().join(' ')).not.toMatch(/NaN|undefined/)
      expect(questionText(lesson, units)).not.toContain('[')
    }
    expect(cameOf(lesson, found.right, found)).toBe('So it is.')
    expect(cameOf(lesson, (found.right + 1) % 3, found)).toContain('Not quite')
    expect(LESSON_TEXTS[lesson].sentence).toMatch(/\.$/)
  })
  test('say what the trade knows of a light peat mix', () => {
    expect(given('depth')!.right).toBe(1)
    expect(given('gravel')!.right).toBe(1)
    expect(given('sand')!.right).toBe(1)
    expect(given('saucer')!.right).toBeGreaterThan(0)
    expect(given('lime')!.right).toBeGreaterThan(0)
  })
  test('a thirsty pot tips in less wind: speed goes with the root of its weight', () => {
    // Statics: the moment of the weight about the rim of the base against wind pressure, which grows with v².
    const { figures } = answerOf('gale', input(), evaluation(), 3)!
    const [thirsty, wet] = ['windThirsty', 'windWet'].map((n) => figures.find((f) => f.name === n)!.value)
    const { weights, mix } = evaluation()
    const full = weights.drained + (input().growing?.emptyWeight ?? 0)
    // A litre of easy water weighs a kilogram.
    const dry = full - mix.drainedToEasy * mix.mixVolume
    expect((wet! / thirsty!) ** 2).toBeCloseTo(full / dry, 6)
  })
  test('the two drawn side by side are the two compared: air by depth adds up to the answer', () => {
    const asked = { input: input(), evaluation: evaluation() }
    for (const lesson of ['depth', 'sand'] as const) {
      const sides = sidesOf(lesson, asked, [])!
      const { figures } = answerOf(lesson, asked.input, asked.evaluation, 3)!
      const porosity = [evaluation().blend, lesson === 'sand' ? withSand(asked.input)! : evaluation().blend]
      sides.forEach((side, i) => {
        const { bands } = side.at(0)
        // Straight walls: a mean by height is one by volume.
        const tall = bands.at(-1)!.to - bands[0]!.from
        const wet = bands.reduce((sum, b) => sum + b.share * (b.to - b.from), 0) / tall
        expect(porosity[i]!.totalPorosity * (1 - wet)).toBeCloseTo(figures[i]!.value, 2)
      })
    }
    expect(sidesOf('lime', asked, [])).toBeNull()
  })
  test('what is poured is drawn from dry to drained, over its gravel, in its saucer', () => {
    const asked = { input: input(), evaluation: evaluation() }
    const [plain, gravel] = sidesOf('gravel', asked, [])!
    expect([plain!.floor, plain!.moments]).toEqual([0, 0])
    expect(gravel!.floor).toBeGreaterThan(1)
    const cases = casesOfLesson('saucer', asked.input)
    const moved = watched(cases).map((w) => w.moved)
    const [free, dish] = sidesOf('saucer', asked, moved)!
    expect([free!.hasSaucer, dish!.hasSaucer]).toEqual([false, true])
    const mean = (side: typeof free, moment: number) => {
      const { bands } = side!.at(moment)
      return bands.reduce((sum, b) => sum + b.share, 0) / bands.length
    }
    expect(mean(free, free!.moments - 1)).toBeGreaterThan(mean(free, 0))
    expect(dish!.at(dish!.moments - 1).saucer).toBe(moved[1]!.course.inSaucer.at(-1))
    for (const { bands } of [free!.at(0), dish!.at(5)])
      bands.slice(1).forEach((b, i) => expect(b.from).toBeCloseTo(bands[i]!.to, 9))
  })
  test('a crop’s own limit decides what is too much feed', () => {
    expect(answerOf('feed', input(), evaluation(), 0.5)!.right).toBe(2)
    expect(answerOf('feed', input(), evaluation(), 9)!.right).toBe(1)
  })
})

describe('what may be changed', () => {
  const input = (change: object) =>
    ({
      container: { shape: { kind: 'roundPot' }, headspace: 3, base: { kind: 'drainHoles' } },
      ...change,
    }) as unknown as Parameters<typeof changesFor>[0]
  const changes = (of: object, pouring: object = {}) => changesFor(input(of), { ...POURING, ...pouring })
  test('only what is not so already', () => {
    expect(changes({})).toEqual(
      expect.arrayContaining(['gravel', 'saucer', 'keptWater', 'mulch', 'deeper', 'shallower']),
    )
    expect(changes({})).not.toContain('noLayers')
    expect(changes({ cover: {} })).not.toContain('mulch')
    expect(changes({ bottomLayers: [{}] })).toContain('noLayers')
    expect(changes({ bottomLayers: [{}] })).not.toContain('gravel')
    expect(changes({ bottomLayers: [{}] })).not.toContain('shallower')
    expect(changes({}, { times: 'thrice' })).not.toContain('threeSmall')
    expect(changes({}, { below: 'saucer' })).not.toContain('saucer')
    expect(changes({}, { below: 'keptWater' })).not.toContain('keptWater')
  })
  test('a saucer goes under what drains by holes; side holes keep their depth', () => {
    const on = (kind: string) => changes({ container: { base: { kind } } })
    expect(on('onSoil')).not.toContain('saucer')
    expect(on('onPaving')).not.toContain('saucer')
    expect(on('onPaving')).toContain('keptWater')
    expect(on('sideHoles')).not.toContain('shallower')
    expect(on('sideHoles')).toContain('deeper')
  })
})
