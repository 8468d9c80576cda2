import { materialIn, type Tables } from '@/core/data'
import { phosphorusStore, type Grown, type PhosphorusStore } from '@/core/rotation'
import { bedYearsOf, jobsOf, recordOf, type Garden } from '../garden/garden'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { Bed, Job, JobBed } from '../garden/schemas'
import { tablesOf } from '../garden/tables'

/** What is known of a bed's years. */
export interface BedHistory {
  grown: Grown[]
  /** g/m2 of phosphorus brought by compost and manure, by year. */
  phosphorus: Map<number, number>
  /** Filled anew in that year, so that nothing of before is left; null where never, or where soil lies below. */
  freshIn: number | null
}

/** The year a job's crop grows in. */
const yearOf = (garden: Garden, job: Job): number => {
  const record = job.recordId ? recordOf(garden, job.recordId) : undefined
  return Number((job.plantedOn ?? record?.madeOn ?? job.mixOn ?? job.createdAt).slice(0, 4))
}

const RICH = new Set(['compost', 'manure'])
/** g of phosphorus in a litre of compost or manure; 0 for anything else. */
function phosphorusOf(id: string, tables: Tables): number {
  const row = materialIn(tables, id)
  if (!row || !RICH.has(row.family)) return 0
  return 1000 * row.properties.phosphorus.value * row.properties.dryBulkDensity.value
}
/** What is spread where nobody says what. */
const SPREAD = 'compost_green'

/** g/m2 of phosphorus a job's fill brings with its compost and manure. */
function broughtBy(job: Job, fill: JobBed, tables: Tables): number {
  const needed = mixNeededFor(fill, tables)
  const all = job.parts.reduce((sum, p) => sum + p.twelfths, 0)
  if (!needed.ok || all === 0 || !(needed.value.surface > 0)) return 0
  const grams = job.parts.reduce((sum, p) => sum + (p.twelfths / all) * phosphorusOf(p.materialId, tables), 0)
  return (grams * needed.value.net) / (needed.value.surface / 10_000)
}

/**
 * Years of a bed: what its jobs grew and brought, and what the grower says of years before. What is said outranks what
 * a job tells. A container filled anew begins anew.
 */
export function bedHistory(garden: Garden, bed: Bed): BedHistory {
  const tables = tablesOf(garden)
  const grown = new Map<number, string>()
  const phosphorus = new Map<number, number>()
  let freshIn: number | null = null
  const jobs = jobsOf(garden)
    .flatMap((job) => job.fills.filter((f) => f.bedId === bed.id).map((fill) => ({ job, fill })))
    .map((one) => ({ ...one, year: yearOf(garden, one.job) }))
    .sort((a, b) => a.year - b.year)
  for (const { job, fill, year } of jobs) {
    const cropId = fill.cropId ?? job.cropId
    if (fill.sunkBy === null && fill.spec.vessel.base.kind !== 'onSoil') {
      freshIn = year
      grown.clear()
      phosphorus.clear()
    }
    if (cropId !== null) grown.set(year, cropId)
    phosphorus.set(year, (phosphorus.get(year) ?? 0) + broughtBy(job, fill, tables))
  }
  const gramsPerCm = 10 * phosphorusOf(SPREAD, tables)
  for (const { year, cropId, compost } of bedYearsOf(garden, bed.id)) {
    if (freshIn !== null && year < freshIn) continue
    if (cropId !== null) grown.set(year, cropId)
    if (compost > 0) phosphorus.set(year, (phosphorus.get(year) ?? 0) + compost * gramsPerCm)
  }
  return {
    grown: [...grown].map(([year, cropId]) => ({ year, cropId })).sort((a, b) => a.year - b.year),
    phosphorus,
    freshIn,
  }
}

/** What phosphorus a bed has left at the end of a year; null where nothing was brought. */
export function phosphorusIn({ phosphorus }: BedHistory, until: number): PhosphorusStore | null {
  const years = [...phosphorus.keys()].filter((year) => year <= until)
  if (years.length === 0) return null
  const first = Math.min(...years)
  return phosphorusStore(Array.from({ length: until - first + 1 }, (_, i) => phosphorus.get(first + i) ?? 0))
}
