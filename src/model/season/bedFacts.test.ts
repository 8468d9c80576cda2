import { once } from '@/core/testing/once'
import { describe, expect, test } from 'vitest'
import { PUBLISHED } from '@/core/data'
import { CLIMATES } from '@/core/climate/climates'
import type { Entry, EntryKind, Job, Place } from '../garden/schemas'
import { startingJob, startingJobBed, startingPlace, startingSpec } from '../garden/starting'
import { lineOf } from '../mix/doses'
import { prepareJob } from '../mix/evaluateJob'
import { evaluatePrepared } from '../mix/prepare'
import { bedFacts } from './bedFacts'
import { linesOf } from './testing/lines'

const PLANTED = '2026-05-01'
const place = once<Place>(() => ({
  ...startingPlace(CLIMATES.find((c) => c.id === 'cool-coast')!),
  waterAlkalinity: 2.5,
  waterEc: 0.6,
  wind: 'exposed',
}))
const base = (parts: Record<string, number>, more: Partial<Job> = {}): Job => ({
  ...startingJob('j', '2026-04-01T09:00:00.000Z', [startingJobBed('f', startingSpec('roundPot'), null)]),
  cropId: 'pepper_sweet',
  plantedOn: PLANTED,
  parts: Object.entries(parts).map(([materialId, n]) => ({ materialId, twelfths: 12 * n })),
  ...more,
})
const { on, entry } = linesOf({ id: 'j' }, PLANTED)
function factsOf(job: Job, day: number, entries: Entry[] = []) {
  const prepared = prepareJob(job, place(), PUBLISHED)
  const answer = prepared.ok ? evaluatePrepared(prepared.value, { slices: 60, years: [1] }) : prepared
  if (!prepared.ok || !answer.ok) throw new Error('no such mix')
  return bedFacts(
    {
      job,
      record: undefined,
      place: place(),
      prepared: prepared.value,
      evaluation: answer.value,
      entries,
      tests: [],
    },
    on(day),
  )
}
const GRIT = { grit_2_6: 1 }

describe('what is known of a bed', () => {
  test('2026-11-29: the share of ammonium is that of what dissolves: all of a sulfate, none of a nitrate', () => {
    const share = (dressingId: string) =>
      factsOf(base(GRIT, { dressings: [lineOf(dressingId, 1)] }), 10).ammoniumShare
    // (NH4)2SO4 holds no nitrate; KNO3 no ammonium; both of NH4NO3 alike, by its formula.
    expect(share('ammonium_sulfate')).toBeCloseTo(1, 2)
    expect(share('potassium_nitrate')).toBeCloseTo(0, 2)
    // Where next to nothing is dissolved, no share says anything.
    expect(factsOf(base(GRIT), 10).ammoniumShare).toBe(0)
  })
  test('shares of kinds are those of the loose parts', () => {
    const f = factsOf(
      base({ peat_medium: 4, pine_bark_fine: 2, compost_green: 3, manure_cattle_composted: 1 }),
      10,
    )
    // Shares are of volumes stirred in: 6 of 10, 2 of 10, 3 of 10, 1 of 10.
    expect(f.peatOrBark).toBeCloseTo(0.6, 6)
    expect(f.wood).toBeCloseTo(0.2, 6)
    expect(f.compost).toBeCloseTo(0.3, 6)
    expect(f.manure).toBeCloseTo(0.1, 6)
  })
  test('meals are counted, salts and coated feeds are not; lime with and without magnesium', () => {
    const dressings = [lineOf('blood_meal', 0.4), lineOf('bone_meal', 0.3), lineOf('crf_5_6', 3)]
    expect(factsOf(base(GRIT, { dressings }), 5).meals).toBeCloseTo(0.7, 9)
    const limed = (dolomiteShare: number) => {
      const job = base({ peat_medium: 1 })
      const lime = { ...job.lime, mode: 'fixed' as const, gramsPerLitre: 4, dolomiteShare }
      const { limed, limedWithMagnesium } = factsOf({ ...job, lime }, 5)
      return [limed, limedWithMagnesium]
    }
    expect(limed(0)).toEqual([true, false])
    expect(limed(1)).toEqual([true, true])
    const job = base({ peat_medium: 1 })
    expect(factsOf({ ...job, lime: { ...job.lime, mode: 'none' } }, 5)).toMatchObject({ limed: false })
  })
  test('a reading holds for 45 days, the latest of them', () => {
    const read = (day: number) => factsOf(base(GRIT), day, [entry('pH', 3, 5.1), entry('pH', 10, 7.7)]).pH
    expect(read(20)).toEqual({ value: 7.7, isRead: true })
    expect(read(55)).toEqual({ value: 7.7, isRead: true })
    expect(read(56).isRead).toBe(false)
    expect(factsOf(base(GRIT), 20, [entry('salts', 12, 1)]).salts.isRead).toBe(true)
  })
  test('waterings and feeds are days ago; gaps are those of the last thirty days, the one still open among them', () => {
    const lines = (...of: [EntryKind, number][]) => of.map(([kind, day]) => entry(kind, day))
    const f = factsOf(
      base(GRIT),
      50,
      lines(['watered', 10], ['watered', 30], ['watered', 36], ['fed', 20], ['fed', 41]),
    )
    expect(f).toMatchObject({ daysSinceWatered: 14, longestGap: 14, daysSinceFed: 9 })
    const even = factsOf(base(GRIT), 50, lines(['watered', 38], ['watered', 47], ['watered', 49]))
    expect(even).toMatchObject({ daysSinceWatered: 1, longestGap: 9, daysSinceFed: null })
  })
  test('place, month and container as they are', () => {
    const f = factsOf(base(GRIT, { plants: 2 }), 20)
    // 21 May of the place.
    const may = place().months[4]!
    expect(f).toMatchObject({
      tMax: may.tMax,
      tMin: may.tMin,
      temperature: (may.tMin + may.tMax) / 2,
      alkalinity: 2.5,
      waterEc: 0.6,
      windy: true,
      drains: true,
      fabric: false,
      ageDays: 20,
    })
    const alone = factsOf(base(GRIT, { plants: 1 }), 20)
    expect(alone.litresPerPlant).toBeCloseTo(2 * f.litresPerPlant, 9)
  })
})
