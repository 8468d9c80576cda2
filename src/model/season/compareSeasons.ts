import { tablesOf } from '../garden/tables'
import { difference, type Difference } from '@/core/trial'
import { getYear, parseISO } from 'date-fns'
import { entriesOf, jobsOf, liveJob, placeOf, recordOf, type Garden } from '../garden/garden'
import { asDosed } from '@/model/amounts/asDosed'
import type { Entry, Job, MixRecord } from '../garden/schemas'
import { mixNeededFor } from '../garden/mixNeededFor'
import { prepareJob } from '../mix/evaluateJob'

/** One bed or pot in one season. */
export interface SeasonBed {
  id: string
  job: Job
  fill: Job['fills'][number]
  year: number
  /** Pots harvested together under this name: their mean is one observation. */
  pots: number
}
/** The same with what came of it. */
export interface BedSeason extends SeasonBed {
  record: MixRecord | undefined
  plants: number
  litres: number
  /** Cost of the mix in it; null where nothing has a price. */
  cost: number | null
  kg: number
  pieces: number
  waterings: number
  feeds: number
}

/** Every bed of every planted job, newest first. */
export const seasonBeds = (garden: Garden): SeasonBed[] =>
  jobsOf(garden).flatMap((stored): SeasonBed[] => {
    if (stored.plantedOn === null) return []
    const year = getYear(parseISO(stored.plantedOn))
    const job = liveJob(garden, stored)
    return job.fills.map((fill) => ({ id: `${job.id}/${fill.id}`, job, fill, year, pots: fill.count }))
  })

/**
 * Two seasons worth comparing, by bed: the newest planted job with a harvest on side B, the next older of the same crop
 * on side A. Nothing where there are no two.
 */
export function offeredSides(garden: Garden, beds: readonly SeasonBed[]): Record<string, 'A' | 'B'> {
  const harvested = [...new Set(beds.map((b) => b.job))]
    .filter((job) => entriesOf(garden, job.id).some((e) => e.kind === 'harvest' && (e.value ?? 0) > 0))
    .sort((a, b) => b.plantedOn!.localeCompare(a.plantedOn!))
  for (const [i, newer] of harvested.entries()) {
    const older = harvested.slice(i + 1).find((job) => job.cropId === newer.cropId)
    if (!older) continue
    const sideOf = (job: Job) => (job === newer ? 'B' : 'A')
    return Object.fromEntries(
      beds.filter((b) => b.job === newer || b.job === older).map((b) => [b.id, sideOf(b.job)]),
    )
  }
  return {}
}

/** What came of a bed in its season. What was noted for all beds of the job is shared out by their litres. */
export function bedSeason(garden: Garden, bed: SeasonBed): BedSeason {
  const { fill } = bed
  const tables = tablesOf(garden)
  const job = asDosed(garden, bed.job)
  const record = job.recordId ? recordOf(garden, job.recordId) : undefined
  const prepared = prepareJob(job, placeOf(garden), tables)
  const plantsEach = prepared.ok ? (prepared.value.input.growing?.plants ?? 1) : 1
  const litresOf = (f: Job['fills'][number]) => {
    const needed = mixNeededFor({ spec: f.spec, sunkBy: null }, tables)
    return needed.ok ? needed.value.net * f.count : 0
  }
  const all = job.fills.reduce((s, f) => s + litresOf(f), 0)
  const litres = litresOf(fill)
  const share = all > 0 ? litres / all : 0
  const entries = entriesOf(garden, job.id)
  const isOf = (e: Entry) => e.fillId === fill.id || e.fillId === null
  const harvests = entries.filter((e) => e.kind === 'harvest' && isOf(e))
  const sum = (of: (e: Entry) => number) =>
    harvests.reduce((s, e) => s + (e.fillId === null ? share : 1) * of(e), 0)
  const times = (kind: Entry['kind']) => entries.filter((e) => e.kind === kind && isOf(e)).length
  return {
    ...bed,
    record,
    plants: (fill.plants ?? plantsEach) * fill.count,
    litres,
    cost: record?.used === null || record === undefined ? null : record.used * share,
    kg: sum((e) => e.value ?? 0),
    pieces: sum((e) => e.count ?? 0),
    waterings: times('watered'),
    feeds: times('fed'),
  }
}

