import { beforeAll, describe, expect, test } from 'vitest'
import { cropById } from '../data'
import { dressingById } from '../data/dressings'
import { evaluate, type Evaluation } from '../evaluate'
import { bandsOf, targetsFor } from '../targets'
import { parts } from '../testing/arbitraries'
import { ranked } from './finding'
import { APPRAISAL_LIMITS as L } from './limits'
import { REMEDIES } from './remedies'
import {
  appraise,
  easedBy,
  isGood,
  leavesGraver,
  mendedBy,
  outweighs,
  TOPICS,
  type AppraisalQuestion,
  type Finding,
  type Severity,
  type Situation,
  type Topic,
} from '.'

const place = {
  latitude: 45,
  elevation: 0,
  months: Array.from({ length: 12 }, () => ({ tMin: 14, tMax: 24, rain: 30 })),
}
/** A tomato in a good mix; what `change` puts in place of its figures is judged anew. */
let base: AppraisalQuestion
beforeAll(() => {
  const crop = cropById('tomato_determinate')!
  const container = {
    shape: { kind: 'roundPot', topDiameter: 34, baseDiameter: 28, height: 32 },
    headspace: 3,
    base: { kind: 'drainHoles' },
  } as const
  const input = {
    container,
    parts: parts({ peat_medium: 4, compost_green: 1, perlite_coarse: 1 }),
    limes: [],
    limeGramsPerLitre: 0,
    dressings: [],
    growing: { crop, plants: 1, climate: place, plantingMonth: 5 },
  }
  const answer = evaluate(input)
  if (!answer.ok) throw new Error(answer.problem.code)
  const bands = bandsOf(
    targetsFor({ crops: [crop], inGround: false, height: null, carried: false, waterEvery: null }),
  )
  base = {
    evaluation: answer.value,
    judged: {
      evaluation: answer.value,
      container,
      parts: input.parts,
      limes: [],
      crop,
      airWanted: { low: 0.15, high: 0.3 },
      pHWanted: { low: 5.5, high: 6.8 },
      liftable: null,
      wind: null,
      wide: false,
      waterEvery: null,
      waterAlkalinity: 0,
      calciumGiven: 0,
      dressings: [],
    },
    judgements: [],
    bands: { ...bands, airFilledPorosity: { low: 0.15, high: 0.3 }, pH: { low: 5.5, high: 6.8 } },
    bottomLayers: [],
    waterEc: 0,
    situation: {},
  }
})
/** The base with another crop in another container. */
const inPlace = (id: string, kind: 'sideHoles' | 'drainHoles') => {
  const { container } = base.judged
  const ground = kind === 'sideHoles' ? ({ kind, height: 4 } as const) : ({ kind } as const)
  return appraise({
    ...base,
    judged: { ...base.judged, crop: cropById(id)!, container: { ...container, base: ground } },
  }).map((f) => f.topic)
}
const asked = (e: Partial<Evaluation>, situation: Situation = {}, q: Partial<AppraisalQuestion> = {}) => {
  const evaluation = { ...base.evaluation, ...e }
  return appraise({ ...base, evaluation, judged: { ...base.judged, evaluation }, situation, ...q })
}
const severity = (findings: Finding[], topic: Topic) =>
  findings.find((f) => f.topic === topic)?.severity ?? null
/** What is said of a topic just below and just above a limit. */
const sides = (at: number, of: (x: number) => Finding[], topic: Topic) =>
  [0.99 * at, 1.01 * at].map((x) => severity(of(x), topic))

const pH = (x: number): Partial<Evaluation> => ({
  lime: { ...base.evaluation.lime, pH: x },
  acidity: [],
})
const air = (x: number) => ({ mix: { ...base.evaluation.mix, airFilledPorosity: x } })
const fed = (change: object): Partial<Evaluation> => ({
  growing: {
    ...base.evaluation.growing!,
    feeding: { ...base.evaluation.growing!.feeding, ...change },
  },
})
const met = (change: object) =>
  fed({
    met: { nitrogen: 1, phosphorus: 1, potassium: 1, calcium: 1, magnesium: 1, sulfur: 1, ...change },
    shortFrom: { nitrogen: 7, phosphorus: null, potassium: 7, calcium: null, magnesium: null, sulfur: null },
  })
