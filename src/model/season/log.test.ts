import { once, valueOf } from '@/core/testing/once'
import { PUBLISHED } from '@/core/data'
import { describe, expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { entryProblemText, entryText, seasonSoFar } from '@/text/season/log'
import { entryProblem } from './entryProblem'
import { changesOf } from '../garden/commands'
import { entriesOf, entryKey, jobOf, placeOf, recordOf } from '../garden/garden'
import { entrySchema, ENTRY_KINDS, kindOfKey, type Entry } from '../garden/schemas'
import { evaluateJob } from '../mix/evaluateJob'
import { logCsv } from '../sheets/logCsv'
import { dayOf, expectedOn } from './log'

const garden = once(() => new Map([...demoGarden()].filter(([key]) => !key.startsWith('entry/'))))
const job = once(() => jobOf(garden(), 'peppers-26')!)
const record = once(() => recordOf(garden(), job().recordId!)!)
const evaluation = once(() => valueOf(evaluateJob(job(), placeOf(garden()), PUBLISHED)))
const entry = (of: Partial<Entry>): Entry => ({
  id: 'e',
  jobId: job().id,
  fillId: null,
  at: '2026-05-09T18:00:00.000Z',
  kind: 'watered',
  value: null,
  count: null,
  expected: null,
  note: '',
  ...of,
})

describe('the log of a season', () => {
  test('is kept line by line, newest first, and a line can be taken away and brought back', () => {
    const lines = [
      entry({ id: 'a' }),
      entry({ id: 'b', at: '2026-06-01T07:00:00.000Z', kind: 'harvest', value: 1.2 }),
    ]
    const after = new Map(garden())
    for (const one of lines)
      for (const c of changesOf(after, { type: 'entries/put', entries: [one], what: 'log' }))
        after.set(c.key, c.after!)
    expect(entriesOf(after, job().id).map((e) => e.id)).toEqual(['b', 'a'])
    expect(entriesOf(after, 'fig')).toEqual([])
    expect(kindOfKey(entryKey('a'))).toBe('entry')
    expect(changesOf(after, { type: 'entry/remove', entryId: 'a' })).toEqual([
      { key: 'entry/a', before: lines[0], after: null },
    ])
    expect(changesOf(after, { type: 'entry/remove', entryId: 'none' })).toEqual([])
    for (const kind of ENTRY_KINDS) expect(entrySchema.safeParse(entry({ kind })).success).toBe(true)
  })
  test('what was expected of a pH is its course on that day, from mixing or from planting', () => {
    expect(dayOf(job(), record(), `${record().madeOn}T08:00:00`)).toBe(0)
    expect(dayOf({ ...job(), plantedOn: '2026-05-01' }, undefined, '2026-05-11T08:00:00')).toBe(10)
    expect(dayOf(job(), record(), '2020-01-01T08:00:00')).toBeNull()
    expect(dayOf({ ...job(), plantedOn: null }, undefined, '2026-05-11T08:00:00')).toBeNull()
    for (const state of evaluation().acidity) {
      expect(expectedOn(evaluation(), 'pH', state.day)).toBeCloseTo(state.pH, 9)
    }
    const [a, b] = evaluation().acidity
    expect(expectedOn(evaluation(), 'pH', (a!.day + b!.day) / 2)).toBeCloseTo((a!.pH + b!.pH) / 2, 9)
    expect(expectedOn(evaluation(), 'pH', 5000)).toBe(evaluation().acidity.at(-1)!.pH)
    expect(expectedOn(evaluation(), 'pH', null)).toBeNull()
    expect(expectedOn(evaluation(), 'salts', 3)).toBe(evaluation().salts.mix.electricalConductivity.oneToTwo)
    expect(expectedOn(evaluation(), 'salts', 60)).toBeNull()
    expect(expectedOn(evaluation(), 'weight', 3)).toBeNull()
  })
  test('says what it holds in the grower’s units, and what is missing', () => {
    expect(entryText(entry({ kind: 'pH', value: 5.9, expected: 6.2 }), 'us')).toBe('5.9, 6.2 expected')
    expect(entryText(entry({ kind: 'harvest', value: 1.2, count: 9, note: 'early' }), 'metric')).toBe(
      '1.2 kg, 9 pieces; early',
    )
    expect(entryText(entry({ kind: 'sunk', value: 5.08 }), 'us')).toMatch(/^2(\.0)? in$/)
    const wrong = (of: Partial<Entry>) => {
      const problem = entryProblem(entry(of))
      return problem && entryProblemText(problem).why
    }
    expect(wrong({ kind: 'pH' })).toBe('No number yet.')
    expect(wrong({ kind: 'pH', value: 12 })).toBe('No meter reads that in a mix: 2.5 to 9.')
    expect(wrong({ kind: 'watered', value: -1 })).toBe('It cannot be less than 0.')
    expect(wrong({ kind: 'note', note: ' ' })).toBe('No word yet.')
    // The schema takes whole numbers alone: what it would refuse is reported while it is being written.
    expect(wrong({ kind: 'harvest', count: 2.5 })).toBe('Pieces are counted whole.')
    expect(entrySchema.safeParse(entry({ kind: 'harvest', count: 2.5 })).success).toBe(false)
    expect(wrong({ kind: 'harvest' })).toBe('Neither weight nor number yet.')
    // Weighed or counted, either is a harvest.
    expect(wrong({ kind: 'harvest', count: 3 })).toBeNull()
    expect(wrong({ kind: 'harvest', value: 0.4 })).toBeNull()
    expect(wrong({ kind: 'harvest', value: 0, count: 0 })).toBe('Neither weight nor number yet.')
    expect(wrong({ kind: 'watered' })).toBeNull()
    const season = [
      entry({ kind: 'harvest', value: 2 }),
      entry({ kind: 'harvest', value: 1, count: 4 }),
      entry({}),
      entry({}),
    ]
    expect(seasonSoFar(season, 'metric')).toBe('So far: 3.0 kg and 4 pieces harvested, watered twice.')
    expect(seasonSoFar([], 'metric')).toBe('')
  })
  test('goes out as a sheet', () => {
    const text = logCsv(
      [entry({ value: 7.57, note: '=1+1' })],
      'us',
      () => 'Bags',
      (kind) => kind,
    )
    expect(text.split('\r\n')[0]).toBe('\uFEFFdate,time,bed,what,value,unit,number,expected,note')
    expect(text.split('\r\n')[1]).toBe(`2026-05-09,18:00+00:00,Bags,watered,1.9997824,gal,,,"'=1+1"`)
  })
})
