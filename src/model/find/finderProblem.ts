import type { Tables } from '@/core/data'
import { waterNeeded } from '@/core/climate'
import type { Crop } from '@/core/data'
import type { FinderProblem, FinderTargets, Rules, ShelfMaterial } from '@/core/finder'
import { blend } from '@/core/mixing'
import { succeed, type Outcome } from '@/core/outcome'
import { bandsOf, type Bands } from '@/core/targets'
import { baseOfMix } from '@/core/water'
import { entryTensionOf, hydraulicsOf } from '@/core/water/moving'
import { judgedBed } from '../garden/garden'
import type { Job, Place } from '../garden/schemas'
import { evaluateJob } from '../mix/evaluateJob'
import { bottomLayers, neededFor, targetsOf } from '../mix/prepare'
import type { MixQuestion } from '../mix/question'

export interface FinderWishes {
  rules: Rules
  /** Litres of mix the job takes, for packs and stock; null where that is not known. */
  volume: number | null
  /** Easily available water at least, fraction; null where no rule asks. */
  easyWater: number | null
}
const NO_WISHES: FinderWishes = { rules: {}, volume: null, easyWater: null }

/** Share of the solids that may have rotted in two years under what stays for years. Source: our assumption. */
const LASTING = { low: 0, high: 0.25 }
/** Bands of a crop as the finder holds recipes against them. */
export const cropTargets = ({
  airFilledPorosity,
  pH,
  electricalConductivity: salts,
}: Bands): FinderTargets => ({
  airFilledPorosity,
  pH,
  ...(salts ? { electricalConductivity: salts } : {}),
})

/**
 * Every band of a question as the finder holds recipes against it; `space` is the litres between layers and fill
 * line.
 */
function targetsFrom(
  bands: Bands,
  space: number,
  crop: Crop | undefined,
  least: number | null,
): FinderTargets {
  const ground = bands.plantAvailableWater
  // Ground that holds water enough has no fault in more air or more water.
  const water = ground ? { ...ground, high: 1 } : bands.easilyAvailableWater
  const { airFilledPorosity: air } = bands
  return {
    ...cropTargets(bands),
    airFilledPorosity: ground ? { ...air, high: 1 } : air,
    ...(water
      ? { easilyAvailableWater: { ...water, low: Math.max(water.low, (ground && least) ?? 0) } }
      : {}),
    ...(least !== null && !ground ? { drainedToEasy: { low: least, high: 1 } } : {}),
    ...(bands.drainedWeight ? { drainedDensity: { low: 0, high: bands.drainedWeight.high / space } } : {}),
    ...(crop?.perennial ? { structureLost: LASTING } : {}),
  }
}

/** A question's bed and bands with a shelf, as the finder takes them. Errors: those of the bed. */
export function finderProblem(
  question: MixQuestion,
  shelf: readonly ShelfMaterial[],
  { rules, volume, easyWater }: FinderWishes = NO_WISHES,
): Outcome<FinderProblem> {
  const needed = neededFor(question)
  if (!needed.ok) return needed
  const { container } = question.bed
  const layers = bottomLayers(question)
  if (!layers.ok) return layers
  const below: Parameters<typeof baseOfMix>[1][number][] = []
  for (const { thickness, parts, bridged } of layers.value) {
    const mixed = blend(parts)
    if (!mixed.ok) return mixed
    const entryTension = bridged ? Infinity : entryTensionOf(hydraulicsOf(mixed.value))
    below.push({ thickness, entryTension })
  }
  return succeed({
    container,
    floor: needed.value.floor,
    base: baseOfMix(container, below),
    pressed: question.bed.pressed,
    shelf,
    targets: targetsFrom(bandsOf(targetsOf(question)), needed.value.space, question.crops[0], easyWater),
    rules,
    volume: volume ?? undefined,
  })
}

/**
 * What a job's full-grown crop drinks in its thirstiest month hangs little on the mix: while there is none, peat
 * stands in.
 */
const STAND_IN = [{ materialId: 'peat_medium', twelfths: 12 }]

/**
 * Water (easily available, or on soil plant-available) that lets a job's crop wait so many days in its thirstiest
 * month, by days; null where place or crop are not known, or the bed cannot be worked out. Source: `waterNeeded`.
 */
export function waterByDays(
  job: Job,
  place: Place | undefined,
  tables: Tables,
): ((days: number) => number) | null {
  const parts = job.parts.length > 0 ? job.parts : STAND_IN
  const answer = evaluateJob({ ...job, parts }, place, tables)
  const growing = answer.ok ? answer.value.growing : null
  if (!answer.ok || !growing || growing.thirstiestMonth === null) return null
  const interval = growing.watering[growing.thirstiestMonth - 1]!
  const inGround = judgedBed(job).spec.vessel.base.kind === 'onSoil'
  return (days) => waterNeeded(interval, days, inGround)
}
