import { z } from 'zod/mini'
import type { Change } from '@/model/garden/commands'
import type { Garden } from '@/model/garden/garden'
import { sameData } from '@/model/garden/same'
import type { AnyData } from '@/model/garden/schemas'
import { readEnvelope, type Unreadable } from './envelope'
import { FILE_FORMAT, FILE_VERSION } from './exportFile'

const fileSchema = z.object({
  format: z.literal(FILE_FORMAT),
  formatVersion: z.int().check(z.minimum(1)),
  exportedAt: z.string(),
  // Read one by one: a fault in one record says nothing of the others.
  records: z.array(z.looseObject({ key: z.string() })),
  setAside: z.optional(z.array(z.unknown())),
})

export type FileProblem =
  | { code: 'file-not-json'; message: string }
  | { code: 'file-not-ours'; where: string }
  | { code: 'file-newer'; version: number; known: number }

/** What importing a file would do, before anything is touched. */
export interface ImportPreview {
  exportedAt: string
  added: Change[]
  changed: Change[]
  unchanged: number
  /** Records of the file that this Open Bed cannot read; they would be left out. The first hundred. */
  unreadable: Unreadable[]
  unreadableCount: number
  /** Keys that stand in the file more than once with different contents: the last of each is taken. */
  repeated: string[]
}
export type FileRead = { ok: true; preview: ImportPreview } | { ok: false; problem: FileProblem }

/** As many records of each kind of trouble are named; the rest are counted. */
const NAMED = 100

/**
 * Checks a file against the garden it would come into. Nothing is changed. A generator: yields the share done, for
 * showing and for cancelling between.
 */
export function* previewImport(text: string, garden: Garden): Generator<number, FileRead> {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch (error) {
    return { ok: false, problem: { code: 'file-not-json', message: (error as Error).message } }
  }
  const head = z.looseObject({ format: z.literal(FILE_FORMAT), formatVersion: z.int() }).safeParse(json)
  if (head.success && head.data.formatVersion > FILE_VERSION)
    return {
      ok: false,
      problem: { code: 'file-newer', version: head.data.formatVersion, known: FILE_VERSION },
    }
  const file = fileSchema.safeParse(json)
  if (!file.success) {
    const where = file.error.issues[0]!.path.map(String).join('.') || 'the top of the file'
    return { ok: false, problem: { code: 'file-not-ours', where } }
  }
  const { records, exportedAt } = file.data
  const preview: ImportPreview = {
    exportedAt,
    added: [],
    changed: [],
    unchanged: 0,
    unreadable: [],
    unreadableCount: 0,
    repeated: [],
  }
  const seen = new Map<string, AnyData>()
  for (const [i, { key, ...raw }] of records.entries()) {
    yield i / records.length
    const read = readEnvelope(key, raw)
    if (!read.ok) {
      preview.unreadableCount++
      if (preview.unreadable.length < NAMED) preview.unreadable.push(read.why)
      continue
    }
    const first = seen.get(key)
    if (first && !sameData(first, read.data) && !preview.repeated.includes(key)) preview.repeated.push(key)
    seen.set(key, read.data)
  }
  compareWith(garden, seen, preview)
  return { ok: true, preview }
}

/** Sorts records of a file into what a garden lacks, has otherwise and has already. */
export function compareWith(
  garden: Garden,
  records: Iterable<readonly [string, AnyData]>,
  preview: Pick<ImportPreview, 'added' | 'changed' | 'unchanged'>,
): void {
  for (const [key, after] of records) {
    const before = garden.get(key) ?? null
    if (before === null) preview.added.push({ key, before, after })
    else if (sameData(before, after)) preview.unchanged++
    else preview.changed.push({ key, before, after })
  }
}
