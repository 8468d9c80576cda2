import { sectionWidth, type Shape } from '@/core/geometry'

/** Corners of a band of a shape at a scale, px; `at` says where a height lies. */
export function bandCorners(
  shape: Shape,
  { from, to }: { from: number; to: number },
  at: { middle: number; scale: number; y: (cm: number) => number },
): string {
  const x = (cm: number, side: number) => at.middle + (side * sectionWidth(shape, cm) * at.scale) / 2
  return [
    [x(from, -1), at.y(from)],
    [x(to, -1), at.y(to)],
    [x(to, 1), at.y(to)],
    [x(from, 1), at.y(from)],
  ]
    .map((p) => p.map((v) => v.toFixed(1)).join(','))
    .join(' ')
}
