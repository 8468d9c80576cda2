import { cropById } from '@/core/data'
import { cropFit } from '@/core/filling'
import { rotationOf, rotationPlan, type RotationStep } from '@/core/rotation'
import { bedsOf, type Garden } from '../garden/garden'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { Bed, BedYears } from '../garden/schemas'
import { tablesOf } from '../garden/tables'
import { bedHistory, type BedHistory } from './bedHistory'

/** A bed over its years. */
export interface BedAhead {
  bed: Bed
  history: BedHistory
}
/** Beds that keep their soil, and what they grow in the years to come. */
export interface YearsAhead {
  beds: BedAhead[]
  /** Containers left out, since they are filled anew each year. */
  leftOut: number
  /** What is to be grown each year. */
  crops: string[]
  steps: RotationStep[]
}

/** A container of so many litres keeps its mix for years. Source: our assumption: less is emptied and filled anew. */
const KEEPS_FROM = 60
/** Years looked ahead: families come back in three or four. */
export const YEARS_AHEAD = 3

const needed = (bed: Bed, garden: Garden) => mixNeededFor({ spec: bed, sunkBy: null }, tablesOf(garden))
const keepsItsSoil = (bed: Bed, garden: Garden): boolean => {
  const mix = needed(bed, garden)
  return bed.vessel.base.kind === 'onSoil' || (mix.ok && mix.value.space >= KEEPS_FROM)
}
/** Has a crop room in a bed? */
export function hasRoom(bed: Bed, cropId: string, garden: Garden): boolean {
  const crop = cropById(cropId)
  const mix = needed(bed, garden)
  if (!crop || !mix.ok) return false
  const fit = cropFit(crop, mix.value, null)
  return fit.tooShallow === null && fit.tooSmall === null
}

/** What grows this year, else what grew last: the crops a garden wants each year, one for each bed. */
const wanted = (beds: readonly BedAhead[], thisYear: number): string[] =>
  beds.flatMap(({ history }) => history.grown.filter((g) => g.year <= thisYear).at(-1)?.cropId ?? [])

/**
 * What each bed that keeps its soil grows in the next three years: the crops of this year, moved so that no family
 * comes back too soon. Years the grower has decided are kept. `thisYear` has its crops already.
 */
export function yearsAhead(garden: Garden, thisYear: number): YearsAhead {
  const all = bedsOf(garden)
  const kept = all.filter((bed) => keepsItsSoil(bed, garden))
  const beds = kept.map((bed) => ({ bed, history: bedHistory(garden, bed) }))
  const crops = wanted(beds, thisYear).filter((id) => rotationOf(id))
  const steps = rotationPlan(
    beds.map(({ bed, history }) => ({
      id: bed.id,
      history: history.grown.filter((g) => g.year <= thisYear),
      // Said by the grower, or by a job.
      fixed: history.grown.filter((g) => g.year > thisYear),
      takes: (cropId: string) => hasRoom(bed, cropId, garden),
    })),
    crops,
    { from: thisYear + 1, years: YEARS_AHEAD },
  )
  return { beds, leftOut: all.length - kept.length, crops, steps }
}
/** A bed's years with one of them changed; a year that says nothing is left out. */
export function withYear(
  years: BedYears['years'],
  year: number,
  change: Partial<Omit<BedYears['years'][number], 'year'>>,
): BedYears['years'] {
  const now = { year, cropId: null, compost: 0, ...years.find((y) => y.year === year), ...change }
  const others = years.filter((y) => y.year !== year)
  return (now.cropId === null && now.compost === 0 ? others : [...others, now]).sort(
    (a, b) => a.year - b.year,
  )
}
