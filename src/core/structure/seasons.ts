import { heightForVolume, shapeHeight, volumeBelow, type Container } from '../geometry'
import { blend, type BlendPart } from '../mixing'
import { succeed, type Outcome } from '../outcome'
import type { Centimetres, Fraction } from '../units'
import { containerProfile } from '../water'
import { aged } from './decay'

/** What a filled container has become at the end of a season. */
export interface SeasonState {
  /** Years since filling. */
  years: number
  /** How far the surface has sunk, cm. */
  slump: Centimetres
  /** Of the volume filled, the share that is gone. */
  volumeLost: Fraction
  /** Air-filled porosity at container capacity then, in what is left. */
  airFilledPorosity: Fraction
  easilyAvailableWater: Fraction
  totalPorosity: Fraction
}

/** How a mix stands in its container, and how far and how finely its years are followed. */
export interface SeasonsSetting {
  /** Height it stands on, cm: the top of any layer below. */
  floor?: Centimetres
  years?: readonly number[]
  slices?: number
  /** Tension at the foot of the mix, cm, where a layer below breaks the pull. */
  foot?: Centimetres
  /** Share of its volume it lost on being pressed in. */
  pressed?: Fraction
}

/**
 * The mix after one, two, three years: rotted, sunk and closer, in its own container, nothing added or stirred.
 *
 *   volume left = sum aged loose (1 - s_aged) / (sum loose (1 - s))
 *
 * s_aged is the loss on blending of the aged recipe: fines drop into the gaps. Watering-in is
 * another matter, see the batch plan. Errors: those of `blend`.
 * Range: up to ten years, as a tendency only. Source: `aged`, then `blend` and `containerProfile` again.
 */
export function seasonsOf(
  container: Container,
  parts: readonly BlendPart[],
  temperature: number,
  { floor = 0, years = [1, 2, 3], slices = 60, foot, pressed = 0 }: SeasonsSetting = {},
): Outcome<SeasonState[]> {
  const fresh = blend(parts, pressed)
  if (!fresh.ok) return fresh
  const loose = (list: readonly BlendPart[]) => list.reduce((s, p) => s + p.parts, 0)
  const full = loose(parts) * (1 - fresh.value.blendingLoss)
  const mixHeight = shapeHeight(container.shape) - container.headspace
  const below = volumeBelow(container.shape, floor)
  const volume = volumeBelow(container.shape, mixHeight) - below
  const states: SeasonState[] = []
  for (const year of years) {
    const then = aged(parts, year, temperature)
    const mixed = blend(then, pressed)
    if (!mixed.ok) return mixed
    const left = (loose(then) * (1 - mixed.value.blendingLoss)) / full
    const height = heightForVolume(container.shape, below + volume * Math.min(1, left))
    const sunk: Container = { ...container, headspace: shapeHeight(container.shape) - height }
    const profile = containerProfile(
      sunk,
      [
        {
          top: floor,
          totalPorosity: mixed.value.totalPorosity,
          waterAt: mixed.value.waterAt,
          entryTension: foot,
        },
        { top: height, totalPorosity: mixed.value.totalPorosity, waterAt: mixed.value.waterAt },
      ],
      slices,
    )
    const mix = profile.layers.at(-1)!
    states.push({
      years: year,
      slump: Math.max(0, mixHeight - height),
      volumeLost: Math.max(0, 1 - left),
      airFilledPorosity: mix.airFilledPorosity,
      easilyAvailableWater: mix.easilyAvailableWater,
      totalPorosity: mix.totalPorosity,
    })
  }
  return succeed(states)
}
