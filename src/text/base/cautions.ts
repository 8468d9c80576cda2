import type { Dressing, Material } from '@/core/data'

export interface Caution {
  id: string
  title: string
  text: string
  /** Who to ask. */
  ask: string
}

/** The first sentence of a caution, which says what to do, and what follows it. */
export function ruleOf({ text }: Caution): { rule: string; rest: string } {
  const end = text.search(/[.!?] [A-Z]/)
  return end < 0 ? { rule: text, rest: '' } : { rule: text.slice(0, end + 1), rest: text.slice(end + 2) }
}

const CAUTIONS = {
  dust: {
    id: 'dust',
    title: 'Dust',
    text: 'Wet perlite, vermiculite, pumice, rock dust and dry sand in the bag before pouring, pour low, work outdoors and wear a fitted dust mask (FFP2, N95 or P2). Some mineral dusts hold silica, which scars lungs.',
    ask: 'the safety data sheet; your occupational health agency',
  },
  legionella: {
    id: 'legionella',
    title: 'Legionella',
    text: 'Open bags of compost, bark and ready mix slowly and away from your face, damp them down, and wash your hands before eating. Wear a mask if you are over 50, smoke, or have weak lungs or a weak immune system. Fever or a cough afterwards: see a doctor and say that you handled mix.',
    ask: 'your public health agency; a doctor',
  },
  fibreDust: {
    id: 'fibreDust',
    title: 'Dust of peat, coir and hulls',
    text: 'Dry peat, coir and hulls raise a dust that irritates eyes and lungs: damp them in the bag, or wear a mask.',
    ask: 'the bag’s safety data sheet; a doctor for asthma',
  },
  asbestos: {
    id: 'asbestos',
    title: 'Old vermiculite',
    text: 'Loose vermiculite from a loft, or bought before 1990, may hold asbestos: do not open or stir it. Vermiculite sold today is tested.',
    ask: 'a licensed laboratory; your local health department',
  },
  rubble: {
    id: 'rubble',
    title: 'Bricks and rubble',
    text: 'Take clean, unpainted brick or tile. Old rubble may hold asbestos cement and lead paint: never crush it yourself.',
    ask: 'your local waste authority',
  },
  moulds: {
    id: 'moulds',
    title: 'Stored wood chips',
    text: 'A heap of chips or bark that steams or smells musty is full of mould spores: damp it before you turn it, stand upwind and wear a mask.',
    ask: 'a doctor, if you cough or feel feverish afterwards',
  },
  movedSoil: {
    id: 'movedSoil',
    title: 'Moving soil',
    text: 'Soil carries clubroot, eelworms and weeds from one garden to another, and some land may not lose any: take it only from ground you know, and clean your tools.',
    ask: 'your plant health service',
  },
  lime: {
    id: 'lime',
    title: 'Lime',
    text: 'Ground limestone and dolomite are dusts: spread low, with the wind behind you, and keep them out of eyes. Never mix lime with ammonium feeds, urea or fresh manure indoors: ammonia is given off.',
    ask: 'the bag’s safety data sheet; a poison centre',
  },
  burns: {
    id: 'burns',
    title: 'Hydrated lime and wood ash',
    text: 'They burn eyes and skin, more so when wet: goggles, gloves and sleeves, no bare hands in the mix, and water at hand. Wait two weeks and test the pH before planting. No ash of painted or treated wood, or of coal.',
    ask: 'the bag’s safety data sheet; for a burn or lime in the eye, rinse at once and call a doctor',
  },
  manure: {
    id: 'manure',
    title: 'Manure',
    text: 'Manure that is not proven composted can carry E. coli and Salmonella: 120 days before harvest where food touches soil, 90 where it does not. Keep tetanus cover current and wear gloves.',
    ask: 'your food-safety adviser; a doctor',
  },
  cadmium: {
    id: 'cadmium',
    title: 'Metals in rock phosphate',
    text: 'Ground rock phosphate may bring cadmium and fluoride: modest doses, and not every year. Wear a dust mask.',
    ask: 'the seller’s analysis; your local rules',
  },
  herbicide: {
    id: 'herbicide',
    title: 'Weedkiller carried in compost',
    text: 'Some weedkillers pass through animals and composting: first sow beans in three pots of the mix beside three of clean mix. Cupped, twisted leaves within three weeks mean do not use it.',
    ask: 'the supplier; your extension service',
  },
  moss: {
    id: 'moss',
    title: 'Sphagnum moss',
    text: 'Dry moss can carry a fungus that enters through scratches: wear gloves and sleeves.',
    ask: 'a doctor',
  },
  lead: {
    id: 'lead',
    title: 'Soil from the site',
    text: 'Soil near old paint, roads or treated wood may hold lead or arsenic: have it tested. From 80 mg of lead to the kg (UK 2014, California 2009) grow no leaf or root crops for small children; above 200 (US 2024) grow no food in it. Arsenic: take care from 12 mg (Canada 1997), stop at 40.',
    ask: 'your local health department; a certified laboratory',
  },
  zeolite: {
    id: 'zeolite',
    title: 'Zeolite',
    text: 'Some deposits hold a harmful fibre: buy clinoptilolite with a mineral report.',
    ask: 'the safety data sheet',
  },
  waterAcid: {
    id: 'waterAcid',
    title: 'Acid',
    text: 'Pour the acid slowly into the water, never water into acid, and wear goggles, gloves and sleeves. Work outdoors with plastic, not metal. Keep it in its own bottle, locked away from children, and far from lime and bleach. After half an hour check with a pH meter before you water.',
    ask: 'the safety data sheet; for acid in the eye, rinse at once and call a doctor',
  },
  roofWater: {
    id: 'roofWater',
    title: 'Rain from a roof',
    text: 'Never take water for food from a roof with lead, copper or moss killer on it. Cover the barrel: children drown in little water, and mosquitoes breed in it. Give it from a can, close to the mix; standing warm water that is sprayed can carry Legionella.',
    ask: 'your public health agency; your local rules for rain water',
  },
  lifting: {
    id: 'lifting',
    title: 'Lifting',
    text: 'A full container of wet mix is heavier than one person should lift: fill it where it is to stay. What two people cannot lift from the floor with ease is emptied before it is moved.',
    ask: 'lifting guidance at work or from your health service',
  },
  heat: {
    id: 'heat',
    title: 'Heating soil',
    text: 'Steam and hot pans burn: gloves, face turned away, let it cool covered. Air the room. Never heat soil that holds meal, manure, urea or coated feed.',
    ask: 'your extension service; a doctor for a burn',
  },
  load: {
    id: 'load',
    title: 'Balconies, roofs and decks',
    text: 'Weigh everything saturated: mix, pot, plant, people, snow. This number is never permission.',
    ask: 'a structural engineer and the building’s owner; your building code',
  },
} satisfies Record<string, Caution>
export type CautionId = keyof typeof CAUTIONS
/** Every caution there is. */
export const CAUTION_LIST: readonly Caution[] = Object.values(CAUTIONS)
export const cautionById = (id: CautionId): Caution => CAUTIONS[id]
/** What can do lasting harm is said every time, read or not. */
const NEVER_OFF: ReadonlySet<CautionId> = new Set([
  'dust',
  'lime',
  'burns',
  'heat',
  'load',
  'lead',
  'manure',
  'asbestos',
  'rubble',
  'waterAcid',
])
export const isNeverOff = ({ id }: Caution): boolean => NEVER_OFF.has(id as CautionId)
export const ALL_CAUTIONS: readonly Caution[] = Object.values(CAUTIONS)

