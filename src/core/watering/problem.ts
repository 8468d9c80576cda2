import type { MixInContainer } from '../evaluate'
import { containerVolumes } from '../geometry'
import { blend, type Blend } from '../mixing'
import { fail, succeed, type Outcome } from '../outcome'
import { dryingLimits } from '../water'
import type { Centimetres, Fraction } from '../units'
import {
  hydraulicsOf,
  type Beginning,
  type Below,
  type DayDemand,
  type MovingLayer,
  type MovingProblem,
  type Pulse,
} from '../water/moving'

/** How wet the mix is when it begins: watered and drained, ready for water again, or left for too long. */
export type Wetness = 'drained' | 'thirsty' | 'dry'

/** A mix in its container, what is poured on it and what the days take. */
export interface WateringCase {
  input: MixInContainer
  below: Below
  begin: Wetness
  days: number
  pulses: readonly Pulse[]
  plant: Plant
}

/** What stands in the mix: what it takes in a day, and how its roots take it. */
export interface Plant {
  day: DayDemand
  /** Tension to which roots drink with ease, cm. */
  easy?: Centimetres
  /** Share of the depth they reach. */
  rooted?: Fraction
}

/** Tension of a mix left dry for too long, times that to which roots drink with ease. Source: our assumption. */
const TOO_LONG = 6

const beginOf = (begin: Wetness, { container }: MixInContainer, easy?: Centimetres): Beginning =>
  begin === 'drained'
    ? { kind: 'drained' }
    : { kind: 'even', tension: (easy ?? dryingLimits(container).easy) * (begin === 'dry' ? TOO_LONG : 1) }

/** Layers under the mix and the mix itself, as moving water meets them. */
function layersOf(input: MixInContainer, mixed: Blend, mixHeight: number): Outcome<MovingLayer[]> {
  const own = hydraulicsOf(mixed)
  const layers: MovingLayer[] = []
  let top = 0
  for (const { thickness, parts, bridged } of input.bottomLayers ?? []) {
    if (!(thickness > 0)) return fail({ code: 'size-not-positive', field: 'thickness', value: thickness })
    const below = blend(parts)
    if (!below.ok) return below
    top += thickness
    if (top >= mixHeight)
      return fail({ code: 'size-too-large', field: 'thickness', value: top, limit: mixHeight })
    const hydraulics = hydraulicsOf(below.value)
    // Where the mix fills its gaps, water goes by the mix.
    layers.push({
      top,
      hydraulics: bridged ? { ...hydraulics, conductivityAt: own.conductivityAt } : hydraulics,
    })
  }
  return succeed([...layers, { top: mixHeight, hydraulics: own }])
}

/**
 * A case as moving water takes it. Pictures are closest together after a pouring.
 * Units: days, hours, litres. Errors: those of `containerVolumes` and `blend`; layers that leave no room for mix.
 */
export function movingProblem(of: WateringCase, cells?: number, pictures?: number[]): Outcome<MovingProblem> {
  const { input, below, begin, days, pulses, plant } = of
  const fill = containerVolumes(input.container)
  if (!fill.ok) return fill
  const mixed = blend(input.parts, input.pressed ?? 0)
  if (!mixed.ok) return mixed
  const layers = layersOf(input, mixed.value, fill.value.mixHeight)
  if (!layers.ok) return layers
  return succeed(
    {
      container: input.container,
      layers: layers.value,
      below,
      begin: beginOf(begin, input, plant.easy),
      hours: 24 * days,
      pulses,
      ...plant,
      cells,
      pictures: pictures ?? pictureTimes(pulses, 24 * days),
    },
    ...fill.notes,
    ...mixed.notes,
  )
}

/** Hours after a pouring begins, and hours between pictures from then on. */
const CLOSER: readonly [after: number, every: number][] = [
  [0, 1 / 60],
  [0.5, 1 / 12],
  [3, 0.25],
  [24, 1],
]

/**
 * Times to keep pictures at: each minute for half an hour from a pouring on, then ever farther apart, to one an hour.
 * Hours; ends with the last.
 *
 * @example
 * pictureTimes([{ start: 1, hours: 0.1, litres: 1 }], 24).length // 142
 */
export function pictureTimes(pulses: readonly Pulse[], hours: number): number[] {
  const starts = pulses.map((p) => p.start).sort((a, b) => a - b)
  const times: number[] = []
  let now = 0
  let last = -Infinity
  while (now < hours - 1e-9) {
    times.push(now)
    while (starts.length > 0 && starts[0]! <= now + 1e-9) last = starts.shift()!
    const every = CLOSER.filter(([after]) => now - last >= after - 1e-9).at(-1)![1]
    now = Math.min(now + every, starts[0] ?? Infinity, hours)
  }
  return [...times, hours]
}
