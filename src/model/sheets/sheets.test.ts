import { isMainThread } from 'node:worker_threads'
import fc from 'fast-check'
import { afterEach, describe, expect, test } from 'vitest'
import { PACK_LIMITS } from '@/core/batch'
import { MATERIALS, materialById } from '@/core/data'
import { LITRES } from '@/core/units'
import { draws } from '@/core/testing/draws'
import {
  ENTRY_KINDS,
  VESSEL_KINDS,
  type Bed,
  type Entry,
  type Settings,
  type ShelfItem,
} from '@/model/garden/schemas'
import { shelfItem } from '@/model/garden/shelfEntry'
import { startingBed } from '@/model/garden/starting'
import { shelfKey } from '@/model/garden/garden'
import { sheetProblemText } from '@/text/base/fields'
import { readAsText } from '@/text/base/sheets'
import { bedsFromText, bedsToCsv } from './bedSheet'
import { monthsFromText } from './climateSheet'
import { decodeText } from './decode'
import { headingOf } from './headings'
import { logCsv } from './logCsv'
import { logFromText } from './logSheet'
import type { Matches } from './sheet'
import { shelfFromText, shelfToCsv } from './shelfSheet'

type Units = Settings['units']
const BOTH = ['metric', 'us'] as const
const NOW = '2026-03-01T09:00:00.000Z'
/** Zones whose clocks are put forward and back at other hours, or not at all, by half hours and three quarters. */
const ZONES = [
  'UTC',
  'Europe/London',
  'Europe/Berlin',
  'America/New_York',
  'America/Los_Angeles',
  'America/St_Johns',
  'America/Sao_Paulo',
  'Asia/Kolkata',
  'Asia/Kathmandu',
  'Australia/Lord_Howe',
  'Pacific/Chatham',
  'Pacific/Kiritimati',
]
const HOME = process.env.TZ
afterEach(() => {
  if (HOME === undefined) delete process.env.TZ
  else process.env.TZ = HOME
})

const bedsIn = (text: string, units: Units = 'metric', matches: Matches = {}) => {
  let n = 0
  return bedsFromText(text, units, { newId: () => `b${++n}`, createdAt: NOW, matches })
}
const find = (name: string) => MATERIALS.find((m) => m.id === name || m.name === name)
const shelfIn = (text: string, units: Units = 'metric', garden = new Map(), matches: Matches = {}) =>
  shelfFromText(text, { garden, find, units, matches })
const logIn = (text: string, units: Units = 'metric', matches: Matches = {}, known: Entry[] = []) => {
  let n = 0
  return logFromText(
    text,
    'j',
    {
      units,
      kindOf: (word) => ENTRY_KINDS.find((k) => k === word),
      bedOf: (name) => (name === 'Bags' ? 'f1' : undefined),
      newId: () => `e${++n}`,
      known,
    },
    matches,
  )
}
const entry = (change: Partial<Entry>): Entry => ({
  id: 'e1',
  jobId: 'j',
  fillId: 'f1',
  at: '2026-05-09T18:00:00.000Z',
  kind: 'watered',
  value: null,
  count: null,
  expected: null,
  note: '',
  ...change,
})
const outLog = (entries: Entry[], units: Units) =>
  logCsv(
    entries,
    units,
    () => 'Bags',
    (kind) => kind,
  )
const whyOf = (problems: readonly { why: object }[]) => (problems[0]?.why as { column?: string })?.column

