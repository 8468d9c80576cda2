import type { MaterialFamily } from '@/core/data'

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
export const FAMILY_WORDS: Partial<Record<MaterialFamily, string>> = {
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

/** What is widely said of a material and is not so, with what it is and on whose word. */
const MISTAKEN: Readonly<Record<string, string>> = {
  sphagnum_moss_long:
    'Often sold as neutral. It is acid: live and dried sphagnum holds pH 3.5 to 5 in water (Clymo 1963, Annals of Botany 27:309-324, from memory; common practice).',
  coir_pith:
    'Often sold as pH-neutral. It lies between 5 and 6.8 and drifts up as it is washed (Evans, Konduru & Stamps 1996, from memory).',
  biochar_raw:
    'Often praised for holding feed at once. Fresh char is alkaline and takes nitrogen until it is charged (Lehmann & Joseph, from memory).',
}
/** A word against what is widely said of it; nothing where nothing is. */
export const mistakenText = (materialId: string): string => MISTAKEN[materialId] ?? ''
