import type { Quantities } from './quantities'
import { doseTotals } from './doseTotals'
import { asJudged, judgedBed } from '@/model/garden/garden'
import { mixIn } from '@/model/mix/innerMix'
import { materialById } from '@/core/data'
import type { Job, MixRecord } from '@/model/garden/schemas'

/** A finished mix is written down with what is in it: it may be gone when the record is read. */
function measuredName(job: Job, id: string): string {
  const mix = mixIn(job, id)
  if (!mix) return materialById(id)?.name ?? id
  const inside = mix.parts.map((p) => materialById(p.materialId)?.name ?? p.materialId).join(', ')
  return `${mix.name} (${inside})`.slice(0, 200)
}

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
  const doses = doseTotals(job, quantities)
  return {
    id,
    jobId: job.id,
    jobName,
    cropId: asJudged(job).cropId,
    madeOn,
    note,
    vessel: { ...judgedBed(job).spec.vessel, count: judgedBed(job).count },
    // A set amount is made whatever the beds take: nobody said what it fills.
    filled:
      job.amount === null
        ? job.fills.map((f, i) => ({
            name: f.spec.name,
            count: f.count,
            litres: quantities.needed[i]!.net * f.count,
          }))
        : [],
    measured: plan.totals.map((t) => ({
      materialId: t.id,
      materialName: measuredName(job, t.id),
      twelfths: Math.round((t.litres / job.plan.bucket) * 12),
      litres: t.litres,
    })),
    bucket: job.plan.bucket,
    batchCount: plan.batches.length,
    blendLitres: plan.blendLitres,
    limes: doses.filter((d) => d.isLime).map((d) => ({ limeId: d.id, limeName: d.name, grams: d.grams })),
    dressings: doses
      .filter((d) => !d.isLime)
      .map((d) => ({ dressingId: d.id, dressingName: d.name, grams: d.grams, place: d.place })),
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
