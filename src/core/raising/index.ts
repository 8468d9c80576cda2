export { daysToEmerge, growthRate } from './emerge'
export { RAISING_LIMITS } from './limits'
export {
  RAISING_STEPS,
  raisingPlan,
  type RaisingDate,
  type RaisingPlan,
  type RaisingQuestion,
  type RaisingStage,
  type RaisingStep,
} from './plan'
export { TRAY_IDS, trayOf, TRAYS, type Tray, type TrayId } from './trays'
