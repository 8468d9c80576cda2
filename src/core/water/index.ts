export {
  baseOfMix,
  containerProfile,
  dryingLimits,
  entryTensionOf,
  SUBSOIL_TENSION,
  tensionAtBase,
  type ContainerProfile,
  type PorousLayer,
  type WaterBalance,
  type ProfileSlice,
} from './containerProfile'
export { fitRetention, refitRetention, type RetentionFit, type RetentionPoints } from './fitRetention'
export { waterContent, type VanGenuchten } from './vanGenuchten'
export { WATER_LIMITS } from './limits'
