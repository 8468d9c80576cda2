import type { BottomLayer } from '@/core/column'
import {
  evaluate,
  FULL_EFFORT,
  type Cover,
  type Effort,
  type Evaluation,
  type MixInContainer,
} from '@/core/evaluate'
import {
  cropFit,
  LAYERS,
  mixNeeded,
  natureOfMaterial,
  type FillerLayer,
  type MixNeeded,
} from '@/core/filling'
import { materialIn, type Tables } from '@/core/data'
import { containerVolumes, shapeHeight } from '@/core/geometry'
import type { Centimetres } from '@/core/units'
import type { Temperature, WaterStretch } from '@/core/chemistry'
import { coverSaving } from '@/core/climate'
import { temperatureOfPlace, waterOf, type Growing } from '@/core/growing'
import { judge, type Judgement, type JudgementQuestion } from '@/core/judgement'
import { preparedMaterial, type Blend } from '@/core/mixing'
import { fail, succeed, type Outcome } from '@/core/outcome'
import { bandsOf, targetsFor, type Bands, type Targets } from '@/core/targets'
import { emptyWeight } from '@/core/weight'
import { flatOf, prepareRecipe, type PreparedRecipe, type RecipeSetting } from './prepareRecipe'
import { liquidDoses } from './liquidDoses'
import type { BedLayer, BedQuestion, MixQuestion } from './question'

/** A question worked out once: whatever is asked about the mix starts from here. */
export interface PreparedMix extends PreparedRecipe {
  question: MixQuestion
  /** What one container takes. */
  needed: MixNeeded
  targets: Targets
  bands: Bands
  /** The mix as the core takes it; plain data, so that ranges can be drawn in a worker. */
  input: MixInContainer
}

/** Layers as far as volumes go: those of other mixes have no gaps that mix washes into. */
const fillers = (layers: readonly BedLayer[], tables: Tables): FillerLayer[] =>
  layers.map((layer) => {
    const { kind, thickness } = layer
    const row = kind === 'material' ? materialIn(tables, layer.materialId) : undefined
    return { kind, thickness, nature: row && natureOfMaterial(row) }
  })

/** What one empty container takes. Errors: those of `mixNeeded`. */
export const neededFor = ({ bed, tables }: Pick<MixQuestion, 'bed' | 'tables'>): Outcome<MixNeeded> =>
  mixNeeded({
    container: bed.container,
    layers: fillers(bed.layers, tables),
    rootBalls: bed.rootBalls,
    sunkBy: null,
    pressed: bed.pressed,
    cover: bed.cover?.thickness,
  })

/** Height of the mix above its layers, cm; null where the container has no sizes to tell it from. */
function heightOfMix({ container, layers }: MixQuestion['bed']): Centimetres | null {
  const height =
    shapeHeight(container.shape) -
    container.headspace -
    layers.reduce((sum, l) => sum + (l.kind === 'cloth' ? 0 : l.thickness), 0)
  return height > 0 ? height : null
}

/** What the mix has to meet, with the reasons, and where its crops disagree. */
export const targetsOf = ({ bed, crops, care }: MixQuestion, mix?: Blend): Targets =>
  targetsFor({
    soilless: mix && isSoilless(mix),
    soilBed: mix && isSoilBed(mix, bed),
    crops,
    inGround: bed.container.base.kind === 'onSoil',
    height: heightOfMix(bed),
    carried: bed.carried,
    waterEvery: care.waterEvery,
    own: care.bands,
  })

/** Soil that makes a bed hold water as ground does, share; and litres that make a bed. Source: our assumption. */
const SOIL_BED = { soil: 1 / 3, litres: 200 }
function isSoilBed({ shares }: Blend, { container }: BedQuestion): boolean {
  const soil = shares.reduce((sum, s) => sum + (s.material.family === 'soil' ? s.share : 0), 0)
  const filled = soil >= SOIL_BED.soil ? containerVolumes(container) : null
  return filled !== null && filled.ok && filled.value.mixVolume >= SOIL_BED.litres
}

