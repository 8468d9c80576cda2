import { bedSchema, type Bed } from './bed'
import { jobSchema, type Job } from './job'
import {
  dressingPackSchema,
  ownDressingSchema,
  ownMaterialSchema,
  type DressingPack,
  type OwnDressingRecord,
  type OwnMaterialRecord,
} from './own'
import { placeSchema, settingsSchema, type Place, type Settings } from './place'
import { recordSchema, type MixRecord } from './record'
import { bagSchema, shelfItemSchema, type Bag, type ShelfItem } from './shelf'

export * from './bed'
export * from './job'
export * from './own'
export * from './place'
export * from './recipe'
export * from './record'
export * from './shelf'

export const SCHEMAS = {
  bag: bagSchema,
  bed: bedSchema,
  dressing: ownDressingSchema,
  dressingPack: dressingPackSchema,
  job: jobSchema,
  material: ownMaterialSchema,
  place: placeSchema,
  record: recordSchema,
  shelf: shelfItemSchema,
  settings: settingsSchema,
} as const

/** Version each kind of record is written with today. Raise it together with a migration. */
export const SCHEMA_VERSIONS: Record<Kind, number> = {
  bag: 1,
  bed: 1,
  dressing: 1,
  dressingPack: 1,
  job: 7,
  material: 1,
  place: 2,
  record: 3,
  shelf: 1,
  settings: 1,
}

export type Kind = keyof typeof SCHEMAS
export const KINDS = Object.keys(SCHEMAS) as [Kind, ...Kind[]]
export interface DataOf {
  bag: Bag
  bed: Bed
  dressing: OwnDressingRecord
  dressingPack: DressingPack
  job: Job
  material: OwnMaterialRecord
  place: Place
  record: MixRecord
  shelf: ShelfItem
  settings: Settings
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
  if (key === 'settings' || key === 'place') return key
  const kind = /^(bag|bed|dressing|dressingPack|job|material|record|shelf)\/.+/.exec(key)?.[1]
  return kind ? (kind as Kind) : null
}
