import type { MixOffer, OfferReason } from '@/model/find/threeMixes'
import { chanceText, concernText, fitText } from './finder'
import { percentText, pHText, rateFigure, rateUnit, type UnitSystem } from '../base/units'

export const OFFER_NAMES: Record<OfferReason, string> = {
  likeliest: 'Likeliest to suit',
  cheapest: 'Cheaper',
  'peat-free': 'Without peat',
  other: 'Another kind',
}

/** Smaller differences of a chance nobody tells. */
const A_LOT = 0.05

/** What a mix offered brings: how surely it suits, its air, water and pH, its cost. */
export function gainsText({ found, against }: MixOffer, units: UnitSystem): string {
  const { look, candidate } = found
  if (!look) return ''
  const cost = candidate.figures.costPerLitre + look.dosesPerLitre
  const money = Number.isFinite(cost) ? `; ${rateFigure(cost, units)} ${rateUnit(units)}` : ''
  const saved = against?.saves && against.saves > 0.001 ? `, ${rateFigure(against.saves, units)} less` : ''
  return `Air ${percentText(look.air)}, water ${percentText(look.water)}, pH ${pHText(look.pH)}; every band met in ${chanceText(look.chance)} lots${money}${saved}.`
}

/** What it gives up: bands it misses, what would be warned of, what it loses against the likeliest. */
export function givesUpText({ found, against }: MixOffer): string {
  const { look, candidate } = found
  const fit = fitText(candidate)
  return [
    ...(fit.startsWith('misses') ? [fit] : []),
    ...(look && look.concerns.length > 0 ? [concernText(look.concerns)] : []),
    ...(against && against.chance > A_LOT
      ? [`suits ${Math.round(against.chance * 10)} lots of ten fewer`]
      : []),
    ...(against?.saves && against.saves < -0.001 ? ['costs more'] : []),
  ].join('; ')
}
