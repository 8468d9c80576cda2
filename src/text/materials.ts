import type { Material, MaterialFamily } from '@/core/data'

export const FAMILY_NAMES: Record<MaterialFamily, string> = {
  peat: 'Peat and moss',
  coir: 'Coir',
  bark: 'Bark',
  wood: 'Wood',
  compost: 'Compost',
  manure: 'Manure',
  char: 'Biochar',
  hull: 'Hulls',
  soil: 'Soil',
  sand: 'Sand',
  aggregate: 'Stone and grit',
  perlite: 'Perlite',
  vermiculite: 'Vermiculite',
  mineral: 'Minerals',
  mix: 'Ready mixes',
}

/** Words growers search by that are in no name. */
const ALSO: Partial<Record<MaterialFamily, string>> = {
  peat: 'organic moisture',
  coir: 'peat-free coconut organic moisture',
  bark: 'peat-free opening organic',
  wood: 'peat-free organic',
  compost: 'peat-free nutrient organic food',
  manure: 'peat-free nutrient organic food',
  char: 'peat-free charcoal',
  hull: 'peat-free opening rice',
  soil: 'peat-free loam earth',
  sand: 'opening drainage',
  aggregate: 'opening drainage gravel',
  perlite: 'opening drainage light',
  vermiculite: 'moisture light',
  mineral: 'mineral',
  mix: 'potting compost ready bagged',
}

/** Does a material answer to every word of a search? */
export function matches(material: Material, search: string): boolean {
  const text =
    `${material.name} ${FAMILY_NAMES[material.family]} ${ALSO[material.family] ?? ''}`.toLowerCase()
  return search
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word))
}
