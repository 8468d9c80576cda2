import { jobV2, recordV2 } from './jobV2'
import type { Kind } from '@/model/schemas'

/** Takes data of one version to the next. Pure; throws with a sentence where the data cannot be taken over. */
export type Migration = (data: unknown) => unknown

/** For each kind, the step that leaves each version: `{ job: { 1: toVersion2 } }`. */
export type MigrationTable = Partial<Record<Kind, Record<number, Migration>>>

/** A new version gets its step here, a saved old file beside it and a test that reads that file. */
export const MIGRATIONS: MigrationTable = { job: { 1: jobV2 }, record: { 1: recordV2 } }
