import type { Garden } from '@/model/garden/garden'
import { writeEnvelope } from './envelope'
import { isSetAsideKey, listSetAside, type SetAside } from './setAside'

export const FILE_FORMAT = 'open-bed-garden'
export const FILE_VERSION = 1

/** One file with everything: records in their envelopes, and what lies set aside, raw. */
export function exportFile(garden: Garden, setAside: readonly SetAside[], at: string): string {
  const records = [...garden]
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([key, data]) => ({ key, ...writeEnvelope(key, data, 0, at) }))
  return JSON.stringify(
    { format: FILE_FORMAT, formatVersion: FILE_VERSION, exportedAt: at, records, setAside },
    null,
    1,
  )
}

/** What lies in a store as it lies there, in the form of a garden file: for when the garden cannot be opened. */
export function exportRaw(entries: readonly (readonly [string, unknown])[], at: string): string {
  const records = entries
    .filter(([key]) => !isSetAsideKey(key))
    .map(([key, raw]) => (raw !== null && typeof raw === 'object' ? { key, ...raw } : { key, raw }))
  const setAside = listSetAside(entries)
  return JSON.stringify(
    { format: FILE_FORMAT, formatVersion: FILE_VERSION, exportedAt: at, records, setAside },
    null,
    1,
  )
}
