import { type Band, cropById } from '@/core/data'
import type { Target } from '@/core/targets'
import {
  bagKey,
  bedKey,
  bedOf,
  jobKey,
  jobOf,
  jobsOf,
  liveJob,
  PLACE_KEY,
  recordKey,
  recordOf,
  shelfKey,
  type Garden,
} from './garden'
import { GARDEN_LIMITS } from './limits'
import { sameData } from './same'
import type {
  AnyData,
  Bag,
  Bed,
  BedSpec,
  DressingLine,
  JobBed,
  InnerMix,
  Job,
  LimeSetting,
  MixOrigin,
  MixRecord,
  Place,
  Plan,
  Recipe,
  ShelfItem,
  Version,
} from './schemas'

/** Every change a grower can make, as plain data. */
export type Command =
  | { type: 'bed/change'; bedId: string; change: Partial<BedSpec> }
  | { type: 'beds/add'; beds: Bed[] }
  | { type: 'bed/remove'; bedId: string }
  /** With the beds that come into the list with it. */
  | { type: 'job/create'; job: Job; beds?: Bed[] }
  | { type: 'job/rename'; jobId: string; name: string }
  | { type: 'job/crop'; jobId: string; cropId: string | null }
  | { type: 'job/companions'; jobId: string; cropIds: string[] }
  /** `field` names what was typed in: typing on in it undoes as one. A climate or a file is a step of its own. */
  | { type: 'place/set'; place: Place; field?: string }
  | { type: 'job/planting'; jobId: string; change: Partial<Pick<Job, 'plantMonth' | 'plants' | 'plantedOn'>> }
  /** A step of filling or of the season, done or not. */
  | { type: 'steps/set'; jobId: string; list: 'filledSteps' | 'followedSteps'; step: string; done: boolean }
  /** A band moved, or left to the crop again. */
  | { type: 'job/band'; jobId: string; target: Target; band: Band | null }
  | { type: 'job/archive'; jobId: string; archived: boolean }
  | { type: 'job/judge'; jobId: string; fillId: string }
  /** With the bed that comes into the list with it. */
  | { type: 'jobBed/add'; jobId: string; fill: JobBed; bed?: Bed }
  | {
      type: 'jobBed/change'
      jobId: string
      fillId: string
      change: Partial<Pick<JobBed, 'count' | 'sunkBy'>>
    }
  /** The bed itself: in the list too, where the fill follows one. Filled whole, it stays so when there are more of it. */
  | { type: 'jobBed/spec'; jobId: string; fillId: string; change: Partial<BedSpec> }
  /** Puts a container that stood in the job alone among the beds. */
  | { type: 'jobBed/list'; jobId: string; fillId: string; bedId: string; createdAt: string }
  | { type: 'jobBed/remove'; jobId: string; fillId: string }
  | { type: 'job/plan'; jobId: string; plan: Partial<Plan> }
  | { type: 'job/note'; jobId: string; note: string }
  | { type: 'job/remove'; jobId: string }
  | { type: 'job/finish'; jobId: string; record: MixRecord }
  | { type: 'part/add'; jobId: string; materialId: string; twelfths: number }
  | { type: 'part/change'; jobId: string; materialId: string; by: number }
  | { type: 'part/remove'; jobId: string; materialId: string }
  /** A finished mix becomes a part. */
  | { type: 'mix/take'; jobId: string; mix: InnerMix; twelfths: number }
  | { type: 'mix/origin'; jobId: string; mixId: string; origin: MixOrigin }
  | { type: 'bag/set'; bag: Bag }
  | { type: 'bag/remove'; bagId: string }
  | { type: 'mix/step'; jobId: string; step: Job['step'] }
  | { type: 'mix/lime'; jobId: string; lime: Partial<LimeSetting> }
  | { type: 'dressing/set'; jobId: string; line: DressingLine }
  | { type: 'dressing/remove'; jobId: string; dressingId: string }
  /** The whole recipe at once: a next move, the finder's answer, a version, a starter. What was there is kept where it is not yet. */
  | {
      type: 'recipe/replace'
      jobId: string
      recipe: Recipe
      what: string
      keep?: Version
      versionId?: string | null
    }
  /** `beside`: it joins the others, the bench goes on from where it was. */
  | { type: 'version/keep'; jobId: string; version: Version; beside?: boolean }
  | {
      type: 'version/edit'
      jobId: string
      versionId: string
      change: Partial<Pick<Version, 'name' | 'note'>>
    }
  | { type: 'version/remove'; jobId: string; versionId: string }
  /** A warning answered with a reason, or asked for again. */
  | { type: 'warning/answer'; jobId: string; code: string; reason: string | null }
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

