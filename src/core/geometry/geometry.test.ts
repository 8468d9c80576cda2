import { draws } from '@/core/testing/draws'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { anyShape } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import { LITRES } from '../units'
import {
  areaAt,
  deeper,
  footprintOf,
  footWidth,
  larger,
  sectionWidth,
  widthsAt,
  type Body,
  checkContainer,
  containerVolumes,
  heightForVolume,
  polygonArea,
  shapeHeight,
  volumeBelow,
  volumeBetween,
  type Container,
  type Shape,
} from '.'

const pot: Shape = { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 }
const box = (length: number, width: number, height: number): Body => ({
  kind: 'box',
  topLength: length,
  topWidth: width,
  baseLength: length,
  baseWidth: width,
  height,
})
const full = (shape: Shape) => volumeBelow(shape, shapeHeight(shape))
const FOOT = 30.48

describe('volumes against closed forms', () => {
  const forms: [string, Shape, number][] = [
    [
      'frustum 30/22 x 28 cm: pi h (R2 + R r + r2) / 3',
      pot,
      (Math.PI * 28 * (15 ** 2 + 15 * 11 + 11 ** 2)) / 3 / 1000,
    ],
    [
      'cylinder 40 x 25 cm',
      { kind: 'roundPot', topDiameter: 40, baseDiameter: 40, height: 25 },
      (Math.PI * 400 * 25) / 1000,
    ],
    [
      'cone, point down, 30 x 30 cm',
      { kind: 'roundPot', topDiameter: 30, baseDiameter: 0, height: 30 },
      (Math.PI * 225 * 30) / 3 / 1000,
    ],
    ['box 120 x 240 x 25 cm', box(240, 120, 25), 720],
    [
      'tapered box by the prismatoid rule h/6 (A0 + 4 Am + A1)',
      { kind: 'box', topLength: 80, topWidth: 20, baseLength: 70, baseWidth: 14, height: 18 },
      ((18 / 6) * (70 * 14 + 4 * 75 * 17 + 80 * 20)) / 1000,
    ],
    [
      'straight oval tub 60 x 40 x 30 cm',
      { kind: 'oval', topLength: 60, topWidth: 40, baseLength: 60, baseWidth: 40, height: 30 },
      (Math.PI * 30 * 20 * 30) / 1000,
    ],
    [
      'half-cylinder gutter, 100 cm of 15 cm',
      { kind: 'halfCylinder', length: 100, diameter: 15 },
      (Math.PI * 7.5 ** 2 * 100) / 2 / 1000,
    ],
    [
      'parabolic barrel: pi h (8 D2 + 4 D d + 3 d2) / 60',
      { kind: 'fabricBag', diameter: 36, height: 30, bulge: 0.1 },
      (Math.PI * 30 * (8 * 39.6 ** 2 + 4 * 39.6 * 36 + 3 * 36 ** 2)) / 60 / 1000,
    ],
    [
      'L-shaped bed, two boxes',
      {
        kind: 'polygonBed',
        height: 30,
        corners: [
          { x: 0, y: 0 },
          { x: 200, y: 0 },
          { x: 200, y: 80 },
          { x: 80, y: 80 },
          { x: 80, y: 200 },
          { x: 0, y: 200 },
        ],
      },
      ((200 * 80 + 80 * 120) * 30) / 1000,
    ],
    [
      'regular hexagon bed, side 60 cm: 3 sqrt(3) / 2 a2 h',
      {
        kind: 'polygonBed',
        height: 40,
        corners: Array.from({ length: 6 }, (_, i) => ({
          x: 60 * Math.cos((i * Math.PI) / 3),
          y: 60 * Math.sin((i * Math.PI) / 3),
        })),
      },
      (((3 * Math.sqrt(3)) / 2) * 3600 * 40) / 1000,
    ],
    [
      'mounded bed: box and half of the mound’s own box',
      { kind: 'mounded', body: box(100, 50, 20), moundHeight: 8 },
      (100 * 50 * 20 + (100 * 50 * 8) / 2) / 1000,
    ],
  ]
  for (const [what, shape, expected] of forms)
    outsideCheck({
      module: 'geometry',
      what,
      source: 'closed form',
      basis: 'closed form',
      unit: 'L',
      expected,
      tolerance: expected * 1e-9,
      computed: () => full(shape),
    })
  outsideCheck({
    module: 'geometry',
    what: '4 x 4 ft bed, 6 in deep: 8 cu ft',
    source: 'common practice',
    basis: 'common practice',
    unit: 'L',
    expected: 8 * LITRES.cubicFoot,
    tolerance: 1e-6,
    computed: () => volumeBelow(box(4 * FOOT, 4 * FOOT, 15.24), 15.24),
  })
  outsideCheck({
    module: 'geometry',
    what: '4 x 4 ft bed, 32 in deep: 42.7 cu ft',
    source: 'common practice',
    basis: 'common practice',
    unit: 'L',
    expected: 42.7 * LITRES.cubicFoot,
    // Printed to a tenth of a cubic foot.
    tolerance: 0.05 * LITRES.cubicFoot,
    computed: () => volumeBelow(box(4 * FOOT, 4 * FOOT, 32 * 2.54), 32 * 2.54),
  })
})

