import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { emergenceOf } from '@/core/data/emergence'
import { growthOf } from '@/core/data/growth'
import { containerVolumes } from '@/core/geometry'
import { blend } from '@/core/mixing'
import { raisingPlan } from '@/core/raising'
import { phosphorusStore } from '@/core/rotation'
import { parts } from '@/core/testing/arbitraries'
import { valueOf } from '@/core/testing/once'
import { LITRES } from '@/core/units'
import type { CaseName } from './cases'
import { runCase } from './run'

const example = (name: CaseName) =>
  JSON.parse(readFileSync(`docs/formats/examples/${name}.json`, 'utf8')) as Record<string, unknown>
function answer(name: CaseName, change: object = {}) {
  const found = runCase(name, { ...example(name), ...change })
  if (!found.ok) throw new Error(JSON.stringify(found))
  return (found as unknown as { value: Record<string, never> }).value as Record<string, never> & {
    [key: string]: never
  }
}
type Any = Record<string, never>
const misfit = (name: CaseName, change: object) => {
  const found = runCase(name, { ...example(name), ...change })
  return 'misfit' in found ? found.misfit : null
}
const POT = {
  shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 22, height: 28 },
  headspace: 3,
  base: { kind: 'drainHoles' },
} as const

test('figures alone are those of the whole answer, without what looks ahead', () => {
  const whole = answer('evaluate', { ranges: undefined }) as unknown as { figures: Record<string, number> }
  const brief = answer('evaluate', { ranges: undefined, answer: 'figures' }) as unknown as typeof whole
  const ahead = (name: string) => /AfterYear|AtSeasonsEnd/.test(name)
  const now = Object.entries(whole.figures).filter(([name]) => !ahead(name))
  expect(brief.figures).toEqual(Object.fromEntries(now))
  expect(now.length).toBeGreaterThan(25)
  expect(Object.keys(brief)).toEqual(['figures', 'lime', 'mixVolume'])
})

test('the alkalinity of the water reaches the pH: hard water raises it by the season’s end, none is as said nothing', () => {
  const ends = (waterAlkalinity: number | undefined) => {
    const growing = { ...(example('evaluate').growing as object), waterAlkalinity }
    const a = answer('evaluate', { ranges: undefined, growing }) as unknown as {
      figures: Record<string, number>
    }
    return a.figures.pHAtSeasonsEnd!
  }
  expect(ends(5)).toBeGreaterThan(ends(1) + 0.1)
  expect(ends(0)).toBe(ends(undefined))
})

describe('the headless door, volumes', () => {
  const each = () => valueOf(containerVolumes(POT)).mixVolume
  test('what the pots hold less their root balls, times how many, and what settles on top: arithmetic', () => {
    const a = answer('volume', {
      containers: [{ container: POT, count: 3, rootBalls: 2 }],
      settling: 0.1,
      mix: undefined,
    }) as unknown as {
      containers: { mix: number; all: number }[]
      inPlace: Record<string, number>
      toBlend: Record<string, number>
    }
    expect(a.containers[0]!.mix).toBeCloseTo(each() - 2, 9)
    expect(a.containers[0]!.all).toBeCloseTo(3 * (each() - 2), 9)
    expect(a.inPlace.litres).toBeCloseTo(3 * (each() - 2), 9)
    expect(a.toBlend.litres! / a.inPlace.litres!).toBeCloseTo(1.1, 12)
    expect(a.toBlend.cubicFeet! * LITRES.cubicFoot).toBeCloseTo(a.toBlend.litres!, 9)
    expect(a.toBlend.usGallons! * LITRES.usGallon).toBeCloseTo(a.toBlend.litres!, 9)
    expect(a).not.toHaveProperty('parts')
  })
  test('loose parts come in the ratio of the recipe, and give what is to be blended: mass balance', () => {
    const recipe = { peat_medium: 3, perlite_coarse: 1 }
    const a = answer('volume', {
      containers: [{ container: POT }],
      settling: 0,
      mix: Object.entries(recipe).map(([material, n]) => ({ material, parts: n })),
    }) as unknown as { parts: { litres: number }[]; toMeasure: { litres: number }; blendingLoss: number }
    const { blendingLoss } = valueOf(blend(parts(recipe)))
    expect(a.blendingLoss).toBeCloseTo(blendingLoss, 12)
    expect(a.toMeasure.litres * (1 - blendingLoss)).toBeCloseTo(each(), 9)
    expect(a.parts.map((p) => p.litres / a.toMeasure.litres)).toEqual([
      expect.closeTo(0.75, 12),
      expect.closeTo(0.25, 12),
    ])
  })
  test('root balls that fill the pot, half a pot and a mix of nothing known are refused', () => {
    const problem = (change: object) => {
      const found = runCase('volume', { ...example('volume'), ...change })
      return 'problem' in found ? (found.problem as { code: string }).code : null
    }
    expect(problem({ containers: [{ container: POT, rootBalls: each() }] })).toBe('size-too-large')
    expect(problem({ containers: [{ container: POT, count: 0.5 }] })).toBe('count-not-whole')
    expect(problem({ mix: [{ material: 'moon_dust', parts: 1 }] })).toBe('unknown-material')
  })
})

