import { draws } from '@/core/testing/draws'
import { cropById, materialById } from '../data'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { containerVolumes, shapeHeight, volumeBelow, volumeBetween, type Container } from '../geometry'
import { anyContainer } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import { containerProfile, tensionAtBase } from '../water'
import { blend } from '../mixing'
import { parts } from '../testing/arbitraries'
import {
  cropFit,
  mixNeeded,
  LAYER_KINDS,
  LAYERS,
  liftsOf,
  natureOfMaterial,
  pressedLoss,
  sinkingOf,
  TRADE_SIZES,
  type FillerLayer,
  type MixNeededRequest,
} from '.'

const bed: Container = {
  shape: { kind: 'box', topLength: 240, topWidth: 120, baseLength: 240, baseWidth: 120, height: 60 },
  headspace: 5,
  base: { kind: 'onSoil', texture: 'loam' },
}
const plan = (request: Partial<MixNeededRequest>) => {
  const found = mixNeeded({ container: bed, ...request })
  if (!found.ok) throw new Error(found.problem.code)
  return found.value
}

describe('how much mix', () => {
  outsideCheck({
    module: 'geometry',
    what: 'deep bed 2.4 x 1.2 m: 55 cm of fill, 20 cm of logs with a third open, seven tenths of it washed full',
    source: 'arithmetic: 2.4 x 1.2 x (0.35 + 0.20 x 0.35 x 0.7) m3',
    basis: 'closed form',
    unit: 'L',
    expected: 2.88 * (0.35 + 0.2 * 0.35 * 0.7) * 1000,
    tolerance: 1e-6,
    computed: () => plan({ layers: [{ kind: 'logs', thickness: 20 }] }).net,
  })
  outsideCheck({
    module: 'geometry',
    what: 'topping up a bed 2.4 x 1.2 m that sank by 8 cm',
    source: 'arithmetic',
    basis: 'closed form',
    unit: 'L',
    expected: 230.4,
    tolerance: 1e-6,
    computed: () => plan({ sunkBy: 8 }).net,
  })
  for (const [number, low, high] of [
    [3, 10.29, 12.16],
    [5, 12.86, 20.35],
    [7, 21.91, 29.33],
    [10, 34.09, 43.36],
    [15, 45.36, 60.57],
  ] as const)
    outsideCheck({
      module: 'geometry',
      what: `nursery pot of “${number} gallon” to the rim`,
      source: 'ANSI Z60.1-2004, container classes (from memory)',
      basis: 'standard',
      unit: 'L',
      expected: { low, high },
      tolerance: 0,
      computed: () => {
        const { shape } = TRADE_SIZES.find((t) => t.id === `nursery-${number}`)!
        return volumeBelow(shape, shapeHeight(shape))
      },
    })
  outsideCheck({
    module: 'geometry',
    what: 'nursery pots named 5, 7, 10 or 15 “gallon” hold less than their name (greatest share of the name)',
    source: 'common practice',
    basis: 'common practice',
    unit: '1',
    expected: { low: 0.5, high: 1 },
    tolerance: 0,
    computed: () =>
      Math.max(
        ...TRADE_SIZES.filter((t) => /^nursery-(5|7|10|15)$/.test(t.id)).map(
          (t) => volumeBelow(t.shape, shapeHeight(t.shape)) / t.nominal!,
        ),
      ),
  })
  test('firmed or pressed in, more mix goes into the same room; a cover lies on it and takes none', () => {
    const loose = plan({})
    const pressed = plan({ pressed: pressedLoss('pressed'), cover: 4 })
    expect(pressed.space).toBe(loose.space)
    expect(pressed.net).toBeCloseTo(loose.net / 0.85, 9)
    expect(pressed.cover).toBeCloseTo(2.4 * 1.2 * 0.04 * 1000, 9)
    const noted = mixNeeded({ container: bed, cover: 5 })
    expect(noted.ok && noted.notes).toContainEqual({ code: 'cover-at-rim', thickness: 5, headspace: 5 })
    const below = mixNeeded({ container: bed, cover: 4.9 })
    expect(below.ok && below.notes.some((n) => n.code === 'cover-at-rim')).toBe(false)
    const none = mixNeeded({ container: { ...bed, headspace: 0 }, cover: 0 })
    expect(none.ok && none.notes.some((n) => n.code === 'cover-at-rim')).toBe(false)
    for (const cover of [-1, NaN]) expect(mixNeeded({ container: bed, cover }).ok).toBe(false)
    expect(plan({ cover: 4.9 }).cover).toBeGreaterThan(0)
  })
  test('a layer of any material lets in what its gaps and grains let in, and rots as it does', () => {
    const layerOf = (id: string) =>
      plan({ layers: [{ kind: 'material', thickness: 10, nature: natureOfMaterial(materialById(id)!) }] })
    const gravel = plan({ layers: [{ kind: 'gravel', thickness: 10 }] })
    expect(layerOf('gravel_pea').net).toBeCloseTo(gravel.net, -1)
    expect(layerOf('peat_fine').washedIn).toBeLessThan(layerOf('pine_bark_coarse').washedIn)
    expect(layerOf('wood_chips_fresh').sinking[0]).toBeGreaterThan(1)
    expect(layerOf('expanded_clay').sinking[0]).toBeLessThan(0.1)
    expect(plan({ layers: [{ kind: 'material', thickness: 10 }] }).washedIn).toBe(0)
  })
  test('a pot wider below than above is filled, with a word', () => {
    const jar: Container = {
      ...bed,
      shape: { kind: 'roundPot', topDiameter: 20, baseDiameter: 30, height: 30 },
    }
    const noted = mixNeeded({ container: jar })
    expect(noted.ok && noted.notes).toContainEqual({ code: 'wider-below' })
    const straight = mixNeeded({
      container: { ...jar, shape: { ...jar.shape, baseDiameter: 20 } as Container['shape'] },
    })
    expect(straight.ok && straight.notes).toEqual([])
  })
  outsideCheck({
    module: 'geometry',
    what: 'fabric bags by their name in gallons: volume over the name, smallest and largest of all',
    source: 'usual sizes of the trade (from memory): 5 gal 12 x 10 in, 30 gal 24 x 16 in',
    basis: 'common practice',
    unit: '1',
    expected: { low: 0.9, high: 1.1 },
    tolerance: 0,
    computed: () => {
      const bags = TRADE_SIZES.filter((t) => t.shape.kind === 'fabricBag')
      const of = bags.map(
        (t) => volumeBelow({ ...t.shape, bulge: 0 } as Container['shape'], shapeHeight(t.shape)) / t.nominal!,
      )
      return Math.max(...of.map((x) => Math.max(x, 1 / x)))
    },
  })
  test('every trade size holds what its class may', () => {
    for (const t of TRADE_SIZES) {
      const litres = volumeBelow(t.shape, shapeHeight(t.shape))
      expect(litres, t.id).toBeGreaterThanOrEqual(t.holds.low)
      expect(litres, t.id).toBeLessThanOrEqual(t.holds.high)
    }
    expect(new Set(TRADE_SIZES.map((t) => t.id)).size).toBe(TRADE_SIZES.length)
  })
  const anyLayers = fc.array(
    fc.record({
      kind: fc.constantFrom(...LAYER_KINDS),
      share: fc.double({ min: 0, max: 0.25, noNaN: true }),
    }),
    { maxLength: 3 },
  )
  test('volumes add up for any container, layers, roots and sinking', () => {
    fc.assert(
      fc.property(
        anyContainer,
        anyLayers,
        fc.double({ min: 0, max: 0.3, noNaN: true }),
        fc.option(fc.double({ min: 0, max: 0.2, noNaN: true })),
        (container, list, roots, sunk) => {
          const fill = containerVolumes(container)
          if (!fill.ok) throw new Error(fill.problem.code)
          const { mixHeight, mixVolume } = fill.value
          const layers: FillerLayer[] = list.map((l) => ({ kind: l.kind, thickness: l.share * mixHeight }))
          const rootBalls = sunk === null ? roots * 0.1 * mixVolume : 0
          const found = mixNeeded({
            container,
            layers,
            rootBalls,
            sunkBy: sunk === null ? null : sunk * mixHeight,
          })
          if (!found.ok) {
            expect(found.problem.code).toBe('size-too-large')
            return
          }
          const p = found.value
          expect(p.net).toBeCloseTo(p.space + p.washedIn - p.rootBalls - p.kept, 6)
          expect(p.space + volumeBelow(container.shape, p.floor)).toBeCloseTo(mixVolume, 6)
          expect(p.saved + p.washedIn).toBeCloseTo(volumeBelow(container.shape, p.floor), 6)
          expect(p.net).toBeGreaterThanOrEqual(0)
          expect(p.sinking[0]).toBeLessThanOrEqual(p.sinking[2] + 1e-12)
          expect(p.sinking[2]).toBeLessThanOrEqual(p.floor + 1e-9)
          if (sunk === null && layers.length === 0) expect(p.net).toBeCloseTo(mixVolume - rootBalls, 6)
        },
      ),
      draws(),
    )
  })
  test('logs rot and let the bed down, stone does not', () => {
    expect(sinkingOf([{ kind: 'logs', thickness: 20 }], LAYERS.logs.halfLife)).toBeCloseTo(10, 9)
    expect(sinkingOf([{ kind: 'gravel', thickness: 20 }], 50)).toBe(0)
    expect(plan({ layers: [{ kind: 'logs', thickness: 20 }] }).saved).toBeGreaterThan(400)
  })
  test('says what cannot be', () => {
    const code = (request: Partial<MixNeededRequest>) => {
      const found = mixNeeded({ container: bed, ...request })
      return found.ok
        ? null
        : `${found.problem.code} ${'field' in found.problem ? found.problem.field : ''}`.trim()
    }
    expect(code({ layers: [{ kind: 'logs', thickness: 55 }] })).toBe('layers-fill-container')
    expect(code({ layers: [{ kind: 'logs', thickness: -1 }] })).toBe('size-negative thickness')
    expect(code({ layers: [{ kind: 'logs', thickness: NaN }] })).toBe('not-a-number thickness')
    expect(code({ rootBalls: 5000 })).toBe('size-too-large rootBalls')
    expect(code({ rootBalls: -1 })).toBe('size-negative rootBalls')
    expect(code({ sunkBy: 56 })).toBe('size-too-large sunkBy')
    expect(code({ sunkBy: -2 })).toBe('size-negative sunkBy')
    expect(code({ container: { ...bed, headspace: 70 } })).toBe('headspace-fills-container')
  })
})

