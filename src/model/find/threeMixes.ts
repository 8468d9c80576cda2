import { materialIn, type Tables } from '@/core/data'
import type { Found } from '@/core/finder'

/** Why a mix is among those offered: it suits best, costs least, does without peat, or is of another kind. */
export type OfferReason = 'likeliest' | 'cheapest' | 'peat-free' | 'other'
export interface MixOffer {
  reason: OfferReason
  found: Found
  /** Against the likeliest: chance lost, and money saved for a litre; null where a price is unknown. */
  against: { chance: number; saves: number | null } | null
}

/** Chance that a cheaper or peat-free mix may lose and still be offered. Source: our assumption: three lots of ten. */
const MAY_LOSE = 0.3

const costOf = ({ candidate, look }: Found) => candidate.figures.costPerLitre + (look?.dosesPerLitre ?? 0)
const chanceOf = ({ look }: Found) => look?.chance ?? 0
const hasPeat = ({ candidate }: Found, tables: Tables) =>
  candidate.parts.some((p) => {
    const row = materialIn(tables, p.id)
    return row?.family === 'peat' && row.id !== 'sphagnum_moss_long'
  })

/**
 * Three mixes to begin with, of what the finder found, likeliest first: the likeliest; the cheapest of those not much
 * less likely; the likeliest without peat; filled up with the next of another kind. None with something grave where there is one without. Fewer where fewer were looked at.
 */
export function threeMixes(found: readonly Found[], tables: Tables): MixOffer[] {
  const seen = found.filter((f) => f.look !== null)
  const sound = seen.filter((f) => f.look!.grave === 0)
  const looked = sound.length > 0 ? sound : seen
  const first = looked[0]
  if (!first) return []
  const near = looked.filter((f) => chanceOf(f) >= chanceOf(first) - MAY_LOSE)
  const priced = near.filter((f) => Number.isFinite(costOf(f)))
  const cheapest = priced.reduce<Found | null>((a, b) => (a && costOf(a) <= costOf(b) ? a : b), null)
  const offers: MixOffer[] = []
  const take = (reason: OfferReason, one: Found | null | undefined) => {
    if (!one || offers.length === 3 || offers.some((o) => o.found === one)) return
    const saves = costOf(first) - costOf(one)
    const against =
      one === first
        ? null
        : { chance: chanceOf(first) - chanceOf(one), saves: Number.isFinite(saves) ? saves : null }
    offers.push({ reason, found: one, against })
  }
  take('likeliest', first)
  take('cheapest', cheapest)
  if (hasPeat(first, tables))
    take(
      'peat-free',
      near.find((f) => !hasPeat(f, tables)),
    )
  for (const one of looked) take('other', one)
  return offers
}