describe('one number is read as one number', () => {
  test('K1: a decimal comma between commas is refused by its row, not cut', () => {
    const { entries, problems } = logIn(
      'date,time,bed,what,value,unit,number,note\n2026-05-01,,,watered,6,5,L,,\n2026-05-02,,,watered,7,L,,',
    )
    expect(entries.map((e) => e.value)).toEqual([7])
    expect(problems).toMatchObject([{ row: 2 }])
    // As short as it was typed.
    const short = logIn('date,what,value,unit\n2026-05-01,watered,6,5')
    expect([short.entries, whyOf(short.problems)]).toEqual([[], 'halves'])
    const shorter = logIn('date,what,value,unit,number,note\n2026-05-01,watered,1,5')
    expect([shorter.entries, whyOf(shorter.problems)]).toEqual([[], 'halves'])
    expect(sheetProblemText(shorter.problems[0]!, 'metric')).toMatch(/“1,5” one number or two\?/)
    // As wide as the heading, with the second half among the notes.
    const noted = logIn('date,what,value,note\n2026-05-01,watered,1,5\n2026-05-02,watered,7,')
    expect([noted.entries.map((e) => e.value), whyOf(noted.problems)]).toEqual([[7], 'halves'])
    const bag = shelfIn('material,sold as,size,price\npeat_medium,bag,50,6,5')
    expect([bag.items, whyOf(bag.problems)]).toEqual([[], 'surplus'])
  })
  test('K1: with semicolons, tabs or quotes it is six and a half', () => {
    for (const text of [
      'date;what;value\n2026-05-01;watered;6,5',
      'date\twhat\tvalue\n2026-05-01\twatered\t6,5',
      'date,what,value\n2026-05-01,watered,"6,5"',
    ])
      expect(logIn(text).entries[0]!.value).toBe(6.5)
  })
  test('one sheet writes fractions in one way: that decides what 1,250 is', () => {
    const values = (text: string) => logIn(text).entries.map((e) => e.value)
    // Nothing says which: both rows would be possible, and are asked about.
    expect(logIn('date;what;value\n2026-05-01;fed;1,250').problems[0]!.why).toMatchObject({ column: 'value' })
    expect(values('date;what;value\n2026-05-01;fed;1,250\n2026-05-02;fed;2,5')).toEqual([1.25, 2.5])
    expect(values('date;what;value\n2026-05-01;fed;1,250\n2026-05-02;fed;2.5')).toEqual([1250, 2.5])
    // Where fractions have a comma, a point may be a thousand.
    expect(logIn('date;what;value\n2026-05-01;fed;1.250\n2026-05-02;fed;2,5').entries).toHaveLength(1)
  })
  test('a quotation mark without its second is said: what follows may lie within its cell', () => {
    const log = ['date,what,note', '2026-05-01,note,fine', '2026-05-02,note,"hot', '2026-05-03,watered,']
    const open = logIn(log.join('\n'))
    expect([open.entries, open.problems]).toMatchObject([
      [],
      [{ row: 1, why: { column: 'quote', text: '3' } }],
    ])
    expect(sheetProblemText(open.problems[0]!, 'metric')).toMatch(
      /^Row 3: a quotation mark has no second one/,
    )
    expect(logIn(log.join('\n').replace('"hot', '"hot"')).entries).toHaveLength(3)
    // Doubled within a cell they are part of what it says (RFC 4180).
    expect(logIn('date,what,note\n2026-05-01,note,"a ""hot"" day"').entries[0]!.note).toBe('a "hot" day')
    const months = Array.from({ length: 12 }, (_, i) => `${i === 4 ? '"' : ''}${i},${i + 9}`)
    expect(monthsFromText(`tmin,tmax\n${months.join('\n')}`, 'metric')).toMatchObject({
      ok: false,
      problem: { row: 6 },
    })
  })
  test('nothing at all has no headings, and none is made up', () => {
    for (const text of ['', '\n\n', '\uFEFF'])
      expect(logIn(text)).toMatchObject({
        entries: [],
        problems: [{ row: 1, why: { column: 'heading', text: '' } }],
      })
  })
  test('how it was read is said', () => {
    expect(readAsText(logIn('date;what;value\n2026-05-01;fed;2,5').look)).toBe(
      'Read with semicolons between the cells; 6,5 is six and a half.',
    )
    expect(readAsText(logIn('date,what,value\n2026-05-01,fed,2.5').look)).toMatch(
      /^Read with commas.*6\.5 is six/,
    )
  })
})

