import { once } from '@/core/testing/once'
import { draws, isLong } from '@/core/testing/draws'
import fc from 'fast-check'
import { CholeskyDecomposition, Matrix } from 'ml-matrix'
import { quantile, standardDeviation } from 'simple-statistics'
import { describe, expect, test } from 'vitest'
import { LIMES, MATERIALS, cropById } from '../data'
import { learnedMaterial, type Learning } from '../data/learned'
import { DRESSINGS, dressingById } from '../data/dressings'
import { evaluate, type MixInContainer } from '../evaluate'
import { containerProfile, waterContent } from '../water'
import { choleskyOf, solveBy } from './cholesky'
import { blend } from '../mixing'
import wetEnd from '../testing/wetEnd.json'
import { leftOf } from './law'
import { deviatesWith } from './posterior'
import { robustly } from './robust'
import { anyContainer, anyParts, material, parts } from '../testing/arbitraries'
import { outsideCheck } from '../testing/outsideCheck'
import {
  drawMaterial,
  drawn,
  drawRow,
  figuresOf,
  ERRORS,
  learnAtOnce,
  learnedOfDressing,
  learnedOfMaterial,
  likelyRange,
  normal,
  quantiles,
  expectedReading,
  rangesAtOnce,
  readingOf,
  seededRandom,
  withRanges,
  type Measurement,
} from '.'

const input = once<MixInContainer>(() => ({
  container: {
    shape: { kind: 'fabricBag', diameter: 38, height: 32, bulge: 0.03 },
    headspace: 3,
    base: { kind: 'drainHoles' },
  },
  parts: parts({ peat_medium: 4, compost_green: 2, perlite_coarse: 2 }),
  limes: [{ lime: LIMES[0]!, share: 1 }],
  limeGramsPerLitre: 2,
}))
const learned = (measurements: Measurement[], of = input()) => {
  const readings = measurements.map((measurement, i) => ({ id: `${i}`, measurement }))
  const answer = learnAtOnce([{ key: 'mix', input: of, readings }])
  if (!answer.ok) throw new Error(answer.problem.code)
  return answer.value
}
const DRAWS = isLong ? 300 : 120
const ranged = (measurements: Measurement[] = [], draws = DRAWS, of = input()) => {
  const { learning, readings } = learned(measurements, of)
  const answer = rangesAtOnce({ input: of, draws, learning, years: [] })
  if (!answer.ok) throw new Error(answer.problem.code)
  return { value: { ...answer.value, readings, learning } }
}

describe('chance', () => {
  test('is even, normal, and the same for the same seed', () => {
    const random = seededRandom(7)
    const even = Array.from({ length: 20_000 }, random)
    expect(Math.min(...even)).toBeGreaterThanOrEqual(0)
    expect(Math.max(...even)).toBeLessThan(1)
    expect(even.reduce((s, v) => s + v, 0) / 20_000).toBeCloseTo(0.5, 1.7)
    const again = seededRandom(7)
    expect(even.slice(0, 50)).toEqual(Array.from({ length: 50 }, again))
    expect(Array.from({ length: 5 }, seededRandom(8))).not.toEqual(even.slice(0, 5))
    expect(Array.from({ length: 5 }, seededRandom(7, 1))).not.toEqual(even.slice(0, 5))
    const bell = seededRandom(3)
    const normals = Array.from({ length: 20_000 }, () => normal(bell))
    expect(Math.abs(normals.reduce((s, v) => s + v, 0) / 20_000)).toBeLessThan(0.03)
    expect(standardDeviation(normals)).toBeCloseTo(1, 1.5)
  })
  outsideCheck({
    module: 'ranges',
    what: 'first number of the counter generator sfc32, seed 0 (state 0, f(0), 0, counter 1, twenty rounds thrown away)',
    source: 'sfc32 in BigInt arithmetic, written apart',
    basis: 'closed form',
    unit: '1',
    expected: sfc32InBigInts(),
    tolerance: 0,
    computed: () => seededRandom(0)(),
  })
  function sfc32InBigInts(): number {
    const mask = 0xffffffffn
    let [a, b, c, d] = [0n, (0x9e3779b9n * 0x85ebca6bn) & mask, 0n, 1n]
    let t = 0n
    for (let i = 0; i <= 20; i++) {
      t = (a + b + d) & mask
      d = (d + 1n) & mask
      a = b ^ (b >> 9n)
      b = (c + (c << 3n)) & mask
      c = ((c << 21n) | (c >> 11n)) & mask
      c = (c + t) & mask
    }
    return Number(t) / 2 ** 32
  }
})

