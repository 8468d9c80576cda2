import { SIZE_CLASSES } from '@/core/mixing'
import type { ProfileSlice } from '@/core/water'
import { blendOver, between, colourNumber, type Picture } from './colour'
import { dice } from './grains'
import type { Look } from './looks'
import type { SectionLayout } from './section'

/** One part as it is painted. */
export interface PaintedPart {
  /** Starts its dice: the grains of a material lie in the same places however much of it there is. */
  id: string
  look: Look
  /** Share of each size class, coarse to fine. */
  sizeShares: readonly number[]
  share: number
}

export interface Painted {
  layout: SectionLayout
  /** See `packSlices`. */
  slices: Float32Array
  parts: readonly PaintedPart[]
  colours: { air: string; water: string }
}

/** Grains drawn beforehand: some of one look and size (px of the page), `ratio` pixels to each px. */
export type GrainsOf = (look: Look, size: number, ratio: number) => readonly Picture[]

/** A picture and where its top left corner lies. */
export interface PlacedPicture extends Picture {
  x: number
  y: number
}

/** Area drawn as whole grains. Grains hold pores of their own, so this is more than the solids: an impression. */
const GRAIN_COVER = 0.36
/** Grains are drawn this much larger than life, to be told apart. */
const GRAIN_SCALE = 2.5
/** Side of a spot of water, air or fines, px of the page. */
const CELL = 3
/** Grains of one material and size class, at most. */
const MOST_GRAINS = 3000
/** Sizes of grains are stepped by this factor, coarse first, so that fines lie over them. */
const SIZE_STEP = 1.12

const TILE = 144
let pores: Float32Array | null = null

/**
 * A tile of blobs, like pores: smooth noise whose values are then replaced by their rank, so that a share t of the
 * cells lies below t whatever the blobs look like. Made once.
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

/** Slices of a profile as plain numbers, four for each: height in cm, solids, water, air. Cheap to send to a worker. */
export function packSlices(slices: readonly ProfileSlice[]): Float32Array {
  const packed = new Float32Array(4 * slices.length)
  slices.forEach((s, i) => packed.set([s.height, s.solids, s.water, s.air], 4 * i))
  return packed
}

/** The same start for the same material in every painting. */
const seedOf = (name: string) =>
  [...name].reduce((seed, c) => Math.imul(seed ^ c.charCodeAt(0), 16777619), 0x811c9dc5)

/** Colours of the spots of a row, for the slice at its depth. */
function spotsOf({ slices, parts, colours }: Painted) {
  const tile = poreTile()
  const fines = parts.map((p) => colourNumber(between(p.look.tint, p.look.edge, 0.25)))
  const [air, water] = [colourNumber(colours.air), colourNumber(colours.water)]
  const deep = colourNumber(between(colours.water, '#1f4a5c', 0.22))
  const upTo: number[] = []
  parts.reduce((sum, p) => (upTo.push(sum + p.share), sum + p.share), 0)
  let k = slices.length / 4 - 1
  /** Rows are asked for from the top down. */
  return (row: number, z: number, spots: Uint32Array) => {
    while (k > 0 && Math.abs(slices[4 * k - 4]! - z) <= Math.abs(slices[4 * k]! - z)) k--
    const [solids, wetness, empty] = [slices[4 * k + 1]!, slices[4 * k + 2]!, slices[4 * k + 3]!]
    const dry = 1 - solids * 0.5
    const wet = wetness / (wetness + empty || 1)
    const [own, other] = [(row % TILE) * TILE, ((row * 5 + 31) % TILE) * TILE]
    for (let c = 0; c < spots.length; c++) {
      const grit = tile[other + ((c * 7 + 57) % TILE)]!
      if (grit > dry) {
        const pick = (grit - dry) / (1 - dry)
        let part = 0
        while (part < upTo.length - 1 && pick >= upTo[part]!) part++
        spots[c] = fines[part] ?? air
      } else {
        const u = tile[own + (c % TILE)]!
        spots[c] = u < wet ? (u < wet * 0.35 ? deep : water) : air
      }
    }
  }
}

