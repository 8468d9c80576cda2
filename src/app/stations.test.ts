import { describe, expect, test } from 'vitest'
import { startingJob, startingJobBed, startingSpec } from '@/model/garden/starting'
import type { Job } from '@/model/garden/schemas'
import { STATION_PAGES } from './stationPages'
import { isOver, nextStation, STATIONS, stationOf } from '../stations/stations'

const empty = startingJob('j', '2026-03-01T09:00:00.000Z', [
  startingJobBed('f', startingSpec('roundPot'), null),
])
const mixed: Job = { ...empty, parts: [{ materialId: 'peat_medium', twelfths: 12 }] }

describe('where a job stands', () => {
  const steps: [string, Job, string][] = [
    ['nothing said yet', empty, 'containers'],
    ['a crop chosen', { ...empty, cropId: 'basil' }, 'mix'],
    ['a mix without a crop', mixed, 'buy'],
    ['a measure ticked', { ...mixed, ticks: ['0:peat_medium'] }, 'make'],
    ['recorded', { ...mixed, recordId: 'r' }, 'fill'],
    ['planted', { ...mixed, recordId: 'r', plantedOn: '2026-05-01' }, 'season'],
    ['planted without a mix', { ...empty, plantedOn: '2026-05-01' }, 'season'],
    ['looked back on', { ...mixed, plantedOn: '2026-05-01', followedSteps: ['look-back'] }, 'season'],
  ]
  test.each(steps)('%s', (_what, job, station) => {
    expect(nextStation(job).id).toBe(station)
  })
  test('a job put away or looked back on is over', () => {
    expect([empty, { ...empty, archived: true }, steps.at(-1)![1]].map(isOver)).toEqual([false, true, true])
  })
  test('every page belongs to one station, and no two are named alike', () => {
    const pages = STATIONS.flatMap((s) => [s, ...s.within])
    expect(new Set(pages.map((p) => p.id)).size).toBe(pages.length)
    expect(new Set(pages.map((p) => p.title)).size).toBe(pages.length)
    expect(Object.keys(STATION_PAGES).sort()).toEqual(pages.map((p) => p.id).sort())
    expect(stationOf('record')?.id).toBe('make')
    expect(stationOf('beds')).toBeUndefined()
  })
})
