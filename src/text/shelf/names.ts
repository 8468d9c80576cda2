import type { Crop, Dressing, Material } from '@/core/data'
import { FAMILY_NAMES, FAMILY_WORDS } from './materials'
import names from './names.json'
import type { Findable } from './search'

const NAMES: Readonly<Record<string, { names: readonly string[]; beware?: string }>> = names

/** Everyday names of a material, dressing or crop, with what people call it elsewhere. Common practice. */
export const namesOf = (id: string): readonly string[] => NAMES[id]?.names ?? []

/** What an everyday name is taken for by mistake; nothing where it is not. */
export const bewareText = (id: string): string => {
  const beware = NAMES[id]?.beware
  return beware ? `${beware.charAt(0).toUpperCase()}${beware.slice(1)}.` : ''
}

export const materialFindable = (m: Material): Findable => ({
  name: m.name,
  words: [...namesOf(m.id), FAMILY_NAMES[m.family], FAMILY_WORDS[m.family] ?? ''],
})
export const dressingFindable = (d: Dressing): Findable => ({ name: d.name, words: namesOf(d.id) })
export const cropFindable = (c: Crop): Findable => ({ name: c.name, words: [c.latin, ...namesOf(c.id)] })

const FEW = 3
/** "fine peat, coir pith, bark…": the first few of a list. */
export const someOf = (names: readonly string[]): string =>
  `${names.slice(0, FEW).join(', ')}${names.length > FEW ? '…' : ''}`
