import { z } from 'zod/mini'
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
import { misfitIn, type Misfit } from '@/model/garden/schemas/misfit'
import { MIGRATIONS, type MigrationTable } from './migrations'

/** What lies in the store under each key. */
export const envelopeSchema = z.object({
  kind: z.enum(KINDS),
  schemaVersion: z.int().check(z.minimum(1)),
  /** Counts the writes of this key, so that a tab can tell that another one wrote in between. */
  revision: z.int().check(z.minimum(0)),
  savedAt: z.string(),
  /** Of the data as they were written, in the store alone. */
  checksum: z.optional(z.int()),
  data: z.unknown(),
})
export type Envelope = z.infer<typeof envelopeSchema>

/** What else can be wrong with a stored value: its name, its kind, or what went wrong in reading it. */
export type Odd =
  | { code: 'other-name'; name: string }
  | { code: 'other-kind'; kind: Kind; key: Kind }
  | { code: 'fault'; words: string }

/** Why a record could not be read: plain data, worded in src/text. */
export type Unreadable =
  | { code: 'not-ours'; key: string }
  | { code: 'broken'; key: string; where: string; misfit: Misfit | Odd }
  | { code: 'newer-version'; key: string; version: number; known: number }

export type ReadResult =
  | { ok: true; data: AnyData; revision: number; migrated: boolean }
  | { ok: false; why: Unreadable }

/**
 * Fowler, Noll and Vo's hash 1a of 32 bits, over the code units of a text. Source: draft-eastlake-fnv; the published
 * values hold for ASCII.
 */
export function fnv1a(text: string): number {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return hash >>> 0
}
const checksumOf = (data: unknown) => fnv1a(JSON.stringify(data) ?? '')

const misfitOfRecord = (given: unknown, error: z.core.$ZodError, prefix = '') => {
  const { path, misfit } = misfitIn(given, error.issues)
  return { where: [prefix, ...path].filter(Boolean).join('.') || 'the record itself', misfit }
}

export interface Reading {
  migrations?: MigrationTable
  versions?: Record<Kind, number>
  /** From the garden's own store, where a record with a sound checksum is as this page would write it. */
  isOwn?: boolean
}

/**
 * Reads one stored value: envelope, version, migrations, then the schema of its kind.
 * Never throws; what cannot be read is reported with the place and the reason.
 */
export function readEnvelope(key: string, raw: unknown, reading: Reading = {}): ReadResult {
  const { migrations = MIGRATIONS, versions = SCHEMA_VERSIONS, isOwn = false } = reading
  const kind = kindOfKey(key)
  if (!kind) return { ok: false, why: { code: 'not-ours', key } }
  if (isOwn && isSealed(raw, kind, idOfKey(key), versions[kind]))
    return { ok: true, data: raw.data, revision: raw.revision, migrated: false }
  const envelope = envelopeSchema.safeParse(raw)
  if (!envelope.success)
    return { ok: false, why: { code: 'broken', key, ...misfitOfRecord(raw, envelope.error) } }
  const { schemaVersion, revision } = envelope.data
  if (envelope.data.kind !== kind)
    return {
      ok: false,
      why: {
        code: 'broken',
        key,
        where: 'kind',
        misfit: { code: 'other-kind', kind: envelope.data.kind, key: kind },
      },
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
      if (error instanceof z.core.$ZodError)
        return {
          ok: false,
          why: { code: 'broken', key, ...misfitOfRecord(data, error, `version ${version}`) },
        }
      const misfit: Odd = { code: 'fault', words: error instanceof Error ? error.message : String(error) }
      return { ok: false, why: { code: 'broken', key, where: `version ${version}`, misfit } }
    }
  }
  const parsed = SCHEMAS[kind].safeParse(data)
  if (!parsed.success)
    return { ok: false, why: { code: 'broken', key, ...misfitOfRecord(data, parsed.error, 'data') } }
  if (idOf(parsed.data) !== idOfKey(key))
    return {
      ok: false,
      why: {
        code: 'broken',
        key,
        where: 'data.id',
        misfit: { code: 'other-name', name: String(idOf(parsed.data)) },
      },
    }
  return { ok: true, data: parsed.data, revision, migrated: schemaVersion < known }
}

type Sealed = Envelope & { data: AnyData; checksum: number }
/** Kinds that come by the thousand, and are checked before they are written. */
const MANY: ReadonlySet<Kind> = new Set<Kind>(['bed', 'entry', 'job', 'photo', 'record'])

/** An envelope for the store, so that its data need not be checked again while nothing touches them. */
export const sealed = (envelope: Envelope): Envelope =>
  MANY.has(envelope.kind) ? { ...envelope, checksum: checksumOf(envelope.data) } : envelope

/** Is it as this version of its schema was written, and untouched since? */
function isSealed(raw: unknown, kind: Kind, id: string | null, version: number): raw is Sealed {
  if (typeof raw !== 'object' || raw === null || !MANY.has(kind)) return false
  const { kind: as, schemaVersion, revision, checksum, data } = raw as Partial<Sealed>
  if (as !== kind || schemaVersion !== version || !Number.isInteger(revision)) return false
  if (typeof data !== 'object' || data === null) return false
  return idOf(data) === id && checksum !== undefined && checksum === checksumOf(data)
}

/** Was it written by a newer Open Bed than this one? */
export function isNewer(key: string, raw: unknown): boolean {
  const kind = kindOfKey(key)
  const envelope = envelopeSchema.safeParse(raw)
  return kind !== null && envelope.success && envelope.data.schemaVersion > SCHEMA_VERSIONS[kind]
}

/** Wraps data for the store. */
export function writeEnvelope(key: string, data: AnyData, revision: number, savedAt: string): Envelope {
  const kind = kindOfKey(key)
  if (!kind) throw new Error(`Open Bed is at fault: no kind for key ${key}`)
  return { kind, schemaVersion: SCHEMA_VERSIONS[kind], revision, savedAt, data }
}
