import { PUBLISHED } from '@/core/data'
import { entryKey, jobOf, placeOf, recordOf, testKey, type Garden } from '@/model/garden/garden'
import type { AnyData, Entry, EntryKind } from '@/model/garden/schemas'
import { expectedOfTest } from '@/model/learn/expected'
import { startingTest } from '@/model/learn/startingTest'
import { evaluateJob } from '@/model/mix/evaluateJob'
import { dayOf, expectedOn } from '@/model/season/log'

/** What was noted of a job: a kind, a day, and its number, pieces or word. Made up, like all of the demo. */
type Noted = [kind: EntryKind, day: string, value?: number | null, of?: { count?: number; note?: string }]

const every = (days: number, from: string, to: string): string[] => {
  const list: string[] = []
  for (let at = Date.parse(from); at <= Date.parse(to); at += days * 86_400_000)
    list.push(new Date(at).toISOString().slice(0, 10))
  return list
}

const LOGS: Record<string, readonly Noted[]> = {
  'peppers-25': [
    ...every(3, '2025-05-20', '2025-09-10').map((day): Noted => ['watered', day]),
    ['pH', '2025-06-05', 6],
    ['fed', '2025-07-10', 12],
    ['harvest', '2025-08-20', 1.1, { count: 9 }],
    ['harvest', '2025-09-08', 1.4, { count: 12 }],
  ],
  'peppers-26': [
    ...every(2, '2026-05-17', '2026-09-12').map((day): Noted => ['watered', day]),
    ['pH', '2026-05-23', 6.2],
    ['salts', '2026-04-30', 0.4],
    ['pH', '2026-06-20', 6.5],
    ['leaf', '2026-07-02', null, { note: 'lowest leaves a little pale' }],
    ...every(14, '2026-07-04', '2026-08-29').map((day): Noted => ['fed', day, 15]),
    ['sunk', '2026-07-20', 1.5],
    ['pest', '2026-07-28', null, { note: 'aphids on two tips, rubbed off' }],
    ['harvest', '2026-08-12', 1.3, { count: 10 }],
    ['harvest', '2026-08-27', 1.9, { count: 15 }],
    ['harvest', '2026-09-10', 1.6, { count: 13 }],
  ],
}
const TESTED = { job: 'peppers-26', at: '2026-05-09T10:00:00.000Z', repeats: [{ pH: 5.9 }, { pH: 6.1 }] }

/** The demo's logs and tests, with what was to be expected of each reading on its day. */
export function demoLog(garden: Garden): [string, AnyData][] {
  const lines = Object.entries(LOGS).flatMap(([jobId, noted]) => {
    const job = jobOf(garden, jobId)!
    const record = recordOf(garden, job.recordId!)
    const found = evaluateJob(job, placeOf(garden), PUBLISHED)
    return noted.map(([kind, day, value = null, of = {}], i): Entry => {
      const at = `${day}T17:00:00.000Z`
      return {
        id: `${jobId}-log-${i + 1}`,
        jobId,
        fillId: null,
        at,
        kind,
        value,
        count: of.count ?? null,
        expected: found.ok && value !== null ? expectedOn(found.value, kind, dayOf(job, record, at)) : null,
        note: of.note ?? '',
      }
    })
  })
  const test = {
    ...startingTest('peppers-26-slurry', 'slurry', { jobId: TESTED.job }, TESTED.at),
    finishedAt: TESTED.at,
    doneSteps: [0, 1, 2, 3, 4, 5],
    repeats: TESTED.repeats,
  }
  const expected = expectedOfTest(garden, test, TESTED.at)
  return [
    ...lines.map((e): [string, AnyData] => [entryKey(e.id), e]),
    [testKey(test.id), { ...test, expected }],
  ]
}
