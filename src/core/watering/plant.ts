import { usableWater } from '../climate'
import type { Evaluation, MixInContainer } from '../evaluate'
import type { Blend } from '../mixing'
import type { Centimetres, Fraction } from '../units'
import { dryingLimits, type WaterBalance } from '../water'
import type { Plant } from './problem'

/** Roots of a small plant reach at least so far down, share of the depth. Source: our assumption. */
const LEAST_ROOTED = 0.2
/** Halvings of the tension that is looked for. */
const HALVINGS = 30

/**
 * Tension at which a drained mix has given up what a crop takes with ease, cm: from there on it takes less. At most the
 * easy limit of the container. `p` is the crop's depletion fraction.
 * Source: FAO-56 eq. 83 through `usableWater`, read off the mix's own curve.
 */
function easyTension(
  mix: WaterBalance,
  { waterAt }: Blend,
  p: Fraction,
  { container }: MixInContainer,
): Centimetres {
  const inGround = container.base.kind === 'onSoil'
  const left = mix.containerCapacity - usableWater({ ...mix, mixVolume: 1 }, p, inGround)
  let [low, high] = [1, dryingLimits(container).easy]
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2
    if (waterAt(middle) > left) low = middle
    else high = middle
  }
  return (low + high) / 2
}

/**
 * The crop of an evaluation as it drinks in a month (1 to 12).
 * Errors: none; without a crop and a place nothing is taken. Source: `usesOfDay`, `easyTension`, `rootedVolume`.
 */
export function plantOf(evaluation: Evaluation, input: MixInContainer, month: number): Plant {
  const interval = evaluation.growing?.watering[month - 1]
  if (!interval) return { day: { uptake: 0, evaporation: 0, wall: 0, saucer: 0 } }
  const { ways, rooted, rootedArea, depletion } = interval
  return {
    day: { uptake: ways.leaves / rootedArea, evaporation: ways.surface, wall: ways.wall, saucer: 0 },
    easy: easyTension(evaluation.mix, evaluation.blend, depletion, input),
    rooted: Math.max(LEAST_ROOTED, Math.min(1, rooted / (rootedArea * evaluation.mix.mixVolume))),
  }
}
