import type { CropSeason } from '../data/types'
import { PERENNIAL_SEASON } from '../nutrients/demand'
import { SEASON_LIMITS } from './limits'
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
  const days = (id: keyof typeof SEASON_LIMITS): Days => SEASON_LIMITS[id].value
  if (q.limed) {
    put('test-ph-first', days('firstPHTest') - q.mixedBefore)
    put('test-ph-again', days('secondPHTest') - q.mixedBefore)
  }
  if (q.transplanted) put('shade', 0, days('shade'))
  const end = q.harvest?.to ?? days('season')
  if (q.hungryFrom !== null && q.hungryFrom < end) {
    const day = Math.max(days('feedBefore'), q.hungryFrom - days('feedBefore'), q.restsFor)
    // What stays for years is fed while it grows, and left to ripen before its winter.
    put('feed', day, q.perennial ? Math.min(end, day + PERENNIAL_SEASON) : end)
  }
  const look = days('look')
  if (q.waterEc > SEASON_LIMITS.saltyWater.value)
    for (let day = look; day < Math.min(end, days('saltsUntil')); day += look) put('check-salts', day)
  if (end > days('topUpWorthIt')) put('top-up', look)
  if (q.harvest) put('harvest', q.harvest.from, q.harvest.to)
  if (q.coldFrom !== null) put(q.season?.standsTo ? 'winter' : 'bring-in', q.coldFrom)
  const after = Math.max(end + days('lookBackAfter'), days('leastLookBack'))
  put('look-back', q.perennial ? days('perennialLookBack') : after)
  return list.sort((a, b) => a.day - b.day)
}
