import type { Quantities } from './quantities'
import { limesByShare } from '@/model/mix/prepareRecipe'
import type { LimeAmount } from '@/model/mix/question'
import { isDose } from '@/core/amounts'
import type { Tables } from '@/core/data'
import { dressingIn } from '@/core/data/dressings'
import { bedsOfLine, isForSome, stretchesOf, type Stretch } from '@/model/garden/pile'
import type { InnerMix, Job, JobBed } from '@/model/garden/schemas'
/** Lime and dressings that go into a finished mix. */
export function dosesIn(mix: InnerMix, litres: number, tables: Tables): BlendedDose[] {
  const { gramsPerLitre, dolomiteShare } = mix.lime
  return [
    ...limeDoses({ gramsPerLitre, dolomiteShare }, litres, tables),
    ...mix.dressings.flatMap((d): BlendedDose[] => {
      const dressing = dressingIn(tables, d.dressingId)
      return dressing && d.gramsPerLitre > 0
        ? [
            {
              id: dressing.id,
              dressingId: dressing.id,
              name: dressing.name,
              bulkDensity: dressing.bulkDensity.value,
              gramsPerLitre: d.gramsPerLitre,
              into: [{ from: 0, to: litres }],
              beds: null,
            },
          ]
        : []
    }),
  ]
}
const limeDoses = (
  { gramsPerLitre, dolomiteShare }: LimeAmount,
  litres: number,
  tables: Tables,
  limeId?: string,
): BlendedDose[] =>
  isDose(gramsPerLitre)
    ? limesByShare(dolomiteShare, tables, limeId)
        .filter((c) => c.share > 0)
        .map(({ lime, share }) => ({
          id: lime.id,
          dressingId: lime.id,
          name: lime.name,
          bulkDensity: lime.bulkDensity.value,
          gramsPerLitre: gramsPerLitre * share,
          into: [{ from: 0, to: litres }],
          beds: null,
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
  /** The litres of what is made that it goes into. */
  into: Stretch[]
  /** The beds that get it, where others do not. */
  beds: JobBed[] | null
}
/** Litres a dose goes into, in all. */
export const litresOf = ({ into }: Pick<BlendedDose, 'into'>): number =>
  into.reduce((sum, s) => sum + s.to - s.from, 0)

/** What is stirred in with every batch, or with some of the litres where only part of the mix gets it. */
export function blendedDoses(job: Job, quantities: Quantities): BlendedDose[] {
  const { tables } = quantities
  const all = quantities.plan.blendLitres
  return [
    ...limeDoses(
      { gramsPerLitre: quantities.limeGramsPerLitre, dolomiteShare: job.lime.dolomiteShare },
      all,
      tables,
      job.lime.limeId,
    ),
    ...job.dressings.flatMap((line): BlendedDose[] => {
      const { id, dressingId, gramsPerLitre, place } = line
      const dressing = dressingIn(tables, dressingId)
      if (!dressing || place.kind !== 'throughout' || !(gramsPerLitre > 0)) return []
      return [
        {
          id,
          dressingId,
          name: dressing.name,
          bulkDensity: dressing.bulkDensity.value,
          gramsPerLitre,
          into: stretchesOf(job, line, tables).map(({ from, to }) => ({ from: from * all, to: to * all })),
          beds: isForSome(job, line) ? bedsOfLine(job, line) : null,
        },
      ]
    }),
  ]
}
