import type { Dressing } from '@/core/data'
import { DRESSINGS } from '@/core/data/dressings'

/** A dressing of the tables by id. Apart from the materials, for the first page names none. */
export const dressingById = (id: string): Dressing | undefined => DRESSINGS.find((d) => d.id === id)
