import {
  containerVolumes,
  volumeBelow,
  volumeBetween,
  type Container,
  type ContainerVolumes,
} from '../geometry'
import { fail, succeed, type Outcome } from '../outcome'
import type { Centimetres, Fraction, Litres } from '../units'
import { natureOf, sinkingOf, type FillerLayer } from './layers'

export interface MixNeededRequest {
  container: Container
  /** From the base up. */
  layers?: readonly FillerLayer[]
  /** Roots planted with their own soil, litres in each container. */
  rootBalls?: Litres
  /** Old mix left in place has sunk so far below the fill line, cm; null or left out where the container is empty. */
  sunkBy?: Centimetres | null
  /** Share of the volume a mix loses on being firmed or pressed in; 0 where left out. */
  pressed?: Fraction
  /** What lies on the mix, cm thick; 0 where left out. */
  cover?: Centimetres
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
  /** Litres of mix in one litre of room: 1 filled loosely, more where it is firmed or pressed. */
  closeness: number
  /** Mix to put in, settled and not pressed: (space + washed in - root balls - kept) x closeness. */
  net: Litres
  /** What lies on it, litres. */
  cover: Litres
  /** Mix the layers save, litres: their own volume less what washes in. */
  saved: Litres
  /** How far the surface sinks as the layers rot, cm after one, two and three years. */
  sinking: [Centimetres, Centimetres, Centimetres]
}

/**
 * Mix it takes to fill one container, or to top it up.
 *
 *   net = (V(fill line) - V(layers) + sum V_layer voids washed - root balls - old mix) / (1 - pressed)
 *
 * Litres and cm. Topping up: layers are there already and have had their share, so only the sunk part is filled.
 * Notes: a cover that reaches the rim of a container.
 * Errors: those of `containerVolumes`; a layer below zero or layers that leave no room; root balls or sinking below
 * zero or more than the space.
 * Source: geometry; `LAYERS`.
 */
export function mixNeeded(request: MixNeededRequest): Outcome<MixNeeded> {
  const { container, layers = [], rootBalls = 0, sunkBy = null, pressed = 0, cover = 0 } = request
  const fill = containerVolumes(container)
  if (!fill.ok) return fill
  const { mixHeight } = fill.value
  let floor = 0
  let washedIn = 0
  for (const layer of layers) {
    const { thickness } = layer
    if (!Number.isFinite(thickness)) return fail({ code: 'not-a-number', field: 'thickness' })
    if (thickness < 0) return fail({ code: 'size-negative', field: 'thickness', value: thickness })
    const nature = natureOf(layer)
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
    const most = mixHeight - floor
    if (sunkBy > most) return fail({ code: 'size-too-large', field: 'sunkBy', value: sunkBy, limit: most })
    kept = volumeBetween(container.shape, floor, mixHeight - sunkBy)
    washedIn = 0
  }
  const room = space + washedIn - rootBalls - kept
  if (room < 0)
    return fail({ code: 'size-too-large', field: 'rootBalls', value: rootBalls, limit: space - kept })
  if (!Number.isFinite(cover)) return fail({ code: 'not-a-number', field: 'cover' })
  if (cover < 0) return fail({ code: 'size-negative', field: 'cover', value: cover })
  const closeness = 1 / (1 - pressed)
  return succeed(
    {
      ...fill.value,
      floor,
      space,
      washedIn,
      rootBalls,
      kept,
      closeness,
      net: room * closeness,
      cover: (fill.value.surface * cover) / 1000,
      saved: volumeBelow(container.shape, floor) - washedIn,
      sinking: [sinkingOf(layers, 1), sinkingOf(layers, 2), sinkingOf(layers, 3)],
    },
    ...fill.notes,
    container.base.kind === 'closed' ? { code: 'no-drainage' } : null,
    cover > 0 && cover >= container.headspace
      ? { code: 'cover-at-rim', thickness: cover, headspace: container.headspace }
      : null,
  )
}
