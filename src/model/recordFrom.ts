import { limeTotals } from './batchCard'
import { materialById, type Quantities } from './reckoning'
import type { Job, MixRecord } from './schemas'

/** A job's mix as it was made on a day: what was measured and what is expected of it, complete in itself. */
export function recordFrom(
  id: string,
  job: Job,
  quantities: Quantities,
  madeOn: string,
  note: string,
  jobName: string,
): MixRecord {
  const { asMeasured, plan } = quantities
  return {
    id,
    jobId: job.id,
    jobName,
    cropId: job.cropId,
    madeOn,
    note,
    vessel: job.vessel,
    measured: plan.totals.map((t) => ({
      materialId: t.id,
      materialName: materialById(t.id)?.name ?? t.id,
      twelfths: t.twelfths,
      litres: t.litres,
    })),
    bucket: job.plan.bucket,
    batchCount: plan.batches.length,
    blendLitres: plan.blendLitres,
    limes: limeTotals(job, quantities).map((l) => ({
      limeId: l.lime.id,
      limeName: l.lime.name,
      grams: l.grams,
    })),
    predicted: {
      airFilledPorosity: asMeasured.profile.airFilledPorosity,
      easilyAvailableWater: asMeasured.profile.easilyAvailableWater,
      containerCapacity: asMeasured.profile.containerCapacity,
      pH: asMeasured.lime.pH,
      drainedWeight: asMeasured.weights.drained,
      blendingLoss: asMeasured.blend.blendingLoss,
    },
  }
}