const normals = (seed: number) => {
  const random = seededRandom(seed)
  return () => normal(random)
}

describe('a drawn property', () => {
  outsideCheck({
    module: 'ranges',
    what: 'share of draws between low and high of a property',
    source: 'nine in ten, as the tables are meant',
    basis: 'closed form',
    unit: '1',
    expected: 0.9,
    tolerance: 0.01,
    computed: () => {
      const p = { low: 3.5, value: 4, high: 4.6 }
      const random = seededRandom(11)
      let inside = 0
      for (let i = 0; i < 20_000; i++) {
        const x = drawn(p, normal(random))
        if (x >= p.low && x <= p.high) inside++
      }
      return inside / 20_000
    },
  })
  test('is its value in the middle, its ends at the ends, and rises with the deviate', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...MATERIALS.flatMap((m) => Object.values(m.properties))),
        fc.double({ min: -3, max: 3, noNaN: true }),
        (p, z) => {
          expect(drawn(p, 0)).toBeCloseTo(p.value, 9)
          expect(drawn(p, 1.6449)).toBeCloseTo(p.high, 6)
          expect(drawn(p, -1.6449)).toBeCloseTo(p.low, 6)
          expect(drawn(p, z + 0.1)).toBeGreaterThanOrEqual(drawn(p, z) - 1e-12)
          if (p.low >= 0) expect(drawn(p, z)).toBeGreaterThanOrEqual(0)
        },
      ),
      draws(),
    )
  })
  test('a drawn material still hangs together and is followed by its curve', () => {
    fc.assert(
      fc.property(fc.constantFrom(...MATERIALS.map((m) => m.id)), fc.integer(), (id, seed) => {
        const one = drawMaterial(material(id), normals(seed))
        const p = one.material.properties
        expect(p.waterAt10Cm.value).toBeLessThanOrEqual(p.totalPorosity.value)
        expect(p.waterAt50Cm.value).toBeLessThanOrEqual(p.waterAt10Cm.value)
        expect(p.waterAt100Cm.value).toBeLessThanOrEqual(p.waterAt50Cm.value)
        expect(one.material.sizeShares.reduce((s, v) => s + v, 0)).toBeCloseTo(1, 9)
        expect(one.beta).toBeGreaterThan(0)
        expect(one.beta).toBeLessThan(1)
        // Drawn points need not lie on any such curve: one in a thousand is missed by more than 5 points of water,
        // the worst of 8,460 by 8 (a clay loam at 10 cm).
        for (const [h, key] of [
          [10, 'waterAt10Cm'],
          [50, 'waterAt50Cm'],
          [100, 'waterAt100Cm'],
        ] as const)
          expect(Math.abs(waterContent(one.retention, h) - p[key].value)).toBeLessThan(0.1)
      }),
      draws(),
    )
  })
  test('rows keep what is no property, and no dressing gives up more than it has', () => {
    const random = seededRandom(5)
    for (const d of DRESSINGS)
      for (let i = 0; i < 20; i++) {
        const one = drawRow(d, () => normal(random))
        expect(one.id).toBe(d.id)
        expect(one.nitrogenForms).toEqual(d.nitrogenForms)
        if ('fraction' in one.release) expect(one.release.fraction.value).toBeLessThan(1)
        for (const p of Object.values(one.analysis)) expect(p.value).toBeGreaterThanOrEqual(0)
      }
  })
})

