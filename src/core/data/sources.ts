import sources from './sources.json'
import type { Source } from './types'

/** A row of the tables by its id, as words: "peat medium". */
const rowName = (id: string) => id.replaceAll('_', ' ')

export const SOURCES = sources as Readonly<Record<string, Source>>

/** The citation behind a property's source key; keys of kindred rows read "worked out from …". */
export const citationOf = (key: string): string =>
  key.startsWith('family:')
    ? `worked out from the nearest rows of the ${key.slice(7)} family`
    : key.startsWith('like:')
      ? `as ${rowName(key.slice(5))} of the tables`
      : (SOURCES[key]?.citation ?? key)
