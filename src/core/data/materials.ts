import figures from './materialFigures.json'
import { MATERIAL_ROWS } from './materialTable'
import type { Tables } from './tables'
import type { Material, MaterialFigures } from './types'

// The files are checked against their Zod schemas when the app is built and by a test, so their shape can be trusted
// here.
const FIGURES = new Map(
  (figures as unknown as readonly (MaterialFigures & { material: string })[]).map(({ material, ...rest }) => [
    material,
    rest,
  ]),
)

/** Every material, with its figures. */
export const MATERIALS: readonly Material[] = MATERIAL_ROWS.map((row) => ({
  ...row,
  ...FIGURES.get(row.id)!,
}))

/**
 * A published material by its id; undefined where there is none.
 *
 * @example
 * materialById('peat_medium')?.family // 'peat'
 */
export const materialById = (id: string): Material | undefined => MATERIALS.find((m) => m.id === id)

/**
 * A material by its id, the rows of these tables before the published ones; undefined where there is none.
 *
 * @example
 * materialIn({ materials: [], dressings: [], learning: null }, 'peat_medium')?.family // 'peat'
 */
export const materialIn = ({ materials }: Pick<Tables, 'materials'>, id: string): Material | undefined =>
  materials.find((m) => m.id === id) ?? materialById(id)
