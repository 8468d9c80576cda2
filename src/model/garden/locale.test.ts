import { describe, expect, test } from 'vitest'
import { CLIMATES } from '@/core/climate/climates'
import { LITRES } from '@/core/units'
import { climateOfZone } from './climateGuess'
import { changesOf } from './commands'
import { bedKey, DEFAULT_SETTINGS, jobKey, SETTINGS_KEY, specOf, type Garden } from './garden'
import { settingsFor } from './locale'
import { bedOf, jobOf } from './garden'
import { startingBed, startingJob, startingJobBed } from './starting'
import type { AnyData } from './schemas'

const DAY = '2027-02-10T09:00:00.000Z'

describe('a new garden', () => {
  test.each([
    ['en-US', 'us', '$'],
    ['en-GB', 'metric', '£'],
    ['de-DE', 'metric', '€'],
    ['en-CA', 'metric', '$'],
    ['en', 'metric', ''],
    ['no such language', 'metric', ''],
  ])('of a browser in %s begins in %s with “%s”', (language, units, currency) => {
    expect(settingsFor(language)).toEqual({ ...DEFAULT_SETTINGS, units, currency })
  })
  test('guesses a climate that there is, and none where seasons are the other way round', () => {
    const known = CLIMATES.map((c) => c.id)
    for (const zone of ['Europe/London', 'Europe/Warsaw', 'America/Denver', 'Asia/Tokyo', 'Asia/Singapore'])
      expect(known).toContain(climateOfZone(zone))
    for (const zone of [
      'Australia/Sydney',
      'Pacific/Auckland',
      'America/Santiago',
      'America/New_York',
      'Etc/UTC',
    ])
      expect(climateOfZone(zone)).toBeNull()
  })
})

describe('other units', () => {
  const begun = startingBed('b', DAY, 'roundPot', 'metric')
  const measured = {
    ...startingBed('m', DAY, 'roundPot', 'metric'),
    vessel: { ...begun.vessel, headspace: 3.3 },
  }
  const jobWith = (id: string, bed: typeof begun) =>
    startingJob(id, DAY, [startingJobBed(`f-${id}`, specOf(bed), bed.id)], 'metric')
  const ticked = { ...jobWith('t', begun), ticks: ['0:peat_medium'] }
  const garden: Garden = new Map<string, AnyData>([
    [SETTINGS_KEY, DEFAULT_SETTINGS],
    [bedKey('b'), { ...begun, name: 'Yard pots', vessel: { ...begun.vessel, count: 4 } }],
    [bedKey('m'), measured],
    [jobKey('j'), jobWith('j', begun)],
    [jobKey('t'), ticked],
  ])
  const after = new Map(garden)
  for (const change of changesOf(garden, { type: 'units/set', units: 'us' })) {
    expect(change.before).toEqual(garden.get(change.key) ?? null)
    after.set(change.key, change.after!)
  }
  test('a size nobody set by hand becomes the usual one of those units; name and number stay', () => {
    const us = startingBed('b', DAY, 'roundPot', 'us')
    expect(us.vessel).not.toEqual(begun.vessel)
    expect(bedOf(after, 'b')).toEqual({ ...us, name: 'Yard pots', vessel: { ...us.vessel, count: 4 } })
    expect(jobOf(after, 'j')!.fills[0]!.spec.vessel.shape).toEqual(us.vessel.shape)
    // A bucket of five US gallons, and not of 2.64.
    expect(jobOf(after, 'j')!.plan.bucket).toBeCloseTo(5 * LITRES.usGallon, 9)
  })
  test('a size that was set, and a job that is begun, stay as they are', () => {
    expect(bedOf(after, 'm')).toEqual(measured)
    expect(jobOf(after, 't')).toEqual(ticked)
  })
  test('and back again: the garden is as it was', () => {
    const back = new Map(after)
    for (const c of changesOf(after, { type: 'units/set', units: 'metric' })) back.set(c.key, c.after!)
    expect([...back]).toEqual([...garden])
    expect(changesOf(garden, { type: 'units/set', units: 'metric' })).toEqual([])
  })
})
