import fc from 'fast-check'
import { MATERIALS, materialById } from '../data'
import type { Container, Shape } from '../geometry'
import { prepareMaterial, type BlendPart, type PreparedMaterial } from '../mixing'

const prepared = new Map<string, PreparedMaterial>()

/** A material from the tables, prepared once for all tests. */
export function material(id: string): PreparedMaterial {
  let found = prepared.get(id)
  if (!found) {
    const row = materialById(id)
    if (!row) throw new Error(`no material ${id}`)
    found = prepareMaterial(row)
    prepared.set(id, found)
  }
  return found
}

/** Parts by id, for worked examples: `parts({ peat_medium: 1, vermiculite_medium: 1 })`. */
export const parts = (amounts: Record<string, number>): BlendPart[] =>
  Object.entries(amounts).map(([id, n]) => ({ material: material(id), parts: n }))

const size = (min: number, max: number) => fc.double({ min, max, noNaN: true })

export const anyShape: fc.Arbitrary<Shape> = fc.oneof(
  fc.record({
    kind: fc.constant('roundPot' as const),
    topDiameter: size(5, 120),
    baseDiameter: size(5, 120),
    height: size(4, 100),
  }),
  fc.record({
    kind: fc.constant('box' as const),
    topLength: size(10, 400),
    topWidth: size(8, 150),
    baseLength: size(10, 400),
    baseWidth: size(8, 150),
    height: size(4, 100),
  }),
  fc.record({
    kind: fc.constant('oval' as const),
    topLength: size(10, 200),
    topWidth: size(8, 150),
    baseLength: size(10, 200),
    baseWidth: size(8, 150),
    height: size(4, 100),
  }),
  fc.record({
    kind: fc.constant('fabricBag' as const),
    diameter: size(10, 150),
    height: size(10, 80),
    bulge: size(0, 0.3),
  }),
  fc.record({ kind: fc.constant('halfCylinder' as const), length: size(20, 300), diameter: size(10, 100) }),
)

/** Base-drained containers with a lip of a tenth of their height. */
export const anyContainer: fc.Arbitrary<Container> = anyShape.map((shape) => ({
  shape,
  headspace:
    0.1 * (shape.kind === 'halfCylinder' ? shape.diameter / 2 : 'height' in shape ? shape.height : 0),
  base: { kind: 'drainHoles' },
}))

/** One to five different materials in whole, half, third or quarter parts. */
export const anyParts: fc.Arbitrary<BlendPart[]> = fc
  .uniqueArray(fc.constantFrom(...MATERIALS.map((m) => m.id)), { minLength: 1, maxLength: 5 })
  .chain((ids) =>
    fc
      .array(fc.constantFrom(3, 4, 6, 8, 9, 12, 24, 36), { minLength: ids.length, maxLength: ids.length })
      .map((amounts) => ids.map((id, i) => ({ material: material(id), parts: amounts[i]! }))),
  )