const blendOf = (shares: [family: string, id: string, share: number][]): Partial<Evaluation> => ({
  blend: {
    ...base.evaluation.blend,
    shares: shares.map(([family, id, share]) => ({
      ...base.evaluation.blend.shares[0]!,
      material: { ...base.evaluation.blend.shares[0]!.material, family, id } as never,
      share,
    })),
  },
})
const soilOf = (x: number, id = 'soil_loam', family = 'soil') =>
  blendOf([
    [family, id, x],
    ['peat', 'peat_fine', 1 - x],
  ])
const ec = (x: number): Partial<Evaluation> => ({
  salts: {
    ...base.evaluation.salts,
    mix: {
      ...base.evaluation.salts.mix,
      electricalConductivity: { saturatedExtract: x, pourThrough: x } as never,
    },
  },
})

describe('each limit from both sides', () => {
  test('pH far outside its band is grave, for acid lovers sooner', () => {
    expect(severity(asked(pH(5.5 - 0.99 * L.farPH.value)), 'ph-low')).toBe('watch')
    expect(severity(asked(pH(5.5 - 1.01 * L.farPH.value)), 'ph-low')).toBe('grave')
    const acid = (most: number) => ({ bands: { ...base.bands, pH: { low: 4.5, high: most } } })
    const over = (most: number, by: number) => severity(asked(pH(most + by), {}, acid(most)), 'ph-high')
    expect([0.99, 1.01].map((f) => over(5.2, f * L.farPHForAcid.value))).toEqual(['watch', 'grave'])
    expect([0.99, 1.01].map((f) => over(f * L.acidBand.value, 0.7))).toEqual(['grave', 'watch'])
    // Heaths crop half a unit below their band, and a pH above it is what kills them.
    const under = (by: number) => severity(asked(pH(4.5 - by), {}, acid(5.2)), 'ph-low')
    expect([0.99, 1.01].map((f) => under(f * L.acidBears.value))).toEqual(['note', 'watch'])
    expect(asked(pH(6.5), {}, acid(5.2)).find((f) => f.topic === 'ph-high')).toMatchObject({ harms: 'kills' })
    expect(severity(asked(pH(4), { stage: 'cutting' }), 'ph-low')).toBe('note')
    // Mineral soil keeps traces in reach at 7.5; a little soil does not, nor does it help an acid lover.
    const inSoil = (share: number, at: number, q = {}) =>
      severity(asked({ ...soilOf(share), ...pH(at) }, {}, q), 'ph-high')
    const slack = 6.8 + L.soilBearsPH.value
    expect([inSoil(0.5, 0.999 * slack), inSoil(0.5, 1.001 * slack)]).toEqual(['note', 'watch'])
    expect([0.99, 1.01].map((f) => inSoil(f * L.muchSoil.value, 7.3))).toEqual(['watch', 'note'])
    expect(inSoil(0.5, 5.8, acid(5.2))).toBe('grave')
  })
  test('air, and how fast it dries', () => {
    expect(sides(0.15 * L.drowns.value, (x) => asked(air(x)), 'air-low')).toEqual(['grave', null])
    expect(sides(0.3 + L.farAir.value, (x) => asked(air(x)), 'air-high')).toEqual(['note', 'watch'])
    const days = (value: number): Partial<Evaluation> => {
      const growing = base.evaluation.growing!
      return {
        growing: {
          ...growing,
          watering: growing.watering.map((w) => ({ ...w, days: { low: value, value, high: value } })),
        },
      }
    }
    expect(sides(L.dryDays.value, (x) => asked(days(x)), 'dries-fast')).toEqual(['watch', null])
  })
  test('feed: what is short, how short, and what is planned for later', () => {
    expect(sides(L.noNitrogen.value, (nitrogen) => asked(met({ nitrogen })), 'nitrogen-none')).toEqual([
      'grave',
      null,
    ])
    expect(sides(L.littleShort.value, (nitrogen) => asked(met({ nitrogen })), 'nitrogen-short')).toEqual([
      'watch',
      'note',
    ])
    expect(sides(L.gravelyShort.value, (potassium) => asked(met({ potassium })), 'potassium-short')).toEqual([
      'grave',
      'watch',
    ])
    expect(severity(asked(met({ nitrogen: 0 }), { feedLater: 'weekly' }), 'nitrogen-none')).toBe('note')
    const carrot = { ...base.judged, crop: cropById('carrot')! }
    const supply = (x: number) => {
      const enough = { ...base.evaluation.growing!.feeding.enough, nitrogen: 10 }
      const nitrogen = [{ day: 7, supply: x, demand: 0, uptake: 0, leached: 0, pool: 0 }]
      const evaluation = {
        ...base.evaluation,
        ...fed({ enough, weeks: { ...base.evaluation.growing!.feeding.weeks, nitrogen } }),
      }
      return appraise({ ...base, evaluation, judged: { ...carrot, evaluation } })
    }
    expect(sides(10 * L.tooMuchNitrogen.value, supply, 'nitrogen-too-much')).toEqual([null, 'watch'])
  })
  test('depth, years and load', () => {
    const depth = cropById('tomato_determinate')!.properties.minDepth.value
    expect(sides(depth * L.makesDo.value, (mixDepth) => asked({ mixDepth }), 'crop-depth')).toEqual([
      'watch',
      null,
    ])
    const third = base.evaluation.seasons.at(-1)!
    const lost = (volumeLost: number) =>
      asked({ seasons: [{ ...third, years: 3, volumeLost }] }, { years: 3 })
    expect(sides(L.wornOut.value, lost, 'slumps')).toEqual([null, 'grave'])
    // Twice the years lose twice as often what is left: 30 % in three years is 51 % in six.
    expect(
      severity(asked({ seasons: [{ ...third, years: 3, volumeLost: 0.3 }] }, { years: 6 }), 'slumps'),
    ).toBe('grave')
    // Where nobody said how many years, what has no wood is potted on before it slumps; a tree stays in it.
    const slumps = (id: string, years?: number) =>
      severity(
        appraise({
          ...base,
          judged: { ...base.judged, crop: cropById(id)! },
          judgements: [
            {
              level: 'warn',
              code: 'slumps',
              years: 3,
              lost: 0.2,
              air: 0.1,
              wanted: 0.15,
              going: [],
              staying: [],
              losing: [],
            },
          ],
          situation: years === undefined ? {} : { years },
        }),
        'slumps',
      )
    expect([slumps('basil'), slumps('basil', 3), slumps('fig')]).toEqual(['note', 'watch', 'watch'])
    const load = (floorLoad: number, saturated = 500) =>
      asked({ weights: { ...base.evaluation.weights, floorLoad, saturated } }, { standing: 'roof' })
    expect(sides(L.usualLoad.value, load, 'weight-load')).toEqual(['note', 'grave'])
    // A box that weighs no more than a person loads no floor, however small its foot.
    expect(sides(L.lightAloft.value, (kg) => load(300, kg), 'weight-load')).toEqual(['note', 'grave'])
    expect(
      severity(
        asked(
          { weights: { ...base.evaluation.weights, floorLoad: 240, saturated: 500 } },
          { standing: 'roof', loadAllowed: '250 kg/m2' },
        ),
        'weight-load',
      ),
    ).toBe('note')
  })
  test('seeds: salts and what is not clean', () => {
    const seed = { stage: 'seed' }
    expect(sides(L.seedSalts.value, (x) => asked(ec(x), seed), 'too-rich-for-seed')).toEqual([null, 'watch'])
    expect(sides(L.seedSaltsKill.value, (x) => asked(ec(x), seed), 'too-rich-for-seed')).toEqual([
      'watch',
      'grave',
    ])
    expect(sides(L.soilForSeeds.value, (x) => asked(soilOf(x), seed), 'not-clean-for-seed')).toEqual([
      'note',
      'grave',
    ])
    const compost = (x: number) => asked(soilOf(x, 'compost_green', 'compost'), seed)
    expect(sides(L.uncleanForSeeds.value, compost, 'not-clean-for-seed')).toEqual(['note', 'watch'])
  })
  test('parts: fresh wood, bought mix with lime, what shuns water, manure before a harvest', () => {
    const wood = (x: number) => asked(soilOf(x, 'wood_chips_fresh', 'wood'))
    expect(sides(L.freshWood.value, wood, 'fresh-wood')).toEqual([null, 'watch'])
    expect(sides(L.muchFreshWood.value, wood, 'fresh-wood')).toEqual(['watch', 'grave'])
    const bag = (x: number) => asked(soilOf(x, 'potting_mix_bagged', 'mix'))
    expect(sides(L.mostlyBag.value, bag, 'lime-already-in-bag')).toEqual([null, 'note'])
    const limed = (gramsPerLitre: number, id = 'lime_calcitic') =>
      asked({
        ...soilOf(1, 'potting_mix_bagged', 'mix'),
        lime: { ...base.evaluation.lime, doses: [{ lime: { id } as never, gramsPerLitre }] },
      })
    expect(sides(L.limeOnBag.value, (x) => limed(x), 'lime-already-in-bag')).toEqual(['note', 'watch'])
    expect(sides(L.caustic.value, (x) => limed(x, 'lime_hydrated'), 'contact-hot')).toEqual(['note', 'watch'])
    // Strong lime drives ammonia off manure; clay sets in a pot, not in the ground.
    const onManure = (x: number) =>
      asked({
        ...soilOf(x, 'manure_poultry_composted', 'manure'),
        lime: {
          ...base.evaluation.lime,
          doses: [{ lime: { id: 'lime_hydrated' } as never, gramsPerLitre: 1 }],
        },
      })
    expect(sides(L.manureForAmmonia.value, onManure, 'ammonia-burn')).toEqual([null, 'watch'])
    const clay = (x: number, kind: 'drainHoles' | 'onSoil' = 'drainHoles') =>
      asked(
        soilOf(x, 'soil_clay_loam'),
        {},
        {
          judged: { ...base.judged, container: { ...base.judged.container, base: { kind } as never } },
        },
      )
    expect(sides(L.clayInPot.value, (x) => clay(x), 'soil-in-pot')).toEqual([null, 'grave'])
    expect(severity(clay(0.5, 'onSoil'), 'soil-in-pot')).toBeNull()
    const bark = (x: number) => asked(soilOf(x, 'pine_bark_fine', 'bark'))
    expect(
      [0.99, 1.01].map((f) => {
        const shares = blendOf([
          ['bark', 'pine_bark_fine', f * L.shunsWater.value],
          ['perlite', 'perlite_coarse', 1 - f * L.shunsWater.value],
        ])
        return severity(asked(shares), 'wets-badly')
      }),
    ).toEqual([null, 'note'])
    expect(severity(bark(0.1), 'wets-badly')).toBe('note')
    const manured = (harvestAfterDays: number) =>
      asked(soilOf(0.2, 'manure_cattle_composted', 'manure'), { harvestAfterDays })
    expect(sides(L.manureDays.value, manured, 'manure-harvest-interval')).toEqual(['watch', 'note'])
    const meal = (temperature: number) =>
      asked(
        { given: { ...base.evaluation.given, temperature } },
        {},
        {
          judged: {
            ...base.judged,
            evaluation: { ...base.evaluation, given: { ...base.evaluation.given, temperature } },
            dressings: [{ dressing: dressingById('hoof_horn')!, gramsPerLitre: 2 }],
          },
        },
      )
    expect(sides(L.coldForMeals.value, meal, 'organic-slow')).toEqual(['watch', null])
  })
  test('what judgements say: soil in a pot, salty water, salts a little beyond', () => {
    const judged = (judgement: object, e: Partial<Evaluation> = {}, waterEc = 0) =>
      asked(e, {}, { judgements: [judgement as never], waterEc })
    const airless = { level: 'warn', code: 'too-little-air' }
    expect(sides(L.mostlySoil.value, (x) => judged(airless, soilOf(x)), 'soil-in-pot')).toEqual([
      null,
      'watch',
    ])
    const rise = (to: number, waterEc = 0) =>
      judged({ level: 'warn', code: 'salts-rise', to, limit: 2 }, {}, waterEc)
    expect(sides(2 * L.slightSalts.value, rise, 'salts-high')).toEqual(['note', 'watch'])
    expect(sides(L.saltyWater.value, (x) => rise(5, x), 'water-salty')).toEqual([null, 'watch'])
  })
  test('every limit is named above', async () => {
    const { readFileSync } = await import('node:fs')
    const text = readFileSync(new URL(import.meta.url), 'utf8')
    expect(Object.keys(L).filter((id) => !text.includes(`L.${id}.value`))).toEqual([])
  })
})

