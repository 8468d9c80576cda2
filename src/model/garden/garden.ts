import { specOf } from './schemas/bedFields'
import type { Container } from '@/core/geometry'
import type {
  AnyData,
  Bag,
  Bed,
  DressingPack,
  Entry,
  Job,
  JobBed,
  LearnedShelf,
  MixRecord,
  OwnDressingRecord,
  OwnMaterialRecord,
  Photo,
  Place,
  Settings,
  ShelfItem,
  Test,
  Vessel,
} from './schemas'

/** Everything a garden holds, by storage key. Values are never changed in place. */
export type Garden = ReadonlyMap<string, AnyData>

export const bedKey = (id: string) => `bed/${id}`
export const jobKey = (id: string) => `job/${id}`
export const recordKey = (id: string) => `record/${id}`
export const shelfKey = (materialId: string) => `shelf/${materialId}`
export const bagKey = (id: string) => `bag/${id}`
export const ownMaterialKey = (id: string) => `material/${id}`
export const ownDressingKey = (id: string) => `dressing/${id}`
export const entryKey = (id: string) => `entry/${id}`
export const photoKey = (id: string) => `photo/${id}`
export const testKey = (id: string) => `test/${id}`
export const dressingPackKey = (id: string) => `dressingPack/${id}`
export const SETTINGS_KEY = 'settings'
export const PLACE_KEY = 'place'
export const LEARNED_KEY = 'learned'
/** Where the garden is; undefined until somebody says. */
export const placeOf = (garden: Garden) => garden.get(PLACE_KEY) as Place | undefined

export const jobOf = (garden: Garden, id: string) => garden.get(jobKey(id)) as Job | undefined
export const bedOf = (garden: Garden, id: string) => garden.get(bedKey(id)) as Bed | undefined
export const recordOf = (garden: Garden, id: string) => garden.get(recordKey(id)) as MixRecord | undefined
export const shelfItemOf = (garden: Garden, materialId: string) =>
  garden.get(shelfKey(materialId)) as ShelfItem | undefined

export const dressingPackOf = (garden: Garden, dressingId: string) =>
  garden.get(dressingPackKey(dressingId)) as DressingPack | undefined

export const DEFAULT_SETTINGS: Settings = {
  units: 'metric',
  theme: 'auto',
  hand: 'right',
  bigSteps: false,
  cautionsRead: {},
  lessonsSeen: [],
  address: '',
}
export const settingsOf = (garden: Garden) =>
  (garden.get(SETTINGS_KEY) as Settings | undefined) ?? DEFAULT_SETTINGS

const listOf = <T>(garden: Garden, head: string) =>
  [...garden].filter(([key]) => key.startsWith(head)).map(([, data]) => data as T)

/** As people read names; days, times and ids are compared letter by letter, which is many times quicker. */
const byName = new Intl.Collator().compare
const byText = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)

/** By name, then as they came. */
export const bedsOf = (garden: Garden) =>
  listOf<Bed>(garden, 'bed/').sort(
    (a, b) => byName(a.name, b.name) || byText(a.createdAt, b.createdAt) || byText(a.id, b.id),
  )

/** By name. */
export const bagsOf = (garden: Garden) =>
  listOf<Bag>(garden, 'bag/').sort((a, b) => byName(a.name, b.name) || byText(a.id, b.id))

/** What was noted of a job in its season, newest first. */
export const entriesOf = (garden: Garden, jobId: string) =>
  listOf<Entry>(garden, 'entry/')
    .filter((e) => e.jobId === jobId)
    .sort((a, b) => byText(b.at, a.at) || byText(a.id, b.id))

/** Keys of what is nothing without its job: the lines of its log and its photos. */
export const belongingsOf = (garden: Garden, jobId: string): string[] =>
  [...garden].flatMap(([key, data]) =>
    (key.startsWith('entry/') || key.startsWith('photo/')) && (data as Entry | Photo).jobId === jobId
      ? [key]
      : [],
  )

/** Field tests, the latest begun first. */
export const testsOf = (garden: Garden) =>
  listOf<Test>(garden, 'test/').sort((a, b) => byText(b.startedAt, a.startedAt) || byText(a.id, b.id))
