import { prepareMaterial, type PreparedMaterial } from '@/core/mixing'
import { materialById } from '@/core/data'

const prepared = new Map<string, PreparedMaterial>()

/** A material ready for blending, worked out once for each. */
export function preparedMaterial(id: string): PreparedMaterial | undefined {
  let found = prepared.get(id)
  if (!found) {
    const material = materialById(id)
    if (!material) return undefined
    found = prepareMaterial(material)
    prepared.set(id, found)
  }
  return found
}
