import { describe, expect, test } from 'vitest'
import { cropById, limeById } from '@/core/data'
import { dressingById } from '@/core/data/dressings'
import { evaluate, type Evaluation, type MixInContainer } from '@/core/evaluate'
import { containerVolumes } from '@/core/geometry'
import { blend } from '@/core/mixing'
import { parts } from '@/core/testing/arbitraries'
import { valueOf } from '@/core/testing/once'
import { MOVING_LIMITS, type Moved } from '@/core/water/moving'
import { sidesOf } from './lessonSides'
import { answerOf, answerOfPoured, casesOfLesson, withSand, type Lesson, type LessonAnswer } from './lessons'

const POT: MixInContainer['container'] = {
  shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 },
  headspace: 3,
  base: { kind: 'drainHoles' },
}
const inPot = (amounts: Record<string, number>, more: Partial<MixInContainer> = {}): MixInContainer => ({
  container: POT,
  parts: parts(amounts),
  limes: [],
  limeGramsPerLitre: 0,
  ...more,
})
const LIGHT = { peat_medium: 2, perlite_coarse: 1 }
const crop = cropById('pepper_sweet')!
/** Light and heavy, open and close, of one stuff and of many, bare and with a crop. */
const MIXES: MixInContainer[] = [
  inPot(LIGHT),
  inPot({ gravel_pea: 1 }),
  inPot({ sand_sharp: 1 }),
  inPot({ peat_medium: 1 }),
  inPot({ pumice: 1, gravel_pea: 1 }),
  inPot({ bark_composted: 1, sand_sharp: 1, compost_green: 2 }),
  inPot({ soil_loam: 1 }),
  inPot(LIGHT, { growing: { crop, plants: 1 } }),
  inPot({ soil_loam: 2, sand_sharp: 1 }, { growing: { crop, plants: 1, emptyWeight: 30 } }),
  inPot(LIGHT, { dressings: [{ dressing: dressingById('crf_5_6')!, gramsPerLitre: 5 }] }),
]
const evaluated = (input: MixInContainer): Evaluation => valueOf(evaluate(input))
const answered = (lesson: Lesson, input: MixInContainer, most = 3): LessonAnswer =>
  answerOf(lesson, input, evaluated(input), most)!
const figure = ({ figures }: LessonAnswer, name: string): number =>
  figures.find((f) => f.name === name)!.value

/** Which guess its own figures make right. Limits: a point of air; what hands, eyes and wind tell apart. */
const RIGHT: Partial<Record<Lesson, (f: (name: string) => number) => number>> = {
  depth: (f) => (f('tub') - f('tray') > 0.01 ? 1 : 2),
  sand: (f) => (f('airAfter') > f('airBefore') + 0.01 ? 0 : f('airAfter') < f('airBefore') - 0.01 ? 1 : 2),
  buckets: (f) => (f('made') > 2.95 ? 0 : f('made') > 2.6 ? 1 : 2),
  lime: (f) => {
    const share = (f('pHWeek') - f('pHStart')) / (f('pHSix') - f('pHStart'))
    return share > 0.85 ? 0 : share > 0.25 ? 1 : 2
  },
  gale: (f) => {
    const more = f('windWet') / f('windThirsty') - 1
    return more > 0.25 ? 0 : more > 0.05 ? 1 : 2
  },
  feed: (f) => (f('saltsTwice') > f('saltsMost') ? 2 : 1),
}