export const testOf = (garden: Garden, id: string) => garden.get(testKey(id)) as Test | undefined
/** What readings have taught; undefined until something was learned. */
export const learnedOf = (garden: Garden) => garden.get(LEARNED_KEY) as LearnedShelf | undefined

/** Photos of a job, oldest first; of all jobs where none is named. */
export const photosOf = (garden: Garden, jobId?: string) =>
  listOf<Photo>(garden, 'photo/')
    .filter((p) => jobId === undefined || p.jobId === jobId)
    .sort((a, b) => byText(a.takenAt, b.takenAt) || byText(a.id, b.id))

export const dressingPacksOf = (garden: Garden) => listOf<DressingPack>(garden, 'dressingPack/')

/** The grower's own materials and dressings, by name. */
export const ownMaterialsOf = (garden: Garden) =>
  listOf<OwnMaterialRecord>(garden, 'material/').sort((a, b) => byName(a.name, b.name) || byText(a.id, b.id))
export const ownDressingsOf = (garden: Garden) =>
  listOf<OwnDressingRecord>(garden, 'dressing/').sort((a, b) => byName(a.name, b.name) || byText(a.id, b.id))

/** What the grower's own materials and dressings are called, by id. */
export const ownNames = (garden: Garden): Map<string, string> =>
  new Map([
    ...listOf<OwnMaterialRecord>(garden, 'material/').map((m): [string, string] => [
      m.id,
      ownMaterialName(m),
    ]),
    ...listOf<OwnDressingRecord>(garden, 'dressing/').map((d): [string, string] => [
      d.id,
      ownDressingName(d),
    ]),
  ])
/** What is shown of one that was given no name. */
export const ownMaterialName = ({ name }: Pick<OwnMaterialRecord, 'name'>) => name.trim() || 'My material'
export const ownDressingName = ({ name }: Pick<OwnDressingRecord, 'name'>) => name.trim() || 'My feed'

/** Newest first. */
export const jobsOf = (garden: Garden) =>
  listOf<Job>(garden, 'job/').sort((a, b) => byText(b.createdAt, a.createdAt) || byText(a.id, b.id))
export const recordsOf = (garden: Garden) =>
  listOf<MixRecord>(garden, 'record/').sort((a, b) => byText(b.madeOn, a.madeOn) || byText(a.id, b.id))

/**
 * The fill as last made with a bed: the same for the same two, so that what follows from it is not worked out again.
 */
const LIVE_FILLS = new WeakMap<JobBed, { bed: Bed; fill: JobBed }>()
function liveFill(fill: JobBed, bed: Bed): JobBed {
  const known = LIVE_FILLS.get(fill)
  if (known?.bed === bed) return known.fill
  const live = { ...fill, spec: specOf(bed) }
  LIVE_FILLS.set(fill, { bed, fill: live })
  return live
}
/** A job with each fill as its bed is now; what the list no longer has stays as it last was. */
export const liveJob = (garden: Garden, job: Job): Job => ({
  ...job,
  fills: job.fills.map((fill) => {
    const bed = fill.bedId === null ? undefined : bedOf(garden, fill.bedId)
    return bed ? liveFill(fill, bed) : fill
  }),
})

/** A vessel as the core knows it. */
export const containerOf = ({ shape, headspace, base }: Vessel): Container => ({ shape, headspace, base })

/** The bed a job's mix is judged in. */
export const judgedBed = (job: Job): JobBed => job.fills.find((f) => f.id === job.judgedIn) ?? job.fills[0]!

/**
 * A job as one of its beds has it: judged there, with the crop of that bed where it has one of its own, and as many
 * plants. A bed with its own crop has no companions.
 */
export function inBed(job: Job, bed: JobBed): Job {
  const own = bed.cropId === null ? {} : { cropId: bed.cropId, companionIds: [], plants: null }
  const plants = bed.plants === null ? {} : { plants: bed.plants }
  return { ...job, ...own, ...plants, judgedIn: bed.id }
}
/** The same in the bed it is judged in; the job itself where that bed has nothing of its own. */
export function asJudged(job: Job): Job {
  const bed = judgedBed(job)
  return bed.cropId === null && bed.plants === null ? job : inBed(job, bed)
}

export {
  nextYearsJob,
  startingBed,
  startingJobBed,
  startingJob,
  startingPlace,
  startingSpec,
} from './starting'

export { specOf }
