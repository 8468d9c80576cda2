import { BODIES, sizesOf, type Body } from '@/core/geometry'
import { startingVessel } from '../garden/startingVessel'
import { baseOf, bodyOf, OUTLETS, outletOf, withBody } from '../garden/vessel'
import { VESSEL_KINDS, vesselNamed } from '../garden/vesselKinds'
import type { Vessel } from '../garden/schemas'
import type { CellReader, CellWriter } from './cells'

/** What the sizes of all shapes are headed, each once. */
const SIZES = [
  ...new Set(Object.values(BODIES).flatMap(({ sizes }) => Object.values(sizes).map(({ is }) => is))),
]
/** Columns that tell of what is filled, in the order they are written. */
export const VESSEL_COLUMNS = [
  'shape',
  'count',
  ...SIZES,
  'corners',
  'heaped',
  'lip',
  'water leaves',
  'hole height',
] as const

/** Those of its columns that are lengths. */
export const VESSEL_LENGTHS: ReadonlySet<string> = new Set([
  ...Object.values(BODIES).flatMap(({ sizes }) =>
    Object.values(sizes).flatMap(({ of, is }) => (of === 'share' ? [] : [is])),
  ),
  'corners',
  'heaped',
  'lip',
  'hole height',
])

/** A vessel as the cells of its row; `corners` as "0,0 240,0 …" from above. */
export function vesselToCells(vessel: Vessel, write: CellWriter): Record<string, string> {
  const { shape, base } = vessel
  const body = bodyOf(vessel)
  const sizes = sizesOf(body).map(([, value, { of, is }]) => [
    is,
    of === 'share' ? write.measure(value * 100, 'number') : write.measure(value),
  ])
  return {
    shape: vessel.kind,
    count: String(vessel.count),
    ...(Object.fromEntries(sizes) as Record<string, string>),
    corners:
      'corners' in body
        ? body.corners.map((c) => `${write.measure(c.x)},${write.measure(c.y)}`).join(' ')
        : '',
    heaped: write.measure(shape.kind === 'mounded' ? shape.moundHeight : undefined),
    lip: write.measure(vessel.headspace),
    'water leaves': outletOf(vessel),
    'hole height': write.measure(base.kind === 'sideHoles' ? base.height : undefined),
  }
}

const CORNERS_WANTED = 'pairs such as 0,0 240,0 240,120'
function cornersFrom(read: CellReader) {
  const pairs = read.text('corners').split(/\s+/).filter(Boolean)
  return pairs.map((pair) => {
    // Plain numbers: between commas there is no other reading.
    const [, across = '', along = ''] = /^(-?\d+(?:\.\d+)?),(-?\d+(?:\.\d+)?)$/.exec(pair) ?? []
    const [x, y] = [read.lengthIn('corners', across), read.lengthIn('corners', along)]
    return x === null || y === null ? read.wrong('corners', CORNERS_WANTED) : { x, y }
  })
}

/** The sides of a row: sizes left out are the usual ones; a base left out is as wide as the top that is given. */
function bodyFrom(usual: Body, read: CellReader): Body {
  const sizes: Record<string, number> = {}
  for (const [key, value, { of, is }] of sizesOf(usual)) {
    const top = is.replace(/^base /, '')
    const otherwise = top !== is && !read.isEmpty('length') ? topOf(usual, sizes, top) : value
    sizes[key] = of === 'share' ? read.measure(is, value * 100, 'number') / 100 : read.measure(is, otherwise)
  }
  const corners = 'corners' in usual ? cornersFrom(read) : []
  return { ...usual, ...sizes, ...(corners.length > 0 ? { corners } : {}) } as Body
}
/** The size above a base, as it was read: rows name the top before the base. */
const topOf = (body: Body, read: Record<string, number>, is: string) =>
  read[sizesOf(body).find(([, , row]) => row.is === is)![0]]!

/** A vessel from the cells of a row; what is left out is as usual for its shape. Throws a `CellWrong`. */
export function vesselFromCells(read: CellReader): Vessel {
  const kind = read.isEmpty('shape')
    ? 'roundPot'
    : (vesselNamed(read.text('shape')) ?? read.wrong('shape', VESSEL_KINDS.join(', ')))
  const usual = startingVessel(kind)
  const { shape } = withBody(usual, bodyFrom(bodyOf(usual), read))
  const base = baseOf(read.choice('water leaves', OUTLETS, outletOf(usual)))
  return {
    kind,
    shape:
      shape.kind === 'mounded' ? { ...shape, moundHeight: read.measure('heaped', shape.moundHeight) } : shape,
    headspace: read.measure('lip', usual.headspace),
    base: base.kind === 'sideHoles' ? { ...base, height: read.measure('hole height', base.height) } : base,
    count: read.measure('count', 1, 'number'),
  }
}
