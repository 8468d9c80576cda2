import { limeAt, type LimeChoice, type LimePlan } from './chemistry'
import { fillOf, type Container, type Fill } from './geometry'
import { blend, type Blend, type BlendPart } from './mixing'
import { succeed, type Note, type Outcome } from './outcome'
import { containerProfile, type ContainerProfile } from './water'
import { weights, type Weights } from './weight/wetWeight'

export interface Evaluation {
  fill: Fill
  blend: Blend
  profile: ContainerProfile
  /** pH six weeks after mixing, with the lime given. */
  lime: LimePlan
  weights: Weights
}

export interface MixInContainer {
  container: Container
  parts: readonly BlendPart[]
  limes: readonly LimeChoice[]
  /** All limes together, g per litre of blended mix. */
  limeGramsPerLitre: number
}

/**
 * The whole answer for one mix in one container: how full, what it becomes, air and water by depth, pH, weight.
 * Errors: those of `fillOf` and `blend`. Notes: a bed drained by soil is judged at the soil's own tension.
 */
export function evaluate(input: MixInContainer): Outcome<Evaluation> {
  const fill = fillOf(input.container)
  if (!fill.ok) return fill
  const mixed = blend(input.parts)
  if (!mixed.ok) return mixed
  const profile = containerProfile(input.container, [
    { top: fill.value.mixHeight, totalPorosity: mixed.value.totalPorosity, waterAt: mixed.value.waterAt },
  ])
  const notes: Note[] = [...fill.notes, ...mixed.notes]
  if (input.container.base.kind === 'onSoil')
    notes.push({ code: 'bed-drained-by-soil', texture: input.container.base.texture })
  return succeed(
    {
      fill: fill.value,
      blend: mixed.value,
      profile,
      lime: limeAt(mixed.value, input.limes, input.limeGramsPerLitre),
      weights: weights(fill.value, mixed.value, profile),
    },
    ...notes,
  )
}
