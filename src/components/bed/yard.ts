import { heightForVolume, sectionWidth, shapeHeight, type Shape } from '@/core/geometry'
import type { Bed } from '@/model/garden/schemas'

/** A bed longer than this is drawn in part, cm. */
const LONGEST = 260
/** px between beds, for the name below one, and that one takes at the least. */
const GAP = 22
const LABEL = 66
const NARROWEST = 124
/** px round a drawing, for its line. */
export const EDGE = 3
/** px round the button it stands in. */
const PADDING = 20

/** A silhouette: size in px, points of its wall and of the mix in it. */
export interface Silhouette {
  width: number
  height: number
  wall: string
  mix: string
}

const upTo = (height: number, steps: number) =>
  Array.from({ length: steps + 1 }, (_, i) => (height * i) / steps)
const widestOf = (shape: Shape) =>
  Math.min(LONGEST, Math.max(...upTo(shapeHeight(shape), 12).map((z) => sectionWidth(shape, z))))

/** A container in section at a scale, px per cm. */
export function silhouetteOf(shape: Shape, headspace: number, scale: number): Silhouette {
  const tall = shapeHeight(shape)
  const widest = widestOf(shape)
  const at = (side: 1 | -1) => (z: number) => {
    const half = Math.min(LONGEST, sectionWidth(shape, z)) / 2
    return `${((widest / 2 + side * half) * scale + EDGE).toFixed(1)},${((tall - z) * scale + EDGE).toFixed(1)}`
  }
  const walls = upTo(tall, 12)
  const filled = upTo(Math.max(0, tall - headspace), 8)
  return {
    width: widest * scale + 2 * EDGE,
    height: tall * scale + 2 * EDGE,
    wall: [...[...walls].reverse().map(at(-1)), ...walls.map(at(1))].join(' '),
    mix: [...filled.map(at(-1)), ...[...filled].reverse().map(at(1))].join(' '),
  }
}

/** A container in section, as large as it fits into a frame, px. */
export const silhouetteIn = (
  shape: Shape,
  headspace: number,
  frame: { width: number; height: number },
): Silhouette =>
  silhouetteOf(shape, headspace, Math.min(frame.width / widestOf(shape), frame.height / shapeHeight(shape)))

/** A bucket of usual proportions that holds so many litres. */
export function bucketSilhouette(litres: number, scale: number): Silhouette {
  const shape: Shape = { kind: 'roundPot', topDiameter: 28, baseDiameter: 21, height: 60 }
  const height = heightForVolume(shape, litres)
  return silhouetteOf({ ...shape, height }, height * 0.05, scale)
}

export interface YardRow {
  beds: { bed: Bed; wide: number; tall: number }[]
  tall: number
}

/** Beds in the rows they stand in: only their sizes are needed for that. */
export function yardRows(beds: readonly Bed[], width: number, scale: number, bucket: Silhouette): YardRow[] {
  const rows: YardRow[] = []
  let used = bucket.width + 60 + GAP
  for (const bed of beds) {
    const { shape } = bed.vessel
    const tall = shapeHeight(shape) * scale + 2 * EDGE + LABEL
    const wanted = widestOf(shape) * scale + 2 * EDGE + PADDING
    const wide = Math.min(Math.max(NARROWEST, wanted), Math.max(NARROWEST, width))
    let row = rows.at(-1)
    if (!row || used + wide > width) {
      if (row) used = 0
      row = { beds: [], tall: 0 }
      rows.push(row)
    }
    row.beds.push({ bed, wide, tall })
    row.tall = Math.max(row.tall, tall)
    used += wide + GAP
  }
  if (rows[0]) rows[0].tall = Math.max(rows[0].tall, bucket.height + LABEL)
  return rows
}
