import { once } from '@/core/testing/once'
import { isLong } from '@/core/testing/draws'
import { describe, expect, test } from 'vitest'
import { evaluate } from '@/core/evaluate'
import { toEnd } from '@/core/toEnd'
import { materialById, materialIn } from '@/core/data'
import { useLearning } from '@/composables/learn/useLearning'
import { useTaught } from '@/composables/learn/useTaught'
import { demoGarden } from '@/demo/demoGarden'
import { predictionText, readingToldRows } from '@/text/tests/learned'
import { exportFile } from '@/storage/exportFile'
import { previewImport } from '@/storage/importFile'
import { makeCoreApi } from '@/workers/coreApi'
import { changesOf, type Command } from '../garden/commands'
import { entryKey, jobOf, learnedOf, placeOf, recordOf, testKey, type Garden } from '../garden/garden'
import { tablesOf } from '../garden/tables'
import type { AnyData, Entry, Test } from '../garden/schemas'
import { evaluateJob } from '../mix/evaluateJob'
import { learnRequest, questionOfRecord } from './batches'
import { expectedOfTest } from './expected'
import { readingsTaught } from './figuresTaught'
import { predictionsOf } from './predictions'
import { teach } from './learn'
import { newReadings, readingsOfGarden } from './readings'
import { startingTest } from './startingTest'

