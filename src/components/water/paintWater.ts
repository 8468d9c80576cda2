import type { Below, Course } from '@/core/water/moving'
import type { GrainLayer } from '@/painting/grainLayer'
import type { SectionLayout } from '@/painting/section'

/** Colours of a picture, read from the page. */
export interface WaterColours {
  dry: string
  wet: string
  solids: string
  air: string
  water: string
  ink: string
}

type Rgb = readonly [number, number, number]
const rgbOf = (hex: string): Rgb => {
  const n = parseInt(hex.slice(1, 7), 16)
  return [(n >> 16) & 255, (n >> 8) & 255, n & 255]
}
const mixed = (a: Rgb, b: Rgb, t: number) =>
  `rgb(${a.map((x, i) => Math.round(x + (b[i]! - x) * t)).join(' ')})`

/** What is drawn beside the section: solids, water and air by depth, px wide. */
const STRIP = { gap: 14, wide: 46 } as const
export const STRIP_ROOM = STRIP.gap + STRIP.wide

/** What is drawn, and when. */
export interface WaterMoment {
  layout: SectionLayout
  course: Course
  /** A picture, and how far it is on the way to the next, 0 to 1. */
  at: { picture: number; part: number }
  colours: WaterColours
  /** Heights of the edges of the cells, cm, one more than there are cells. */
  edges: Float64Array
  /** Height of the top of the layers below the mix, cm. */
  floor: number
  below: Below
  /** The mix's own grains, laid over the water; null where they are not shown. */
  grains: GrainLayer | null
}

/** Every cell in the colour of how full its pores are, and the strip of solids, water and air beside it. */
function paintCells(ctx: CanvasRenderingContext2D, moment: WaterMoment, x: number): void {
  const { layout, course, at, colours, edges } = moment
  const cells = course.heights.length
  const [dry, wet] = [rgbOf(colours.dry), rgbOf(colours.wet)]
  const next = Math.min(course.times.length - 1, at.picture + 1)
  for (let i = 0; i < cells; i++) {
    const [low, high] = [edges[i]!, edges[i + 1]!]
    const [y0, y1] = [layout.y(low), layout.y(high)]
    const before = course.water[at.picture * cells + i]!
    const water = before + at.part * (course.water[next * cells + i]! - before)
    const pores = course.pores[i]!
    ctx.fillStyle = mixed(dry, wet, Math.min(1, water / pores))
    ctx.beginPath()
    ctx.moveTo(layout.left(low), y0 + 1)
    ctx.lineTo(layout.right(low), y0 + 1)
    ctx.lineTo(layout.right(high), y1)
    ctx.lineTo(layout.left(high), y1)
    ctx.fill()
    ctx.fillStyle = colours.solids
    ctx.fillRect(x, y1, STRIP.wide * (1 - pores), y0 - y1 + 1)
    ctx.fillStyle = colours.water
    ctx.fillRect(x + STRIP.wide * (1 - pores), y1, STRIP.wide * water, y0 - y1 + 1)
    ctx.fillStyle = colours.air
    ctx.fillRect(x + STRIP.wide * (1 - pores + water), y1, STRIP.wide * (pores - water), y0 - y1 + 1)
  }
  ctx.strokeStyle = colours.ink
  ctx.strokeRect(x, layout.y(layout.mixHeight), STRIP.wide, layout.y(0) - layout.y(layout.mixHeight))
}

/** The grains of the mix between the walls, from the floor up. */
function paintGrains(ctx: CanvasRenderingContext2D, { layout, floor, grains }: WaterMoment): void {
  if (!grains) return
  const heights = Array.from({ length: 13 }, (_, i) => floor + ((layout.mixHeight - floor) * i) / 12)
  ctx.save()
  ctx.beginPath()
  for (const z of heights) ctx.lineTo(layout.left(z), layout.y(z))
  for (const z of heights.reverse()) ctx.lineTo(layout.right(z), layout.y(z))
  ctx.clip()
  ctx.drawImage(grains.image, grains.x, grains.y, grains.width, grains.height)
  ctx.restore()
}

/** Where the mix ends and a layer below begins. */
function paintFloor(ctx: CanvasRenderingContext2D, layout: SectionLayout, floor: number): void {
  ctx.setLineDash([5, 4])
  ctx.beginPath()
  ctx.moveTo(layout.left(floor), layout.y(floor))
  ctx.lineTo(layout.right(floor), layout.y(floor))
  ctx.stroke()
  ctx.setLineDash([])
}

/** Water standing on the surface, so many cm of it. */
function paintPond(ctx: CanvasRenderingContext2D, layout: SectionLayout, pond: number): void {
  const [left, right] = [layout.left(layout.mixHeight), layout.right(layout.mixHeight)]
  const top = layout.y(Math.min(layout.height, layout.mixHeight + pond))
  ctx.fillRect(left, top, right - left, layout.y(layout.mixHeight) - top)
}

/** Less water than this on the surface does not show, cm. */
const SHOWS = 0.02

/**
 * Draws a container at one moment: every cell in the colour of how full its pores are, water standing on top and in
 * a saucer or tray, and the strip of solids, water and air.
 */
export function paintWater(ctx: CanvasRenderingContext2D, moment: WaterMoment): void {
  const { layout, course, at, colours, floor, below } = moment
  const next = Math.min(course.times.length - 1, at.picture + 1)
  const still = (list: Float32Array) => list[at.picture]! + at.part * (list[next]! - list[at.picture]!)
  const right = Math.max(layout.right(0), layout.right(layout.mixHeight), layout.right(layout.mixHeight / 2))
  const dish = below.kind === 'free' ? 0 : (layout.right(0) - layout.left(0)) * DISH.out
  paintCells(ctx, moment, Math.max(right, layout.right(0) + dish) + STRIP.gap)
  paintGrains(ctx, moment)
  if (floor > 0) paintFloor(ctx, layout, floor)
  ctx.fillStyle = colours.water
  const pond = still(course.onSurface)
  if (pond > SHOWS) paintPond(ctx, layout, pond)
  if (below.kind !== 'free') paintDish(ctx, { layout, colours, below, water: still(course.inSaucer) })
}

/** How far a dish stands out on either side, share of the foot; its rim, cm, where it is kept filled to some height. */
const DISH = { out: 0.14, rim: 1 } as const

/** A saucer or tray below, with the water in it. */
function paintDish(
  ctx: CanvasRenderingContext2D,
  {
    layout,
    below,
    water,
    colours,
  }: Pick<WaterMoment, 'layout' | 'colours'> & { below: Exclude<Below, { kind: 'free' }>; water: number },
): void {
  const [l, r, ground] = [layout.left(0), layout.right(0), layout.y(0)]
  const out = (r - l) * DISH.out
  const depth = below.kind === 'saucer' ? below.depth : below.height + DISH.rim
  const level = below.kind === 'saucer' ? water : below.height
  ctx.fillStyle = colours.water
  for (const x of [l - out, r]) ctx.fillRect(x, layout.y(level), out, ground - layout.y(level))
  ctx.strokeStyle = colours.ink
  ctx.lineWidth = 2
  ctx.beginPath()
  ctx.moveTo(l - out - 3, layout.y(depth))
  ctx.lineTo(l - out, ground + 4)
  ctx.lineTo(r + out, ground + 4)
  ctx.lineTo(r + out + 3, layout.y(depth))
  ctx.stroke()
  ctx.lineWidth = 1
}
