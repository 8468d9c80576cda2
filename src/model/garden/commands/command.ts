import type { Band } from '@/core/data'
import type { Target } from '@/core/targets'
import type {
  AnyData,
  Bag,
  Bed,
  BedSpec,
  DressingLine,
  DressingPack,
  Entry,
  BedYears,
  HeapRecord,
  InnerMix,
  Job,
  JobBed,
  LearnedShelf,
  LiquidFeedLine,
  LimeSetting,
  MixOrigin,
  MixRecord,
  OwnDressingRecord,
  OwnMaterialRecord,
  Photo,
  Place,
  Plan,
  Recipe,
  Settings,
  ShelfItem,
  Test,
  Version,
} from '../schemas'

export type StepList = 'readySteps' | 'readyAdded' | 'readyLeft' | 'filledSteps' | 'followedSteps'
export type MarkList = 'boughtWith' | 'bought' | 'otherwise' | 'tally' | 'readings' | 'corrections' | 'timers'
/** Shelf entries as they are to be. */
export interface ShelfChange {
  materials: ShelfItem[]
  dressings: DressingPack[]
}

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
  | {
      type: 'job/planting'
      jobId: string
      change: Partial<
        Pick<Job, 'plantMonth' | 'plants' | 'stage' | 'years' | 'origins' | 'plantedOn' | 'mixOn'>
      >
    }
  /** A step of getting ready, of filling or of the season, done or not; or one of getting ready added or left out. */
  | { type: 'steps/set'; jobId: string; list: StepList; step: string; done: boolean }
  /** A task on a day of its own; on the day worked out again where null. */
  | { type: 'step/move'; jobId: string; step: string; on: string | null }
  /** The feeds given with water; `what` for the undo button. */
  | { type: 'job/feeds'; jobId: string; feeds: LiquidFeedLine[]; what: string }
  /** How its plants are raised; `what` for the undo button. */
  | { type: 'job/raising'; jobId: string; raising: Job['raising']; what: string }
  /** How its water is treated; `what` for the undo button. */
  | { type: 'job/water'; jobId: string; water: Job['water']; what: string }
  /** What was bought, read, timed and made otherwise; `what` for the undo button. */
  | { type: 'job/marks'; jobId: string; change: Partial<Pick<Job, MarkList>>; what: string }
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
  /**
   * The bed itself: in the list too, where the fill follows one. Filled whole, it stays so when there are more of it.
   */
  | { type: 'jobBed/spec'; jobId: string; fillId: string; change: Partial<BedSpec> }
  /** Puts a container that stood in the job alone among the beds. */
  | { type: 'jobBed/list'; jobId: string; fillId: string; bedId: string; createdAt: string }
  /** Several pots under one name become so many, each noted by itself. */
  | { type: 'jobBed/split'; jobId: string; fills: JobBed[] }
  | { type: 'jobBed/remove'; jobId: string; fillId: string }
  /** Litres to make; null to fill the containers. */
  | { type: 'job/amount'; jobId: string; litres: number | null }
  | { type: 'job/plan'; jobId: string; plan: Partial<Plan> }
  | { type: 'job/note'; jobId: string; note: string }
  | { type: 'job/remove'; jobId: string }
  /** With what is left on the shelf. */
  | { type: 'job/finish'; jobId: string; record: MixRecord; shelf?: ShelfChange }
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
  | { type: 'dressing/remove'; jobId: string; lineId: string }
  /**
   * The whole recipe at once: a next move, the finder's answer, a version, a starter. What was there is kept where it
   * is not yet.
   */
  | {
      type: 'recipe/replace'
      jobId: string
      recipe: Recipe
      what: string
      keep?: Version
      /** Litres to make, where the recipe came with them. */
      amount?: number | null
      /** Measured by the mark, so that just that is made. */
      exact?: true
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
  | { type: 'dressingPack/set'; item: DressingPack }
  | { type: 'ownMaterial/set'; material: OwnMaterialRecord }
  | { type: 'ownDressing/set'; dressing: OwnDressingRecord }
  /** Several packs, prices or stocks at once; from a job, what was bought for it is on the shelf then. */
  | { type: 'shelf/put'; shelf: ShelfChange; what: string; jobId?: string }
  /** Lines of the log, new or changed. */
  | { type: 'entries/put'; entries: Entry[]; what: string }
  | { type: 'entry/remove'; entryId: string }
  | { type: 'units/set'; units: Settings['units'] }
  | { type: 'bed/years'; years: BedYears; what: string }
  | { type: 'heap/set'; heap: HeapRecord; what: string }
  | { type: 'heap/remove'; heapId: string }
  | { type: 'test/set'; test: Test; what: string }
  | { type: 'test/remove'; testId: string }
  /** What readings taught, as it is to be; null to forget all of it. */
  | { type: 'learned/set'; learned: LearnedShelf | null; what: string }
  | { type: 'photo/add'; photo: Photo }
  | { type: 'photo/remove'; photoId: string }
  | { type: 'garden/import'; changes: { key: string; after: AnyData }[] }

/** One record before and after; null where there was or will be none. */
export interface Change {
  key: string
  before: AnyData | null
  after: AnyData | null
}