describe('where water leaves', () => {
  const mixed = blend(parts({ peat_medium: 1, perlite_coarse: 1 }))
  if (!mixed.ok) throw new Error('no mix')
  const { totalPorosity, waterAt } = mixed.value
  const air = (base: Container['base']) =>
    containerProfile({ ...bed, base }, [{ top: 99, totalPorosity, waterAt }])
  test('a closed one is full and says so, one on paving drains at its foot', () => {
    const closed = air({ kind: 'closed' })
    expect(closed.airFilledPorosity).toBeLessThan(1e-9)
    expect(closed.saturatedHeight).toBeCloseTo(55, 9)
    expect(air({ kind: 'onPaving' }).airFilledPorosity).toBeCloseTo(
      air({ kind: 'drainHoles' }).airFilledPorosity,
      12,
    )
    expect(tensionAtBase({ ...bed, base: { kind: 'onPaving' } })).toBe(0)
    const noted = mixNeeded({ container: { ...bed, base: { kind: 'closed' } } })
    expect(noted.ok && noted.notes).toContainEqual({ code: 'no-drainage' })
    expect(volumeBetween(bed.shape, 0, 10)).toBeCloseTo(288, 6)
  })
})

describe('lifts', () => {
  test('are a quarter of a deep bed each, and together all of it', () => {
    const lifts = liftsOf(bed.shape, 10, 50)
    expect(lifts.map((l) => l.top)).toEqual([20, 30, 40, 50])
    fc.assert(
      fc.property(anyContainer, fc.double({ min: 0.05, max: 0.9, noNaN: true }), (container, share) => {
        const tall = shapeHeight(container.shape)
        const from = tall * share * 0.5
        const parts = liftsOf(container.shape, from, tall * share)
        const sum = parts.reduce((s, l) => s + l.litres, 0)
        expect(sum).toBeCloseTo(volumeBetween(container.shape, from, tall * share), 6)
        expect(parts.length).toBeGreaterThan(0)
        expect(parts.length).toBeLessThanOrEqual(4)
      }),
      draws(),
    )
  })
  test('a shallow tray is filled at once; nothing is nothing', () => {
    expect(liftsOf(bed.shape, 0, 7)).toHaveLength(1)
    expect(liftsOf(bed.shape, 0, 17)).toHaveLength(2)
    expect(liftsOf(bed.shape, 7, 7)).toEqual([])
  })
})

