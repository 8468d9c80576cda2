import { prepareJob } from '@/model/mix/evaluateJob'
import { PUBLISHED } from '@/core/data'
import { mixNeededFor } from '../mixNeededFor'
import { shelfItem } from '@/model/garden/shelfEntry'
import { quantitiesOf } from '@/model/make/quantities'
import { describe, expect, test } from 'vitest'
import { changesOf, mergeKeyOf, tickOf, type Command } from '.'
import { bedKey, jobKey, judgedBed, liveJob, recordKey, shelfKey, specOf, type Garden } from '../garden'
import { nextYearsJob, startingBed, startingJobBed, startingJob, startingSpec } from '../starting'
import { EMPTY_HISTORY, redo, remember, undo, type History } from '../history'
import { recordFrom } from '@/model/make/recordFrom'
import {
  bedSchema,
  jobSchema,
  recordSchema,
  VESSEL_KINDS,
  type AnyData,
  type Bed,
  type BedSpec,
  type Job,
} from '../schemas'

const NOW = '2026-03-01T09:00:00.000Z'
const job: Job = {
  ...startingJob('j', NOW, [startingJobBed('f', startingSpec('roundPot'), null)]),
  parts: [
    { materialId: 'peat_medium', twelfths: 24 },
    { materialId: 'perlite_coarse', twelfths: 12 },
  ],
}
const gardenWith = (...jobs: Job[]): Garden => new Map<string, AnyData>(jobs.map((j) => [jobKey(j.id), j]))
/** The job after a command. */
const after = (command: Command, from: Job = job): Job => {
  const changes = changesOf(gardenWith(from), command)
  return (changes.find((c) => c.key === jobKey('j'))?.after as Job | undefined) ?? from
}

