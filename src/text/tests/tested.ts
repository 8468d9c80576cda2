import { jobOf, type Garden } from '@/model/garden/garden'
import type { Test } from '@/model/garden/schemas'
import { bedTitle, jobTitle, shortName } from '../base/titles'

/** What a test or reading is of: a material, a job's mix, or a bed of it. */
export function testedText(
  garden: Garden,
  { jobId, fillId, materialId }: Pick<Test, 'jobId' | 'fillId' | 'materialId'>,
): string {
  if (materialId) return shortName(materialId)
  const job = jobId ? jobOf(garden, jobId) : undefined
  if (!job) return 'a mix that is no more'
  const fill = job.fills.find((f) => f.id === fillId)
  return fill ? `${jobTitle(job)}, ${bedTitle(fill.spec)}` : jobTitle(job)
}
