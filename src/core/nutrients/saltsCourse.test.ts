import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draws } from '@/core/testing/draws'
import { CROPS, cropById } from '../data'
import { outsideCheck } from '../testing/outsideCheck'
import { Solver } from 'odex'
import type { FeedingWeek } from './season'
import { lastingConductivity, leachingFor, relativeYield, saltBand, saltsCourse, type WaterSalts } from '.'

/** Weeks in which nothing is fed and nothing taken up. */
const bare = (weeks: number) => {
  const list = Array.from({ length: weeks }, (_, i) => ({ day: 7 * (i + 1), pool: 0, leached: 0 }))
  return { nitrogen: list, potassium: list } as unknown as Parameters<typeof saltsCourse>[1]
}
const watered = (conductivity: number, given: number, leaching: number, held = 0.5): WaterSalts => ({
  conductivity,
  held,
  amounts: [{ from: 0, given, drained: given * leaching }],
})
const end = (weeks: number, water: WaterSalts, start = 0, pores = 0.8) =>
  saltsCourse(start, bare(weeks), pores, water).at(-1)!.saturatedExtract

describe('salts of the water, week by week', () => {
  test('at rest what drains carries what is brought: EC of the water over the share that drains', () => {
    // In the water of the mix 1 / 0.2 = 5 dS/m; in a saturated extract as much thinner as it holds more water.
    expect(end(400, watered(1, 0.1, 0.2))).toBeCloseTo((5 * 0.5) / 0.8, 6)
  })
  test('where nothing drains they add up without end', () => {
    expect(end(10, watered(1, 0.1, 0))).toBeCloseTo((70 * 0.1) / 0.8, 9)
    expect(end(20, watered(1, 0.1, 0))).toBeCloseTo(2 * end(10, watered(1, 0.1, 0)), 9)
  })
  test('half way to rest after ln 2 of the time the water of the mix takes to drain once', () => {
    const rest = (5 * 0.5) / 0.8
    const weeks = (Math.LN2 * 0.5) / (0.1 * 0.2) / 7
    const [before, after] = [Math.floor(weeks), Math.ceil(weeks)].map(
      (w) => end(w, watered(1, 0.1, 0.2)) / rest,
    )
    expect(before).toBeLessThan(0.5)
    expect(after).toBeGreaterThan(0.5)
  })
  test('pure water leaves nothing, and a later stretch takes over on its day', () => {
    expect(end(20, watered(0, 0.1, 0.2))).toBe(0)
    const water = {
      ...watered(1, 0.1, 0),
      amounts: [
        { from: 0, given: 0.1, drained: 0 },
        { from: 14, given: 0, drained: 0 },
      ],
    }
    expect(end(10, water)).toBeCloseTo((14 * 0.1) / 0.8, 9)
  })
  test('before the first watering nothing comes and nothing goes', () => {
    const water = { ...watered(1, 0.1, 0), amounts: [{ from: 14, given: 0.1, drained: 0 }] }
    expect(end(2, water)).toBe(0)
    expect(end(10, water)).toBeCloseTo((56 * 0.1) / 0.8, 9)
  })
  test('the share that has to drain keeps the mix at its limit, whatever the water', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 3, noNaN: true }),
        fc.double({ min: 1, max: 6, noNaN: true }),
        fc.double({ min: 0.2, max: 0.7, noNaN: true }),
        (conductivity, limit, held) => {
          const leaching = leachingFor(limit, { conductivity, held }, 0.8)
          if (leaching > 0.9) return
          expect(end(2000, watered(conductivity, 0.1, leaching, held))).toBeCloseTo(limit, 2)
        },
      ),
      draws(40),
    )
  })
  const FAO = 'Ayers & Westcot 1985, FAO Irrigation and Drainage Paper 29 rev. 1 (from memory)'
  outsideCheck({
    module: 'nutrients',
    what: 'with 15 to 20 % drained the salts of the root water are three times those of the water or more',
    source: `${FAO}: concentration factors`,
    basis: 'published',
    unit: 'times',
    expected: { low: 3, high: 7 },
    tolerance: 0,
    computed: () => (end(400, watered(1, 0.1, 0.175)) * 0.8) / 0.5,
  })
  test('bicarbonate does not last; a quarter of the salts always does', () => {
    expect(lastingConductivity(0.8, 3)).toBeCloseTo(0.5, 9)
    expect(lastingConductivity(0.5, 8)).toBeCloseTo(0.125, 9)
    expect(lastingConductivity(0, 3)).toBe(0)
  })
})

describe('what a crop bears', () => {
  test('a tenth of the yield is lost at the top of its band, for every crop', () => {
    for (const { properties: p, id } of CROPS)
      expect(relativeYield(saltBand(p).high, p.saltThreshold.value, p.saltSlope?.value), id).toBeCloseTo(
        0.9,
        9,
      )
  })
  for (const [id, expected] of [
    ['strawberry', 1.3],
    ['bean_bush', 1.5],
    ['carrot', 1.7],
  ] as const)
    outsideCheck({
      module: 'nutrients',
      what: `${id}: salts at which a tenth of the crop is lost`,
      source: 'Maas & Hoffman 1977 (from memory)',
      basis: 'published',
      unit: 'dS/m',
      expected,
      tolerance: 0.06,
      computed: () => saltBand(cropById(id)!.properties).high,
    })
})

test('twelve waters on four mixes agree with a general solver on the same equation, week by week', () => {
  for (const held of [0.3, 0.45, 0.6, 0.75])
    for (const conductivity of [0.03, 0.15, 0.3, 0.5, 0.6, 0.75, 0.9, 1.2, 1.5, 2, 2.5, 3]) {
      const amounts = [
        { from: 0, given: 0.03, drained: 0.004 },
        { from: 40, given: 0.08, drained: 0.012 },
        { from: 100, given: 0.05, drained: 0.03 },
      ]
      const weeks = Array.from({ length: 20 }, (_, i) => 7 * (i + 1))
      const course = saltsCourse(
        0,
        { nitrogen: weeks.map((day) => ({ day, pool: 0, leached: 0 })) as FeedingWeek[], potassium: [] },
        0.8,
        { conductivity, held, amounts },
      )
      const solver = new Solver(1)
      solver.absoluteTolerance = solver.relativeTolerance = 1e-9
      let [left, from] = [0, 0]
      for (const { day, saturatedExtract } of course) {
        // The solver is stopped where the water changes, as no solver takes a jump in its stride.
        for (const to of [...amounts.map((a) => a.from).filter((t) => t > from && t < day), day]) {
          const at = amounts.findLast((a) => a.from <= from)!
          const slope = (_: number, y: number[]) => [at.given * conductivity - (at.drained * y[0]!) / held]
          left = solver.solve(slope, from, [left], to).y[0]!
          from = to
        }
        expect(Math.abs(saturatedExtract - left / 0.8)).toBeLessThan(1e-4)
      }
    }
})