describe('commands', () => {
  test('parts are added, gathered, stepped and taken out', () => {
    const added = after({ type: 'part/add', jobId: 'j', materialId: 'pumice', twelfths: 6 })
    expect(added.parts.at(-1)).toEqual({ materialId: 'pumice', twelfths: 6 })
    const again = after({ type: 'part/add', jobId: 'j', materialId: 'peat_medium', twelfths: 4 })
    expect(again.parts[0]).toEqual({ materialId: 'peat_medium', twelfths: 28 })
    expect(
      after({ type: 'part/change', jobId: 'j', materialId: 'perlite_coarse', by: -3 }).parts[1]!.twelfths,
    ).toBe(9)
    expect(
      after({ type: 'part/change', jobId: 'j', materialId: 'perlite_coarse', by: -12 }).parts,
    ).toHaveLength(1)
    expect(after({ type: 'part/remove', jobId: 'j', materialId: 'peat_medium' }).parts).toHaveLength(1)
  })
  test('parts have an end', () => {
    expect(
      after({ type: 'part/change', jobId: 'j', materialId: 'peat_medium', by: 99_999 }).parts[0]!.twelfths,
    ).toBe(12_000)
  })
  test('a crop brings its pH along; no crop leaves the target alone', () => {
    expect(after({ type: 'job/crop', jobId: 'j', cropId: 'blueberry' }).lime.target).toBe(4.8)
    expect(after({ type: 'job/crop', jobId: 'j', cropId: null }).lime.target).toBe(job.lime.target)
  })
  test('names, notes, plans, steps and lime change just themselves', () => {
    expect(after({ type: 'job/rename', jobId: 'j', name: 'Fig' })).toEqual({ ...job, name: 'Fig' })
    expect(after({ type: 'job/note', jobId: 'j', note: 'dry' })).toEqual({ ...job, note: 'dry' })
    expect(after({ type: 'job/plan', jobId: 'j', plan: { bucket: 14 } }).plan).toEqual({
      ...job.plan,
      bucket: 14,
    })
    expect(after({ type: 'mix/step', jobId: 'j', step: 'third' }).step).toBe('third')
    expect(after({ type: 'mix/lime', jobId: 'j', lime: { mode: 'none' } }).lime).toEqual({
      ...job.lime,
      mode: 'none',
    })
  })
  test('ticks go on and off, and fall with the measures they stood for', () => {
    const ticked = after({ type: 'tick/set', jobId: 'j', batch: 0, materialId: 'peat_medium', done: true })
    expect(ticked.ticks).toEqual([tickOf(0, 'peat_medium')])
    expect(
      after({ type: 'tick/set', jobId: 'j', batch: 0, materialId: 'peat_medium', done: true }, ticked).ticks,
    ).toHaveLength(1)
    expect(
      after({ type: 'tick/set', jobId: 'j', batch: 0, materialId: 'peat_medium', done: false }, ticked).ticks,
    ).toEqual([])
    expect(after({ type: 'ticks/clear', jobId: 'j' }, ticked).ticks).toEqual([])
    expect(
      after({ type: 'part/change', jobId: 'j', materialId: 'peat_medium', by: 12 }, ticked).ticks,
    ).toEqual([])
    expect(
      after({ type: 'jobBed/change', jobId: 'j', fillId: 'f', change: { count: 3 } }, ticked).ticks,
    ).toEqual([])
    expect(after({ type: 'job/rename', jobId: 'j', name: 'x' }, ticked).ticks).toHaveLength(1)
    const spec = (change: Partial<BedSpec>) =>
      after({ type: 'jobBed/spec', jobId: 'j', fillId: 'f', change }, ticked).ticks
    expect(spec({ name: 'By the gate', standing: 'roof' })).toHaveLength(1)
    expect(spec({ rootBalls: 2 })).toEqual([])
  })
  test('a bed changed takes the ticks of every job under way that fills it, and gives them back on undo', () => {
    const bed = startingBed('b', NOW, 'box')
    const of = (id: string, more: Partial<Job> = {}): Job => ({
      ...startingJob(id, NOW, [startingJobBed(`${id}-f`, specOf(bed), 'b')]),
      ticks: ['0:pumice'],
      ...more,
    })
    const garden = new Map<string, AnyData>([
      [bedKey('b'), bed],
      ...[of('one'), of('two'), of('done', { recordId: 'r' })].map((j) => [jobKey(j.id), j] as const),
    ])
    const layers = [{ kind: 'bark' as const, thickness: 3 }]
    const touched = (command: Command) =>
      Object.fromEntries(changesOf(garden, command).map((c) => [c.key, (c.after as Job).ticks]))
    expect(touched({ type: 'bed/change', bedId: 'b', change: { layers } })).toEqual({
      'bed/b': undefined,
      'job/one': [],
      'job/two': [],
    })
    expect(touched({ type: 'bed/change', bedId: 'b', change: { name: 'Long trough' } })).toEqual({
      'bed/b': undefined,
    })
    expect(touched({ type: 'jobBed/spec', jobId: 'one', fillId: 'one-f', change: { layers } })).toEqual({
      'bed/b': undefined,
      'job/one': [],
      'job/two': [],
    })
  })
  test('steps of filling and of the season go on and off, and last over a change of the mix', () => {
    const one: Command = { type: 'steps/set', jobId: 'j', list: 'filledSteps', step: 'f:lift0', done: true }
    const done = after(one)
    expect(done.filledSteps).toEqual(['f:lift0'])
    expect(after(one, done)).toBe(done)
    expect(
      after({ type: 'part/remove', jobId: 'j', materialId: 'peat_medium' }, done).filledSteps,
    ).toHaveLength(1)
    expect(after({ ...one, done: false }, done).filledSteps).toEqual([])
    expect(after({ ...one, list: 'followedSteps' }).followedSteps).toEqual(['f:lift0'])
  })
  test('finishing makes a record and ties the job to it; removing the record unties it', () => {
    const q = quantitiesOf(job, prepareJob(job, undefined, PUBLISHED))
    if (!q.ok) throw new Error(q.problem.code)
    const record = recordFrom(job, q.value, { id: 'r', madeOn: '2026-03-02', note: 'good', jobName: 'Pot' })
    expect(() => recordSchema.parse(record)).not.toThrow()
    const changes = changesOf(gardenWith(job), { type: 'job/finish', jobId: 'j', record })
    expect(changes.map((c) => c.key)).toEqual([recordKey('r'), jobKey('j')])
    const done = { ...job, recordId: 'r' }
    const garden = new Map<string, AnyData>([
      [jobKey('j'), done],
      [recordKey('r'), record],
    ])
    const edited = changesOf(garden, { type: 'record/edit', recordId: 'r', note: 'better' })
    expect(edited[0]!.after).toMatchObject({ note: 'better', madeOn: '2026-03-02' })
    const removed = changesOf(garden, { type: 'record/remove', recordId: 'r' })
    expect(removed).toHaveLength(2)
    expect(removed[1]!.after).toMatchObject({ recordId: null })
  })
  test('what changes nothing is no change', () => {
    expect(changesOf(gardenWith(job), { type: 'job/rename', jobId: 'j', name: '' })).toEqual([])
    expect(changesOf(gardenWith(job), { type: 'part/remove', jobId: 'j', materialId: 'pumice' })).toEqual([])
    expect(
      changesOf(gardenWith(job), {
        type: 'garden/import',
        changes: [{ key: jobKey('j'), after: { ...job } }],
      }),
    ).toEqual([])
    for (const type of ['job/remove', 'ticks/clear'] as const)
      expect(changesOf(new Map(), { type, jobId: 'gone' })).toEqual([])
    expect(changesOf(new Map(), { type: 'record/remove', recordId: 'gone' })).toEqual([])
    expect(changesOf(new Map(), { type: 'record/edit', recordId: 'gone', note: 'x' })).toEqual([])
  })
  test('the shelf keeps packs, prices and stock', () => {
    const item = shelfItem('pumice', { kind: 'loose', litres: 20 }, 11, 5)
    expect(changesOf(new Map(), { type: 'shelf/set', item })).toEqual([
      { key: shelfKey('pumice'), before: null, after: item },
    ])
    expect(
      changesOf(new Map([[shelfKey('pumice'), item]]), { type: 'shelf/set', item: { ...item } }),
    ).toEqual([])
  })
  test('every job a command leaves is one that can be stored', () => {
    for (const kind of VESSEL_KINDS) {
      const fill = startingJobBed('g', startingSpec(kind), null)
      expect(() => jobSchema.parse(startingJob('x', NOW, [fill]))).not.toThrow()
      expect(() => jobSchema.parse(after({ type: 'jobBed/add', jobId: 'j', fill }))).not.toThrow()
      expect(mixNeededFor(fill, PUBLISHED).ok, kind).toBe(true)
    }
  })
})

