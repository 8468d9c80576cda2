import type { Quantities } from './quantities'
import { limesByShare } from '@/model/mix/prepareRecipe'
import { isDose } from '@/core/amounts'
import { dressingById } from '@/core/data/dressings'
import type { InnerMix, Job } from '@/model/garden/schemas'
/** Lime and dressings that go into a finished mix. */
export function dosesIn(mix: InnerMix, litres: number): BlendedDose[] {
  const { gramsPerLitre, dolomiteShare } = mix.lime
  return [
    ...limeDoses(gramsPerLitre, dolomiteShare, litres),
    ...mix.dressings.flatMap((d): BlendedDose[] => {
      const dressing = dressingById(d.dressingId)
      return dressing && d.gramsPerLitre > 0
        ? [
            {
              id: dressing.id,
              dressingId: dressing.id,
              name: dressing.name,
              bulkDensity: dressing.bulkDensity.value,
              gramsPerLitre: d.gramsPerLitre,
              litres,
            },
          ]
        : []
    }),
  ]
}
const limeDoses = (
  gramsPerLitre: number,
  dolomiteShare: number,
  litres: number,
  limeId?: string,
): BlendedDose[] =>
  isDose(gramsPerLitre)
    ? limesByShare(dolomiteShare, limeId)
        .filter((c) => c.share > 0)
        .map(({ lime, share }) => ({
          id: lime.id,
          dressingId: lime.id,
          name: lime.name,
          bulkDensity: lime.bulkDensity.value,
          gramsPerLitre: gramsPerLitre * share,
          litres,
        }))
    : []

export interface BlendedDose {
  /** Of its line, which a tick is kept by; of a lime its own. */
  id: string
  dressingId: string
  name: string
  bulkDensity: number
  /** g per litre of blend. */
  gramsPerLitre: number
  /** It goes into the first so many litres of what is made. */
  litres: number
}
/** What is stirred in with every batch, or with the first litres where only part of the mix gets it. */
export function blendedDoses(job: Job, quantities: Quantities): BlendedDose[] {
  const all = quantities.plan.blendLitres
  return [
    ...limeDoses(quantities.limeGramsPerLitre, job.lime.dolomiteShare, all, job.lime.limeId),
    ...job.dressings.flatMap(({ id, dressingId, gramsPerLitre, place, share }): BlendedDose[] => {
      const dressing = dressingById(dressingId)
      if (!dressing || place.kind !== 'throughout' || !(gramsPerLitre > 0)) return []
      return [
        {
          id,
          dressingId,
          name: dressing.name,
          bulkDensity: dressing.bulkDensity.value,
          gramsPerLitre,
          litres: share * all,
        },
      ]
    }),
  ]
}
