import fc from 'fast-check'
import { draws } from '@/core/testing/draws'
import { once } from '@/core/testing/once'
import { spawnSync } from 'node:child_process'
import ICAL from 'ical.js'
import { describe, expect, test } from 'vitest'
import { calendarFile, type CalendarTask } from './calendarFile'

const TASKS: CalendarTask[] = [
  {
    uid: 'job-test@open-bed',
    title: 'Test the pH; again, if in doubt',
    text: 'Line one,\nline two.',
    on: '2027-06-01',
    until: '2027-06-07',
  },
  { uid: 'job-feed@open-bed', title: 'Düngen: 39 g', text: '', on: '2027-12-31', until: null },
]
/** What another library reads. */
const readBack = (file: string) =>
  new ICAL.Component(ICAL.parse(file)).getAllSubcomponents('vevent').map((c) => new ICAL.Event(c))

describe('the calendar file', () => {
  const file = once(() => calendarFile('Peppers', TASKS))
  test('another library reads back every word and day, past the end of a year', () => {
    const events = readBack(file())
    expect(events.map((e) => [e.uid, e.summary, e.startDate.toString(), e.endDate.toString()])).toEqual([
      ['job-test@open-bed', 'Test the pH; again, if in doubt', '2027-06-01', '2027-06-08'],
      ['job-feed@open-bed', 'Düngen: 39 g', '2027-12-31', '2028-01-01'],
    ])
    expect(events[0]!.description).toBe('Line one,\nline two.')
    expect(events.every((e) => e.startDate.isDate)).toBe(true)
  })
  test('each calls on the evening before its first day', () => {
    const alarms = new ICAL.Component(ICAL.parse(file()))
      .getAllSubcomponents('vevent')
      .map((c) => c.getFirstSubcomponent('valarm')!.getFirstProperty('trigger')!)
    // Counted from the start, which is what RFC 5545, 3.2.14, takes where nothing is said.
    expect(alarms.map((a) => [String(a.getFirstValue()), a.getParameter('related') ?? 'START'])).toEqual([
      ['-PT6H', 'START'],
      ['-PT6H', 'START'],
    ])
  })
  test('saved again, a task keeps its name for the calendar and changes in place', () => {
    const later = calendarFile('Peppers', [{ ...TASKS[0]!, on: '2027-06-03' }])
    expect(readBack(later).map((e) => e.uid)).toEqual([TASKS[0]!.uid])
  })
  const python = ['/usr/bin/python3', 'python3'].find(
    (p) => spawnSync(p, ['-c', 'import icalendar']).status === 0,
  )
  test.skipIf(!python)('Debian’s python3-icalendar reads the same, where it is present', () => {
    const script = [
      'import sys, icalendar',
      'calendar = icalendar.Calendar.from_ical(sys.stdin.read())',
      'for e in calendar.walk("VEVENT"):',
      '  print(e["uid"], e["dtstart"].dt, e["dtend"].dt, e["summary"], len(e.walk("VALARM")))',
    ].join('\n')
    const { stdout, stderr } = spawnSync(python!, ['-c', script], {
      input: file(),
      encoding: 'utf8',
      env: { ...process.env, PYTHONIOENCODING: 'utf-8' },
    })
    expect(stderr).toBe('')
    expect(stdout.trim().split('\n')).toEqual([
      'job-test@open-bed 2027-06-01 2027-06-08 Test the pH; again, if in doubt 1',
      'job-feed@open-bed 2027-12-31 2028-01-01 Düngen: 39 g 1',
    ])
  })
  // RFC 5545, 3.1: lines end in CR LF and are at most 75 octets long.
  test('lines are folded and ended as the standard says', () => {
    const long = calendarFile('Long', [{ ...TASKS[0]!, text: 'ä'.repeat(400) }])
    const lines = long.split('\r\n')
    expect(lines.every((l) => Buffer.byteLength(l) <= 75)).toBe(true)
    expect(long.replaceAll('\r\n', '')).not.toContain('\n')
    expect(readBack(long)[0]!.description).toBe('ä'.repeat(400))
  })
  test('K8: names with line breaks and properties in them are words, whoever sent them', () => {
    const evil = 'Fig\r\nEND:VEVENT\r\nBEGIN:VEVENT\r\nSUMMARY:Foreign\u2028\u202Eback'
    const [task] = TASKS
    const file = calendarFile(evil, [{ ...task!, uid: `x${evil}`, title: evil, text: evil }])
    expect(readBack(file)).toHaveLength(1)
    expect(readBack(file)[0]!.summary).toBe('Fig END:VEVENT BEGIN:VEVENT SUMMARY:Foreign back')
    expect(file.match(/^BEGIN:VEVENT/gm)).toHaveLength(1)
    for (const line of file.split('\r\n')) expect(line).not.toMatch(/[\r\n\u202e]/)
  })
  test('any words at all make as many events as there are tasks, and nothing else', () => {
    const anyWords = fc.oneof(
      fc.string({ unit: 'binary', maxLength: 200 }),
      fc
        .array(
          fc.constantFrom(
            '\r\n',
            '\n',
            ' ',
            'BEGIN:VEVENT',
            'END:VCALENDAR',
            ';',
            ',',
            ':',
            '\\',
            '"',
            '\u202e',
            'Fig',
          ),
        )
        .map((some) => some.join('')),
    )
    fc.assert(
      fc.property(anyWords, anyWords, anyWords, (name, title, text) => {
        const file = calendarFile(name, [{ ...TASKS[0]!, title, text }, TASKS[1]!])
        const events = readBack(file)
        expect(events.map((e) => e.startDate.toString())).toEqual(['2027-06-01', '2027-12-31'])
        expect(events[1]!.summary).toBe(TASKS[1]!.title)
        expect(file.match(/^(BEGIN|END):VEVENT$/gm)).toHaveLength(4)
      }),
      draws(300),
    )
  })
  test('nothing due is a calendar of nothing', () => expect(readBack(calendarFile('Empty', []))).toEqual([]))
})
