import { burdenOf } from '@/core/appraisal'
import { isLong } from '@/core/testing/draws'
import { PUBLISHED } from '@/core/data'
import { describe, expect, test } from 'vitest'
import { PACK_LIMITS } from '@/core/batch'
import { FINDER_LIMITS, type FinderProblem } from '@/core/finder'
import { preparedMaterial } from '@/core/mixing'
import { MATERIALS } from '@/core/data'
import { packSizeProblem } from '@/text/base/fields'
import { doseProblem } from '@/text/mix/doses'
import { findMixes } from './find/findMixes'
import { changesOf } from './garden/commands'
import { jobKey } from './garden/garden'
import {
  GARDEN_LIMITS,
  LONGEST_NAME,
  LONGEST_NOTE,
  LONGEST_REASON,
  LONGEST_RECIPE_NOTE,
} from './garden/limits'
import { photoRoom } from './garden/photos'
import {
  bagSchema,
  bedYearsSchema,
  heapSchema,
  jobSchema,
  learnedSchema,
  photoSchema,
  shapeSchema,
  shelfItemSchema,
  testSchema,
  type Bag,
  type Job,
  type LearnedShelf,
  type Test,
} from './garden/schemas'
import { offersOf, shelfItem } from './garden/shelfEntry'
import { startingHeap } from './heap/heaps'
import { startingBag, startingJob, startingJobBed, startingSpec } from './garden/starting'
import { startingTest } from './learn/startingTest'
import { runCase } from './headless/run'
import { PLAN_LIMITS } from './make/limits'
import { amountProblem, quantitiesOf } from './make/quantities'
import { BAG_LIMITS, describeBag } from './mix/bags'
import { prepareJob } from './mix/evaluateJob'
import { questionOfJob } from './mix/questionOfJob'
import { bedsFromText } from './sheets/bedSheet'

const job: Job = {
  ...startingJob('j', '2026-03-01T09:00:00.000Z', [startingJobBed('f', startingSpec('roundPot'), null)]),
  parts: [{ materialId: 'peat_medium', twelfths: 12 }],
}
const pumice = shelfItem('pumice', { kind: 'loose', litres: 20 }, 11, 0)
const bag: Bag = {
  ...startingBag('b', '2026-03-01T09:00:00.000Z'),
  ingredients: [{ materialId: 'peat_medium', share: null }],
}
const heap = startingHeap('h', '2027-03-01T09:00:00.000Z', '2027-03-01')
const slurry: Test = startingTest('t', 'slurry', { jobId: 'j' }, '2026-04-01T09:00:00.000Z')
const nothingLearned: LearnedShelf = {
  learnedAt: '2026-04-01T09:00:00.000Z',
  from: [],
  without: [],
  trusted: [],
  learning: { names: [], mean: [], slopes: [], noise: [] },
  rows: [],
}
const many = <T>(n: number, of: (i: number) => T) => Array.from({ length: n }, (_, i) => of(i))
const isJob = (change: Partial<Job>) => jobSchema.safeParse({ ...job, ...change }).success
const codeOf = (o: { ok: boolean; problem?: { code: string } }) => (o.ok ? 'ok' : o.problem?.code)

