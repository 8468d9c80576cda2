import { parse } from 'csv-parse/sync'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { draws } from '@/core/testing/draws'
import { once } from '@/core/testing/once'
import { demoGarden } from '@/demo/demoGarden'
import { allEntriesOf, bedsOf, recordsOf } from '@/model/garden/garden'
import { bedsToCsv } from './bedSheet'
import { logCsv } from './logCsv'
import { recordsCsv } from './recordSheet'

/** Words as anybody may send them: any letters at all, and those that sheets and spreadsheets run. */
const anyWords = fc.oneof(
  fc.string({ unit: 'binary', maxLength: 60 }),
  fc
    .array(
      fc.constantFrom('"', ',', ';', '\n', '\r\n', '\t', '=', '+1', '-2', '@SUM(A1)', "'", '\u202e', 'Fig'),
    )
    .map((some) => some.join('')),
)
const rowsIn = (csv: string): string[][] => parse(csv, { bom: true, relax_column_count: false })
/** What a spreadsheet would run begins with one of these (OWASP, CSV injection). */
const RUNS = /^[=+\-@\t\r]/

describe('what goes out as CSV cannot be broken out of: another parser reads it', () => {
  const beds = once(() => bedsOf(demoGarden()).slice(0, 2))
  const lines = once(() => allEntriesOf(demoGarden()).slice(0, 2))
  const records = once(() => recordsOf(demoGarden()).slice(0, 2))
  const tables: Record<string, (words: string) => [csv: string, rows: number]> = {
    beds: (name) => [
      bedsToCsv(
        beds().map((b) => ({ ...b, name })),
        'metric',
      ),
      2,
    ],
    log: (note) => [
      logCsv(
        lines().map((e) => ({ ...e, note })),
        'us',
        () => note,
        (kind) => kind,
      ),
      2,
    ],
    records: (words) => [
      recordsCsv(
        records().map((r) => ({ ...r, jobName: words, note: words })),
        () => words,
        'metric',
      ),
      2,
    ],
  }
  test('a record says its lime in all, its air in a hundred, and money to the cent where there was any', () => {
    const [record] = records()
    const lime = (limeId: string, grams: number) => ({ ...record!.limes[0]!, limeId, grams })
    const written = (change: object) =>
      rowsIn(recordsCsv([{ ...record!, ...change }], () => 'Pepper', 'metric')) as string[][]
    const cell = (change: object, column: string) => {
      const [head, row] = written(change)
      return row![head!.findIndex((c) => c.startsWith(column))]
    }
    expect(cell({ limes: [lime('lime_calcitic', 120), lime('lime_dolomitic', 80)] }, 'lime')).toBe('200')
    const predicted = { ...record!.predicted, airFilledPorosity: 0.1874, pH: 6.218 }
    expect(cell({ predicted }, 'air')).toBe('18.7')
    expect(cell({ predicted }, 'pH')).toBe('6.22')
    expect([cell({ paid: 31 }, 'paid'), cell({ paid: null }, 'paid')]).toEqual(['31.00', ''])
    expect([cell({ used: 4.5 }, 'used'), cell({ used: null }, 'used')]).toEqual(['4.50', ''])
  })
  test.each(Object.keys(tables))('%s', (name) => {
    fc.assert(
      fc.property(anyWords, (words) => {
        const [csv, count] = tables[name]!(words)
        const [head, ...rows] = rowsIn(csv)
        expect(rows).toHaveLength(count)
        for (const row of rows) {
          expect(row).toHaveLength(head!.length)
          // The words are there whole, behind an apostrophe where they would be run.
          const found = row.find((cell) => cell === words || cell === `'${words}`)
          expect(found, JSON.stringify(row)).toBeDefined()
          for (const cell of row) if (Number.isNaN(Number(cell))) expect(cell).not.toMatch(RUNS)
        }
      }),
      draws(300),
    )
  })
})
