import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import type { Container } from '@/core/geometry'
import { blendOver, colourNumber, trim, type Picture } from './colour'
import { packSlices, paintGrainsAlone, paintMix, type Painted, type PaintedPart } from './paint'
import { bandsOf, layoutSection } from './section'
import { marksOf } from './strip'
import { strip as says } from '@/text/components/cutaway'

const tokens = readFileSync('src/styles/tokens.css', 'utf8')
const TUB: Container = {
  shape: { kind: 'roundPot', topDiameter: 40, baseDiameter: 30, height: 30 },
  headspace: 3,
  base: { kind: 'drainHoles' },
}
const layout = layoutSection(TUB, { width: 420, height: 340, left: 50, right: 60, top: 20, bottom: 20 })
const [AIR, WATER] = ['#fff8e8', '#4f8fae']
/** Dry at the top, all water at the foot. */
const slices = packSlices(
  Array.from({ length: 90 }, (_, i) => {
    const water = 0.8 * (1 - i / 89)
    return { height: (i + 0.5) * 0.3, volume: 1, tension: 0, solids: 0.2, water, air: 0.8 - water }
  }),
)
const painted = (parts: PaintedPart[]): Painted => ({
  layout,
  slices,
  parts,
  colours: { air: AIR, water: WATER },
})
const part = (id: string, tint: string, share: number): PaintedPart => ({
  id,
  look: { tint, edge: tint, grain: 'crumb' },
  sizeShares: [0, 0, 1, 0, 0, 0, 0, 0],
  share,
})
const none = () => []
/** Every grain a single pixel of its tint, so that its place can be seen. */
const dots = (look: { tint: string }) => [
  { width: 1, height: 1, pixels: Uint32Array.of(colourNumber(look.tint)) },
]
const countOf = (pixels: Iterable<number>, colour: number) => [...pixels].filter((p) => p === colour).length
const placesOf = ({ pixels }: Picture, hex: string) =>
  new Set([...pixels.keys()].filter((i) => pixels[i] === colourNumber(hex)))