describe('a positive definite matrix', () => {
  test('is taken apart and solved as a library does it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), fc.integer(), (n, seed) => {
        const next = normals(seed)
        const square = Matrix.from1DArray(
          n,
          n,
          Array.from({ length: n * n }, () => next()),
        )
        const matrix = square.mmul(square.transpose()).add(Matrix.eye(n))
        const b = Array.from({ length: n }, () => next())
        const theirs = new CholeskyDecomposition(matrix)
        const root = choleskyOf(matrix.to2DArray())
        root.forEach((line, i) =>
          line.forEach((x, j) => expect(x).toBeCloseTo(theirs.lowerTriangularMatrix.get(i, j), 8)),
        )
        const x = theirs.solve(Matrix.columnVector(b)).to1DArray()
        solveBy(root, b).forEach((v, i) => expect(v).toBeCloseTo(x[i]!, 8))
      }),
      draws(),
    )
  })
})

describe('quantiles', () => {
  test('of equal weights lie where a library puts them, within one step', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -50, max: 50, noNaN: true }), { minLength: 20, maxLength: 200 }),
        (xs) => {
          const sorted = [...xs].sort((a, b) => a - b)
          const at = (q: number) => Math.floor(q * xs.length)
          for (const q of [0.1, 0.5, 0.9]) {
            const ours = quantiles(xs, [q])[0]!
            expect(ours).toBeGreaterThanOrEqual(sorted[Math.max(0, at(q) - 1)]! - 1e-9)
            expect(ours).toBeLessThanOrEqual(sorted[Math.min(xs.length - 1, at(q) + 1)]! + 1e-9)
          }
          // The middle is the median to the last digit.
          expect(likelyRange(xs).middle).toBeCloseTo(quantile(xs, 0.5), 9)
        },
      ),
      draws(),
    )
  })
})

describe('ranges', () => {
  test('are the same for the same seed, and hold the middle of the tables', () => {
    const a = ranged().value
    expect(ranged().value.ranges).toEqual(a.ranges)
    for (const name of ['airFilledPorosity', 'pH', 'drainedWeight', 'containerCapacity'] as const) {
      const r = a.ranges[name]!
      expect(r.low).toBeLessThan(r.high)
      expect(a.figures[name]!).toBeGreaterThan(r.low - (r.high - r.low) * 0.3)
      expect(a.figures[name]!).toBeLessThan(r.high + (r.high - r.low) * 0.3)
    }
    expect(a.draws).toBe(DRAWS)
  })
  test('have no width where nothing is uncertain', () => {
    const sure = material('peat_medium')
    const properties = Object.fromEntries(
      Object.entries(sure.material.properties).map(([k, p]) => [k, { ...p, low: p.value, high: p.value }]),
    ) as typeof sure.material.properties
    const { sizeShares } = sure.material
    const fixed = {
      ...sure,
      material: {
        ...sure.material,
        properties,
        sizeRange: { ...sure.material.sizeRange, low: sizeShares, high: sizeShares },
      },
    }
    const { ranges, figures } = ranged([], 30, {
      ...input(),
      limes: [],
      limeGramsPerLitre: 0,
      parts: [{ material: fixed, parts: 1 }],
    }).value
    for (const name of ['airFilledPorosity', 'pH', 'drainedWeight'] as const) {
      expect(ranges[name]!.high - ranges[name]!.low).toBeLessThan(1e-9)
      // Draws are evaluated on 24 slices of depth instead of 120.
      expect(Math.abs(ranges[name]!.middle - figures[name]!) / figures[name]!).toBeLessThan(0.002)
    }
  })
  test('every figure of a full evaluation gets one', () => {
    const full: MixInContainer = {
      ...input(),
      dressings: [
        {
          dressing: dressingById('crf_5_6')!,
          gramsPerLitre: 3,
          place: { kind: 'top', depth: 8 },
        },
      ],
      growing: { crop: cropById('pepper_sweet')!, plants: 1 },
    }
    const answer = rangesAtOnce({ input: full, draws: 60 })
    if (!answer.ok) throw new Error(answer.problem.code)
    const best = evaluate(full)
    if (!best.ok) throw new Error(best.problem.code)
    expect(Object.keys(answer.value.ranges)).toEqual(Object.keys(figuresOf(best.value)))
    for (const [name, r] of Object.entries(answer.value.ranges)) {
      expect(Number.isFinite(r.low) && Number.isFinite(r.high), name).toBe(true)
      expect(r.low, name).toBeLessThanOrEqual(r.high)
    }
  })
  test('progress rises to the end, and a run can be left', () => {
    const run = withRanges({ input: input(), draws: 100, years: [] })
    let last = -1
    for (let i = 0; i < 10; i++) {
      const step = run.next()
      if (step.done) throw new Error('too soon')
      expect(step.value).toBeGreaterThan(last)
      last = step.value
    }
    expect(run.return(undefined as never).done).toBe(true)
    expect(run.next().done).toBe(true)
  })
  test('what cannot be evaluated is refused as ever', () => {
    const answer = rangesAtOnce({ input: { ...input(), parts: [] } })
    expect(!answer.ok && answer.problem.code).toBe('no-parts')
  })
})

