import type { BedFacts } from './facts'

/** What a bed's numbers and log can say. */
export const EVIDENCE_CODES = [
  'air-above',
  'air-below',
  'air-enough',
  'air-not-above',
  'ammonium-much',
  'boron-enough',
  'boron-little',
  'boron-much',
  'boron-not-much',
  'calcitic-lime',
  'calcium-enough',
  'calcium-little',
  'cold',
  'compost-or-meal-in',
  'cool-nights',
  'deep',
  'dry-in-a-day',
  'fabric',
  'fed-lately',
  'frost',
  'hard-water',
  'hot',
  'hot-nights',
  'lasts',
  'long-gap',
  'magnesium-enough',
  'magnesium-little',
  'manure-or-meal-in',
  'much-compost',
  'nitrate-feed',
  'nitrogen-at-hand',
  'nitrogen-much',
  'nitrogen-not-much',
  'nitrogen-spent',
  'no-calcitic-lime',
  'no-compost',
  'no-frost',
  'no-holes',
  'no-manure',
  'no-wood',
  'not-cold',
  'not-hot',
  'not-peaty',
  'not-watered',
  'old',
  'pH-above',
  'pH-below',
  'pH-not-above',
  'pH-not-below',
  'peaty',
  'phosphorus-enough',
  'phosphorus-little',
  'phosphorus-much',
  'phosphorus-not-much',
  'pot-ample',
  'pot-small',
  'potassium-crowds',
  'potassium-enough',
  'potassium-little',
  'quick',
  'rainy',
  'salts-above',
  'salts-not-above',
  'salty-water',
  'shallow',
  'sheltered',
  'slow',
  'slumped',
  'slumps',
  'soft-water',
  'water-lasts',
  'windy',
  'wood-in',
  'young',
] as const
export type EvidenceCode = (typeof EVIDENCE_CODES)[number]

/** Something known of a bed that speaks for a cause, or against it. Worded in src/text. */
export interface Evidence {
  code: EvidenceCode
  /** How much likelier it makes the cause: over 1 for, under 1 against. */
  factor: number
  value?: number
  limit?: number
  isRead?: boolean
}
export type Judge = (f: BedFacts) => (Evidence | null)[]

/** Strength of evidence. Source: our assumption. */
export const STRONG = 3
export const SOME = 1.6
export const AGAINST = 0.5
export const HARDLY = 0.25
/** A reading says more than what is only expected. */
export const READ_MORE = 1.3

export const say = (code: EvidenceCode, factor: number, of: Partial<Evidence> = {}): Evidence => ({
  code,
  factor,
  ...of,
})
export const when = (is: boolean, code: EvidenceCode, factor: number, of: Partial<Evidence> = {}) =>
  is ? say(code, factor, of) : null
export const readFactor = (isRead: boolean, factor: number) =>
  isRead ? (factor > 1 ? factor * READ_MORE : factor / READ_MORE) : factor

export const pHHigh = (f: BedFacts) => {
  const { value, isRead } = f.pH
  const of = { value, limit: f.pHBand.high, isRead }
  return value > f.pHBand.high + 0.1
    ? say('pH-above', readFactor(isRead, value > f.pHBand.high + 0.5 ? STRONG : SOME), of)
    : say('pH-not-above', readFactor(isRead, HARDLY), of)
}
export const pHLow = (f: BedFacts, limit = f.pHBand.low) => {
  const { value, isRead } = f.pH
  const of = { value, limit, isRead }
  return value < limit - 0.1
    ? say('pH-below', readFactor(isRead, value < limit - 0.5 ? STRONG : SOME), of)
    : say('pH-not-below', readFactor(isRead, HARDLY), of)
}
export const saltsHigh = (f: BedFacts) => {
  const { value, isRead } = f.salts
  const of = { value, limit: f.saltLimit, isRead }
  return value > f.saltLimit
    ? say('salts-above', readFactor(isRead, value > 1.5 * f.saltLimit ? STRONG : SOME), of)
    : say('salts-not-above', readFactor(isRead, value < 0.6 * f.saltLimit ? HARDLY : AGAINST), of)
}
export const airLow = (f: BedFacts) => {
  const of = { value: f.airFilledPorosity, limit: f.airBand.low }
  if (!f.drains) return say('no-holes', STRONG)
  return f.airFilledPorosity < f.airBand.low
    ? say('air-below', f.airFilledPorosity < f.airBand.low - 0.04 ? STRONG : SOME, of)
    : say('air-enough', f.airFilledPorosity > f.airBand.low + 0.05 ? HARDLY : AGAINST, of)
}
export const cold = (f: BedFacts, limit = 15) =>
  f.temperature === null
    ? null
    : f.temperature < limit
      ? say('cold', f.temperature < limit - 4 ? STRONG : SOME, { value: f.temperature, limit })
      : say('not-cold', HARDLY, { value: f.temperature, limit })
