import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { anyParts, material, parts } from '../testing/arbitraries'
import {
  blend,
  crowding,
  flattenRecipe,
  packingLoss,
  type BlendPart,
  type Ingredient,
  type IngredientList,
} from '.'

const recipeOf = (list: readonly BlendPart[]): IngredientList => list.map((p) => ({ kind: 'material', ...p }))
const mixOf = (list: readonly BlendPart[]) => {
  const mixed = blend(list)
  if (!mixed.ok) throw new Error(mixed.problem.code)
  return mixed.value
}
const flat = (recipe: IngredientList, mixes: Record<string, IngredientList> = {}) => {
  const found = flattenRecipe(recipe, new Map(Object.entries(mixes)))
  if (!found.ok) throw new Error(found.problem.code)
  return found.value
}
const sameBlend = (a: readonly BlendPart[], b: readonly BlendPart[], digits = 9) => {
  const [x, y] = [mixOf(a), mixOf(b)]
  expect(y.blendingLoss).toBeCloseTo(x.blendingLoss, digits)
  expect(y.totalPorosity).toBeCloseTo(x.totalPorosity, digits)
  expect(y.dryBulkDensity).toBeCloseTo(x.dryBulkDensity, digits)
  expect(y.pH).toBeCloseTo(x.pH, digits)
  expect(y.electricalConductivity).toBeCloseTo(x.electricalConductivity, digits - 2)
  for (const h of [1, 5, 20, 80]) expect(y.waterAt(h)).toBeCloseTo(x.waterAt(h), digits)
}

describe('sense of a blend', () => {
  test('one material is that material', () => {
    fc.assert(
      fc.property(anyParts, ([part]) => {
        const mixed = mixOf([part!])
        const p = part!.material.material.properties
        expect(mixed.blendingLoss).toBeLessThan(1e-9)
        expect(mixed.totalPorosity).toBeCloseTo(p.totalPorosity.value, 9)
        expect(mixed.pH).toBeCloseTo(p.pH.value, 9)
        expect(mixed.electricalConductivity).toBeCloseTo(p.electricalConductivity.value, 9)
        expect(mixed.saturatedConductivity / p.saturatedConductivity.value).toBeCloseTo(1, 9)
        expect(mixed.cationExchangeCapacity).toBeCloseTo(p.cationExchangeCapacity.value, 6)
      }),
      draws(),
    )
  })
  test('order and size of the parts do not matter', () => {
    fc.assert(
      fc.property(anyParts, fc.double({ min: 0.1, max: 50, noNaN: true }), (list, times) => {
        sameBlend(
          list,
          [...list].reverse().map((p) => ({ ...p, parts: p.parts * times })),
        )
      }),
      draws(),
    )
  })
  test('a part more raises its own share and lowers every other', () => {
    fc.assert(
      fc.property(anyParts, fc.integer({ min: 1, max: 24 }), (list, more) => {
        const before = mixOf(list)
        const after = mixOf(list.map((p, i) => (i === 0 ? { ...p, parts: p.parts + more } : p)))
        after.shares.forEach((s, i) => {
          if (list.length === 1) expect(s.share).toBeCloseTo(1, 12)
          else if (i === 0) expect(s.share).toBeGreaterThan(before.shares[0]!.share)
          else expect(s.share).toBeLessThan(before.shares[i]!.share)
        })
      }),
      draws(),
    )
  })
  test('solids are conserved: what is lost is air', () => {
    fc.assert(
      fc.property(anyParts, (list) => {
        const mixed = mixOf(list)
        const loose = mixed.shares.reduce(
          (s, p) => s + p.share * (1 - p.material.properties.totalPorosity.value),
          0,
        )
        expect((1 - mixed.totalPorosity) * (1 - mixed.blendingLoss)).toBeCloseTo(loose, 9)
      }),
      draws(),
    )
  })
  test('the linear form of the packing model is the model (crowding)', () => {
    fc.assert(
      fc.property(anyParts, (list) => {
        const total = list.reduce((s, p) => s + p.parts, 0)
        const rows = list.map((p) => {
          const { sizeShares, properties } = p.material.material
          const phi = properties.looseEnvelopeFraction.value
          return { share: p.parts / total, sizeShares, phi, h: crowding(sizeShares, phi, p.material.beta) }
        })
        const most = Math.max(
          ...Array.from({ length: 8 }, (_, k) =>
            rows.some((r) => r.sizeShares[k]! > 0) ? rows.reduce((s, r) => s + r.share * r.h[k]!, 0) : 0,
          ),
        )
        const model = packingLoss(
          rows.map((r, i) => ({
            share: r.share,
            sizeShares: r.sizeShares,
            looseEnvelopeFraction: r.phi,
            beta: list[i]!.material.beta,
          })),
        )
        expect(Math.max(0, 1 - most)).toBeCloseTo(model, 9)
      }),
      draws(),
    )
  })
})