describe('a measurement', () => {
  const answered = evaluate(input())
  if (!answered.ok) throw new Error(answered.problem.code)
  const e = answered.value
  test('in the container itself is expected to read what the evaluation says', () => {
    const expected: [Measurement, number][] = [
      [{ kind: 'dryDensity', kgPerLitre: 1 }, e.blend.dryBulkDensity],
      [{ kind: 'blendingLoss', share: 0.1 }, e.blend.blendingLoss],
      [{ kind: 'percolation', cmPerHour: 40 }, e.blend.saturatedConductivity],
      [{ kind: 'weighed', kg: 12 }, e.weights.drained],
      [{ kind: 'drainTest', airFilledPorosity: 0.2 }, e.mix.airFilledPorosity],
      [{ kind: 'waterHeld', containerCapacity: 0.5 }, e.mix.containerCapacity],
      [
        { kind: 'electricalConductivity', value: 1, method: 'saturatedExtract' },
        e.salts.mix.electricalConductivity.saturatedExtract,
      ],
    ]
    for (const [m, value] of expected) expect(expectedReading(m, e), m.kind).toBeCloseTo(value, 12)
    expect(expected.map(([m]) => readingOf(m))).toEqual([1, 0.1, 40, 12, 0.2, 0.5, 1])
  })
  test('in a pipe of its own is that of the mix at the depth of the pipe: shorter is wetter', () => {
    const pipe = (height: number) => ({
      shape: { kind: 'roundPot' as const, topDiameter: 10, baseDiameter: 10, height },
      headspace: 0,
      base: { kind: 'drainHoles' as const },
    })
    const air = (height: number) =>
      expectedReading({ kind: 'drainTest', airFilledPorosity: 0.2, container: pipe(height) }, e)
    const water = (height: number) =>
      expectedReading({ kind: 'waterHeld', containerCapacity: 0.5, container: pipe(height) }, e)
    expect(air(10)).toBeLessThan(air(30))
    for (const height of [10, 30]) expect(air(height) + water(height)).toBeCloseTo(e.blend.totalPorosity, 9)
    // A litre of mix weighs its solids and its water: 25 pi cm2 by 10 cm.
    const litres = (Math.PI * 25 * 10) / 1000
    expect(expectedReading({ kind: 'weighed', kg: 1, container: pipe(10) }, e)).toBeCloseTo(
      litres * (e.blend.dryBulkDensity + water(10)),
      6,
    )
  })
})

