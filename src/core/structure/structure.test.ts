import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { blend } from '../mixing'
import type { Container } from '../geometry'
import { anyContainer, anyParts, material, parts } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import { aged, lostStructure, oldMixFigures, seasonsOf } from '.'

const tub: Container = {
  shape: { kind: 'roundPot', topDiameter: 50, baseDiameter: 45, height: 40 },
  headspace: 4,
  base: { kind: 'drainHoles' },
}
const states = (amounts: Record<string, number>, temperature = 15, container = tub) => {
  const found = seasonsOf(container, parts(amounts), temperature)
  if (!found.ok) throw new Error(found.problem.code)
  return found.value
}
const mass = (list: ReturnType<typeof parts>) =>
  list.reduce((s, p) => s + p.parts * p.material.material.properties.dryBulkDensity.value, 0)

describe('rot', () => {
  outsideCheck({
    module: 'structure',
    what: 'structure left after one half-life at the temperature it is given for',
    source: 'exponential decay',
    basis: 'closed form',
    unit: '1',
    expected: 0.5,
    tolerance: 1e-12,
    computed: () => {
      const { material: m } = material('leaf_mould')
      return 1 - lostStructure(m, m.properties.structuralHalfLife.value, 15)
    },
  })
  outsideCheck({
    module: 'structure',
    what: 'peat, bark or compost mixes sink in a first season (middle of three)',
    source: 'common practice',
    basis: 'common practice',
    unit: '1',
    expected: { low: 0.05, high: 0.2 },
    tolerance: 0,
    computed: () =>
      [
        { peat_medium: 2, compost_green: 1, perlite_coarse: 1 },
        { bark_composted: 2, peat_medium: 1 },
        { compost_green: 1, leaf_mould: 1, pine_bark_fine: 1 },
      ]
        .map((mix) => states(mix as unknown as Record<string, number>)[0]!.volumeLost)
        .sort((a, b) => a - b)[1]!,
  })
  outsideCheck({
    module: 'structure',
    what: 'pumice keeps its structure for five years and more',
    source: 'common practice',
    basis: 'common practice',
    unit: '1',
    expected: { low: 0.98, high: 1 },
    tolerance: 0,
    computed: () => 1 - lostStructure(material('pumice').material, 5, 15),
  })
  test('solids only go: what is left weighs less, by what rotted', () => {
    fc.assert(
      fc.property(anyParts, fc.double({ min: 0, max: 6, noNaN: true }), (list, years) => {
        const then = aged(list, years, 15)
        const expected = list.reduce((s, p) => {
          const lost = lostStructure(p.material.material, years, 15)
          return s + p.parts * p.material.material.properties.dryBulkDensity.value * (1 - lost * 0.65)
        }, 0)
        expect(mass(then)).toBeLessThanOrEqual(mass(list) + 1e-9)
        expect(Math.abs(mass(then) - expected) / expected).toBeLessThan(1e-3)
      }),
      draws(),
    )
  })
  test('warmth hastens it', () => {
    const { material: m } = material('compost_green')
    expect(lostStructure(m, 1, 25)).toBeGreaterThan(lostStructure(m, 1, 15))
    expect(lostStructure(m, 0, 15)).toBe(0)
  })
})

describe('later years', () => {
  test('each sinks further than the last, and never above the fill', () => {
    fc.assert(
      fc.property(anyContainer, anyParts, (container, list) => {
        const found = seasonsOf(container, list, 15)
        if (!found.ok) throw new Error(found.problem.code)
        let before = 0
        for (const s of found.value) {
          expect(s.slump).toBeGreaterThanOrEqual(before - 1e-6)
          expect(s.volumeLost).toBeGreaterThanOrEqual(0)
          expect(s.volumeLost).toBeLessThan(1)
          expect(s.airFilledPorosity).toBeGreaterThanOrEqual(0)
          expect(s.airFilledPorosity).toBeLessThanOrEqual(s.totalPorosity)
          before = s.slump
        }
      }),
      draws(60),
    )
  })
  test('mineral mixes stand, compost slumps and closes up', () => {
    expect(states({ pumice: 1, grit_2_6: 1 })[2]!.slump).toBeLessThan(0.1)
    const compost = states({ compost_green: 2, pine_bark_fine: 1 })
    expect(compost[2]!.slump).toBeGreaterThan(6)
    expect(compost[2]!.airFilledPorosity).toBeLessThan(compost[0]!.airFilledPorosity)
  })
  test('nothing has happened after no time', () => {
    const found = seasonsOf(tub, parts({ peat_medium: 1, perlite_coarse: 1 }), 15, { years: [0] })
    const fresh = blend(parts({ peat_medium: 1, perlite_coarse: 1 }))
    if (!found.ok || !fresh.ok) throw new Error('no mix')
    expect(found.value[0]!.slump).toBeLessThan(1e-5)
    expect(found.value[0]!.totalPorosity).toBeCloseTo(fresh.value.totalPorosity, 9)
  })
  test('no parts, no years', () => expect(seasonsOf(tub, [], 15).ok).toBe(false))
})

