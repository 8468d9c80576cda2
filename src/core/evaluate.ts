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
import type { Material } from './data/types'
import { containerVolumes, type Container, type ContainerVolumes } from './geometry'
import { growingOutlook, yearMean, type Growing, type GrowingOutlook } from './growing'
import { blend, type Blend, type BlendPart } from './mixing'
import {
  acidityOfDoses,
  feedFlags,
  saltZones,
  type DressingDose,
  type FeedFlag,
  type SaltState,
} from './nutrients'
import { fail, succeed, type Note, type Outcome } from './outcome'
import { seasonsOf, type SeasonState } from './structure'
import { containerProfile, tensionAtBase, type ContainerProfile, type WaterBalance } from './water'
import { entryTensionOf, hydraulicsOf } from './water/moving/hydraulics'
import type { Fraction } from './units'
import { weights, type WeighedLayer, type Weights } from './weight'

/** A layer under the mix: gravel, bark, another mix. */
export interface BottomLayer {
  /** cm. */
  thickness: number
  parts: readonly BlendPart[]
  /** Do its gaps fill with the mix above, so that it pulls as that does? Not where left out. */
  bridged?: boolean
}

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
  /** pH six weeks after mixing, with lime and dressings given, watered with pure water. */
  lime: LimePlan
  /** What works on its pH besides that lime: limes and acids among the dressings, temperature. */
  given: AcidityInput
  /** pH by the week, the water's alkalinity and fertilizer counted in. */
  acidity: AcidityState[]
  salts: { mix: SaltState; top: SaltState | null }
  flags: FeedFlag[]
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

/** Centimetres of a layer that do not pull on the mix, from which it is said. */
const WORTH_TELLING = 1

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
 * Errors: those of `containerVolumes` and `blend`; a layer not above nought; layers that leave no room for mix; a
 * dose below nought.
 * What is given in g per litre is for the mix as it is made; firmed or pressed in, a litre holds more of it.
 * Notes: a bed drained by soil is judged at the soil's own tension; a mix on a layer that stalls drainage is judged
 * 24 hours after watering.
 */
export function evaluate(
  input: MixInContainer,
  effort: Effort = FULL_EFFORT,
  blended?: Blend,
): Outcome<Evaluation> {
  const { container, parts, growing } = input
  const fill = containerVolumes(container)
  if (!fill.ok) return fill
  const { mixHeight } = fill.value
  const pressed = input.pressed ?? 0
  const mixed = blended && pressed === 0 ? succeed(blended) : blend(parts, pressed)
  if (!mixed.ok) return mixed
  // Doses are told for the mix as it is made: pressed in, there is more of it and of them in a litre.
  const closeness = 1 / (1 - pressed)
  const doses: DressingDose[] = []
  for (const d of input.dressings ?? []) {
    if (!(d.gramsPerLitre >= 0 && Number.isFinite(d.gramsPerLitre)))
      return fail({ code: 'amount-negative', field: d.dressing.name, value: d.gramsPerLitre })
    doses.push({ ...d, gramsPerLitre: d.gramsPerLitre * closeness })
  }
  const notes: Note[] = [...fill.notes, ...mixed.notes]
  let floor = 0
  const blends: Blend[] = []
  const tops: number[] = []
  for (const layer of input.bottomLayers ?? []) {
    if (!(layer.thickness > 0))
      return fail({ code: 'size-not-positive', field: 'thickness', value: layer.thickness })
    const below = blend(layer.parts)
    if (!below.ok) return below
    floor += layer.thickness
    if (floor >= mixHeight)
      return fail({ code: 'size-too-large', field: 'thickness', value: floor, limit: mixHeight })
    blends.push(below.value)
    tops.push(floor)
  }
  blends.push(mixed.value)
  tops.push(mixHeight)
  const profile = containerProfile(
    container,
    blends.map((b, i) => ({
      top: tops[i]!,
      totalPorosity: b.totalPorosity,
      waterAt: b.waterAt,
      entryTension:
        blends.length > 1 && !input.bottomLayers?.[i]?.bridged ? entryTensionOf(hydraulicsOf(b)) : undefined,
    })),
    effort.slices,
  )
  const mix = profile.layers.at(-1)!
  const pull = profile.baseTension + floor
  if (floor > 0 && floor + tensionAtBase(container) - pull > WORTH_TELLING)
    notes.push({ code: 'layer-stalls-drainage', thickness: floor, pull })
  const weighed: WeighedLayer[] = profile.layers.map((balance, i) => ({
    balance,
    dryBulkDensity: blends[i]!.dryBulkDensity,
  }))
  const { cover } = input
  if (cover) weighed.push(weighedCover(cover, fill.value.surface))
  if (container.base.kind === 'onSoil' && pull > WORTH_TELLING + floor)
    notes.push({ code: 'bed-drained-by-soil', texture: container.base.texture })
  const temperature = input.temperature ?? USUAL_TEMPERATURE
  const depth = mixHeight - floor
  const given = { ...acidityOfDoses(doses, depth), temperature }
  const lime = limeAt(mixed.value, input.limes, input.limeGramsPerLitre * closeness, given)
  const weight = weights(fill.value, weighed)
  const outlook = growing
    ? growingOutlook({
        container,
        fill: fill.value,
        floor,
        blend: mixed.value,
        mix,
        cover: cover ? coverSaving(cover.material, cover.thickness) : 0,
        doses,
        weight,
        growing,
        temperature,
      })
    : null
  const years = seasonsOf(container, parts, yearMean(temperature), {
    floor,
    years: effort.years,
    slices: effort.slices / 2,
    foot: floor > 0 ? profile.baseTension + floor : undefined,
    pressed,
  })
  if (!years.ok) return years
  return succeed(
    {
      fill: { ...fill.value, mixVolume: mix.mixVolume },
      blend: mixed.value,
      profile,
      mixDepth: depth,
      mix,
      lime,
      given,
      acidity: acidityCourse(
        mixed.value,
        {
          ...given,
          limes: [...lime.doses, ...given.limes],
          waterAlkalinity: outlook?.alkalinityPerDay ?? 0,
        },
        7 * WEEKS,
      ),
      salts: saltZones(mixed.value, doses, depth, temperature),
      flags: feedFlags(mixed.value, doses, depth, temperature, growing?.crop),
      weights: weight,
      seasons: years.value,
      growing: outlook,
    },
    ...notes,
  )
}
