import { cases, draws } from '@/core/testing/draws'
import { offersOf, shelfItem } from '@/model/garden/shelfEntry'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { changesOf, type Command } from '@/model/garden/commands'
import { firstRefusal } from '@/model/garden/commands/refusal'
import { jobKey, jobsOf, recordsOf } from '@/model/garden/garden'
import { startingBed, startingJob, startingJobBed, startingSpec } from '@/model/garden/starting'
import { sameData } from '@/model/garden/same'
import type { AnyData, Job } from '@/model/garden/schemas'
import { localLock, memoryPort } from './memory'
import { openGarden } from './openGarden'
import { writeEnvelope } from './envelope'
import { refusalText } from '@/text/base/refusals'

const NOW = '2026-03-01T09:00:00.000Z'
const demo = demoGarden()
const jobs = jobsOf(demo)
const records = recordsOf(demo)
const job = jobs.find((j) => j.parts.length > 0)!

/** What people type, paste and let a program write for them. */
const wildText = fc.oneof(
  fc.constantFrom(
    '',
    'Fig',
    '  spaces kept  ',
    '12026-03-01',
    '2026-02-30',
    '2026-03-01',
    '=1+1',
    '\u0000',
    '𝄞',
  ),
  fc.string({ unit: 'binary', maxLength: 40 }),
  fc.integer({ min: 100, max: 200 }).map((n) => 'x'.repeat(n)),
)
const wildNumber = fc.oneof(
  fc.constantFrom(0, 1, -1, 0.5, 12, 1e6, 1e308, NaN, Infinity, -Infinity, 2.5, 12_001, 13),
  fc.double(),
)
const many = <T>(of: fc.Arbitrary<T>, around: number) =>
  fc.integer({ min: 0, max: around + 2 }).chain((n) => fc.array(of, { minLength: n, maxLength: n }))
const jobId = fc.constantFrom(...jobs.map((j) => j.id), 'nobody')
const anId = fc.oneof(fc.constantFrom('peat_medium', 'perlite_coarse', 'fig', '', 'a/b'), wildText)
const layer = fc.record({ kind: fc.constantFrom('gravel' as const, 'logs' as const), thickness: wildNumber })
const bedChange = fc.oneof(
  fc.record({ name: wildText }),
  fc.record({ rootBalls: wildNumber }),
  fc.record({ layers: many(layer, 8) }),
  fc.record({
    vessel: fc
      .record({ kind: fc.constant('freeBed' as const), headspace: wildNumber, count: wildNumber })
      .chain((vessel) =>
        fc.integer({ min: 0, max: 202 }).map((n) => ({
          ...vessel,
          base: { kind: 'drainHoles' as const },
          shape: {
            kind: 'polygonBed' as const,
            height: 30,
            corners: Array.from({ length: n }, (_, i) => ({ x: i, y: i * i })),
          },
        })),
      ),
  }),
)
const fillOf = (id: string) => jobs.find((j) => j.id === id)?.fills[0]?.id ?? 'none'
const bed = fc
  .tuple(anId, bedChange)
  .map(([id, change]) => ({ ...startingBed(id, NOW, 'roundPot'), ...change }))
const recipe = fc
  .tuple(many(fc.record({ materialId: anId, twelfths: wildNumber }), 40), wildNumber)
  .map(([parts, target]) => ({ parts, mixes: [], lime: { ...job.lime, target }, dressings: [] }))

