export {
  difference,
  differenceShown,
  LEAST_POTS,
  potsWanted,
  trialPlan,
  USUAL_VARIATION,
  type Difference,
} from './difference'
