import { cropRow } from '@/core/data/cropTable'
import type { Job, JobBed } from '../schemas'
import type { Command } from './command'
import { tickOf, withoutTicks } from './marks'
import { nextRecipe } from './recipe'

/** Middle of a crop's pH band, to a tenth. */
export const cropTargetPH = (cropId: string | null): number | null => {
  const crop = cropRow(cropId)
  return crop ? Math.round(((crop.pH.low + crop.pH.high) / 2) * 10) / 10 : null
}

export const changedFill = (job: Job, fillId: string, change: (fill: JobBed) => JobBed): Job => ({
  ...job,
  fills: job.fills.map((f) => (f.id === fillId ? change(f) : f)),
})

type Rows = { [T in Command['type']]?: (job: Job, command: Extract<Command, { type: T }>) => Job }

/** What becomes of a job by commands about it; those about its recipe are in `recipe.ts`. */
const JOBS: Rows = {
  'job/rename': (job, { name }) => ({ ...job, name }),
  'job/note': (job, { note }) => ({ ...job, note }),
  'job/crop': (job, { cropId }) => {
    const target = cropTargetPH(cropId)
    return { ...job, cropId, lime: target === null ? job.lime : { ...job.lime, target } }
  },
  'job/companions': (job, { cropIds }) => ({
    ...job,
    companionIds: cropIds.filter((c) => c !== job.cropId),
  }),
  'job/planting': (job, { change }) => ({ ...job, ...change }),
  'job/band': (job, { target, band }) => {
    const bands = { ...job.bands }
    if (band) bands[target] = band
    else delete bands[target]
    return { ...job, bands }
  },
  'job/archive': (job, { archived }) => ({ ...job, archived }),
  'job/judge': (job, { fillId }) => ({ ...job, judgedIn: fillId }),
  'job/amount': (job, { litres }) => ({ ...job, amount: litres }),
  'job/plan': (job, { plan }) => ({ ...job, plan: { ...job.plan, ...plan } }),
  'job/marks': (job, { change }) => ({ ...job, ...change }),
  'jobBed/add': (job, { fill }) => ({ ...job, fills: [...job.fills, fill] }),
  'jobBed/split': (job, { fills }) => ({ ...job, fills }),
  'jobBed/change': (job, { fillId, change }) => changedFill(job, fillId, (f) => ({ ...f, ...change })),
  'jobBed/spec': (job, { fillId, change }) =>
    changedFill(job, fillId, (f) => {
      const spec = { ...f.spec, ...change }
      return { ...f, spec, count: f.count === f.spec.vessel.count ? spec.vessel.count : f.count }
    }),
  'jobBed/remove': (job, { fillId }) => {
    const fills = job.fills.filter((f) => f.id !== fillId)
    return fills.length > 0 ? { ...job, fills } : job
  },
  'warning/answer': (job, { code, reason }) => {
    const rest = job.dismissed.filter((d) => d.code !== code)
    return { ...job, dismissed: reason === null ? rest : [...rest, { code, reason }] }
  },
  'tick/set': (job, { batch, materialId, done }) => {
    const tick = tickOf(batch, materialId)
    const rest = job.ticks.filter((t) => t !== tick)
    return { ...job, ticks: done ? [...rest, tick] : rest }
  },
  'ticks/clear': withoutTicks,
  'steps/set': (job, { list, step, done }) => {
    const rest = job[list].filter((s) => s !== step)
    return { ...job, [list]: done ? [...rest, step] : rest }
  },
  'job/raising': (job, { raising }) => ({ ...job, raising }),
  'job/water': (job, { water }) => ({ ...job, water }),
  'job/feeds': (job, { feeds }) => ({ ...job, liquidFeeds: feeds }),
  'step/move': (job, { step, on }) => {
    const rest = job.movedDays.filter((m) => m.step !== step)
    return { ...job, movedDays: on === null ? rest : [...rest, { step, on }] }
  },
}

/** A job after a command; the same one where the command is not about it. */
export function nextJob(job: Job, command: Command): Job {
  const row = JOBS[command.type] as ((job: Job, command: Command) => Job) | undefined
  return row ? row(job, command) : withoutUnused(nextRecipe(job, command) ?? job)
}

/** A finished mix that is no part any more goes with it. */
function withoutUnused(job: Job): Job {
  const used = new Set(job.parts.map((p) => p.materialId))
  return job.mixes.every((m) => used.has(m.id))
    ? job
    : { ...job, mixes: job.mixes.filter((m) => used.has(m.id)) }
}