describe('beds and the jobs that fill them', () => {
  const bed = startingBed('b', NOW, 'box')
  const following: Job = { ...job, fills: [startingJobBed('f', specOf(bed), 'b')] }
  const garden: Garden = new Map<string, AnyData>([
    [bedKey('b'), bed],
    [jobKey('j'), following],
  ])
  const keys = (command: Command) => changesOf(garden, command).map((c) => c.key)
  test('a bed changed in a job is changed in the list, and the other way the job follows', () => {
    const [inJob, inList] = changesOf(garden, {
      type: 'jobBed/spec',
      jobId: 'j',
      fillId: 'f',
      change: { name: 'Salad' },
    })
    expect((inList!.after as Bed).name).toBe('Salad')
    expect((inJob!.after as Job).fills[0]!.spec.name).toBe('Salad')
    const renamed = new Map(garden).set(bedKey('b'), { ...bed, name: 'Herbs' })
    expect(liveJob(renamed, following).fills[0]!.spec.name).toBe('Herbs')
    // What the list no longer has stays as it last was.
    expect(liveJob(new Map([[jobKey('j'), following]]), following)).toEqual(following)
  })
  test('a bed filled whole stays so when there are more of it, in the one step', () => {
    const [{ spec }] = job.fills as [Job['fills'][number]]
    const more: Command = {
      type: 'jobBed/spec',
      jobId: 'j',
      fillId: 'f',
      change: { vessel: { ...spec.vessel, count: spec.vessel.count + 2 } },
    }
    const count = (g: typeof garden) => (changesOf(g, more)[0]!.after as Job).fills[0]!.count
    expect(count(gardenWith(job))).toBe(job.fills[0]!.count + 2)
    const some = { ...job, fills: [{ ...job.fills[0]!, count: job.fills[0]!.count + 7 }] }
    expect(count(gardenWith(some))).toBe(job.fills[0]!.count + 7)
  })
  test('a bed is changed as it is now, though the job last saw it otherwise', () => {
    const moved = new Map(garden).set(bedKey('b'), { ...bed, name: 'Herbs', rootBalls: 4 })
    const back: Command = { type: 'jobBed/spec', jobId: 'j', fillId: 'f', change: { name: bed.name } }
    const [inJob, inList] = changesOf(moved, back)
    expect(inList!.after).toEqual({ ...bed, rootBalls: 4 })
    expect(inJob!.before).toEqual(following)
    expect((inJob!.after as Job).fills[0]!.spec).toMatchObject({ name: bed.name, rootBalls: 4 })
  })
  test('a new bed comes into list and job in one step', () => {
    const fill = { ...job.fills[0]!, id: 'g', bedId: 'c' }
    const add: Command = { type: 'jobBed/add', jobId: 'j', fill, bed: { ...bed, id: 'c' } }
    expect(keys(add)).toEqual(['job/j', 'bed/c'])
  })
  test('beds come, change and go; nothing happens to what is not there', () => {
    expect(keys({ type: 'beds/add', beds: [{ ...bed, id: 'c' }] })).toEqual(['bed/c'])
    expect(keys({ type: 'bed/change', bedId: 'b', change: { rootBalls: 3 } })).toEqual(['bed/b'])
    expect(keys({ type: 'bed/change', bedId: 'b', change: { name: bed.name } })).toEqual([])
    expect(keys({ type: 'bed/change', bedId: 'x', change: { rootBalls: 3 } })).toEqual([])
    expect(keys({ type: 'bed/remove', bedId: 'b' })).toEqual(['bed/b'])
    expect(keys({ type: 'bed/remove', bedId: 'x' })).toEqual([])
  })
  test('a container of the job alone can be put among the beds, once', () => {
    const list = { type: 'jobBed/list', jobId: 'j', fillId: 'f', bedId: 'n', createdAt: NOW } as const
    expect(changesOf(garden, list)).toEqual([])
    const changes = changesOf(gardenWith(job), list)
    expect(changes.map((c) => c.key)).toEqual(['bed/n', 'job/j'])
    expect(bedSchema.parse(changes[0]!.after)).toMatchObject({ id: 'n', ...job.fills[0]!.spec })
    expect((changes[1]!.after as Job).fills[0]!.bedId).toBe('n')
  })
  test('a job begins with its bed, fills several, and keeps at least one', () => {
    const more = { ...following, fills: [...following.fills, startingJobBed('g', specOf(bed), null)] }
    expect(keys({ type: 'job/create', job: { ...more, id: 'k' }, beds: [{ ...bed, id: 'd' }] })).toEqual([
      'bed/d',
      'job/k',
    ])
    const left = after({ type: 'jobBed/remove', jobId: 'j', fillId: 'f' }, more)
    expect(left.fills.map((f) => f.id)).toEqual(['g'])
    expect(after({ type: 'jobBed/remove', jobId: 'j', fillId: 'g' }, left)).toBe(left)
    expect(judgedBed({ ...more, judgedIn: 'g' }).id).toBe('g')
    expect(judgedBed({ ...more, judgedIn: 'gone' }).id).toBe('f')
    expect(after({ type: 'job/judge', jobId: 'j', fillId: 'g' }, more).judgedIn).toBe('g')
  })
  test('companions, putting away, and the same job for another year', () => {
    const sown = { ...job, cropId: 'carrot', name: 'Roots 2026', ticks: ['0:pumice'], recordId: 'r' }
    expect(
      after({ type: 'job/companions', jobId: 'j', cropIds: ['carrot', 'chard'] }, sown).companionIds,
    ).toEqual(['chard'])
    expect(after({ type: 'job/archive', jobId: 'j', archived: true }).archived).toBe(true)
    const next = nextYearsJob(sown, 'n', '2027-03-01T09:00:00.000Z')
    expect(next).toMatchObject({ id: 'n', name: 'Roots 2027', ticks: [], recordId: null, parts: sown.parts })
    expect(jobSchema.parse(next)).toEqual(next)
  })
})

