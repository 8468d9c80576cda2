import { materialIn, type Tables } from '@/core/data'
import type { Found } from '@/core/finder'

/**
 * Why a mix is among those offered: it suits best, is lighter where a floor bears it or heavier where wind tips it,
 * costs least, does without peat, begins with a bag, or is of another kind.
 */
export type OfferReason = 'likeliest' | 'lighter' | 'heavier' | 'cheapest' | 'peat-free' | 'bag' | 'other'
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
/** Is a material peat? Living sphagnum, which is of its family, is harvested without digging a bog out. */
export const isPeat = (id: string, tables: Tables): boolean =>
  materialIn(tables, id)?.family === 'peat' && id !== 'sphagnum_moss_long'
const hasPeat = ({ candidate }: Found, tables: Tables) => candidate.parts.some((p) => isPeat(p.id, tables))

const weightOf = ({ candidate }: Found) => candidate.figures.drainedDensity
const hasBag = ({ candidate }: Found) => candidate.parts.some((p) => p.id === 'potting_mix_bagged')
/**
 * Weight by which one mix is lighter or heavier than another, as a share. Source: our assumption: hands feel a tenth.
 */
const FELT = 0.1

/** The mix a tenth lighter or heavier than the first that goes farthest that way; undefined where none does. */
function byWeight(near: readonly Found[], first: Found, way: 1 | -1): Found | undefined {
  const farthest = near.reduce((a, b) => (way * (weightOf(b) - weightOf(a)) > 0 ? b : a))
  return way * (weightOf(farthest) / weightOf(first) - 1) > FELT ? farthest : undefined
}

/**
 * Three mixes to begin with, of what the finder found, likeliest first: the likeliest; a lighter one where a floor has
 * to bear it, a heavier one where the first tips in wind; the cheapest of those not much less likely; the likeliest
 * without peat; one from a bag; filled up with the next of another kind. None with something grave where there is one
 * without. Fewer where fewer were looked at.
 */
export function threeMixes(found: readonly Found[], tables: Tables, carried = false): MixOffer[] {
  const seen = found.filter((f) => f.look !== null)
  const sound = seen.filter((f) => !f.look!.findings.some(({ severity }) => severity === 'grave'))
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
  if (carried) take('lighter', byWeight(near, first, -1))
  else if (first.look!.findings.some((f) => f.topic === 'tips-in-wind'))
    take('heavier', byWeight(near, first, 1))
  take('cheapest', cheapest)
  if (hasPeat(first, tables))
    take(
      'peat-free',
      near.find((f) => !hasPeat(f, tables)),
    )
  take('bag', near.find(hasBag))
  for (const one of looked) take('other', one)
  return offers
}
