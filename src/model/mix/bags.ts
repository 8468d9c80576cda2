import { limeForTarget } from '@/core/chemistry'
import { blend, labelShares, type BlendPart } from '@/core/mixing'
import { acidDosesOf } from '@/core/nutrients'
import { fail, succeed, type Note, type Outcome } from '@/core/outcome'
import { preparedMaterial } from './prepared'
import { dosesOf, limeChoice } from './reckoning'
import type { Bag, InnerMix, Part, Recipe } from '@/model/garden/schemas'

export interface DescribedBag {
  /** The bag as a finished mix, shares at the middle of what its label leaves open. */
  mix: InnerMix
  /** The same at the corners of what the label leaves open. */
  corners: InnerMix[]
}

/** Shares in twelfths: fine enough that rounding never shows. */
const FINE = 1200
/** Lime makers use half and half where nobody says. Source: our assumption. */
const DOLOMITE = 0.5
const NO_LIME = { mode: 'none', target: 6.4, gramsPerLitre: 0, dolomiteShare: DOLOMITE } as const
/** A depth for what fertilizer does to pH; all of it is mixed through, so that any will do. */
const ANY_DEPTH = 20

/**
 * A bagged mix worked out from its label: shares by `labelShares`, lime so that it comes to the pH printed, the fertilizer it names.
 *
 * Errors: a bag of nothing, a price or dose below nought, an ingredient nobody knows, shares that do not add up, a pH lime cannot
 * give. Notes: ingredients that are at or above the printed pH without any lime.
 */
export function describeBag(bag: Bag, mixId: string): Outcome<DescribedBag> {
  if (!(bag.litres > 0)) return fail({ code: 'size-not-positive', field: 'bagLitres', value: bag.litres })
  if (bag.litres > 5000)
    return fail({ code: 'size-too-large', field: 'bagLitres', value: bag.litres, limit: 5000 })
  if (bag.price !== null && !(bag.price >= 0))
    return fail({ code: 'amount-negative', field: 'bagPrice', value: bag.price })
  const shares = labelShares(bag.ingredients.map((i) => i.share))
  if (!shares.ok) return shares
  const notes: Note[] = []
  const asMix = (of: readonly number[]): Outcome<InnerMix> => {
    const parts: Part[] = bag.ingredients.flatMap(({ materialId }, i) =>
      of[i]! > 0 ? [{ materialId, twelfths: Math.max(1, Math.round(FINE * of[i]!)) }] : [],
    )
    const lime = labelLime(bag, parts)
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
function labelLime(bag: Bag, parts: readonly Part[]): Outcome<number> {
  const list: BlendPart[] = []
  for (const { materialId, twelfths } of parts) {
    const material = preparedMaterial(materialId)
    if (!material) return fail({ code: 'unknown-material', material: materialId })
    list.push({ material, parts: twelfths })
  }
  const mixed = blend(list)
  if (!mixed.ok) return mixed
  const doses = dosesOf(bag.feed ? [{ ...bag.feed, place: { kind: 'throughout' }, share: 1 }] : [])
  if (!doses.ok) return doses
  if (bag.pH === null) return succeed(0)
  const acids = acidDosesOf(doses.value, ANY_DEPTH)
  const plan = limeForTarget(mixed.value, limeChoice(NO_LIME), bag.pH, undefined, undefined, acids)
  return plan.ok ? succeed(plan.value.gramsPerLitre, ...plan.notes) : plan
}

/** A finished mix by itself, as a recipe. */
export const recipeOfMix = (mix: InnerMix): Recipe => ({
  parts: [{ materialId: mix.id, twelfths: 12 }],
  mixes: [mix],
  lime: NO_LIME,
  dressings: [],
})
