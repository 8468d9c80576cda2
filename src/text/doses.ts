import { AMOUNT_LIMITS } from '@/core/amounts'
import type { Dressing } from '@/core/data'
import { dressingById } from '@/core/data/dressings'
import type { DoseOffer } from '@/model/mix/doses'
import { dressingName } from './dressings'
import { doseInHand } from './measures'
import type { Sentence } from './problems.en'
import { doseText, doseWeightText, percentText, pHText, type UnitSystem } from './units'

export const DOSE_PLACES = [
  { value: 'throughout', label: 'All through' },
  { value: 'top', label: 'In the top' },
  { value: 'hole', label: 'In the planting hole' },
  { value: 'heldBack', label: 'Held back' },
] as const
export const DOSE_SHARES = [
  { value: 1, label: 'all of it' },
  { value: 0.75, label: 'three quarters' },
  { value: 0.5, label: 'half' },
  { value: 0.25, label: 'a quarter' },
]

/** What is wrong with a dose typed in, if anything. */
export function doseProblem(gramsPerLitre: number): Sentence | null {
  if (gramsPerLitre < 0) return { why: 'Below nothing.', fix: 'Type 0 or more.' }
  return gramsPerLitre > AMOUNT_LIMITS.dressing.value
    ? { why: 'Nobody gives so much.', fix: 'Check the unit.' }
    : null
}
export const depthProblem = (depth: number): Sentence | null =>
  depth > 0 ? null : { why: 'No depth.', fix: 'Type more than 0.' }
export const dayProblem = (day: number): Sentence | null =>
  day >= 0 ? null : { why: 'Below nothing.', fix: 'Type 0 or more.' }

/** What is usually given, and from where it is trouble. */
export const usualDoseText = (d: Dressing | undefined, units: UnitSystem): string =>
  d
    ? `usual ${doseText(d.dose.low, units)} to ${doseText(d.dose.high, units)}, trouble from ${doseText(d.dose.limit, units)}`
    : 'not in the tables any more'

/** An offer in words: what to press, and why so much. */
export function offerText({ line, why }: DoseOffer, litres: number | null, units: UnitSystem) {
  const dressing = dressingById(line.dressingId)
  const inHand = dressing ? doseInHand(line.gramsPerLitre, dressing.bulkDensity.value, litres, units) : ''
  const reason =
    why.code === 'feed'
      ? `${doseWeightText(why.grams, units)} of nitrogen is short in each container; in ${Math.round(why.days)} days it gives out ${percentText(why.released)} of its own.`
      : `To bring pH from ${pHText(why.from)} to ${pHText(why.to)} in ${why.weeks} weeks of warmth.`
  const capped =
    why.code === 'feed'
      ? ' More would be needed; this is the most usually given, the rest is for liquid feed.'
      : ' This is the most usually given; look again then.'
  return {
    label: `${doseText(line.gramsPerLitre, units)} of ${dressingName(line.dressingId).toLowerCase()}`,
    why: `${reason}${why.capped ? capped : ''} ${inHand}.`,
  }
}
