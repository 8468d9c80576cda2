import type { Centimetres, Fraction } from '../units'
import { waterContent, type VanGenuchten } from './vanGenuchten'

/** Tensions of the dry end, cm: where the fitted curve ends, half dry, and the permanent wilting point. */
export const DRY_END = { from: 100, middle: 1000, wilting: 15_000 } as const satisfies Record<
  string,
  Centimetres
>

/** How a material holds water: van Genuchten's curve to 100 cm, and three points beyond. */
export interface Retention extends VanGenuchten {
  /** Water at 100, 1,000 and 15,000 cm, never rising; volume fractions. */
  dryEnd: readonly [Fraction, Fraction, Fraction]
}

/**
 * A fitted curve with what the tables hold of its dry end. One curve of four parameters leaves
 * peat and coir up to 23 points too wet at the wilting point, so the dry end goes by points of its own.
 * Volume fractions. Errors: none; water that would rise with tension is held level.
 * Source: our assumption; Schofield 1935 for the logarithm of tension.
 *
 * @example
 * withDryEnd(
 *   { residual: 0.1, saturated: 0.9, alpha: 0.1, n: 2 },
 *   { waterAt1000Cm: 0.15, waterAt15000Cm: 0.08 },
 * ).dryEnd // [0.1796, 0.15, 0.08]
 */
export function withDryEnd(
  curve: VanGenuchten,
  points: { waterAt1000Cm: Fraction; waterAt15000Cm: Fraction },
): Retention {
  const at100 = waterContent(curve, DRY_END.from)
  const at1000 = Math.min(points.waterAt1000Cm, at100)
  return { ...curve, dryEnd: [at100, at1000, Math.min(points.waterAt15000Cm, at1000)] }
}

const LN = {
  from: Math.log(DRY_END.from),
  middle: Math.log(DRY_END.middle),
  wilting: Math.log(DRY_END.wilting),
} as const

/**
 * Water of a dry end at a tension of 100 cm and more: straight lines in the logarithm of tension, level beyond the
 * wilting point. `lnTension` is the logarithm of the tension in cm.
 *
 * @example
 * dryEndAt([0.3, 0.2, 0.1], Math.log(1000)) // 0.2
 */
export function dryEndAt([at100, at1000, at15000]: Retention['dryEnd'], lnTension: number): Fraction {
  if (lnTension >= LN.wilting) return at15000
  return lnTension < LN.middle
    ? at100 + ((at1000 - at100) * (lnTension - LN.from)) / (LN.middle - LN.from)
    : at1000 + ((at15000 - at1000) * (lnTension - LN.middle)) / (LN.wilting - LN.middle)
}

/**
 * Water a material holds at any tension, cm; volume fraction.
 * Range: any tension; full at zero and below, level beyond 15,000 cm.
 * Source: `waterContent` to 100 cm, `dryEndAt` beyond.
 *
 * @example
 * retained(preparedMaterial(materialById('soil_loam')).retention, 15000) // 0.13
 */
export const retained = (retention: Retention, tension: Centimetres): Fraction =>
  tension > DRY_END.from ? dryEndAt(retention.dryEnd, Math.log(tension)) : waterContent(retention, tension)
