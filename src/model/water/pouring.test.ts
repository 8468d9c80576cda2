import { describe, expect, test } from 'vitest'
import { CLIMATES } from '@/core/climate/climates'
import { cropById } from '@/core/data'
import { evaluate, type MixInContainer } from '@/core/evaluate'
import { shapeHeight } from '@/core/geometry'
import { parts } from '@/core/testing/arbitraries'
import { valueOf } from '@/core/testing/once'
import { dryingLimits } from '@/core/water'
import { plantOf } from '@/core/watering'
import { belowOf, belowsFor, caseOf, changesFor, usualMonth, usualPouring, type Pouring } from './pouring'

type Base = MixInContainer['container']['base']
const pot = (
  across: number,
  height: number,
  base: Base = { kind: 'drainHoles' },
): MixInContainer['container'] => ({
  shape: { kind: 'roundPot', topDiameter: across, baseDiameter: across * 0.8, height },
  headspace: height / 10,
  base,
})
const inPot = (
  container: MixInContainer['container'],
  more: Partial<MixInContainer> = {},
): MixInContainer => ({
  container,
  parts: parts({ peat_medium: 2, perlite_coarse: 1 }),
  limes: [],
  limeGramsPerLitre: 0,
  ...more,
})
const grown = (container = pot(30, 28)): MixInContainer =>
  inPot(container, {
    growing: { crop: cropById('tomato_indeterminate')!, plants: 1, climate: CLIMATES[0], plantingMonth: 5 },
  })
const POURING: Pouring = {
  litres: 3,
  minutes: 6,
  times: 'once',
  days: 4,
  begin: 'drained',
  below: 'free',
  rain: 0,
  uses: NaN,
  month: 7,
}
const pulses = (change: Partial<Pouring>, change2: Parameters<typeof caseOf>[3] = null) => {
  const input = inPot(pot(30, 28))
  return caseOf(input, valueOf(evaluate(input)), { ...POURING, ...change }, change2).pulses
}

describe('what is poured', () => {
  test('hours from six in the morning, a tenth of an hour each, in litres', () => {
    expect(pulses({})).toEqual([{ start: 1, hours: 0.1, litres: 3 }])
    expect(pulses({ times: 'daily' }).map((p) => p.start)).toEqual([1, 25, 49, 73])
    expect(pulses({ times: 'everyOther' }).map((p) => p.start)).toEqual([1, 49])
    expect(pulses({ times: 'thrice', days: 2 }).map((p) => p.start)).toEqual([1, 5, 9, 25, 29, 33])
    expect(pulses({ times: 'daily', days: 2 }, 'threeSmall')).toEqual(
      [1, 5, 9, 25, 29, 33].map((start) => ({ start, hours: 0.1, litres: 1 })),
    )
  })
  test('rain falls on the second morning: none in a single day, a millimetre is a litre on a square metre', () => {
    const input = inPot(pot(30, 28))
    const { surface } = valueOf(evaluate(input)).fill
    expect(pulses({ rain: 8, days: 1 })).toHaveLength(1)
    expect(pulses({ rain: 8, days: 2 }).at(-1)).toEqual({
      start: 26,
      hours: 6,
      litres: expect.closeTo((8 * surface) / 10_000, 12) as number,
    })
    expect(pulses({ rain: 0, days: 2 })).toHaveLength(1)
    expect(pulses({ litres: 0 })).toEqual([])
  })
  test('litres a day are shared as the crop in its month shares them', () => {
    const input = grown()
    const e = valueOf(evaluate(input))
    const usual = plantOf(e, input, 7).day
    const all = usual.uptake + usual.evaporation + usual.wall
    expect(all).toBeGreaterThan(0)
    const { day } = caseOf(input, e, { ...POURING, uses: 2 * all }).plant
    for (const way of ['uptake', 'evaporation', 'wall'] as const)
      expect(day[way]).toBeCloseTo(2 * usual[way], 12)
    expect(caseOf(input, e, POURING).plant.day).toEqual(usual)
    // Of a pot without a crop a fifth dries from the top.
    const bare = inPot(pot(30, 28))
    expect(caseOf(bare, valueOf(evaluate(bare)), { ...POURING, uses: 1 }).plant.day).toEqual({
      uptake: 0.8,
      evaporation: 0.2,
      wall: 0,
      saucer: 0,
    })
  })
})

