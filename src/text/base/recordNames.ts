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
import { bedTitle, jobTitle, shortName } from './titles'

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
