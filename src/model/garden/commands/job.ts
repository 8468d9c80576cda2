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

/** A job after a command; the same one where the command is not about it. */
export function nextJob(job: Job, command: Command): Job {
  switch (command.type) {
    case 'job/rename':
      return { ...job, name: command.name }
    case 'job/note':
      return { ...job, note: command.note }
    case 'job/crop': {
      const target = cropTargetPH(command.cropId)
      return { ...job, cropId: command.cropId, lime: target === null ? job.lime : { ...job.lime, target } }
    }
    case 'job/companions':
      return { ...job, companionIds: command.cropIds.filter((c) => c !== job.cropId) }
    case 'job/planting':
      return { ...job, ...command.change }
    case 'job/band': {
      const bands = { ...job.bands }
      if (command.band) bands[command.target] = command.band
      else delete bands[command.target]
      return { ...job, bands }
    }
    case 'job/archive':
      return { ...job, archived: command.archived }
    case 'job/judge':
      return { ...job, judgedIn: command.fillId }
    case 'jobBed/add':
      return { ...job, fills: [...job.fills, command.fill] }
    case 'jobBed/split':
      return { ...job, fills: command.fills }
    case 'jobBed/change':
      return changedFill(job, command.fillId, (f) => ({ ...f, ...command.change }))
    case 'jobBed/spec':
      return changedFill(job, command.fillId, (f) => {
        const spec = { ...f.spec, ...command.change }
        return { ...f, spec, count: f.count === f.spec.vessel.count ? spec.vessel.count : f.count }
      })
    case 'jobBed/remove': {
      const fills = job.fills.filter((f) => f.id !== command.fillId)
      return fills.length > 0 ? { ...job, fills } : job
    }
    case 'job/amount':
      return { ...job, amount: command.litres }
    case 'job/plan':
      return { ...job, plan: { ...job.plan, ...command.plan } }
    case 'warning/answer': {
      const rest = job.dismissed.filter((d) => d.code !== command.code)
      return {
        ...job,
        dismissed: command.reason === null ? rest : [...rest, { code: command.code, reason: command.reason }],
      }
    }
    case 'tick/set': {
      const tick = tickOf(command.batch, command.materialId)
      const rest = job.ticks.filter((t) => t !== tick)
      return { ...job, ticks: command.done ? [...rest, tick] : rest }
    }
    case 'ticks/clear':
      return withoutTicks(job)
    case 'job/marks':
      return { ...job, ...command.change }
    case 'steps/set': {
      const rest = job[command.list].filter((s) => s !== command.step)
      return { ...job, [command.list]: command.done ? [...rest, command.step] : rest }
    }
    default:
      return withoutUnused(nextRecipe(job, command) ?? job)
  }
}

/** A finished mix that is no part any more goes with it. */
function withoutUnused(job: Job): Job {
  const used = new Set(job.parts.map((p) => p.materialId))
  return job.mixes.every((m) => used.has(m.id))
    ? job
    : { ...job, mixes: job.mixes.filter((m) => used.has(m.id)) }
}