describe('areaAt and volumeBelow', () => {
  test('agree: the volume is the integral of the area', () => {
    fc.assert(
      fc.property(anyShape, fc.double({ min: 0.05, max: 1, noNaN: true }), (shape, share) => {
        const top = shapeHeight(shape) * share
        const panels = 4000
        let sum = 0
        for (let i = 0; i < panels; i++) sum += areaAt(shape, ((i + 0.5) / panels) * top)
        const integral = (sum * top) / panels / 1000
        expect(volumeBelow(shape, top) / integral).toBeCloseTo(1, 4)
      }),
      draws(60),
    )
  })
  test('are additive, rising and bounded', () => {
    fc.assert(
      fc.property(
        anyShape,
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (shape, a, b) => {
          const h = shapeHeight(shape)
          const [low, high] = [Math.min(a, b) * h, Math.max(a, b) * h]
          expect(volumeBelow(shape, low)).toBeLessThanOrEqual(volumeBelow(shape, high) + 1e-9)
          expect(volumeBelow(shape, low) + volumeBetween(shape, low, high)).toBeCloseTo(
            volumeBelow(shape, high),
            8,
          )
          expect(volumeBelow(shape, h * 2)).toBeCloseTo(full(shape), 8)
          expect(volumeBelow(shape, -1)).toBe(0)
        },
      ),
      draws(),
    )
  })
  test('heightForVolume turns volumeBelow round', () => {
    fc.assert(
      fc.property(anyShape, fc.double({ min: 0.02, max: 0.98, noNaN: true }), (shape, share) => {
        const z = shapeHeight(shape) * share
        expect(heightForVolume(shape, volumeBelow(shape, z))).toBeCloseTo(z, 4)
      }),
      draws(),
    )
    expect(heightForVolume(pot, 1000)).toBe(28)
  })
  test('outside the shape there is no area', () => {
    expect(areaAt(pot, -0.1)).toBe(0)
    expect(areaAt(pot, 28.1)).toBe(0)
  })
  test('a mound thins to nothing at its top', () => {
    const mound: Shape = { kind: 'mounded', body: box(100, 50, 20), moundHeight: 8 }
    expect(areaAt(mound, 20)).toBe(5000)
    expect(areaAt(mound, 24)).toBe(2500)
    expect(areaAt(mound, 28)).toBe(0)
  })
  test('a section of a mound narrows by the root of what is left of its area', () => {
    const mound: Shape = { kind: 'mounded', body: box(100, 50, 20), moundHeight: 8 }
    const rim = sectionWidth(mound, 20)
    expect(rim).toBe(100)
    // A quarter of the area is half of the width.
    expect(sectionWidth(mound, 26)).toBeCloseTo(rim / 2, 9)
    expect(sectionWidth(mound, 28)).toBe(0)
    expect(sectionWidth(mound, 10)).toBe(100)
  })
  test('a heap higher than any container is refused by name', () => {
    const of = (moundHeight: number) =>
      checkContainer({
        shape: { kind: 'mounded', body: box(100, 50, 20), moundHeight },
        headspace: 0,
        base: { kind: 'drainHoles' },
      })
    expect(of(30).ok).toBe(true)
    expect(of(30_000)).toMatchObject({ ok: false, problem: { code: 'size-too-large', field: 'moundHeight' } })
  })
  test('a polygon measures the same walked either way', () => {
    const corners = [
      { x: 0, y: 0 },
      { x: 3, y: 0 },
      { x: 3, y: 2 },
    ]
    expect(polygonArea(corners)).toBe(3)
    expect(polygonArea([...corners].reverse())).toBe(3)
  })
})

