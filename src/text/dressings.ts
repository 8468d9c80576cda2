import { dressingById } from '@/core/data/dressings'

/** Short name of a dressing: the part before its numbers or bracket. */
export const dressingName = (id: string): string =>
  (dressingById(id)?.name ?? id).replace(/\s*\(.*$/, '').replace(/\s+\d[\d.-]*$/, '')