describe('headings', () => {
  test('K4, K5: name a column and its unit as people write them', () => {
    const columns = [
      { id: 'value', anyQuantity: true },
      { id: 'rain', quantity: 'rain' },
      { id: 'length', quantity: 'length' },
      { id: 'base length', quantity: 'length' },
    ] as const
    const meant = (cell: string) => {
      const found = headingOf(cell, columns)
      return found && [found.id, found.unit?.sign ?? null]
    }
    expect(meant('value (L)')).toEqual(['value', 'L'])
    expect(meant(' Rain [cm] ')).toEqual(['rain', 'cm'])
    expect(meant('Length, in')).toEqual(['length', 'in'])
    expect(meant('BASE LENGTH')).toEqual(['base length', null])
    expect(meant('length (kg)')).toBeNull()
    for (const word of ['constructor', '__proto__', 'toString', 'value constructor'])
      expect(meant(word)).toBeNull()
  })
  test('K4: a heading nobody knows is asked about; it is matched or left out by a word', () => {
    const text = 'material,sold as,size,Kosten\npeat_medium,bag,50,6.5'
    const asked = shelfIn(text)
    expect([asked.items, whyOf(asked.problems), asked.look.strangers]).toEqual([[], 'stranger', ['Kosten']])
    expect(asked.look.free).toContain('price')
    expect(shelfIn(text, 'metric', new Map(), { Kosten: 'price' }).items[0]!.price).toBe(6.5)
    expect(shelfIn(text, 'metric', new Map(), { Kosten: '' }).items[0]!.price).toBeNull()
    const twice = shelfIn('material,sold as,size,price,cost\npeat_medium,bag,50,6.5,7')
    expect(whyOf(twice.problems)).toBe('twice')
  })
  test('K4: what a sheet leaves empty of a known pack stays known', () => {
    const known = { ...shelfItem('peat_medium', { kind: 'loose', litres: 50 }, 6.5, 12), place: 'the yard' }
    const garden = new Map([[shelfKey('peat_medium'), known]]) as never
    expect(shelfIn('material,sold as,size\npeat_medium,bag,50', 'metric', garden).items[0]).toMatchObject({
      price: 6.5,
      place: 'the yard',
      stock: 12,
    })
    // Zero is a figure, nothing is none: delivered free from now on.
    const paid = { ...known, delivery: 20 }
    const free = shelfIn(
      'material,sold as,size,delivery\npeat_medium,bag,50,0',
      'metric',
      new Map([[shelfKey('peat_medium'), paid]]) as never,
    )
    expect(free.items[0]!.delivery).toBe(0)
    // Another pack is another price.
    expect(shelfIn('material,sold as,size\npeat_medium,bag,70', 'metric', garden).items[0]!.price).toBeNull()
  })
  test('K4: rain in centimetres is ten times as many millimetres', () => {
    const rows = Array.from({ length: 12 }, () => '5,15,6').join('\n')
    const read = monthsFromText(`tmin,tmax,rain (cm)\n${rows}`, 'us')
    // Degrees without a unit are the grower's own: 15 F is -9.4 C, too cold for any garden.
    expect(read.ok).toBe(false)
    const metric = monthsFromText(`tmin,tmax,rain (cm)\n${rows}`, 'metric')
    expect(metric.ok && metric.months[0]).toEqual({ tMin: 5, tMax: 15, rain: 60 })
  })
})