/** How many of a thing are kept: so many pass, one more does not. */
const KEPT: Record<keyof typeof GARDEN_LIMITS, { at: number; takes: (n: number) => boolean }> = {
  parts: { at: 40, takes: (n) => isJob({ parts: many(n, (i) => ({ materialId: `m${i}`, twelfths: 1 })) }) },
  mixes: {
    at: 12,
    takes: (n) =>
      isJob({
        mixes: many(n, (i) => ({
          id: `mix:${i}`,
          name: '',
          parts: job.parts,
          lime: { gramsPerLitre: 0, dolomiteShare: 0 },
          dressings: [],
          origin: { kind: 'made' },
        })),
      }),
  },
  dressings: {
    at: 20,
    takes: (n) =>
      isJob({
        dressings: many(n, (i) => ({
          id: `d${i}`,
          dressingId: `d${i}`,
          gramsPerLitre: 1,
          place: { kind: 'throughout' },
          share: 1,
        })),
      }),
  },
  versions: {
    at: 200,
    takes: (n) =>
      isJob({
        versions: many(n, (i) => ({
          id: `v${i}`,
          name: '',
          note: '',
          at: job.createdAt,
          from: null,
          parts: job.parts,
          mixes: [],
          lime: job.lime,
          dressings: [],
        })),
      }),
  },
  twelfths: { at: 12_000, takes: (n) => isJob({ parts: [{ materialId: 'peat_medium', twelfths: n }] }) },
  beds: { at: 200, takes: (n) => isJob({ fills: many(n, (i) => ({ ...job.fills[0]!, id: `f${i}` })) }) },
  companions: { at: 12, takes: (n) => isJob({ companionIds: many(n, (i) => `c${i}`) }) },
  ingredients: {
    at: 12,
    takes: (n) =>
      bagSchema.safeParse({ ...bag, ingredients: many(n, (i) => ({ materialId: `m${i}`, share: null })) })
        .success,
  },
  otherPacks: {
    at: 8,
    takes: (n) =>
      shelfItemSchema.safeParse({ ...pumice, others: many(n, () => offersOf(pumice)[0]!) }).success,
  },
  readySteps: { at: 400, takes: (n) => isJob({ readySteps: many(n, (i) => `s${i}`) }) },
  jobsTogether: { at: 12, takes: (n) => isJob({ boughtWith: many(n, (i) => `j${i}`) }) },
  bought: {
    at: 100,
    takes: (n) => isJob({ bought: many(n, (i) => ({ id: `m${i}`, amount: 1, paid: null, lot: '' })) }),
  },
  otherwise: {
    at: 2000,
    takes: (n) =>
      isJob({ otherwise: many(n, (i) => ({ batch: i, materialId: 'x', litres: 1, instead: null })) }),
  },
  repeats: {
    at: 12,
    takes: (n) => testSchema.safeParse({ ...slurry, repeats: many(n, () => ({ pH: 6 })) }).success,
  },
  learnedReadings: {
    at: 400,
    takes: (n) => learnedSchema.safeParse({ ...nothingLearned, from: many(n, String) }).success,
  },
  learnedNames: {
    at: 4000,
    takes: (n) =>
      learnedSchema.safeParse({
        ...nothingLearned,
        learning: { ...nothingLearned.learning, mean: many(n, () => 0) },
      }).success,
  },
  readings: {
    at: 1000,
    takes: (n) =>
      isJob({
        readings: many(n, (i) => ({
          id: `r${i}`,
          batch: 0,
          at: job.createdAt,
          day: 0,
          kind: 'pH',
          value: 6,
          expected: null,
        })),
      }),
  },
  timers: {
    at: 40,
    takes: (n) => isJob({ timers: many(n, (i) => ({ id: `t${i}`, label: '', endsAt: job.createdAt })) }),
  },
  photos: { at: 200, takes: (n) => photoRoom(n - 1) > 0 },
  photoLetters: {
    at: 400_000,
    takes: (n) => {
      const head = 'data:image/jpeg;base64,'
      const jpeg = head + 'A'.repeat(n - head.length)
      return photoSchema.safeParse({ id: 'p', jobId: 'j', takenAt: job.createdAt, jpeg }).success
    },
  },
  layers: {
    at: 8,
    takes: (n) =>
      isJob({
        fills: [
          {
            ...job.fills[0]!,
            spec: {
              ...job.fills[0]!.spec,
              layers: many(n, () => ({ kind: 'gravel' as const, thickness: 1 })),
            },
          },
        ],
      }),
  },
  sheetRows: {
    at: 500,
    takes: (n) =>
      bedsFromText(`name\n${many(n, (i) => `Pot ${i}`).join('\n')}`, 'metric', {
        newId: () => 'b',
        createdAt: job.createdAt,
      }).beds.length === n,
  },
  ticks: { at: 20_000, takes: (n) => isJob({ ticks: many(n, (i) => `${i}:peat`) }) },
  filledSteps: { at: 4000, takes: (n) => isJob({ filledSteps: many(n, (i) => `f:${i}`) }) },
  followedSteps: { at: 400, takes: (n) => isJob({ followedSteps: many(n, (i) => `s${i}`) }) },
  movedDays: {
    at: 200,
    takes: (n) => isJob({ movedDays: many(n, (i) => ({ step: `s${i}`, on: '2027-05-01' })) }),
  },
  bedYears: {
    at: 60,
    takes: (n) =>
      bedYearsSchema.safeParse({
        id: 'b',
        years: many(n, (i) => ({ year: 2000 + i, cropId: 'kale', compost: 1 })),
      }).success,
  },
  heapLoads: {
    at: 60,
    takes: (n) =>
      heapSchema.safeParse({ ...heap, loads: many(n, () => ({ id: 'straw_wheat', litres: 1 })) }).success,
  },
  heapReadings: {
    at: 400,
    takes: (n) =>
      heapSchema.safeParse({
        ...heap,
        readings: many(n, () => ({ on: '2027-04-01', temperature: 50, turned: false })),
      }).success,
  },
  liquidFeeds: {
    at: 6,
    takes: (n) =>
      isJob({
        liquidFeeds: many(n, (i) => ({
          id: `f${i}`,
          dressingId: 'urea',
          gramsPerLitre: 1,
          litres: 1,
          everyDays: 7,
          fromDay: 0,
          untilDay: null,
        })),
      }),
  },
  answered: { at: 80, takes: (n) => isJob({ dismissed: many(n, (i) => ({ code: `c${i}`, reason: '' })) }) },
  corners: {
    at: 200,
    takes: (n) =>
      shapeSchema.safeParse({ kind: 'polygonBed', height: 20, corners: many(n, (i) => ({ x: i, y: 0 })) })
        .success,
  },
}