/** Mark on a measure that is in: which batch, which material. */
export const tickOf = (batch: number, materialId: string) => `${batch}:${materialId}`

/** Middle of a crop's pH band, to a tenth. */
export const cropTargetPH = (cropId: string | null): number | null => {
  const crop = cropById(cropId)
  return crop ? Math.round(((crop.pH.low + crop.pH.high) / 2) * 10) / 10 : null
}

// What the measures are counted from: change it, and marks already made mean something else.
const CHANGES_MEASURES = new Set<Command['type']>([
  'jobBed/add',
  'jobBed/change',
  'jobBed/remove',
  'job/plan',
  'part/add',
  'part/change',
  'part/remove',
  'dressing/set',
  'dressing/remove',
  'recipe/replace',
])

/** Whether a change of a bed alters what it takes; its name or what it stands on does not. */
const changesAmount = (change: Partial<BedSpec>) =>
  'vessel' in change || 'layers' in change || 'rootBalls' in change
const changesMeasures = (command: Command) =>
  command.type === 'jobBed/spec' ? changesAmount(command.change) : CHANGES_MEASURES.has(command.type)

/** Jobs under way that fill a bed too: marks made in them mean something else once it is changed. */
const ticksElsewhere = (garden: Garden, bedId: string, change: Partial<BedSpec>, but?: string): Change[] =>
  changesAmount(change)
    ? jobsOf(garden)
        .filter(
          (j) =>
            j.id !== but &&
            j.recordId === null &&
            j.ticks.length > 0 &&
            j.fills.some((f) => f.bedId === bedId),
        )
        .map((j) => ({ key: jobKey(j.id), before: j, after: { ...j, ticks: [] } }))
    : []

const withVersion = (job: Job, version: Version): Version[] =>
  [...job.versions, version].slice(-GARDEN_LIMITS.versions.value)

const changedFill = (job: Job, fillId: string, change: (fill: JobBed) => JobBed): Job => ({
  ...job,
  fills: job.fills.map((f) => (f.id === fillId ? change(f) : f)),
})

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
    case 'job/plan':
      return { ...job, plan: { ...job.plan, ...command.plan } }
    case 'mix/step':
      return { ...job, step: command.step }
    case 'mix/lime':
      return { ...job, lime: { ...job.lime, ...command.lime } }
    case 'part/add':
      if (job.parts.some((p) => p.materialId === command.materialId))
        return nextJob(job, { ...command, type: 'part/change', by: command.twelfths })
      if (job.parts.length >= GARDEN_LIMITS.parts.value) return job
      return { ...job, parts: [...job.parts, { materialId: command.materialId, twelfths: command.twelfths }] }
    case 'part/change':
      return {
        ...job,
        parts: job.parts.flatMap((p) => {
          if (p.materialId !== command.materialId) return [p]
          const twelfths = Math.min(p.twelfths + command.by, GARDEN_LIMITS.twelfths.value)
          return twelfths > 0 ? [{ ...p, twelfths }] : []
        }),
      }
    case 'mix/take':
      if (job.mixes.length >= GARDEN_LIMITS.mixes.value || job.parts.length >= GARDEN_LIMITS.parts.value)
        return job
      return {
        ...job,
        mixes: [...job.mixes, command.mix],
        parts: [...job.parts, { materialId: command.mix.id, twelfths: command.twelfths }],
      }
    case 'mix/origin':
      return {
        ...job,
        mixes: job.mixes.map((m) => (m.id === command.mixId ? { ...m, origin: command.origin } : m)),
      }
    case 'part/remove':
      return { ...job, parts: job.parts.filter((p) => p.materialId !== command.materialId) }
    case 'dressing/set': {
      if (
        job.dressings.length >= GARDEN_LIMITS.dressings.value &&
        !job.dressings.some((d) => d.dressingId === command.line.dressingId)
      )
        return job
      const at = job.dressings.findIndex((d) => d.dressingId === command.line.dressingId)
      return {
        ...job,
        dressings:
          at === -1
            ? [...job.dressings, command.line]
            : job.dressings.map((d, i) => (i === at ? command.line : d)),
      }
    }
    case 'dressing/remove':
      return { ...job, dressings: job.dressings.filter((d) => d.dressingId !== command.dressingId) }
    case 'recipe/replace': {
      const { parts, mixes, lime, dressings } = command.recipe
      return {
        ...job,
        parts,
        mixes,
        lime,
        dressings,
        versions: command.keep ? withVersion(job, command.keep) : job.versions,
        versionId: command.versionId === undefined ? job.versionId : command.versionId,
      }
    }
    case 'version/keep':
      return {
        ...job,
        versions: withVersion(job, command.version),
        versionId: command.beside ? job.versionId : command.version.id,
      }
    case 'version/edit':
      return {
        ...job,
        versions: job.versions.map((v) => (v.id === command.versionId ? { ...v, ...command.change } : v)),
      }
    case 'version/remove': {
      const gone = job.versions.find((v) => v.id === command.versionId)
      // What was made from it is now made from what it was made from.
      const heir = gone?.from ?? null
      return {
        ...job,
        versions: job.versions
          .filter((v) => v !== gone)
          .map((v) => (v.from === command.versionId ? { ...v, from: heir } : v)),
        versionId: job.versionId === command.versionId ? heir : job.versionId,
      }
    }
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
      return { ...job, ticks: [] }
    case 'steps/set': {
      const rest = job[command.list].filter((s) => s !== command.step)
      return { ...job, [command.list]: command.done ? [...rest, command.step] : rest }
    }
    default:
      return job
  }
}

