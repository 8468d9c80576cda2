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
  return job.fills.map((fill, i): FillingCard => {
    const filled: Filled = { job, quantities, fill, plan: quantities.needed[i]! }
    const steps = [...beforeMix(filled), ...lifting(filled), ...fed(filled), ...afterMix(filled)].map(
      ([id, what]) => {
        const key = `${fill.id}:${id}`
        return { id: key, do: what, done: done.has(key) }
      },
    )
    return {
      fill,
      steps,
      left: steps.filter((s) => !s.done).length,
      loose: filled.plan.net * loosely(job) * fill.count,
    }
  })
}

/** One kind of bed as it is filled, and the steps of it by their names. */
interface Filled {
  job: Job
  quantities: Quantities
  fill: JobBed
  plan: Quantities['needed'][number]
}
type Steps = [id: string, what: FillingDo][]
/** What is measured loosely for a litre in place. */
const loosely = (job: Job) => 1 + job.plan.settling

/** Ground, outlet and layers; of old mix that stays, its loosening. */
function beforeMix({ fill }: Filled): Steps {
  const { vessel, layers } = fill.spec
  const { base } = vessel
  const ground: Steps =
    base.kind === 'onSoil' ? [['loosen', { code: 'loosen-soil' }]] : [['stand', { code: 'stand' }]]
  if (fill.sunkBy !== null) return [...ground, ['old', { code: 'loosen-old' }]]
  const holes: Steps =
    base.kind === 'drainHoles'
      ? [['holes', { code: 'holes' }]]
      : base.kind === 'sideHoles'
        ? [['holes', { code: 'side-holes', height: base.height }]]
        : base.kind === 'closed'
          ? [['holes', { code: 'no-holes' }]]
          : []
  return [
    ...ground,
    ...holes,
    ...layers.map((l, k): Steps[number] => [`layer${k}`, { code: 'layer', layer: l }]),
  ]
}

/** The mix in lifts. What washes into the layers goes in first; a root ball takes the place of the last. */
function lifting({ job, fill, plan }: Filled): Steps {
  const { vessel } = fill.spec
  const from = fill.sunkBy === null ? plan.floor : plan.mixHeight - fill.sunkBy
  const lifts = liftsOf(vessel.shape, from, plan.mixHeight)
  const litres = lifts.map((l, k) => l.litres + (k === 0 ? plan.washedIn : 0))
  let short = plan.rootBalls
  for (let k = litres.length - 1; k >= 0 && short > 0; k--) {
    const taken = Math.min(short, litres[k]!)
    litres[k]! -= taken
    short -= taken
  }
  const rim = plan.mixHeight + vessel.headspace
  const pile = pileFor(job, fill)
  const ball: Steps =
    plan.rootBalls > 0
      ? [['ball', { code: 'root-ball', litres: plan.rootBalls, cropId: inBed(job, fill).cropId }]]
      : []
  return lifts.flatMap((lift, k): Steps => {
    const loose = litres[k]! * plan.closeness * loosely(job)
    const belowRim = rim - lift.top
    const step: Steps[number] = [
      `lift${k}`,
      { code: 'lift', number: k + 1, of: lifts.length, loose, belowRim, pile },
    ]
    return k === lifts.length - 1 ? [...ball, step] : [step]
  })
}

/** What is put into the top or into the holes. */
const fed = ({ job, quantities, fill, plan }: Filled): Steps =>
  job.dressings.flatMap((line): Steps => {
    const { id, dressingId, place } = line
    if ((place.kind !== 'top' && place.kind !== 'hole') || !isForBed(job, line, fill.id)) return []
    const grams = dosePerContainer(line, fill, plan)
    if (!(grams > 0)) return []
    const bulkDensity = dressingIn(quantities.tables, dressingId)?.bulkDensity.value ?? 1
    return [
      [
        `dress-${id}`,
        place.kind === 'top'
          ? { code: 'dress', dressingId, bulkDensity, grams, depth: place.depth }
          : { code: 'dress-holes', dressingId, bulkDensity, grams },
      ],
    ]
  })

function afterMix({ job, fill, plan }: Filled): Steps {
  const { cover } = fill.spec
  const steps: Steps = []
  if (plan.rootBalls === 0) steps.push(['plant', { code: 'plant', cropId: inBed(job, fill).cropId }])
  steps.push(['water', { code: 'water-in' }])
  if (cover && plan.cover > 0) steps.push(['cover', { code: 'cover', ...cover, litres: plan.cover }])
  steps.push(['finish', { code: 'finish' }])
  return steps
}
