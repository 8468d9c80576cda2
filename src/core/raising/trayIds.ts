/** What plants are raised in, by name alone: a stored job needs no more of it. */
export const TRAY_IDS = [
  'seedTray',
  'plugs288',
  'plugs128',
  'plugs72',
  'modules24',
  'blocks4',
  'rootTrainers',
  'pots9cm',
  'pots13cm',
] as const
export type TrayId = (typeof TRAY_IDS)[number]
