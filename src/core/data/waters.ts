/** A typical water to choose from where nobody has figures. */
export interface TypicalWater {
  id: WaterId
  /** meq/L. */
  alkalinity: number
  /** dS/m. */
  conductivity: number
  /** Its calcium and magnesium were changed for sodium. */
  softened: boolean
}
export const WATER_IDS = ['rain', 'soft', 'hard', 'veryHard', 'softened', 'well'] as const
export type WaterId = (typeof WATER_IDS)[number]

/**
 * Typical waters: alkalinity and conductivity in the middle of what suppliers report for their kind. A softener changes
 * the ions and leaves both.
 * Source: common practice; classes of alkalinity after Bailey & Bilderback (from memory).
 */
export const TYPICAL_WATERS: readonly TypicalWater[] = [
  { id: 'rain', alkalinity: 0, conductivity: 0.03, softened: false },
  { id: 'soft', alkalinity: 0.8, conductivity: 0.15, softened: false },
  { id: 'hard', alkalinity: 4, conductivity: 0.6, softened: false },
  { id: 'veryHard', alkalinity: 6, conductivity: 0.9, softened: false },
  { id: 'softened', alkalinity: 5, conductivity: 0.9, softened: true },
  { id: 'well', alkalinity: 4, conductivity: 1.2, softened: false },
]

/**
 * The typical water with these very figures; null for one's own.
 * meq/L and dS/m.
 *
 * @example
 * typicalWater({ waterAlkalinity: 4, waterEc: 0.6, waterSoftened: false }) // 'hard'
 */
export const typicalWater = (own: {
  waterAlkalinity: number
  waterEc: number
  waterSoftened: boolean
}): WaterId | null =>
  TYPICAL_WATERS.find(
    (w) =>
      w.alkalinity === own.waterAlkalinity &&
      w.conductivity === own.waterEc &&
      w.softened === own.waterSoftened,
  )?.id ?? null