describe('a lesson', () => {
  test.each(Object.keys(RIGHT) as Lesson[])(
    '%s: the guess that is right is the one its figures say',
    (lesson) => {
      const seen = new Set<number>()
      for (const input of MIXES)
        for (const most of [1, 3]) {
          const answer = answered(lesson, input, most)
          seen.add(answer.right)
          expect(answer.right).toBe(RIGHT[lesson]!((name) => figure(answer, name)))
        }
      // Of depth physics knows one answer; of lime these mixes, with one dose, do.
      if (lesson !== 'depth' && lesson !== 'lime') expect(seen.size).toBeGreaterThan(1)
    },
  )
  test('depth: gravel holds no more in a tray than in a tub; peat has more air the deeper it stands', () => {
    const air = (amounts: Record<string, number>) => {
      const answer = answered('depth', inPot(amounts))
      return figure(answer, 'tub') - figure(answer, 'tray')
    }
    expect(Math.abs(air({ gravel_pea: 1 }))).toBeLessThan(0.05)
    expect(air({ peat_medium: 1 })).toBeGreaterThan(0.1)
  })
  test('sand: a quarter of the parts with it, whatever they were; what it weighs is that of the blend', () => {
    for (const many of [1, 5]) {
      const input = inPot({ peat_medium: 2 * many, perlite_coarse: many })
      const byHand = valueOf(blend([...input.parts, ...parts({ sand_sharp: many })]))
      expect(withSand(input)!.totalPorosity).toBeCloseTo(byHand.totalPorosity, 12)
      const answer = answered('sand', input)
      expect(figure(answer, 'weightAfter')).toBeCloseTo(byHand.dryBulkDensity, 12)
      expect(figure(answer, 'weightBefore')).toBeCloseTo(evaluated(input).blend.dryBulkDensity, 12)
    }
  })
  test('buckets: three less what stirring loses', () => {
    const input = inPot({ bark_composted: 1, sand_sharp: 1 })
    const { blendingLoss } = evaluated(input).blend
    expect(figure(answered('buckets', input), 'made')).toBeCloseTo(3 * (1 - blendingLoss), 12)
  })
  test('lime: its own dose where it has one, four grams where it has none; pH on the days that are named', () => {
    for (const [given, dose] of [
      [0, 4],
      [2.5, 2.5],
    ] as const) {
      const limes = [{ lime: limeById('lime_calcitic')!, share: 1 }]
      const input = inPot(LIGHT, { limes, limeGramsPerLitre: given })
      const answer = answered('lime', input)
      expect(figure(answer, 'dose')).toBe(dose)
      const { blend: mixed, acidity } = evaluated({ ...input, limeGramsPerLitre: dose })
      const on = (day: number) => acidity.find((s) => s.day === day)!.pH
      expect(figure(answer, 'pHStart')).toBe(mixed.pH)
      expect(figure(answer, 'pHWeek')).toBeCloseTo(on(7), 6)
      expect(figure(answer, 'pHSix')).toBeCloseTo(on(42), 6)
    }
  })
  test('feed: the dose it has, once and twice over the salts of its parts; one dS/m where it has none', () => {
    const fed = inPot(LIGHT, { dressings: [{ dressing: dressingById('crf_5_6')!, gramsPerLitre: 5 }] })
    for (const [input, dose] of [
      [inPot(LIGHT), 1],
      [fed, evaluated(fed).salts.mix.fromDressings],
    ] as const) {
      const answer = answered('feed', input)
      const own = evaluated(input).salts.mix.fromParts
      expect(dose).toBeGreaterThan(0)
      expect(figure(answer, 'saltsOnce')).toBeCloseTo(own + dose, 12)
      expect(figure(answer, 'saltsTwice')).toBeCloseTo(own + 2 * dose, 12)
      expect(figure(answer, 'saltsMost')).toBe(3)
    }
  })
})

