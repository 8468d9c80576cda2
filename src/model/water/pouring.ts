import { coverSaving } from '@/core/climate'
import { materialById } from '@/core/data'
import type { Evaluation, MixInContainer } from '@/core/evaluate'
import { deeper, type Container, type Shape } from '@/core/geometry'
import { preparedMaterial } from '@/core/mixing'
import type { Litres } from '@/core/units'
import { dryingLimits } from '@/core/water'
import { MULCH, plantOf, usualSaucer, type Plant, type WateringCase, type Wetness } from '@/core/watering'
import type { Below, Pulse } from '@/core/water/moving'

/** When water is poured. */
export const POUR_TIMES = ['once', 'daily', 'everyOther', 'thrice'] as const
export type PourTimes = (typeof POUR_TIMES)[number]

export const BELOWS = ['free', 'saucer', 'keptWater'] as const
export type BelowKind = (typeof BELOWS)[number]

/** What is poured on a mix and what the days are like, as a grower says it. */
export interface Pouring {
  /** Each time, for one container. */
  litres: Litres
  minutes: number
  times: PourTimes
  days: number
  begin: Wetness
  below: BelowKind
  /** mm on the second morning; 0 for none. */
  rain: number
  /** Litres a plant and the air take in a day; NaN for what the crop takes in the month. */
  uses: Litres
  /** 1 to 12. */
  month: number
}

/** One thing that is otherwise beside it. */
export const CHANGES = [
  'gravel',
  'noLayers',
  'saucer',
  'keptWater',
  'mulch',
  'threeSmall',
  'deeper',
  'shallower',
] as const
export type WaterChange = (typeof CHANGES)[number]

/** Hours from six in the morning to the first watering. */
const FIRST = 1
/** Rain falls from the second morning on, for so long, hours. */
const RAIN = { start: 26, hours: 6 } as const
/** Water kept standing in a tray, cm. */
const KEPT = 2
const GRAVEL = { material: 'gravel_pea', thickness: 5 } as const
const DEEPER = 1.5
const SHALLOWER = 0.5
/** What the bare surface takes of a day's use where no crop is known. Source: our assumption. */
const SURFACE_SHARE = 0.2

/** A container so many times as deep. */
const asDeep = (container: Container, by: number): Container => ({
  ...container,
  shape: deeper(container.shape, by),
})

/** Pourings of so many days. `surface` in cm2, for the rain. */
function pulsesOf(
  { litres, minutes, times, days, rain }: Pouring,
  surface: number,
  inThree: boolean,
): Pulse[] {
  const pulses: Pulse[] = []
  const every = times === 'everyOther' ? 2 : 1
  const last = times === 'once' ? 1 : days
  const aDay = times === 'thrice' || inThree ? 3 : 1
  const each = inThree ? litres / 3 : litres
  for (let day = 0; day < last; day += every)
    for (let k = 0; k < aDay; k++)
      pulses.push({ start: 24 * day + FIRST + 4 * k, hours: minutes / 60, litres: each })
  if (rain > 0 && days > 1) pulses.push({ ...RAIN, litres: (rain * surface) / 10_000 })
  return pulses.filter((p) => p.litres > 0)
}

/** What a choice is under a container. */
export const belowOf = (kind: BelowKind, shape: Shape): Below =>
  kind === 'saucer'
    ? usualSaucer(shape)
    : kind === 'keptWater'
      ? { kind: 'keptWater', height: KEPT }
      : { kind: 'free' }

/** What drinks: the crop in its month, or so many litres a day. */
function plantFor({ uses, month }: Pouring, evaluation: Evaluation, input: MixInContainer): Plant {
  const plant = plantOf(evaluation, input, month)
  if (!Number.isFinite(uses)) return plant
  const usual = plant.day.uptake + plant.day.evaporation + plant.day.wall
  const day =
    usual > 0
      ? {
          uptake: (plant.day.uptake * uses) / usual,
          evaporation: (plant.day.evaporation * uses) / usual,
          wall: (plant.day.wall * uses) / usual,
          saucer: 0,
        }
      : { uptake: uses * (1 - SURFACE_SHARE), evaporation: uses * SURFACE_SHARE, wall: 0, saucer: 0 }
  return { ...plant, day }
}

