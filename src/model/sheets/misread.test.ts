import { parse } from 'csv-parse/sync'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { MATERIALS } from '@/core/data'
import { once } from '@/core/testing/once'
import { draws } from '@/core/testing/draws'
import { demoGarden } from '@/demo/demoGarden'
import { allEntriesOf, bedsOf, entriesOf, jobsOf, placeOf } from '@/model/garden/garden'
import { ENTRY_KINDS, type ShelfItem } from '@/model/garden/schemas'
import { bedsFromText, bedsToCsv } from './bedSheet'
import { monthsFromText } from './climateSheet'
import { logCsv } from './logCsv'
import { logFromText } from './logSheet'
import { shelfFromText, shelfToCsv } from './shelfSheet'
import type { DecimalSign } from '../numbers'

/*
 * Sheets with a slip of the keyboard or the spreadsheet in them. Whatever is taken is written out again and has to say
 * what stands in a row of the sheet, read by another program's parser: a slip may be refused, never misread in silence.
 */

interface Read {
  /** What was taken, written out again. */
  written: string
  /** Rows that were not taken. */
  refused: number
  decimal: DecimalSign | null
}
interface Table {
  text: string
  read: (text: string) => Read
}
const NOW = '2026-03-01T09:00:00.000Z'
const nameOf = (id: string) => MATERIALS.find((m) => m.id === id)!.name

const TABLES: Record<string, () => Table> = {
  log: once(() => {
    const job = jobsOf(demoGarden()).find((j) => entriesOf(demoGarden(), j.id).length > 20)!
    const some = allEntriesOf(demoGarden()).filter((e) => e.jobId === job.id)
    const beds = new Map(job.fills.map((f, i) => [f.id, `Bed ${i}`]))
    const out = (entries: typeof some) =>
      logCsv(
        entries,
        'metric',
        (id) => (id === null ? 'all' : beds.get(id)!),
        (kind) => kind,
      )
    const bedOf = (name: string) =>
      name === 'all' ? null : [...beds].find(([, called]) => called === name)?.[0]
    const kindOf = (word: string) => ENTRY_KINDS.find((k) => k === word)
    let n = 0
    return {
      text: out(some.filter((e, i) => e.note !== '' || i % 12 === 0)),
      read(text) {
        const reading = { units: 'metric', kindOf, bedOf, newId: () => `${++n}` } as const
        const { entries, problems, look } = logFromText(text, job.id, reading)
        return { written: out(entries), refused: problems.length, decimal: look.decimal }
      },
    }
  }),
  shelf: once(() => {
    const items = [...demoGarden()].filter(([k]) => k.startsWith('shelf/')).map(([, v]) => v as ShelfItem)
    const find = (name: string) => MATERIALS.find((m) => m.id === name || m.name === name)
    return {
      text: shelfToCsv(items, nameOf, 'metric'),
      read(text) {
        const {
          items: taken,
          problems,
          look,
        } = shelfFromText(text, { garden: new Map(), find, units: 'metric' })
        return {
          written: shelfToCsv(taken, nameOf, 'metric'),
          refused: problems.length,
          decimal: look.decimal,
        }
      },
    }
  }),
  beds: once(() => ({
    text: bedsToCsv(bedsOf(demoGarden()), 'metric'),
    read(text) {
      let n = 0
      const { beds, problems, look } = bedsFromText(text, 'metric', { newId: () => `${++n}`, createdAt: NOW })
      return { written: bedsToCsv(beds, 'metric'), refused: problems.length, decimal: look.decimal }
    },
  })),
  months: once(() => {
    const { months } = placeOf(demoGarden())!
    const out = (all: typeof months) =>
      ['month,tmin C,tmax C,rain mm', ...all.map((m, i) => [i + 1, m.tMin, m.tMax, m.rain].join(','))].join(
        '\n',
      )
    return {
      text: out(months),
      read(text) {
        const read = monthsFromText(text, 'metric')
        return { written: read.ok ? out(read.months) : '', refused: read.ok ? 0 : 12, decimal: null }
      },
    }
  }),
}