/** Spots of fines, water and air between the walls: at every depth their shares are those of the profile. */
function paintPores({ pixels, width, height, x }: PlacedPicture, painted: Painted, ratio: number) {
  const { left, right, mixHeight, scale } = painted.layout
  const cell = CELL * ratio
  const fill = spotsOf(painted)
  const spots = new Uint32Array(Math.ceil(width / cell))
  const spotAt = Uint16Array.from({ length: width }, (_, px) => Math.floor(px / cell))
  const line = new Uint32Array(width)
  let row = -1
  for (let py = 0; py < height; py++) {
    if (Math.floor(py / cell) !== row) {
      row = Math.floor(py / cell)
      fill(row, mixHeight - ((row + 0.5) * CELL) / scale, spots)
      for (let px = 0; px < width; px++) line[px] = spots[spotAt[px]!]!
    }
    const z = Math.max(0, mixHeight - py / ratio / scale)
    const from = Math.max(0, Math.round(left(z) * ratio) - x)
    const to = Math.min(width, Math.round(right(z) * ratio) - x)
    pixels.set(line.subarray(from, to), py * width + from)
  }
}

/**
 * Grains that can be seen, as many of each material and size class as cover its share of the solids; coarse ones
 * first.
 */
function paintGrains(
  picture: Picture,
  { layout, parts }: Pick<Painted, 'layout' | 'parts'>,
  ratio: number,
  grainsOf: GrainsOf,
) {
  const area = (picture.width * picture.height) / ratio ** 2
  const steps: { look: Look; at: number[] }[][] = []
  for (const { id, look, sizeShares, share } of parts) {
    const seen = sizeShares.slice(0, 5)
    const whole = seen.reduce((s, v) => s + v, 0)
    if (whole <= 0) continue
    seen.forEach((v, c) => {
      const roll = dice(seedOf(`${id} ${c}`))
      const size = Math.min(Math.max((SIZE_CLASSES[c]!.diameter / 10) * layout.scale * GRAIN_SCALE, 4.5), 40)
      const count = Math.round((GRAIN_COVER * area * share * (v / whole)) / (0.62 * size * size))
      const own: number[][] = []
      for (let i = 0; i < Math.min(MOST_GRAINS, count); i++) {
        const step = Math.round(Math.log(size * (0.75 + 0.5 * roll())) / Math.log(SIZE_STEP))
        ;(own[step] ??= []).push(roll() * picture.width, roll() * picture.height, roll())
      }
      own.forEach((at, step) => (steps[step] ??= []).push({ look, at }))
    })
  }
  for (let step = steps.length - 1; step >= 0; step--)
    for (const { look, at } of steps[step] ?? []) {
      const grains = grainsOf(look, SIZE_STEP ** step, ratio)
      for (let i = 0; i < at.length && grains.length > 0; i += 3)
        blendOver(picture, grains[Math.floor(at[i + 2]! * grains.length)]!, at[i]!, at[i + 1]!)
    }
}

/** A pixel that is as good as clear, and yet painted: grains lie on it, their edges soft against moist ground. */
const CLEAR = 0x016a7c7f

/**
 * The grains of a mix alone, on clear ground: to be laid over water that moves. As `paintMix` has them, and cut off
 * where the picture ends, not at the walls; null where there is no mix.
 */
export function paintGrainsAlone(
  painted: Pick<Painted, 'layout' | 'parts'>,
  ratio: number,
  grainsOf: GrainsOf,
): PlacedPicture | null {
  const frame = frameOf(painted.layout, ratio)
  if (!frame || painted.parts.length === 0) return null
  const picture = { ...frame, pixels: new Uint32Array(frame.width * frame.height).fill(CLEAR) }
  paintGrains(picture, painted, ratio, grainsOf)
  return picture
}

/** Where the mix of a section lies, pixels; null where there is no room for any. */
function frameOf({ left, right, y, mixHeight }: SectionLayout, ratio: number) {
  const heights = [0, 0.25, 0.5, 0.75, 1].map((t) => t * mixHeight)
  const x0 = Math.floor(Math.min(...heights.map(left)) * ratio)
  const x1 = Math.ceil(Math.max(...heights.map(right)) * ratio)
  const top = Math.floor(y(mixHeight) * ratio)
  const bottom = Math.ceil(y(0) * ratio)
  const [width, height] = [x1 - x0, bottom - top]
  return width > 0 && height > 0 ? { x: x0, y: top, width, height } : null
}

/**
 * The mix of a section as a picture, `ratio` pixels for one of the page; null where there is none. Between the
 * grains, the shares of fines, water and air at every depth are those of the profile; the grains of each material lie
 * there by its share and size, drawn larger than life. Outside the walls nothing is painted.
 */
export function paintMix(painted: Painted, ratio: number, grainsOf: GrainsOf): PlacedPicture | null {
  const frame = painted.slices.length === 0 ? null : frameOf(painted.layout, ratio)
  if (!frame) return null
  const picture = { ...frame, pixels: new Uint32Array(frame.width * frame.height) }
  paintPores(picture, painted, ratio)
  paintGrains(picture, painted, ratio, grainsOf)
  return picture
}
