import { trim, type Picture } from './colour'
import { dice, drawGrain } from './grains'
import type { Look } from './looks'
import type { GrainsOf } from './paint'

/** Different grains of one look and size: enough that the eye finds no pattern. */
const VARIANTS = 10

type Pen = CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D

/** A sheet to draw on and read back from; made once, for sheets are dear. */
function sheet(): Pen | null {
  const canvas =
    typeof OffscreenCanvas === 'undefined' ? document.createElement('canvas') : new OffscreenCanvas(1, 1)
  return canvas.getContext('2d', { willReadFrequently: true }) as Pen | null
}

/** Draws grains one below the other, and reads them back. */
function drawAll(g: Pen, look: Look, size: number, ratio: number): Picture[] {
  const side = Math.ceil((2 * size + 4) * ratio)
  const { canvas } = g
  if (canvas.width < side) canvas.width = side
  if (canvas.height < side * VARIANTS) canvas.height = side * VARIANTS
  g.setTransform(1, 0, 0, 1, 0, 0)
  g.clearRect(0, 0, side, side * VARIANTS)
  const roll = dice(7)
  for (let i = 0; i < VARIANTS; i++) {
    g.setTransform(ratio, 0, 0, ratio, side / 2, (i + 0.5) * side)
    drawGrain(g, look, { x: 0, y: 0, size }, roll)
  }
  const pixels = new Uint32Array(g.getImageData(0, 0, side, side * VARIANTS).data.buffer)
  return Array.from({ length: VARIANTS }, (_, i) =>
    trim({ width: side, height: side, pixels: pixels.subarray(i * side * side, (i + 1) * side * side) }),
  )
}

/** Grains drawn once for each look and size, and kept. */
export function grainPictures(): GrainsOf {
  let pen: Pen | null | undefined
  const drawn = new Map<string, Picture[]>()
  return (look, size, ratio) => {
    const key = `${look.grain} ${look.tint} ${look.edge} ${size.toFixed(1)} ${ratio}`
    let all = drawn.get(key)
    if (!all) {
      pen ??= sheet()
      drawn.set(key, (all = pen ? drawAll(pen, look, size, ratio) : []))
    }
    return all
  }
}
