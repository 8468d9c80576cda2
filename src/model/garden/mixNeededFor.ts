import { mixNeeded, type MixNeeded } from '@/core/filling'
import type { Outcome } from '@/core/outcome'
import { containerOf } from './garden'
import type { BedSpec, JobBed } from './schemas'

/** By bed and by how far it sank: a bed that changes is another bed, and one that does not is asked about often. */
const KNOWN = new WeakMap<BedSpec, Map<number | null, Outcome<MixNeeded>>>()

/** What one container of a job's bed takes. Errors: those of `mixNeeded`. The bed must not be changed in place. */
export function mixNeededFor({ spec, sunkBy }: Pick<JobBed, 'spec' | 'sunkBy'>): Outcome<MixNeeded> {
  const bySinking = KNOWN.get(spec) ?? new Map<number | null, Outcome<MixNeeded>>()
  KNOWN.set(spec, bySinking)
  const known = bySinking.get(sunkBy)
  if (known) return known
  const { layers, rootBalls } = spec
  const needed = mixNeeded({ container: containerOf(spec.vessel), layers, rootBalls, sunkBy })
  bySinking.set(sunkBy, needed)
  return needed
}