export const nitrogenSpent = (f: BedFacts) => {
  if (f.nitrogen === null || f.nitrogenWanted === null) return null
  const of = { value: f.nitrogen }
  if (f.daysSinceFed !== null && f.daysSinceFed <= 14)
    return say('fed-lately', AGAINST, { value: f.daysSinceFed })
  return f.nitrogen < f.nitrogenWanted
    ? say('nitrogen-spent', STRONG, of)
    : say('nitrogen-at-hand', f.nitrogen > 4 * f.nitrogenWanted ? HARDLY : AGAINST, of)
}
export const old = (f: BedFacts, days: number) =>
  f.ageDays > days ? say('old', SOME, { value: f.ageDays }) : say('young', HARDLY, { value: f.ageDays })
export const dryOften = (f: BedFacts) => {
  const often = when((f.daysBetween ?? 9) < 1.2, 'dry-in-a-day', SOME, { value: f.daysBetween ?? 0 })
  const late =
    f.daysSinceWatered !== null && f.daysBetween !== null && f.daysSinceWatered > 1.5 * f.daysBetween + 1
      ? say('not-watered', STRONG, { value: f.daysSinceWatered, limit: f.daysBetween })
      : null
  return (often ?? late) ? [often, late] : [say('water-lasts', AGAINST, { value: f.daysBetween ?? 0 })]
}
export const uneven = (f: BedFacts) => {
  const gap =
    f.longestGap !== null && f.daysBetween !== null && f.longestGap > 2 * f.daysBetween + 1
      ? say('long-gap', STRONG, { value: f.longestGap, limit: f.daysBetween })
      : null
  return [gap ?? when((f.daysBetween ?? 9) < 1.5, 'dry-in-a-day', SOME, { value: f.daysBetween ?? 0 })]
}
export const small = (f: BedFacts) =>
  f.litresPerPlant < f.litresWanted
    ? say('pot-small', f.litresPerPlant < 0.6 * f.litresWanted ? STRONG : SOME, {
        value: f.litresPerPlant,
        limit: f.litresWanted,
      })
    : say('pot-ample', AGAINST, { value: f.litresPerPlant, limit: f.litresWanted })
export const rotting = (f: BedFacts) =>
  when(f.compost + f.manure > 0.35, 'much-compost', SOME, { value: f.compost + f.manure })
export const unripe = (f: BedFacts) => [
  f.compost + f.manure > 0.05 || f.meals > 0.5
    ? say('compost-or-meal-in', f.ageDays < 45 ? STRONG : SOME, { value: f.compost + f.manure })
    : say('no-compost', HARDLY),
]
export const little = (
  value: number,
  limit: number,
  code: 'potassium' | 'magnesium' | 'calcium' | 'boron' | 'phosphorus',
) =>
  value < limit
    ? say(`${code}-little`, value < limit / 2 ? STRONG : SOME, { value, limit })
    : say(`${code}-enough`, AGAINST, { value, limit })
export const much = (value: number, limit: number, code: 'phosphorus' | 'boron' | 'nitrogen') =>
  value > limit
    ? say(`${code}-much`, value > 2 * limit ? STRONG : SOME, { value, limit })
    : say(`${code}-not-much`, HARDLY, { value, limit })

/** mg per litre over a season below which an element may run short, or above which it harms. Source: from memory. */
export const LITTLE = { potassium: 120, magnesium: 60, calcium: 200, boron: 0.05, phosphorus: 15 }
export const MUCH = { phosphorus: 120, boron: 1, nitrogen: 150 }

export const HARD_WATER = 3
export const SALTY_WATER = 0.7
export const HOT = 30