/** A finished mix that is no part any more goes with it. */
function withoutUnused(job: Job): Job {
  const used = new Set(job.parts.map((p) => p.materialId))
  return job.mixes.every((m) => used.has(m.id))
    ? job
    : { ...job, mixes: job.mixes.filter((m) => used.has(m.id)) }
}

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
    case 'place/set': {
      const before = garden.get(PLACE_KEY) ?? null
      return sameData(before, command.place) ? [] : [{ key: PLACE_KEY, before, after: command.place }]
    }
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
    case 'bag/set': {
      const key = bagKey(command.bag.id)
      const before = garden.get(key) ?? null
      return sameData(before, command.bag) ? [] : [{ key, before, after: command.bag }]
    }
    case 'bag/remove': {
      const key = bagKey(command.bagId)
      const before = garden.get(key)
      return before ? [{ key, before, after: null }] : []
    }
    case 'garden/import':
      return command.changes
        .map((c) => ({ key: c.key, before: garden.get(c.key) ?? null, after: c.after }))
        .filter((c) => !sameData(c.before, c.after))
    default: {
      const job = jobOf(garden, command.jobId)
      if (!job) return []
      // What is done to a bed is done to it as it is now, not as this job last saw it.
      const now = command.type === 'jobBed/spec' ? liveJob(garden, job) : job
      const next = withoutUnused(nextJob(now, command))
      if (sameData(now, next)) return []
      const after = changesMeasures(command) && next.ticks.length > 0 ? { ...next, ticks: [] } : next
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

/** Commands with the same key in quick succession undo as one: typing a name, holding plus. */
export function mergeKeyOf(command: Command): string | null {
  switch (command.type) {
    case 'job/rename':
    case 'job/note':
    case 'job/plan':
    case 'job/planting':
      return `${command.type} ${command.jobId}`
    case 'mix/lime':
      // Typing on is one step; another way of giving lime is a step of its own.
      return command.lime.mode === undefined ? `${command.type} ${command.jobId}` : null
    case 'place/set':
      return command.field === undefined ? null : `${command.type} ${command.field}`
    case 'job/band':
      return `${command.type} ${command.jobId} ${command.target}`
    case 'bed/change':
      return `${command.type} ${command.bedId}`
    case 'jobBed/change':
    case 'jobBed/spec':
      return `${command.type} ${command.jobId} ${command.fillId}`
    case 'dressing/set':
      return `${command.type} ${command.jobId} ${command.line.dressingId}`
    case 'version/edit':
      return `${command.type} ${command.jobId} ${command.versionId}`
    case 'record/edit':
      return `${command.type} ${command.recordId}`
    case 'shelf/set':
      return `${command.type} ${command.item.materialId}`
    default:
      return null
  }
}