const ORGANIC: ReadonlySet<string> = new Set(['peat', 'coir', 'bark', 'wood', 'compost', 'manure', 'mix'])
/** Shares that make an organic mix without soil. Source: our assumption. */
const SOILLESS = { organic: 0.5, soil: 0.1 }
function isSoilless({ shares }: Blend): boolean {
  const of = (is: (family: string) => boolean) =>
    shares.reduce((sum, s) => sum + (is(s.material.family) ? s.share : 0), 0)
  return of((f) => ORGANIC.has(f)) >= SOILLESS.organic && of((f) => f === 'soil') < SOILLESS.soil
}

/** Share of its gaps that fills with mix from which a layer pulls as the mix does. Source: our assumption. */
const BRIDGED = 0.5

/** Layers as the evaluation takes them: cloth has no body. Errors: those of `flatOf` for a layer of another mix. */
export function bottomLayers({ bed, recipe, tables }: MixQuestion): Outcome<BottomLayer[]> {
  const layers: BottomLayer[] = []
  for (const layer of bed.layers) {
    const { thickness } = layer
    if (layer.kind === 'mix') {
      const flat = flatOf(layer.lines, recipe.mixes, tables)
      if (!flat.ok) return flat
      layers.push({ thickness, parts: flat.value.parts })
      continue
    }
    const id = layer.kind === 'material' ? layer.materialId : LAYERS[layer.kind].material
    const bridged = layer.kind !== 'material' && LAYERS[layer.kind].washesIn >= BRIDGED
    const row = id === null ? undefined : materialIn(tables, id)
    if (row && thickness > 0)
      layers.push({ thickness, parts: [{ material: preparedMaterial(row), parts: 1 }], bridged })
  }
  return succeed(layers)
}

/** What lies on the mix; undefined for nothing, or for a material that is no more. */
function coverIn({ bed: { cover }, tables }: MixQuestion): Cover | undefined {
  const material = cover && cover.thickness > 0 ? materialIn(tables, cover.materialId) : undefined
  return material && { material, thickness: cover!.thickness }
}

/** Crop, place and care as the core takes them; undefined where no crop is chosen. */
function growingIn({ bed, crops, place, care }: MixQuestion, needed: MixNeeded): Growing | undefined {
  const crop = crops[0]
  if (!crop) return undefined
  return {
    crop,
    plants: cropFit(crop, needed, care.plants).plants,
    plantingMonth: care.plantingMonth ?? undefined,
    climate: place?.climate,
    wallKind: bed.wallKind,
    exposure: place?.wind ?? undefined,
    leachingFraction: care.leachingFraction,
    waterAlkalinity: place?.waterAlkalinity,
    waterConductivity: place?.waterConductivity,
    waterSoftened: place?.waterSoftened,
    waterAcidified: place?.waterAcidified,
    emptyWeight:
      'kg' in bed.empty ? bed.empty.kg : emptyWeight(bed.empty.wall, bed.container.shape, needed.mixHeight),
  }
}

/** What watering brings and takes from planting on; undefined where no crop is chosen. */
function waterFor(question: MixQuestion, needed: MixNeeded): WaterStretch[] | undefined {
  const growing = growingIn(question, needed)
  if (!growing || !(needed.space > 0)) return undefined
  const lies = coverIn(question)
  return waterOf(
    {
      container: question.bed.container,
      fill: needed,
      floor: needed.floor,
      cover: lies ? coverSaving(lies.material, lies.thickness) : 0,
      growing,
    },
    needed.space,
  )
}

/** Temperature of the mix from planting on: that of the place, or what the question says. */
const temperatureFor = ({ place, care }: MixQuestion): Temperature | undefined =>
  place?.climate ? temperatureOfPlace(place.climate, care.plantingMonth ?? undefined) : care.temperature