describe('filling a container', () => {
  const container: Container = { shape: pot, headspace: 3, base: { kind: 'sideHoles', height: 4 } }
  test('leaves the lip, keeps the reservoir apart', () => {
    const fill = containerVolumes(container)
    if (!fill.ok) throw new Error(fill.problem.code)
    expect(fill.value.mixHeight).toBe(25)
    expect(fill.value.rimVolume).toBeCloseTo(14.983, 3)
    expect(fill.value.mixVolume).toBeCloseTo(volumeBelow(pot, 25), 9)
    expect(fill.value.reservoirVolume).toBeCloseTo(volumeBelow(pot, 4), 9)
    expect(fill.value.surface).toBeCloseTo(areaAt(pot, 25), 9)
  })
  const wrong: [string, Partial<Container>, string][] = [
    ['negative height', { shape: { ...pot, height: -3 } as Shape }, 'size-not-positive'],
    ['zero width', { shape: { ...pot, topDiameter: 0 } as Shape }, 'size-not-positive'],
    ['a width that is no number', { shape: { ...pot, topDiameter: NaN } as Shape }, 'not-a-number'],
    ['ten metres deep', { shape: { ...pot, height: 1000 } as Shape }, 'size-too-large'],
    ['a kilometre long', { shape: box(100_000, 100, 30) }, 'size-too-large'],
    ['negative lip', { headspace: -1 }, 'size-negative'],
    ['a lip that is no number', { headspace: NaN }, 'not-a-number'],
    ['a lip as high as the pot', { headspace: 28 }, 'headspace-fills-container'],
    ['holes above the mix', { base: { kind: 'sideHoles', height: 26 } }, 'hole-above-mix'],
    ['holes below the base', { base: { kind: 'sideHoles', height: -1 } }, 'size-negative'],
    [
      'a bag like a balloon',
      { shape: { kind: 'fabricBag', diameter: 30, height: 30, bulge: 2 } },
      'size-too-large',
    ],
    [
      'an outline like a bow tie',
      {
        shape: {
          kind: 'polygonBed',
          height: 20,
          corners: [
            { x: 0, y: 0 },
            { x: 100, y: 100 },
            { x: 100, y: 0 },
            { x: 0, y: 100 },
          ],
        },
      },
      'outline-crosses-itself',
    ],
  ]
  test('an outline crosses itself or not wherever it lies and however it is turned', () => {
    const bowTie = [
      [0, 0],
      [100, 100],
      [100, 0],
      [0, 100],
    ]
    const angle = [
      [0, 0],
      [200, 0],
      [200, 60],
      [60, 60],
      [60, 180],
      [0, 180],
    ]
    const codeOf = (corners: number[][]) => {
      const shape = {
        kind: 'polygonBed' as const,
        height: 20,
        corners: corners.map(([x, y]) => ({ x: x!, y: y! })),
      }
      const checked = checkContainer({ ...container, shape })
      return checked.ok ? null : checked.problem.code
    }
    for (const [dx, dy] of [
      [0, 0],
      [-50, 300],
      [1000, -700],
      [37, 41],
    ] as const)
      for (const turn of [0, 0.4, 1.3, 2.9]) {
        const moved = (corners: number[][]) =>
          corners.map(([x, y]) => [
            dx + x! * Math.cos(turn) - y! * Math.sin(turn),
            dy + x! * Math.sin(turn) + y! * Math.cos(turn),
          ])
        expect(codeOf(moved(bowTie))).toBe('outline-crosses-itself')
        expect(codeOf(moved(angle))).toBeNull()
      }
  })
  test.each(wrong)('refuses %s', (_what, change, code) => {
    const result = checkContainer({ ...container, ...change })
    expect(result.ok).toBe(false)
    if (!result.ok) expect(result.problem.code).toBe(code)
    expect(containerVolumes({ ...container, ...change }).ok).toBe(false)
  })
})

describe('a shape made larger or deeper', () => {
  const L: Body = {
    kind: 'polygonBed',
    height: 30,
    corners: [
      { x: 0, y: 0 },
      { x: 90, y: 0 },
      { x: 90, y: 40 },
      { x: 40, y: 40 },
      { x: 40, y: 80 },
      { x: 0, y: 80 },
    ],
  }
  const whole = (shape: Shape) => volumeBelow(shape, shapeHeight(shape))
  test('every length twice as long holds eight times as much: solid geometry', () => {
    fc.assert(
      fc.property(anyShape, fc.double({ min: 0.3, max: 3, noNaN: true }), (shape, by) => {
        expect(whole(larger(shape, by)) / whole(shape)).toBeCloseTo(by ** 3, 9)
      }),
      draws(60),
    )
    for (const shape of [L, { kind: 'mounded', body: L, moundHeight: 12 } as const])
      expect(whole(larger(shape, 1.5)) / whole(shape)).toBeCloseTo(1.5 ** 3, 9)
  })
  test('twice as deep holds twice as much; half a cylinder, whose width follows, four times', () => {
    fc.assert(
      fc.property(anyShape, fc.double({ min: 0.3, max: 3, noNaN: true }), (shape, by) => {
        const times = shape.kind === 'halfCylinder' ? by ** 2 : by
        expect(whole(deeper(shape, by)) / whole(shape)).toBeCloseTo(times, 9)
      }),
      draws(60),
    )
    expect(whole(deeper(L, 2)) / whole(L)).toBeCloseTo(2, 9)
    expect(shapeHeight(deeper({ kind: 'mounded', body: L, moundHeight: 12 }, 2))).toBe(72)
  })
  test('an outline is as wide as its farthest corners, whichever way it lies', () => {
    expect(widthsAt(L, 10)).toEqual({ long: 90, narrow: 80 })
    expect(sectionWidth(L, 10)).toBe(90)
    const moved: Body = { ...L, corners: L.corners.map(({ x, y }) => ({ x: x + 25, y: y - 60 })) }
    expect(widthsAt(moved, 10)).toEqual({ long: 90, narrow: 80 })
  })
  test('ground it takes and the width it stands on: of a lying half-cylinder its cradle', () => {
    const gutter: Body = { kind: 'halfCylinder', length: 100, diameter: 24 }
    expect([footprintOf(gutter), footWidth(gutter)]).toEqual([2400, 24])
    const pot: Body = { kind: 'roundPot', topDiameter: 30, baseDiameter: 20, height: 25 }
    expect(footprintOf(pot)).toBeCloseTo(100 * Math.PI, 9)
    expect(footWidth(pot)).toBe(20)
  })
})