const command: fc.Arbitrary<Command> = fc.oneof(
  fc.record({ type: fc.constant('job/rename' as const), jobId, name: wildText }),
  fc.record({ type: fc.constant('job/note' as const), jobId, note: wildText }),
  fc.record({ type: fc.constant('job/crop' as const), jobId, cropId: fc.option(anId) }),
  fc.record({ type: fc.constant('job/companions' as const), jobId, cropIds: many(anId, 12) }),
  fc.record({
    type: fc.constant('job/planting' as const),
    jobId,
    change: fc.oneof(
      fc.record({ plantMonth: wildNumber }),
      fc.record({ plants: wildNumber }),
      fc.record({ plantedOn: wildText }),
    ),
  }),
  fc.record({
    type: fc.constant('job/band' as const),
    jobId,
    target: fc.constantFrom('pH' as const, 'airFilledPorosity' as const),
    band: fc.record({ low: wildNumber, high: wildNumber }),
  }),
  fc.record({
    type: fc.constant('job/plan' as const),
    jobId,
    plan: fc.record({ bucket: wildNumber, settling: wildNumber }),
  }),
  jobId.chain((id) =>
    fc.record({
      type: fc.constant('jobBed/spec' as const),
      jobId: fc.constant(id),
      fillId: fc.constant(fillOf(id)),
      change: bedChange,
    }),
  ),
  fc.record({ type: fc.constant('beds/add' as const), beds: fc.array(bed, { maxLength: 3 }) }),
  jobId.chain((id) =>
    fc.record({
      type: fc.constant('jobBed/add' as const),
      jobId: fc.constant(id),
      fill: anId.map((f) => startingJobBed(f, startingSpec('box'), null)),
    }),
  ),
  fc.record({
    type: fc.constant('job/create' as const),
    job: fc.tuple(anId, wildText).map(([id, name]) => ({
      ...startingJob(id, NOW, [startingJobBed('f', startingSpec('roundPot'), null)]),
      name,
    })),
  }),
  fc.record({ type: fc.constant('part/add' as const), jobId, materialId: anId, twelfths: wildNumber }),
  fc.record({
    type: fc.constant('part/change' as const),
    jobId,
    materialId: fc.constantFrom(...job.parts.map((p) => p.materialId)),
    by: wildNumber,
  }),
  fc.record({
    type: fc.constant('mix/lime' as const),
    jobId,
    lime: fc.record({ gramsPerLitre: wildNumber, dolomiteShare: wildNumber }),
  }),
  fc.record({
    type: fc.constant('dressing/set' as const),
    jobId,
    line: fc.record({
      id: anId,
      dressingId: anId,
      gramsPerLitre: wildNumber,
      place: fc.constant({ kind: 'throughout' as const }),
      share: wildNumber,
    }),
  }),
  fc.record({ type: fc.constant('recipe/replace' as const), jobId, recipe, what: fc.constant('x') }),
  fc.record({
    type: fc.constant('version/keep' as const),
    jobId,
    version: fc.tuple(recipe, anId, wildText).map(([r, id, name]) => ({
      ...r,
      id,
      name,
      note: name,
      at: NOW,
      from: null,
    })),
  }),
  fc.record({ type: fc.constant('warning/answer' as const), jobId, code: wildText, reason: wildText }),
  fc.record({
    type: fc.constant('tick/set' as const),
    jobId,
    batch: fc.nat(9),
    materialId: anId,
    done: fc.boolean(),
  }),
  fc.record({
    type: fc.constant('record/edit' as const),
    recordId: fc.constantFrom(...records.map((r) => r.id)),
    madeOn: wildText,
    note: wildText,
  }),
  fc.record({
    type: fc.constant('record/remove' as const),
    recordId: fc.constantFrom(...records.map((r) => r.id)),
  }),
  fc.record({
    type: fc.constant('shelf/set' as const),
    item: fc.record({
      materialId: anId,
      pack: fc.record({ kind: fc.constant('loose' as const), litres: wildNumber }),
      price: fc.option(wildNumber),
      place: wildText,
      seenOn: fc.option(fc.constantFrom('2026-03-01', 'soon')),
      delivery: wildNumber,
      others: fc.array(fc.constant(offersOf(shelfItem('x', { kind: 'own' }, 0, 0))[0]!), { maxLength: 9 }),
      stock: wildNumber,
    }),
  }),
  fc.record({
    type: fc.constant('job/marks' as const),
    jobId,
    what: fc.constant('x'),
    change: fc.oneof(
      fc.record({ tally: fc.record({ of: wildText, count: wildNumber }) }),
      fc.record({ boughtWith: many(anId, 12) }),
      fc.record({
        bought: many(
          fc.record({ id: anId, amount: wildNumber, paid: fc.option(wildNumber), lot: wildText }),
          100,
        ),
      }),
      fc.record({ timers: many(fc.record({ id: anId, label: wildText, endsAt: fc.constant(NOW) }), 40) }),
      fc.record({
        otherwise: many(
          fc.record({
            batch: wildNumber,
            materialId: anId,
            litres: wildNumber,
            instead: fc.option(fc.record({ materialId: anId, litres: wildNumber })),
          }),
          40,
        ),
      }),
    ),
  }),
  fc.record({ type: fc.constant('job/remove' as const), jobId }),
)