const BY_FAMILY: Partial<Record<Material['family'], CautionId[]>> = {
  peat: ['fibreDust'],
  coir: ['fibreDust'],
  hull: ['fibreDust'],
  perlite: ['dust'],
  vermiculite: ['dust', 'asbestos'],
  aggregate: ['dust'],
  mineral: ['dust'],
  sand: ['dust'],
  char: ['dust'],
  compost: ['legionella', 'herbicide'],
  bark: ['legionella'],
  wood: ['legionella', 'moulds'],
  mix: ['legionella'],
  manure: ['manure', 'herbicide'],
  soil: ['lead', 'movedSoil'],
}

/** Limes that are caustic. Source: common practice; safety data sheets. */
const BURNING: ReadonlySet<string> = new Set(['lime_hydrated', 'wood_ash'])

/** What to know before choosing a lime that burns; nothing for the others. */
export const limeCaution = (limeId: string): string =>
  BURNING.has(limeId)
    ? 'Caustic: it burns eyes and skin. Goggles and gloves; two weeks and a pH test before planting.'
    : ''

const isCaution = (id: string): id is CautionId => id in CAUTIONS

/** The cautions for opening and blending these materials and feeds, each once, in the order first met. */
export function cautionsForMixing(
  materials: readonly Material[],
  limeIds: readonly string[],
  dressings: readonly Pick<Dressing, 'caution'>[] = [],
): Caution[] {
  const ids = new Set<CautionId>()
  for (const m of materials) {
    for (const id of BY_FAMILY[m.family] ?? []) ids.add(id)
    if (m.id === 'sphagnum_moss_long') ids.add('moss')
    if (m.id === 'zeolite') ids.add('zeolite')
    if (m.id === 'brick_crushed') ids.add('rubble')
  }
  for (const { caution } of dressings) if (caution && isCaution(caution)) ids.add(caution)
  if (limeIds.length > 0) ids.add('lime')
  if (limeIds.some((id) => BURNING.has(id))) ids.add('burns')
  return [...ids].map(cautionById)
}

/**
 * More mix than this in one job is said to whoever may be on a balcony, litres. Source: our assumption: two large
 * tubs.
 */
const MUCH_MIX = 120
export const cautionIsDue = (litres: number): boolean => litres > MUCH_MIX

/** The one caution that goes with a printed recipe, wherever it is pinned up. */
export const CARD_CAUTION = 'Wear a dust mask for dry perlite, pumice and lime; damp them first.'
