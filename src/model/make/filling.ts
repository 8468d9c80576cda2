import { dressingIn } from '@/core/data/dressings'
import type { Quantities } from './quantities'
import { dosePerContainer } from './doseTotals'
import { inBed } from '@/model/garden/garden'
import { isForBed, isForSome } from '@/model/garden/pile'
import { liftsOf } from '@/core/filling'
import type { JobBed, Job, Layer } from '@/model/garden/schemas'

/** One thing to do with the hands when filling, as plain data; lengths in cm, volumes in litres for one container. */
export type FillingDo =
  | { code: 'stand' }
  | { code: 'holes' }
  | { code: 'side-holes'; height: number }
  | { code: 'no-holes' }
  | { code: 'loosen-soil' }
  | { code: 'layer'; layer: Layer }
  | { code: 'loosen-old' }
  /** Loose mix to tip in, and the level it comes to below the rim. */
  | { code: 'lift'; number: number; of: number; loose: number; belowRim: number; pile: Pile | null }
  | { code: 'root-ball'; litres: number; cropId: string | null }
  /** Grams for one container, worked into its top; bulk density in g/mL. */
  | { code: 'dress'; dressingId: string; bulkDensity: number; grams: number; depth: number }
  /** Grams for one container, shared among its planting holes. */
  | { code: 'dress-holes'; dressingId: string; bulkDensity: number; grams: number }
  /** What grows in it; null where nobody said. */
  | { code: 'plant'; cropId: string | null }
  | { code: 'water-in' }
  /** Litres for one container. */
  | { code: 'cover'; materialId: string; thickness: number; litres: number }
  | { code: 'finish' }

export interface FillingStep {
  /** Mark kept in the job. */
  id: string
  do: FillingDo
  done: boolean
}
export interface FillingCard {
  fill: JobBed
  steps: FillingStep[]
  left: number
  /** Loose mix for all of them, litres. */
  loose: number
}

/** A pile of the mix that is kept apart: what was stirred into it and not into the rest. */
export interface Pile {
  dressingIds: string[]
}

/** The pile a bed is filled from; null where there is only one. */
function pileFor(job: Job, { id }: JobBed): Pile | null {
  const some = job.dressings.filter((l) => l.place.kind === 'throughout' && isForSome(job, l))
  if (some.length === 0) return null
  return { dressingIds: some.filter((l) => isForBed(job, l, id)).map((l) => l.dressingId) }
}

/** Every bed of a job as the hand will fill it. */
export function fillingCards(job: Job, quantities: Quantities): FillingCard[] {
  const done = new Set(job.filledSteps)
  const loosely = 1 + job.plan.settling
  return job.fills.map((fill, i): FillingCard => {
    const plan = quantities.needed[i]!
    const { vessel, layers } = fill.spec
    const { base } = vessel
    const { cropId } = inBed(job, fill)
    const pile = pileFor(job, fill)
    const rim = plan.mixHeight + vessel.headspace
    const list: [string, FillingDo][] = []
    if (base.kind === 'onSoil') list.push(['loosen', { code: 'loosen-soil' }])
    else list.push(['stand', { code: 'stand' }])
    if (fill.sunkBy === null) {
      if (base.kind === 'drainHoles') list.push(['holes', { code: 'holes' }])
      if (base.kind === 'sideHoles') list.push(['holes', { code: 'side-holes', height: base.height }])
      if (base.kind === 'closed') list.push(['holes', { code: 'no-holes' }])
      layers.forEach((l, k) => list.push([`layer${k}`, { code: 'layer', layer: l }]))
    } else list.push(['old', { code: 'loosen-old' }])
    const from = fill.sunkBy === null ? plan.floor : plan.mixHeight - fill.sunkBy
    const lifts = liftsOf(vessel.shape, from, plan.mixHeight)
    // What washes into the layers goes in first; a root ball takes the place of the last.
    let short = plan.rootBalls
    const litres = lifts.map((l, k) => l.litres + (k === 0 ? plan.washedIn : 0))
    for (let k = litres.length - 1; k >= 0 && short > 0; k--) {
      const taken = Math.min(short, litres[k]!)
      litres[k]! -= taken
      short -= taken
    }
    lifts.forEach((lift, k) => {
      const last = k === lifts.length - 1
      if (last && plan.rootBalls > 0)
        list.push(['ball', { code: 'root-ball', litres: plan.rootBalls, cropId }])
      const loose = litres[k]! * plan.closeness * loosely
      list.push([
        `lift${k}`,
        { code: 'lift', number: k + 1, of: lifts.length, loose, belowRim: rim - lift.top, pile },
      ])
    })
    for (const line of job.dressings) {
      const { id, dressingId, place } = line
      if ((place.kind !== 'top' && place.kind !== 'hole') || !isForBed(job, line, fill.id)) continue
      const grams = dosePerContainer(line, fill, plan)
      if (!(grams > 0)) continue
      const bulkDensity = dressingIn(quantities.tables, dressingId)?.bulkDensity.value ?? 1
      list.push([
        `dress-${id}`,
        place.kind === 'top'
          ? { code: 'dress', dressingId, bulkDensity, grams, depth: place.depth }
          : { code: 'dress-holes', dressingId, bulkDensity, grams },
      ])
    }
    if (plan.rootBalls === 0) list.push(['plant', { code: 'plant', cropId }])
    list.push(['water', { code: 'water-in' }])
    const { cover } = fill.spec
    if (cover && plan.cover > 0) list.push(['cover', { code: 'cover', ...cover, litres: plan.cover }])
    list.push(['finish', { code: 'finish' }])
    const steps = list.map(([id, what]) => {
      const key = `${fill.id}:${id}`
      return { id: key, do: what, done: done.has(key) }
    })
    return {
      fill,
      steps,
      left: steps.filter((s) => !s.done).length,
      loose: plan.net * loosely * fill.count,
    }
  })
}
