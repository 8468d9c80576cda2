import type { Fraction } from '../units'

/** Volume of soil a month after watering, of what it had as dug. Source: common practice; 1.15 to 1.3 kg/L. */
export const SOIL_SETTLES: Fraction = 0.88
/** Less soil than this settles by nothing to speak of. Source: our assumption. */
const WORTH_SAYING: Fraction = 0.1

/**
 * Air of a mix in its first weeks, while its soil lies as loose as it was dug; null where it has hardly any soil. What
 * settling takes away are gaps between clods, which drain at once: they are air on top of the mix as settled.
 * Fractions of the volume. Source: geometry.
 *
 * @example
 * airAsDug({ blendingLoss: 0, shares: [{ material: { family: 'soil' }, share: 1 }] }, 0.05) // 0.164
 */
export function airAsDug(
  { shares, blendingLoss }: { blendingLoss: Fraction; shares: readonly SoilShare[] },
  airSettled: Fraction,
): Fraction | null {
  const soil = shares.reduce((sum, s) => (s.material.family === 'soil' ? sum + s.share : sum), 0)
  const share = soil / (1 - blendingLoss)
  if (share < WORTH_SAYING) return null
  const looser = share * (1 / SOIL_SETTLES - 1)
  return (airSettled + looser) / (1 + looser)
}

interface SoilShare {
  material: { family: string }
  share: Fraction
}
