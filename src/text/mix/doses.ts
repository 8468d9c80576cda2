import { lowerFirst } from '../base/counted'
import type { Dressing } from '@/core/data'
import type { DressingLine } from '@/model/garden/schemas'
import type { DoseOffer } from '@/model/mix/doses'
import { BELOW_NOTHING } from '../base/belowNothing'
import { dressingName } from '../shelf/dressings'
import { doseInHand } from '../make/measures'
import type { Sentence } from '../base/problems.en'
import { doseText, doseWeightText, percentText, pHText, type UnitSystem } from '../base/units'

export const DOSE_PLACES = [
  { value: 'throughout', label: 'All through' },
  { value: 'top', label: 'In the top' },
  { value: 'hole', label: 'In the planting hole' },
  { value: 'heldBack', label: 'Held back' },
] as const
const DOSE_SHARES = [
  { value: 1, label: 'all of it' },
  { value: 0.75, label: 'three quarters' },
  { value: 0.5, label: 'half' },
  { value: 0.25, label: 'a quarter' },
]

/** Which of the mix gets a line, as one choice: a share of it, the mix of one bed, or of all beds but one. */
type ForWhom = Pick<DressingLine, 'share' | 'beds'>
const ONLY = 'only '
const BUT = 'but '
export function forWhom({ share, beds }: ForWhom, all: readonly string[]): string {
  const named = all.filter((id) => beds?.includes(id))
  if (named.length === 0 || named.length === all.length) return String(share)
  const left = all.filter((id) => !named.includes(id))
  return named.length === 1 ? `${ONLY}${named[0]}` : left.length === 1 ? `${BUT}${left[0]}` : 'some'
}
export function ofWhom(choice: string, all: readonly string[]): ForWhom {
  if (choice.startsWith(ONLY)) return { share: 1, beds: [choice.slice(ONLY.length)] }
  if (choice.startsWith(BUT)) return { share: 1, beds: all.filter((id) => id !== choice.slice(BUT.length)) }
  return { share: Number(choice), beds: undefined }
}

/** What there is to choose from for a line; only what is stirred in may go into a share of the mix. */
export function whomChoices(line: DressingLine, beds: readonly { id: string; name: string }[]) {
  const shares = DOSE_SHARES.filter((s) => s.value === 1 || line.place.kind === 'throughout')
  const list = shares.map((s) => ({ value: String(s.value), label: s.label }))
  if (beds.length < 2) return list
  const alone = beds.map((b) => ({ value: `${ONLY}${b.id}`, label: `only ${b.name}` }))
  const but = beds.length > 2 ? beds.map((b) => ({ value: `${BUT}${b.id}`, label: `all but ${b.name}` })) : []
  return [...list, ...alone, ...but]
}

/** What is wrong with a dose typed in, if anything. */
export const doseProblem = (gramsPerLitre: number): Sentence | null =>
  gramsPerLitre < 0 ? BELOW_NOTHING : null

/** A dose in the trouble of its own row: what happens then; nothing where it is within. */
export const overdoseText = (
  dressing: Dressing | undefined,
  gramsPerLitre: number,
  units: UnitSystem,
): string =>
  dressing && gramsPerLitre > dressing.dose.limit
    ? `More than ${doseText(dressing.dose.limit, units)}: ${dressing.overdose}. Check the unit.`
    : ''
export const depthProblem = (depth: number): Sentence | null =>
  depth > 0 ? null : { why: 'No depth.', fix: 'Type more than 0.' }
export const dayProblem = (day: number): Sentence | null => (day >= 0 ? null : BELOW_NOTHING)

/** What is usually given, and from where it is trouble. */
export const usualDoseText = (d: Dressing | undefined, units: UnitSystem): string =>
  d
    ? `usual ${doseText(d.dose.low, units)} to ${doseText(d.dose.high, units)}, trouble from ${doseText(d.dose.limit, units)}`
    : 'not in the tables any more'

/** An offer in words: what to press, and why so much. */
export function offerText({ line, bulkDensity, why }: DoseOffer, litres: number | null, units: UnitSystem) {
  const inHand = doseInHand(line.gramsPerLitre, bulkDensity, litres, units)
  const reason =
    why.code === 'feed'
      ? `Each container needs ${doseWeightText(why.grams, units)} more ${why.element}; this feed releases ${percentText(why.released)} of its own in ${Math.round(why.days)} days.`
      : `To bring pH from ${pHText(why.from)} to ${pHText(why.to)} in ${why.weeks} weeks of warmth.`
  const capped =
    why.code === 'feed'
      ? ' More would be needed; this is the most usually given, the rest is for liquid feed.'
      : ' This is the most usually given; look again then.'
  return {
    label: `${doseText(line.gramsPerLitre, units)} of ${lowerFirst(dressingName(line.dressingId))}`,
    why: `${reason}${why.capped ? capped : ''} ${inHand}.`,
  }
}
