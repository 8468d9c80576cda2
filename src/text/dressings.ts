import { isOwn } from '@/core/data/ownRows'
import { dressingById } from '@/core/data/dressings'

/** Short name of a dressing: the part before its numbers or bracket; the grower's own as it was given. */
export const dressingName = (id: string): string =>
  isOwn(id)
    ? (dressingById(id)?.name ?? 'a feed of your own')
    : (dressingById(id)?.name ?? id).replace(/\s*\(.*$/, '').replace(/\s+\d[\d.-]*$/, '')
