import { bodyOf, bodyRow, sectionWidth, shapeHeight, type Container, type Shape } from '@/core/geometry'

/** Where a container's section lies on the page, in px. */
export interface SectionLayout {
  /** px per cm, the same both ways. */
  scale: number
  /** Long containers are drawn in part: the cut shows as a torn edge on the right. */
  cutShort: boolean
  /** Left and right of the inside at a height, px. */
  left: (z: number) => number
  right: (z: number) => number
  y: (z: number) => number
  height: number
  mixHeight: number
}

export interface Frame {
  width: number
  height: number
  left: number
  right: number
  top: number
  bottom: number
}

/** A section more than this many times as wide as high is drawn in part. */
export const WIDEST = 1.9

/** The widest a section is anywhere, cm. */
export function widestOf(shape: Shape): number {
  const height = shapeHeight(shape)
  return Math.max(...[0, 0.25, 0.5, 0.75, 1].map((t) => sectionWidth(shape, t * height)))
}

/** Fits a container's section into the middle of a frame, to scale. */
export function layoutSection(container: Container, frame: Frame): SectionLayout {
  const { shape } = container
  const height = shapeHeight(shape)
  const widest = widestOf(shape)
  const room = {
    width: frame.width - frame.left - frame.right,
    height: frame.height - frame.top - frame.bottom,
  }
  // Seen from its end a gutter is drawn whole, however wide.
  const cutShort = bodyRow(bodyOf(shape)).seen === 'along' && widest > height * WIDEST
  const shown = cutShort ? Math.max(height * WIDEST, (room.width / room.height) * height * 0.9) : widest
  const drawn = Math.min(shown, widest)
  const scale = Math.min(room.width / drawn, room.height / height)
  const middle = frame.left + room.width / 2
  const floor = frame.top + (room.height + height * scale) / 2
  const lean = (z: number) => (sectionWidth(shape, z) - widest) / 2
  return {
    scale,
    cutShort: drawn < widest,
    left: (z) => middle - (drawn / 2 + lean(z)) * scale,
    right: (z) => (drawn < widest ? middle + (drawn / 2) * scale : middle + (drawn / 2 + lean(z)) * scale),
    y: (z) => floor - z * scale,
    height,
    mixHeight: Math.max(0, height - container.headspace),
  }
}

/** Points of the walls of a section up to a height, left rim to right rim; to the cut where it is drawn in part. */
export function wallLine(l: SectionLayout, top: number): string {
  const steps = Array.from({ length: 25 }, (_, i) => (top * i) / 24)
  const left = steps.map((z) => `${l.left(z)},${l.y(z)}`).reverse()
  const right = l.cutShort ? [`${l.right(0)},${l.y(0)}`] : steps.map((z) => `${l.right(z)},${l.y(z)}`)
  return [...left, ...right].join(' ')
}

/** Something that lies in a container from one height to another, cm above the base, and what it is called. */
export interface Band {
  name: string
  from: number
  to: number
}
/** The outline of a band of a section, px. */
export const bandLine = (l: SectionLayout, { from, to }: Band): string =>
  [
    [l.left(from), l.y(from)],
    [l.left(to), l.y(to)],
    [l.right(to), l.y(to)],
    [l.right(from), l.y(from)],
  ]
    .map((point) => point.join(','))
    .join(' ')

/** Something that lies in a container, so many cm thick. */
export interface Lying {
  name: string
  thickness: number
}

/** Layers from the base up and a cover on top of the mix, as bands of a section. */
export function bandsOf(layers: readonly Lying[], cover: Lying | null, mixTop: number): Band[] {
  let from = 0
  const bands = layers.flatMap(({ name, thickness }): Band[] => {
    const band = { name, from, to: from + thickness }
    from = band.to
    return thickness > 0 ? [band] : []
  })
  return cover ? [...bands, { name: cover.name, from: mixTop, to: mixTop + cover.thickness }] : bands
}

/** A torn edge where a long container goes on beyond the picture; null where it is drawn whole. */
export function tornEdge(l: SectionLayout, top: number): string | null {
  if (!l.cutShort) return null
  const [from, to] = [l.y(top) - 6, l.y(0) + 6]
  const at = (i: number) => `${l.right(0) + (i % 2 ? 5 : -5)},${from + ((to - from) * i) / 14}`
  return Array.from({ length: 15 }, (_, i) => at(i)).join(' ')
}