describe('what does not rot', () => {
  test('stays as it was, on layers too: nothing sinks and nothing is lost', () => {
    const found = seasonsOf(tub, parts({ sand_sharp: 1, gravel_pea: 1 }), 15, { floor: 12, years: [1, 5] })
    if (!found.ok) throw new Error(found.problem.code)
    for (const { slump, volumeLost } of found.value) {
      expect(volumeLost).toBeCloseTo(0, 3)
      expect(slump).toBeCloseTo(0, 2)
    }
  })
  test('an old mix of it has the figures of its parts by their shares', () => {
    const recipe = parts({ vermiculite_medium: 3, perlite_coarse: 1 })
    const old = oldMixFigures(recipe, 1, 15, {
      pH: { value: 6.5, isRead: true },
      salts: { value: 1, isRead: false },
    })
    if (!old.ok) throw new Error(old.problem.code)
    const figure = (name: string) => old.value.properties.find((p) => p.name === name)!
    const of = (id: string) => material(id).material.properties
    const mean = (name: 'compressibility' | 'looseEnvelopeFraction') =>
      (3 * of('vermiculite_medium')[name].value + of('perlite_coarse')[name].value) / 4
    const fresh = blend(recipe)
    const lost = fresh.ok ? fresh.value.blendingLoss : NaN
    // Within a twentieth: vermiculite falls to pieces a little in a year.
    const near = (value: number, expected: number) =>
      expect(Math.abs(value / expected - 1)).toBeLessThan(0.05)
    near(figure('compressibility').value, mean('compressibility'))
    near(figure('looseEnvelopeFraction').value, mean('looseEnvelopeFraction') / (1 - lost))
    // What a kilogram holds goes by weight, not by volume.
    const weight = (id: string, parts: number) => parts * of(id).dryBulkDensity.value
    const held = (id: string) => of(id).potassium?.value ?? 0
    const [v, p] = [weight('vermiculite_medium', 3), weight('perlite_coarse', 1)]
    near(figure('potassium').value, (v * held('vermiculite_medium') + p * held('perlite_coarse')) / (v + p))
    // Of the nitrogen that a first season gives, two fifths come in the next; and it is known within half.
    const compost = oldMixFigures(parts({ compost_green: 1 }), 1, 15, {
      pH: { value: 7, isRead: true },
      salts: { value: 1, isRead: true },
    })
    const next = compost.ok && compost.value.properties.find((p) => p.name === 'nitrogenFirstSeason')!
    expect(next).toMatchObject({
      value: expect.closeTo(0.4 * of('compost_green').nitrogenFirstSeason!.value, 12) as number,
    })
    // What was read is known to 0.2 of pH, what a course ends at in salts to two fifths.
    expect(figure('pH')).toMatchObject({ low: 6.3, value: 6.5, high: 6.7 })
    expect(figure('electricalConductivity').low).toBeCloseTo(0.6, 12)
    expect(figure('electricalConductivity').high).toBeCloseTo(1.4, 12)
    expect(old.value.sizeShares!.reduce((s, x) => s + x, 0)).toBeCloseTo(1, 9)
  })
  test('grains of each size have the room that the parts’ grains take, by volume of envelope', () => {
    const recipe = parts({ gravel_pea: 1, perlite_fine: 3 })
    const old = oldMixFigures(recipe, 0, 15, {
      pH: { value: 7, isRead: true },
      salts: { value: 1, isRead: true },
    })
    if (!old.ok) throw new Error(old.problem.code)
    const rows = recipe.map((p) => p.material.material)
    const room = rows.map((m, i) => recipe[i]!.parts * m.properties.looseEnvelopeFraction.value)
    const all = room[0]! + room[1]!
    old.value.sizeShares!.forEach((share, k) =>
      expect(share).toBeCloseTo(
        (room[0]! * rows[0]!.sizeShares[k]! + room[1]! * rows[1]!.sizeShares[k]!) / all,
        9,
      ),
    )
  })
  test('on a floor a mix sinks by the share it loses of its own depth, not of the whole container', () => {
    const straight: Container = {
      shape: { kind: 'roundPot', topDiameter: 40, baseDiameter: 40, height: 40 },
      headspace: 0,
      base: { kind: 'drainHoles' },
    }
    const found = seasonsOf(straight, parts({ leaf_mould: 1 }), 15, { floor: 25, years: [2] })
    if (!found.ok) throw new Error(found.problem.code)
    const [{ slump, volumeLost }] = found.value as [(typeof found.value)[number]]
    expect(volumeLost).toBeGreaterThan(0.1)
    expect(slump).toBeCloseTo(volumeLost * 15, 6)
  })
  test('a nutrient that a part has no figure for is none, and of nothing there is no old mix', () => {
    const known = { pH: { value: 6.5, isRead: true }, salts: { value: 1, isRead: false } }
    const recipe = parts({ compost_green: 1, perlite_coarse: 1 }).map((p) => {
      const { material: m } = p.material
      const { potassium: _, ...properties } = m.properties
      return m.id === 'perlite_coarse'
        ? { ...p, material: { ...p.material, material: { ...m, properties } } }
        : p
    }) as ReturnType<typeof parts>
    const figure = (of: typeof recipe) => {
      const old = oldMixFigures(of, 0, 15, known)
      return old.ok && old.value.properties.find((p) => p.name === 'potassium')!.value
    }
    const of = (id: string) => material(id).material.properties
    const weights = ['compost_green', 'perlite_coarse'].map((id) => of(id).dryBulkDensity.value)
    expect(figure(recipe)).toBeCloseTo(
      (weights[0]! * of('compost_green').potassium!.value) / (weights[0]! + weights[1]!),
      9,
    )
    expect(oldMixFigures([], 1, 15, known)).toMatchObject({ ok: false })
  })
})
