import { describe, expect, test } from 'vitest'
import { toEnd } from '@/core/toEnd'
import { demoGarden } from '@/demo/demoGarden'
import { findMixes } from './find/findMixes'
import { movesAtOnce, movesRequest } from './find/nextMoves'
import { withoutPeatRequest } from './find/withoutPeat'
import { jobKey, jobOf, placeOf, recordOf, type Garden } from './garden/garden'
import type { AnyData, Job } from './garden/schemas'
import { tablesOf } from './garden/tables'
import { batchCount, mixWanted, quantitiesOf } from './make/quantities'
import { useUpOffers } from './make/useUp'
import { bestOf, compare } from './mix/compare'
import { prepareJob } from './mix/evaluateJob'
import { mixFootprint } from './mix/footprint'
import { innerMixOf } from './mix/innerMix'
import { liquidOffers } from './mix/liquidOffers'
import { answer, prepare } from './mix/prepare'
import { questionOfJob } from './mix/questionOfJob'
import { atRest, inThatBed } from './mix/rest'
import { verdictOn, verdictsOn } from './mix/verdict'
import { recipeOf } from './mix/versions'
import { appraised, withFeed } from './mix/withFeed'
import { correctionFor } from './season/correction'
import { duesOf } from './season/due'
import { oldMixOf } from './season/nextYear'
import { awayRequest } from './water/away'
import { judgedPlan } from './water/plan'
import { waterWays } from './water/waterWays'
import { tapOf } from './mix/jobWater'

const garden = demoGarden()
const tables = tablesOf(garden)
const place = placeOf(garden)
const sound: Job = { ...jobOf(garden, 'peppers-26')!, amount: null }
const [fill] = sound.fills
const inBed = (change: Partial<Job['fills'][number]['spec']>): Job => ({
  ...sound,
  fills: [{ ...fill!, bedId: null, spec: { ...fill!.spec, ...change } }],
  judgedIn: fill!.id,
})
const vessel = fill!.spec.vessel
/** Jobs that nobody can work out, each with what is wrong with it. */
const BROKEN: [code: string, Job][] = [
  ['no-parts', { ...sound, parts: [] }],
  ['unknown-material', { ...sound, parts: [{ materialId: 'no such stuff', twelfths: 12 }] }],
  [
    'size-not-positive',
    inBed({
      vessel: { ...vessel, shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 20, height: 0 } },
    }),
  ],
  [
    'size-too-large',
    inBed({
      vessel: { ...vessel, shape: { kind: 'roundPot', topDiameter: 30, baseDiameter: 20, height: 99_999 } },
    }),
  ],
]
const withJob = (job: Job): Garden => new Map<string, AnyData>([...garden, [jobKey(job.id), job]])