describe('nothing odd is taken', () => {
  test('K6: what could not be kept is refused where it is looked at', () => {
    for (const size of ['1e300', '1e308'])
      expect(shelfIn(`material,sold as,size\npeat_medium,bag,${size}`).items).toEqual([])
    // The largest pack is one volume, in whatever unit it is written.
    const gallons = (n: number) =>
      shelfIn(`material,sold as,"size, gal or lb"\npeat_medium,bulk,${n}`).items.length
    const most = PACK_LIMITS.size.value / LITRES.usGallon
    expect([gallons(Math.floor(most)), gallons(Math.ceil(most))]).toEqual([1, 0])
    // A million is where a log stops.
    const litres = (n: string) => logIn(`date,what,value\n2026-05-01,watered,${n}`).entries.length
    expect([litres('1000000'), litres('1000001'), litres('1e308')]).toEqual([1, 0, 0])
    expect(bedsIn('name,length\nx,1e300').beds).toEqual([])
  })
  test('K7: words that every object has are words like any other', () => {
    for (const word of ['constructor', '__proto__', 'hasOwnProperty', 'toString', 'valueOf']) {
      expect(bedsIn(`name,shape\nx,${word}`).problems).toMatchObject([{ why: { column: 'shape' } }])
      expect(bedsIn(`name,filling\nx,${word}`).problems).toMatchObject([{ why: { column: 'filling' } }])
      expect(logIn(`date,what\n2026-05-01,${word}`).problems).toMatchObject([{ why: { column: 'what' } }])
      expect(logIn(`date,what,value,unit\n2026-05-01,watered,1,${word}`).problems).toMatchObject([
        { why: { column: 'unit' } },
      ])
      expect(bedsIn(`${word}\nx`).problems).toHaveLength(1)
    }
  })
  test('K11: days, units, corners and notes that cannot be are refused', () => {
    const wrongIn = (row: string) => whyOf(logIn(`date,what,value,unit,number,note\n${row}`).problems)
    expect(wrongIn('0001-05-01,pH,6.2,,,')).toBe('date')
    expect(wrongIn('9999-05-01,pH,6.2,,,')).toBe('date')
    for (const [year, taken] of [
      ['1899', 'date'],
      ['1900', undefined],
      ['2200', undefined],
      ['2201', 'date'],
    ])
      expect(wrongIn(`${year}-05-01,pH,6.2,,,`), year).toBe(taken)
    expect(wrongIn('2026-02-30,pH,6.2,,,')).toBe('date')
    expect(wrongIn('2026-05-01,pH,6.2,mS/cm,,')).toBe('unit')
    expect(wrongIn('2026-05-01,fed,0x10,,,')).toBe('value')
    expect(wrongIn(`2026-05-01,note,,,,${'x'.repeat(2001)}`)).toBe('note')
    expect(wrongIn(`2026-05-01,note,,,,${'x'.repeat(2000)}`)).toBeUndefined()
    for (const corners of ['240,', '0,0 240,0 1e3,x', '0,0 0x10,0 9,9', '0,0,0 1,1'])
      expect(whyOf(bedsIn(`name\tshape\tcorners\nx\tfree bed\t${corners}`).problems), corners).toBe('corners')
  })
  test('a file is read whatever program wrote it', () => {
    const text = 'name\tnote\nKübel Größe 5\t½ µS'
    const utf16 = (bigEndian: boolean) => {
      const bytes = [...`\uFEFF${text}`].flatMap((c) => [c.charCodeAt(0) & 255, c.charCodeAt(0) >> 8])
      return Uint8Array.from(bytes, (_, i) => bytes[bigEndian ? i ^ 1 : i]!)
    }
    // Every letter here is one byte of Windows-1252, with its number of Unicode.
    const windows = Uint8Array.from([...text], (c) => c.charCodeAt(0))
    for (const bytes of [new TextEncoder().encode(text), utf16(false), utf16(true), windows])
      expect(decodeText(bytes).text).toBe(text)
    expect(decodeText(windows).encoding).toBe('windows-1252')
    expect(decodeText(new Uint8Array()).text).toBe('')
  })
})

