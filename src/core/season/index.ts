export { followUp, type FollowUp, type FollowUpCode, type FollowUpQuestion } from './followUp'
export {
  daysToHarvest,
  monthsFor,
  perennialHarvest,
  plantingMonths,
  type DaysToHarvest,
  type MonthSuits,
} from './months'
export { coldestNightOf, hardinessZone, restsFor, winterMargin, ZONE, type WinterMargin } from './winter'
export { SEASON_LIMITS } from './limits'