describe.each(BROKEN)('what cannot be worked out for want of sense: %s', (code, job) => {
  const question = questionOfJob(job, place, tables)
  const problem = { ok: false, problem: { code } }
  const rivals = [{ id: 'r', name: 'R', recipe: recipeOf(job), corners: [] }]
  test('comes up with its own reason, whoever asks', () => {
    const prepared = prepareJob(job, place, tables)
    expect(prepared).toMatchObject(problem)
    expect(prepare(question)).toMatchObject(problem)
    expect(answer(question)).toMatchObject(problem)
    expect(quantitiesOf(job, prepared)).toMatchObject(problem)
    expect(toEnd(atRest({ question, answered: [], others: [] }))).toMatchObject(problem)
    expect(compare(withJob(job), job, place, rivals)[0]!.answer).toMatchObject(problem)
    const plan = { input: null as never, below: { kind: 'free' as const }, question, answered: [] }
    expect(toEnd(judgedPlan(plan))).toMatchObject(problem)
    const record = recordOf(garden, sound.recordId!)!
    if (code === 'unknown-material' || code === 'no-parts') {
      const measured = code === 'no-parts' ? [] : [{ ...record.measured[0]!, materialId: 'no such stuff' }]
      expect(oldMixOf(garden, sound, { ...record, measured }, '2027-03-01')).toMatchObject(problem)
    }
  })
  test('has no verdict, no offers and no figures made up for it', () => {
    const own = withJob(job)
    expect(inThatBed(question)).toBeNull()
    expect(verdictOn({ question, answered: [] })).toBeNull()
    expect(toEnd(verdictsOn([{ question, answered: [] }]))).toEqual([null])
    expect(appraised(question)).toBeNull()
    expect(withFeed(question)).toBeNull()
    expect(toEnd(liquidOffers({ question, answered: [] }))).toEqual([])
    expect(bestOf(own, job, rivals, 3)).toEqual([])
    expect(awayRequest(own, { job, fill: job.fills[0]! }, { month: 7, tables })).toBeNull()
    const water = { question, tap: tapOf(place!), treatment: job.water, answered: [] }
    expect(toEnd(waterWays(water))).toBeNull()
    const unmade = { ...job, recordId: null }
    expect(correctionFor(withJob(unmade), job.id, { value: 5, day: 3 })).toBeNull()
    const [due] = [...duesOf(own, [job], '2026-07-01')]
    expect(due![0]).toBe(job.id)
    if (code.startsWith('size')) expect(batchCount(job, tables)).toBeNull()
  })
})

test('beside a sound bed one that cannot be worked out is left out, the sound one stays', () => {
  const [, broken] = BROKEN[2]!
  const questions = [sound, broken].map((job) => questionOfJob(job, place, tables))
  const rest = toEnd(
    atRest({
      question: questions[0]!,
      answered: [],
      others: questions.map((question, i) => ({ id: String(i), question })),
    }),
  )
  if (!rest.ok) throw new Error(rest.problem.code)
  expect(Object.keys(rest.value.beds)).toEqual(['0'])
  expect(rest.value.verdict).toEqual(verdictOn({ question: questions[0]!, answered: [] }))
})

test('a recipe of a stuff that nobody knows has no footprint and is no mix to take into another', () => {
  const recipe = recipeOf(BROKEN[1]![1])
  expect(mixFootprint(recipe, tables)).toBeNull()
  const of = { id: 'mix:a', name: 'A', origin: { kind: 'made' as const } }
  expect(innerMixOf(recipe, { gramsPerLitre: 0, dolomiteShare: 0.5 }, of, tables)).toMatchObject({
    ok: false,
    problem: { code: 'unknown-material' },
  })
})

test('the finder and the next moves say why they have nothing to go by', () => {
  const bare: Garden = new Map([...garden].filter(([key]) => !key.startsWith('shelf/')))
  const empty = { ...sound, parts: [], recordId: null }
  const request = movesRequest(bare, empty, questionOfJob(empty, place, tables), { source: 'shelf', most: 3 })
  const moves = request.ok ? movesAtOnce(request.value) : request
  expect(moves.ok).toBe(false)
  const without = withoutPeatRequest(withJob(BROKEN[1]![1]), BROKEN[1]![1])
  expect(without.ok && toEnd(findMixes({ ...without.value, looks: 1 })).ok).toBe(false)
})

test('what is to be made is the amount that was said, or what the beds take; nothing where neither makes sense', () => {
  expect(mixWanted({ ...sound, amount: 120 }, tables)).toBe(120)
  expect(mixWanted({ ...sound, amount: -1 }, tables)).toBeNull()
  const one = { ...sound, fills: [{ ...fill!, count: 1 }] }
  const three = { ...sound, fills: [{ ...fill!, count: 3 }] }
  expect(mixWanted(three, tables)! / mixWanted(one, tables)!).toBeCloseTo(3, 9)
  expect(mixWanted({ ...sound, fills: [{ ...fill!, count: 0.5 }] }, tables)).toBeNull()
  expect(mixWanted(BROKEN[2]![1], tables)).toBeNull()
  expect(useUpOffers(garden, { ...sound, parts: [] })).toEqual([])
})
