import { CROPS } from '@/core/data'
import { jobKey, jobOf, recordKey, recordOf, shelfKey, type Garden } from './garden'
import { sameData } from './same'
import type { AnyData, Job, LimeSetting, MixRecord, Plan, ShelfItem, Vessel } from './schemas'

/** Every change a grower can make, as plain data. */
export type Command =
  | { type: 'job/create'; job: Job }
  | { type: 'job/rename'; jobId: string; name: string }
  | { type: 'job/crop'; jobId: string; cropId: string | null }
  | { type: 'job/vessel'; jobId: string; vessel: Vessel }
  | { type: 'job/plan'; jobId: string; plan: Partial<Plan> }
  | { type: 'job/note'; jobId: string; note: string }
  | { type: 'job/remove'; jobId: string }
  | { type: 'job/finish'; jobId: string; record: MixRecord }
  | { type: 'part/add'; jobId: string; materialId: string; twelfths: number }
  | { type: 'part/change'; jobId: string; materialId: string; by: number }
  | { type: 'part/remove'; jobId: string; materialId: string }
  | { type: 'mix/step'; jobId: string; step: Job['step'] }
  | { type: 'mix/lime'; jobId: string; lime: Partial<LimeSetting> }
  | { type: 'tick/set'; jobId: string; batch: number; materialId: string; done: boolean }
  | { type: 'ticks/clear'; jobId: string }
  | { type: 'record/edit'; recordId: string; madeOn?: string; note?: string }
  | { type: 'record/remove'; recordId: string }
  | { type: 'shelf/set'; item: ShelfItem }
  | { type: 'garden/import'; changes: { key: string; after: AnyData }[] }

/** One record before and after; null where there was or will be none. */
export interface Change {
  key: string
  before: AnyData | null
  after: AnyData | null
}

const MOST_TWELFTHS = 1200

/** Mark on a measure that is in: which batch, which material. */
export const tickOf = (batch: number, materialId: string) => `${batch}:${materialId}`

/** Middle of a crop's pH band, to a tenth. */
export const cropTargetPH = (cropId: string | null): number | null => {
  const crop = CROPS.find((c) => c.id === cropId)
  return crop ? Math.round(((crop.pH.low + crop.pH.high) / 2) * 10) / 10 : null
}

// What the measures are counted from: change it, and marks already made mean something else.
const CHANGES_MEASURES = new Set<Command['type']>([
  'job/vessel',
  'job/plan',
  'part/add',
  'part/change',
  'part/remove',
])

function nextJob(job: Job, command: Command): Job {
  switch (command.type) {
    case 'job/rename':
      return { ...job, name: command.name }
    case 'job/note':
      return { ...job, note: command.note }
    case 'job/crop': {
      const target = cropTargetPH(command.cropId)
      return { ...job, cropId: command.cropId, lime: target === null ? job.lime : { ...job.lime, target } }
    }
    case 'job/vessel':
      return { ...job, vessel: command.vessel }
    case 'job/plan':
      return { ...job, plan: { ...job.plan, ...command.plan } }
    case 'mix/step':
      return { ...job, step: command.step }
    case 'mix/lime':
      return { ...job, lime: { ...job.lime, ...command.lime } }
    case 'part/add':
      if (job.parts.some((p) => p.materialId === command.materialId))
        return nextJob(job, { ...command, type: 'part/change', by: command.twelfths })
      return { ...job, parts: [...job.parts, { materialId: command.materialId, twelfths: command.twelfths }] }
    case 'part/change':
      return {
        ...job,
        parts: job.parts.flatMap((p) => {
          if (p.materialId !== command.materialId) return [p]
          const twelfths = Math.min(p.twelfths + command.by, MOST_TWELFTHS)
          return twelfths > 0 ? [{ ...p, twelfths }] : []
        }),
      }
    case 'part/remove':
      return { ...job, parts: job.parts.filter((p) => p.materialId !== command.materialId) }
    case 'tick/set': {
      const tick = tickOf(command.batch, command.materialId)
      const rest = job.ticks.filter((t) => t !== tick)
      return { ...job, ticks: command.done ? [...rest, tick] : rest }
    }
    case 'ticks/clear':
      return { ...job, ticks: [] }
    default:
      return job
  }
}

/**
 * What a command would change in a garden. Pure; an empty list means that nothing would.
 * Marks made against measures that no longer hold are taken away with the change that made them so.
 */
export function changesOf(garden: Garden, command: Command): Change[] {
  switch (command.type) {
    case 'job/create':
      return [{ key: jobKey(command.job.id), before: null, after: command.job }]
    case 'job/remove': {
      const job = jobOf(garden, command.jobId)
      return job ? [{ key: jobKey(job.id), before: job, after: null }] : []
    }
    case 'job/finish': {
      const job = jobOf(garden, command.jobId)
      if (!job) return []
      const key = recordKey(command.record.id)
      return [
        { key, before: garden.get(key) ?? null, after: command.record },
        { key: jobKey(job.id), before: job, after: { ...job, recordId: command.record.id } },
      ]
    }
    case 'record/edit': {
      const record = recordOf(garden, command.recordId)
      if (!record) return []
      const after = {
        ...record,
        madeOn: command.madeOn ?? record.madeOn,
        note: command.note ?? record.note,
      }
      return sameData(record, after) ? [] : [{ key: recordKey(record.id), before: record, after }]
    }
    case 'record/remove': {
      const record = recordOf(garden, command.recordId)
      if (!record) return []
      const job = jobOf(garden, record.jobId)
      const changes: Change[] = [{ key: recordKey(record.id), before: record, after: null }]
      if (job?.recordId === record.id)
        changes.push({ key: jobKey(job.id), before: job, after: { ...job, recordId: null } })
      return changes
    }
    case 'shelf/set': {
      const key = shelfKey(command.item.materialId)
      const before = garden.get(key) ?? null
      return sameData(before, command.item) ? [] : [{ key, before, after: command.item }]
    }
    case 'garden/import':
      return command.changes
        .map((c) => ({ key: c.key, before: garden.get(c.key) ?? null, after: c.after }))
        .filter((c) => !sameData(c.before, c.after))
    default: {
      const job = jobOf(garden, command.jobId)
      if (!job) return []
      const next = nextJob(job, command)
      if (sameData(job, next)) return []
      const after =
        CHANGES_MEASURES.has(command.type) && next.ticks.length > 0 ? { ...next, ticks: [] } : next
      return [{ key: jobKey(job.id), before: job, after }]
    }
  }
}

/** Commands with the same key in quick succession undo as one: typing a name, holding plus. */
export function mergeKeyOf(command: Command): string | null {
  switch (command.type) {
    case 'job/rename':
    case 'job/note':
    case 'job/vessel':
    case 'job/plan':
    case 'mix/lime':
      return `${command.type} ${command.jobId}`
    case 'record/edit':
      return `${command.type} ${command.recordId}`
    case 'shelf/set':
      return `${command.type} ${command.item.materialId}`
    default:
      return null
  }
}
