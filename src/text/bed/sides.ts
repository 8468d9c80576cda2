import type { BedSpec } from '@/model/garden/schemas'
import type { Caution } from '../base/cautions'

type Was = BedSpec['sidesWere']
/** What sides may have been, as a grower would say it. */
export const SIDES_NAMES: Record<Was, string> = {
  notSaid: 'not known',
  sound: 'new or known to be clean',
  copperTimber: 'treated timber, since about 2004 (copper)',
  arsenicTimber: 'treated timber, before 2004, greenish (arsenic)',
  sleepers: 'railway sleepers or poles (creosote, tar)',
  paint: 'painted or varnished wood',
  pallet: 'pallets',
  galvanised: 'galvanised steel',
  lead: 'lead, copper or old solder',
  glaze: 'glazed inside, of unknown make',
  drum: 'a drum or tank',
  tyres: 'tyres',
}
/**
 * Whether food may grow in it, and what to do. Source: extension bulletins on raised beds, EU REACH XVII (from memory).
 */
export const SIDES_SAY: Record<Was, string> = {
  notSaid: '',
  sound: 'Nothing to line.',
  copperTimber: 'Fit for food. Line the inside, plant 5 cm off, and never burn it or use its ash.',
  arsenicTimber:
    'Not beside food. Where the bed is there already, test its soil, line it, and keep root crops 30 cm off. Never burn, sand or chip it.',
  sleepers: 'Not for food: creosote seeps for decades. New, untreated oak sleepers are fine.',
  paint:
    'Old coats may hold lead (before about 1978 in the US, 1992 in the UK): have one tested, or leave it.',
  pallet: 'Only clean, unpainted ones stamped HT. None stamped MB, and none with spills or a smell.',
  galvanised: 'Fit for food from pH 6 up: zinc dissolves in an acid mix. Not for blueberries.',
  lead: 'Not for food.',
  glaze: 'A glaze inside may hold lead or cadmium: line it, or grow flowers in it.',
  drum: 'Only one that is known to have held food. One of oil, solvent or pesticide never, however well it is washed.',
  tyres: 'Better not for food: they give off zinc and oils, and count as waste in many places.',
}
/** What food should not grow beside before somebody has been asked. */
const DOUBTFUL: ReadonlySet<Was> = new Set<Was>([
  'arsenicTimber',
  'sleepers',
  'paint',
  'pallet',
  'lead',
  'glaze',
  'drum',
  'tyres',
])

/** The caution of a bed whose sides are doubtful; none of one that is fit for food, or of which nothing is said. */
export function sidesCaution({ sidesWere }: Pick<BedSpec, 'sidesWere'>): Caution[] {
  if (!DOUBTFUL.has(sidesWere)) return []
  return [
    {
      id: `sides ${sidesWere}`,
      title: 'Sides of the bed',
      text: `Its sides: ${SIDES_NAMES[sidesWere]}. ${SIDES_SAY[sidesWere]}`,
      ask: 'your environmental health office; a soil laboratory',
    },
  ]
}
