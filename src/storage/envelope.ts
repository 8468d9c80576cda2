import { z } from 'zod'
import {
  idOf,
  idOfKey,
  kindOfKey,
  KINDS,
  SCHEMA_VERSIONS,
  SCHEMAS,
  type AnyData,
  type Kind,
} from '@/model/garden/schemas'
import { MIGRATIONS, type MigrationTable } from './migrations'

/** What lies in the store under each key. */
export const envelopeSchema = z.object({
  kind: z.enum(KINDS),
  schemaVersion: z.int().min(1),
  /** Counts the writes of this key, so that a tab can tell that another one wrote in between. */
  revision: z.int().min(0),
  savedAt: z.string(),
  data: z.unknown(),
})
export type Envelope = z.infer<typeof envelopeSchema>

/** Why a record could not be read: plain data, worded in src/text. */
export type Unreadable =
  | { code: 'not-ours'; key: string }
  | { code: 'broken'; key: string; where: string; message: string }
  | { code: 'newer-version'; key: string; version: number; known: number }

export type ReadResult =
  { ok: true; data: AnyData; revision: number; migrated: boolean } | { ok: false; why: Unreadable }

const firstIssue = (error: z.ZodError, prefix = '') => {
  const issue = error.issues[0]!
  return {
    where: [prefix, ...issue.path.map(String)].filter(Boolean).join('.') || 'the record itself',
    message: issue.message,
  }
}

/**
 * Reads one stored value: envelope, version, migrations, then the schema of its kind.
 * Never throws; what cannot be read is reported with the place and the reason.
 */
export function readEnvelope(
  key: string,
  raw: unknown,
  migrations: MigrationTable = MIGRATIONS,
  versions: Record<Kind, number> = SCHEMA_VERSIONS,
): ReadResult {
  const kind = kindOfKey(key)
  if (!kind) return { ok: false, why: { code: 'not-ours', key } }
  const envelope = envelopeSchema.safeParse(raw)
  if (!envelope.success) return { ok: false, why: { code: 'broken', key, ...firstIssue(envelope.error) } }
  const { schemaVersion, revision } = envelope.data
  if (envelope.data.kind !== kind)
    return {
      ok: false,
      why: { code: 'broken', key, where: 'kind', message: `${envelope.data.kind} under a ${kind} key` },
    }
  const known = versions[kind]
  if (schemaVersion > known)
    return { ok: false, why: { code: 'newer-version', key, version: schemaVersion, known } }
  let data: unknown = envelope.data.data
  for (let version = schemaVersion; version < known; version++) {
    const step = migrations[kind]?.[version]
    try {
      if (!step) throw new Error(`no way from version ${version} to ${version + 1}`)
      data = step(data)
    } catch (error) {
      if (error instanceof z.ZodError)
        return { ok: false, why: { code: 'broken', key, ...firstIssue(error, `version ${version}`) } }
      const message = error instanceof Error ? error.message : String(error)
      return { ok: false, why: { code: 'broken', key, where: `version ${version}`, message } }
    }
  }
  const parsed = SCHEMAS[kind].safeParse(data)
  if (!parsed.success) return { ok: false, why: { code: 'broken', key, ...firstIssue(parsed.error, 'data') } }
  if (idOf(parsed.data) !== idOfKey(key))
    return {
      ok: false,
      why: { code: 'broken', key, where: 'data.id', message: `it calls itself “${idOf(parsed.data)}”` },
    }
  return { ok: true, data: parsed.data, revision, migrated: schemaVersion < known }
}

/** Wraps data for the store. */
export function writeEnvelope(key: string, data: AnyData, revision: number, savedAt: string): Envelope {
  const kind = kindOfKey(key)
  if (!kind) throw new Error(`Open Bed is at fault: no kind for key ${key}`)
  return { kind, schemaVersion: SCHEMA_VERSIONS[kind], revision, savedAt, data }
}
