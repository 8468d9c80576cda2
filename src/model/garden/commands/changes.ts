import {
  bagKey,
  bedKey,
  bedOf,
  dressingPackKey,
  entryKey,
  jobKey,
  jobOf,
  LEARNED_KEY,
  liveJob,
  ownDressingKey,
  ownMaterialKey,
  photoKey,
  PLACE_KEY,
  recordKey,
  recordOf,
  shelfKey,
  testKey,
  type Garden,
} from '../garden'
import { sameData } from '../same'
import type { AnyData, Bed } from '../schemas'
import type { Change, Command, ShelfChange } from './command'
import { changedFill, nextJob } from './job'
import { changesMeasures, ticksElsewhere, withoutTicks } from './marks'

/** One record set; nothing where it says so already. */
function put(garden: Garden, key: string, after: AnyData): Change[] {
  const before = garden.get(key) ?? null
  return sameData(before, after) ? [] : [{ key, before, after }]
}

/** One record taken away; nothing where there is none. */
function removal(garden: Garden, key: string): Change[] {
  const before = garden.get(key)
  return before ? [{ key, before, after: null }] : []
}

const shelved = (garden: Garden, { materials, dressings }: ShelfChange): Change[] => [
  ...materials.flatMap((item) => put(garden, shelfKey(item.materialId), item)),
  ...dressings.flatMap((item) => put(garden, dressingPackKey(item.dressingId), item)),
]

/**
 * What a command would change in a garden. Pure; an empty list means that nothing would.
 * Marks made against measures that no longer hold are taken away with the change that made them so.
 */
export function changesOf(garden: Garden, command: Command): Change[] {
  switch (command.type) {
    case 'beds/add':
      return command.beds.map((bed) => ({ key: bedKey(bed.id), before: null, after: bed }))
    case 'bed/change': {
      const bed = bedOf(garden, command.bedId)
      if (!bed) return []
      const after = { ...bed, ...command.change }
      if (sameData(bed, after)) return []
      return [{ key: bedKey(bed.id), before: bed, after }, ...ticksElsewhere(garden, bed.id, command.change)]
    }
    case 'place/set':
      return put(garden, PLACE_KEY, command.place)
    case 'bed/remove': {
      const bed = bedOf(garden, command.bedId)
      return bed ? [{ key: bedKey(bed.id), before: bed, after: null }] : []
    }
    case 'job/create':
      return [
        ...(command.beds ?? []).map((bed) => ({ key: bedKey(bed.id), before: null, after: bed })),
        { key: jobKey(command.job.id), before: null, after: command.job },
      ]
    case 'jobBed/list': {
      const job = jobOf(garden, command.jobId)
      const fill = job?.fills.find((f) => f.id === command.fillId)
      if (!job || !fill || fill.bedId !== null) return []
      const bed: Bed = { ...fill.spec, id: command.bedId, createdAt: command.createdAt }
      return [
        { key: bedKey(bed.id), before: null, after: bed },
        {
          key: jobKey(job.id),
          before: job,
          after: changedFill(job, fill.id, (f) => ({ ...f, bedId: bed.id })),
        },
      ]
    }
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
        { key: jobKey(job.id), before: job, after: { ...job, recordId: command.record.id, bought: [] } },
        ...(command.shelf ? shelved(garden, command.shelf) : []),
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
    case 'shelf/set':
      return put(garden, shelfKey(command.item.materialId), command.item)
    case 'shelf/put': {
      const job = command.jobId ? jobOf(garden, command.jobId) : undefined
      const changes = shelved(garden, command.shelf)
      if (job?.bought.length)
        changes.push({ key: jobKey(job.id), before: job, after: { ...job, bought: [] } })
      return changes
    }
    case 'photo/add':
      return put(garden, photoKey(command.photo.id), command.photo)
    case 'photo/remove':
      return removal(garden, photoKey(command.photoId))
    case 'entries/put':
      return command.entries.flatMap((entry) => put(garden, entryKey(entry.id), entry))
    case 'test/set':
      return put(garden, testKey(command.test.id), command.test)
    case 'test/remove':
      return removal(garden, testKey(command.testId))
    case 'learned/set':
      return command.learned ? put(garden, LEARNED_KEY, command.learned) : removal(garden, LEARNED_KEY)
    case 'entry/remove':
      return removal(garden, entryKey(command.entryId))
    case 'dressingPack/set':
      return put(garden, dressingPackKey(command.item.dressingId), command.item)
    case 'ownMaterial/set':
      return put(garden, ownMaterialKey(command.material.id), command.material)
    case 'ownDressing/set':
      return put(garden, ownDressingKey(command.dressing.id), command.dressing)
    case 'bag/set':
      return put(garden, bagKey(command.bag.id), command.bag)
    case 'bag/remove':
      return removal(garden, bagKey(command.bagId))
    case 'garden/import':
      return command.changes
        .map((c) => ({ key: c.key, before: garden.get(c.key) ?? null, after: c.after }))
        .filter((c) => !sameData(c.before, c.after))
    default: {
      const job = jobOf(garden, command.jobId)
      if (!job) return []
      // What is done to a bed is done to it as it is now, not as this job last saw it.
      const now = command.type === 'jobBed/spec' ? liveJob(garden, job) : job
      const next = nextJob(now, command)
      if (sameData(now, next)) return []
      const after = changesMeasures(command) ? withoutTicks(next) : next
      const changes: Change[] = [{ key: jobKey(job.id), before: job, after }]
      if (command.type === 'jobBed/add' && command.bed)
        changes.push({ key: bedKey(command.bed.id), before: null, after: command.bed })
      if (command.type === 'jobBed/spec') {
        const bedId = job.fills.find((f) => f.id === command.fillId)?.bedId
        const bed = bedId ? bedOf(garden, bedId) : undefined
        if (bed)
          changes.push(
            { key: bedKey(bed.id), before: bed, after: { ...bed, ...command.change } },
            ...ticksElsewhere(garden, bed.id, command.change, job.id),
          )
      }
      return changes
    }
  }
}
