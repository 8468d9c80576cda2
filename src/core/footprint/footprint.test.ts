import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { MATERIALS } from '../data'
import rows from '../data/footprint.json'
import { draws } from '../testing/draws'
import { outsideCheck } from '../testing/outsideCheck'
import { carbonFootprint } from '.'

const of = (parts: Record<string, number>, made: number, lime = 0) =>
  carbonFootprint(
    Object.entries(parts).map(([id, litres]) => ({ id, litres })),
    { made, limeGramsPerLitre: lime },
  )

describe('the footprint of a mix', () => {
  outsideCheck({
    module: 'footprint',
    what: 'a cubic metre of peat with its carbon lost, kg of carbon dioxide',
    source:
      'peat holds some 45 to 60 kg of carbon a cubic metre; 44 of carbon dioxide to 12 of carbon (from memory)',
    basis: 'closed form',
    unit: 'kg',
    expected: { low: (45 * 44) / 12, high: (60 * 44) / 12 + 30 },
    tolerance: 0,
    computed: () => 1000 * of({ peat_medium: 1 }, 1).perLitre!.value,
  })
  test('parts add up by their litres, over what they come to when they are stirred', () => {
    const { value } = of({ peat_medium: 3, perlite_coarse: 1 }, 3.6).perLitre!
    expect(value).toBeCloseTo((3 * 0.19 + 0.1) / 3.6, 12)
  })
  test('lime gives off its carbon dioxide: 44 g of 100 g of calcium carbonate, and a little for grinding', () => {
    const gained = of({ peat_medium: 1 }, 1, 5).perLitre!.value - of({ peat_medium: 1 }, 1).perLitre!.value
    expect(gained / 0.005).toBeGreaterThan(0.44)
    expect(gained / 0.005).toBeLessThan(0.5)
  })
  test('char stores carbon; peat weighs most of the organic parts', () => {
    expect(of({ biochar_raw: 1 }, 1).perLitre!.value).toBeLessThan(0)
    for (const id of ['coir_pith', 'compost_green', 'pine_bark_fine', 'wood_fibre', 'leaf_mould'])
      expect(of({ [id]: 1 }, 1).perLitre!.value, id).toBeLessThan(of({ peat_medium: 1 }, 1).perLitre!.value)
  })
  test('what nobody knows is named, and nothing is said of nothing', () => {
    expect(of({ my_stuff: 1, peat_medium: 1 }, 2).unknown).toEqual(['my_stuff'])
    expect(of({ my_stuff: 1 }, 1)).toEqual({ perLitre: null, unknown: ['my_stuff'] })
    expect(of({ peat_medium: 1 }, 0).perLitre).toBeNull()
  })
  test('every row is of a material of the tables, its range in order; all but bagged mixes have one', () => {
    const ids = new Set(MATERIALS.map((m) => m.id))
    for (const { material, low, value, high } of rows) {
      expect(ids.has(material), material).toBe(true)
      expect([low, value, high], material).toEqual([low, value, high].sort((a, b) => a - b))
    }
    const without = MATERIALS.filter((m) => !rows.some((r) => r.material === m.id))
    expect(without.every((m) => m.family === 'mix')).toBe(true)
  })
  test('the range holds the figure, whatever is mixed', () => {
    const parts = fc.array(
      fc.record({
        id: fc.constantFrom(...rows.map((r) => r.material)),
        litres: fc.double({ min: 0.1, max: 50, noNaN: true }),
      }),
      { minLength: 1, maxLength: 6 },
    )
    fc.assert(
      fc.property(parts, fc.double({ min: 0.5, max: 100, noNaN: true }), (list, made) => {
        const { low, value, high } = carbonFootprint(list, { made, limeGramsPerLitre: 3 }).perLitre!
        expect(low).toBeLessThanOrEqual(value)
        expect(value).toBeLessThanOrEqual(high)
      }),
      draws(200),
    )
  })
})