describe('what a garden keeps', () => {
  test.each(Object.entries(KEPT) as [keyof typeof GARDEN_LIMITS, (typeof KEPT)['parts']][])(
    '%s',
    (id, { at, takes }) => {
      expect(GARDEN_LIMITS[id].value).toBe(at)
      expect([takes(at), takes(at + 1)]).toEqual([true, false])
    },
  )
  test('names and notes have an end', () => {
    expect([LONGEST_NAME, LONGEST_NOTE]).toEqual([120, 10_000])
    expect([LONGEST_RECIPE_NOTE, LONGEST_REASON]).toEqual([2000, 500])
    expect(isJob({ name: 'x'.repeat(120) }) && !isJob({ name: 'x'.repeat(121) })).toBe(true)
    expect(isJob({ note: 'x'.repeat(10_000) }) && !isJob({ note: 'x'.repeat(10_001) })).toBe(true)
  })
  test('what a command makes is never more than a job may hold', () => {
    const full = { ...job, parts: many(40, (i) => ({ materialId: `m${i}`, twelfths: 1 })) }
    const change = changesOf(new Map([[jobKey('j'), full]]), {
      type: 'part/add',
      jobId: 'j',
      materialId: 'one_more',
      twelfths: 12,
    })
    expect(change).toEqual([])
  })
})

