import { isOwn } from '@/core/data/tables'
import type { BedSpec, Job, JobBed } from '@/model/garden/schemas'
import { VESSEL_NAMES } from '../bed/vessels'
import { materialName } from '../shelf/ownNames'

/** Short name for lists and buttons: without what stands in brackets, and what was done to it. */
export const shortName = (materialId: string): string =>
  isOwn(materialId)
    ? (materialName(materialId) ?? 'a material of your own')
    : materialId.startsWith('mix:')
      ? 'finished mix'
      : (materialName(materialId) ?? materialId).replace(/\s*\([^)]*\)/, '').replace(/, washed.*$/, '')

/** A bed's own name, or what it is. */
export const bedTitle = (spec: BedSpec): string => spec.name.trim() || VESSEL_NAMES[spec.vessel.kind].one

/** "3 fabric bags", "Salad trough", "Fig tub and 2 more". */
export function fillsText(fills: readonly JobBed[]): string {
  const first = fills[0]!
  const { kind } = first.spec.vessel
  const one =
    first.count === 1 || first.spec.name.trim()
      ? `${first.count === 1 ? '' : `${first.count} × `}${bedTitle(first.spec)}`
      : `${first.count} ${VESSEL_NAMES[kind].many}`
  return fills.length === 1 ? one : `${one} and ${fills.length - 1} more`
}

/** A job's own name, or one made from what it fills. */
export const jobTitle = (job: Job): string => job.name.trim() || fillsText(job.fills)

/** What a bed is found by. */
export const bedWords = (bed: BedSpec): string =>
  `${bedTitle(bed)} ${VESSEL_NAMES[bed.vessel.kind].one}`.toLowerCase()
