import { looseLitresOfPack } from '@/core/batch'
import { TURN_FRACTION } from '@/core/batch/sizing'
import { cropById, materialIn, type Tables } from '@/core/data'
import { dressingIn } from '@/core/data/dressings'
import { cropFit, type MixNeeded } from '@/core/filling'
import { asJudged, judgedBed, settingsOf, type Garden } from '../garden/garden'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { DressingLine, Job } from '../garden/schemas'
import { shelfEntry } from '../garden/shelfEntry'
import { tablesOf } from '../garden/tables'
import { bedsOfLine, shareOfLine } from '../garden/pile'
import { dosesToEach } from '../make/doseTotals'
import { mixWanted } from '../make/quantities'
import { mixPerLitre } from '../make/useUp'
import type { AmountSetting } from './amount'

const CM2_PER_M2 = 10_000

/** What amounts of a job are counted in, whatever the dressing and wherever it goes. */
export type JobAmounts = Omit<AmountSetting, 'bulkDensity'>

/**
 * Mix to a bag: the fabric bag that is filled; else a bag of what there is most of, of what is sold in bags first;
 * null for a mix without parts.
 */
function bagOf(garden: Garden, job: Job, filled: MixNeeded | null): number | null {
  if (filled && judgedBed(job).spec.vessel.kind === 'fabricBag') return filled.net
  const tables = tablesOf(garden)
  const packOf = (materialId: string) => {
    const material = materialIn(tables, materialId)
    return material && shelfEntry(garden, material).pack.kind
  }
  const bagged = job.parts.filter(({ materialId }) => ['loose', 'mass'].includes(packOf(materialId) ?? ''))
  const most = (bagged.length > 0 ? bagged : job.parts).reduce<Job['parts'][number] | null>(
    (a, b) => (a && a.twelfths >= b.twelfths ? a : b),
    null,
  )
  const material = most && materialIn(tables, most.materialId)
  const per = most && mixPerLitre(job, tables).get(most.materialId)
  return material && per !== null && per !== undefined
    ? looseLitresOfPack(material, shelfEntry(garden, material).pack) * per
    : null
}

/** What amounts of a job are counted in when they go all through its mix. Litres of mix; null where unknown. */
export function jobAmounts(garden: Garden, whole: Job): JobAmounts {
  const job = asJudged(whole)
  const tables = tablesOf(garden)
  const all = mixWanted(job, tables)
  const needed = mixNeededFor(judgedBed(job), tables)
  const crop = cropById(job.cropId)
  const each = needed.ok ? needed.value : null
  const plants = each && (crop ? cropFit(crop, each, job.plants).plants : job.plants)
  const { bucket, vessel } = job.plan
  const total = job.parts.reduce((sum, p) => sum + p.twelfths, 0)
  const first = job.parts[0]
  const perFirst = first && mixPerLitre(job, tables).get(first.materialId)
  return {
    system: settingsOf(garden).units,
    all,
    bucket,
    tub: vessel * TURN_FRACTION,
    // A litre of mix per loose litre measured, by the bucket.
    part: first && perFirst !== undefined && total > 0 ? (bucket * perFirst * first.twelfths) / total : null,
    batch: all === null ? null : Math.min(all, vessel * TURN_FRACTION),
    bag: bagOf(garden, job, each),
    container: each && each.net,
    plant: each && plants ? each.net / plants : null,
    area: each && each.surface > 0 ? (each.net / each.surface) * CM2_PER_M2 : null,
  }
}

/** The same for one line of the recipe: a share of the mix, its top alone, or what stays in the containers. */
export function lineAmounts(of: JobAmounts, job: Job, line: DressingLine, tables: Tables): AmountSetting {
  const bulkDensity = dressingIn(tables, line.dressingId)?.bulkDensity.value ?? 1
  if (line.place.kind === 'throughout')
    return { ...of, bulkDensity, all: of.all === null ? null : of.all * shareOfLine(job, line, tables) }
  // A gram per litre tells the litres it goes into.
  const each = dosesToEach(job, { ...line, gramsPerLitre: 1 }, tables)
  const judged = each.find((d) => d.fill.id === judgedBed(job).id)?.grams ?? null
  const scale = judged !== null && of.container ? judged / of.container : null
  const scaled = (litres: number | null) => (litres === null || scale === null ? null : litres * scale)
  return {
    ...of,
    bulkDensity,
    all:
      each.length === bedsOfLine(job, line).length
        ? each.reduce((sum, d) => sum + d.grams * d.fill.count, 0)
        : null,
    container: judged,
    plant: scaled(of.plant),
    area: scaled(of.area),
  }
}
