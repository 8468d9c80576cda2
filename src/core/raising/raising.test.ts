import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { CROPS } from '../data'
import { EMERGENCE, emergenceOf } from '../data/emergence'
import { draws } from '../testing/draws'
import { outsideCheck } from '../testing/outsideCheck'
import { daysToEmerge, growthRate, RAISING_LIMITS, raisingPlan, TRAYS, trayOf, type RaisingQuestion } from '.'

const tomato = emergenceOf('tomato_cherry')!
const ask = (more: Partial<RaisingQuestion> = {}): RaisingQuestion => ({
  emergence: tomato,
  weeks: 6.5,
  plants: 20,
  warmthOfSeed: 24,
  warmth: 20,
  first: 'plugs72',
  second: 'pots9cm',
  ...more,
})
const planned = (more: Partial<RaisingQuestion> = {}) => {
  const plan = raisingPlan(ask(more))
  if (!plan.ok) throw new Error(plan.problem.code)
  return plan.value
}
const on = (plan: ReturnType<typeof planned>, step: string) => plan.dates.find((d) => d.step === step)?.before

describe('how long seed takes', () => {
  for (const [crop, warmth, expected] of [
    ['tomato_cherry', 25, { low: 5, high: 11 }],
    ['tomato_cherry', 15, { low: 12, high: 25 }],
    ['lettuce', 10, { low: 3, high: 16 }],
    ['onion_bulb', 10, { low: 8, high: 20 }],
    ['pepper_sweet', 20, { low: 10, high: 26 }],
  ] as const)
    outsideCheck({
      module: 'raising',
      what: `days for ${crop} to come up at ${warmth} C`,
      source: 'Harrington & Minges 1954, days to emergence by temperature (from memory)',
      basis: 'published',
      unit: 'days',
      expected,
      tolerance: 0,
      computed: () => {
        const { low, high } = daysToEmerge(emergenceOf(crop)!, warmth)!
        return (low + high) / 2
      },
    })
  test('half as fast half way from the coldest to the best; nothing at either end', () => {
    const row = { least: 10, bestLow: 20, bestHigh: 30, most: 35, days: { low: 6, high: 10 } }
    expect(daysToEmerge(row, 15)).toEqual({ low: 12, high: 20 })
    expect(daysToEmerge(row, 32.5)).toEqual({ low: 12, high: 20 })
    expect([20, 25, 30].map((t) => daysToEmerge(row, t)!.low)).toEqual([6, 6, 6])
    expect([10, 35, 5, 40].map((t) => daysToEmerge(row, t))).toEqual([null, null, null, null])
  })
  test('every row is in order and of a crop of the tables', () => {
    const ids = new Set(CROPS.map((c) => c.id))
    for (const { crop, least, bestLow, bestHigh, most, days } of EMERGENCE) {
      expect(ids.has(crop), crop).toBe(true)
      expect([least, bestLow, bestHigh, most], crop).toEqual(
        [least, bestLow, bestHigh, most].sort((a, b) => a - b),
      )
      expect(days.low, crop).toBeLessThanOrEqual(days.high)
      expect(least).toBeLessThan(bestLow)
      expect(bestHigh).toBeLessThan(most)
    }
  })
})

describe('how fast seedlings grow', () => {
  test('as usual at 20 C; half way to their base half as fast; held at both ends', () => {
    for (const least of [4, 12]) expect(growthRate({ least }, 20)).toBe(1)
    expect(growthRate({ least: 4 }, 12)).toBe(0.5)
    expect(growthRate({ least: 12 }, 15)).toBe(0.5)
    expect(growthRate({ least: 12 }, 5)).toBe(RAISING_LIMITS.slowest.value)
    expect(growthRate({ least: 4 }, 40)).toBe(RAISING_LIMITS.fastest.value)
  })
})

