import { grainPictures } from './grainPictures'
import { paintGrainsAlone, type PaintedPart } from './paint'
import type { SectionLayout } from './section'

/** Grains of a mix on clear ground, and where they lie on the page, px. */
export interface GrainLayer {
  image: HTMLCanvasElement
  x: number
  y: number
  width: number
  height: number
}

/** Makes layers of grains; each look and size is drawn once for as long as this is kept. */
export function grainLayers(): (
  layout: SectionLayout,
  parts: readonly PaintedPart[],
  ratio: number,
) => GrainLayer | null {
  const grainsOf = grainPictures()
  return (layout, parts, ratio) => {
    const picture = paintGrainsAlone({ layout, parts }, ratio, grainsOf)
    const image = document.createElement('canvas')
    const pen = image.getContext('2d')
    if (!picture || !pen) return null
    image.width = picture.width
    image.height = picture.height
    const bytes = new Uint8ClampedArray(picture.pixels.buffer as ArrayBuffer)
    pen.putImageData(new ImageData(bytes, picture.width, picture.height), 0, 0)
    const [x, y, width, height] = [picture.x, picture.y, picture.width, picture.height].map((v) => v / ratio)
    return { image, x: x!, y: y!, width: width!, height: height! }
  }
}
