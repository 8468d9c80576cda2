import type { Container } from '@/core/geometry'
import { paintMix, type Painted } from './paint'
import { layoutSection, type Frame } from './section'

/** All that a picture is painted from, as plain data that crosses to a worker. */
export interface Painting {
  container: Container
  frame: Frame
  /** Device pixels for one of the page. */
  ratio: number
  slices: Painted['slices']
  shares: Painted['shares']
  colours: Painted['colours']
}

/** Paints a whole picture anew; an empty one where there is no mix. */
export function paintOn(canvas: HTMLCanvasElement | OffscreenCanvas, p: Painting): void {
  const width = Math.round(p.frame.width * p.ratio)
  const height = Math.round(p.frame.height * p.ratio)
  if (canvas.width !== width) canvas.width = width
  if (canvas.height !== height) canvas.height = height
  const g = canvas.getContext('2d') as CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D | null
  if (!g) return
  g.setTransform(1, 0, 0, 1, 0, 0)
  g.clearRect(0, 0, width, height)
  g.scale(p.ratio, p.ratio)
  paintMix(g, {
    layout: layoutSection(p.container, p.frame),
    slices: p.slices,
    shares: p.shares,
    colours: p.colours,
  })
}
