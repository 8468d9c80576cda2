import type { Centimetres } from '../units'
import type { TrayId } from './trayIds'

/** What plants are raised in. */
export interface Tray {
  id: TrayId
  /** Cells, blocks or pots to a tray of some 54 by 28 cm; 1 for an open tray. */
  cells: number
  /** mL of mix in one of them, as it is filled. */
  millilitres: number
  height: Centimetres
  /** Litres of loose mix to a litre of it: blocks are pressed. */
  pressed: number
  /** Days a plant may stay in it at 20 C before its roots want more room; null where it is pricked out of it. */
  days: number | null
}

/**
 * Trays, plugs, blocks and pots that plants are raised in. Source: trade sizes and days in a stage, common practice
 * (from memory); a block takes a third more loose mix than its size.
 */
export const TRAYS: readonly Tray[] = [
  { id: 'seedTray', cells: 1, millilitres: 3500, height: 4.5, pressed: 1, days: null },
  { id: 'plugs288', cells: 288, millilitres: 5, height: 2.5, pressed: 1, days: 28 },
  { id: 'plugs128', cells: 128, millilitres: 18, height: 4, pressed: 1, days: 35 },
  { id: 'plugs72', cells: 72, millilitres: 40, height: 4.5, pressed: 1, days: 38 },
  { id: 'modules24', cells: 24, millilitres: 120, height: 6, pressed: 1, days: 42 },
  { id: 'blocks4', cells: 50, millilitres: 65, height: 4.3, pressed: 1.35, days: 30 },
  { id: 'rootTrainers', cells: 32, millilitres: 175, height: 12, pressed: 1, days: 50 },
  { id: 'pots9cm', cells: 18, millilitres: 330, height: 7.6, pressed: 1, days: 42 },
  { id: 'pots13cm', cells: 8, millilitres: 1000, height: 11, pressed: 1, days: 56 },
]

/**
 * A tray by its id. Errors: throws on one that is none.
 *
 * @example
 * trayOf('plugs128').cells // 128
 */
export const trayOf = (id: TrayId): Tray => TRAYS.find((t) => t.id === id)!
