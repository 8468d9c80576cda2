import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { ERRORS } from '../ranges'
import { outsideCheck } from '../testing/outsideCheck'
import {
  at25Degrees,
  averaged,
  FIELD_TESTS,
  measurementsOf,
  TEST_FIELDS,
  workOut,
  type FieldTest,
  type Repeat,
  type TestFigure,
} from '.'

const figures = (of: FieldTest, repeat: Repeat) => {
  const worked = workOut(of, repeat)
  if (!worked.ok) throw new Error(worked.problem.code)
  return worked.value
}
const check = (
  of: FieldTest,
  figure: TestFigure,
  repeat: Repeat,
  expected: number,
  source: string,
  tolerance = 1e-6,
) =>
  outsideCheck({
    module: 'fieldTests',
    what: `${of}: ${figure}`,
    source,
    basis: 'closed form',
    unit: '',
    expected,
    tolerance,
    computed: () => figures(of, repeat)[figure]!,
  })

describe('arithmetic of field tests', () => {
  check(
    'slurry',
    'electricalConductivity',
    { salts: 1.2, temperature: 15, saltsOfWater: 0.1 },
    1.4,
    'EC25 = EC_t / (1 + 0.02 (t - 25)), common practice; the water read alone taken off',
  )
  check(
    'drainedAir',
    'airFilledPorosity',
    { volume: 4, depth: 16, drained: 800 },
    0.2,
    'water run out over volume of mix: porosity test of extension guides, common practice',
  )
  check(
    'drainedAir',
    'containerCapacity',
    { volume: 4, depth: 16, drained: 800, potWeight: 0.2, wetWeight: 3, dryWeight: 0.6 },
    0.55,
    'water by weight: mass balance',
  )
  check(
    'bucketWeight',
    'moisture',
    { volume: 10, emptyWeight: 0.5, moistWeight: 5.5, dryLitre: 200 },
    0.6,
    'moisture = 1 - dry / moist, in the manner of EN 13040',
  )
  check('bucketsOut', 'blendingLoss', { bucketsIn: 9, bucketsOut: 8.1 }, 0.1, '1 - out / in, common practice')
  check(
    'percolation',
    'cmPerHour',
    { water: 2.5, seconds: 60 },
    150,
    'an inch a minute is 150 cm/h: double-ring idea, common practice',
  )
  check(
    'vinegarFizz',
    'carbonate',
    { grade: 2, sample: 20, loss: 0.44, blank: 0 },
    0.05,
    'CaCO3 of CO2: 100.09 / 44.01 = 2.274',
    1e-3,
  )
  check(
    'cressTest',
    'germinationIndex',
    { seeds: 75, upInExtract: 60, rootInExtract: 20, upInWater: 75, rootInWater: 32 },
    0.5,
    'Zucconi et al. 1981: share up times root length, over water',
  )
  check(
    'beanTest',
    'missable',
    { suspectPots: 6, suspectTwisted: 0, cleanPots: 6, cleanTwisted: 0 },
    3 / 18,
    'rule of three: none of n leaves up to 3 / n at nineteen in twenty',
  )
  test('what was left out of a test is left out of its answer', () => {
    expect(figures('bucketWeight', { volume: 10, emptyWeight: 0.5, moistWeight: 6.5 })).toEqual({
      moistDensity: 0.6,
    })
    const drained = { volume: 4, depth: 16, drained: 800, potWeight: 0.2 }
    expect(Object.keys(figures('drainedAir', drained))).toEqual(['airFilledPorosity'])
    expect(Object.keys(figures('drainedAir', { ...drained, wetWeight: 3 }))).toEqual(['airFilledPorosity'])
    expect(averaged('slurry', [])).toMatchObject({ ok: false, problem: { code: 'nothing-read' } })
  })
  test('beans that twisted are counted; how many might have been missed is asked only where none did', () => {
    const beans = { suspectPots: 6, suspectTwisted: 2, cleanPots: 6, cleanTwisted: 0 }
    expect(figures('beanTest', beans)).toEqual({ twisted: 1 / 3 })
    // One pot alone tells nothing: all may be.
    expect(figures('beanTest', { ...beans, suspectPots: 1, suspectTwisted: 0 })).toEqual({
      twisted: 0,
      missable: 1,
    })
  })
  check(
    'jar',
    'silt',
    { sandTop: 40, siltTop: 80, top: 100 },
    0.4,
    'heights of settled layers, extension jar test',
  )

  test('conductivity at 25 degrees stays as it is, and rises for what was read colder', () => {
    expect(at25Degrees(2, 25)).toBe(2)
    expect(at25Degrees(2, 10)).toBeGreaterThan(2)
  })
  test('sieve shares add up to one', () => {
    const { coarse, middle, small, fines } = figures('sieve', {
      over12: 100,
      over6: 300,
      over1: 500,
      pan: 100,
    })
    expect(coarse! + middle! + small! + fines!).toBeCloseTo(1, 12)
    expect(fines).toBeCloseTo(0.1, 12)
  })
  test('repeats are averaged, with how far they lie apart; of drops the middle one counts', () => {
    const pH = averaged('slurry', [{ pH: 6 }, { pH: 6.4 }, { pH: 6.2 }])
    expect(pH.ok && pH.value.pH).toMatchObject({ count: 3 })
    expect(pH.ok && pH.value.pH!.mean).toBeCloseTo(6.2, 9)
    expect(pH.ok && pH.value.pH!.spread).toBeCloseTo(0.2, 9)
    expect(pH.ok && pH.value.pH!.apart).toBeCloseTo(0.4, 9)
    const drops = averaged('dropTest', [{ seconds: 4 }, { seconds: 6 }, { seconds: 900 }])
    expect(drops.ok && drops.value.seconds!.mean).toBe(6)
  })
  test('what is missing, beyond reading, or contradicts itself is reported with its field', () => {
    const problem = (of: FieldTest, repeat: Repeat) => {
      const worked = workOut(of, repeat)
      return worked.ok ? null : worked.problem
    }
    expect(problem('drainedAir', { volume: 4, depth: 16 })).toEqual({
      code: 'field-missing',
      field: 'drained',
    })
    expect(problem('slurry', { pH: 12 })).toMatchObject({ code: 'field-range', field: 'pH', high: 10 })
    expect(problem('slurry', { pH: NaN })).toMatchObject({ code: 'field-range', field: 'pH' })
    expect(problem('slurry', {})).toEqual({ code: 'nothing-read', field: null })
    expect(problem('jar', { sandTop: 50, siltTop: 40, top: 100 })).toMatchObject({
      code: 'fields-contradict',
    })
    expect(problem('bucketsOut', { bucketsIn: 5, bucketsOut: 6 })).toMatchObject({
      code: 'fields-contradict',
    })
    expect(
      problem('cressTest', { seeds: 75, upInExtract: 80, rootInExtract: 9, upInWater: 70, rootInWater: 9 }),
    ).toMatchObject({ code: 'fields-contradict' })
  })
  test('for anything that can be typed a test gives finite figures or a problem', () => {
    fc.assert(
      fc.property(fc.constantFrom(...FIELD_TESTS), fc.infiniteStream(fc.double()), (of, numbers) => {
        const repeat = Object.fromEntries(TEST_FIELDS[of].map(({ name }) => [name, numbers.next().value]))
        const worked = workOut(of, repeat)
        if (worked.ok) for (const x of Object.values(worked.value)) expect(Number.isFinite(x)).toBe(true)
        else expect(worked.problem.code).toBeTruthy()
      }),
    )
  })
})