test('one finding a topic, the gravest; of two as grave harm to people comes first', () => {
  const list = ranked([
    { topic: 'ph-low', severity: 'watch' },
    { topic: 'salts-high', severity: 'grave' },
    { topic: 'ph-low', severity: 'grave' },
    { topic: 'asbestos-old', severity: 'grave' },
    { topic: 'dust', severity: 'note' },
  ])
  expect(list.map((f) => `${f.topic} ${f.severity}`)).toEqual([
    'asbestos-old grave',
    'salts-high grave',
    'ph-low grave',
    'dust note',
  ])
})

describe('two appraisals', () => {
  const of = (topic: Topic, severity: Severity): Finding => ({ topic, severity })
  test('a change is graver where a topic weighs more than before, whatever else it mends', () => {
    const low = [of('air-low', 'grave')]
    expect(leavesGraver(low, [of('air-low', 'watch')])).toBe(false)
    expect(leavesGraver(low, [of('air-low', 'grave'), of('dust', 'note')])).toBe(false)
    expect(leavesGraver(low, [of('ph-high', 'watch')])).toBe(true)
    expect(leavesGraver([of('air-low', 'watch')], low)).toBe(true)
  })
  test('a grave thing that goes outweighs one to watch that comes, not another grave one, nor three to watch', () => {
    const low = [of('ph-low', 'grave')]
    expect(outweighs(low, [of('magnesium-short', 'watch')])).toBe(true)
    expect(outweighs(low, [of('ph-high', 'grave')])).toBe(false)
    expect(outweighs(low, [of('slumps', 'watch'), of('air-low', 'watch'), of('drawdown', 'watch')])).toBe(
      false,
    )
    expect(outweighs([of('ph-low', 'watch')], [])).toBe(false)
    // One of two grave things goes, and no other comes in its place.
    const two = [...low, of('air-low', 'grave')]
    expect(outweighs(two, low)).toBe(true)
    expect(outweighs(two, [of('ph-high', 'grave')])).toBe(false)
  })
  test('what is grave counts three, what is to be watched one, notes nothing', () => {
    expect(easedBy([of('air-low', 'grave')], [])).toBe(3)
    expect(easedBy([of('air-low', 'grave')], [of('air-low', 'watch')])).toBe(2)
    expect(easedBy([of('air-low', 'watch'), of('dust', 'note')], [])).toBe(1)
    expect(easedBy([], [of('ph-high', 'watch')])).toBe(0)
  })
  test('notes leave a mix good; a figure a tenth nearer its limit is eased', () => {
    expect(isGood([of('dust', 'note')])).toBe(true)
    expect(isGood([of('dust', 'watch')])).toBe(false)
    // A figure a tenth nearer its limit is eased, one a tenth farther from it is graver, though the word is the same.
    const at = (value: number) => [{ ...of('ph-low', 'watch'), value, limit: 6 }]
    expect(mendedBy(at(5), at(5.2))).toEqual([{ topic: 'ph-low', gone: false }])
    expect(mendedBy(at(5), at(5.05))).toEqual([])
    expect(mendedBy(at(5), [])).toEqual([{ topic: 'ph-low', gone: true }])
    expect(mendedBy([of('air-low', 'note')], [])).toEqual([])
    expect([4.85, 4.95].map((x) => leavesGraver(at(5), at(x)))).toEqual([true, false])
  })
  test('remedies belong to topics, each once, and lime is never one of a mix that is limy', () => {
    for (const [topic, remedies] of Object.entries(REMEDIES)) {
      expect(Object.keys(TOPICS)).toContain(topic)
      expect(new Set(remedies).size).toBe(remedies.length)
    }
    for (const topic of ['ph-high', 'lime-too-much', 'lime-already-in-bag'] as const)
      expect(REMEDIES[topic]).not.toContain('lime')
    expect(ranked([of('no-drainage', 'grave')])[0]!.remedies).toEqual(['holes'])
  })
})

test('over a reservoir a herb that likes to dry between waterings gets a warning; basil gets none', () => {
  expect(inPlace('thyme', 'sideHoles')).toContain('stays-wet')
  expect(inPlace('thyme', 'drainHoles')).not.toContain('stays-wet')
  expect(inPlace('basil', 'sideHoles')).not.toContain('stays-wet')
  expect(inPlace('tomato_determinate', 'sideHoles')).not.toContain('stays-wet')
})
