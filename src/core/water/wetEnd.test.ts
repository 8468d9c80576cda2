import { describe, expect, test } from 'vitest'
import { materialById, MATERIALS } from '../data'
import type { Container } from '../geometry'
import { blend, preparedMaterial } from '../mixing'
import { parts } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import table from '../testing/wetEnd.json'
import { containerProfile, retained } from '.'

/** A column filled, wetted from below and drained to its base. */
const column = (height: number): Container => ({
  shape: { kind: 'roundPot', topDiameter: 7.6, baseDiameter: 7.6, height },
  headspace: 0,
  base: { kind: 'drainHoles' },
})
function inColumn(height: number, amounts: Record<string, number>) {
  const mixed = blend(parts(amounts))
  if (!mixed.ok) throw new Error(mixed.problem.code)
  const { totalPorosity, waterAt } = mixed.value
  const { airFilledPorosity, containerCapacity } = containerProfile(column(height), [
    { top: 1000, totalPorosity, waterAt },
  ])
  return { air: airFilledPorosity, water: containerCapacity }
}
const inCore = (amounts: Record<string, number>) => inColumn(7.6, amounts)
const inside = ([low, , high]: number[], x: number) => x >= low! && x <= high!
const off = ([, value]: number[], x: number) => Math.abs(x / value! - 1)

/** Mixes that miss, and why. */
const MISSED: Record<string, string> = {
  'sand 1 : peat 3/water':
    'By a point. The published mix is packed and a season old, its peat pressed further than by stirring alone.',
}
/** Mixes whose air is more than a third off the middle, and why. */
const FAR: Record<string, string> = {
  'loam, peat, perlite in equal parts':
    '15 % of 10, in a spread of 6 to 16: known after soil has washed into the perlite',
}

describe('classic mixes in a 7.6 cm core', () => {
  for (const { what, parts: amounts, source, ...core } of table.mixes)
    for (const figure of ['air', 'water'] as const)
      outsideCheck({
        module: 'water',
        what: `${what}, ${figure === 'air' ? 'air space' : 'container capacity'} of a 7.6 cm core`,
        source: `${source} (from memory)`,
        basis: 'from memory',
        unit: 'm3/m3',
        expected: { low: core[figure][0]!, high: core[figure][2]! },
        tolerance: 0,
        usedToSet: 'volume lost where hard grains meet soft parts, and the pores it comes from',
        ...(MISSED[`${what}/${figure}`] ? { missed: MISSED[`${what}/${figure}`]! } : {}),
        computed: () => inCore(amounts as unknown as Record<string, number>)[figure],
      })
  test('twelve of thirteen are inside both spreads', () => {
    const good = table.mixes.filter(({ parts: amounts, air, water }) => {
      const core = inCore(amounts as unknown as Record<string, number>)
      return inside(air, core.air) && inside(water, core.water)
    })
    expect(good.length).toBeGreaterThanOrEqual(12)
  })
})

test('air of a classic mix is within a third of the middle of what is known', () => {
  const far = table.mixes.filter(
    ({ parts: amounts, air }) => off(air, inCore(amounts as unknown as Record<string, number>).air) > 1 / 3,
  )
  expect(far.map((m) => m.what)).toEqual(Object.keys(FAR))
})

/** Columns that miss, and why. */
const MISSED_COLUMNS: Record<string, string> = {
  'loam, peat, perlite 1:1:1/2.5':
    'By 4.7 points. In a plug so shallow most air is between perlite grains, and there soil has washed in.',
  'loam, peat, perlite 1:1:1/4.5': 'By 2.1 points, for the same reason.',
}

describe('air by the height of the mix', () => {
  for (const { what, parts: amounts, air } of table.columns)
    for (const [height, known] of Object.entries(air)) {
      const missed = MISSED_COLUMNS[`${what}/${height}`]
      outsideCheck({
        module: 'water',
        what: `${what}, air of a column of ${height} cm`,
        source: 'Milks, Fonteno & Larson 1989; Fonteno 1989, 1996; Bunt 1988 (from memory)',
        basis: 'from memory',
        unit: 'm3/m3',
        expected: { low: known[0]!, high: known[2]! },
        tolerance: 0,
        ...(missed ? { missed } : {}),
        computed: () => inColumn(Number(height), amounts as unknown as Record<string, number>).air,
      })
    }
  test.each(Object.entries(table.alone))('%s alone: within what is known at every height', (id, air) => {
    for (const [height, known] of Object.entries(air))
      expect(inside(known, inColumn(Number(height), { [id]: 1 }).air), `${height} cm`).toBe(true)
  })
})

describe('materials alone', () => {
  test('every one has points that the fit has not seen', () => {
    expect(table.materials.map((m) => m.material).sort()).toEqual(MATERIALS.map((m) => m.id).sort())
  })
  // Points at 2, 20 and 30 cm are left out of the fit. Their own spread is what they are known within.
  for (const m of table.materials)
    test(`${m.material}: the curve passes between the points, and its core holds the air it is known for`, ({
      task,
    }) => {
      const { retention, material } = preparedMaterial(materialById(m.material)!)
      const at = (tension: number) => retained(retention, tension)
      for (const [tension, known] of Object.entries(m.points))
        expect(inside(known, at(Number(tension))), `at ${tension} cm`).toBe(true)
      const core = inCore({ [m.material]: 1 })
      expect(inside(m.air, core.air)).toBe(true)
      expect(inside(m.water, core.water)).toBe(true)
      const { waterAt5Cm, waterAt10Cm, waterAt50Cm, waterAt100Cm } = material.properties
      const misses = [
        at(2) - m.points['2'][1]!,
        at(5) - waterAt5Cm.value,
        at(10) - waterAt10Cm.value,
        at(20) - m.points['20'][1]!,
        at(30) - m.points['30'][1]!,
        at(50) - waterAt50Cm.value,
        at(100) - waterAt100Cm.value,
      ]
      // What `npm run checks` writes to docs/method/curves.md.
      const curve = {
        material: m.material,
        macropores: retention.macropores ?? 0,
        misses,
        air: core.air,
        known: m.air,
      }
      Object.assign(task.meta, { curve })
    })
  test('between the points the misses are a point on average, and five at most', () => {
    const misses = table.materials.flatMap((m) =>
      Object.entries(m.points).map(
        ([tension, [, value]]) =>
          retained(preparedMaterial(materialById(m.material)!).retention, Number(tension)) - value!,
      ),
    )
    expect(Math.sqrt(misses.reduce((s, x) => s + x * x, 0) / misses.length)).toBeLessThan(0.015)
    expect(Math.max(...misses.map(Math.abs))).toBeLessThan(0.05)
    // No leaning to one side: a curve too wet at low tension would hide air.
    expect(Math.abs(misses.reduce((s, x) => s + x, 0) / misses.length)).toBeLessThan(0.005)
  })
  test('air of a core is within a third of its known value, or four points', () => {
    for (const m of table.materials) {
      const { air } = inCore({ [m.material]: 1 })
      expect(Math.min(off(m.air, air) * 3, Math.abs(air - m.air[1]!) / 0.04), m.material).toBeLessThan(1)
    }
  })
})
