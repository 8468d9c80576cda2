import materials from './materials.json'
import { ownRows } from './ownRows'
import type { Material } from './types'

// The files are checked against their Zod schemas when the app is built and by a test, so their shape can be trusted
// here.
export const MATERIALS = materials as unknown as readonly Material[]

/**
 * A material by its id, the grower's own before those of the tables; undefined where there is none.
 *
 * @example
 * materialById('peat_medium')?.family // 'peat'
 */
export const materialById = (id: string): Material | undefined =>
  ownRows().materials.find((m) => m.id === id) ?? MATERIALS.find((m) => m.id === id)
