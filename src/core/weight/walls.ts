/** What the sides of a container are made of. */
export const WALL_MATERIALS = ['plastic', 'fabric', 'terracotta', 'timber', 'metal'] as const
export type WallMaterial = (typeof WALL_MATERIALS)[number]

/** Weight of the sides, kg/m2. Source: our assumption by usual wall thickness. */
export const WALL_WEIGHT: Readonly<Record<WallMaterial, number>> = {
  plastic: 2.5,
  fabric: 0.4,
  terracotta: 24,
  timber: 12,
  metal: 8,
}
