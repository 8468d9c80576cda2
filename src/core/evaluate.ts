import {
  acidityCourse,
  limeAt,
  type AcidityInput,
  type AcidityState,
  type LimeChoice,
  type LimePlan,
  type Temperature,
} from './chemistry'
import { coverSaving } from './climate'
import { columnOf, drainageNotes, profileOf, type BottomLayer, type Column } from './column'
import type { Material } from './data/types'
import { containerVolumes, type Container, type ContainerVolumes } from './geometry'
import { growingOutlook, yearMean, type Growing, type GrowingOutlook } from './growing'
import { blend, type Blend, type BlendPart } from './mixing'
import {
  acidityOfDoses,
  feedFlags,
  tracesOf,
  type TraceState,
  type DressingDose,
  type FeedFlag,
} from './nutrients'
import { lazy } from './lazy'
import { fail, succeed, type Outcome } from './outcome'
import { seasonSalts, type SeasonSalts } from './seasonSalts'
import { seasonsOf, type SeasonState } from './structure'
import type { ContainerProfile, WaterBalance } from './water'
import type { Fraction } from './units'
import { weights, type WeighedLayer, type Weights } from './weight'

/** A cover on the mix: mulch, clay aggregate, moss. */
export interface Cover {
  material: Material
  /** cm. */
  thickness: number
}

export interface MixInContainer {
  container: Container
  parts: readonly BlendPart[]
  limes: readonly LimeChoice[]
  /** All limes together, g per litre of blended mix. */
  limeGramsPerLitre: number
  /** From the base up. */
  bottomLayers?: readonly BottomLayer[]
  /** Share of its volume it loses on being firmed or pressed in; 0 where left out. */
  pressed?: Fraction
  /** What lies on it. */
  cover?: Cover
  dressings?: readonly DressingDose[]
  /** Of the mix; 20 C where left out. */
  temperature?: Temperature
  growing?: Growing
}

export interface Evaluation {
  fill: ContainerVolumes
  blend: Blend
  /** The whole container, layers below the mix included. */
  profile: ContainerProfile
  /** Depth of the mix, layers below it left out, cm. */
  mixDepth: number
  /** The mix alone: what roots live in, and what bands are compared with. */
  mix: WaterBalance
  /** pH six weeks after mixing, with lime, dressings and the water of the place. */
  lime: LimePlan
  /** What works on its pH besides that lime: limes and acids among the dressings, water, temperature. */
  given: AcidityInput
  /** pH by the week, the water's alkalinity and fertilizer counted in; followed when it is first read. */
  readonly acidity: AcidityState[]
  salts: SeasonSalts
  readonly flags: FeedFlag[]
  /** Iron, manganese, zinc, copper, boron and molybdenum, by the pH of those weeks; empty without a crop. */
  readonly traces: TraceState[]
  weights: Weights
  /** What it has become after one, two and three years. */
  seasons: SeasonState[]
  growing: GrowingOutlook | null
}

/** How finely to compute: `slices` of depth, whether to look into later years and by which of them. */
export interface Effort {
  slices: number
  years: readonly number[]
}
export const FULL_EFFORT: Effort = { slices: 120, years: [1, 2, 3] }

/** Mean temperature of a mix where no place is known, C. Source: our assumption, a growing season. */
export const USUAL_TEMPERATURE = 20

/** Weeks the pH is followed where no season is known. */
const WEEKS = 20

/** A cover as it weighs when it has drained. `surface` in cm2. */
const weighedCover = ({ material, thickness }: Cover, surface: number): WeighedLayer => {
  const { dryBulkDensity, totalPorosity, waterAt10Cm } = material.properties
  return {
    balance: {
      mixVolume: (surface * thickness) / 1000,
      totalPorosity: totalPorosity.value,
      containerCapacity: waterAt10Cm.value,
    },
    dryBulkDensity: dryBulkDensity.value,
  }
}

/**
 * The whole answer for one mix in one container: how full, what it becomes, air and water by depth, pH, salts, feed,
 * weight, later years and, where crop and place are known, water and feeding over the season. `blended` is the blend
 * of the parts where the caller has it already.
 *
 * Errors: those of `containerVolumes` and `blend`; a layer not above zero; layers that leave no room for mix; a
 * dose below zero.
 * What is given in g per litre is for the mix as it is made; firmed or pressed in, a litre holds more of it.
 * Notes: a bed drained by soil is judged at the soil's own tension; a mix on a layer that stalls drainage is judged
 * 24 hours after watering.
 */
