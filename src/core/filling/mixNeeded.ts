import {
  containerVolumes,
  volumeBelow,
  volumeBetween,
  type Container,
  type ContainerVolumes,
} from '../geometry'
import { fail, succeed, type Outcome } from '../outcome'
import type { Centimetres, Litres } from '../units'
import { LAYERS, sinkingOf, type FillerLayer } from './layers'

export interface MixNeededRequest {
  container: Container
  /** From the base up. */
  layers?: readonly FillerLayer[]
  /** Roots planted with their own soil, litres in each container. */
  rootBalls?: Litres
  /** Old mix left in place has sunk so far below the fill line, cm; null or left out where the container is empty. */
  sunkBy?: Centimetres | null
}

export interface MixNeeded extends ContainerVolumes {
  /** Height of the layers together, cm. */
  floor: Centimetres
  /** Between layers and fill line, litres. */
  space: Litres
  /** Mix that goes into the gaps of the layers, litres. */
  washedIn: Litres
  /** Space taken by root balls, litres. */
  rootBalls: Litres
  /** Old mix that stays, litres. */
  kept: Litres
  /** Mix to put in, settled in place: space + washed in - root balls - kept. */
  net: Litres
  /** Mix the layers save, litres: their own volume less what washes in. */
  saved: Litres
  /** How far the surface sinks as the layers rot, cm after one, two and three years. */
  sinking: [Centimetres, Centimetres, Centimetres]
}

/**
 * Mix it takes to fill one container, or to top it up.
 *
 *   net = V(fill line) - V(layers) + sum V_layer voids washed - root balls - old mix
 *
 * Litres and cm. Topping up: layers are there already and have had their share, so only the sunk part is filled.
 * Errors: those of `containerVolumes`; a layer below nought or layers that leave no room; root balls or sinking below
 * nought or more than the space.
 * Source: geometry; `LAYERS`.
 */
export function mixNeeded(request: MixNeededRequest): Outcome<MixNeeded> {
  const { container, layers = [], rootBalls = 0, sunkBy = null } = request
  const fill = containerVolumes(container)
  if (!fill.ok) return fill
  const { mixHeight } = fill.value
  let floor = 0
  let washedIn = 0
  for (const { kind, thickness } of layers) {
    if (!Number.isFinite(thickness)) return fail({ code: 'not-a-number', field: 'thickness' })
    if (thickness < 0) return fail({ code: 'size-negative', field: 'thickness', value: thickness })
    const nature = LAYERS[kind]
    const top = floor + thickness
    if (top >= mixHeight) return fail({ code: 'layers-fill-container', thickness: top, mixHeight })
    washedIn += volumeBetween(container.shape, floor, top) * nature.voids * nature.washesIn
    floor = top
  }
  if (!(rootBalls >= 0)) return fail({ code: 'size-negative', field: 'rootBalls', value: rootBalls })
  const space = volumeBetween(container.shape, floor, mixHeight)
  let kept = 0
  if (sunkBy !== null) {
    if (!(sunkBy >= 0)) return fail({ code: 'size-negative', field: 'sunkBy', value: sunkBy })
    const room = mixHeight - floor
    if (sunkBy > room) return fail({ code: 'size-too-large', field: 'sunkBy', value: sunkBy, limit: room })
    kept = volumeBetween(container.shape, floor, mixHeight - sunkBy)
    washedIn = 0
  }
  const net = space + washedIn - rootBalls - kept
  if (net < 0)
    return fail({ code: 'size-too-large', field: 'rootBalls', value: rootBalls, limit: space - kept })
  return succeed(
    {
      ...fill.value,
      floor,
      space,
      washedIn,
      rootBalls,
      kept,
      net,
      saved: volumeBelow(container.shape, floor) - washedIn,
      sinking: [sinkingOf(layers, 1), sinkingOf(layers, 2), sinkingOf(layers, 3)],
    },
    ...fill.notes,
    container.base.kind === 'closed' ? { code: 'no-drainage' } : null,
  )
}
