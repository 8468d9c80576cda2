import { limeTotals } from './batchCard'
import { leadFill } from './garden'
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
    vessel: { ...leadFill(job).spec.vessel, count: leadFill(job).count },
    filled: job.fills.map((f, i) => ({
      name: f.spec.name,
      count: f.count,
      litres: quantities.fills[i]!.net * f.count,
    })),
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
      airFilledPorosity: asMeasured.mix.airFilledPorosity,
      easilyAvailableWater: asMeasured.mix.easilyAvailableWater,
      containerCapacity: asMeasured.mix.containerCapacity,
      pH: asMeasured.lime.pH,
      drainedWeight: asMeasured.weights.drained,
      blendingLoss: asMeasured.blend.blendingLoss,
    },
  }
}
