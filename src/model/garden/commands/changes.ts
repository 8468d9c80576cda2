import {
  bagKey,
  belongingsOf,
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
  bedYearsKey,
  heapKey,
  testKey,
  type Garden,
} from '../garden'
import { sameData } from '../same'
import type { AnyData, Bed, Job } from '../schemas'
import type { Change, Command, ShelfChange } from './command'
import { changedFill, nextJob } from './job'
import { unitsChanges } from './units'
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

type Of<T extends Command['type']> = Extract<Command, { type: T }>
type Rows = { [T in Command['type']]?: (garden: Garden, command: Of<T>) => Change[] }

const added = (beds: readonly Bed[]): Change[] =>
  beds.map((bed) => ({ key: bedKey(bed.id), before: null, after: bed }))
const jobChange = (before: Job, after: Job | null): Change => ({ key: jobKey(before.id), before, after })

/** What becomes of the records by commands that are not about one job alone. */
const CHANGES: Rows = {
  'beds/add': (_garden, { beds }) => added(beds),
  'bed/change': (garden, { bedId, change }) => {
    const bed = bedOf(garden, bedId)
    if (!bed) return []
    const after = { ...bed, ...change }
    if (sameData(bed, after)) return []
    return [{ key: bedKey(bed.id), before: bed, after }, ...ticksElsewhere(garden, bed.id, change)]
  },
  'bed/remove': (garden, { bedId }) => [
    ...removal(garden, bedKey(bedId)),
    ...removal(garden, bedYearsKey(bedId)),
  ],
  'units/set': unitsChanges,
  'place/set': (garden, { place }) => put(garden, PLACE_KEY, place),
  'job/create': (_garden, { beds, job }) => [
    ...added(beds ?? []),
    { key: jobKey(job.id), before: null, after: job },
  ],
  'job/remove': (garden, { jobId }) =>
    [jobKey(jobId), ...belongingsOf(garden, jobId)].flatMap((key) => removal(garden, key)),
  'job/finish': (garden, { jobId, record, shelf }) => {
    const job = jobOf(garden, jobId)
    if (!job) return []
    const key = recordKey(record.id)
    return [
      { key, before: garden.get(key) ?? null, after: record },
      jobChange(job, { ...job, recordId: record.id, bought: [] }),
      ...(shelf ? shelved(garden, shelf) : []),
    ]
  },
  'jobBed/list': (garden, { jobId, fillId, bedId, createdAt }) => {
    const job = jobOf(garden, jobId)
    const fill = job?.fills.find((f) => f.id === fillId)
    if (!job || !fill || fill.bedId !== null) return []
    const bed: Bed = { ...fill.spec, id: bedId, createdAt }
    return [
      ...added([bed]),
      jobChange(
        job,
        changedFill(job, fill.id, (f) => ({ ...f, bedId })),
      ),
    ]
  },
  'record/edit': (garden, { recordId, madeOn, note }) => {
    const record = recordOf(garden, recordId)
    if (!record) return []
    return put(garden, recordKey(record.id), {
      ...record,
      madeOn: madeOn ?? record.madeOn,
      note: note ?? record.note,
    })
  },
  'record/remove': (garden, { recordId }) => {
    const record = recordOf(garden, recordId)
    const job = record && jobOf(garden, record.jobId)
    return [
      ...removal(garden, recordKey(recordId)),
      ...(job?.recordId === recordId ? [jobChange(job, { ...job, recordId: null })] : []),
    ]
  },
  'shelf/set': (garden, { item }) => put(garden, shelfKey(item.materialId), item),
  'shelf/put': (garden, { jobId, shelf }) => {
    const job = jobId ? jobOf(garden, jobId) : undefined
    return [
      ...shelved(garden, shelf),
      ...(job?.bought.length ? [jobChange(job, { ...job, bought: [] })] : []),
    ]
  },
  'photo/add': (garden, { photo }) => put(garden, photoKey(photo.id), photo),
  'photo/remove': (garden, { photoId }) => removal(garden, photoKey(photoId)),
  'entries/put': (garden, { entries }) => entries.flatMap((entry) => put(garden, entryKey(entry.id), entry)),
  'entry/remove': (garden, { entryId }) => removal(garden, entryKey(entryId)),
  'bed/years': (garden, { years }) => put(garden, bedYearsKey(years.id), years),
  'heap/set': (garden, { heap }) => put(garden, heapKey(heap.id), heap),
  'heap/remove': (garden, { heapId }) => removal(garden, heapKey(heapId)),
  'test/set': (garden, { test }) => put(garden, testKey(test.id), test),
  'test/remove': (garden, { testId }) =>
    [testKey(testId), ...belongingsOf(garden, testId)].flatMap((key) => removal(garden, key)),
  'learned/set': (garden, { learned }) =>
    learned ? put(garden, LEARNED_KEY, learned) : removal(garden, LEARNED_KEY),
  'dressingPack/set': (garden, { item }) => put(garden, dressingPackKey(item.dressingId), item),
  'ownMaterial/set': (garden, { material }) => put(garden, ownMaterialKey(material.id), material),
  'ownDressing/set': (garden, { dressing }) => put(garden, ownDressingKey(dressing.id), dressing),
  'bag/set': (garden, { bag }) => put(garden, bagKey(bag.id), bag),
  'bag/remove': (garden, { bagId }) => removal(garden, bagKey(bagId)),
  'garden/import': (garden, { changes }) =>
    changes
      .map((c) => ({ key: c.key, before: garden.get(c.key) ?? null, after: c.after }))
      .filter((c) => !sameData(c.before, c.after)),
}

/** What a command of one job changes: the job, and the bed that it adds or describes. */
function changesOfJob(garden: Garden, command: Extract<Command, { jobId: string }>): Change[] {
  const job = jobOf(garden, command.jobId)
  if (!job) return []
  // What is done to a bed is done to it as it is now, not as this job last saw it.
  const now = command.type === 'jobBed/spec' ? liveJob(garden, job) : job
  const next = nextJob(now, command)
  if (sameData(now, next)) return []
  const changes = [jobChange(job, changesMeasures(command) ? withoutTicks(next) : next)]
  if (command.type === 'jobBed/add' && command.bed) changes.push(...added([command.bed]))
  if (command.type !== 'jobBed/spec') return changes
  const bedId = job.fills.find((f) => f.id === command.fillId)?.bedId
  const bed = bedId ? bedOf(garden, bedId) : undefined
  if (!bed) return changes
  return [
    ...changes,
    { key: bedKey(bed.id), before: bed, after: { ...bed, ...command.change } },
    ...ticksElsewhere(garden, bed.id, command.change, job.id),
  ]
}

/**
 * What a command would change in a garden. Pure; an empty list means that nothing would.
 * Marks made against measures that no longer hold are taken away with the change that made them so.
 */
export function changesOf(garden: Garden, command: Command): Change[] {
  const row = CHANGES[command.type] as ((garden: Garden, command: Command) => Change[]) | undefined
  return row ? row(garden, command) : changesOfJob(garden, command as Extract<Command, { jobId: string }>)
}
