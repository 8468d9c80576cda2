import { bedSchema, type Bed } from './bed'
import { jobSchema, type Job } from './job'
import { placeSchema, settingsSchema, type Place, type Settings } from './place'
import { recordSchema, type MixRecord } from './record'
import { bagSchema, shelfItemSchema, type Bag, type ShelfItem } from './shelf'

export * from './bed'
export * from './job'
export * from './place'
export * from './recipe'
export * from './record'
export * from './shelf'

export const SCHEMAS = {
  bag: bagSchema,
  bed: bedSchema,
  job: jobSchema,
  place: placeSchema,
  record: recordSchema,
  shelf: shelfItemSchema,
  settings: settingsSchema,
} as const

/** Version each kind of record is written with today. Raise it together with a migration. */
export const SCHEMA_VERSIONS: Record<Kind, number> = {
  bag: 1,
  bed: 1,
  job: 6,
  place: 2,
  record: 3,
  shelf: 1,
  settings: 1,
}

export type Kind = keyof typeof SCHEMAS
export interface DataOf {
  bag: Bag
  bed: Bed
  job: Job
  place: Place
  record: MixRecord
  shelf: ShelfItem
  settings: Settings
}
export type AnyData = DataOf[Kind]

/** What a record is called by in its key; null for those there is one of. */
export const idOfKey = (key: string): string | null => /^[a-z]+\/(.+)$/s.exec(key)?.[1] ?? null

/** What a record calls itself; null for those there is one of. */
export function idOf(data: AnyData): string | null {
  if ('id' in data) return data.id
  return 'materialId' in data ? data.materialId : null
}

/** Kind of a record from its key ("job/abc", "settings"), or null for keys that are not ours. */
export function kindOfKey(key: string): Kind | null {
  if (key === 'settings' || key === 'place') return key
  const kind = /^(bag|bed|job|record|shelf)\/.+/.exec(key)?.[1]
  return kind ? (kind as Kind) : null
}