/** What a recipe is worked out in: depth, warmth and water of its bed. */
export const settingFor = (question: MixQuestion, needed: MixNeeded | null): RecipeSetting => ({
  tables: question.tables,
  depth: needed ? needed.mixHeight - needed.floor : 1,
  temperature: temperatureFor(question),
  water: needed ? waterFor(question, needed) : undefined,
})

/**
 * A question worked out as far as its answers share: flattened recipe, blend, doses, lime, volumes and bands. Units
 * as in the parts it is made of. Errors: those of `prepareRecipe` first, then those of the bed. Notes: those of the
 * lime solver.
 */
export function prepare(question: MixQuestion): Outcome<PreparedMix> {
  const needed = neededFor(question)
  const recipe = prepareRecipe(question.recipe, settingFor(question, needed.ok ? needed.value : null))
  if (!recipe.ok) return recipe
  if (!needed.ok) return needed
  const layers = bottomLayers(question)
  if (!layers.ok) return layers
  const targets = targetsOf(question, recipe.value.blend)
  const { flat, lime, doses } = recipe.value
  return succeed(
    {
      ...recipe.value,
      question,
      needed: needed.value,
      targets,
      bands: bandsOf(targets),
      input: {
        container: question.bed.container,
        bottomLayers: layers.value,
        pressed: question.bed.pressed,
        cover: coverIn(question),
        parts: flat.parts,
        limes: lime.limes,
        limeGramsPerLitre: lime.together.gramsPerLitre,
        dressings: [...doses, ...liquidDoses(question, needed.value)],
        temperature: temperatureFor(question),
        growing: growingIn(question, needed.value),
      },
    },
    ...recipe.notes,
  )
}

/** As finely as figures under the hand are shown: later years can wait. */
const AT_ONCE: Effort = { ...FULL_EFFORT, years: [] }
/** With the later years, for what can wait until the hand rests. */
export const AT_REST: Effort = { slices: 60, years: [1, 2, 3] }

/**
 * The answer to a prepared question. Errors: those of the core's `evaluate`. Notes: its own, and those of preparing.
 */
export function evaluatePrepared(prepared: PreparedMix, effort: Effort = AT_ONCE): Outcome<Evaluation> {
  return evaluate(prepared.input, effort, prepared.blend)
}

/** From a question to its answer in one go. Errors and notes: those of `prepare` and `evaluatePrepared`. */
export function answer(question: MixQuestion, effort: Effort = AT_ONCE): Outcome<Evaluation> {
  const prepared = prepare(question)
  if (!prepared.ok) return prepared
  const evaluation = evaluatePrepared(prepared.value, effort)
  return evaluation.ok
    ? succeed(evaluation.value, ...evaluation.notes, ...prepared.notes)
    : fail(evaluation.problem)
}

/** What stands out about a mix in its bed, crop and place, the gravest first. */
export const judgementsOf = (prepared: PreparedMix, evaluation: Evaluation): Judgement[] =>
  judge(judgementQuestion(prepared, evaluation))

/** A mix in its bed, crop and place as judgements ask for it. */
export function judgementQuestion(
  { question, input, bands }: PreparedMix,
  evaluation: Evaluation,
): JudgementQuestion {
  const { bed, crops, place, care } = question
  return {
    evaluation,
    container: input.container,
    parts: input.parts,
    limes: input.limes,
    crop: crops[0],
    plants: input.growing?.plants,
    airWanted: bands.airFilledPorosity,
    pHWanted: bands.pH,
    liftable: bands.drainedWeight?.high ?? null,
    wind: place?.wind ?? null,
    wide: bed.wide,
    waterEvery: care.waterEvery,
    waterAlkalinity: place?.waterAlkalinity ?? 0,
    waterIons: place?.waterIons,
    dressings: input.dressings ?? [],
    calciumGiven: (input.dressings ?? []).reduce(
      (sum, d) => sum + d.gramsPerLitre * 1000 * (d.dressing.analysis.calcium?.value ?? 0),
      0,
    ),
  }
}