describe('one thing changed', () => {
  const input = inPot(pot(30, 28))
  const e = valueOf(evaluate(input))
  const of = (change: Parameters<typeof caseOf>[3], pouring: Partial<Pouring> = {}) =>
    caseOf(input, e, { ...POURING, uses: 1, ...pouring }, change)
  const plain = of(null)
  test('deeper is half as deep again, shallower half as deep, with the same lip', () => {
    expect(shapeHeight(of('deeper').input.container.shape)).toBeCloseTo(1.5 * 28, 9)
    expect(shapeHeight(of('shallower').input.container.shape)).toBeCloseTo(0.5 * 28, 9)
    expect(of('deeper').input.container.headspace).toBe(input.container.headspace)
  })
  test('gravel is five centimetres of pea gravel under it; all else is as it was', () => {
    const { input: changed, ...rest } = of('gravel')
    expect(changed.bottomLayers).toHaveLength(1)
    expect(changed.bottomLayers![0]).toMatchObject({
      thickness: 5,
      parts: [{ parts: 1, material: { material: { id: 'gravel_pea' } } }],
    })
    expect(rest).toEqual({ ...plain, input: undefined, ...rest })
    expect({ ...rest, input: null }).toEqual({ ...plain, input: null })
  })
  test('a saucer as is usual for its shape; water kept two centimetres high', () => {
    expect(of('saucer').below).toEqual(belowOf('saucer', input.container.shape))
    expect(of('saucer').below.kind).toBe('saucer')
    expect(of('keptWater').below).toEqual({ kind: 'keptWater', height: 2 })
    expect(belowOf('free', input.container.shape)).toEqual({ kind: 'free' })
  })
  test('mulch keeps back part of what the bare top gives off, and nothing of what leaves take', () => {
    const { day } = of('mulch').plant
    expect(day.evaporation).toBeGreaterThan(0)
    expect(day.evaporation).toBeLessThan(plain.plant.day.evaporation)
    expect(day.uptake).toBe(plain.plant.day.uptake)
  })
  test('is offered where it fits the base', () => {
    const offered = (base: Base, pouring: Partial<Pouring> = {}, more: Partial<MixInContainer> = {}) =>
      changesFor(inPot(pot(30, 28, base), more), { ...POURING, ...pouring })
    const always = ['gravel', 'mulch', 'threeSmall', 'deeper'] as const
    expect(offered({ kind: 'drainHoles' })).toEqual(
      expect.arrayContaining([...always, 'saucer', 'keptWater', 'shallower']),
    )
    expect(offered({ kind: 'onPaving' })).toContain('keptWater')
    expect(offered({ kind: 'onPaving' })).not.toContain('saucer')
    const holes: Base = { kind: 'sideHoles', height: 4 }
    for (const none of ['saucer', 'keptWater', 'shallower']) expect(offered(holes)).not.toContain(none)
    expect(offered({ kind: 'drainHoles' }, { below: 'keptWater' })).not.toContain('keptWater')
    expect(offered({ kind: 'drainHoles' }, { below: 'keptWater' })).toContain('saucer')
    expect(offered({ kind: 'drainHoles' }, { times: 'thrice' })).not.toContain('threeSmall')
    const layered = offered({ kind: 'drainHoles' }, {}, { bottomLayers: [{ thickness: 3, parts: [] }] })
    expect(layered).not.toContain('shallower')
    expect(belowsFor(inPot(pot(30, 28)))).toEqual(['free', 'saucer', 'keptWater'])
    expect(belowsFor(inPot(pot(30, 28, holes)))).toEqual(['free'])
  })
})

describe('one good watering', () => {
  test.each([
    ['a module', pot(4, 5)],
    ['a pot', pot(14, 13)],
    ['a tub', pot(60, 50)],
  ])('%s: what is missing and an eighth more or less, to half a figure', (_, container) => {
    const input = inPot(container)
    const e = valueOf(evaluate(input))
    const easy = dryingLimits(container).easy
    const missing = e.mix.mixVolume * Math.max(0.02, e.mix.containerCapacity - e.blend.waterAt(easy))
    const litres = usualPouring(e, input)
    const step = Math.max(0.05, 10 ** Math.floor(Math.log10(missing)) / 2)
    expect(litres / step).toBeCloseTo(Math.round(litres / step), 9)
    expect(Math.abs(litres - Math.max(step, 1.15 * missing))).toBeLessThanOrEqual(step / 2 + 1e-9)
  })
  test('the month in which a crop uses most, in its own season; July where nothing is known', () => {
    const e = valueOf(evaluate(grown()))
    const { watering, standing } = e.growing!
    const most = Math.max(...standing.map((m) => watering[m - 1]!.use.value))
    expect(watering[usualMonth(e) - 1]!.use.value).toBe(most)
    expect(standing).toContain(usualMonth(e))
    expect(usualMonth(valueOf(evaluate(inPot(pot(30, 28)))))).toBe(7)
  })
})
