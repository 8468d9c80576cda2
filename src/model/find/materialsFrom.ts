import { looseLitresOfPack } from '@/core/batch'
import { isHomeMade, isOwn, materialIn, mayBeOffered, takes, type Frame, type Material } from '@/core/data'
import { containerVolumes } from '@/core/geometry'
import type { ShelfMaterial } from '@/core/finder'
import { preparedMaterial } from '@/core/mixing'
import { fail, succeed, type Outcome } from '@/core/outcome'
import { asJudged, containerOf, judgedBed, shelfItemOf, type Garden } from '../garden/garden'
import { materialsToChoose, tablesOf } from '../garden/tables'
import type { Job } from '../garden/schemas'
import { shelfEntry } from '../garden/shelfEntry'
import { pricePerLitre } from '../mix/cost'
import { materialIdsOf } from '../mix/innerMix'

/**
 * Where a search takes its materials from: those of the shelf (with a price or stock, or the grower's own), every one
 * there is.
 */
export type Source = 'shelf' | 'all'
/** The same, or materials that are named and no others. */
type From = Source | readonly string[]

const isOnShelf = (garden: Garden, id: string) => {
  const item = shelfItemOf(garden, id)
  return item !== undefined && (item.price !== null || item.stock > 0)
}

/**
 * Ids of the materials a search may draw on; what is in the mix already always counts. Where frames are given, only
 * what one of them takes.
 */
export function materialsFrom(garden: Garden, job: Job, source: From, frames?: readonly Frame[]): string[] {
  const inMix = new Set(materialIdsOf(job))
  const { vessel } = judgedBed(asJudged(job)).spec
  const filled = containerVolumes(containerOf(vessel))
  const wanted = {
    tender: false,
    litres: filled.ok ? filled.value.mixVolume : 0,
    inGround: containerOf(vessel).base.kind === 'onSoil',
    carried: false,
  }
  const isTaken = (m: Material) => frames?.some((frame) => frame.some((slot) => takes(slot, m))) ?? true
  const isWanted = (m: Material) =>
    !isHomeMade(m.id) &&
    (frames !== undefined || (m.family !== 'mix' && (!filled.ok || mayBeOffered(m, wanted))))
  if (typeof source !== 'string')
    return materialsToChoose(garden)
      .filter((m) => source.includes(m.id))
      .map((m) => m.id)
  return materialsToChoose(garden)
    .filter(
      (m) =>
        isTaken(m) &&
        (isOwn(m.id) || inMix.has(m.id) || isOnShelf(garden, m.id) || (source === 'all' && isWanted(m))),
    )
    .map((m) => m.id)
}

/** The same as the finder takes them, with price and stock. Errors: a material the tables do not know. */
export function finderShelf(
  garden: Garden,
  job: Job,
  source: From,
  frames?: readonly Frame[],
): Outcome<ShelfMaterial[]> {
  const shelf: ShelfMaterial[] = []
  for (const id of materialsFrom(garden, job, source, frames)) {
    const material = materialIn(tablesOf(garden), id)
    if (!material) return fail({ code: 'unknown-material', material: id })
    const { pack, stock } = shelfEntry(garden, material)
    shelf.push({
      material: preparedMaterial(material),
      pricePerLitre: pricePerLitre(garden, material),
      stock,
      packLitres: looseLitresOfPack(material, pack),
    })
  }
  return succeed(shelf)
}
