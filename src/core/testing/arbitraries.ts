import fc from 'fast-check'
import { MATERIALS, materialById } from '../data'
import { BODIES, shapeHeight, type Body, type Container, type SizeRow } from '../geometry'
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

/** A size of a shape, cm, within what gardens have; a share of a length is small. */
const anySize = ({ of, is }: SizeRow) =>
  of === 'share' ? size(0, 0.3) : is === 'height' ? size(4, 100) : size(10, 300)

/** Every shape that its sizes say whole: an outline of corners is tried by itself. */
export const anyShape: fc.Arbitrary<Body> = fc.oneof(
  ...Object.entries(BODIES)
    .filter(([kind]) => kind !== 'polygonBed')
    .map(([kind, { sizes }]) =>
      fc
        .record(Object.fromEntries(Object.entries(sizes).map(([key, row]) => [key, anySize(row)])))
        .map((drawn) => ({ kind, ...drawn }) as unknown as Body),
    ),
)

/** Base-drained containers with a lip of a tenth of their height. */
export const anyContainer: fc.Arbitrary<Container> = anyShape.map((shape) => ({
  shape,
  headspace: 0.1 * shapeHeight(shape),
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
