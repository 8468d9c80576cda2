import type { Shown } from '../base/shown'

export const benchParts = {
  by: 'by',
  fromYourShelf: 'From your shelf',
  nothingInItYetMost:
    'Nothing in it yet. Most mixes are one part that holds water (peat, coir, leaf mould), one that opens it up (perlite, bark, pumice) and one that feeds (compost, castings).',
  isNotInTheMaterial: (materialId: Shown) => `“${materialId}” is not in the material tables.`,
  aWholePart: 'A whole part',
  halfAPart: 'Half a part',
  aThirdOfAPart: 'A third of a part',
  aQuarterOfAPart: 'A quarter of a part',
}