describe('a mix as an ingredient', () => {
  test('is the mix of its flattened form, at any depth', () => {
    fc.assert(
      fc.property(anyParts, anyParts, anyParts, fc.integer({ min: 1, max: 6 }), (a, b, c, n) => {
        const nested: IngredientList = [{ kind: 'mix', mix: 'b', parts: n }, ...recipeOf(c)]
        const found = flat(nested, {
          a: recipeOf(a),
          b: [{ kind: 'mix', mix: 'a', parts: 2 }, ...recipeOf(b)],
        })
        // Blending what comes out of the flattening again gives the same mix, and nothing more is lost to it.
        sameBlend(found.parts, flat(recipeOf(found.parts)).parts)
        const loose = found.parts.reduce((s, p) => s + p.parts, 0)
        const kept = loose * (1 - mixOf(found.parts).blendingLoss)
        expect(found.measured * (1 - found.lossHere)).toBeCloseTo(kept, 6)
      }),
      draws(80),
    )
  })
  test('one part of a mix alone is that mix, with nothing lost a second time', () => {
    const base = recipeOf(parts({ peat_medium: 2, sand_sharp: 2, compost_green: 1 }))
    const found = flat([{ kind: 'mix', mix: 'base', parts: 3 }], { base })
    sameBlend(found.parts, flat(base).parts)
    expect(found.lossHere).toBeCloseTo(0, 9)
  })
  test('a bucket of mix holds more than a bucket of loose parts', () => {
    const base = recipeOf(parts({ peat_medium: 1, sand_sharp: 1 }))
    const loss = flat(base).lossHere
    const found = flat([{ kind: 'mix', mix: 'base', parts: 1 }], { base })
    expect(found.parts.reduce((s, p) => s + p.parts, 0)).toBeCloseTo(1 / (1 - loss), 9)
  })
  test('refuses itself at any depth, the unknown, the empty and the absent', () => {
    const of = (recipe: IngredientList, mixes: Record<string, IngredientList> = {}) => {
      const found = flattenRecipe(recipe, new Map(Object.entries(mixes)))
      return found.ok ? null : found.problem
    }
    const line = (mix: string): Ingredient => ({ kind: 'mix', mix, parts: 1 })
    expect(of([line('a')], { a: [line('b')], b: [line('c')], c: [line('a')] })).toEqual({
      code: 'mix-contains-itself',
      path: ['a', 'b', 'c', 'a'],
    })
    expect(of([line('x')])).toEqual({ code: 'unknown-mix', mix: 'x' })
    expect(of([line('a')], { a: [] })).toEqual({ code: 'no-parts' })
    expect(of([{ kind: 'material', material: material('pumice'), parts: 0 }])).toMatchObject({
      code: 'part-not-positive',
    })
    // The same mix twice, side by side, is no cycle.
    expect(of([line('a'), line('a')], { a: recipeOf(parts({ pumice: 1 })) })).toBeNull()
  })
})

test('a part is more than nothing and less than without end, wherever it is', () => {
  const peat = material('peat_medium')
  for (const parts of [0, -1, NaN, Infinity]) {
    const line = { kind: 'material', material: peat, parts } as const
    const inner = { kind: 'mix', mix: 'm', parts: 1 } as const
    for (const found of [flattenRecipe([line], new Map()), flattenRecipe([inner], new Map([['m', [line]]]))])
      expect(found).toMatchObject({ ok: false, problem: { code: 'part-not-positive', value: parts } })
  }
})
