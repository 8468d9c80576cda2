import type { Litres } from '../units'
import type { BatchPlan } from './planBatches'
import type { BatchRequest } from './sizing'

/**
 * A plan made to come out at just what is wanted: the same batches, every part by the litre mark of the bucket instead
 * of in whole measures. Litres. Source: proportion; ours.
 *
 * @example
 * exactly(
 *   { batches: [{ measures: [], looseLitres: 44, blendLitres: 44, short: false }], totals: [], blendLitres: 44 },
 *   { parts: [{ id: 'peat', twelfths: 36 }, { id: 'pumice', twelfths: 12 }], wanted: 40, blendingLoss: 0 },
 * ).batches[0].measures[0].litres // 30
 */
export function exactly(
  plan: Pick<BatchPlan, 'batches' | 'totals' | 'blendLitres'>,
  { parts, wanted, blendingLoss }: Pick<BatchRequest, 'parts' | 'wanted' | 'blendingLoss'>,
): BatchPlan {
  const recipe = parts.reduce((sum, p) => sum + p.twelfths, 0)
  const shared = (loose: Litres) =>
    parts.map((p) => ({ id: p.id, twelfths: 0, scoopTwelfths: 0, litres: (loose * p.twelfths) / recipe }))
  const batches = plan.batches.map((batch) => {
    const blendLitres = (batch.blendLitres * wanted) / plan.blendLitres
    const looseLitres = blendLitres / (1 - blendingLoss)
    return { measures: shared(looseLitres), looseLitres, blendLitres, short: batch.short }
  })
  return {
    batches,
    totals: shared(wanted / (1 - blendingLoss)),
    blendLitres: wanted,
    largestShareError: 0,
  }
}