const demo = once(() => new Map([...demoGarden()].filter(([key]) => !/^(entry|test)\//.test(key))))
const job = once(() => jobOf(demo(), 'peppers-26')!)
const record = once(() => recordOf(demo(), job().recordId!)!)
/** A moment so many days after the peppers' mix was made. */
const after = (days: number) =>
  new Date(Date.parse(`${record().madeOn}T10:00:00Z`) + days * 86_400_000).toISOString()
const slurry = (id: string, days: number, repeats: Test['repeats'], of: Partial<Test> = {}): Test => ({
  ...startingTest(id, 'slurry', { jobId: job().id }, after(days)),
  finishedAt: after(days),
  repeats,
  ...of,
})
const withTests = (...tests: Test[]): Garden =>
  new Map<string, AnyData>([...demo(), ...tests.map((t) => [testKey(t.id), t] as const)])

/** A garden that changes, with a worker that answers in the same thread. */
function door(start: Garden) {
  const state = { records: start, settings: { units: 'metric' } as never }
  const api = makeCoreApi()
  return {
    get records() {
      return state.records
    },
    settings: state.settings,
    run(command: Command) {
      const next = new Map(state.records)
      for (const c of changesOf(state.records, command)) {
        if (c.after) next.set(c.key, c.after)
        else next.delete(c.key)
      }
      state.records = next
    },
    worker: (request: Parameters<typeof api.learn>[1]) => api.learn(1, request),
  }
}
const pHOf = (garden: Garden) => {
  const stored = jobOf(garden, job().id)!
  // With a dose that does not follow the pH.
  const found = evaluateJob(
    { ...stored, lime: { ...stored.lime, mode: 'fixed', gramsPerLitre: 2 } },
    undefined,
    tablesOf(garden),
  )
  if (!found.ok) throw new Error(found.problem.code)
  return found.value.lime.pH
}

describe('readings of a garden', () => {
  test('at the tub, in the log and by tests, of recorded mixes alone, oldest first', () => {
    const entry: Entry = {
      id: 'e',
      jobId: job().id,
      fillId: null,
      at: after(20),
      kind: 'pH',
      value: 6.1,
      count: null,
      expected: 6.3,
      note: '',
    }
    const unmade = [...demo().values()].find((d) => 'parts' in d && 'fills' in d && d.recordId === null)!
    const garden = new Map([
      ...withTests(
        slurry('t', 12, [{ pH: 6, salts: 1 }, { pH: 6.2 }]),
        slurry('late', 90, [{ pH: 6 }]),
        slurry('open', 12, [{ pH: 6 }], { finishedAt: null }),
        slurry('unmade', 12, [{ pH: 6 }], { jobId: (unmade as { id: string }).id }),
      ),
      [entryKey('e'), entry],
      [entryKey('late'), { ...entry, id: 'late', at: after(100) }],
    ])
    const found = readingsOfGarden(garden).filter((r) => !demo().has(r.id))
    expect(found.map((r) => r.id)).toEqual(['t:pH', 't:electricalConductivity', 'e'])
    expect(found[0]!.measurement).toMatchObject({ kind: 'pH', value: 6.1, day: 12, count: 2 })
    // However they were kept, they come by their moments.
    const turned: Garden = new Map([...garden].reverse())
    expect(readingsOfGarden(turned)).toEqual(readingsOfGarden(garden))
    const moments = readingsOfGarden(turned).map((r) => r.at)
    expect(moments).toEqual([...moments].sort())
    // A line of the log is of the whole mix.
    expect(found[2]!.of).toEqual({ recordId: record().id, batch: null })
    // What was expected on the day goes with each; nothing where nobody worked it out.
    expect(found.map((r) => r.expected)).toEqual([null, null, 6.3])
    const known = withTests(slurry('f', 12, [{ pH: 6 }], { expected: { pH: 6.4 } }))
    expect(readingsOfGarden(known).find((r) => r.id === 'f:pH')!.expected).toBe(6.4)
  })
  test('of one material need no mix', () => {
    const alone = slurry('m', 0, [{ pH: 7.9 }], { jobId: null, materialId: 'compost_green' })
    const garden = withTests(alone)
    expect(readingsOfGarden(garden)[0]).toMatchObject({ of: { materialId: 'compost_green' } })
    expect(expectedOfTest(garden, alone, after(0)).pH).toBeCloseTo(
      materialById('compost_green')!.properties.pH.value,
      1,
    )
    const { batches } = learnRequest(garden, newReadings(garden))
    expect(batches).toHaveLength(1)
    expect(batches[0]!.input.parts).toHaveLength(1)
  })
  test('the mix that teaches is the mix that was predicted: its salts are those of the log, lime or no lime', () => {
    const salty = slurry('s', 5, [{ salts: 0.5 }])
    const { batches } = learnRequest(withTests(salty), newReadings(withTests(salty)))
    const found = evaluate(batches[0]!.input)
    const planned = evaluateJob(job(), placeOf(demo()), tablesOf(demo()))
    if (!found.ok || !planned.ok) throw new Error('not worked out')
    const of = (e: typeof found.value) => e.salts.mix.electricalConductivity.oneToTwo
    expect(Math.abs(of(found.value) / of(planned.value) - 1)).toBeLessThan(0.06)
  })
  test('what was recorded as mixed in teaches with the litres it went into', () => {
    const grams = 360
    const fed = {
      ...record(),
      corrections: [],
      dressings: [
        {
          ...record().dressings[0]!,
          dressingId: 'all_purpose_organic',
          grams,
          place: { kind: 'throughout' as const },
        },
      ],
    }
    const { recipe } = questionOfRecord(demo(), fed, { ...job(), dressings: [] })
    expect(recipe.dressings).toMatchObject([
      { dressingId: 'all_purpose_organic', gramsPerLitre: grams / record().blendLitres },
    ])
  })
  test('salts that were read teach what is known of the feed too, and of each row from which reading', () => {
    const fed = {
      ...record(),
      dressings: [
        {
          ...record().dressings[0]!,
          dressingId: 'crf_5_6',
          grams: 8 * record().blendLitres,
          place: { kind: 'throughout' as const },
        },
      ],
    }
    const withFed = (...tests: Test[]) =>
      new Map<string, AnyData>([...withTests(...tests), [`record/${fed.id}`, fed]])
    const batchIn = (garden: Garden) => learnRequest(garden, newReadings(garden))
    // Half as salty again as the tables say: odd for the mix, not for a feed whose salts are known within a third.
    const plain = evaluate(batchIn(withFed(slurry('s', 5, [{ salts: 1 }]))).batches[0]!.input)
    if (!plain.ok) throw new Error(plain.problem.code)
    const salts = 1.5 * plain.value.salts.mix.electricalConductivity.oneToTwo
    const taught = toEnd(teach(batchIn(withFed(slurry('s', 5, [{ salts }, { salts }, { salts }])))))
    if (!taught.ok) throw new Error(taught.problem.code)
    const row = taught.value.rows.find((r) => r.id === 'crf_5_6')!
    expect(row.from).toEqual(['s:electricalConductivity'])
  })
  test('what was put in after a reading is no part of the mix that was read', () => {
    const lime = record().limes[0]?.limeId ?? 'lime_calcitic'
    const corrected = {
      ...record(),
      readings: [0, 20].map((day, i) => ({
        id: `r${i}`,
        batch: 0,
        at: after(day),
        day,
        kind: 'pH' as const,
        value: 6,
        expected: null,
      })),
      corrections: [{ id: 'c', batch: 0, at: after(1), dressingId: lime, grams: 500, dressingName: 'lime' }],
    }
    const garden = new Map([...demo(), [`record/${record().id}`, corrected] as const])
    const { batches } = learnRequest(garden, readingsOfGarden(garden))
    expect(batches).toHaveLength(2)
    expect(new Set(batches.map((b) => b.key)).size).toBe(1)
    const grams = (i: number) => batches[i]!.input.limeGramsPerLitre
    expect(grams(1)).toBeGreaterThan(grams(0))
  })
})

describe('learning that lasts', () => {
  const acid = () => slurry('t', 30, [{ pH: 5.6 }, { pH: 5.7 }, { pH: 5.5 }])
  test('is shown before it is kept, kept in every later reckoning, undone by forgetting', async () => {
    const garden = door(withTests(acid()))
    const before = pHOf(garden.records)
    const learning = useLearning(garden, garden.worker)
    const taught = useTaught(garden, learning)
    await learning.look()
    expect(pHOf(garden.records)).toBe(before)
    expect(learning.preview.value!.rows.length).toBeGreaterThan(0)
    expect(taught.previewed.value[0]!.lines[0]!.after).toMatch(/\(.* to .*\)/)
    learning.keep()
    const learned = learnedOf(garden.records)!
    expect(learned.from).toEqual(['t:pH'])
    expect(pHOf(garden.records)).toBeLessThan(before - 0.1)
    expect(tablesOf(garden.records).learning).toEqual(learned.learning)
    const ids = new Set(learned.rows.map((r) => r.id))
    expect(readingsTaught(learned, ids)('pH')).toBe(1)
    expect(readingsTaught(learned, ids)('earlyNitrogen')).toBe(0)
    // Learned once, it is not new any more; and the row it stands in for is the tables' own.
    expect(newReadings(garden.records)).toEqual([])
    const row = materialIn(tablesOf(garden.records), learned.rows[0]!.id)
    if (row) expect(row.unlearned).toBeDefined()
    await learning.leaveOut('t:pH', true)
    expect(learnedOf(garden.records)!.without).toEqual(['t:pH'])
    expect(pHOf(garden.records)).toBeCloseTo(before, 6)
    await learning.leaveOut('t:pH', false)
    expect(pHOf(garden.records)).toBeLessThan(before - 0.1)
    learning.forgetAll()
    expect(learnedOf(garden.records)).toBeUndefined()
    expect(pHOf(garden.records)).toBe(before)
  }, 30_000)
  test.runIf(isLong)(
    'learning again from the same readings changes nothing: the tables are always where it begins',
    async () => {
      const garden = door(withTests(acid()))
      const learning = useLearning(garden, garden.worker)
      await learning.learn()
      const once = learnedOf(garden.records)!
      await learning.learn()
      const twice = learnedOf(garden.records)!
      expect(twice.learning).toEqual(once.learning)
      expect(twice.rows).toEqual(once.rows)
    },
    30_000,
  )
  test.runIf(isLong)(
    'a reading that no such mix would give is questioned, and teaches when it is said to be right',
    async () => {
      const garden = door(withTests(slurry('t', 30, [{ pH: 9.4 }])))
      const learning = useLearning(garden, garden.worker)
      const taught = useTaught(garden, learning)
      await learning.look()
      expect(taught.questioned.value[0]!.text).toContain('no such mix')
      expect(learning.preview.value!.rows).toEqual([])
      await learning.trust('t:pH')
      expect(learnedOf(garden.records)!.trusted).toEqual(['t:pH'])
      expect(learnedOf(garden.records)!.rows.length).toBeGreaterThan(0)
    },
    30_000,
  )
  test('survives export and import with its readings', async () => {
    const garden = door(withTests(acid()))
    await useLearning(garden, garden.worker).learn()
    const text = exportFile(garden.records, [], after(40))
    const run = previewImport(text, new Map())
    let step = run.next()
    while (!step.done) step = run.next()
    if (!step.value.ok) throw new Error('not read')
    const back = new Map(step.value.preview.added.map((c) => [c.key, c.after!]))
    expect(learnedOf(back)).toEqual(learnedOf(garden.records))
    expect(back.get(testKey('t'))).toEqual(acid())
    expect(pHOf(back)).toBeCloseTo(pHOf(garden.records), 9)
  }, 30_000)
})

describe('how close the predictions were', () => {
  test('is given by figure: inside the likely range, how far off, with what is expected since', async () => {
    const garden = door(withTests(slurry('t', 12, [{ pH: 6, salts: 1 }]), slurry('odd', 30, [{ pH: 9.2 }])))
    const learning = useLearning(garden, garden.worker)
    const taught = useTaught(garden, learning)
    const told = (await learning.tell())!
    const [pH] = predictionsOf(told)
    // pH is missed by so much, salts by a share of what was expected.
    const one = told.filter((r) => r.kind === 'pH')
    expect(pH!.mean).toBeCloseTo(one.reduce((s, r) => s + r.read - r.expected, 0) / one.length, 9)
    const salts = told.filter((r) => r.kind === 'electricalConductivity')
    expect(predictionsOf(salts)[0]!.size).toBeCloseTo(Math.abs(salts[0]!.read / salts[0]!.expected - 1), 9)
    expect(pH).toMatchObject({ kind: 'pH', count: 2, inside: 1 })
    expect(predictionText(pH!)).toMatch(/^pH: /)
    expect(predictionText(pH!)).toContain('1 of 2 readings inside the likely range')
    const rows = readingToldRows(told, taught.nameOf, 'metric')
    expect(rows.find((r) => r.id === 'odd:pH')!.cells[3]).toBe('questioned')
    expect(rows[0]!.cells[2]).toMatch(/\(.* to .*\)/)
    // Nothing is kept by looking.
    expect(learnedOf(garden.records)).toBeUndefined()
    expect(predictionsOf([])).toEqual([])
  }, 30_000)
})
