import { limeForTargetAndRatio, type AcidDose, type LimeChoice } from '../../../core/chemistry'
import type { Blend } from '../../../core/mixing'
import { supplyOfParts, IMMEDIATE } from '../../../core/nutrients'
import { succeed, type Outcome } from '../../../core/outcome'
import type { LimeOfCase, Lookup } from './lookup'

export interface LimeGiven {
  limes: LimeChoice[]
  gramsPerLitre: number
}

/** The lime a case asks for, solved where it names a pH. g per litre of blend. Errors and notes: those of the solver. */
export function limeOf(
  lime: LimeOfCase | undefined,
  lookup: Lookup,
  blend: Blend,
  acids: readonly AcidDose[],
  temperature: number,
): Outcome<LimeGiven> {
  if (!lime) return succeed({ limes: [], gramsPerLitre: 0 })
  const found = lookup.limes(lime)
  if (!found.ok) return found
  const { calcitic, dolomitic } = found.value
  const choice = (share: number): LimeChoice[] => [
    { lime: calcitic, share: 1 - share },
    { lime: dolomitic, share },
  ]
  if ('gramsPerLitre' in lime)
    return succeed({ limes: choice(lime.dolomiteShare), gramsPerLitre: lime.gramsPerLitre })
  const { calcium, magnesium } = supplyOfParts(blend, temperature)(IMMEDIATE).charge
  const plan = limeForTargetAndRatio(
    blend,
    found.value,
    lime.targetPH,
    lime.calciumToMagnesium,
    { calcium, magnesium },
    undefined,
    temperature,
    acids,
  )
  return plan.ok
    ? succeed(
        { limes: choice(plan.value.dolomiteShare), gramsPerLitre: plan.value.plan.gramsPerLitre },
        ...plan.notes,
      )
    : plan
}
