import {
  looseLitresOfPack,
  cheapestPacks,
  shedsWaterWhenDry,
  waterToWorkable,
  WETTING_AGENT_ML_PER_LITRE,
  type BatchPlan,
  type Purchase,
} from '@/core/batch'
import type { Material, Pack } from '@/core/data'
import type { MixNeeded } from '@/core/filling'
import { volumeBetween } from '@/core/geometry'
import { tickOf } from '@/model/garden/commands'
import { shelfItemOf, type Garden } from '@/model/garden/garden'
import { limesBy, type Quantities } from '@/model/mix/reckoning'
import { materialById } from '@/core/data'
import { dressingById } from '@/core/data/dressings'
import type { DressingLine, DressingPlace, JobBed, InnerMix, Job, ShelfItem } from '@/model/garden/schemas'

/** What a bucket is filled with: a material, or a finished mix. */
export type Measured = { material: Material } | { mix: InnerMix }
const measuredOf = (id: string, mixes: readonly InnerMix[]): Measured | null => {
  const mix = mixes.find((m) => m.id === id)
  if (mix) return { mix }
  const material = materialById(id)
  return material ? { material } : null
}

/** One line of a batch card: a bucket measure of a material, or a weight of lime or another dressing. */
export type CardLine =
  | { kind: 'measure'; id: string; what: Measured; twelfths: number; litres: number }
  | { kind: 'dose'; id: string; name: string; bulkDensity: number; grams: number }

export interface BatchCard {
  /** What it makes: a finished mix that goes into the job's own; null for the job's own. */
  mix: InnerMix | null
  /** Counted from 0, for each mix anew. */
  index: number
  /** Batches of the same mix. */
  of: number
  lines: CardLine[]
  blendLitres: number
  short: boolean
  done: number
}

/** Every batch of a job as the hand will measure it, dressings last; finished mixes that are made for it come before it. */
export function batchCards(job: Job, quantities: Quantities): BatchCard[] {
  const ticks = new Set(job.ticks)
  const cardsOf = (
    mix: InnerMix | null,
    plan: BatchPlan,
    doses: BlendedDose[],
    idOf: (id: string) => string,
  ) =>
    plan.batches.map((batch, index): BatchCard => {
      const lines = batch.measures.flatMap((m): CardLine[] => {
        const what = measuredOf(m.id, mix ? [] : job.mixes)
        return what ? [{ kind: 'measure', id: idOf(m.id), what, twelfths: m.twelfths, litres: m.litres }] : []
      })
      for (const { id, name, bulkDensity, gramsPerLitre, batches } of doses)
        if (index < batches)
          lines.push({
            kind: 'dose',
            id: idOf(id),
            name,
            bulkDensity,
            grams: gramsPerLitre * batch.blendLitres,
          })
      return {
        mix,
        index,
        of: plan.batches.length,
        lines,
        blendLitres: batch.blendLitres,
        short: batch.short,
        done: lines.filter((l) => ticks.has(tickOf(index, l.id))).length,
      }
    })
  return [
    ...quantities.first.flatMap(({ mix, plan }) =>
      cardsOf(mix, plan, dosesIn(mix, plan.batches.length), (id) => `${mix.id}/${id}`),
    ),
    ...cardsOf(null, quantities.plan, blendedDoses(job, quantities), (id) => id),
  ]
}

/** Lime and dressings that go into a finished mix. */
function dosesIn(mix: InnerMix, batches: number): BlendedDose[] {
  const { gramsPerLitre, dolomiteShare } = mix.lime
  return [
    ...limeDoses(gramsPerLitre, dolomiteShare, batches),
    ...mix.dressings.flatMap((d): BlendedDose[] => {
      const dressing = dressingById(d.dressingId)
      return dressing && d.gramsPerLitre > 0
        ? [
            {
              id: dressing.id,
              name: dressing.name,
              bulkDensity: dressing.bulkDensity.value,
              gramsPerLitre: d.gramsPerLitre,
              batches,
            },
          ]
        : []
    }),
  ]
}
const limeDoses = (gramsPerLitre: number, dolomiteShare: number, batches: number): BlendedDose[] =>
  gramsPerLitre > 0.005
    ? limesBy(dolomiteShare)
        .filter((c) => c.share > 0)
        .map(({ lime, share }) => ({
          id: lime.id,
          name: lime.name,
          bulkDensity: lime.bulkDensity.value,
          gramsPerLitre: gramsPerLitre * share,
          batches,
        }))
    : []

interface BlendedDose {
  id: string
  name: string
  bulkDensity: number
  /** g per litre of blend. */
  gramsPerLitre: number
  /** It goes into the first so many batches. */
  batches: number
}
/** What is stirred in with every batch, or with the first of them where only part of the mix gets it. */
function blendedDoses(job: Job, quantities: Quantities): BlendedDose[] {
  const all = quantities.plan.batches.length
  return [
    ...limeDoses(quantities.limeGramsPerLitre, job.lime.dolomiteShare, all),
    ...job.dressings.flatMap(({ dressingId, gramsPerLitre, place, share }): BlendedDose[] => {
      const dressing = dressingById(dressingId)
      if (!dressing || place.kind !== 'throughout' || !(gramsPerLitre > 0)) return []
      return [
        {
          id: dressingId,
          name: dressing.name,
          bulkDensity: dressing.bulkDensity.value,
          gramsPerLitre,
          batches: Math.max(1, Math.round(share * all)),
        },
      ]
    }),
  ]
}

