import type { Tables } from '@/core/data'
import { LAYERS } from '@/core/filling'
import { volumeBetween } from '@/core/geometry'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { Job, JobBed, Layer } from '../garden/schemas'

/** What is bought for a layer; null for cloth, and for logs that are cut in the garden. */
const boughtFor = (layer: Layer): string | null =>
  layer.kind === 'material' ? layer.materialId : layer.kind === 'logs' ? null : LAYERS[layer.kind].material

/** What lies under and on the mix of one container, by material, litres. */
function inOne({ spec, sunkBy }: JobBed, tables: Tables): { id: string; litres: number }[] {
  const needed = mixNeededFor({ spec, sunkBy }, tables)
  if (!needed.ok) return []
  const list: { id: string; litres: number }[] = []
  let from = 0
  for (const layer of spec.layers) {
    const id = boughtFor(layer)
    const litres = volumeBetween(spec.vessel.shape, from, from + layer.thickness)
    if (id !== null && sunkBy === null && litres > 0) list.push({ id, litres })
    from += layer.thickness
  }
  if (spec.cover && needed.value.cover > 0)
    list.push({ id: spec.cover.materialId, litres: needed.value.cover })
  return list
}

/**
 * Litres of each material that lie under or on the mix of a job, loose; a bed that is topped up has its layers
 * already, and a set amount fills no bed.
 */
export function besideMix(job: Job, tables: Tables): Map<string, number> {
  const litres = new Map<string, number>()
  if (job.amount !== null) return litres
  for (const bed of job.fills)
    for (const { id, litres: one } of inOne(bed, tables))
      litres.set(id, (litres.get(id) ?? 0) + one * bed.count)
  return litres
}
