import { expect, test } from 'vitest'
import { leavesGraver, type Finding } from '@/core/appraisal'
import { materialIn, PUBLISHED } from '@/core/data'
import { standingOf } from '@/core/judgement'
import { preparedMaterial } from '@/core/mixing'
import { toEnd } from '@/core/toEnd'
import { demoGarden } from '@/demo/demoGarden'
import { jobOf, placeOf } from '../garden/garden'
import { startingSpec } from '../garden/schemas/bedFields'
import type { Job } from '../garden/schemas'
import { tablesOf } from '../garden/tables'
import { appraisalOf } from '../mix/appraisal'
import { AT_REST, evaluatePrepared, judgementsOf, prepare } from '../mix/prepare'
import { questionOfJob } from '../mix/questionOfJob'
import { judgedPlan } from '../water/plan'
import { wateringPlan } from '@/core/watering'
import { findMixes } from './findMixes'
import { beginWith, firstRequest, type Have } from './firstOffers'
import { mayTake } from './moveIdeas'
import { movesAtOnce, movesRequest } from './nextMoves'

const garden = demoGarden()
const peppers = () => jobOf(garden, 'peppers-27')!
const questionOf = (job: Job) => questionOfJob(job, placeOf(garden), tablesOf(garden))
function findingsOf(job: Job): Finding[] {
  const prepared = prepare(questionOf(job))
  if (!prepared.ok) throw new Error(prepared.problem.code)
  const e = evaluatePrepared(prepared.value, AT_REST)
  if (!e.ok) throw new Error(e.problem.code)
  return appraisalOf(prepared.value, e.value, judgementsOf(prepared.value, e.value))
}
function nextOf(job: Job) {
  const asked = movesRequest(garden, job, questionOf(job), { source: 'all', most: 5 })
  const moves = asked.ok ? movesAtOnce(asked.value) : asked
  if (!moves.ok) throw new Error(moves.problem.code)
  return moves.value
}
const bare = (): Job => ({ ...peppers(), dressings: [], lime: { ...peppers().lime, mode: 'none' } })

test('doses beside lime and dressings are tried in a copy first: what is given leaves nothing graver', () => {
  const job = bare()
  const { doses, lime } = nextOf(job)
  expect(doses.length).toBeGreaterThan(0)
  const now = findingsOf(job)
  for (const { line } of doses)
    expect(leavesGraver(now, findingsOf({ ...job, dressings: [line] })), line.dressingId).toBe(false)
  if (lime)
    expect(
      leavesGraver(now, findingsOf({ ...job, lime: { ...job.lime, mode: 'toTarget', target: lime.target } })),
    ).toBe(false)
  // A mix that is good as it is gets none.
  const fine = nextOf(peppers())
  expect([fine.moves, fine.doses, fine.lime]).toEqual([[], [], null])
})

test('where parts come from decides: a bag that is neither limed nor fed is a mix like any other', () => {
  const bag = (origins: Partial<Job['origins']>) => {
    const job = bare()
    return findingsOf({
      ...job,
      parts: [{ materialId: 'potting_mix_bagged', twelfths: 48 }],
      origins: { ...job.origins, ...origins },
    }).map((f) => f.topic)
  }
  expect(bag({})).toContain('lime-already-in-bag')
  expect(bag({ bag: 'neither' })).not.toContain('lime-already-in-bag')
  const of = (materialId: string, origins: Partial<Job['origins']>) =>
    findingsOf({
      ...bare(),
      parts: [
        { materialId, twelfths: 12 },
        { materialId: 'peat_medium', twelfths: 36 },
      ],
      origins: { ...bare().origins, ...origins },
    })
  const severity = (found: Finding[], topic: string) => found.find((f) => f.topic === topic)?.severity
  expect(severity(of('manure_cattle_composted', { manure: 'unsprayed' }), 'weedkiller-risk')).toBe('note')
  expect(severity(of('manure_cattle_composted', { manure: 'doubtful' }), 'weedkiller-risk')).toBe('watch')
  expect(severity(of('manure_cattle_composted', { manure: 'fresh' }), 'immature-compost')).toBe('grave')
  // Where there is no manure nobody has to think of weedkiller, whatever was said of manure.
  expect(severity(of('leaf_mould', { manure: 'doubtful' }), 'weedkiller-risk')).toBeUndefined()
  expect(severity(of('vermiculite_medium', { vermiculite: 'newBag' }), 'asbestos-old')).toBeUndefined()
  expect(severity(of('vermiculite_medium', { vermiculite: 'old' }), 'asbestos-old')).toBe('grave')
})

