import { ownDressingName, ownMaterialName } from './garden'
import type { Dressing, DressingFamily, Material } from '@/core/data'
import { completeDressing } from '@/core/own/ownDressing'
import { completeLime } from '@/core/own/ownLime'
import { completeMaterial } from '@/core/own/ownMaterial'
import { fail, succeed, type Outcome } from '@/core/outcome'
import { agedMaterial } from '@/core/data/learned'
import type { OwnDressingRecord, OwnMaterialRecord } from './schemas'

/**
 * A material of the grower's own as a whole row. Errors: those of `completeMaterial`, a bucket of nothing.
 */
export function materialOfOwn(own: OwnMaterialRecord): Outcome<Material> {
  const { bucket } = own
  if (bucket && !(bucket.litres > 0))
    return fail({ code: 'size-not-positive', field: 'bucketLitres', value: bucket.litres })
  if (bucket && !(bucket.kg > 0))
    return fail({ code: 'size-not-positive', field: 'bucketKg', value: bucket.kg })
  const whole = completeMaterial({
    id: own.id,
    name: ownMaterialName(own),
    family: own.family,
    like: own.likeId ?? undefined,
    feel: own.feel ?? undefined,
    asBought: bucket ? { bulkDensity: bucket.kg / bucket.litres, wetness: own.wetness } : undefined,
    screenedOut: own.screenedOut,
    known: {
      ...(own.pH === null ? {} : { pH: { low: own.pH - 0.3, value: own.pH, high: own.pH + 0.3 } }),
      ...(own.salts === null ? {} : { electricalConductivity: own.salts }),
    },
  })
  const { figures, sizeShares } = own
  if (!whole.ok || figures.length === 0) return whole
  return succeed(
    agedMaterial(whole.value, { properties: figures, ...(sizeShares.length > 0 ? { sizeShares } : {}) }),
  )
}

/** Shares of nitrogen in a soluble feed that makes a mix acid, and in one that does not. Source: common practice. */
const FORMS = {
  acid: { nitrate: 0.2, ammonium: 0.4, urea: 0.4, organic: 0 },
  neutral: { nitrate: 0.85, ammonium: 0.15, urea: 0, organic: 0 },
}

/** The family whose rows it is most like: an organic feed by the element it has most of. */
function familyOf({ kind, label }: OwnDressingRecord): Exclude<DressingFamily, 'lime'> {
  if (kind === 'soluble') return 'soluble'
  if (kind === 'coated') return 'crf'
  const { nitrogen, phosphate, potash } = label
  const most = Math.max(nitrogen, phosphate, potash)
  if (kind === 'organic')
    return most === nitrogen ? 'organic_N' : most === phosphate ? 'organic_P' : 'organic_K'
  return most === potash ? 'mineral_K' : most === phosphate ? 'phosphate' : 'soluble'
}

/**
 * A feed or lime of the grower's own as a whole row. Errors: those of `completeDressing` and `completeLime`; a feed of
 * nothing; a spoon or cup of nothing.
 */
export function dressingOfOwn(own: OwnDressingRecord): Outcome<Dressing> {
  const { weighed, label } = own
  const bulkDensity = weighed ? weighed.grams / weighed.millilitres : undefined
  if (weighed && !(weighed.millilitres > 0))
    return fail({ code: 'size-not-positive', field: 'weighedMillilitres', value: weighed.millilitres })
  if (weighed && !(weighed.grams > 0))
    return fail({ code: 'size-not-positive', field: 'weighedGrams', value: weighed.grams })
  const name = ownDressingName(own)
  if (own.kind === 'lime')
    return completeLime({
      id: own.id,
      name,
      like: own.limeLike,
      calciumCarbonateEquivalent: own.neutralizing,
      grind: own.grind ?? undefined,
      bulkDensity,
    })
  if (!(label.nitrogen + label.phosphate + label.potash > 0))
    return fail({ code: 'size-not-positive', field: 'label', value: 0 })
  return completeDressing({
    id: own.id,
    name,
    family: familyOf(own),
    label,
    bulkDensity,
    ...(own.kind === 'coated' ? { longevityMonths: own.months } : {}),
    ...(own.kind === 'soluble' ? { nitrogenForms: own.acidForming ? FORMS.acid : FORMS.neutral } : {}),
  })
}
