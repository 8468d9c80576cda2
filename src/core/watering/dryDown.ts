import type { MixInContainer } from '../evaluate'
import type { Outcome } from '../outcome'
import { moveWater, type Below, type Moved } from '../water/moving'
import { movingProblem, type Plant, type WateringCase } from './problem'

/** Longest a pot is followed without water, days. */
export const LONGEST = 45
/** Cells a pot is followed in. */
export const CELLS = 50
const NEVER = 24 * LONGEST

/** A pot left without water from a good watering on, followed until well after it is thirsty. */
export function* dryDown(
  input: MixInContainer,
  below: Below,
  plant: Plant,
): Generator<number, Outcome<Moved>> {
  for (let days = 6; ; days = Math.min(LONGEST, days * 2.5)) {
    const of: WateringCase = { input, below, begin: 'drained', days, pulses: [], plant }
    const problem = movingProblem(of, CELLS, [0, 24 * days])
    if (!problem.ok) return problem
    const run = yield* moveWater(problem.value)
    if (!run.ok || run.value.firstWilting !== null || days >= LONGEST) return run
  }
}

/** Days until it is thirsty, as far as it was followed. */
export const daysUntilThirst = ({ firstThirst }: Moved) => (firstThirst ?? NEVER) / 24
/** Days until it wilts, as far as it was followed. */
export const daysUntilWilting = ({ firstWilting }: Moved) => (firstWilting ?? NEVER) / 24