test('what a floor bears decides where a container stands on one', () => {
  const on = (bears: number) => {
    const job = peppers()
    const fill = job.fills[0]!
    const spec = { ...startingSpec('roundPot'), standing: 'roof' as const, bears }
    return findingsOf({ ...job, fills: [{ ...fill, spec }], judgedIn: null }).find(
      (f) => f.topic === 'weight-load',
    )
  }
  const load = on(5000)!.value!
  expect([on(load + 5)!.severity, on(load - 5)!.severity]).toEqual(['note', 'grave'])
  // Where nobody knows, nothing is assumed of the floor but the usual.
  expect(on(0)!.severity).not.toBe('grave')
})

test('what a grower makes at home is brought in only where it is on the shelf: in store, or with a price', () => {
  const job = bare()
  const request = movesRequest(garden, job, questionOf(job), { source: 'all', most: 5 })
  const prepared = prepare(questionOf(job))
  const evaluation = prepared.ok ? evaluatePrepared(prepared.value, AT_REST) : prepared
  if (!request.ok || !prepared.ok || !evaluation.ok) throw new Error('no request')
  // Nothing is amiss with its air: what mends it is not asked.
  const now = {
    prepared: prepared.value,
    evaluation: evaluation.value,
    judgements: [],
    findings: [],
    standing: {
      ...standingOf(evaluation.value, { bands: prepared.value.bands, perennial: false }, []),
      misses: {},
    },
  }
  const shelf = (stock: number, pricePerLitre: number | null) => {
    const row = materialIn(PUBLISHED, 'leaf_mould')!
    const material = {
      ...request.value.problem.shelf[0]!,
      stock,
      pricePerLitre,
      material: preparedMaterial(row),
    }
    return { ...request.value, problem: { ...request.value.problem, shelf: [material] } }
  }
  const may = (of: typeof request.value) =>
    mayTake({ kind: 'add', material: 'leaf_mould', parts: 1 }, now, of)
  expect(may({ ...request.value, problem: { ...request.value.problem, shelf: [] } })).toBe(false)
  expect(may(shelf(0, null))).toBe(false)
  expect(may(shelf(10, null))).toBe(true)
  expect(may(shelf(0, 0.1))).toBe(true)
})

test('changes of a watering plan that leave the mix worse are not offered; those that are gain time', () => {
  const question = questionOf(peppers())
  const prepared = prepare(question)
  if (!prepared.ok) throw new Error(prepared.problem.code)
  const { input } = prepared.value
  const request = { input, below: { kind: 'free' }, month: 7, draws: 0 } as const
  const all = toEnd(wateringPlan(request))
  const judged = toEnd(judgedPlan({ ...request, question, answered: [] }))
  if (!all.ok || !judged.ok) throw new Error('no plan')
  const names = judged.value.options.map((o) => o.change)
  expect(all.value.options.map((o) => o.change)).toEqual(expect.arrayContaining(names))
  for (const o of judged.value.options) expect(o.untilThirst).toBeGreaterThan(judged.value.month.untilThirst)
  const none = toEnd(wateringPlan(request, () => false))
  expect(none.ok && none.value.options).toEqual([])
})

test('a first mix from a bag, and from materials that are there: nothing else goes in, and it is sound', () => {
  const empty: Job = { ...bare(), parts: [] }
  const foundOf = (have: Have) => {
    const asked = firstRequest(garden, empty, placeOf(garden), have)
    const found = asked.ok ? toEnd(findMixes({ ...asked.value, looks: 4, chances: 0 })) : asked
    if (!found.ok) throw new Error(found.problem.code)
    return found.value.found.filter((f) => f.look !== null)
  }
  const partsOf = (found: ReturnType<typeof foundOf>[number]) =>
    new Map(found.candidate.parts.map((p) => [p.id, p.parts]))
  for (const found of foundOf({ kind: 'bag' })) {
    const parts = partsOf(found)
    const all = [...parts.values()].reduce((s, p) => s + p, 0)
    expect((parts.get('potting_mix_bagged') ?? 0) / all).toBeGreaterThanOrEqual(0.5)
    // A shop's mix is limed: no offer gives it more, and what is put on the bench is what was judged.
    expect(found.look!.limeGramsPerLitre).toBe(0)
    expect(beginWith(garden, empty, placeOf(garden), found).lime.mode).toBe('none')
  }
  const ids = ['compost_green', 'coir_pith', 'perlite_coarse']
  const own = foundOf({ kind: 'own', ids })
  expect(own.length).toBeGreaterThan(0)
  for (const found of own) for (const id of partsOf(found).keys()) expect(ids).toContain(id)
  expect(own[0]!.look!.findings.filter((f) => f.severity === 'grave')).toEqual([])
})
