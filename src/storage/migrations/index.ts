import { jobV2 } from './job.v2'
import { jobV3 } from './job.v3'
import { jobV4 } from './job.v4'
import { jobV5 } from './job.v5'
import { jobV6 } from './job.v6'
import { jobV7 } from './job.v7'
import { placeV2 } from './place.v2'
import { recordV2 } from './record.v2'
import { recordV3 } from './record.v3'
import type { Kind } from '@/model/garden/schemas'

/** Takes data of one version to the next. Pure; throws with a sentence where the data cannot be taken over. */
export type Migration = (data: unknown) => unknown

/** For each kind, the step that leaves each version: `{ job: { 1: toVersion2 } }`. */
export type MigrationTable = Partial<Record<Kind, Record<number, Migration>>>

/** A new version gets its step here, a saved old file beside it and a test that reads that file. */
export const MIGRATIONS: MigrationTable = {
  job: { 1: jobV2, 2: jobV3, 3: jobV4, 4: jobV5, 5: jobV6, 6: jobV7 },
  place: { 1: placeV2 },
  record: { 1: recordV2, 2: recordV3 },
}