describe('in every look', () => {
  // The bright-sun look painted air red: packing had made #ffffff of air to #fff, which was read as another colour.
  const themes = [...tokens.matchAll(/--air: (#[\da-f]{3,6});/g)].map((m) => m[1]!)
  const waters = [...tokens.matchAll(/--water: (#[\da-f]{3,6});/g)].map((m) => m[1]!)
  const packed = (hex: string) => hex.replace(/^#(.)\1(.)\2(.)\3$/, '#$1$2$3')
  const bytes = (pixel: number) => [pixel & 255, (pixel >>> 8) & 255, (pixel >>> 16) & 255, pixel >>> 24]
  it.each(themes.map((air, i) => [air, waters[i]!]))(
    'air %s is painted as it is, long or packed',
    (air, water) => {
      const [r, g, b] = bytes(colourNumber(air))
      expect([r, g, b].map((v) => v!.toString(16).padStart(2, '0')).join('')).toBe(air.slice(1))
      const pictures = [air, packed(air)].map((colour) =>
        paintMix({ ...painted([]), colours: { air: colour, water: packed(water) } }, 1, none)!,
      )
      expect(countOf(pictures[0]!.pixels, colourNumber(air))).toBeGreaterThan(1000)
      expect(pictures[1]!.pixels).toEqual(pictures[0]!.pixels)
    },
  )
  it('there are three looks at least', () => expect(themes.length).toBeGreaterThanOrEqual(3))
})

describe('grains alone, to lie over water that moves', () => {
  it('lie where those of the whole picture lie, on ground as good as clear', () => {
    const parts = [part('peat', '#00ff00', 0.5), part('perlite', '#ff00ff', 0.5)]
    const [alone, whole] = [paintGrainsAlone({ layout, parts }, 1, dots)!, paintMix(painted(parts), 1, dots)!]
    expect([alone.x, alone.y, alone.width, alone.height]).toEqual([
      whole.x,
      whole.y,
      whole.width,
      whole.height,
    ])
    const seen = placesOf(alone, '#ff00ff')
    expect(seen.size).toBeGreaterThan(100)
    const ground = [...alone.pixels].filter((p) => p >>> 24 === 1).length
    expect(ground + seen.size + placesOf(alone, '#00ff00').size).toBe(alone.pixels.length)
  })
  it('are none of a mix of nothing', () =>
    expect(paintGrainsAlone({ layout, parts: [] }, 1, dots)).toBeNull())
})

describe('the mix of a section, painted', () => {
  it('has as much water among air and water as the profile, at every depth', () => {
    const picture = paintMix(painted([part('peat', '#00ff00', 1)]), 1, none)!
    const [air, fines] = [colourNumber(AIR), colourNumber('#00ff00')]
    for (const t of [0.15, 0.5, 0.85]) {
      const row = Math.round(picture.height * t)
      const band = [...picture.pixels.subarray((row - 15) * picture.width, (row + 15) * picture.width)]
      const pores = band.filter((p) => p !== 0 && p !== fines)
      // Depth t from the top is all but t wet; 30 rows of blobs are known to about a tenth.
      expect(Math.abs(1 - countOf(pores, air) / pores.length - t)).toBeLessThan(0.1)
      // Half the solids are drawn as fines, the rest as grains.
      expect(countOf(band, fines) / band.filter((p) => p !== 0).length).toBeCloseTo(0.1, 1)
    }
  })

  it('ends at the walls', () => {
    const picture = paintMix(painted([]), 1, none)!
    const row = (y: number) => [...picture.pixels.subarray(y * picture.width, (y + 1) * picture.width)]
    const inside = (y: number) => row(y).filter((p) => p !== 0).length
    // The base is 30 cm wide, the mix 39 cm at its top.
    expect(inside(picture.height - 2) / inside(1)).toBeCloseTo(30 / 39, 1)
    expect(row(picture.height - 2)[0]).toBe(0)
  })

  it('keeps the grains of a material where they lie when there is less of it', () => {
    const much = placesOf(paintMix(painted([part('perlite', '#ff0000', 1)]), 1, dots)!, '#ff0000')
    const little = placesOf(
      paintMix(painted([part('perlite', '#ff0000', 0.4), part('peat', '#00ff00', 0.6)]), 1, dots)!,
      '#ff0000',
    )
    expect(little.size).toBeGreaterThan(30)
    expect(little.size / much.size).toBeCloseTo(0.4, 1)
    // Save for a few that a grain of the other has come to lie on.
    const moved = [...little].filter((place) => !much.has(place))
    expect(moved).toEqual([])
  })

  it('is painted finer where a px of the page has more pixels', () => {
    const [one, two] = [1, 2].map((ratio) => paintMix(painted([]), ratio, none)!)
    expect(two!.width / one!.width).toBeCloseTo(2, 1)
    expect(two!.x / one!.x).toBeCloseTo(2, 1)
  })

  it('is nothing where there is no mix', () => {
    expect(paintMix({ ...painted([]), slices: packSlices([]) }, 1, none)).toBeNull()
  })
})

describe('one picture over another', () => {
  const of = (width: number, ...pixels: number[]): Picture => ({
    width,
    height: pixels.length / width,
    pixels: Uint32Array.from(pixels),
  })
  it('covers, lets through, and leaves what is clear below it clear', () => {
    const on = of(3, colourNumber('#000000'), colourNumber('#000000'), 0)
    blendOver(on, of(3, colourNumber('#ffffff'), 0x80ffffff, colourNumber('#ffffff')), 1.5, 0.5)
    expect([...on.pixels].map((p) => p.toString(16))).toEqual(['ffffffff', 'ff808080', '0'])
  })
  it('is cut off at the edges', () => {
    const on = of(2, ...Array(4).fill(colourNumber('#000000')))
    blendOver(on, of(2, ...Array(4).fill(colourNumber('#ffffff'))), 0, 0)
    expect(countOf(on.pixels, colourNumber('#ffffff'))).toBe(1)
  })
  it('keeps its middle when its clear margins are cut away', () => {
    const wide = of(5, 0, 0, 0, 7 << 24, 0)
    const kept = trim(wide)
    expect([kept.width, kept.height, [...kept.pixels]]).toEqual([3, 1, [0, 0, 7 << 24]])
  })
})

describe('what lies in a container besides its mix', () => {
  const at = (height: number, air: number) => ({
    height,
    volume: 1,
    tension: 0,
    solids: 0.2,
    water: 0.8 - air,
    air,
  })
  it('T3: layers lie from the base up, a cover on the mix, each at its height', () => {
    const layers = [
      { name: 'Expanded clay', thickness: 8 },
      { name: 'Cloth', thickness: 0 },
      { name: 'Grit', thickness: 2 },
    ]
    expect(bandsOf(layers, { name: 'Bark', thickness: 3 }, layout.mixHeight)).toEqual([
      { name: 'Expanded clay', from: 0, to: 8 },
      { name: 'Grit', from: 8, to: 10 },
      { name: 'Bark', from: 27, to: 30 },
    ])
    expect(bandsOf([], null, 27)).toEqual([])
  })
  it('what is written beside the strip fits beside it, on a phone too: 65 px are 11 letters of its size', () => {
    for (const words of Object.values(says)) expect(words.length, words).toBeLessThanOrEqual(11)
  })
  it('T4: the foot is that of the mix: on gravel it is wet, not as airy as the gravel', () => {
    // Three cm of gravel full of air below a mix that is full of water at its own foot.
    const slices = Array.from({ length: 270 }, (_, i) => {
      const height = (i + 0.5) * 0.1
      return at(height, height < 3 ? 0.4 : Math.min(0.3, (height - 3) / 100))
    })
    const profile = { slices, layers: [] } as never
    const foot = (floor: number) => marksOf(layout, profile, floor).at(-1)!
    expect([foot(0).air, foot(0).words]).toEqual(['40 %', 'at the foot'])
    expect([foot(3).air, foot(3).words]).toEqual(['1 %', 'on layers'])
    // A twentieth of the way up the mix.
    expect(foot(3).y).toBeCloseTo(layout.y(3 + 0.05 * (layout.mixHeight - 3)), 9)
  })
})