describe('learning from measurements', () => {
  const prior = once(() => ranged([], 250).value)
  const width = (r: { low: number; high: number } | undefined) => r!.high - r!.low
  test('draws the figure towards the reading and narrows it', () => {
    const { pH } = prior().ranges
    const reading = pH!.high
    const after = ranged([{ kind: 'pH', value: reading, day: 42 }], 250).value
    expect(after.ranges.pH!.middle).toBeGreaterThan(pH!.middle)
    expect(width(after.ranges.pH)).toBeLessThan(width(pH))
    expect(after.readings[0]).toMatchObject({ read: reading, questioned: null })
    expect(after.readings[0]!.expected).toBeCloseTo(prior().figures.pH!, 1)
    // Air has little to do with pH.
    expect(after.ranges.airFilledPorosity!.middle).toBeCloseTo(prior().ranges.airFilledPorosity!.middle, 1)
  })
  test('a row moves by what its deviates have learned, each by its share in the property', () => {
    const peat = material('peat_medium').material
    const places = (x: number) => Number(x.toPrecision(5))
    const after = (name: string, mean: number) =>
      learnedOfMaterial(peat, { names: [`peat_medium/${name}`], mean: [mean], slopes: [], noise: [] })!
        .properties
    const valueOf = (name: string, mean: number, of: string) =>
      after(name, mean).find((p) => p.name === of)!.value
    // On one side of its middle a property goes straight with its deviate, to its end at 1.6449.
    const { pH, waterAt10Cm, totalPorosity } = peat.properties
    expect(valueOf('pH', 0.8, 'pH')).toBe(places(pH.value + ((pH.high - pH.value) * 0.8) / 1.6449))
    // Water at 10 cm shares 0.85 of its deviate with all the water, pores −0.7 of theirs with the weight.
    expect(valueOf('wetness', 0.8, 'waterAt10Cm')).toBe(
      places(waterAt10Cm.value + ((waterAt10Cm.high - waterAt10Cm.value) * 0.85 * 0.8) / 1.6449),
    )
    expect(valueOf('weight', 0.8, 'totalPorosity')).toBe(
      places(totalPorosity.value - ((totalPorosity.value - totalPorosity.low) * 0.7 * 0.8) / 1.6449),
    )
    expect(after('pH', 0.8).map((p) => p.name)).toEqual(['pH'])
  })
  test('a drained pot teaches of water in the peat, and the row says so', () => {
    const wet = prior().ranges.airFilledPorosity!.low - 0.02
    const { learning } = learned([{ kind: 'drainTest', airFilledPorosity: wet }])
    const was = material('peat_medium').material
    const row = learnedOfMaterial(was, learning)!
    const is = learnedMaterial(was, row)
    const { waterAt10Cm } = is.properties
    expect(waterAt10Cm.value).toBeGreaterThan(was.properties.waterAt10Cm.value)
    expect(width(waterAt10Cm)).toBeLessThan(width(was.properties.waterAt10Cm))
    expect(waterAt10Cm).toMatchObject({ source: 'measured-by-you', kind: 'measured' })
    expect(is.unlearned).toBe(was)
    // A drained pot says nothing of what nobody read.
    expect(row.properties.map((p) => p.name)).not.toContain('pH')
  })
  test('weight and salts are read in their own units and containers', () => {
    const pot = {
      shape: { kind: 'roundPot' as const, topDiameter: 12, baseDiameter: 12, height: 10 },
      headspace: 0,
      base: { kind: 'drainHoles' as const },
    }
    const after = ranged([
      { kind: 'weighed', kg: 0.8, container: pot },
      { kind: 'electricalConductivity', value: 0.6, method: 'oneToTwo' },
    ]).value
    expect(after.readings[0]!.expected).toBeGreaterThan(0.5)
    expect(after.readings[0]!.expected).toBeLessThan(1.2)
    expect(after.readings[1]!.expected).toBeLessThan(prior().figures.electricalConductivity!)
  })
  test('the water of the place is no surprise: a pH that it explains teaches nothing', () => {
    const watered: MixInContainer = {
      ...input(),
      growing: {
        crop: cropById('tomato_cherry')!,
        plants: 1,
        climate: {
          latitude: 38,
          elevation: 0,
          months: Array.from({ length: 12 }, () => ({ tMin: 18, tMax: 34 })),
        },
        waterAlkalinity: 6,
      },
    }
    const dry = evaluate(input())
    const wet = evaluate(watered)
    if (!dry.ok || !wet.ok) throw new Error('no answer')
    const value = wet.value.lime.pH
    expect(value).toBeGreaterThan(dry.value.lime.pH + 0.03)
    const { learning } = learned([{ kind: 'pH', value, day: 42 }], watered)
    expect(Math.max(...learning.mean.map(Math.abs))).toBeLessThan(0.02)
  })
  test('a container that cannot be filled is reported, not passed over', () => {
    const bad = { ...input().container, headspace: 99 }
    const measurement = { kind: 'weighed' as const, kg: 1, container: bad }
    const answer = learnAtOnce([{ key: 'mix', input: input(), readings: [{ id: '1', measurement }] }])
    expect(!answer.ok && answer.problem.code).toBe('headspace-fills-container')
  })
  test('readings of one batch share the model’s error, those of two do not: normal rule in closed form', () => {
    const peat = { ...input(), parts: parts({ peat_medium: 1 }), limes: [], limeGramsPerLitre: 0 }
    const after = (...keys: string[]) => {
      const reading = (id: string) => ({ id, measurement: { kind: 'pH' as const, value: 4.1, day: 42 } })
      const answer = learnAtOnce(
        [...new Set(keys)].map((key) => ({
          key,
          input: peat,
          readings: keys.flatMap((k, i) => (k === key ? [reading(`${key}${i}`)] : [])),
        })),
      )
      if (!answer.ok) throw new Error(answer.problem.code)
      return answer.value.readings[0]!
    }
    const { reading, model } = ERRORS.pH
    const [own, shared] = [reading ** 2, model ** 2]
    const one = after('a')
    const before = width(one.before) ** 2
    const noise = (left: number) => (before * left) / (before - left)
    // What one reading leaves says how wide its own and the model's error are in the same measure.
    const both = noise(width(one.after) ** 2)
    const expected = (share: number) => {
      const error = both * share
      return Math.sqrt((before * error) / (before + error))
    }
    expect(width(after('a', 'b').after)).toBeCloseTo(expected(1 / 2), 2)
    expect(width(after('a', 'a').after)).toBeCloseTo(expected((shared + own / 2) / (shared + own)), 2)
  })
  test('a dressing that nothing was learned of has no row', () => {
    const dressing = dressingById('blood_meal')!
    const of = (mean: number, name: string) =>
      learnedOfDressing(dressing, { names: [name], mean: [mean], slopes: [], noise: [] })
    expect(of(1, 'peat_medium/pH')).toBeNull()
    expect(of(1, 'blood_meal/analysis.nitrogen')?.properties.map((p) => p.name)).toEqual([
      'analysis.nitrogen',
    ])
  })
  test('a reading the tables cannot explain is questioned; trusted, it teaches', () => {
    const odd: Measurement = { kind: 'pH', value: 8.9, day: 42 }
    const { learning, readings } = learned([odd])
    expect(readings[0]).toMatchObject({ questioned: 'tables', read: 8.9 })
    expect(learning.slopes).toEqual([])
    const trusted = learnAtOnce([
      { key: 'mix', input: input(), readings: [{ id: '1', measurement: odd, trusted: true }] },
    ])
    if (!trusted.ok) throw new Error(trusted.problem.code)
    expect(trusted.value.readings[0]!.questioned).toBeNull()
    expect(Math.max(...trusted.value.learning.mean.map(Math.abs))).toBeGreaterThan(0.5)
  })
  test.runIf(isLong)('readings of two batches with one peat add up, in whatever order they come', () => {
    const other = { ...input(), parts: parts({ peat_medium: 2, perlite_coarse: 2 }), limeGramsPerLitre: 3 }
    const batch = (key: string, of: MixInContainer, value: number) => ({
      key,
      input: of,
      readings: [{ id: key, measurement: { kind: 'pH' as const, value, day: 30 } }],
    })
    const together = (list: Parameters<typeof learnAtOnce>[0]) => {
      const answer = learnAtOnce(list)
      if (!answer.ok) throw new Error(answer.problem.code)
      const ranges = rangesAtOnce({ input: input(), draws: 400, learning: answer.value.learning, years: [] })
      if (!ranges.ok) throw new Error(ranges.problem.code)
      return ranges.value.ranges.pH!
    }
    const [one, two] = [batch('a', input(), 6.6), batch('b', other, 6.5)]
    const both = together([one, two])
    const turned = together([two, one])
    expect(turned.middle).toBeCloseTo(both.middle, 1)
    expect(width(turned)).toBeCloseTo(width(both), 1)
    expect(width(both)).toBeLessThan(width(together([one])))
    // Two readings of one batch share the model's error: they tell less than one of each of two.
    const twice = together([{ ...one, readings: [...one.readings, { ...one.readings[0]!, id: 'again' }] }])
    expect(width(both)).toBeLessThan(width(twice))
  })
  outsideCheck({
    module: 'ranges',
    what: 'mean pH after a reading: normal prior and normal reading, worked in closed form',
    source: 'conjugate normal rule (any text of statistics); prior taken from the draws',
    basis: 'closed form',
    unit: 'pH',
    ...conjugate(),
  })
  function conjugate() {
    // Peat alone without lime: its pH is the only thing that matters, and nearly normal.
    const peat: MixInContainer = {
      ...input(),
      parts: parts({ peat_medium: 1 }),
      limes: [],
      limeGramsPerLitre: 0,
    }
    const reading = 4.3
    const before = ranged([], 1500, peat).value.ranges.pH!
    // The middle eight tenths of a normal run 2.563 deviations.
    const deviation = (before.high - before.low) / 2.563
    const [p, m] = [1 / deviation ** 2, 1 / (ERRORS.pH.reading ** 2 + ERRORS.pH.model ** 2)]
    return {
      expected: (before.middle * p + reading * m) / (p + m),
      // Two half-normals, not one; and fifteen hundred draws.
      tolerance: 0.03,
      computed: () => ranged([{ kind: 'pH', value: reading, day: 42 }], 1500, peat).value.ranges.pH!.middle,
    }
  }
  test('for any mix, a reading that is as expected moves nothing and widens nothing', () => {
    fc.assert(
      fc.property(anyContainer, anyParts, (container, list) => {
        const of = { ...input(), container, parts: list }
        const plain = evaluate(of, { slices: 24, years: [] })
        if (!plain.ok) throw new Error(plain.problem.code)
        const { airFilledPorosity } = plain.value.mix
        const { learning, readings } = learned([{ kind: 'drainTest', airFilledPorosity }], of)
        expect(Math.max(0, ...learning.mean.map(Math.abs))).toBeLessThan(0.05)
        const [told] = readings
        expect(width(told!.after)).toBeLessThanOrEqual(width(told!.before) + 1e-9)
      }),
      draws(6),
    )
  })
})

