import type { Topic } from './topics'

/**
 * What an adviser does about a finding besides changing the parts of a mix: to its lime and feed, its container, its
 * water, its place, or by waiting and testing.
 */
export type Remedy =
  | 'lime'
  | 'lime-less'
  | 'feed'
  | 'feed-less'
  | 'split-dose'
  | 'bigger-container'
  | 'deeper-container'
  | 'heavier'
  | 'lighter-mix'
  | 'other-place'
  | 'holes'
  | 'water-acid'
  | 'water-rain'
  | 'water-more-often'
  | 'leach'
  | 'mulch'
  | 'wait'
  | 'test'
  | 'replace-mix'
  | 'fresh-mix'
  | 'mask-gloves'

/** Remedies of each topic, the first to try first; none where only the parts can mend it. Source: common practice. */
export const REMEDIES: Readonly<Partial<Record<Topic, readonly Remedy[]>>> = {
  'air-low': ['replace-mix'],
  'air-high': ['water-more-often', 'mulch'],
  'stays-wet': ['other-place'],
  'dries-fast': ['water-more-often', 'mulch', 'bigger-container'],
  'no-drainage': ['holes'],
  'soil-in-pot': ['replace-mix'],
  'pot-too-small': ['bigger-container'],
  'crop-depth': ['deeper-container'],
  slumps: ['fresh-mix'],
  'peat-free-watering': ['water-more-often'],
  'wick-fails': ['replace-mix'],
  'ph-low': ['lime'],
  'ph-high': ['lime-less', 'water-acid', 'water-rain', 'replace-mix'],
  'water-raises-ph': ['water-rain', 'water-acid'],
  'lime-too-much': ['lime-less', 'replace-mix'],
  'lime-already-in-bag': ['lime-less'],
  'contact-hot': ['wait'],
  'salts-high': ['leach', 'feed-less'],
  'water-salty': ['water-rain', 'leach'],
  'nitrogen-none': ['feed'],
  'nitrogen-short': ['feed'],
  'nitrogen-too-much': ['feed-less'],
  'potassium-short': ['feed'],
  'phosphorus-short': ['feed'],
  'phosphorus-excess': ['feed-less'],
  'calcium-short': ['feed'],
  'magnesium-short': ['feed'],
  'traces-short': ['feed'],
  'boron-excess': ['leach', 'replace-mix'],
  'ammonium-cold': ['split-dose', 'wait'],
  'ammonia-burn': ['wait'],
  'crf-heat': ['split-dose'],
  'organic-slow': ['feed'],
  'dose-too-large': ['feed-less', 'split-dose'],
  'too-rich-for-seed': ['replace-mix'],
  drawdown: ['feed'],
  'not-clean-for-seed': ['replace-mix'],
  'disease-carryover': ['fresh-mix'],
  'fresh-wood': ['feed', 'wait'],
  'immature-compost': ['wait'],
  'weedkiller-risk': ['test'],
  'manure-harvest-interval': ['wait'],
  'metals-risk': ['test'],
  legionella: ['mask-gloves'],
  dust: ['mask-gloves'],
  'asbestos-old': ['replace-mix'],
  'treated-wood': ['test'],
  'weight-load': ['lighter-mix', 'other-place'],
  'tips-in-wind': ['heavier', 'other-place'],
}
