import { lowerFirst } from '../base/counted'
import type { MixOffer, OfferReason } from '@/model/find/threeMixes'
import { chanceText } from './finder'
import { dressingName } from '../shelf/dressings'
import { doseText, percentText, pHText, rateFigure, rateUnit, type UnitSystem } from '../base/units'

export const OFFER_NAMES: Record<OfferReason, string> = {
  likeliest: 'Likeliest to suit',
  lighter: 'Lighter',
  heavier: 'Heavier, for wind',
  cheapest: 'Cheaper',
  bag: 'From a bag',
  'peat-free': 'Without peat',
  other: 'Another kind',
}

/** Smaller differences of a chance nobody notices. */
const A_LOT = 0.05

/** What a mix offered brings: how surely it suits, its air, water and pH, its cost. */
export function gainsText({ found, against }: MixOffer, units: UnitSystem): string {
  const { look, candidate } = found
  if (!look) return ''
  const cost = candidate.figures.costPerLitre + look.dosesPerLitre
  const money = Number.isFinite(cost) ? `; ${rateFigure(cost, units)} ${rateUnit(units)}` : ''
  const chance = look.chance === null ? '' : `; ${chanceText(look.chance)} batches meet the targets`
  const saved = against?.saves && against.saves > 0.001 ? `, ${rateFigure(against.saves, units)} less` : ''
  return `Air ${percentText(look.air)}, water ${percentText(look.water)}, pH ${pHText(look.pH)}${chance}${money}${saved}.`
}

/** Lime and feed that come with it, g per litre of mix; nothing where it takes none. */
export function dosesText({ found: { look } }: MixOffer, units: UnitSystem): string {
  const doses = [
    ...(look && look.limeGramsPerLitre > 0 ? [`${doseText(look.limeGramsPerLitre, units)} of lime`] : []),
    ...(look?.feeds ?? []).map(
      (f) => `${doseText(f.gramsPerLitre, units)} of ${lowerFirst(dressingName(f.dressingId))}`,
    ),
  ]
  return doses.length > 0 ? `With ${inWords(doses)}.` : ''
}
const inWords = (list: readonly string[]) => new Intl.ListFormat('en-GB').format(list)

/** "1 batch of 10 fewer", "3 batches of 10 fewer". */
const fewerText = (chance: number) => {
  const n = Math.round(chance * 10)
  return `${n} ${n === 1 ? 'batch' : 'batches'} of 10 fewer`
}

/** What it gives up against the likeliest. */
export function givesUpText({ against }: MixOffer): string {
  return [
    ...(against && against.chance > A_LOT ? [`meets the targets in ${fewerText(against.chance)}`] : []),
    ...(against?.saves && against.saves < -0.001 ? ['costs more'] : []),
  ].join('; ')
}