describe('a plan from seed to planting out', () => {
  test('tomatoes for the end of May are sown some seven weeks before, potted on once, hardened off for a week', () => {
    const plan = planned()
    expect(on(plan, 'sow')!).toBeGreaterThan(40)
    expect(on(plan, 'sow')!).toBeLessThan(56)
    expect(on(plan, 'hardenOff')).toBe(RAISING_LIMITS.hardening.value)
    expect(on(plan, 'plantOut')).toBe(0)
    expect(on(plan, 'potOn')!).toBeGreaterThan(on(plan, 'hardenOff')!)
  })
  test('in more warmth seedlings leave their cells sooner, by as much as they grow faster', () => {
    const inCells = (warmth: number) => {
      const plan = planned({ warmth, weeks: 12 })
      return on(plan, 'sow')! - on(plan, 'potOn')!
    }
    const stays = trayOf('plugs72')!.days! * 0.7
    const rate = growthRate(tomato, 22)
    expect(rate).toBeGreaterThan(1)
    // Both are given in whole days.
    expect(Math.abs(inCells(20) - inCells(22) - stays * (1 - 1 / rate))).toBeLessThanOrEqual(1)
    expect(stays * (1 - 1 / rate)).toBeGreaterThan(2)
  })
  test('twenty plants want 23 cells and 28 seeds: a tenth is lost and a fifth does not come up', () => {
    const { stages, seeds } = planned()
    expect(stages.map((s) => s.cells)).toEqual([23, 23])
    expect(seeds).toBe(28)
    expect(stages.map((s) => s.trays)).toEqual([1, 2])
    // 40 mL to a cell and a tenth more; 330 mL to a pot.
    expect(stages[0]!.litres).toBeCloseTo(23 * 0.04 * 1.1, 9)
    expect(stages[1]!.litresForHundred).toBeCloseTo(33 * 1.1, 9)
  })
  test('blocks take a third more loose mix; an open tray holds a hundred seedlings and is pricked out of', () => {
    const blocks = planned({ first: 'blocks4', second: null })
    expect(blocks.stages).toHaveLength(1)
    expect(blocks.stages[0]!.litres).toBeCloseTo(23 * 0.065 * 1.35 * 1.1, 9)
    expect(blocks.dates.map((d) => d.step)).toEqual(['sow', 'emerge', 'hardenOff', 'plantOut'])
    const tray = planned({ first: 'seedTray', second: 'modules24', plants: 200 })
    expect(tray.dates.map((d) => d.step)).toEqual(['sow', 'emerge', 'prickOut', 'hardenOff', 'plantOut'])
    expect(tray.stages[0]!.trays).toBe(3)
  })
  test('too cold and too warm for the seed is said with the warmth it wants', () => {
    expect(raisingPlan(ask({ warmthOfSeed: tomato.least }))).toMatchObject({
      ok: false,
      problem: { code: 'too-cold-to-emerge', least: tomato.least },
    })
    expect(raisingPlan(ask({ warmthOfSeed: tomato.most }))).toMatchObject({
      ok: false,
      problem: { code: 'too-warm-to-emerge' },
    })
  })
  test('steps follow one another, more plants never want less, and warmth never delays them', () => {
    const question = fc.record({
      emergence: fc.constantFrom(...EMERGENCE),
      weeks: fc.double({ min: 2, max: 16, noNaN: true }),
      plants: fc.integer({ min: 1, max: 2000 }),
      share: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      warmth: fc.double({ min: 5, max: 28, noNaN: true }),
      first: fc.constantFrom(...TRAYS.map((t) => t.id)),
      second: fc.option(fc.constantFrom(...TRAYS.filter((t) => t.cells > 1).map((t) => t.id))),
    })
    fc.assert(
      fc.property(question, ({ share, ...q }) => {
        const { least, most } = q.emergence
        const warmthOfSeed = least + share * (most - least)
        const plan = planned({ ...q, warmthOfSeed })
        const befores = plan.dates.map((d) => d.before)
        expect(befores).toEqual([...befores].sort((a, b) => b - a))
        expect(plan.sowBetween.early).toBeGreaterThanOrEqual(plan.sowBetween.late)
        const more = planned({ ...q, warmthOfSeed, plants: q.plants + 10 })
        expect(more.seeds).toBeGreaterThan(plan.seeds)
        more.stages.forEach((s, i) => expect(s.litres).toBeGreaterThanOrEqual(plan.stages[i]!.litres))
        const warmer = planned({ ...q, warmthOfSeed, warmth: q.warmth + 2 })
        expect(on(warmer, 'sow')!).toBeLessThanOrEqual(on(plan, 'sow')!)
      }),
      draws(200),
    )
  })
  test('every tray has room, and its own id', () => {
    for (const t of TRAYS) {
      expect(trayOf(t.id)).toBe(t)
      expect(t.millilitres).toBeGreaterThan(0)
      expect(t.pressed).toBeGreaterThanOrEqual(1)
    }
  })
})

test('seed may be sown as much earlier as slow seed needs and as much later as quick seed does', () => {
  const { low, high } = daysToEmerge(tomato, 24)!
  const plan = planned()
  expect(plan.sowBetween.early - plan.sowBetween.late).toBeGreaterThanOrEqual(Math.floor(high - low))
  expect(plan.sowBetween.early - plan.sowBetween.late).toBeLessThanOrEqual(Math.ceil(high - low))
  expect(on(plan, 'sow')!).toBeGreaterThanOrEqual(plan.sowBetween.late)
  expect(on(plan, 'sow')!).toBeLessThanOrEqual(plan.sowBetween.early)
})
test('seedlings of warm crops stop growing at a warmth where those of cool crops still do', () => {
  const { warmCrop, usual, baseWarm, baseCool } = RAISING_LIMITS
  const [warm, cool] = [warmCrop.value, warmCrop.value - 0.1].map((least) => growthRate({ least }, 15))
  expect(warm).toBeCloseTo((15 - baseWarm.value) / (usual.value - baseWarm.value), 12)
  expect(cool).toBeCloseTo((15 - baseCool.value) / (usual.value - baseCool.value), 12)
  expect(warm).toBeLessThan(cool!)
})
