import { looseLitresOfPack } from '@/core/batch'
import { materialIn, type Tables } from '@/core/data'
import type { Garden } from '../garden/garden'
import type { Job } from '../garden/schemas'
import { shelfEntry } from '../garden/shelfEntry'
import { tablesOf } from '../garden/tables'
import { finishedMixes, linesOf } from '../mix/questionOfJob'
import { flatOf } from '../mix/prepareRecipe'

/** Mix that using up some of a material makes: so many litres of the material, so many of mix. */
export interface UseUp {
  materialId: string
  what: 'pack' | 'stock'
  loose: number
  mix: number
}

/** Blended litres that one loose litre of each part makes by the recipe; empty where it cannot be worked out. */
export function mixPerLitre(job: Pick<Job, 'parts' | 'mixes'>, tables: Tables): Map<string, number> {
  const flat = flatOf(linesOf(job.parts), finishedMixes(job.mixes), tables)
  if (!flat.ok) return new Map()
  const { measured, lossHere } = flat.value
  return new Map(job.parts.map((p) => [p.materialId, (measured * (1 - lossHere)) / p.twelfths]))
}

/** Blended litres of one bucket for each part of the recipe; null where it cannot be worked out. */
export function mixOfARound(job: Pick<Job, 'parts' | 'mixes' | 'plan'>, tables: Tables): number | null {
  const per = mixPerLitre(job, tables)
  const first = job.parts[0]
  const mix = first && per.get(first.materialId)
  // A bucket to the part is as many loose litres of the first as it has parts, and each makes so much.
  return first && mix !== undefined ? (job.plan.bucket * mix * first.twelfths) / 12 : null
}

/** What can be used up of each material of a mix, by the pack and by what is on hand. */
export function useUpOffers(garden: Garden, job: Job): UseUp[] {
  const tables = tablesOf(garden)
  const per = mixPerLitre(job, tables)
  return job.parts.flatMap(({ materialId }): UseUp[] => {
    const material = materialIn(tables, materialId)
    const mix = per.get(materialId)
    if (!material || mix === undefined) return []
    const { pack, stock } = shelfEntry(garden, material)
    const one = looseLitresOfPack(material, pack)
    return [
      { materialId, what: 'pack', loose: one, mix: one * mix },
      ...(stock > 0 ? [{ materialId, what: 'stock' as const, loose: stock, mix: stock * mix }] : []),
    ]
  })
}
