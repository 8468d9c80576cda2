import { addDays, parseISO } from 'date-fns'
import { expect, test } from 'vitest'
import { demoGarden } from '@/demo/demoGarden'
import { bedsOf, entryKey, jobsOf, recordOf } from '../garden/garden'
import { mixNeededFor } from '../garden/mixNeededFor'
import { tablesOf } from '../garden/tables'
import { bedAhead } from './bedAhead'
import { correctionFor } from './correction'

const garden = demoGarden()
const job = jobsOf(garden).find((j) => j.id === 'peppers-26')!
const fill = job.fills[0]!
const bed = bedsOf(garden).find((b) => b.id === fill.bedId)!
const madeOn = recordOf(garden, job.recordId!)!.madeOn
const after = (days: number) => addDays(parseISO(`${madeOn}T12:00:00Z`), days).toISOString()

test('a bed sinks more the older its mix is, and as much of the mix fills it up as the sunk height holds', () => {
  const [one, two] = [bedAhead(garden, bed, after(300))!, bedAhead(garden, bed, after(900))!]
  expect(two.mix.sunk.value).toBeGreaterThan(one.mix.sunk.value)
  expect(two.topUp).toBeGreaterThan(one.topUp)
  const whole = mixNeededFor({ spec: fill.spec, sunkBy: null }, tablesOf(garden))
  if (!whole.ok) throw new Error()
  // Never more than the bed holds, and about the sunk part of its height.
  const share = two.mix.sunk.value / whole.value.mixHeight
  expect(two.topUp / (fill.count * whole.value.net)).toBeGreaterThan(share * 0.85)
  expect(two.topUp / (fill.count * whole.value.net)).toBeLessThan(share * 1.15)
  expect(one.correction).toBeNull()
})
test('a bed is filled with a mix from the day after it was made', () => {
  // What filled it in other years left aside.
  const alone = new Map([...garden].filter(([key]) => !key.startsWith('job/') || key === `job/${job.id}`))
  expect(bedAhead(alone, bed, after(0))).toBeNull()
  expect(bedAhead(alone, bed, after(1))).not.toBeNull()
})
test('a pH read this spring says what it asks for; one of long ago does not', () => {
  const read = (days: number) =>
    new Map(garden).set(entryKey('spring'), {
      id: 'spring',
      jobId: job.id,
      at: after(days),
      kind: 'pH',
      value: 4.6,
      note: '',
      expected: null,
    } as never)
  const fresh = bedAhead(read(295), bed, after(300))!
  expect(fresh.mix.pH).toEqual({ value: 4.6, isRead: true })
  const { add, litres } = fresh.correction!
  expect(add!.grams).toBeGreaterThan(0)
  // Over this bed alone, as much for a litre as over the whole job.
  const whole = correctionFor(read(295), job.id, { value: 4.6, day: 300 })
  if (!whole?.ok) throw new Error()
  expect(add!.grams / litres).toBeCloseTo(whole.value.add!.grams / whole.value.litres, 9)
  expect(litres).toBeLessThanOrEqual(whole.value.litres * 1.01)
  const stale = bedAhead(read(100), bed, after(300))!
  expect(stale.mix.pH.isRead).toBe(false)
  expect(stale.correction).toBeNull()
})
test('a bed without a recorded mix, and one filled only later, has nothing to say', () => {
  expect(bedAhead(garden, { ...bed, id: 'another' }, after(300))).toBeNull()
  expect(bedAhead(garden, bed, after(-3000))).toBeNull()
})