describe('how a crop fits', () => {
  const courgette = cropById('zucchini')!
  const pot = (height: number) =>
    plan({
      container: {
        shape: { kind: 'roundPot', topDiameter: 42, baseDiameter: 42, height },
        headspace: 0,
        base: { kind: 'drainHoles' },
      },
    })
  test('one courgette in 55 L, none in 14, by room and by depth', () => {
    const fits = cropFit(courgette, pot(40), null)
    expect(pot(40).space).toBeCloseTo(55.4, 1)
    expect(fits).toMatchObject({ plants: 1, tooShallow: null, tooSmall: null, crowded: false })
    const small = cropFit(courgette, pot(10), null)
    expect(small.tooSmall).toEqual({ wanted: courgette.properties.minRootVolume.value, there: pot(10).space })
    expect(small.tooShallow).toEqual({ wanted: courgette.properties.minDepth.value, there: 10 })
    expect(small.plants).toBe(1)
  })
  test('roots have the depth of the mix, not of what it lies on', () => {
    const { minDepth } = courgette.properties
    const on = (floor: number) => cropFit(courgette, { ...pot(40), mixHeight: 40, floor }, 1).tooShallow
    expect(on(40 - minDepth.value)).toBeNull()
    expect(on(41 - minDepth.value)).toEqual({ wanted: minDepth.value, there: minDepth.value - 1 })
  })
  test('more than have room are counted all the same, and reported', () => {
    expect(cropFit(courgette, pot(40), 3)).toMatchObject({ plants: 3, crowded: true })
    expect(cropFit(courgette, pot(40), 1).crowded).toBe(false)
  })
})
