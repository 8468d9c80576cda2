import { cropInText } from '../base/cropInText'
import type { Finding, Topic } from '@/core/appraisal'
import type { Verdict } from '@/model/mix/verdict'

/** What each topic of an appraisal says, in one sentence. */
export const TOPIC_TEXTS: Record<Topic, string> = {
  'air-low': 'Too little air stays round the roots once it has drained.',
  'air-high': 'It is so open that it holds too little water.',
  'stays-wet': 'It stays wet too long in this place or season.',
  'wet-foot-intended': 'Its foot stays wet on purpose, for the reservoir.',
  'dries-fast': 'It wants water more often than most people can give it.',
  'wets-badly': 'Once dry it sheds water: wet it through before use, or give a wetting agent.',
  'no-drainage': 'Water has no way out: make holes.',
  'gravel-no-help': 'A layer of gravel lifts the wet zone and drains nothing.',
  'sand-lowers-air': 'The sand fills the pores in place of opening them.',
  'soil-in-pot': 'Garden soil is most of it, and soil in a pot sets without air.',
  'pot-too-small': 'There is too little root room for the full-grown plant.',
  'crop-depth': 'It is too shallow for the root that is grown.',
  slumps: 'It sinks and rots away within the years it is to last.',
  crystals: 'Water-storing crystals swell and gain little.',
  'peat-free-watering':
    'Coir and bark look dry on top while wet below: water little and often, and feel deeper.',
  'wick-fails': 'It is too coarse to lift water from the reservoir to the roots.',
  'ph-low': 'It is too acid for the crop, now or by the end of the season.',
  'ph-high': 'It is too alkaline for the crop, now or by the end of the season.',
  'water-raises-ph': 'Your water raises its pH through the season.',
  'lime-too-much': 'There is more lime or ash in it than it needs.',
  'lime-already-in-bag': 'Bought mix is limed already: give no more unless its label says it is not.',
  'contact-hot':
    'Hydrated lime and wet ash burn skin and eyes: wear gloves and goggles, and wait before planting.',
  'salts-high': 'Salts are beyond what the crop bears.',
  'water-salty': 'The water itself brings too much salt or sodium.',
  'nitrogen-none': 'It gives next to no nitrogen from planting on.',
  'nitrogen-short': 'Nitrogen runs short in the season.',
  'nitrogen-too-much': 'It gives more nitrogen than this crop is good for.',
  'potassium-short': 'Potassium runs short.',
  'phosphorus-short': 'Phosphorus runs short.',
  'phosphorus-excess': 'It holds far more phosphorus than the plant bears.',
  'calcium-short': 'Calcium runs short.',
  'magnesium-short': 'Magnesium runs short.',
  'traces-short': 'Trace elements are missing, or pH keeps them out of reach.',
  'boron-excess': 'There is more boron in it than plants bear.',
  'ammonium-cold': 'Ammonium builds up while it is too cold to turn to nitrate.',
  'ammonia-burn': 'Free ammonia may harm roots and seeds.',
  'crf-heat': 'Coated fertilizer gives itself up much faster in heat.',
  'organic-slow': 'Meals give too little while the mix is cold.',
  'dose-too-large': 'A dressing is beyond its usual limit: check the unit.',
  'too-rich-for-seed': 'It is too rich for seeds and seedlings.',
  drawdown: 'Rotting wood takes up nitrogen that plants need.',
  'not-clean-for-seed': 'Soil, compost or old mix brings damping-off and weeds to seeds.',
  'disease-carryover': 'Old mix or soil may bring the disease of the last crop.',
  'fresh-wood': 'Fresh wood is mixed into the root run.',
  'immature-compost': 'The compost or manure is not ripe.',
  'much-compost': 'So much compost or manure works against itself.',
  'weedkiller-risk': 'Hay, straw and manure may hold weedkiller: try it on beans first.',
  'manure-harvest-interval':
    'Leave 120 days between manure and a harvest that touches soil and is eaten raw.',
  'metals-risk': 'Soil near old houses and roads may hold lead: have it tested before you grow food in it.',
  legionella: 'Open bags away from your face, keep the mix damp, wear gloves, and wash your hands.',
  dust: 'Damp dusty materials before you pour them, and wear a mask.',
  'asbestos-old': 'Old vermiculite may hold asbestos: do not open or disturb it; ask a licensed laboratory.',
  'treated-wood': 'Keep creosote, old treated timber, tyres and painted boards away from the soil.',
  'weight-load': 'Ask a structural engineer what the floor bears before you fill it.',
  'tips-in-wind': 'It is light and tall, and falls over in wind.',
}

