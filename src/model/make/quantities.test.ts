import { once } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { nextStation } from '@/stations/stations'
import { shelfItem } from '@/model/garden/shelfEntry'
import { prepareJob, evaluateJob } from '@/model/mix/evaluateJob'
import { quantitiesOf } from '@/model/make/quantities'
import { shoppingList } from '@/model/make/shoppingList'
import { besideMix } from '@/model/make/besideMix'
import { dosesToEach, doseTotals } from '@/model/make/doseTotals'
import { fillingCards } from '@/model/make/filling'
import { shareOfLine, stretchesOf } from '@/model/garden/pile'
import { lineOf } from '@/model/mix/doses'
import { questionOfJob } from '@/model/mix/questionOfJob'
import { describe, expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { readEnvelope, writeEnvelope } from '@/storage/envelope'
import { batchCards } from '@/model/make/batchCard'
import { jobsOf, recordsOf, shelfKey } from '@/model/garden/garden'
import { startingJobBed, startingJob, startingSpec } from '@/model/garden/starting'
import { LIMES, materialById } from '@/core/data'
import { recipeOfMix } from '@/model/mix/bags'
import { innerMixOf } from '@/model/mix/innerMix'
import { sameData } from '@/model/garden/same'
import { jobSchema, kindOfKey, type Job } from '@/model/garden/schemas'

const job: Job = {
  ...startingJob('j', '2026-03-01T09:00:00.000Z', [startingJobBed('f', startingSpec('fabricBag'), null)]),
  cropId: 'pepper_sweet',
  parts: [
    { materialId: 'peat_medium', twelfths: 48 },
    { materialId: 'compost_green', twelfths: 24 },
    { materialId: 'perlite_coarse', twelfths: 24 },
  ],
}
const quantities = (j: Job = job) => {
  const q = quantitiesOf(j, prepareJob(j, undefined, PUBLISHED))
  if (!q.ok) throw new Error(q.problem.code)
  return q.value
}

describe('a job worked out', () => {
  test('makes enough for all containers and the settling, no more than a batch over', () => {
    const q = quantities({ ...job, fills: [{ ...job.fills[0]!, count: 6 }] })
    expect(q.inPlace).toBeCloseTo(6 * q.asWritten.fill.mixVolume, 9)
    expect(q.toBlend).toBeCloseTo(q.inPlace * 1.07, 9)
    expect(q.plan.blendLitres).toBeGreaterThanOrEqual(q.toBlend * 0.99)
    expect(q.plan.blendLitres).toBeLessThan(q.toBlend * 1.15)
  })
  test('where measures do not come out even: a little more, or a little less, as the grower would have it', () => {
    for (const count of [1, 2, 3, 5, 8]) {
      const of = (rounding: 'more' | 'less') =>
        quantities({ ...job, fills: [{ ...job.fills[0]!, count }], plan: { ...job.plan, rounding } })
      const [more, less] = [of('more'), of('less')]
      expect(more.plan.blendLitres).toBeGreaterThanOrEqual(more.toBlend * 0.994)
      expect(less.plan.blendLitres).toBeLessThanOrEqual(Math.max(less.toBlend, more.plan.blendLitres))
      expect(less.plan.blendLitres).toBeGreaterThan(less.toBlend * 0.8)
      if (more.plan.blendLitres > more.toBlend)
        expect(less.plan.blendLitres).toBeLessThanOrEqual(less.toBlend)
    }
    // A job kept before there was a choice is rounded up, as it was.
    const { bucket, scoop, vessel, settling } = job.plan
    const old = { ...job, plan: { bucket, scoop, vessel, settling } }
    expect(jobSchema.parse(old).plan.rounding).toBe('more')
  })
  test('adds up beds of different kinds, layers, roots and topping up', () => {
    const trough = startingJobBed('g', startingSpec('box'), null)
    const deep = {
      ...startingJobBed('h', startingSpec('raisedBed'), null),
      sunkBy: 5,
    }
    const layered = {
      ...startingJobBed(
        'i',
        { ...startingSpec('raisedBed'), layers: [{ kind: 'logs' as const, thickness: 10 }], rootBalls: 20 },
        null,
      ),
      count: 2,
    }
    const q = quantities({ ...job, fills: [...job.fills, trough, deep, layered] })
    expect(q.needed).toHaveLength(4)
    expect(q.inPlace).toBeCloseTo(
      q.needed[0]!.net + q.needed[1]!.net + q.needed[2]!.net + 2 * q.needed[3]!.net,
      6,
    )
    expect(q.needed[2]!.net).toBeCloseTo((240 * 120 * 5) / 1000, 6)
    expect(q.needed[3]!.washedIn).toBeGreaterThan(50)
    // Judged in the first unless told otherwise; a layer below is judged with it.
    expect(q.asWritten.mixDepth).toBeCloseTo(29, 9)
    const elsewhere = evaluateJob(
      { ...job, fills: [...job.fills, layered], judgedIn: 'i' },
      undefined,
      PUBLISHED,
    )
    expect(elsewhere.ok && elsewhere.value.mixDepth).toBeCloseTo(16, 9)
  })
  test('limes to the target, to a weight, or not at all', () => {
    const toTarget = evaluateJob(job, undefined, PUBLISHED)
    expect(toTarget.ok && toTarget.value.lime.pH).toBeCloseTo(6.4, 1)
    const fixed = prepareJob(
      { ...job, lime: { ...job.lime, mode: 'fixed', gramsPerLitre: 3 } },
      undefined,
      PUBLISHED,
    )
    expect(fixed.ok && fixed.value.lime.own.gramsPerLitre).toBe(3)
    const none = evaluateJob({ ...job, lime: { ...job.lime, mode: 'none' } }, undefined, PUBLISHED)
    // No lime but the compost's own.
    const own = none.ok ? none.value.lime.pH - none.value.blend.pH : NaN
    expect(own).toBeGreaterThan(0)
    expect(own).toBeLessThan(0.6)
  })
  const wrong: [string, Partial<Job>, string][] = [
    ['no parts', { parts: [] }, 'no-parts'],
    ['a material nobody knows', { parts: [{ materialId: 'moon_dust', twelfths: 12 }] }, 'unknown-material'],
    ['half a container', { fills: [{ ...job.fills[0]!, count: 0.5 }] }, 'count-not-whole'],
    ['no containers', { fills: [{ ...job.fills[0]!, count: 0 }] }, 'count-not-whole'],
    ['a million containers', { fills: [{ ...job.fills[0]!, count: 1e6 }] }, 'size-too-large'],
    ['a negative allowance', { plan: { ...job.plan, settling: -0.1 } }, 'amount-negative'],
    ['an allowance of everything', { plan: { ...job.plan, settling: 1 } }, 'size-too-large'],
    ['negative lime', { lime: { ...job.lime, mode: 'fixed', gramsPerLitre: -1 } }, 'amount-negative'],
    ['a target beyond chemistry', { lime: { ...job.lime, target: 11 } }, 'pH-out-of-range'],
    ['a set amount of nothing', { amount: 0 }, 'size-not-positive'],
    ['more than anyone mixes', { amount: 1e7 }, 'size-too-large'],
    ['a bucket of nothing', { plan: { ...job.plan, bucket: 0 } }, 'size-not-positive'],
  ]
  test.each(wrong)('refuses %s', (_what, change, code) => {
    const q = quantitiesOf({ ...job, ...change }, prepareJob({ ...job, ...change }, undefined, PUBLISHED))
    expect(!q.ok && q.problem.code).toBe(code)
  })
})

describe('batch cards and shopping', () => {
  const q = quantities()
  test('every batch has its measures and its lime, which add up', () => {
    const cards = batchCards(job, q)
    expect(cards[0]!.lines.map((l) => l.id)).toEqual([
      'peat_medium',
      'compost_green',
      'perlite_coarse',
      'lime_calcitic',
      'lime_dolomitic',
    ])
    const grams = cards.flatMap((c) => c.lines).reduce((s, l) => s + (l.kind === 'dose' ? l.grams : 0), 0)
    expect(grams).toBeCloseTo(
      doseTotals(job, q).reduce((s, l) => s + l.grams, 0),
      6,
    )
    expect(grams).toBeCloseTo(q.limeGramsPerLitre * q.plan.blendLitres, 6)
  })
  test('any lime can be chosen: shells, hydrated, ash, each by its own; and as a part of a finished mix it still limes', () => {
    const of = (limeId: string) => ({ ...job, lime: { ...job.lime, limeId, dolomiteShare: 0 } })
    for (const { id } of LIMES.filter((l) => l.id !== 'lime_dolomitic')) {
      const one = of(id)
      const q = quantities(one)
      const limed = doseTotals(one, q).filter((d) => d.isLime)
      expect(limed.map((d) => d.id)).toEqual([id])
      const bare = evaluateJob({ ...one, lime: { ...one.lime, mode: 'none' } }, undefined, PUBLISHED)
      expect(bare.ok && q.asWritten.lime.pH > bare.value.lime.pH, id).toBe(true)
    }
    // Slow lime takes more of it for the same pH.
    expect(quantities(of('oyster_shell')).limeGramsPerLitre).toBeGreaterThan(
      2 * quantities(of('lime_calcitic')).limeGramsPerLitre,
    )
    const hydrated = of('lime_hydrated')
    const dose = quantities(hydrated).limeGramsPerLitre
    const mix = innerMixOf(
      hydrated,
      { gramsPerLitre: dose, dolomiteShare: 0 },
      { id: 'mix:h', name: 'H', origin: { kind: 'made' } },
      PUBLISHED,
    )
    if (!mix.ok) throw new Error(mix.problem.code)
    const inside = evaluateJob({ ...job, ...recipeOfMix(mix.value) }, undefined, PUBLISHED)
    const alone = evaluateJob(hydrated, undefined, PUBLISHED)
    expect(inside.ok && alone.ok && Math.abs(inside.value.lime.pH - alone.value.lime.pH)).toBeLessThan(0.1)
  })
  test('lime given as a dressing moves pH', () => {
    const bare = { ...job, lime: { ...job.lime, mode: 'none' as const } }
    const shells: Job = {
      ...bare,
      dressings: [
        {
          id: 'oyster_shell',
          dressingId: 'oyster_shell',
          gramsPerLitre: 6,
          place: { kind: 'throughout' },
          share: 1,
        },
      ],
    }
    const [a, b] = [evaluateJob(bare, undefined, PUBLISHED), evaluateJob(shells, undefined, PUBLISHED)]
    if (!a.ok || !b.ok) throw new Error('no answer')
    expect(b.value.lime.pH).toBeGreaterThan(a.value.lime.pH + 0.1)
    expect(b.value.lime.movers.map((m) => m.id)).toEqual(['oyster_shell'])
  })
  // Half was silently all of it where there was one batch.
  test('a dose for half of the mix is half of it, in one batch or in many', () => {
    for (const vessel of [90, 400]) {
      const half: Job = {
        ...job,
        plan: { ...job.plan, vessel },
        dressings: [
          {
            id: 'crf_5_6',
            dressingId: 'crf_5_6',
            gramsPerLitre: 4,
            place: { kind: 'throughout' },
            share: 0.5,
          },
        ],
      }
      const q = quantitiesOf(half, prepareJob(half, undefined, PUBLISHED))
      if (!q.ok) throw new Error(q.problem.code)
      const doses = batchCards(half, q.value).flatMap((c) =>
        c.lines.flatMap((l) => (l.kind === 'dose' && l.id === 'crf_5_6' ? [l] : [])),
      )
      const all = 4 * q.value.plan.blendLitres
      expect(doses.reduce((sum, d) => sum + d.grams, 0)).toBeCloseTo(all / 2, 6)
      expect(doseTotals(half, q.value).find((d) => d.id === 'crf_5_6')!.grams).toBeCloseTo(all / 2, 6)
      // The pile that gets it is named wherever it is not a whole batch.
      const parts = doses.filter((d) => d.into !== null)
      for (const d of parts) expect(d.grams).toBeCloseTo(4 * d.into!, 6)
      if (q.value.plan.batches.length % 2 === 1) expect(parts).toHaveLength(1)
    }
  })
  test('what is given to some beds only goes into their pile: the right litres, whatever the batches', () => {
    const [bed] = job.fills
    const three = ['a', 'b', 'c'].map((id, i) => ({ ...bed!, id, bedId: null, count: i + 1 }))
    const only = { ...job, fills: three, dressings: [{ ...lineOf('crf_5_6', 4), beds: ['a', 'c'] }] }
    const q = quantitiesOf(only, prepareJob(only, undefined, PUBLISHED))
    if (!q.ok) throw new Error(q.problem.code)
    expect(shareOfLine(only, only.dressings[0]!, PUBLISHED)).toBeCloseTo(4 / 6, 9)
    expect(stretchesOf(only, only.dressings[0]!, PUBLISHED)).toHaveLength(2)
    const doses = batchCards(only, q.value).flatMap((c) =>
      c.lines.flatMap((l) => (l.kind === 'dose' && l.id === 'crf_5_6' ? [l] : [])),
    )
    const expected = (4 * q.value.plan.blendLitres * 4) / 6
    expect(doses.reduce((sum, d) => sum + d.grams, 0)).toBeCloseTo(expected, 6)
    expect(doseTotals(only, q.value).find((d) => d.id === 'crf_5_6')!.grams).toBeCloseTo(expected, 6)
    expect(doses.every((d) => d.beds?.map((b) => b.id).join() === 'a,c')).toBe(true)
    // The mix is judged with it in a bed that gets it, and without in one that does not.
    const doseIn = (judgedIn: string) =>
      questionOfJob({ ...only, judgedIn }, undefined, PUBLISHED).recipe.dressings.length
    expect([doseIn('a'), doseIn('b'), doseIn('c')]).toEqual([1, 0, 1])
    // On top, only those beds get it; a line for beds that are gone is for all.
    const top = { ...only.dressings[0]!, place: { kind: 'top' as const, depth: 5 } }
    expect(dosesToEach(only, top, PUBLISHED).map((d) => d.fill.id)).toEqual(['a', 'c'])
    expect(dosesToEach(only, { ...top, beds: ['x'] }, PUBLISHED)).toHaveLength(3)
    const lift = (i: number) => fillingCards(only, q.value)[i]!.steps.find((s) => s.do.code === 'lift')!.do
    expect(lift(0)).toMatchObject({ pile: { dressingIds: ['crf_5_6'] } })
    expect(lift(1)).toMatchObject({ pile: { dressingIds: [] } })
  })
  test('layers and covers are bought with the mix: logs and cloth are not, nor for a bed topped up or a set amount', () => {
    const [bed] = job.fills
    const spec = {
      ...bed!.spec,
      layers: [
        { kind: 'logs' as const, thickness: 3 },
        { kind: 'gravel' as const, thickness: 2 },
        { kind: 'material' as const, materialId: 'expanded_clay', thickness: 2 },
      ],
      cover: { materialId: 'compost_green', thickness: 2 },
    }
    const layered = { ...job, fills: [{ ...bed!, bedId: null, spec, count: 2 }] }
    const q = quantitiesOf(layered, prepareJob(layered, undefined, PUBLISHED))
    if (!q.ok) throw new Error(q.problem.code)
    expect([...q.value.beside.keys()].sort()).toEqual(['compost_green', 'expanded_clay', 'gravel_pea'])
    const list = shoppingList(new Map(), q.value)
    const compost = list.find((l) => l.material.id === 'compost_green')!
    expect(compost.beside).toBeCloseTo(2 * q.value.needed[0]!.cover, 9)
    expect(compost.litres).toBeGreaterThan(compost.beside)
    expect([...besideMix({ ...layered, amount: 40 }, PUBLISHED).keys()]).toEqual([])
    const topped = { ...layered, fills: [{ ...layered.fills[0]!, sunkBy: 4 }] }
    expect([...besideMix(topped, PUBLISHED).keys()]).toEqual(['compost_green'])
    const steps = fillingCards(layered, q.value)[0]!.steps.map((s) => s.do.code)
    expect(steps).toContain('cover')
  })
  test('all one lime is one line', () => {
    const cards = batchCards({ ...job, lime: { ...job.lime, dolomiteShare: 1 } }, q)
    expect(cards[0]!.lines.filter((l) => l.kind === 'dose').map((l) => l.id)).toEqual(['lime_dolomitic'])
  })
  test('shopping uses the shelf first and a common pack where none is known', () => {
    const item = shelfItem('compost_green', { kind: 'loose', litres: 25 }, 4, 1000)
    const list = shoppingList(new Map([[shelfKey('compost_green'), item]]), q)
    const line = (id: string) => list.find((l) => l.material.id === id)!
    expect(line('compost_green').purchase).toMatchObject({ counts: [0], cost: 0 })
    expect(line('peat_medium').packs[0]!.offer.pack).toEqual(materialById('peat_medium')!.pack)
    expect(line('peat_medium').purchase.cost).toBeNull()
    expect(line('peat_medium').water).toBeGreaterThan(0)
    expect(line('perlite_coarse').wettingAgent).toBe(0)
  })
})

describe('the demo garden', () => {
  const garden = once(() => demoGarden())
  test('is a garden like any other: every record passes its check', () => {
    for (const [key, data] of garden())
      expect(readEnvelope(key, writeEnvelope(key, data, 1, '2026-01-01'))).toMatchObject({ ok: true })
  })
  test('has two seasons of records and jobs at every station', () => {
    const years = new Set(recordsOf(garden()).map((r) => r.madeOn.slice(0, 4)))
    expect(years.size).toBeGreaterThanOrEqual(2)
    const stations = new Set(jobsOf(garden()).map((job) => nextStation(job).id))
    for (const s of ['mix', 'buy', 'make', 'season'] as const) expect(stations).toContain(s)
  })
  test('is the same every time', () => expect(sameData([...garden()], [...demoGarden()])).toBe(true))
  test('tells a story that its figures bear out: the 2026 peppers had more air and less weight', () => {
    const record = (id: string) => recordsOf(garden()).find((r) => r.id === `made-${id}`)!.predicted
    expect(record('peppers-26').airFilledPorosity).toBeGreaterThan(
      record('peppers-25').airFilledPorosity + 0.05,
    )
    expect(record('peppers-26').drainedWeight).toBeLessThan(record('peppers-25').drainedWeight * 0.75)
    expect(record('salad-26').airFilledPorosity).toBeGreaterThan(record('salad-25').airFilledPorosity)
  })
})

test('same data is the same whatever the order of its fields', () => {
  expect(sameData({ a: 1, b: [{ c: 2, d: 3 }] }, { b: [{ d: 3, c: 2 }], a: 1 })).toBe(true)
  expect(sameData({ a: 1, b: undefined }, { a: 1 })).toBe(true)
  expect(sameData([1, 2], [2, 1])).toBe(false)
  expect(sameData(null, {})).toBe(false)
})

test('keys tell their kind, strangers tell none', () => {
  expect(kindOfKey('job/abc')).toBe('job')
  expect(kindOfKey('settings')).toBe('settings')
  expect(kindOfKey('settings/x')).toBeNull()
  expect(kindOfKey('constructor')).toBeNull()
  expect(kindOfKey('nonsense/1')).toBeNull()
})
