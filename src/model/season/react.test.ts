import { once, valueOf } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { describe, expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { dueText } from '@/text/season/seasonPlan'
import { entryKey, jobOf, placeOf, recordOf, testKey, type Garden } from '../garden/garden'
import type { AnyData, Entry, Job } from '../garden/schemas'
import { startingTest } from '../learn/startingTest'
import { evaluateJob } from '../mix/evaluateJob'
import { correctionFor } from './correction'
import { reactTo } from './react'
import { seasonLog } from './seasonLog'
import { seasonPlan } from './season'
import { daysOf, linesOf } from './testing/lines'

const demo = once(() => new Map([...demoGarden()].filter(([key]) => !/^(entry|test)\//.test(key))))
const job = once(() => jobOf(demo(), 'peppers-26')!)
const record = once(() => recordOf(demo(), job().recordId!)!)
const evaluation = once(() => valueOf(evaluateJob(job(), placeOf(demo()), PUBLISHED)))
const planted = job().plantedOn!
const { on, entry } = linesOf(job(), planted)
function dues(today: number, ...lines: (Entry | { move: Job['movedDays'][number] })[]) {
  return duesOf({}, today, ...lines)
}
function duesOf(more: Partial<Job>, today: number, ...lines: (Entry | { move: Job['movedDays'][number] })[]) {
  const entries = lines.flatMap((l) => ('move' in l ? [] : [l]))
  const garden: Garden = new Map<string, AnyData>([
    ...[...demo()].filter(([key]) => !key.startsWith('entry/')),
    ...entries.map((e) => [entryKey(e.id), e] as const),
  ])
  const movedDays = lines.flatMap((l) => ('move' in l ? [l.move] : []))
  const fresh = { ...job(), followedSteps: [], movedDays, ...more }
  const plan = seasonPlan(fresh, daysOf(fresh, record().madeOn), evaluation(), placeOf(demo()))
  return reactTo(plan.due, {
    job: fresh,
    evaluation: evaluation(),
    log: seasonLog(garden, fresh),
    today: on(today).slice(0, 10),
  })
}
const of = (list: ReturnType<typeof dues>, code: string) => list.filter((d) => d.code === code)

describe('what is due answers to the log', () => {
  test('a low pH asks for lime now and a look in two weeks; the test it answers is done', () => {
    const low = dues(10, entry('pH', 8, 4.9))
    const [lime] = of(low, 'correct-ph')
    expect(lime).toMatchObject({ on: on(8).slice(0, 10), done: false, read: 4.9 })
    expect(lime!.correction!.add!.grams).toBeGreaterThan(0)
    expect(lime!.correction!.withIt).toBeGreaterThan(lime!.correction!.goesTo)
    const text = dueText(lime!, [], '', 'metric').text
    expect(text).toContain('pH 4.9 was read')
    expect(text).toContain('scratched into the top')
    expect(of(low, 'test-ph-again').map((d) => d.on)).toContain(on(22).slice(0, 10))
    // A later reading takes the place of the first: nothing is asked of a mix that has come right.
    const right = dues(25, entry('pH', 8, 4.9), entry('pH', 22, 6.3))
    expect(of(right, 'correct-ph')).toEqual([])
  })
  test('a task lies on the day the grower put it on; a harvest does not, and what was done since outdates it', () => {
    const plain = dues(5)
    const moved = (step: string, to: string, log: Entry[] = []) =>
      dues(60, ...log, { move: { step, on: to } })
    const shade = of(plain, 'shade')[0]!
    const after = of(moved('shade', '2026-06-01'), 'shade')[0]!
    expect(after).toMatchObject({ on: '2026-06-01', movedFrom: shade.on })
    // As long as before.
    expect(Date.parse(after.until!) - Date.parse(after.on)).toBe(
      Date.parse(shade.until!) - Date.parse(shade.on),
    )
    expect(dueText(after, [], '', 'metric').movedFrom).toBe('16 May')
    expect(of(moved('harvest', '2026-06-01'), 'harvest')[0]).toEqual(of(dues(60), 'harvest')[0])
    const fed = [entry('fed', 50, null)]
    expect(of(moved('feed', on(40).slice(0, 10), fed), 'feed')[0]!.movedFrom).toBeUndefined()
    expect(of(moved('feed', on(70).slice(0, 10), fed), 'feed')[0]!.on).toBe(on(70).slice(0, 10))
    // The day of one watering is not that of the next.
    const watered = [entry('watered', 58, null)]
    const next = of(dues(60, ...watered), 'water')[0]!
    expect(of(moved('water', on(57).slice(0, 10), watered), 'water')[0]).toEqual(next)
    expect(of(moved('water', on(66).slice(0, 10), watered), 'water')[0]!.on).toBe(on(66).slice(0, 10))
  })
  test('a pH that is right asks for nothing, and answers its task', () => {
    const fine = dues(12, entry('pH', 2, 6.3))
    expect(of(fine, 'correct-ph')).toEqual([])
    const before = of(dues(12), 'test-ph-first')
    if (before.length) expect(of(fine, 'test-ph-first')[0]!.done).toBe(true)
  })
  test('feed follows what was given', () => {
    const plain = of(dues(60), 'feed')[0]
    if (!plain) throw new Error('the demo peppers want feed')
    const fed = of(dues(90, entry('fed', 85, 20)), 'feed')[0]!
    expect(fed.on).toBe(on(99).slice(0, 10))
    expect(dueText(fed, [], '', 'metric').text).toMatch(/^Fed on .*: again two weeks later/)
    // Fed long before it is due by itself: the plan stands.
    expect(
      of(dues(5, entry('fed', 1, 20)), 'feed')[0]!.on >= plain.on || plain.on > on(15).slice(0, 10),
    ).toBe(true)
  })
  test('a liquid feed of the job takes the place of the usual one, comes again by its own days, and ends', () => {
    const line = { id: 'f', dressingId: 'tomato_feed_liquid', gramsPerLitre: 3, litres: 2 }
    const liquidFeeds = [{ ...line, everyDays: 5, fromDay: 20, untilDay: 40 }]
    const feeds = (today: number, ...lines: Entry[]) => of(duesOf({ liquidFeeds }, today, ...lines), 'feed')
    const day = (n: number) => on(n).slice(0, 10)
    expect(feeds(10)).toMatchObject([{ feedId: 'f', on: day(20), until: day(40), done: false }])
    expect(feeds(25, entry('fed', 24, null))).toMatchObject([{ on: day(29), lastOn: day(24), done: false }])
    expect(feeds(37, entry('fed', 36, null))).toMatchObject([{ on: day(41), done: true }])
    expect(dueText(feeds(10)[0]!, [], '5 mL in 10 L.', 'metric')).toMatchObject({
      title: 'Feed: liquid tomato feed 4-3-8',
      text: '5 mL in 10 L.',
    })
  })
  test('a harvest under glass ends six weeks after the first month of cold nights, not in the next summer', () => {
    // The demo's nights are too cold for peppers from October on: 1 October and 42 days.
    const harvest = of(dues(10), 'harvest')[0]!
    expect(harvest.underGlass).toBe(true)
    expect(harvest.until).toBe('2026-11-12')
  })
  test('water follows what was noted, and is not asked for where nobody notes it', () => {
    expect(of(dues(40), 'water')).toEqual([])
    const [water] = of(dues(40, entry('watered', 38), entry('watered', 30)), 'water')
    expect(water!.on > on(38).slice(0, 10)).toBe(true)
    expect(water!.on <= on(45).slice(0, 10)).toBe(true)
  })
  test('salts ask for a flush and a look after it; sinking for so many litres', () => {
    const salty = dues(40, entry('salts', 39, 3.5))
    expect(of(salty, 'flush')).toHaveLength(1)
    expect(of(salty, 'check-salts').map((d) => d.on)).toContain(on(46).slice(0, 10))
    expect(of(dues(40, entry('salts', 39, 0.4)), 'flush')).toEqual([])
    const sunk = of(dues(40, entry('sunk', 39, 4)), 'top-up').find((d) => d.litres !== undefined)!
    expect(sunk.litres).toBeGreaterThan(1)
    expect(dueText(sunk, [], '', 'us').text).toMatch(/gal|cu ft/)
    expect(of(dues(40, entry('sunk', 39, 1)), 'top-up').some((d) => d.litres)).toBe(false)
    // An inch, what a ruler in a pot shows for sure, is worth a bucket; less is not.
    const tops = (cm: number) => of(dues(40, entry('sunk', 39, cm)), 'top-up').some((d) => d.litres)
    expect([tops(2.49), tops(2.5)]).toEqual([false, true])
  })
  test('what was read long ago asks for nothing', () => {
    const old = dues(120, entry('pH', 8, 4.9), entry('salts', 8, 4), entry('watered', 8))
    for (const code of ['correct-ph', 'flush', 'water']) expect(of(old, code)).toEqual([])
  })
  test('a test speaks as the log does', () => {
    const slurry = {
      ...startingTest('t', 'slurry', { jobId: job().id }, on(8)),
      finishedAt: on(8),
      repeats: [{ pH: 4.9 }],
    }
    const garden: Garden = new Map<string, AnyData>([...demo(), [testKey('t'), slurry]])
    const plan = seasonPlan(job(), daysOf(job(), record().madeOn), evaluation(), placeOf(demo()))
    const list = reactTo(plan.due, {
      job: job(),
      evaluation: evaluation(),
      log: seasonLog(garden, job()),
      today: on(10).slice(0, 10),
    })
    expect(of(list, 'correct-ph')).toHaveLength(1)
  })
  test('a correction is for the whole mix as it was made, and says where it leads', () => {
    const low = correctionFor(demo(), job().id, { value: 4.9, day: 20 })
    if (!low?.ok) throw new Error('no correction')
    expect(low.value.litres).toBeCloseTo(record().blendLitres, 6)
    expect(low.value.withIt).toBeGreaterThan(5.5)
    expect(correctionFor(demo(), 'none', { value: 6, day: 0 })).toBeNull()
  })
})
