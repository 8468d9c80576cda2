/** A picture of pixels, each red, green, blue and how opaque it is, a byte each from the lowest up; zero is clear. */
export interface Picture {
  width: number
  height: number
  pixels: Uint32Array
}

/** #rgb is short for #rrggbb: style sheets are packed so. */
const long = (hex: string) => (hex.length === 4 ? hex.replaceAll(/[\da-f]/gi, '$&$&') : hex)

const rgb = (hex: string): [number, number, number] =>
  [1, 3, 5].map((i) => parseInt(long(hex).slice(i, i + 2), 16)) as [number, number, number]

/** Mixes two #rrggbb or #rgb colours, `t` of the second. */
export function between(a: string, b: string, t: number): string {
  const [p, q] = [rgb(a), rgb(b)]
  return `#${p
    .map((v, i) =>
      Math.round(v + (q[i]! - v) * t)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}

/** A #rrggbb or #rgb colour as an opaque pixel. */
export function colourNumber(hex: string): number {
  const [r, g, b] = rgb(hex)
  return ((255 << 24) | (b << 16) | (g << 8) | r) >>> 0
}

/** A picture without its clear margins, kept even on both sides so that its middle stays where it was. */
export function trim({ width, height, pixels }: Picture): Picture {
  let [left, top] = [width, height]
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (pixels[y * width + x]! >>> 24 > 0) {
        left = Math.min(left, x, width - 1 - x)
        top = Math.min(top, y, height - 1 - y)
      }
  const [w, h] = [Math.max(0, width - 2 * left), Math.max(0, height - 2 * top)]
  const kept = new Uint32Array(w * h)
  for (let y = 0; y < h; y++)
    kept.set(pixels.subarray((top + y) * width + left, (top + y) * width + left + w), y * w)
  return { width: w, height: h, pixels: kept }
}

/** Lays a small picture over a large one, its middle at (x, y); only where the large one is painted already. */
export function blendOver(on: Picture, small: Picture, x: number, y: number): void {
  const left = Math.round(x - small.width / 2)
  const top = Math.round(y - small.height / 2)
  const [from, to] = [Math.max(0, -left), Math.min(small.width, on.width - left)]
  for (let row = Math.max(0, -top); row < Math.min(small.height, on.height - top); row++) {
    let at = (top + row) * on.width + left + from
    for (let k = row * small.width + from; k < row * small.width + to; k++, at++) {
      const over = small.pixels[k]!
      const opaque = over >>> 24
      const under = on.pixels[at]!
      if (opaque === 0 || under === 0) continue
      if (opaque === 255) on.pixels[at] = over
      else {
        // Red and blue together, green alone; the sums stay below 2^32.
        const a = opaque + (opaque >> 7)
        const rb = (((over & 0xff00ff) * a + (under & 0xff00ff) * (256 - a)) / 256) & 0xff00ff
        const g = (((over & 0xff00) * a + (under & 0xff00) * (256 - a)) >>> 8) & 0xff00
        on.pixels[at] = (0xff000000 | rb | g) >>> 0
      }
    }
  }
}
