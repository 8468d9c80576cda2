import { countProblem } from '@/core/amounts'
import { looseLitresOfPack, TURN_FRACTION } from '@/core/batch'
import { cropById, materialIn, type Tables } from '@/core/data'
import { dressingIn } from '@/core/data/dressings'
import { cropFit, type MixNeeded } from '@/core/filling'
import { asJudged, inBed, judgedBed, settingsOf, type Garden } from '../garden/garden'
import { mixNeededFor } from '../garden/mixNeededFor'
import type { DressingLine, Job, JobBed } from '../garden/schemas'
import { shelfEntry } from '../garden/shelfEntry'
import { tablesOf } from '../garden/tables'
import { bedsOfLine, shareOfLine } from '../garden/pile'
import { dosesToEach } from '../make/doseTotals'
import { batchCount, mixWanted } from '../make/quantities'
import { mixPerLitre } from '../make/useUp'
import type { AmountSetting, PartSetting } from './counting'

const CM2_PER_M2 = 10_000
const TWELFTHS = 12

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

/** Each part of the recipe as amounts are counted by it. */
function partsOf(garden: Garden, job: Job, per: ReadonlyMap<string, number>): Map<string, PartSetting> {
  const tables = tablesOf(garden)
  const total = job.parts.reduce((sum, p) => sum + p.twelfths, 0)
  return new Map(
    job.parts.flatMap(({ materialId, twelfths }): [string, PartSetting][] => {
      const mix = per.get(materialId)
      if (mix === undefined) return []
      const material = materialIn(tables, materialId)
      const pack = material && shelfEntry(garden, material).pack
      const bag = material && pack && pack.kind !== 'bulk' && pack.kind !== 'own' ? { material, pack } : null
      return [
        [
          materialId,
          {
            mix,
            bag: bag && looseLitresOfPack(bag.material, bag.pack) * mix,
            share: total > 0 ? twelfths / total : 0,
          },
        ],
      ]
    }),
  )
}

/** Mix some beds take, settling counted in, and how many containers and m2 of surface they are; null where unknown. */
function containersOf(job: Job, fills: readonly JobBed[], tables: Tables) {
  let net = 0
  let count = 0
  let surface = 0
  for (const fill of fills) {
    const needed = mixNeededFor(fill, tables)
    if (!needed.ok || countProblem(fill.count)) return null
    net += needed.value.net * fill.count
    surface += needed.value.surface * fill.count
    count += fill.count
  }
  return { litres: net * (1 + job.plan.settling), count, surface: surface / CM2_PER_M2 }
}

/** Plants in some beds of a job; null where it is not known of one of them. */
function plantsOf(job: Job, fills: readonly JobBed[], tables: Tables): number | null {
  let plants = 0
  for (const fill of fills) {
    const own = inBed(job, fill)
    const needed = mixNeededFor(fill, tables)
    const crop = cropById(own.cropId)
    const here = crop && needed.ok ? cropFit(crop, needed.value, own.plants).plants : own.plants
    if (here === null) return null
    plants += here * fill.count
  }
  return plants
}

/** Litres of mix, as it is made, to a container, a plant and a m2 of some beds together. */
function countedIn(job: Job, fills: readonly JobBed[], tables: Tables) {
  const there = containersOf(job, fills, tables)
  const each = (count: number | null | undefined) => (there && count ? there.litres / count : null)
  return {
    container: each(there?.count),
    plant: each(plantsOf(job, fills, tables)),
    area: each(there?.surface),
  }
}

/**
 * What amounts of a job are counted in when they go all through its mix. Litres of mix; null where unknown. Per plant,
 * container and square metre are of all beds of the job together.
 */
export function jobAmounts(garden: Garden, whole: Job): JobAmounts {
  const job = asJudged(whole)
  const tables = tablesOf(garden)
  const all = mixWanted(job, tables)
  const needed = mixNeededFor(judgedBed(job), tables)
  const { bucket, scoop, vessel, wholeVessel } = job.plan
  const total = job.parts.reduce((sum, p) => sum + p.twelfths, 0)
  const batches = batchCount(job, tables)
  const batch = all === null || batches === null ? null : all / batches
  return {
    system: settingsOf(garden).units,
    all,
    bucket,
    scoop,
    tub: vessel * (wholeVessel ? 1 : TURN_FRACTION),
    part: batch === null || !(total > 0) ? null : (batch * TWELFTHS) / total,
    batch,
    bag: bagOf(garden, job, needed.ok ? needed.value : null),
    ...countedIn(job, job.fills, tables),
    parts: partsOf(garden, job, mixPerLitre(job, tables)),
  }
}

/** The same for one line of the recipe: a share of the mix, its top alone, or what stays in the containers. */
export function lineAmounts(of: JobAmounts, job: Job, line: DressingLine, tables: Tables): AmountSetting {
  const bulkDensity = dressingIn(tables, line.dressingId)?.bulkDensity.value ?? 1
  const fills = bedsOfLine(job, line)
  const counts = countedIn(job, fills, tables)
  if (line.place.kind === 'throughout')
    return {
      ...of,
      ...counts,
      bulkDensity,
      all: of.all === null ? null : of.all * shareOfLine(job, line, tables),
    }
  // A gram per litre tells the litres it goes into.
  const each = dosesToEach(job, { ...line, gramsPerLitre: 1 }, tables)
  const all = each.length === fills.length ? each.reduce((sum, d) => sum + d.grams * d.fill.count, 0) : null
  // What is counted by number stays that number, in less mix: a spoon for each plant is a spoon wherever it goes.
  const there = containersOf(job, fills, tables)
  const share = all === null || !there ? null : all / there.litres
  const scaled = (litres: number | null) => (litres === null || share === null ? null : litres * share)
  // The same share of the parts and bags of the mix goes with the beds' share of it.
  const made = of.all === null ? null : of.all * shareOfLine(job, line, tables)
  const counted = (litres: number | null) =>
    scaled(litres === null || !there || made === null ? null : (litres * there.litres) / made)
  return {
    ...of,
    bulkDensity,
    all,
    container: scaled(counts.container),
    plant: scaled(counts.plant),
    area: scaled(counts.area),
    part: counted(of.part),
    batch: counted(of.batch),
    bag: counted(of.bag),
    parts: new Map(
      [...of.parts].map(([id, p]) => [id, { ...p, mix: counted(p.mix) ?? p.mix, bag: counted(p.bag) }]),
    ),
  }
}
