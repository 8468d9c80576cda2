import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { broadSide, footWidth, perimeterAt, shapeHeight, wallArea, widthsAt, type Shape } from '../geometry'
import { anyShape } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import { crownArea, SATURATED_DENSITY, saturatedBounds, tippingWindSpeed } from '.'

const standing = {
  weight: 20,
  baseWidth: 30,
  potHeight: 30,
  potArea: 900,
  canopyHeight: 120,
  canopyArea: 6000,
}

describe('wind', () => {
  outsideCheck({
    module: 'weight',
    what: 'tipping wind of a 20 kg pot 30 cm wide under 0.6 m2 of crown, moments by hand',
    source: 'statics: 20 x 9.80665 x 0.15 = 0.6125 v2 (0.5 x 0.6 x 0.9 + 0.09 x 0.15)',
    basis: 'closed form',
    unit: 'm/s',
    expected: Math.sqrt((20 * 9.80665 * 0.15) / (0.6125 * (0.5 * 0.6 * 0.9 + 0.09 * 0.15))),
    tolerance: 1e-9,
    computed: () => tippingWindSpeed(standing),
  })
  test('weight and width steady it, height and crown do not', () => {
    const at = (change: Partial<typeof standing>) => tippingWindSpeed({ ...standing, ...change })
    expect(at({ weight: 40 })).toBeCloseTo(at({}) * Math.SQRT2, 9)
    expect(at({ baseWidth: 60 })).toBeCloseTo(at({}) * Math.SQRT2, 9)
    expect(at({ canopyHeight: 200 })).toBeLessThan(at({}))
    expect(at({ canopyArea: 9000 })).toBeLessThan(at({}))
    expect(tippingWindSpeed(standing, 0.3)).toBeGreaterThan(at({}))
    expect(at({ canopyArea: 0, potArea: 0 })).toBe(Infinity)
    // A crown over a quarter square metre of ground, a metre tall.
    expect(crownArea(100, 0.25)).toBeCloseTo(0.6 * 100 * 2 * Math.sqrt(2500 / Math.PI), 9)
  })
})

describe('load before the mix is known', () => {
  outsideCheck({
    module: 'weight',
    what: 'saturated unit weight of loose uniform sand against the heaviest mix',
    source: 'Terzaghi & Peck 1967, table 6.3 (from memory)',
    basis: 'published',
    unit: 'kg/L',
    expected: 1.89,
    tolerance: 0.05,
    computed: () => SATURATED_DENSITY.high,
  })
  test('a bed of 1 m by 0.5 m with 100 L', () => {
    const bounds = saturatedBounds({ mixVolume: 100, footprint: 5000 })
    expect(bounds.weight.low).toBeCloseTo(102.86, 2)
    expect(bounds.weight.high).toBeCloseTo(187.17, 2)
    expect(bounds.floorLoad.low).toBeCloseTo(205.71, 2)
    expect(bounds.floorLoad.high).toBeCloseTo(374.34, 2)
  })
})

describe('outlines of containers', () => {
  const closed: [string, Shape, number, number][] = [
    [
      'straight cylinder 30 x 30 cm: pi d h',
      { kind: 'roundPot', topDiameter: 30, baseDiameter: 30, height: 30 },
      30,
      Math.PI * 900,
    ],
    [
      'box 80 x 20 x 18 cm',
      { kind: 'box', topLength: 80, topWidth: 20, baseLength: 80, baseWidth: 20, height: 18 },
      18,
      200 * 18,
    ],
    [
      'half-cylinder 100 x 20 cm, curved wall and two ends',
      { kind: 'halfCylinder', length: 100, diameter: 20 },
      10,
      Math.PI * 10 * 100 + Math.PI * 100,
    ],
    [
      'L-shaped bed, way round times height',
      {
        kind: 'polygonBed',
        height: 30,
        corners: [
          { x: 0, y: 0 },
          { x: 200, y: 0 },
          { x: 200, y: 100 },
          { x: 100, y: 100 },
          { x: 100, y: 200 },
          { x: 0, y: 200 },
        ],
      },
      30,
      800 * 30,
    ],
    // The way round is pi d (1 + 4 b t (1 - t)): its integral over the height, by hand.
    [
      'fabric bag 38 cm wide, bellied by 3 %',
      { kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 },
      29,
      Math.PI * 38 * (29 + 4 * 0.03 * (29 ** 2 / (2 * 32) - 29 ** 3 / (3 * 32 ** 2))),
    ],
  ]
  for (const [what, shape, to, expected] of closed)
    outsideCheck({
      module: 'geometry',
      what: `wetted wall of a ${what}`,
      source: 'plane geometry',
      basis: 'closed form',
      unit: 'cm2',
      expected,
      tolerance: expected * 1e-9,
      computed: () => wallArea(shape, to),
    })
  outsideCheck({
    module: 'geometry',
    what: 'way round an ellipse 80 x 40 cm (complete elliptic integral, summed)',
    source: 'numerical integral of the arc, 1e5 steps',
    basis: 'closed form',
    unit: 'cm',
    expected: arc(40, 20),
    tolerance: 0.01,
    computed: () =>
      perimeterAt(
        { kind: 'oval', topLength: 80, topWidth: 40, baseLength: 80, baseWidth: 40, height: 30 },
        10,
      ),
  })
  function arc(a: number, b: number): number {
    let sum = 0
    const n = 1e5
    for (let i = 0; i < n; i++) {
      const t = (2 * Math.PI * (i + 0.5)) / n
      sum += Math.hypot(a * Math.sin(t), b * Math.cos(t))
    }
    return (sum * 2 * Math.PI) / n
  }
  test('walls grow with height, feet and sides are within the widths', () => {
    fc.assert(
      fc.property(anyShape, fc.double({ min: 0.1, max: 0.9, noNaN: true }), (shape, t) => {
        const height = shapeHeight(shape)
        expect(wallArea(shape, height * t)).toBeLessThan(wallArea(shape, height))
        expect(wallArea(shape, 0)).toBeCloseTo(0, 9)
        const widths = [0, 0.25, 0.5, 0.75, 1].map((z) => widthsAt(shape, z * height))
        for (const w of widths) expect(w.narrow).toBeLessThanOrEqual(w.long)
        expect(broadSide(shape)).toBeLessThanOrEqual(height * Math.max(...widths.map((w) => w.long)) * 1.01)
        expect(footWidth(shape)).toBeGreaterThan(0)
      }),
      draws(),
    )
  })
  test('a mound keeps its body’s walls', () => {
    const body: Shape = {
      kind: 'box',
      topLength: 80,
      topWidth: 40,
      baseLength: 80,
      baseWidth: 40,
      height: 20,
    }
    const mounded: Shape = { kind: 'mounded', body, moundHeight: 5 }
    expect(wallArea(mounded, 25)).toBeCloseTo(wallArea(body, 20), 9)
    expect(perimeterAt(mounded, 24)).toBe(240)
    expect(footWidth(mounded)).toBe(40)
  })
})
