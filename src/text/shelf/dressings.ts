import { isOwn } from '@/core/data/tables'
import { dressingById } from '@/core/data/dressings'
import { materialName, ownName } from './ownNames'

/** Short name of a dressing: the part before its numbers or bracket; the grower's own as it was given. */
export const dressingName = (id: string): string =>
  isOwn(id)
    ? (ownName(id) ?? 'a feed of your own')
    : (dressingById(id)?.name ?? materialName(id) ?? id).replace(/\s*\(.*$/, '').replace(/\s+\d[\d.-]*$/, '')

/** The same with the numbers of its label, as it is asked for in a shop: "Soluble feed 20-20-20". */
export const feedName = (id: string): string =>
  isOwn(id) ? dressingName(id) : (dressingById(id)?.name ?? dressingName(id)).replace(/\s*\(.*?\)/, '')