export interface DoseTotal {
  id: string
  name: string
  bulkDensity: number
  grams: number
  place: DressingPlace
  isLime: boolean
}
/** Grams of each lime and dressing over the whole job, wherever they go. */
export function doseTotals(job: Job, quantities: Quantities): DoseTotal[] {
  const limeIds = new Set(limesBy(0.5).map((c) => c.lime.id))
  const stirredIn = [
    ...quantities.first.map(({ mix, plan }) => ({ plan, doses: dosesIn(mix, plan.batches.length) })),
    { plan: quantities.plan, doses: blendedDoses(job, quantities) },
  ]
  const blended = new Map<string, DoseTotal>()
  for (const { plan, doses } of stirredIn)
    for (const { id, name, bulkDensity, gramsPerLitre, batches } of doses) {
      const litres = plan.batches.slice(0, batches).reduce((s, b) => s + b.blendLitres, 0)
      const grams = gramsPerLitre * litres + (blended.get(id)?.grams ?? 0)
      blended.set(id, {
        id,
        name,
        bulkDensity,
        grams,
        place: { kind: 'throughout' },
        isLime: limeIds.has(id),
      })
    }
  const later = job.dressings.flatMap((line): DoseTotal[] => {
    const dressing = dressingById(line.dressingId)
    if (!dressing || line.place.kind === 'throughout' || !(line.gramsPerLitre > 0)) return []
    const grams = job.fills.reduce(
      (sum, fill, i) => sum + dosePerContainer(line, fill, quantities.fills[i]!) * fill.count,
      0,
    )
    const { id, name } = dressing
    return [
      {
        id,
        name,
        bulkDensity: dressing.bulkDensity.value,
        grams: grams * line.share,
        place: line.place,
        isLime: false,
      },
    ]
  })
  return [...blended.values(), ...later]
}

/** Grams of a dressing that goes on top or is held back, for one container. */
export function dosePerContainer(line: DressingLine, fill: JobBed, plan: MixNeeded): number {
  const { place, gramsPerLitre } = line
  if (place.kind === 'throughout') return 0
  const { shape } = fill.spec.vessel
  const from = place.kind === 'top' ? Math.max(plan.floor, plan.mixHeight - place.depth) : plan.floor
  return gramsPerLitre * volumeBetween(shape, from, plan.mixHeight)
}

export interface ShoppingLine {
  material: Material
  /** Loose litres to measure in all. */
  litres: number
  twelfths: number
  pack: Pack
  price: number | null
  stock: number
  /** Loose litres one pack gives. */
  packLitres: number
  purchase: Purchase
  /** Water to make it workable, litres over the whole amount. */
  water: number
  /** Wetting agent, mL over the whole amount; 0 where none helps. */
  wettingAgent: number
}

/** A material's shelf entry, or what a shop commonly sells. */
export const shelfEntry = (garden: Garden, material: Material): ShelfItem =>
  shelfItemOf(garden, material.id) ?? { materialId: material.id, pack: material.pack, price: null, stock: 0 }

/** Litres and twelfths of every material to measure, those of mixes made first gathered in. */
function totalsOf(quantities: Quantities): { id: string; litres: number; twelfths: number }[] {
  const totals = new Map<string, { id: string; litres: number; twelfths: number }>()
  for (const plan of [...quantities.first.map((f) => f.plan), quantities.plan])
    for (const { id, litres, twelfths } of plan.totals) {
      const seen = totals.get(id)
      totals.set(id, {
        id,
        litres: litres + (seen?.litres ?? 0),
        twelfths: twelfths + (seen?.twelfths ?? 0),
      })
    }
  return [...totals.values()]
}

/** What to buy, use from the shelf and wet, for a job's rounded measures. */
export function shoppingList(garden: Garden, quantities: Quantities): ShoppingLine[] {
  return totalsOf(quantities).flatMap((total) => {
    const material = materialById(total.id)
    if (!material) return []
    const { pack, price, stock } = shelfEntry(garden, material)
    const packLitres = looseLitresOfPack(material, pack)
    return [
      {
        material,
        litres: total.litres,
        twelfths: total.twelfths,
        pack,
        price,
        stock,
        packLitres,
        purchase: cheapestPacks(total.litres, stock, [{ pack, litres: packLitres, price }]),
        water: waterToWorkable(material, pack) * total.litres,
        wettingAgent: shedsWaterWhenDry(material) ? WETTING_AGENT_ML_PER_LITRE * total.litres : 0,
      },
    ]
  })
}

export interface MixLine {
  mix: InnerMix
  litres: number
  /** Bags to buy, where it comes in bags. */
  purchase: Purchase | null
}
/** Finished mixes a job takes, made first, on hand or in bags. */
export const mixLines = (job: Job, quantities: Quantities): MixLine[] =>
  job.mixes.flatMap((mix) => {
    const total = quantities.plan.totals.find((t) => t.id === mix.id)
    if (!total) return []
    const { origin } = mix
    const purchase =
      origin.kind === 'bag'
        ? cheapestPacks(total.litres, 0, [
            {
              pack: { kind: 'loose', litres: origin.litres },
              litres: origin.litres,
              price: origin.price,
            },
          ])
        : null
    return [{ mix, litres: total.litres, purchase }]
  })