describe('readings that disagree', () => {
  /** Readings of one thing that the tables know within a deviation, by a hand that errs by a tenth of one. */
  const ofOne = (residual: number[], trusted = residual.map(() => false)) =>
    robustly({
      residual,
      slopes: residual.map(() => [1]),
      noise: residual.map((_, i) => residual.map((__, j) => (i === j ? 0.01 : 0))),
      trusted,
    })
  test('one that neither tables nor others bear out is questioned, and for which of the two', () => {
    // Alone, 3.1 lies 3.08 of the root of 1 + 0.01 off; 2 does not, but two others say 0 within a tenth.
    expect(ofOne([3.1]).odd).toEqual(['tables'])
    expect(ofOne([2]).odd).toEqual([null])
    expect(ofOne([0, 0.05, 2]).odd).toEqual([null, null, 'others'])
    expect(ofOne([3.1], [true])).toMatchObject({ odd: [null], noise: [[0.01]] })
  })
  test('of two that contradict each other one goes, and what is left counts', () => {
    const { odd, noise } = ofOne([-0.5, 0.5])
    expect(odd.filter(Boolean)).toEqual(['others'])
    expect(noise).toHaveLength(1)
  })
  test('errors grow by Student’s law: a reading t off by (4 + t2) / 5', () => {
    // Errors of things apart: no table has a say, the spread is the likeliest before, t is the residual itself.
    const { noise } = robustly({
      residual: [0.9, 2.5],
      slopes: [[0], [0]],
      noise: [
        [1, 0],
        [0, 1],
      ],
      trusted: [false, false],
    })
    expect(noise[0]![0]).toBe(1)
    expect(noise[1]![1]).toBeCloseTo((4 + 2.5 ** 2) / 5, 12)
  })
  test('what two readings have in common grows with neither: only the error of each by itself', () => {
    const { noise } = robustly({
      residual: [0.4, 2.5],
      slopes: [[0], [0]],
      noise: [
        [1, 0.3],
        [0.3, 1],
      ],
      trusted: [false, false],
    })
    expect(noise[1]![1]).toBeGreaterThan(1.5)
    expect([noise[0]![1], noise[1]![0]]).toEqual([0.3, 0.3])
  })
  test('the spread is that of the readings, the root of their mean square, taken nearly twice as far from 1', () => {
    const many = (each: number) => {
      const n = 60
      const unit = (i: number, by: number) => Array.from({ length: n }, (_, j) => (i === j ? by : 0))
      const rows = Array.from({ length: n }, (_, i) => i)
      return robustly({
        residual: rows.map((i) => (i % 2 ? each : -each)),
        slopes: rows.map((i) => unit(i, 1)),
        noise: rows.map((i) => unit(i, 1e-4)),
        trusted: rows.map(() => false),
      }).spread
    }
    // The likeliest spread s solves n (r2 / s2 - 1) = ln s / 0.45^2; the grid has steps of 0.05.
    for (const r of [1.5, 2]) {
      const likeliest = 1 + (many(r) - 1) / (2 * (60 / 62))
      const slope = (s: number) => 60 * ((r / s) ** 2 - 1) - Math.log(s) / 0.45 ** 2
      expect(slope(likeliest - 0.05)).toBeGreaterThan(0)
      expect(slope(likeliest + 0.05)).toBeLessThan(0)
    }
    expect(many(0.1)).toBe(1)
    expect(robustly({ residual: [], slopes: [], noise: [], trusted: [] }).spread).toBe(1)
  })
  test('a wider spread shows in every draw, also of what nobody read', () => {
    const learning: Learning = { names: ['a/x'], mean: [0.3], slopes: [[1]], noise: [[1]], spread: 2 }
    const next = deviatesWith(learning, 3)
    const read: number[] = []
    const other: number[] = []
    for (let i = 0; i < 4000; i++) {
      const deviates = next()
      read.push(deviates('a')('x'))
      other.push(deviates('b')('y'))
    }
    const mean = (list: number[]) => list.reduce((sum, x) => sum + x, 0) / list.length
    const deviation = (list: number[]) => Math.sqrt(mean(list.map((x) => (x - mean(list)) ** 2)))
    // A normal law of deviation 2 and a reading of error 1 leave the root of 4 / 5.
    expect(mean(read)).toBeCloseTo(0.3, 1)
    expect(deviation(read)).toBeCloseTo(Math.sqrt(4 / 5), 1)
    expect(leftOf(learning, [1])).toBeCloseTo(Math.sqrt(4 / 5), 12)
    expect(deviation(other) / 2).toBeCloseTo(1, 1)
  })
})