/** Does what is taken and leaves out what is refused. */
function played(garden: ReadonlyMap<string, AnyData>, commands: readonly Command[]) {
  const after = new Map(garden)
  let refused = 0
  for (const c of commands) {
    const changes = changesOf(after, c)
    const refusal = firstRefusal(changes)
    if (refusal) {
      refused++
      expect(refusalText(refusal).why).toMatch(/^[A-Z].*\.$/)
      continue
    }
    for (const change of changes)
      if (change.after === null) after.delete(change.key)
      else after.set(change.key, change.after)
  }
  return { after, refused }
}

test('any commands, stored and read again, give the same garden', { timeout: 60_000 }, async () => {
  let refused = 0
  let taken = 0
  await fc.assert(
    fc.asyncProperty(fc.array(command, { minLength: 1, maxLength: 25 }), async (commands) => {
      const end = played(demo, commands)
      refused += end.refused
      taken += commands.length - end.refused
      const port = memoryPort()
      for (const [key, data] of end.after) await port.set(key, writeEnvelope(key, data, 1, NOW))
      const opened = await openGarden(port, localLock(), () => new Date(NOW))
      expect(opened.setAside).toEqual([])
      expect([...opened.records.keys()].sort()).toEqual([...end.after.keys()].sort())
      for (const [key, data] of end.after)
        expect(sameData(opened.records.get(key), data), `${key} is another after reading`).toBe(true)
    }),
    draws(120),
  )
  // A test of refusals alone, or of none, would say little.
  expect(refused).toBeGreaterThan((200 / 120) * cases(120))
  expect(taken).toBeGreaterThan((200 / 120) * cases(120))
})

describe('what the reader would set aside is refused when it is done', () => {
  const live = jobKey(job.id)
  const recordId = records[0]!.id
  const manyOf = <T>(n: number, of: (i: number) => T) => Array.from({ length: n }, (_, i) => of(i))
  const fill = job.fills[0]!
  const vessel = startingSpec('freeBed').vessel
  const cases: [what: string, command: Command, why: RegExp, from?: Job][] = [
    ['a record of the year 12026', { type: 'record/edit', recordId, madeOn: '12026-03-01' }, /not a day/],
    [
      'a planting in a year of five digits',
      { type: 'job/planting', jobId: job.id, change: { plantedOn: '12026-04-01' } },
      /day it was planted is not a day/,
    ],
    [
      'a name of 200 letters',
      { type: 'job/rename', jobId: job.id, name: 'x'.repeat(200) },
      /longer than 120/,
    ],
    [
      'a thirteenth companion',
      { type: 'job/companions', jobId: job.id, cropIds: manyOf(13, (i) => `c${i}`) },
      /other crops is full: 12/,
    ],
    [
      'a ninth layer',
      {
        type: 'jobBed/spec',
        jobId: job.id,
        fillId: fill.id,
        change: { layers: manyOf(9, () => ({ kind: 'gravel' as const, thickness: 2 })) },
      },
      /layers under the mix is full: 8/,
    ],
    [
      'an outline of 201 corners',
      {
        type: 'beds/add',
        beds: [
          {
            ...startingBed('b', NOW, 'freeBed'),
            vessel: {
              ...vessel,
              shape: { kind: 'polygonBed', height: 30, corners: manyOf(201, (i) => ({ x: i, y: i })) },
            },
          },
        ],
      },
      /outline is full: 200/,
    ],
    [
      'a 201st bed in a job',
      { type: 'jobBed/add', jobId: job.id, fill: { ...fill, id: 'one-more' } },
      /beds in this job is full: 200/,
      { ...job, fills: manyOf(200, (i) => ({ ...fill, id: `f${i}` })) },
    ],
  ]
  test.each(cases)('%s', (_what, c, why, from = job) => {
    const garden = new Map(demo).set(live, from)
    const refusal = firstRefusal(changesOf(garden, c))
    expect(refusal && refusalText(refusal).why).toMatch(why)
  })
})
