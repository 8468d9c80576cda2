import { coverSaving } from '../climate'
import { materialById } from '../data'
import type { MixInContainer } from '../evaluate'
import { areaAt, larger, type Container, type Shape } from '../geometry'
import { preparedMaterial } from '../mixing'
import type { Below } from '../water/moving'
import type { Plant } from './problem'

/** A mix in its container over what lies below, and what grows in it. */
export interface InPlace {
  input: MixInContainer
  below: Below
  plant: Plant
}

/** What a grower may change so that it needs water less often. */
export type PlanChange = 'mulch' | 'saucer' | 'largerPot' | 'moreCompost'

/** A saucer as they are sold: free water round the foot as a share of the base, and its rim, cm. */
export const USUAL_SAUCER = { share: 0.5, depth: 3 } as const
export const MULCH = { material: 'pine_bark_coarse', thickness: 5 } as const
const COMPOST = { material: 'compost_green', share: 0.1 } as const
const LARGER = 1.2

/**
 * A saucer of the usual size under a container.
 *
 * @example
 * usualSaucer({ kind: 'roundPot', topDiameter: 30, baseDiameter: 20, height: 25 })
 * // { kind: 'saucer', area: 157.1, depth: 3 }
 */
export const usualSaucer = (shape: Shape): Extract<Below, { kind: 'saucer' }> => ({
  kind: 'saucer',
  area: USUAL_SAUCER.share * areaAt(shape, 0),
  depth: USUAL_SAUCER.depth,
})

/** A plant whose mix gives off so many times as much from its surface. */
const withSurface = (plant: Plant, by: number): Plant => ({
  ...plant,
  day: { ...plant.day, evaporation: plant.day.evaporation * by },
})

/** The same mix in the same place with one thing changed; null where it is so already or cannot be. */
export function changed(change: PlanChange, { input, below, plant }: InPlace): InPlace | null {
  const inPot = input.container.base.kind === 'drainHoles' || input.container.base.kind === 'onPaving'
  switch (change) {
    case 'mulch': {
      const material = materialById(MULCH.material)!
      if (input.cover) return null
      const keeps = coverSaving(material, MULCH.thickness)
      return { input, below, plant: withSurface(plant, 1 - keeps) }
    }
    case 'saucer':
      return inPot && below.kind === 'free'
        ? { input, below: usualSaucer(input.container.shape), plant }
        : null
    case 'largerPot': {
      if (!inPot) return null
      const container: Container = { ...input.container, shape: larger(input.container.shape, LARGER) }
      return { input: { ...input, container }, below, plant: withSurface(plant, LARGER ** 2) }
    }
    case 'moreCompost': {
      const all = input.parts.reduce((sum, p) => sum + p.parts, 0)
      const compost = preparedMaterial(materialById(COMPOST.material)!)
      const parts = [
        ...input.parts,
        { material: compost, parts: (all * COMPOST.share) / (1 - COMPOST.share) },
      ]
      return { input: { ...input, parts }, below, plant }
    }
  }
}
export const CHANGES: readonly PlanChange[] = ['mulch', 'saucer', 'largerPot', 'moreCompost']
