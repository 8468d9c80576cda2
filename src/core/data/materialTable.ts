import materials from './materials.json'
import type { MaterialRow } from './types'

/** What a material is called. Apart from its figures, so that a page needing its name loads no more. */
export const MATERIAL_ROWS = materials as unknown as readonly MaterialRow[]

/**
 * A published material's name by its id; undefined where there is none.
 *
 * @example
 * materialName('coir_pith') // 'Coir pith (coconut dust), washed, hydrated loose'
 */
export const materialName = (id: string): string | undefined => MATERIAL_ROWS.find((m) => m.id === id)?.name
