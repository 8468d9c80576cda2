import type { Days } from '../units'
import { AcidityRun } from './acidityRun'
import type { AcidityInput, AcidityState } from './acidityState'
import type { BufferedMix } from './lime'
import type { TemperatureCourse } from './temperature'

/**
 * pH of a mix over time, by a balance of charge: lime dissolving, sulfur oxidising, nitrogen nitrified and taken up,
 * fertilizer and water, against the buffer of the mix and of its water (`chargeBalance`).
 *
 *   F(pH) = sum reacted - laid down - acid + water - drained
 *   dU/dt = -k Q^((T-20)/10) U g(pH)^3,         g = 1 below 5.4, falling straight to 0 where calcite is in equilibrium
 *   laid down: of the charge above that equilibrium, half in two hours; it dissolves again when pH falls
 *   drained: what drains has the alkalinity of the water in the mix
 *   ammonium: -(kn G(t) n(pH) + ku G(t) u(pH)) NH4, n = 0 at pH 4 to 1 at 6.5, u = 0 at 3.5 to 1 at 5, Q10 of both 2
 *   G(t)  = t^4 / (t^4 + lag^4), t in days at 20 C: nitrifiers and roots have to grow first
 *
 * | symbol | meaning                                                     | unit     |
 * | U      | undissolved alkalinity of one lime                          | mmol_c/L |
 * | k, Q   | its rate at 20 C, Q10                                       | 1/day, 1 |
 * | kn, ku | nitrification; uptake by roots                              | 1/day    |
 *
 * Sulfur slows below pH 4 and stops at 2.8; acid of iron and aluminium stays dissolved from 4 down to 3, base of
 * phosphates as it is from 7.2 up to 8.2. Acid that dissolves carbonate leaves calcium in the water, which lowers the
 * equilibrium. Soluble bases (hydrated lime, a part of ash) dissolve at once until their water is saturated, and become
 * calcite as fast as carbon dioxide comes. In the long run a fertilizer makes Pierre's
 * equivalent. Steps of half an hour to three days, as fast as pH moves, each ended at the pH it leads to, so that no
 * ceiling is passed.
 * States on day 0, every `every` days and the last day. Range: 0 to 35 C, up to three years. Leaves out: salts, leached
 * ammonium and nitrate.
 * Source: rate idea after Huang, Fisher & Argo 2007, HortScience 42:1268-1273; equivalents Pierre 1933; the slow-down
 * and the rates of lime are set on common practice (`docs/method/acidity.md`).
 * Errors: none; the caller has checked doses and days.
 *
 * @example
 * acidityCourse({ pH: 5, bufferCapacity: 10 }, { waterAlkalinity: 0.4 }, 14).map((s) => s.pH)
 * // [5, 5.28, 5.559]
 */
export function acidityCourse(
  mix: BufferedMix,
  input: AcidityInput,
  days: Days,
  every: Days = 7,
): AcidityState[] {
  return new AcidityRun(mix, input).course(days, every)
}

/**
 * Where a mix stands on a day: the last state of `acidityCourse`. `temperature` is the course of that of the input,
 * where the caller has it already.
 * Errors and source: as `acidityCourse`.
 *
 * @example
 * acidityOn({ pH: 5, bufferCapacity: 10 }, { waterAlkalinity: 0.4 }, 14).fromWater // 5.6
 */
export const acidityOn = (
  mix: BufferedMix,
  input: AcidityInput,
  day: Days,
  temperature?: TemperatureCourse,
): AcidityState => new AcidityRun(mix, input, temperature).course(day, Infinity).at(-1)!
