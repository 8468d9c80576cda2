import { differenceShown, LEAST_POTS, type Difference } from '@/core/trial'
import type { Comparison, Measure, MixDifference } from '@/model/season/compareSeasons'
import { counted } from '../base/counted'
import { percentText, volumeText, weightText, type UnitSystem } from '../base/units'

export const MEASURE_NAMES: readonly { value: Measure; label: string }[] = [
  { value: 'plant', label: 'A plant' },
  { value: 'litre', label: 'A litre' },
  { value: 'money', label: 'Money' },
]

const LITRES_PER_GALLON = 3.785412
/** A harvest in words, for what it is counted by. */
export function harvestText(value: number, of: Measure, units: UnitSystem): string {
  if (of === 'plant') return `${weightText(value, units)} a plant`
  if (of === 'money') return `${weightText(value, units)} for 1 of money`
  return units === 'us'
    ? `${weightText(value * LITRES_PER_GALLON, units)} a gallon of mix`
    : `${weightText(value * 10, units)} for 10 L of mix`
}

const more = (share: number) => `${percentText(Math.abs(share))} ${share < 0 ? 'less' : 'more'}`

/** What a difference of harvests is worth, in a sentence or two. */
export function differenceText(
  { means, share, range, counts, isSure }: Difference,
  of: Measure,
  units: UnitSystem,
): string {
  const [a, b] = counts
  if (a === 0 || b === 0) return 'Choose beds with a harvest for both sides.'
  const said = `A: ${harvestText(means[0], of, units)} (${counted(a, 'pot or bed', 'pots or beds')}). B: ${harvestText(means[1], of, units)} (${counted(b, 'pot or bed', 'pots or beds')}).`
  if (range === null)
    return `${said} ${Math.min(a, b) < LEAST_POTS ? `${Math.min(a, b) === 1 ? 'One pot' : 'Two pots'} each cannot tell: pots of one mix differ by a quarter among themselves.` : 'There is no share of 0.'}`
  const between = `${more(range.low)} and ${more(range.high)}`
  return isSure
    ? `${said} B gave ${more(share)}, likely between ${between}: pots of one mix seldom differ so much by chance.`
    : `${said} B gave ${more(share)}, likely between ${between}: that may be chance. So many pots show a difference of ${percentText(differenceShown(Math.min(a, b)))} and more.`
}

const timesText = (count: number): string => {
  const n = Math.round(count)
  return n === 0 ? 'never' : n === 1 ? 'once' : `${n} times`
}

/** What was done differently, a line each. */
export function differedTexts({ mix, waterings, feeds }: Comparison): string[] {
  const part = ({ name, first, second }: MixDifference) =>
    `${name}: ${percentText(first)} of A, ${percentText(second)} of B`
  const times = (name: string, [a, b]: [number, number]) =>
    Math.abs(a - b) >= 1 ? [`${name}: A ${timesText(a)}, B ${timesText(b)}`] : []
  return [...mix.slice(0, 6).map(part), ...times('Watered', waterings), ...times('Fed', feeds)]
}

/** A bed in a line. */
export const bedSeasonText = (
  { litres, plants, kg, pieces }: Record<'litres' | 'plants' | 'kg' | 'pieces', number>,
  units: UnitSystem,
): string =>
  [
    volumeText(litres, units),
    counted(plants, 'plant'),
    kg > 0 ? weightText(kg, units) : '',
    pieces > 0 ? counted(Math.round(pieces), 'piece') : '',
    kg + pieces > 0 ? '' : 'no harvest noted',
  ]
    .filter(Boolean)
    .join(', ')

/** What so many pots would show. */
export const trialText = (pots: number): string =>
  pots < LEAST_POTS
    ? 'Three pots of each at least: two cannot tell.'
    : `With ${pots} pots of each a difference of ${percentText(differenceShown(pots))} shows, four times in five; pots of one mix differ by a quarter.`
