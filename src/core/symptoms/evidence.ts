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
  'no-soil',
  'soft-water',
  'soil-in',
  'trace-enough',
  'trace-short',
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

/** How much likelier a piece of evidence makes a cause, by how strongly it speaks. Source: our assumption. */
export const STRENGTHS = { strong: 3, some: 1.6, against: 0.5, hardly: 0.25 } as const
export type Strength = keyof typeof STRENGTHS
/** A reading says so many times more than what is only expected. Source: our assumption. */
export const READ_MORE = 1.3
