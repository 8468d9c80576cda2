import { materialName as publishedName } from '@/core/data/materialTable'

/**
 * What the grower's own materials and dressings are called, by id. Sentences name them; the store hears of every change
 * and says so here. Names alone: figures come with what is asked.
 */
let names: ReadonlyMap<string, string> = new Map()
export function setOwnNames(own: ReadonlyMap<string, string>): void {
  names = own
}

/** The name a grower gave; undefined where there is none. */
export const ownName = (id: string): string | undefined => names.get(id)

/** A material's name by its id, the grower's own among them; undefined where there is none. */
export const materialName = (id: string): string | undefined => ownName(id) ?? publishedName(id)