describe('ranges of materials alone', () => {
  test('air of a 7.6 cm core drawn from the tables spreads as widely as published, and never much less', () => {
    const core = {
      shape: { kind: 'roundPot' as const, topDiameter: 7.6, baseDiameter: 7.6, height: 7.6 },
      headspace: 0,
      base: { kind: 'drainHoles' as const },
    }
    const next = deviatesWith(null, 5)
    const sets = Array.from({ length: isLong ? 400 : 60 }, () => next())
    const times = wetEnd.materials.map(({ material: id, air: [low, , high] }) => {
      const drawn = sets.map((deviates) => {
        const mixed = blend([{ material: drawMaterial(material(id), deviates(id)), parts: 1 }])
        if (!mixed.ok) throw new Error(mixed.problem.code)
        const { totalPorosity, waterAt } = mixed.value
        return containerProfile(core, [{ top: 8, totalPorosity, waterAt }], 24).airFilledPorosity
      })
      return (quantile(drawn, 0.95) - quantile(drawn, 0.05)) / (high! - low!)
    })
    // Soils, gravel, expanded clay and rock dust are drawn wider than published; none is drawn far narrower.
    expect(times.filter((t) => t > 0.6 && t < 1.55).length).toBeGreaterThanOrEqual(38)
    expect(Math.min(...times)).toBeGreaterThan(0.6)
  })
})
