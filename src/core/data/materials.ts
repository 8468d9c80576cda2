import figures from './materialFigures.json'
import { MATERIAL_ROWS } from './materialTable'
import { ownRows } from './ownRows'
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
 * A material by its id, the grower's own before those of the tables; undefined where there is none.
 *
 * @example
 * materialById('peat_medium')?.family // 'peat'
 */
export const materialById = (id: string): Material | undefined =>
  ownRows().materials.find((m) => m.id === id) ?? MATERIALS.find((m) => m.id === id)
