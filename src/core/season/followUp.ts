import type { CropSeason } from '../data/types'
import { PERENNIAL_SEASON } from '../nutrients/demand'
import type { Days } from '../units'

/** What a job asks for after it is filled, as plain data. */
export type FollowUpCode =
  | 'test-ph-first'
  | 'test-ph-again'
  | 'shade'
  | 'feed'
  | 'check-salts'
  | 'top-up'
  | 'harvest'
  | 'bring-in'
  | 'winter'
  | 'look-back'

export interface FollowUp {
  code: FollowUpCode
  /** Days after planting. */
  day: Days
  /** Last day of it, where it lasts. */
  until: Days | null
}

export interface FollowUpQuestion {
  /** Days from mixing to planting, 0 where planted the same day. */
  mixedBefore: Days
  /** Lime or sulfur went in: its pH moves for weeks. */
  limed: boolean
  /** Planted from a pot or module, not sown in place. */
  transplanted: boolean
  /** Day at which the mix no longer feeds the crop alone; null where it does all season. */
  hungryFrom: Days | null
  harvest: { from: Days; to: Days } | null
  /** dS/m of the water. */
  waterEc: number
  season: CropSeason | undefined
  /** First day after planting of a month too cold for what stands outside; null where there is none. */
  coldFrom: Days | null
  perennial: boolean
  /** Days until its growing half of the year where it is planted in the resting half; 0 otherwise. */
  restsFor: Days
}

/**
 * Water saltier than this wants an eye kept on the mix, dS/m. Source: Ayers & Westcot 1985, FAO-29: slight
 * restriction from 0.7.
 */
export const SALTY_WATER = 0.7

/**
 * Dates to follow a planting by, in the order of days. pH two weeks and six weeks after mixing, shade for a week,
 * feed a week before the mix runs short but not while it rests, a look at the level after eight weeks, salts each
 * eight weeks where the water is salty, harvest, the cold. Source: common practice; harvest and hunger as computed
 * elsewhere.
 * Days since planting, 0 and up. Errors: none.
 */
export function followUp(q: FollowUpQuestion): FollowUp[] {
  const list: FollowUp[] = []
  const put = (code: FollowUpCode, day: Days, until: Days | null = null) =>
    list.push({ code, day: Math.round(day), until: until === null ? null : Math.round(until) })
  if (q.limed) {
    put('test-ph-first', 14 - q.mixedBefore)
    put('test-ph-again', 42 - q.mixedBefore)
  }
  if (q.transplanted) put('shade', 0, 7)
  const end = q.harvest?.to ?? 180
  if (q.hungryFrom !== null && q.hungryFrom < end) {
    const day = Math.max(7, q.hungryFrom - 7, q.restsFor)
    // What stays for years is fed while it grows, and left to ripen before its winter.
    put('feed', day, q.perennial ? Math.min(end, day + PERENNIAL_SEASON) : end)
  }
  if (q.waterEc > SALTY_WATER) for (let day = 56; day < Math.min(end, 200); day += 56) put('check-salts', day)
  if (end > 70) put('top-up', 56)
  if (q.harvest) put('harvest', q.harvest.from, q.harvest.to)
  if (q.coldFrom !== null) put(q.season?.standsTo ? 'winter' : 'bring-in', q.coldFrom)
  put('look-back', q.perennial ? 365 : Math.max(end + 14, 60))
  return list.sort((a, b) => a.day - b.day)
}