describe('the headless door, doses and finds', () => {
  test('a dose begins from the mix as it is, and says no more than was asked', () => {
    const bare = valueOf(blend(parts({ peat_medium: 3, perlite_medium: 1 })))
    const a = answer('dose', { feed: undefined }) as Any
    expect(a.pHBefore).toBeCloseTo(bare.pH, 12)
    expect(a.bufferCapacity).toBeCloseTo(bare.bufferCapacity, 12)
    expect(a).not.toHaveProperty('acid')
    const acid = answer('dose', {
      lime: undefined,
      feed: undefined,
      mix: [{ material: 'leaf_mould', parts: 1 }],
      acid: { dressing: 'sulfur_elemental', targetPH: 5.5, days: 120 },
    }) as unknown as { pHBefore: number; acid: { dressing: string; gramsPerLitre: number } }
    expect(acid.acid.dressing).toBe('sulfur_elemental')
    expect(acid.acid.gramsPerLitre > 0).toBe(acid.pHBefore > 5.5)
  })
  test('raising plants is the plan of the core, its trays by their names; weeks as usual unless they are said', () => {
    const a = answer('raise') as unknown as { seeds: number; stages: { tray: string; cells: number }[] }
    const { plants, warmthOfSeed, warmth } = example('raise') as Record<string, number>
    const plan = (weeks: number) =>
      valueOf(
        raisingPlan({
          emergence: emergenceOf('tomato_cherry')!,
          weeks,
          plants: plants!,
          warmthOfSeed: warmthOfSeed!,
          warmth: warmth!,
          first: 'plugs72',
          second: 'pots9cm',
        }),
      )
    const usual = growthOf('tomato_cherry')!.weeksAsTransplant
    const { seeds, dates, sowBetween } = plan(usual)
    expect(a).toMatchObject({ seeds, dates, sowBetween })
    expect(a.stages.map((s) => s.tray)).toEqual(['plugs72', 'pots9cm'])
    expect(answer('raise', { weeks: 9 })).toMatchObject({ dates: plan(9).dates })
    expect((answer('raise', { second: undefined }) as unknown as typeof a).stages).toHaveLength(1)
    expect(runCase('raise', { ...example('raise'), crop: 'fig' })).toMatchObject({
      ok: false,
      problem: { code: 'unknown-crop', crop: 'fig' },
    })
  })
  test('rotation keeps what is decided, says how long each family has waited, and adds up what compost left', () => {
    const a = answer('rotate') as unknown as {
      steps: { bed: string; year: number; crop: string; waited: number | null }[]
      phosphorus: { bed: string }[]
    }
    // Three beds in three years.
    expect(a.steps).toHaveLength(9)
    expect(a.steps.find((s) => s.bed === 'south' && s.year === 2028)!.crop).toBe('leek')
    for (const year of [2027, 2029])
      expect(
        a.steps
          .filter((s) => s.year === year)
          .map((s) => s.crop)
          .sort(),
      ).toEqual(['cabbage', 'pea', 'tomato_cherry'])
    // What moved from bed to bed each year: none comes back at once.
    expect(a.steps.find((s) => s.bed === 'north' && s.year === 2027)!.crop).not.toBe('tomato_cherry')
    expect(a.phosphorus).toEqual([{ bed: 'north', ...phosphorusStore([29, 29, 12]) }])
    expect(runCase('rotate', { ...example('rotate'), crops: ['kale', 'no such'] })).toMatchObject({
      ok: false,
      problem: { code: 'unknown-crop', crop: 'no such' },
    })
  })
  test('a meter in the feed made up says how strong it came out: half of what it adds is half as strong', () => {
    const made = answer('feed') as unknown as { conductivity: number; conductivityAdded: number }
    const at = (share: number) =>
      answer('feed', { meterReads: made.conductivity - (1 - share) * made.conductivityAdded }) as unknown as {
        meter: { share: number }
      }
    expect(at(1).meter.share).toBeCloseTo(1, 9)
    expect(at(0.5).meter.share).toBeCloseTo(0.5, 9)
    expect(answer('feed', { meterReads: undefined })).not.toHaveProperty('meter')
  })
  test('acid is measured for the tap water in the can: none for the rain, ten times as much for ten times the water', () => {
    const grams = (rain: number) => {
      const acid = { id: 'sulfuric35', toPH: 6.2 }
      const a = answer('treat', { treatment: { rain, acid }, container: undefined, barrel: undefined })
      const { amounts } = a.acid as unknown as { amounts: Record<string, number>[] }
      const key = Object.keys(amounts[0]!).find((k) => k !== 'litres')!
      expect(amounts[1]![key]! / amounts[0]![key]!).toBeCloseTo(10, 6)
      return amounts[0]![key]!
    }
    // What is to be neutralised is what the tap brings above the rest that stays: less than its share with rain in it.
    expect(grams(0.5)).toBeLessThan(0.5 * grams(0) * 1.001)
    expect(grams(0.5)).toBeGreaterThan(0)
  })
  test('no more kinds are listed than were asked for, though more were found', () => {
    const a = answer('find', { most: 2, finish: undefined, explain: false }) as unknown as {
      families: unknown[]
      familiesFound: number
    }
    expect(a.families).toHaveLength(2)
    expect(a.familiesFound).toBeGreaterThan(2)
  })
  test('what does not fit a case is named by its place, as deep as it goes', () => {
    expect(misfit('volume', { containers: [] })!.where).toBe('containers')
    expect(misfit('volume', { containers: [{ container: POT, cuont: 1 }] })!.where).toBe('containers.0')
    expect(misfit('dose', { mix: [{ material: 'peat_medium', parts: 'three' }] })!.where).toBe('mix.0.parts')
    expect(misfit('dose', { lime: { targetPH: 'six' } })!.where).toBe('lime.targetPH')
    // Two fields against each other: the sentence of the schema, at the record that holds both.
    expect(misfit('find', { targets: { pH: { low: 7, high: 6 } } })).toEqual({
      where: 'targets.pH',
      why: { code: 'fault', words: 'low is above high' },
    })
  })
})

