import { measureText } from '@/core/mixing/measures'
import type { Command } from '@/model/garden/commands'
import type {
  AnyData,
  Bag,
  Bed,
  Entry,
  Job,
  MixRecord,
  OwnDressingRecord,
  OwnMaterialRecord,
  Photo,
  Test,
} from '@/model/garden/schemas'
import { counted } from './counted'
import { bedTitle, jobTitle, shortName } from './labels'

/** What a command did, for the undo button. */
export function commandText(command: Command): string {
  switch (command.type) {
    case 'job/create':
      return 'new job'
    case 'job/rename':
      return 'name'
    case 'job/note':
      return 'note'
    case 'job/crop':
      return 'crop'
    case 'bed/change':
    case 'jobBed/spec':
      return 'change to the bed'
    case 'beds/add':
      return command.beds.length === 1 ? 'new bed' : `${command.beds.length} new beds`
    case 'bed/remove':
      return 'removing the bed'
    case 'place/set':
      return 'place'
    case 'job/planting':
      return 'planting'
    case 'steps/set':
      if (command.list === 'readyAdded') return 'another step of getting ready'
      if (command.list === 'readyLeft') return 'leaving a step out'
      return command.done ? 'ticking a step' : 'unticking a step'
    case 'job/marks':
    case 'shelf/put':
    case 'entries/put':
    case 'test/set':
    case 'learned/set':
      return command.what
    case 'test/remove':
      return 'removing a test'
    case 'entry/remove':
      return 'removing a line of the log'
    case 'photo/add':
      return 'photo'
    case 'photo/remove':
      return 'removing a photo'
    case 'job/band':
      return 'what it is held against'
    case 'job/companions':
      return 'crops'
    case 'job/archive':
      return command.archived ? 'putting the job away' : 'taking the job up again'
    case 'job/judge':
      return 'bed the mix is judged in'
    case 'jobBed/add':
      return `filling ${bedTitle(command.fill.spec)}`
    case 'jobBed/change':
      return 'how many, or topping up'
    case 'jobBed/split':
      return 'noting each pot by itself'
    case 'jobBed/list':
      return 'putting it among the beds'
    case 'jobBed/remove':
      return 'leaving a bed out'
    case 'job/amount':
      return 'how much is made'
    case 'job/plan':
      return 'bucket, scoop, tub or allowance'
    case 'job/remove':
      return 'removing the job'
    case 'job/finish':
      return 'recording the mix'
    case 'part/add':
      return `adding ${shortName(command.materialId)}`
    case 'part/change':
      return `${command.by > 0 ? '+' : '−'}${measureText(Math.abs(command.by))} ${shortName(command.materialId)}`
    case 'mix/take':
      return `adding ${command.mix.name}`
    case 'mix/origin':
      return 'whether it is made first'
    case 'bag/set':
      return `label of ${command.bag.name.trim() || 'a bagged mix'}`
    case 'bag/remove':
      return 'removing a bagged mix'
    case 'part/remove':
      return `taking out ${shortName(command.materialId)}`
    case 'mix/step':
      return 'size of a measure'
    case 'mix/lime':
      return 'lime'
    case 'dressing/set':
      return 'dose of a dressing'
    case 'dressing/remove':
      return 'leaving out a dressing'
    case 'recipe/replace':
      return command.what
    case 'version/keep':
      return 'keeping this version'
    case 'version/edit':
      return 'name or note of a version'
    case 'version/remove':
      return 'removing a version'
    case 'warning/answer':
      return command.reason === null ? 'asking for a warning again' : 'answering a warning'
    case 'tick/set':
      return command.done
        ? `ticking ${shortName(command.materialId)}`
        : `unticking ${shortName(command.materialId)}`
    case 'ticks/clear':
      return 'clearing ticks'
    case 'record/edit':
      return 'record'
    case 'record/remove':
      return 'removing the record'
    case 'shelf/set':
      return `${shortName(command.item.materialId)} on the shelf`
    case 'dressingPack/set':
      return 'pack, price or stock of a feed or lime'
    case 'ownMaterial/set':
      return `${command.material.name.trim() || 'a material of your own'}`
    case 'ownDressing/set':
      return `${command.dressing.name.trim() || 'a feed of your own'}`
    case 'garden/import':
      return 'import'
  }
}

/** Records there are many of: they are counted, not named. */
const COUNTED: Record<string, [one: string, many: string]> = {
  entry: ['line of a log', 'lines of logs'],
  photo: ['photo', 'photos'],
}

/** What a list of records holds, a line each; those there are many of in one line, after the others. */
export function recordNames(records: readonly { key: string; after: AnyData | null }[]): string[] {
  const counts = new Map<string, number>()
  const names = records.flatMap(({ key, after }) => {
    const head = key.split('/')[0]!
    if (!COUNTED[head]) return [recordName(key, after)]
    counts.set(head, (counts.get(head) ?? 0) + 1)
    return []
  })
  return [...names, ...[...counts].map(([head, n]) => counted(n, ...COUNTED[head]!))]
}

/** A stored record in words, for lists of what an import would change. */
export function recordName(key: string, data: AnyData | null): string {
  const [head, id = ''] = key.split('/')
  if (head === 'place') return 'place'
  if (head === 'bag') return `bagged mix “${(data as Bag).name}”`
  if (head === 'bed') return `bed “${bedTitle(data as Bed)}”`
  if (head === 'job') return `job “${jobTitle(data as Job)}”`
  if (head === 'record') return `record “${(data as MixRecord).jobName}” of ${(data as MixRecord).madeOn}`
  if (head === 'material') return `your material “${(data as OwnMaterialRecord).name}”`
  if (head === 'dressing') return `your feed or lime “${(data as OwnDressingRecord).name}”`
  if (head === 'entry') return `log of ${(data as Entry).at.slice(0, 10)}`
  if (head === 'test') return `test of ${(data as Test).startedAt.slice(0, 10)}`
  if (head === 'learned') return 'what readings taught'
  if (head === 'photo') return `photo of ${(data as Photo).takenAt.slice(0, 10)}`
  if (head === 'dressingPack') return `shelf: ${id.replaceAll('_', ' ')}`
  if (head === 'shelf') return `shelf: ${shortName(id)}`
  return 'settings'
}