export function evaluate(
  input: MixInContainer,
  effort: Effort = FULL_EFFORT,
  blended?: Blend,
): Outcome<Evaluation> {
  const fill = containerVolumes(input.container)
  if (!fill.ok) return fill
  const pressed = input.pressed ?? 0
  const mixed = blended && pressed === 0 ? succeed(blended) : blend(input.parts, pressed)
  if (!mixed.ok) return mixed
  const given = givenDoses(input, pressed)
  if (!given.ok) return given
  const column = columnOf(input, fill.value, mixed.value)
  if (!column.ok) return column
  const filled: Filled = {
    input,
    effort,
    fill: fill.value,
    blend: mixed.value,
    doses: given.value,
    column: column.value,
    profile: profileOf(input, column.value, effort.slices),
    pressed,
    temperature: input.temperature ?? USUAL_TEMPERATURE,
  }
  const years = yearsOf(filled)
  if (!years.ok) return years
  return succeed(
    answerOf(filled, years.value),
    ...fill.notes,
    ...mixed.notes,
    ...drainageNotes(input, column.value, filled.profile),
  )
}

interface Filled {
  input: MixInContainer
  effort: Effort
  fill: ContainerVolumes
  blend: Blend
  doses: DressingDose[]
  column: Column
  profile: ContainerProfile
  pressed: number
  temperature: Temperature
}

/** Doses are for a litre of mix as it is made. Pressed in, a litre holds more mix, and more of each dose. */
const closenessOf = (pressed: number) => 1 / (1 - pressed)
function givenDoses({ dressings }: MixInContainer, pressed: number): Outcome<DressingDose[]> {
  const doses: DressingDose[] = []
  for (const d of dressings ?? []) {
    if (!(d.gramsPerLitre >= 0 && Number.isFinite(d.gramsPerLitre)))
      return fail({ code: 'amount-negative', field: d.dressing.name, value: d.gramsPerLitre })
    doses.push({ ...d, gramsPerLitre: d.gramsPerLitre * closenessOf(pressed) })
  }
  return succeed(doses)
}

function weightsOf({ input: { cover }, fill, profile, column }: Filled) {
  const weighed: WeighedLayer[] = profile.layers.map((balance, i) => ({
    balance,
    dryBulkDensity: column.blends[i]!.dryBulkDensity,
  }))
  if (cover) weighed.push(weighedCover(cover, fill.surface))
  return weights(fill, weighed)
}

const yearsOf = ({ input, effort, column: { floor }, profile, pressed, temperature }: Filled) =>
  seasonsOf(input.container, input.parts, yearMean(temperature), {
    floor,
    years: effort.years,
    slices: effort.slices / 2,
    foot: floor > 0 ? profile.baseTension + floor : undefined,
    pressed,
  })

/** Water, lime and feeding over the season; no outlook where crop or place are not known. */
function outlookOf(filled: Filled, weight: Weights) {
  const { input, fill, column, blend, profile, doses, pressed, temperature } = filled
  const { container, cover, growing } = input
  const limed = (water?: GrowingOutlook['water']) => {
    const given = { ...acidityOfDoses(doses, fill.mixHeight - column.floor), temperature, water }
    const choice = { choice: input.limes, gramsPerLitre: input.limeGramsPerLitre * closenessOf(pressed) }
    return { given, lime: limeAt(blend, choice, given) }
  }
  if (!growing) return { growing: null, ...limed() }
  let answer: ReturnType<typeof limed> | undefined
  const outlook = growingOutlook({
    container,
    fill,
    floor: column.floor,
    blend,
    mix: profile.layers.at(-1)!,
    cover: cover ? coverSaving(cover.material, cover.thickness) : 0,
    doses,
    weight,
    growing,
    temperature,
    limesFor: (water) => (answer = limed(water)).lime.doses,
  })
  return { growing: outlook, ...(answer ?? limed(outlook.water)) }
}

function answerOf(filled: Filled, seasons: Evaluation['seasons']): Evaluation {
  const { input, fill, column, blend, profile, doses, temperature } = filled
  const mix = profile.layers.at(-1)!
  const depth = fill.mixHeight - column.floor
  const weight = weightsOf(filled)
  const { growing, given, lime } = outlookOf(filled, weight)
  const limes = [...lime.doses, ...given.limes]
  const acidity = lazy(() => acidityCourse(blend, { ...given, limes }, 7 * WEEKS))
  const flags = lazy(() =>
    feedFlags(blend, doses, { depth, temperature, crop: input.growing?.crop, limes: lime.doses }),
  )
  const traces = lazy((): TraceState[] =>
    growing
      ? tracesOf({
          blend,
          doses,
          depth,
          crop: growing.crop,
          plants: input.growing!.plants,
          ...mix,
          temperature,
          acidity: acidity(),
        })
      : [],
  )
  return {
    fill: { ...fill, mixVolume: mix.mixVolume },
    blend,
    profile,
    mixDepth: depth,
    mix,
    lime,
    given,
    get acidity() {
      return acidity()
    },
    salts: seasonSalts(
      {
        grown: input.growing,
        blend,
        doses,
        containerCapacity: mix.containerCapacity,
        temperature,
        depth,
      },
      growing,
      lime,
    ),
    get flags() {
      return flags()
    },
    get traces() {
      return traces()
    },
    weights: weight,
    seasons,
    growing,
  }
}
