import type { Material } from '../data/types'
import { prepareMaterial, type PreparedMaterial } from './blend'

const PREPARED = new WeakMap<Material, PreparedMaterial>()

/**
 * A material ready for blending, worked out once for each row: fitting its curve takes longer than blending it.
 *
 * @example
 * preparedMaterial(materialById('peat_medium')) === preparedMaterial(materialById('peat_medium')) // true
 */
export function preparedMaterial(row: Material): PreparedMaterial {
  const known = PREPARED.get(row)
  if (known) return known
  const prepared = prepareMaterial(row)
  PREPARED.set(row, prepared)
  return prepared
}