export const MEASURES = ['plant', 'litre', 'money'] as const
export type Measure = (typeof MEASURES)[number]

/** kg for a plant, a litre of mix, or a unit of money; null where that is not known. */
export function harvestPer(of: Measure, s: BedSeason): number | null {
  const per = of === 'plant' ? s.plants : of === 'litre' ? s.litres : s.cost
  return per === null || !(per > 0) ? null : s.kg / per
}

/** A part of the mix that differs between two sides: shares of the loose parts. */
export interface MixDifference {
  name: string
  first: number
  second: number
}

export interface Comparison {
  /** Harvest of each bed of either side, as it is counted. */
  values: [number[], number[]]
  difference: Difference
  /** Beds left out of it, for what it is counted by is not known of them. */
  without: number
  mix: MixDifference[]
  waterings: [number, number]
  feeds: [number, number]
}

const mean = (list: readonly number[]) =>
  list.length > 0 ? list.reduce((s, v) => s + v, 0) / list.length : 0

/** Two sets of beds side by side: harvest with how sure it is, and what was done differently. */
export function compareSides(
  first: readonly BedSeason[],
  second: readonly BedSeason[],
  of: Measure,
): Comparison {
  const values = (side: readonly BedSeason[]) => side.flatMap((s) => harvestPer(of, s) ?? [])
  const [a, b] = [values(first), values(second)]
  return {
    values: [a, b],
    difference: difference(a, b),
    without: first.length + second.length - a.length - b.length,
    mix: mixDifferences(first, second),
    waterings: [mean(first.map((s) => s.waterings)), mean(second.map((s) => s.waterings))],
    feeds: [mean(first.map((s) => s.feeds)), mean(second.map((s) => s.feeds))],
  }
}

/** Parts that differ by less of the mix are the same. Source: our assumption: what a bucket tells. */
const DIFFERS = 0.03

function mixDifferences(first: readonly BedSeason[], second: readonly BedSeason[]): MixDifference[] {
  const names = new Map<string, string>()
  const sharesOf = (side: readonly BedSeason[]) => {
    const found = new Map<string, number>()
    for (const { record } of side) {
      const all = record?.measured.reduce((s, m) => s + m.litres, 0) ?? 0
      for (const m of record?.measured ?? []) {
        names.set(m.materialId, m.materialName)
        found.set(m.materialId, (found.get(m.materialId) ?? 0) + m.litres / all / side.length)
      }
    }
    return found
  }
  const [a, b] = [sharesOf(first), sharesOf(second)]
  return [...names]
    .map(([id, name]) => ({ name, first: a.get(id) ?? 0, second: b.get(id) ?? 0 }))
    .filter((d) => Math.abs(d.first - d.second) > DIFFERS)
    .sort((x, y) => Math.abs(y.second - y.first) - Math.abs(x.second - x.first))
}

/**
 * A fill of several pots as so many fills of one, so that each is noted by itself; the first keeps its id. Pots made
 * together still share their mix.
 */
export function splitFill(job: Job, fillId: string, newId: () => string): Job['fills'] {
  return job.fills.flatMap((f) => {
    if (f.id !== fillId || f.count < 2 || !Number.isInteger(f.count)) return [f]
    return Array.from({ length: f.count }, (_, i) => ({
      ...f,
      id: i === 0 ? f.id : newId(),
      bedId: null,
      count: 1,
      spec: { ...f.spec, name: `${f.spec.name || 'Pot'} ${i + 1}`, vessel: { ...f.spec.vessel, count: 1 } },
    }))
  })
}
