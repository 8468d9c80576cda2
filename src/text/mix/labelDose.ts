import type { Dressing } from '@/core/data'
import { NUTRIENTS, type LabelDose, type Nutrient } from '@/model/amounts/labelDose'
import { doseText, percentText, type UnitSystem } from '../base/units'

const NUTRIENT_NAMES: Record<Nutrient, string> = {
  nitrogen: 'nitrogen',
  phosphate: 'phosphate',
  potash: 'potash',
}
export const NUTRIENT_CHOICES = [
  { value: 'nitrogen' as const, label: 'N' },
  { value: 'phosphate' as const, label: 'P' },
  { value: 'potash' as const, label: 'K' },
]

/** What a feed known by its label is. */
export const FEED_KINDS = [
  { value: 'soluble' as const, label: 'Soluble' },
  { value: 'organic' as const, label: 'Organic' },
  { value: 'coated' as const, label: 'Coated' },
]

/** A feed that gives up half of what it holds within this many days acts at once. Source: our assumption. */
const AT_ONCE = 7

/** How soon a feed works, where a recipe's was slow and one's own is not, or the other way round. */
export function releaseText({ release }: Pick<Dressing, 'release'>): string {
  if (release.kind === 'none') return ''
  if (release.kind === 'coated') return `It gives out over ${release.longevityMonths} months in warmth.`
  const half = Math.LN2 / release.ratePerDay.value
  return half <= AT_ONCE
    ? 'It dissolves at once: all of it together is strong. Give a quarter now and the rest in water later.'
    : `It gives out slowly, half of it in about ${half < 60 ? `${Math.round(half)} days` : `${Math.round(half / 30)} months`}.`
}

/** Less of a difference than this nobody tells. */
const ALIKE = 0.05

/** What differs when one feed stands in for another, in a sentence. */
export function labelDoseText(
  { ratio, changes, extra }: LabelDose,
  matched: Nutrient,
  units: UnitSystem,
): string {
  const others = NUTRIENTS.filter((n) => n !== matched)
  const words = others.flatMap((n) => {
    const change = changes[n]
    const more = extra[n]
    if (more !== undefined)
      return [`${doseText(more, units)} of ${NUTRIENT_NAMES[n]} that the recipe has not`]
    if (change === null) return []
    if (Math.abs(change) < ALIKE) return [`as much ${NUTRIENT_NAMES[n]}`]
    return change <= -1 + ALIKE
      ? [`no ${NUTRIENT_NAMES[n]}`]
      : [`${percentText(Math.abs(change))} ${change > 0 ? 'more' : 'less'} ${NUTRIENT_NAMES[n]}`]
  })
  const weight =
    Math.abs(ratio - 1) < ALIKE ? 'the same weight' : `${Number(ratio.toPrecision(2))} times the weight`
  return `For as much ${NUTRIENT_NAMES[matched]} take ${weight}${words.length > 0 ? `; it gives ${words.join(', ')}` : ''}.`
}
