import { SIZE_CLASSES } from '@/core/mixing'
import type { ProfileSlice } from '@/core/water'
import { dice, drawGrain } from './grains'
import type { Look } from './looks'
import type { SectionLayout } from './section'

export interface Painted {
  layout: SectionLayout
  slices: readonly Pick<ProfileSlice, 'height' | 'solids' | 'water' | 'air'>[]
  /** Each part: how it looks, its size classes, its share. */
  shares: readonly { look: Look; sizeShares: readonly number[]; share: number }[]
  colours: { air: string; water: string }
}

/** Area drawn as whole grains. Grains hold pores of their own, so this is more than the solids: an impression. */
const GRAIN_COVER = 0.36
/** Grains are drawn this much larger than life, to be told apart. */
const GRAIN_SCALE = 2.5
const CELL = 3

const rgb = (hex: string): [number, number, number] =>
  [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16)) as [number, number, number]

/** Mixes two #rrggbb colours, `t` of the second. */
function between(a: string, b: string, t: number): string {
  const [p, q] = [rgb(a), rgb(b)]
  return `rgb(${p.map((v, i) => Math.round(v + (q[i]! - v) * t)).join(' ')})`
}

const TILE = 144
let pores: Float32Array | null = null

/**
 * A tile of blobs, like pores: smooth noise whose values are then replaced by their rank, so that a share t of the cells
 * lies below t whatever the blobs look like. Made once.
 */
function poreTile(): Float32Array {
  if (pores) return pores
  const roll = dice(3)
  const smooth = (period: number) => {
    const n = TILE / period
    const lattice = Array.from({ length: n * n }, () => roll())
    return (x: number, y: number) => {
      const [i, j] = [Math.floor(x / period), Math.floor(y / period)]
      const [u, v] = [x / period - i, y / period - j].map((t) => t * t * (3 - 2 * t)) as [number, number]
      const at = (a: number, b: number) => lattice[((b + n) % n) * n + ((a + n) % n)]!
      return (
        (at(i, j) * (1 - u) + at(i + 1, j) * u) * (1 - v) +
        (at(i, j + 1) * (1 - u) + at(i + 1, j + 1) * u) * v
      )
    }
  }
  const [coarse, fine] = [smooth(4), smooth(2)]
  const field = Array.from({ length: TILE * TILE }, (_, k) => {
    const [x, y] = [k % TILE, Math.floor(k / TILE)]
    return coarse(x, y) + 0.8 * fine(x, y) + 0.3 * roll()
  })
  const order = field.map((_, k) => k).sort((a, b) => field[a]! - field[b]!)
  pores = new Float32Array(TILE * TILE)
  order.forEach((k, rank) => (pores![k] = rank / (TILE * TILE)))
  return pores
}

/**
 * Paints the mix of a section: between the grains, the shares of fines, water and air at every depth are those of the
 * profile; the grains of each material lie there by its share and size, drawn larger than life.
 */
export function paintMix(
  g: CanvasRenderingContext2D | OffscreenCanvasRenderingContext2D,
  { layout, slices, shares, colours }: Painted,
) {
  const { left, right, y, mixHeight, scale } = layout
  if (slices.length === 0) return
  const steps = 24
  g.save()
  g.beginPath()
  for (let i = 0; i <= steps; i++) g.lineTo(left((mixHeight * i) / steps), y((mixHeight * i) / steps))
  for (let i = steps; i >= 0; i--) g.lineTo(right((mixHeight * i) / steps), y((mixHeight * i) / steps))
  g.closePath()
  g.clip()

  // Whole pixels, or the cells show seams.
  const top = Math.floor(y(mixHeight))
  const bottom = Math.ceil(y(0))
  const x0 = Math.floor(Math.min(left(0), left(mixHeight), left(mixHeight / 2)))
  const x1 = Math.max(right(0), right(mixHeight), right(mixHeight / 2))
  g.fillStyle = colours.air
  g.fillRect(x0, top, x1 - x0, bottom - top)

  const dz = slices.length > 1 ? slices[1]!.height - slices[0]!.height : mixHeight
  const sliceAt = (z: number) => slices[Math.min(slices.length - 1, Math.max(0, Math.floor(z / dz)))]!
  const fines = shares.map((s) => between(s.look.tint, s.look.edge, 0.25))
  const columns = Math.ceil((x1 - x0) / CELL)
  const rows = Math.ceil((bottom - top) / CELL)
  const waterDeep = between(colours.water, '#1f4a5c', 0.22)
  const tile = poreTile()
  for (let row = 0; row < rows; row++) {
    const slice = sliceAt(mixHeight - ((row + 0.5) * CELL) / scale)
    const dry = 1 - slice.solids * 0.5
    const wet = slice.water / (slice.water + slice.air || 1)
    for (let column = 0; column < columns; column++) {
      const u = tile[(row % TILE) * TILE + (column % TILE)]!
      const grit = tile[((row * 5 + 31) % TILE) * TILE + ((column * 7 + 57) % TILE)]!
      if (grit > dry) {
        let pick = (grit - dry) / (1 - dry)
        let k = 0
        while (k < shares.length - 1 && pick >= shares[k]!.share) pick -= shares[k++]!.share
        g.fillStyle = fines[k]!
      } else if (u < wet) g.fillStyle = u < wet * 0.35 ? waterDeep : colours.water
      else continue
      g.fillRect(x0 + column * CELL, top + row * CELL, CELL, CELL)
    }
  }

  // Grains of the classes that can be seen, as many as cover their share of the solids.
  const area = (x1 - x0) * (bottom - top)
  const roll = dice(11)
  const grains: { k: number; size: number }[] = []
  shares.forEach(({ sizeShares, share }, k) => {
    const seen = sizeShares.slice(0, 5)
    const whole = seen.reduce((s, v) => s + v, 0)
    if (whole <= 0) return
    seen.forEach((v, c) => {
      const size = Math.min(Math.max((SIZE_CLASSES[c]!.diameter / 10) * scale * GRAIN_SCALE, 4.5), 40)
      const count = (GRAIN_COVER * area * share * (v / whole)) / (0.62 * size * size)
      for (let i = 0; i < Math.min(3000, Math.round(count)); i++)
        grains.push({ k, size: size * (0.75 + 0.5 * roll()) })
    })
  })
  grains.sort((a, b) => b.size - a.size)
  for (const grain of grains)
    drawGrain(
      g,
      shares[grain.k]!.look,
      x0 + roll() * (x1 - x0),
      top + roll() * (bottom - top),
      grain.size,
      roll,
    )
  g.restore()
}
