import type { Container } from '@/core/geometry'
import { grainPictures } from './grainPictures'
import { paintMix, type Painted } from './paint'
import { layoutSection, type Frame } from './section'

/** All that a picture is painted from, as plain data that crosses to a worker. */
export interface Painting extends Omit<Painted, 'layout'> {
  container: Container
  frame: Frame
  /** Device pixels for one of the page. */
  ratio: number
}

const grainsOf = grainPictures()

/** Paints a whole picture anew; an empty one where there is no mix. */
export function paintOn(canvas: HTMLCanvasElement | OffscreenCanvas, p: Painting): void {
  const width = Math.round(p.frame.width * p.ratio)
  const height = Math.round(p.frame.height * p.ratio)
  if (canvas.width !== width) canvas.width = width
  if (canvas.height !== height) canvas.height = height
  const g = canvas.getContext('2d') as CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D | null
  if (!g) return
  g.clearRect(0, 0, width, height)
  const picture = paintMix({ ...p, layout: layoutSection(p.container, p.frame) }, p.ratio, grainsOf)
  if (!picture) return
  const bytes = new Uint8ClampedArray(picture.pixels.buffer as ArrayBuffer)
  g.putImageData(new ImageData(bytes, picture.width, picture.height), picture.x, picture.y)
}