/** Lines of cells as the other parser has them; split at every separator where a quote is left open. */
function linesOf(text: string, delimiter: string): string[][] {
  const lenient = { bom: true, relax_quotes: true, relax_column_count: true, skip_empty_lines: true }
  try {
    return parse(text, { ...lenient, delimiter })
  } catch {
    return text.split('\n').map((line) => line.split(delimiter))
  }
}
/** A heading without what is no letter: a stray sign beside it changes nothing. */
const headingIn = (cell: string) => cell.toLowerCase().replace(/[^a-z]/g, '')
/** Rows by their headings, without those that have more cells than there are headings. */
function rowsOf(text: string, delimiter: string): Record<string, string>[] {
  const [head = [], ...rest] = linesOf(text, delimiter)
  const fitting = rest.filter((cells) => cells.slice(head.length).every((cell) => cell.trim() === ''))
  return fitting.map((cells) =>
    Object.fromEntries(head.map((h, i) => [headingIn(h), (cells[i] ?? '').trim()])),
  )
}
const plain = (cell: string) =>
  cell
    .replace(/^'(?=[=+\-@])/, '')
    .replace(/\s+/g, ' ')
    .toLowerCase()
function agrees(taken: string, cell: string, decimal: DecimalSign | null) {
  if (cell === '' || plain(taken) === plain(cell)) return true
  const number = Number(decimal === 'comma' ? cell.replace(',', '.') : cell)
  return Number.isFinite(number) && Math.abs(Number(taken) - number) <= 1e-3 * Math.max(1, Math.abs(number))
}
/** What was expected of a reading is worked out anew when it is kept. */
const WORKED_OUT = 'expected'
const isSaid = (taken: Record<string, string>, row: Record<string, string>, decimal: DecimalSign | null) =>
  Object.entries(row).every(
    ([heading, cell]) => heading === WORKED_OUT || agrees(taken[heading] ?? '', cell, decimal),
  )

const SEPARATORS = [',', ';', '\t'] as const
const CHARACTERS = [',', ';', '\t', '"', '\n', '.', '-', ' ', '0', '5', 'e', 'x', "'", '/', ':', '+']
const slip = fc.record({
  kind: fc.constantFrom('drop', 'put', 'replace', 'double', 'swap', 'cut line'),
  at: fc.double({ min: 0, max: 1, noNaN: true, maxExcluded: true }),
  // Most slips are harmless; one that puts in what parts the cells seldom is.
  put: fc.oneof(fc.constantFrom(...CHARACTERS), fc.constant(null)),
})
type Slip = typeof slip extends fc.Arbitrary<infer S> ? S : never
function withSlip(text: string, slipped: Slip, separator: string): string {
  const { kind, at } = slipped
  const put = slipped.put ?? separator
  const i = Math.floor(at * text.length)
  const [before, here, after] = [text.slice(0, i), text[i] ?? '', text.slice(i + 1)]
  switch (kind) {
    case 'drop':
      return before + after
    case 'put':
      return before + put + here + after
    case 'replace':
      return before + put + after
    case 'double':
      return before + here + here + after
    case 'swap':
      return before + (after[0] ?? '') + here + after.slice(1)
    default:
      return before + after.slice(after.indexOf('\n') + 1)
  }
}
/** The same table with another separator; a decimal comma where that is not one. */
const separated = (text: string, separator: string, decimalComma: boolean) => {
  const lines: string[][] = parse(text, { bom: true, relax_column_count: true })
  const cellOf = (cell: string) => {
    const number = decimalComma && /^-?\d+\.\d+$/.test(cell) ? cell.replace('.', ',') : cell
    return /["\n]/.test(number) || number.includes(separator) ? `"${number.replace(/"/g, '""')}"` : number
  }
  return lines.map((cells) => cells.map(cellOf).join(separator)).join('\n')
}

describe('a sheet with a slip in it is refused or read as it stands', () => {
  test.each(Object.keys(TABLES))('%s', { timeout: 120_000 }, (name) => {
    const { text, read } = TABLES[name]!()
    const ended = { taken: 0, refused: 0 }
    fc.assert(
      fc.property(
        fc.constantFrom(...SEPARATORS),
        fc.boolean(),
        fc.array(slip, { minLength: 1, maxLength: 2 }),
        (separator, comma, slips) => {
          const whole = separated(text, separator, comma && separator !== ',')
          const mutant = slips.reduce((all, one) => withSlip(all, one, separator), whole)
          const { written, refused, decimal } = read(mutant)
          const taken = rowsOf(written, ',')
          ended.taken += taken.length
          ended.refused += refused
          const rows = rowsOf(mutant, separator)
          // Every row is taken or refused by name; rows of one material are one on the shelf.
          const there = linesOf(mutant, separator)
            .slice(1)
            .filter((cells) => cells.some((c) => c.trim() !== ''))
          if (taken.length > 0 && name !== 'shelf') expect(taken.length + refused, mutant).toBe(there.length)
          for (const one of taken)
            if (!rows.some((row) => isSaid(one, row, decimal ?? (comma ? 'comma' : null))))
              throw new Error(`taken, and nowhere in the sheet: ${JSON.stringify(one)}\n${mutant}`)
        },
      ),
      draws(500),
    )
    // A test that takes nothing, or refuses nothing, tries little.
    expect(ended.taken).toBeGreaterThan(0)
    expect(ended.refused).toBeGreaterThan(0)
  })
})
