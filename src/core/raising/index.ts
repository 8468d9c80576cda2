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
export { TRAY_IDS, type TrayId } from './trayIds'
export { trayOf, TRAYS, type Tray } from './trays'
