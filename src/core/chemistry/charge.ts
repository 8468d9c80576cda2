import type { Fraction } from '../units'
import type { BufferedMix } from './lime'
import { CHEMISTRY_LIMITS as L } from './limits'

/** Equilibria at 25 C. Source: Stumm & Morgan 1996, Aquatic Chemistry, 3rd ed. (from memory). */
const PK_WATER = 14
const PK_HENRY = 1.47
const PK1 = 6.35
const PK2 = 10.33
const PK_CALCITE = 8.48
/** Of calcium in the water of a fed mix, 0.02 mol/L of salts in all. Source: Davies’ equation, 25 C. */
const CALCIUM_ACTIVITY = 0.6

/**
 * pH at which calcite neither dissolves nor is laid down, from the carbon dioxide and calcium of a mix.
 *
 *   H^2 = K1 K2 KH pCO2 {Ca} / Ksp,   {Ca} = 0.6 [Ca]
 *
 * Atmospheres and mmol/L. Errors: none. Range: pCO2 of air (0.0004) to 0.05. Source: carbonate equilibria, Stumm &
 * Morgan 1996 (constants from memory).
 *
 * @example
 * calciteEquilibrium(0.004, 3) // 7.406
 */
export function calciteEquilibrium(
  carbonDioxide = L.carbonDioxide.value,
  calcium = L.calciumInWater.value,
): number {
  const active = (CALCIUM_ACTIVITY * calcium) / 1000
  return (PK_HENRY + PK1 + PK2 - PK_CALCITE - Math.log10(carbonDioxide) - Math.log10(active)) / 2
}

/** Integral of the fading buffer beyond its range, in units of its full strength, over a distance in pH. */
function beyond(distance: number): number {
  const [fade, rest] = [L.bufferFades.value, L.bufferRest.value]
  const within = Math.min(distance, fade)
  return within - ((1 - rest) * within * within) / (2 * fade) + rest * (distance - within)
}

/** Charge of a litre of mix as its pH changes. */
export interface ChargeBalance {
  /** Base needed to bring the mix from its own pH to another, mmol of charge per litre; negative for acid. */
  at: (pH: number) => number
  /** The same where the alkalinity there is known. */
  given: (pH: number, alkalinity: number) => number
  /** Buffer in all at a pH, mmol of charge per litre and pH unit. */
  slope: (pH: number) => number
  /** Alkalinity of the water in the mix, mmol of charge per litre of water; negative where it is acid. */
  alkalinity: (pH: number) => number
}

/**
 * What a mix takes to be brought to a pH: its exchange buffer in its range, and the water's own hydrogen, hydroxide
 * and, at the carbon dioxide of the mix, carbonate.
 *
 *   F(pH) = B(pH) - B(pH0) + W(pH) - W(pH0)
 *   B'    = b from pH 3.2 to 7.8, fading over one unit to a tenth of it
 *   W     = 1000 theta ([OH] - [H] + [HCO3] + 2 [CO3]),   [HCO3] = K1 KH pCO2 / [H]
 *
 * Beyond `carbonatedTo` carbonate stays as it is there, and all further base is hydroxide: so it is while hydroxide
 * waits for carbon dioxide. Left out, carbon dioxide keeps up.
 *
 * mmol of charge per litre; theta is the water held, a fraction. Rises with pH all along, so that each charge has one
 * pH. Errors: none. Range: any pH; trusted from 3 to 9. Source: charge balance; constants as in `calciteEquilibrium`;
 * the ends of the buffer are our assumption.
 *
 * @example
 * chargeBalance({ pH: 4, bufferCapacity: 33 }).at(6) // 66.06
 */
export function chargeBalance(mix: BufferedMix, carbonatedTo = Infinity): ChargeBalance {
  const { bufferCapacity: b, waterContent = L.waterContent.value } = mix
  const { bufferFrom, bufferTo, bufferFades, bufferRest, carbonDioxide } = L
  const [low, high] = [bufferFrom.value, bufferTo.value]
  const litres: Fraction = 1000 * waterContent
  const carbonate = 10 ** -(PK1 + PK_HENRY) * carbonDioxide.value
  const [water, second] = [10 ** -PK_WATER, 10 ** -PK2]
  const alkalinity = (pH: number) => {
    const h = Math.exp(-Math.LN10 * pH)
    const at = pH > carbonatedTo ? Math.exp(-Math.LN10 * carbonatedTo) : h
    return 1000 * (water / h - h + (carbonate / at) * (1 + (2 * second) / at))
  }
  const charge = (pH: number, dissolved: number) => {
    const inRange = Math.min(high, Math.max(low, pH))
    const exchange = inRange + (pH > high ? beyond(pH - high) : pH < low ? -beyond(low - pH) : 0)
    return b * exchange + (litres / 1000) * dissolved
  }
  const own = charge(mix.pH, alkalinity(mix.pH))
  return {
    at: (pH) => charge(pH, alkalinity(pH)) - own,
    given: (pH, dissolved) => charge(pH, dissolved) - own,
    alkalinity,
    slope(pH) {
      const h = Math.exp(-Math.LN10 * pH)
      const bicarbonate = pH > carbonatedTo ? 0 : carbonate / h
      const out = Math.max(0, pH - high, low - pH)
      const strength = 1 - (1 - bufferRest.value) * Math.min(1, out / bufferFades.value)
      return b * strength + Math.LN10 * litres * (water / h + h + bicarbonate * (1 + (4 * second) / h))
    },
  }
}

/** No pH lies beyond it: the search ends there. */
const FARTHEST = 30

/**
 * The pH at which `lack` is zero, searched from a pH nearby. `lack` rises with pH, at least as steeply as `slope`
 * says. Newton's step first, then false position with the Illinois halving once the root is held from both sides.
 * To a millionth of a pH unit.
 */
export function pHWhere(lack: (pH: number) => number, slope: number, from: number): number {
  const near = 1e-6 * slope
  let a = from
  let offA = lack(a)
  if (Math.abs(offA) < near) return a
  let b = a - Math.min(1, Math.max(-1, offA / slope))
  let offB = lack(b)
  // A slope that flattens falls short of the root: further, until it is held.
  while (offA < 0 === offB < 0 && Math.abs(offB) >= near && Math.abs(b) < FARTHEST) {
    const step = 2 * (b - a)
    a = b
    offA = offB
    b += step
    offB = lack(b)
  }
  for (let last = 0; Math.abs(offB) >= near && Math.abs(b - a) > 1e-9;) {
    const at = b - (offB * (b - a)) / (offB - offA)
    const off = lack(at)
    if (off < 0 === offA < 0) {
      a = at
      offA = off
      if (Math.abs(off) < near) return at
      if (last > 0) offB /= 2
      last = 1
    } else {
      b = at
      offB = off
      if (last < 0) offA /= 2
      last = -1
    }
  }
  return b
}
