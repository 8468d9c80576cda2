import type { Pack } from '@/core/data'
import { sizeOf, type OfferDraft } from '@/model/garden/offerDraft'
import { isDay } from '../base/dates'
import { belowNothing } from '../base/belowNothing'
import { packSizeProblem } from '../base/fields'
import type { Sentence } from '../base/problems.en'

/** How a material may be sold, as a choice. */
export const PACK_KINDS = [
  { value: 'loose', label: 'Bag, by volume' },
  { value: 'mass', label: 'Bag, by weight' },
  { value: 'compressed', label: 'Pressed bale, by volume' },
  { value: 'block', label: 'Dry block or brick, by weight' },
  { value: 'bulk', label: 'In bulk, delivered' },
  { value: 'own', label: 'My own, free' },
] satisfies { value: Pack['kind']; label: string }[]

const NO_DAY: Sentence = {
  why: 'This is not a day of the calendar.',
  fix: 'Type a year of four digits, or leave it empty.',
}

/** What is wrong beside each field of a pack; null where nothing is. */
export function offerProblems(draft: OfferDraft) {
  const size = sizeOf(draft.kind)
  return {
    size: size && packSizeProblem(draft[size]),
    gives: belowNothing(draft.gives),
    price: belowNothing(draft.price),
    delivery: belowNothing(draft.delivery),
    seenOn: draft.seenOn === '' || isDay(draft.seenOn) ? null : NO_DAY,
  }
}

/** Can a pack be kept as it stands? */
export const isSoundOffer = (draft: OfferDraft): boolean =>
  Object.values(offerProblems(draft)).every((p) => p === null)
