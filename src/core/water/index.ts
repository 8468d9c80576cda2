export {
  baseOfMix,
  containerProfile,
  dryingLimits,
  EASY_RANGE,
  standingWater,
  SUBSOIL_TENSION,
  tensionAtBase,
  type ContainerProfile,
  type PorousLayer,
  type ProfileSlice,
} from './containerProfile'
export { fitRetention, refitRetention, type RetentionFit, type RetentionPoints } from './fitRetention'
export { DRY_END, dryEndAt, retained, withDryEnd, type Retention } from './retention'
export { macroporesFull, macroporesFullAt, waterContent, type VanGenuchten } from './vanGenuchten'
export { WATER_LIMITS } from './limits'
export type { WaterBalance } from './sums'