describe('a lesson that pours', () => {
  test('half the mix in water, on the mix without its layers and then with the one thing changed', () => {
    const layered = inPot(LIGHT, { bottomLayers: [{ thickness: 2, parts: parts({ gravel_pea: 1 }) }] })
    const { mixVolume } = valueOf(containerVolumes(POT))
    for (const lesson of ['gravel', 'saucer'] as const) {
      const [plain, other] = casesOfLesson(lesson, layered)
      expect(plain!.input.bottomLayers).toEqual([])
      expect(plain!.below).toEqual({ kind: 'free' })
      expect(plain!.pulses).toEqual([{ start: 1, hours: 0.3, litres: mixVolume / 2 }])
      expect(plain!.days).toBe(lesson === 'gravel' ? 1 : 2)
      if (lesson === 'gravel') expect(other!.input.bottomLayers![0]!.thickness).toBe(5)
      else expect([other!.below.kind, other!.input.bottomLayers]).toEqual(['saucer', []])
    }
    // In a shallow dish gravel takes a third of the depth at most: 9 cm, less a lip of 3.
    const dish = { ...POT, shape: { ...POT.shape, height: 9 } } as MixInContainer['container']
    const [, under] = casesOfLesson('gravel', inPot(LIGHT, { container: dish }))
    expect(under!.input.bottomLayers![0]!.thickness).toBeCloseTo(2, 12)
  })
  /** Water that was followed, by hand: four cells of 2 cm and their litres, wet at the end as said. */
  const followed = (water: number[], inSaucer = 0): Moved =>
    ({
      course: {
        times: [0, 24],
        heights: [1, 3, 5, 7],
        litres: [1, 2, 3, 4],
        pores: [0.8, 0.8, 0.8, 0.8],
        water: [0.1, 0.1, 0.1, 0.1, ...water],
        inSaucer: [9, inSaucer],
      },
    }) as unknown as Moved
  const gravelOf = (plain: Moved, over: Moved) => {
    const cases = casesOfLesson('gravel', inPot(LIGHT))
    const thin = { ...cases[1]!, input: { ...cases[1]!.input, bottomLayers: [{ thickness: 4, parts: [] }] } }
    return answerOfPoured('gravel', [plain, over], [cases[0]!, thin])
  }
  test('gravel: litres of mix above it, and of air in them at the end', () => {
    const answer = gravelOf(followed([0.8, 0.7, 0.6, 0.5]), followed([0.2, 0.2, 0.7, 0.6]))
    expect(figure(answer, 'mixPlain')).toBeCloseTo(1 + 2 + 3 + 4, 12)
    expect(figure(answer, 'litresPlain')).toBeCloseTo(0 + 0.1 * 2 + 0.2 * 3 + 0.3 * 4, 12)
    // Four centimetres of gravel: the two upper cells alone.
    expect(figure(answer, 'mixGravel')).toBeCloseTo(3 + 4, 12)
    expect(figure(answer, 'litresGravel')).toBeCloseTo(0.1 * 3 + 0.2 * 4, 12)
    expect(figure(answer, 'sharePlain')).toBeCloseTo(2 / 10, 12)
    expect(figure(answer, 'shareGravel')).toBeCloseTo(1.1 / 7, 12)
  })
  test('gravel: three in a hundred more or less of air is no difference', () => {
    // Ten litres with two of air; above gravel seven litres.
    const plain = followed([0.6, 0.6, 0.6, 0.6])
    const airAbove = (litres: number) => followed([0.2, 0.2, 0.8 - litres / 7, 0.8 - litres / 7])
    expect([2.08, 2.05, 1.95, 1.92].map((litres) => gravelOf(plain, airAbove(litres)).right)).toEqual([
      0, 2, 2, 1,
    ])
  })
  test('saucer: the share of the mix with too little air, by its litres, and what is left in the saucer', () => {
    const least = MOVING_LIMITS.airForRoots.value
    const [soaked, airy] = [0.8 - least * 0.9, 0.8 - least * 1.1]
    const cases = casesOfLesson('saucer', inPot(LIGHT))
    const of = (...wet: boolean[]) =>
      followed(
        wet.map((w) => (w ? soaked : airy)),
        1.5,
      )
    const answer = answerOfPoured(
      'saucer',
      [of(true, false, false, false), of(true, true, false, false)],
      cases,
    )
    expect(figure(answer, 'shortFree')).toBeCloseTo(1 / 10, 12)
    expect(figure(answer, 'shortSaucer')).toBeCloseTo(3 / 10, 12)
    expect(figure(answer, 'saucerLeft')).toBe(1.5)
    expect(answer.right).toBe(2)
    const same = answerOfPoured(
      'saucer',
      [of(true, false, false, false), of(true, false, false, false)],
      cases,
    )
    expect(same.right).toBe(0)
    // A tenth more is some; the first cell has exactly that.
    const some = answerOfPoured(
      'saucer',
      [of(false, false, false, false), of(true, false, false, false)],
      cases,
    )
    expect(some.right).toBe(1)
  })
  test('drawn side by side: each cell fills from half-way to the one below to half-way to the one above', () => {
    const input = inPot(LIGHT)
    const asked = { input, evaluation: evaluated(input) }
    const [plain, full] = sidesOf('saucer', asked, [
      followed([0.8, 0.6, 0.4, 0.2]),
      followed([0.8, 0.8, 0.8, 0.8], 1.5),
    ])!
    expect(plain!.moments).toBe(2)
    expect([plain!.hasSaucer, full!.hasSaucer]).toEqual([false, true])
    const near = (from: number, to: number, share: number) => ({
      from,
      to,
      share: expect.closeTo(share, 9) as number,
    })
    expect(plain!.at(1)).toEqual({
      bands: [near(0, 2, 1), near(2, 4, 0.75), near(4, 6, 0.5), near(6, 8, 0.25)],
      saucer: 0,
    })
    expect(full!.at(1).saucer).toBe(1.5)
    expect(plain!.at(0).bands.map((b) => b.share)).toEqual(Array(4).fill(0.125))
    // Nothing is drawn of what has not been followed yet.
    const [, waiting] = sidesOf('gravel', asked, [])!
    expect([waiting!.floor, waiting!.moments, waiting!.at(0)]).toEqual([5, 0, { bands: [], saucer: 0 }])
  })
  test('drawn at rest: a tray and a tub, without saucer or floor, and sand beside none in the depth of the mix', () => {
    const input = inPot(LIGHT)
    const asked = { input, evaluation: evaluated(input) }
    const tall = sidesOf('depth', asked, [])!.map((s) => s.container.shape)
    expect(tall.map((s) => s.kind === 'roundPot' && s.height)).toEqual([6, 40])
    const sides = [...sidesOf('depth', asked, [])!, ...sidesOf('sand', asked, [])!]
    expect(sides).toHaveLength(4)
    for (const { floor, hasSaucer, moments, at, container } of sides) {
      expect([floor, hasSaucer, moments, at(0).saucer]).toEqual([0, false, 1, 0])
      expect(container.base).toEqual({ kind: 'drainHoles' })
      const { bands } = at(0)
      expect(bands[0]!.from).toBeCloseTo(0, 9)
      expect(bands.at(-1)!.to).toBeCloseTo(
        container.shape.kind === 'roundPot' ? container.shape.height : NaN,
        9,
      )
      for (const b of bands) expect(b.share).toBeLessThanOrEqual(1)
    }
  })
})
