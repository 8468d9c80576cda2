import type { Pack } from '@/core/data'
import type { Offer } from './schemas'

/** A pack being described: every field it may have, so that changing its kind forgets nothing. */
export interface OfferDraft {
  kind: Pack['kind']
  /** Litres on the label, or of a step in bulk. */
  litres: number
  kg: number
  /** Loose litres that one pack gives, as its label says; 0 where it does not. */
  gives: number
  /** NaN where it is not known; 0 is for nothing. */
  price: number
  place: string
  /** An ISO day; empty for none. */
  seenOn: string
  delivery: number
}

/** What a draft holds before anything is entered. */
const BLANK = { litres: 50, kg: 25, gives: 0 }

/** A load in bulk is a cubic metre where nothing is said; less than this is no load, litres. */
const USUAL_LOAD = 1000
const LEAST_LOAD = 100

/** A draft of another kind: a bag of 40 L entered as a load becomes a cubic metre, and a load a bag. */
export function ofKind(draft: OfferDraft, kind: Pack['kind']): OfferDraft {
  if (kind === 'bulk' && draft.litres < LEAST_LOAD) return { ...draft, kind, litres: USUAL_LOAD }
  if (draft.kind === 'bulk' && kind !== 'bulk' && draft.litres >= LEAST_LOAD)
    return { ...draft, kind, litres: BLANK.litres }
  return { ...draft, kind }
}

/** A pack of the shelf as fields. */
export function draftOf({ pack, price, place, seenOn, delivery }: Offer): OfferDraft {
  const draft: OfferDraft = {
    ...BLANK,
    kind: pack.kind,
    price: price ?? NaN,
    place,
    seenOn: seenOn ?? '',
    delivery,
  }
  if ('litres' in pack) draft.litres = pack.litres
  if ('kg' in pack) draft.kg = pack.kg
  if (pack.kind === 'compressed' && pack.swell) draft.gives = pack.swell * pack.litres
  if (pack.kind === 'block' && pack.litresPerKg) draft.gives = pack.litresPerKg * pack.kg
  return draft
}

/** The pack that fields tell of. */
export function packOf({ kind, litres, kg, gives }: OfferDraft): Pack {
  switch (kind) {
    case 'loose':
    case 'bulk':
      return { kind, litres }
    case 'compressed':
      return { kind, litres, ...(gives > 0 ? { swell: gives / litres } : {}) }
    case 'block':
      return { kind, kg, ...(gives > 0 ? { litresPerKg: gives / kg } : {}) }
    case 'mass':
      return { kind, kg }
    case 'own':
      return { kind }
  }
}

/** What is kept of it: one's own costs nothing, and only what is delivered has a delivery. */
export function offerOf(draft: OfferDraft): Offer {
  const { kind, price, place, seenOn, delivery } = draft
  return {
    pack: packOf(draft),
    price: kind === 'own' ? 0 : Number.isNaN(price) ? null : price,
    place: place.trim(),
    seenOn: seenOn || null,
    delivery: kind === 'bulk' ? delivery : 0,
  }
}

/** Which size of a pack its kind goes by; null where it has none. */
export const sizeOf = (kind: Pack['kind']): 'litres' | 'kg' | null =>
  kind === 'own' ? null : kind === 'block' || kind === 'mass' ? 'kg' : 'litres'
