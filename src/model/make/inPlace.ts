import { defineLimits } from '@/core/limits'
import { materialIn, type Material } from '@/core/data'
import type { InnerMix, Job, JobBed } from '../garden/schemas'
import { onGround } from '../garden/starting'
import { blendedDoses, litresOf } from './blendedDoses'
import type { Quantities } from './quantities'

export const IN_PLACE_LIMITS = defineLimits({
  batches: {
    value: 12,
    low: 8,
    high: 20,
    unit: 'batches',
    source: 'our assumption: beyond it layers in the bed are less work than a tub',
  },
  layer: {
    value: 15,
    low: 10,
    high: 20,
    unit: 'cm',
    source: 'common practice: as deep as a fork turns well',
  },
})

/** One bed mixed where it lies: so many equal layers, each spread and forked over before the next. */
export interface InPlace {
  bed: JobBed
  layers: number
  /** Each layer, settled, cm. */
  depth: number
  /** Loose litres of each in one layer, in the order of the recipe. */
  spread: { id: string; material: Material | undefined; mix: InnerMix | undefined; litres: number }[]
  /** Grams of each lime and feed in one layer. */
  scatter: { id: string; name: string; grams: number; bulkDensity: number }[]
}

/**
 * The beds of a large job that can be mixed where they lie, with what goes into each layer: the same shares of the same
 * measures as the batches. Empty for a job of few batches, for a set amount, and for containers that are carried.
 */
export function inPlaceOf(job: Job, quantities: Quantities): InPlace[] {
  const { plan, needed, tables, inPlace } = quantities
  if (plan.batches.length <= IN_PLACE_LIMITS.batches.value || job.amount !== null) return []
  return job.fills.flatMap((bed, i): InPlace[] => {
    const { net, mixHeight, floor } = needed[i]!
    if (!onGround(bed.spec.vessel.kind) || bed.spec.carried) return []
    const layers = Math.max(1, Math.round((mixHeight - floor) / IN_PLACE_LIMITS.layer.value))
    const share = net / inPlace / layers
    return [
      {
        bed,
        layers,
        depth: (mixHeight - floor) / layers,
        spread: plan.totals.map(({ id, litres }) => ({
          id,
          material: materialIn(tables, id),
          mix: job.mixes.find((m) => m.id === id),
          litres: litres * share,
        })),
        scatter: blendedDoses(job, quantities)
          .filter(({ beds }) => beds === null || beds.includes(bed))
          .map((dose) => ({
            id: dose.id,
            name: dose.name,
            bulkDensity: dose.bulkDensity,
            // What goes to some beds alone goes into all of their mix.
            grams: dose.gramsPerLitre * (dose.beds ? plan.blendLitres : litresOf(dose)) * share,
          })),
      },
    ]
  })
}
