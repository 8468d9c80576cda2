import { KeptGarden } from './keptGarden'
import { once } from './once'
import { specOf } from './schemas/bedFields'
import type { Container } from '@/core/geometry'
import type {
  AnyData,
  Bag,
  Bed,
  BedYears,
  DressingPack,
  Entry,
  HeapRecord,
  Job,
  JobBed,
  Kind,
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
export const bedYearsKey = (bedId: string) => `bedYears/${bedId}`
export const heapKey = (id: string) => `heap/${id}`
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
  currency: '',
}
export const settingsOf = (garden: Garden) =>
  (garden.get(SETTINGS_KEY) as Settings | undefined) ?? DEFAULT_SETTINGS

/** The records of a kind; of a garden that is no `KeptGarden` they are looked for anew each time. */
const ofKind = (garden: Garden, kind: Kind) =>
  (garden instanceof KeptGarden ? garden : KeptGarden.of(garden)).ofKind(kind)

/** A list made of the records of one kind, made once for as long as they are the same. */
function listed<T, L>(kind: Kind, make: (records: T[]) => L): (garden: Garden) => L {
  const known = new WeakMap<ReadonlyMap<string, AnyData>, L>()
  return (garden) => once(known, ofKind(garden, kind), (records) => make([...records.values()] as T[]))
}

/** As people read names; days, times and ids are compared letter by letter, which is many times quicker. */
const byName = new Intl.Collator().compare
const byText = (a: string, b: string) => (a < b ? -1 : a > b ? 1 : 0)

/** By name, then as they came. */
export const bedsOf = listed('bed', (beds: Bed[]): readonly Bed[] =>
  beds.sort((a, b) => byName(a.name, b.name) || byText(a.createdAt, b.createdAt) || byText(a.id, b.id)),
)

/** By name. */
export const bagsOf = listed('bag', (bags: Bag[]): readonly Bag[] =>
  bags.sort((a, b) => byName(a.name, b.name) || byText(a.id, b.id)),
)

/** Records by the job they are of, each list in order. */
function byJob<T extends { jobId: string }>(list: readonly T[], order: (a: T, b: T) => number) {
  const found = new Map<string, T[]>()
  for (const one of list) {
    const others = found.get(one.jobId)
    if (others) others.push(one)
    else found.set(one.jobId, [one])
  }
  for (const some of found.values()) some.sort(order)
  return found as ReadonlyMap<string, readonly T[]>
}
const entriesByJob = listed('entry', (entries: Entry[]) =>
  byJob(entries, (a, b) => byText(b.at, a.at) || byText(a.id, b.id)),
)
const photosByJob = listed('photo', (photos: Photo[]) =>
  byJob(photos, (a, b) => byText(a.takenAt, b.takenAt) || byText(a.id, b.id)),
)
const NO_ENTRIES: readonly Entry[] = []
const NO_PHOTOS: readonly Photo[] = []

/** What was noted of a job in its season, newest first. */
export const entriesOf = (garden: Garden, jobId: string) => entriesByJob(garden).get(jobId) ?? NO_ENTRIES
/** Every line of every log. */
export const allEntriesOf = listed('entry', (entries: Entry[]): readonly Entry[] => entries)

/** Keys of what is nothing without its job or field test: the lines of its log and its photos. */
export const belongingsOf = (garden: Garden, jobId: string): string[] => [
  ...entriesOf(garden, jobId).map(({ id }) => entryKey(id)),
  ...photosOf(garden, jobId).map(({ id }) => photoKey(id)),
]

/** What the grower says of a bed's years, the oldest first. */
export const bedYearsOf = (garden: Garden, bedId: string): BedYears['years'] =>
  (garden.get(bedYearsKey(bedId)) as BedYears | undefined)?.years ?? []

/** Heaps, the newest first. */
export const heapsOf = listed('heap', (heaps: HeapRecord[]): readonly HeapRecord[] =>
  heaps.sort((a, b) => byText(b.builtOn, a.builtOn) || byText(b.createdAt, a.createdAt)),
)

/** Field tests, the latest begun first. */
export const testsOf = listed('test', (tests: Test[]): readonly Test[] =>
  tests.sort((a, b) => byText(b.startedAt, a.startedAt) || byText(a.id, b.id)),
)
export const testOf = (garden: Garden, id: string) => garden.get(testKey(id)) as Test | undefined
/** What readings have taught; undefined until something was learned. */
export const learnedOf = (garden: Garden) => garden.get(LEARNED_KEY) as LearnedShelf | undefined

/** Photos of a job or a field test, oldest first. */
export const photosOf = (garden: Garden, jobId: string) => photosByJob(garden).get(jobId) ?? NO_PHOTOS
/** How many photos there are of all jobs. */
export const photoCount = (garden: Garden) => ofKind(garden, 'photo').size

export const dressingPacksOf = listed(
  'dressingPack',
  (packs: DressingPack[]): readonly DressingPack[] => packs,
)

/** The grower's own materials and dressings, by name. */
export const ownMaterialsOf = listed('material', (own: OwnMaterialRecord[]): readonly OwnMaterialRecord[] =>
  own.sort((a, b) => byName(a.name, b.name) || byText(a.id, b.id)),
)
export const ownDressingsOf = listed('dressing', (own: OwnDressingRecord[]): readonly OwnDressingRecord[] =>
  own.sort((a, b) => byName(a.name, b.name) || byText(a.id, b.id)),
)

/** What the grower's own materials and dressings are called, by id. */
export const ownNames = (garden: Garden): Map<string, string> =>
  new Map([
    ...ownMaterialsOf(garden).map((m): [string, string] => [m.id, ownMaterialName(m)]),
    ...ownDressingsOf(garden).map((d): [string, string] => [d.id, ownDressingName(d)]),
  ])
/** What is shown of one that was given no name. */
export const ownMaterialName = ({ name }: Pick<OwnMaterialRecord, 'name'>) => name.trim() || 'My material'
export const ownDressingName = ({ name }: Pick<OwnDressingRecord, 'name'>) => name.trim() || 'My feed'

/** Newest first. */
export const jobsOf = listed('job', (jobs: Job[]): readonly Job[] =>
  jobs.sort((a, b) => byText(b.createdAt, a.createdAt) || byText(a.id, b.id)),
)
export const recordsOf = listed('record', (records: MixRecord[]): readonly MixRecord[] =>
  records.sort((a, b) => byText(b.madeOn, a.madeOn) || byText(a.id, b.id)),
)

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

export { specOf }