describe('a test as readings of the model', () => {
  const of = (name: FieldTest, repeats: Repeat[], at: Parameters<typeof measurementsOf>[2]) => {
    const a = averaged(name, repeats)
    return a.ok ? measurementsOf(name, a.value, at) : []
  }
  test('speaks of pH and salts by its extract, and of salts no more once watering has moved them', () => {
    const [pH, salts] = of('paste', [{ pH: 6.1, salts: 2 }], { day: 3 })
    expect(pH).toMatchObject({ kind: 'pH', value: 6.1, day: 3, count: 1, spread: 0.1 })
    expect(salts).toMatchObject({ kind: 'electricalConductivity', method: 'saturatedExtract', value: 2 })
    expect(of('pourThrough', [{ pH: 6.1, salts: 2 }], { day: 40 }).map((m) => m.kind)).toEqual(['pH'])
    expect(of('slurry', [{ pH: 6 }], { day: 3, strips: true })[0]!.spread).toBe(0.3)
  })
  test('of air and water in a pot of the depth it was done in; not of an old mix', () => {
    const repeat = { volume: 4, depth: 16, drained: 800, potWeight: 0.2, wetWeight: 3, dryWeight: 0.6 }
    const [air, water] = of('drainedAir', [repeat], { day: 0, depth: 16 })
    expect(air).toMatchObject({
      kind: 'drainTest',
      airFilledPorosity: 0.2,
      container: { shape: { height: 16 } },
    })
    expect(water!.kind).toBe('waterHeld')
    expect(of('drainedAir', [repeat], { day: 100, depth: 16 })).toEqual([])
  })
  test('many that agree tell more than one; many that do not, less than a careful hand', () => {
    const spread = (...pHs: number[]) =>
      of(
        'slurry',
        pHs.map((pH) => ({ pH })),
        { day: 0 },
      )[0]!
    expect(spread(6, 6, 6).spread).toBeLessThan(0.12)
    expect(spread(6, 6, 6).count).toBe(3)
    expect(spread(5, 6, 7).spread).toBeGreaterThan(0.5)
  })
  test('tests that speak of no figure give none', () => {
    for (const name of ['dropTest', 'vinegarFizz', 'settling'] as const)
      expect(of(name, [{ seconds: 9, grade: 1, before: 2, now: 3 }], { day: 0 })).toEqual([])
  })
})

