import { APPRAISAL_LIMITS } from '@/core/appraisal'
import type { Tables } from '@/core/data'
import { GROUND_LIMESTONE } from '@/core/data/usualLime'
import { defineLimits } from '@/core/limits'
import { labelShares } from '@/core/mixing'
import { fail, succeed, type Note, type Outcome } from '@/core/outcome'
import type { Bag, InnerMix, Part, Recipe } from '../garden/schemas'
import { partsByShare } from './innerMix'
import { prepareRecipe } from './prepareRecipe'
import { USUAL_LIMES } from './question'
import { linesOf } from './questionOfJob'

export interface DescribedBag {
  /** The bag as a finished mix, shares at the middle of what its label leaves open. */
  mix: InnerMix
  /** The same at the corners of what the label leaves open. */
  corners: InnerMix[]
}

export const BAG_LIMITS = defineLimits({
  litres: { value: 5000, low: 2000, high: 10_000, unit: 'L', source: 'our assumption: a trailer load' },
})

/** Lime makers use half and half where nobody says. Source: our assumption. */
const DOLOMITE = 0.5
const NO_LIME = {
  mode: 'none',
  target: 6.4,
  gramsPerLitre: 0,
  dolomiteShare: DOLOMITE,
  limeId: GROUND_LIMESTONE,
} as const
/** A depth for what fertilizer does to pH; all of it is mixed through, so that any will do. */
const ANY_DEPTH = 20

/**
 * A bagged mix worked out from its label: shares by `labelShares`, lime so that it comes to the pH printed, the
 * fertilizer it names.
 *
 * Errors: a bag of nothing, a price or dose below zero, an ingredient nobody knows, shares that do not add up, a pH
 * lime cannot give. Notes: ingredients that are at or above the printed pH without any lime.
 */
export function describeBag(bag: Bag, mixId: string, tables: Tables): Outcome<DescribedBag> {
  if (!(bag.litres > 0)) return fail({ code: 'size-not-positive', field: 'bagLitres', value: bag.litres })
  const most = BAG_LIMITS.litres.value
  if (bag.litres > most)
    return fail({ code: 'size-too-large', field: 'bagLitres', value: bag.litres, limit: most })
  if (bag.price !== null && !(bag.price >= 0))
    return fail({ code: 'amount-negative', field: 'bagPrice', value: bag.price })
  const shares = labelShares(bag.ingredients.map((i) => i.share))
  if (!shares.ok) return shares
  const notes: Note[] = []
  const asMix = (of: readonly number[]): Outcome<InnerMix> => {
    const parts = partsByShare(bag.ingredients.map(({ materialId }, i) => ({ materialId, share: of[i]! })))
    const lime = labelLime(bag, parts, tables)
    if (!lime.ok) return lime
    notes.push(...lime.notes)
    return succeed({
      id: mixId,
      name: bag.name.trim() || 'Bagged mix',
      parts,
      lime: { gramsPerLitre: lime.value, dolomiteShare: DOLOMITE },
      dressings: bag.feed ? [bag.feed] : [],
      origin: { kind: 'bag', litres: bag.litres, price: bag.price },
    })
  }
  const mix = asMix(shares.value.middle)
  if (!mix.ok) return mix
  const told = [...notes]
  // A corner that no lime brings to the pH printed cannot be what is in the bag.
  const corners = shares.value.corners.flatMap((of) => {
    const one = asMix(of)
    return one.ok ? [one.value] : []
  })
  return succeed({ mix: mix.value, corners }, ...told)
}

/** Lime that brings the ingredients to the pH on the label, g per litre; none where it says no pH. */
function labelLime(bag: Bag, parts: readonly Part[], tables: Tables): Outcome<number> {
  const prepared = prepareRecipe(
    {
      lines: linesOf(parts),
      mixes: [],
      lime: {
        aim: bag.pH === null ? { kind: 'none' } : { kind: 'pH', target: bag.pH },
        dolomite: { kind: 'share', share: DOLOMITE },
        ...USUAL_LIMES,
      },
      dressings: bag.feed ? [{ ...bag.feed, place: { kind: 'throughout' } }] : [],
    },
    { tables, depth: ANY_DEPTH },
  )
  return prepared.ok ? succeed(prepared.value.lime.own.gramsPerLitre, ...prepared.notes) : prepared
}

/** A finished mix by itself, as a recipe. */
export const recipeOfMix = (mix: InnerMix): Recipe => ({
  parts: [{ materialId: mix.id, twelfths: 12 }],
  mixes: [mix],
  lime: NO_LIME,
  dressings: [],
})

const BAGGED = 'potting_mix_bagged'
/**
 * Is a mix of these parts limed already by the bag that most of it comes from? A shop's mix is, unless its label says
 * not. Source: common practice.
 */
export function isLimedByBag(
  parts: readonly { id: string; parts: number }[],
  bagLimed: boolean | undefined,
): boolean {
  const all = parts.reduce((sum, p) => sum + p.parts, 0)
  const bag = parts.reduce((sum, p) => sum + (p.id === BAGGED ? p.parts : 0), 0)
  return bagLimed !== false && bag > APPRAISAL_LIMITS.mostlyBag.value * all
}