describe('history', () => {
  /** A garden in small: run commands, undo, redo. */
  function play() {
    let garden: Garden = gardenWith(job)
    let history: History = EMPTY_HISTORY
    let clock = 0
    const apply = (changes: { key: string; after: AnyData | null }[]) => {
      const next = new Map(garden)
      for (const c of changes) {
        if (c.after === null) next.delete(c.key)
        else next.set(c.key, c.after)
      }
      garden = next
    }
    return {
      get job() {
        return garden.get(jobKey('j')) as Job | undefined
      },
      get history() {
        return history
      },
      run(command: Command, later = 5000, heldSince: number | null = null) {
        clock += later
        const changes = changesOf(garden, command)
        history = remember(history, {
          label: command.type,
          changes,
          mergeKey: mergeKeyOf(command),
          at: clock,
          heldSince,
        })
        apply(changes)
      },
      undo() {
        const moved = undo(history)
        if (!moved) return false
        history = moved.history
        apply(moved.changes)
        return true
      },
      redo() {
        const moved = redo(history)
        if (!moved) return false
        history = moved.history
        apply(moved.changes)
        return true
      },
    }
  }
  const more: Command = { type: 'part/change', jobId: 'j', materialId: 'peat_medium', by: 12 }

  test('K9: a removed job takes the lines of its log and its photos with it, and no others', () => {
    const line = (id: string, jobId: string) => [`entry/${id}`, { id, jobId } as never] as const
    const garden = new Map([
      [jobKey('j'), job],
      line('a', 'j'),
      line('b', 'other'),
      ['photo/p', { id: 'p', jobId: 'j' } as never],
    ])
    const gone = changesOf(garden, { type: 'job/remove', jobId: 'j' })
    expect(gone.map((c) => [c.key, c.after])).toEqual([
      [jobKey('j'), null],
      ['entry/a', null],
      ['photo/p', null],
    ])
  })
  test('takes back and does again, to the letter', () => {
    const p = play()
    p.run(more)
    p.run({ type: 'job/remove', jobId: 'j' })
    expect(p.job).toBeUndefined()
    p.undo()
    expect(p.job!.parts[0]!.twelfths).toBe(36)
    p.undo()
    expect(p.job).toEqual(job)
    expect(p.undo()).toBe(false)
    p.redo()
    p.redo()
    expect(p.job).toBeUndefined()
    expect(p.redo()).toBe(false)
  })
  test('a new change lets go of what was undone', () => {
    const p = play()
    p.run(more)
    p.undo()
    p.run({ type: 'job/rename', jobId: 'j', name: 'Fig' })
    expect(p.redo()).toBe(false)
  })
  test('typing merges into one step, pauses and presses do not', () => {
    const p = play()
    for (const name of ['F', 'Fi', 'Fig']) p.run({ type: 'job/rename', jobId: 'j', name }, 100)
    p.run({ type: 'job/rename', jobId: 'j', name: 'Fig tree' }, 5000)
    p.run(more, 50)
    p.run(more, 50)
    expect(p.history.past).toHaveLength(4)
    p.undo()
    p.undo()
    p.undo()
    expect(p.job!.name).toBe('Fig')
    p.undo()
    expect(p.job!.name).toBe('')
  })
  test('quick typing in two fields of one thing is two steps', () => {
    const p = play()
    const plan = (change: Partial<Job['plan']>) => p.run({ type: 'job/plan', jobId: 'j', plan: change }, 100)
    plan({ bucket: 1 })
    plan({ bucket: 12 })
    plan({ settling: 0.1 })
    expect(p.history.past).toHaveLength(2)
    p.undo()
    expect(p.job!.plan).toEqual({ ...job.plan, bucket: 12 })
    p.undo()
    expect(p.job!.plan).toEqual(job.plan)
  })
  test('a drag is one step, however slow, and takes in nothing from before it', () => {
    const p = play()
    const settle = (settling: number, heldSince: number | null, later: number) =>
      p.run({ type: 'job/plan', jobId: 'j', plan: { settling } }, later, heldSince)
    settle(0.1, null, 100)
    // The hand comes down at 150, and rests twice as long as typing may.
    settle(0.11, 150, 100)
    settle(0.12, 150, 2000)
    settle(0.13, 150, 2000)
    expect(p.history.past).toHaveLength(2)
    p.undo()
    expect(p.job!.plan.settling).toBe(0.1)
  })
  test('what comes back to where it began is no step', () => {
    const p = play()
    for (const name of ['F', 'Fi', 'F', '']) p.run({ type: 'job/rename', jobId: 'j', name }, 100)
    expect(p.history.past).toHaveLength(0)
  })
  test('a step done again is never merged into', () => {
    const p = play()
    p.run({ type: 'job/rename', jobId: 'j', name: 'A' }, 100)
    p.undo()
    p.redo()
    p.run({ type: 'job/rename', jobId: 'j', name: 'AB' }, 100)
    p.undo()
    expect(p.job!.name).toBe('A')
  })
  test('keeps a long day and no more', () => {
    const p = play()
    for (let i = 0; i < 400; i++)
      p.run({ type: 'tick/set', jobId: 'j', batch: i, materialId: 'peat_medium', done: true })
    expect(p.history.past).toHaveLength(300)
  })
})