describe('what goes out comes in the same', () => {
  test('what was expected comes beside a reading to two places; where nothing was, the cell is empty', () => {
    const csv = (expected: number | null) => outLog([entry({ kind: 'pH', value: 6.1, expected })], 'metric')
    const cells = (text: string) =>
      text
        .trim()
        .split(/\r?\n/)
        .map((line) => line.split(','))
    const at = cells(csv(6.3))[0]!.indexOf('expected')
    expect(cells(csv(6.3))[1]![at]).toBe('6.30')
    expect(cells(csv(null))[1]![at]).toBe('')
  })
  test('K3: a log in any zone, over the nights when clocks are changed', () => {
    const nights = [
      '2026-03-29T00:30',
      '2026-03-29T01:30',
      '2026-10-25T00:30',
      '2026-10-25T01:30',
      '2026-11-01T05:30',
      '2026-11-01T06:30',
      '2026-04-04T14:15',
      '2026-12-31T23:59',
    ]
    const log = nights.map((at, i) => entry({ id: `e${i + 1}`, at: `${at}:00.000Z`, value: i + 1 }))
    for (const zone of ZONES) {
      process.env.TZ = zone
      const text = outLog(log, 'metric')
      // Read where it was written, and on a machine at the other end of the world.
      for (const other of [zone, 'Pacific/Kiritimati']) {
        process.env.TZ = other
        expect(logIn(text).entries, `${zone} ${other}`).toEqual(log)
        // And never taken twice.
        expect(logIn(text, 'metric', {}, log)).toMatchObject({ entries: [], already: log.length })
      }
    }
    // Berlin is an hour ahead before its clocks go forward. A worker thread, where mutants are tried, has no zone of
    // its own.
    process.env.TZ = 'Europe/Berlin'
    if (isMainThread) expect(outLog([log[0]!], 'metric')).toContain('2026-03-29,01:30+01:00')
  })
  test('a bale that gives 200 L of its 107 swells by what one goes into the other', () => {
    const bale = shelfItem('peat_medium', { kind: 'compressed', litres: 107, swell: 2 }, 19, 40)
    const text = shelfToCsv([bale], (id) => materialById(id)!.name, 'metric')
    expect(shelfIn(text).items[0]!.pack).toEqual({ kind: 'compressed', litres: 107, swell: 2 })
    const block = shelfItem('coir_pith', { kind: 'block', kg: 5, litresPerKg: 14 }, 12, 0)
    expect(shelfIn(shelfToCsv([block], (id) => materialById(id)!.name, 'metric')).items[0]!.pack).toEqual({
      kind: 'block',
      kg: 5,
      litresPerKg: 14,
    })
  })
  test('K5: a bale of 107 L saved in gallons is a bale of 107 L', () => {
    const bale = shelfItem('peat_medium', { kind: 'compressed', litres: 107 }, 19, 40)
    const text = shelfToCsv([bale], (id) => materialById(id)!.name, 'us')
    expect(text).toContain('"size, gal or lb"')
    expect(shelfIn(text, 'metric').items).toEqual([bale])
    expect(bedsIn('name,"length, in"\nx,10').beds[0]!.vessel.shape).toMatchObject({ topDiameter: 25.4 })
  })

  const day = fc.integer({ min: Date.UTC(2001, 0, 1), max: Date.UTC(2099, 11, 31) })
  const anEntry = fc
    .record({
      kind: fc.constantFrom('watered', 'fed', 'weight', 'sunk', 'harvest', 'note'),
      at: day,
      value: fc.double({ min: 0.01, max: 900, noNaN: true }),
      note: fc.constantFrom('a note', '=1+1', ' 6,5; "quoted"\ntwo lines', '½ µS'),
    })
    .map(({ kind, at, value, note }) =>
      entry({
        kind: kind as Entry['kind'],
        at: new Date(at).toISOString(),
        value: kind === 'note' ? null : Number(value.toPrecision(7)),
        note: note.trim(),
      }),
    )
  const aBed = fc
    .record({
      kind: fc.constantFrom(...VESSEL_KINDS),
      name: fc.constantFrom('A', '=B', '6,5', 'x; y'),
      lip: fc.integer({ min: 1, max: 60 }),
      layer: fc.integer({ min: 1, max: 50 }),
    })
    .map(({ kind, name, lip, layer }): Bed => {
      const bed = startingBed('b1', NOW, kind)
      return {
        ...bed,
        name,
        vessel: { ...bed.vessel, headspace: lip / 10 },
        layers: [{ kind: 'gravel', thickness: layer / 10 }],
      }
    })
  const anItem = fc
    .record({
      id: fc.constantFrom('peat_medium', 'perlite_coarse', 'compost_green'),
      litres: fc.integer({ min: 10, max: 3000 }),
      price: fc.option(fc.integer({ min: 0, max: 9999 })),
      stock: fc.integer({ min: 0, max: 900 }),
    })
    .map(({ id, litres, price, stock }): ShelfItem =>
      shelfItem(id, { kind: 'loose', litres: litres / 10 }, price === null ? null : price / 100, stock / 10),
    )
  test('any beds, shelf and log, in both systems of units, written here and read anywhere', () => {
    fc.assert(
      fc.property(
        fc.record({
          written: fc.constantFrom(...BOTH),
          read: fc.constantFrom(...BOTH),
          from: fc.constantFrom(...ZONES),
          to: fc.constantFrom(...ZONES),
          entries: fc.array(anEntry, { minLength: 1, maxLength: 6 }),
          bed: aBed,
          item: anItem,
        }),
        ({ written, read, from, to, entries, bed, item }) => {
          process.env.TZ = from
          const log = entries.map((e, i) => ({ ...e, id: `e${i + 1}` }))
          const sheets = {
            log: outLog(log, written),
            beds: bedsToCsv([bed], written),
            shelf: shelfToCsv([item], (id) => id, written),
          }
          process.env.TZ = to
          expect(logIn(sheets.log, read).entries).toEqual(log)
          expect(bedsIn(sheets.beds, read).beds).toEqual([bed])
          expect(shelfIn(sheets.shelf, read).items).toEqual([item])
        },
      ),
      draws(),
    )
  })
  test('a row with its decimal signs changed is read as the same number or refused', () => {
    fc.assert(
      fc.property(
        fc.record({
          values: fc.array(fc.integer({ min: 1, max: 99_999 }), { minLength: 1, maxLength: 8 }),
          separator: fc.constantFrom(',', ';', '\t'),
          comma: fc.boolean(),
          pad: fc.boolean(),
          others: fc.shuffledSubarray(['unit', 'number', 'note', 'bed', 'time', 'expected']),
          at: fc.nat(6),
        }),
        ({ values, separator, comma, pad, others, at: place }) => {
          // The value is anywhere among some other columns, and the line is as long as the heading or ends early.
          const behind = others.slice(place % (others.length + 1))
          const before = others.slice(0, others.length - behind.length)
          const columns = ['date', 'what', ...before, 'value', ...behind]
          const lines = values.map((v) => {
            const value = comma ? String(v / 100).replace('.', ',') : String(v / 100)
            const cells = ['2026-05-01', 'watered', ...before.map(() => ''), value]
            return [...cells, ...(pad ? behind.map(() => '') : [])].join(separator)
          })
          const { entries } = logIn([columns.join(separator), ...lines].join('\n'))
          const meant = values.map((v) => v / 100)
          // Those that were taken are among those that were meant, in their order.
          let at = 0
          for (const { value } of entries) {
            at = meant.indexOf(value!, at)
            expect(at).toBeGreaterThanOrEqual(0)
            at++
          }
          if (separator !== ',' || !comma) expect(entries.length).toBeGreaterThan(0)
        },
      ),
      draws(),
    )
  })
})