/** A grower's pouring on a mix as the core follows it, with one thing changed where one is named. */
export function caseOf(
  input: MixInContainer,
  evaluation: Evaluation,
  pouring: Pouring,
  change: WaterChange | null = null,
): WateringCase {
  const { shape } = input.container
  const plant = plantFor(pouring, evaluation, input)
  const surface = evaluation.fill.surface
  const plain: WateringCase = {
    input,
    below: belowOf(pouring.below, shape),
    begin: pouring.begin,
    days: pouring.days,
    pulses: pulsesOf(pouring, surface, false),
    plant,
  }
  switch (change) {
    case null:
      return plain
    case 'gravel': {
      const gravel = { material: preparedMaterial(materialById(GRAVEL.material)!), parts: 1 }
      return {
        ...plain,
        input: { ...input, bottomLayers: [{ thickness: GRAVEL.thickness, parts: [gravel] }] },
      }
    }
    case 'noLayers':
      return { ...plain, input: { ...input, bottomLayers: [] } }
    case 'saucer':
    case 'keptWater':
      return { ...plain, below: belowOf(change, shape) }
    case 'mulch': {
      const keeps = coverSaving(materialById(MULCH.material)!, MULCH.thickness)
      const day = { ...plant.day, evaporation: plant.day.evaporation * (1 - keeps) }
      return { ...plain, plant: { ...plant, day } }
    }
    case 'threeSmall':
      return { ...plain, pulses: pulsesOf(pouring, surface, true) }
    case 'deeper':
    case 'shallower': {
      const container = asDeep(input.container, change === 'deeper' ? DEEPER : SHALLOWER)
      return { ...plain, input: { ...input, container } }
    }
  }
}

/** What may be changed for a mix in its container: only what is not so already, and what fits. */
export function changesFor(input: MixInContainer, { below, times }: Pouring): WaterChange[] {
  const layered = (input.bottomLayers ?? []).length > 0
  const { base } = input.container
  const holed = base.kind === 'drainHoles' || base.kind === 'onPaving'
  const fits: Record<WaterChange, boolean> = {
    gravel: !layered,
    noLayers: layered,
    saucer: base.kind === 'drainHoles' && below !== 'saucer',
    keptWater: holed && below !== 'keptWater',
    mulch: !input.cover,
    threeSmall: times !== 'thrice',
    deeper: true,
    shallower: base.kind !== 'sideHoles' && !layered,
  }
  return CHANGES.filter((c) => fits[c])
}

/** Below which a mix may stand: saucers belong under pots. */
export const belowsFor = ({ container: { base } }: MixInContainer): BelowKind[] =>
  base.kind === 'drainHoles' ? [...BELOWS] : ['free']

/** The month of its season in which a crop uses most; July where none is known. */
export function usualMonth({ growing }: Evaluation): number {
  const use = (month: number) => growing?.watering[month - 1]?.use.value ?? 0
  return growing && growing.watering.length > 0
    ? growing.standing.reduce((a, b) => (use(b) > use(a) ? b : a))
    : SUMMER
}
const SUMMER = 7

/**
 * What one good watering is: what fills the mix again from where roots find it hard, and a little that drains away.
 * Litres, to one figure and a half.
 */
export function usualPouring(evaluation: Evaluation, input: MixInContainer): Litres {
  const { mix, blend } = evaluation
  const { easy = dryingLimits(input.container).easy } = plantOf(evaluation, input, usualMonth(evaluation))
  const missing = mix.mixVolume * Math.max(0.02, mix.containerCapacity - blend.waterAt(easy))
  const step = 10 ** Math.floor(Math.log10(Math.max(missing, 0.1))) / 2
  return Math.max(step, Math.round((DRAINS * missing) / step) * step)
}
/** What is given over what is missing. Source: as `USUAL_LEACHING`. */
const DRAINS = 1.15
