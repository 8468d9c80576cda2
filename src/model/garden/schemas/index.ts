import { bedSchema, type Bed } from './bed'
import { entrySchema, type Entry } from './entry'
import { bedYearsSchema, type BedYears } from './bedYears'
import { heapSchema, type HeapRecord } from './heap'
import { jobSchema, type Job } from './job'
import { learnedSchema, type LearnedShelf } from './learned'
import { ownDressingSchema, ownMaterialSchema, type OwnDressingRecord, type OwnMaterialRecord } from './own'
import { photoSchema, type Photo } from './photo'
import { placeSchema, settingsSchema, type Place, type Settings } from './place'
import { recordSchema, type MixRecord } from './record'
import {
  bagSchema,
  dressingPackSchema,
  shelfItemSchema,
  type Bag,
  type DressingPack,
  type ShelfItem,
} from './shelf'
import { testSchema, type Test } from './test'

export * from './bed'
export * from './entry'
export * from './bedYears'
export * from './heap'
export * from './job'
export * from './learned'
export * from './own'
export * from './photo'
export * from './place'
export * from './recipe'
export * from './record'
export * from './shelf'
export * from './test'

export const SCHEMAS = {
  bag: bagSchema,
  bed: bedSchema,
  dressing: ownDressingSchema,
  dressingPack: dressingPackSchema,
  entry: entrySchema,
  bedYears: bedYearsSchema,
  heap: heapSchema,
  job: jobSchema,
  learned: learnedSchema,
  material: ownMaterialSchema,
  photo: photoSchema,
  place: placeSchema,
  record: recordSchema,
  shelf: shelfItemSchema,
  settings: settingsSchema,
  test: testSchema,
} as const

/** Version each kind of record is written with today. Raise it together with a migration. */
export const SCHEMA_VERSIONS: Record<Kind, number> = {
  bag: 1,
  bed: 3,
  dressing: 1,
  dressingPack: 2,
  entry: 1,
  bedYears: 1,
  heap: 1,
  job: 16,
  learned: 1,
  material: 2,
  photo: 1,
  place: 5,
  record: 5,
  shelf: 3,
  settings: 5,
  test: 3,
}

/**
 * Versions that only added a field with a default, or one more choice: a record of the version before reads as it is.
 * Any other version has a step in `src/storage/migrations`.
 */
export const ONLY_ADDED: Partial<Record<Kind, readonly number[]>> = {
  /**
   * An amount as it was said; what grows in it and for how many years; where parts come from, what a floor bears; days
   * of tasks; liquid feeds; how its water is treated;
   * how its plants are raised; what sides were before.
   */
  job: [9, 10, 11, 12, 13, 14, 15, 16],
  /** What its floor bears; what its sides were before. */
  bed: [2, 3],
  /** Ions of a water report; roof and barrel. */
  place: [4, 5],
  /** What was said first of a mix. */
  record: [5],
  /** The address of labels; the sign of money. */
  settings: [4, 5],
  /** How much farther than the tables say readings stray. */
  shelf: [3],
  /** Laboratory reports; metals; reports on field soil. */
  test: [2, 3],
}

export type Kind = keyof typeof SCHEMAS
export const KINDS = Object.keys(SCHEMAS) as [Kind, ...Kind[]]
export interface DataOf {
  bag: Bag
  bed: Bed
  dressing: OwnDressingRecord
  dressingPack: DressingPack
  entry: Entry
  bedYears: BedYears
  heap: HeapRecord
  job: Job
  learned: LearnedShelf
  material: OwnMaterialRecord
  photo: Photo
  place: Place
  record: MixRecord
  shelf: ShelfItem
  settings: Settings
  test: Test
}
export type AnyData = DataOf[Kind]

/** What a record is called by in its key; null for those there is one of. */
export const idOfKey = (key: string): string | null => /^[a-zA-Z]+\/(.+)$/s.exec(key)?.[1] ?? null

/** What a record calls itself; null for those there is one of. */
export function idOf(data: AnyData): string | null {
  if ('id' in data) return data.id
  if ('dressingId' in data) return data.dressingId
  return 'materialId' in data ? data.materialId : null
}

/** Kind of a record from its key ("job/abc", "settings"), or null for keys that are not ours. */
export function kindOfKey(key: string): Kind | null {
  if (key === 'settings' || key === 'place' || key === 'learned') return key
  const kind =
    /^(bag|bed|bedYears|dressing|dressingPack|entry|heap|job|material|photo|record|shelf|test)\/.+/.exec(
      key,
    )?.[1]
  return kind ? (kind as Kind) : null
}