describe('amounts typed in', () => {
  const lime = (gramsPerLitre: number) =>
    codeOf(prepareJob({ ...job, lime: { ...job.lime, mode: 'fixed', gramsPerLitre } }, undefined, PUBLISHED))
  const dressing = (gramsPerLitre: number) =>
    codeOf(
      prepareJob(
        {
          ...job,
          lime: { ...job.lime, mode: 'none' },
          dressings: [
            {
              id: 'bone_meal',
              dressingId: 'bone_meal',
              gramsPerLitre,
              place: { kind: 'throughout' },
              share: 1,
            },
          ],
        },
        undefined,
        PUBLISHED,
      ),
    )
  const there = (more: object) =>
    codeOf(
      runCase('evaluate', {
        mix: [{ material: 'peat_medium', parts: 1 }],
        container: { shape: job.fills[0]!.spec.vessel.shape },
        ...more,
      }) as { ok: boolean },
    )
  test('D4, D5: too much lime or feed is worked out, in the app and in the headless door', () => {
    expect([lime(25), lime(5000), lime(-1)]).toEqual(['ok', 'ok', 'amount-negative'])
    expect([dressing(60), dressing(5000), dressing(-1)]).toEqual(['ok', 'ok', 'amount-negative'])
    expect([24, 2600].map((gramsPerLitre) => there({ lime: { gramsPerLitre } }))).toEqual(['ok', 'ok'])
    expect(
      [59, 6100].map((gramsPerLitre) => there({ dressings: [{ dressing: 'bone_meal', gramsPerLitre }] })),
    ).toEqual(['ok', 'ok'])
    expect([doseProblem(6100), doseProblem(-1)?.why]).toEqual([null, 'It cannot be less than 0.'])
  })
  test('a settling allowance, a pack and a bag', () => {
    const settling = (x: number) =>
      codeOf(
        quantitiesOf(
          { ...job, plan: { ...job.plan, settling: x } },
          prepareJob({ ...job, plan: { ...job.plan, settling: x } }, undefined, PUBLISHED),
        ),
      )
    expect(PLAN_LIMITS.settling.value).toBe(0.5)
    expect([settling(0.49), settling(0.51)]).toEqual(['ok', 'size-too-large'])
    const amount = (litres: number) => amountProblem(litres)?.code ?? 'ok'
    expect(PLAN_LIMITS.amount.value).toBe(100_000)
    expect([amount(99_999), amount(100_001), amount(0)]).toEqual([
      'ok',
      'size-too-large',
      'size-not-positive',
    ])
    expect(PACK_LIMITS.size.value).toBe(30_000)
    expect([packSizeProblem(29_999), packSizeProblem(30_001)?.fix]).toEqual([null, 'Check the unit.'])
    expect(BAG_LIMITS.litres.value).toBe(5000)
    expect([4999, 5001].map((litres) => codeOf(describeBag({ ...bag, litres }, 'mix:b', PUBLISHED)))).toEqual(
      ['ok', 'size-too-large'],
    )
  })
})

test.runIf(isLong)('so many of the best recipes are looked at as the bench would, no more', () => {
  // One of each family: every set of them is a family of its own in the answer.
  const shelf = MATERIALS.filter(
    (m, i, all) => m.family !== 'mix' && all.findIndex((o) => o.family === m.family) === i,
  )
    .slice(0, 12)
    .map((m) => ({ material: preparedMaterial(m), pricePerLitre: null, stock: 0, packLitres: 50 }))
  const question = questionOfJob(job, undefined, PUBLISHED)
  const problem: FinderProblem = {
    container: question.bed.container,
    shelf,
    targets: { airFilledPorosity: { low: 0.1, high: 0.3 } },
    rules: { maxMaterials: 3, maxParts: 6 },
  }
  const run = findMixes({ problem, question })
  let step = run.next()
  while (!step.done) step = run.next()
  if (!step.value.ok) throw new Error(step.value.problem.code)
  const { found } = step.value.value
  const looked = found.filter((f) => f.look !== null)
  expect(found.length).toBeGreaterThan(FINDER_LIMITS.judged.value)
  expect(looked).toHaveLength(24)
  // Those nobody looked at come behind; before them what has least against it, then the likelier.
  const firstUnseen = found.findIndex((f) => f.look === null)
  expect(found.slice(firstUnseen).every((f) => f.look === null)).toBe(true)
  const rank = looked.map(({ look }) => 100 * burdenOf(look!.findings) - Math.round(look!.chance! * 10))
  expect(rank).toEqual([...rank].sort((x, y) => x - y))
})