describe('how far repeats are trusted', () => {
  const of = (count: number, spread: number | null) => {
    const [m] = measurementsOf('slurry', { pH: { mean: 6, spread, count, apart: 0 } }, { day: 0 })
    return m as { spread: number; count: number }
  }
  test('a careful hand’s own error, with the spread of the others weighed in: pooled variance', () => {
    expect(of(1, null)).toMatchObject({ spread: 0.12, count: 1 })
    for (const [n, s] of [
      [2, 0.3],
      [5, 0.05],
    ] as const)
      expect(of(n, s).spread).toBeCloseTo(Math.sqrt((0.12 ** 2 + (n - 1) * s ** 2) / n), 12)
  })
  test('each figure of the body of a mix is a measurement of its own kind, in the pipe it was read in', () => {
    const one = (mean: number) => ({ mean, spread: null, count: 1, apart: 0 })
    const found = measurementsOf(
      'bucketsOut',
      {
        airFilledPorosity: one(0.2),
        containerCapacity: one(0.5),
        dryDensity: one(0.3),
        blendingLoss: one(0.1),
        cmPerHour: one(40),
      },
      { day: 0, depth: 12 },
    )
    const of = (kind: string) => found.find((m) => m.kind === kind)
    // A single reading is as sure as a careful hand is, in its unit or as a share of itself.
    expect(of('drainTest')).toMatchObject({
      airFilledPorosity: 0.2,
      spread: ERRORS.drainTest.reading,
      count: 1,
    })
    expect(of('waterHeld')).toMatchObject({ containerCapacity: 0.5, spread: ERRORS.waterHeld.reading })
    expect(of('dryDensity')).toMatchObject({ kgPerLitre: 0.3, spread: ERRORS.dryDensity.reading })
    expect(of('blendingLoss')).toMatchObject({ share: 0.1, spread: ERRORS.blendingLoss.reading })
    expect(of('percolation')).toMatchObject({ cmPerHour: 40, spread: ERRORS.percolation.reading })
    for (const kind of ['drainTest', 'waterHeld'])
      expect(of(kind)).toMatchObject({ container: { shape: { height: 12 } } })
    // Nothing read, or a mix that lets nothing through, is no measurement.
    expect(measurementsOf('bucketsOut', {}, { day: 0 })).toEqual([])
    expect(measurementsOf('percolation', { cmPerHour: one(0) }, { day: 0 })).toEqual([])
  })
  test('the spread of salts is a share of what was read', () => {
    const [m] = measurementsOf(
      'slurry',
      { electricalConductivity: { mean: 2, spread: 0.4, count: 2, apart: 0 } },
      { day: 0 },
    ) as { spread: number }[]
    expect(m!.spread).toBeCloseTo(Math.sqrt((0.09 ** 2 + (0.4 / 2) ** 2) / 2), 12)
  })
})

describe('vinegar on a scale', () => {
  test('gas lost over what the blank lost, as calcium carbonate: 100 g of it give 44 of gas', () => {
    expect(figures('vinegarFizz', { grade: 2, sample: 20, loss: 1.1, blank: 0.22 }).carbonate).toBeCloseTo(
      ((1.1 - 0.22) * 100) / 44 / 20,
      2,
    )
    expect(figures('vinegarFizz', { grade: 2, sample: 20, loss: 0.2, blank: 0.3 }).carbonate).toBe(0)
  })
  test('a sample that was weighed before and not after gives the grade that was seen', () => {
    const seen = figures('vinegarFizz', { grade: 2 }).carbonate
    expect(figures('vinegarFizz', { grade: 2, sample: 20 }).carbonate).toBe(seen)
    expect(figures('vinegarFizz', { grade: 2, loss: 0.4 }).carbonate).toBe(seen)
  })
  test('every number beyond what can be read is named, at both ends', () => {
    for (const [test, fields] of Object.entries(TEST_FIELDS))
      for (const { name, low, high } of fields)
        for (const value of [low - 1, high + 1, NaN]) {
          const read = workOut(test as FieldTest, { [name]: value })
          expect(read.ok, `${test} ${name}`).toBe(false)
        }
  })
})