/** The same in a few words, for lists. */
export const TOPIC_NAMES: Record<Topic, string> = {
  'air-low': 'too little air',
  'air-high': 'too open',
  'stays-wet': 'stays wet',
  'wet-foot-intended': 'bottom kept wet on purpose',
  'dries-fast': 'dries fast',
  'wets-badly': 'wets badly once dry',
  'no-drainage': 'no drainage',
  'gravel-no-help': 'a gravel layer',
  'sand-lowers-air': 'sand fills the pores',
  'soil-in-pot': 'soil in a pot',
  'pot-too-small': 'pot too small',
  'crop-depth': 'too shallow for the crop',
  slumps: 'sinks in time',
  crystals: 'water crystals',
  'peat-free-watering': 'looks dry on top',
  'wick-fails': 'too coarse to wick',
  'ph-low': 'too acid',
  'ph-high': 'too alkaline',
  'water-raises-ph': 'your water lifts its pH',
  'lime-too-much': 'too much lime',
  'lime-already-in-bag': 'limed already',
  'contact-hot': 'caustic lime',
  'salts-high': 'salts high',
  'water-salty': 'salty water',
  'nitrogen-none': 'hardly any nitrogen',
  'nitrogen-short': 'nitrogen short',
  'nitrogen-too-much': 'too much nitrogen',
  'potassium-short': 'potassium short',
  'phosphorus-short': 'phosphorus short',
  'phosphorus-excess': 'too much phosphorus',
  'calcium-short': 'calcium short',
  'magnesium-short': 'magnesium short',
  'traces-short': 'trace elements short',
  'boron-excess': 'too much boron',
  'ammonium-cold': 'ammonium in the cold',
  'ammonia-burn': 'free ammonia',
  'crf-heat': 'feed runs out fast in heat',
  'organic-slow': 'meals are slow in the cold',
  'dose-too-large': 'a dose too large',
  'too-rich-for-seed': 'too rich for seeds',
  drawdown: 'wood takes up nitrogen',
  'not-clean-for-seed': 'not clean for seeds',
  'disease-carryover': 'disease of the last crop',
  'fresh-wood': 'fresh wood',
  'immature-compost': 'unripe compost',
  'much-compost': 'very much compost',
  'weedkiller-risk': 'weedkiller in manure',
  'manure-harvest-interval': 'manure before harvest',
  'metals-risk': 'metals in soil',
  legionella: 'Legionella',
  dust: 'dust',
  'asbestos-old': 'asbestos in old vermiculite',
  'treated-wood': 'treated wood',
  'weight-load': 'load on the floor',
  'tips-in-wind': 'tips in wind',
}

/**
 * What an appraisal has to say beyond its verdict, in a few words each, at most so many; nothing where it has no more.
 */
export const alsoText = (findings: readonly Finding[], most = 3): string =>
  findings
    .filter((f) => f.severity !== 'note')
    .slice(1, 1 + most)
    .map((f) => TOPIC_NAMES[f.topic])
    .join(', ')

/**
 * The first thing to know of a mix, in one sentence: the gravest finding, or that it is good. Where a gauge is outside
 * what is wanted and nothing is to be watched, it says so.
 */
export function verdictText({ first, off }: Verdict, cropName: string | null): string {
  // A record made by a later version may have a topic that this one has no sentence for.
  if (first) return TOPIC_TEXTS[first.topic] ?? ''
  const whom = cropName ? ` for ${cropInText(cropName)}` : ''
  const figures = off === 1 ? 'one figure is' : `${off} figures are`
  return off > 0 ? `It will do${whom} here; ${figures} outside what is wanted.` : `Good${whom} here.`
}
