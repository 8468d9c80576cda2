import { jobV2 } from './job.v2'
import { jobV3 } from './job.v3'
import { jobV4 } from './job.v4'
import { jobV5 } from './job.v5'
import { jobV6 } from './job.v6'
import { jobV7 } from './job.v7'
import { jobV8 } from './job.v8'
import { dressingPackV2 } from './dressingPack.v2'
import { materialV2 } from './material.v2'
import { placeV2 } from './place.v2'
import { placeV3 } from './place.v3'
import { recordV2 } from './record.v2'
import { recordV3 } from './record.v3'
import { recordV4 } from './record.v4'
import { settingsV2 } from './settings.v2'
import { settingsV3 } from './settings.v3'
import { shelfV2 } from './shelf.v2'
import { ONLY_ADDED, type Kind } from '@/model/garden/schemas'

/** Takes data of one version to the next. Pure; throws with a sentence where the data cannot be taken over. */
export type Migration = (data: unknown) => unknown

/** For each kind, the step that leaves each version: `{ job: { 1: toVersion2 } }`. */
export type MigrationTable = Partial<Record<Kind, Record<number, Migration>>>

/** A new version that changes what was there gets its step here and a saved old file beside it. */
export const STEPS: MigrationTable = {
  dressingPack: { 1: dressingPackV2 },
  job: { 1: jobV2, 2: jobV3, 3: jobV4, 4: jobV5, 5: jobV6, 6: jobV7, 7: jobV8 },
  material: { 1: materialV2 },
  place: { 1: placeV2, 2: placeV3 },
  record: { 1: recordV2, 2: recordV3, 3: recordV4 },
  settings: { 1: settingsV2, 2: settingsV3 },
  shelf: { 1: shelfV2 },
}

/** The steps, and for each version that only added something one that leaves the data as they are. */
export function withAdded(steps: MigrationTable, added: typeof ONLY_ADDED): MigrationTable {
  const asItIs: Migration = (data) => data
  const all = { ...steps }
  for (const [kind, versions] of Object.entries(added) as [Kind, readonly number[]][])
    all[kind] = { ...all[kind], ...Object.fromEntries(versions.map((v) => [v - 1, asItIs])) }
  return all
}

export const MIGRATIONS = withAdded(STEPS, ONLY_ADDED)