describe('water of a case', () => {
  const growing = example('evaluate').growing as object
  const figures = (change: object) =>
    (
      answer('evaluate', {
        ranges: undefined,
        answer: 'figures',
        growing: { ...growing, ...change },
      }) as unknown as {
        figures: Record<string, number>
      }
    ).figures
  test('treated with nothing it is as it comes; softened it is so however it is treated', () => {
    for (const tap of [
      { waterAlkalinity: 4, waterConductivity: 0.6 },
      { waterAlkalinity: 4, waterConductivity: 0.6, waterIons: { sodium: 60, chloride: 80, boron: 0.4 } },
      { waterAlkalinity: 4, waterConductivity: 0.6, waterSoftened: true },
    ])
      expect(figures({ ...tap, waterTreatment: { rain: 0 } })).toEqual(figures(tap))
  })
  test('all of it rain, nothing of the tap is left', () => {
    const soft = figures({ waterAlkalinity: 5, waterConductivity: 1, waterTreatment: { rain: 1 } })
    expect(soft.pH).toBeLessThan(figures({ waterAlkalinity: 5, waterConductivity: 1 }).pH!)
  })
})
test('a lime or feed that nobody knows is named', () => {
  for (const change of [{ lime: { calcitic: 'moon_lime' } }, { lime: { dolomitic: 'moon_lime' } }]) {
    const lime = { ...(example('dose').lime as object), ...change.lime }
    expect(runCase('dose', { ...example('dose'), lime })).toMatchObject({
      ok: false,
      problem: { code: 'unknown-dressing', dressing: 'moon_lime' },
    })
  }
})
