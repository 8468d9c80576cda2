import { limeForTarget, type LimeChoice } from '@/core/chemistry'
import { CROPS, LIMES, MATERIALS, type Material } from '@/core/data'
import {
  evaluate,
  FULL_EFFORT,
  type BottomLayer,
  type Effort,
  type Evaluation,
  type MixInContainer,
} from '@/core/evaluate'
import { fillPlan, LAYERS, plantsIn, type FillPlan, type FillerLayer } from '@/core/filling'
import { wallArea, type Container } from '@/core/geometry'
import type { Growing } from '@/core/growing'
import { EASY_WATER, targetsFor, type Target, type Targets } from '@/core/targets'
import { blend, prepareMaterial, type BlendPart, type PreparedMaterial } from '@/core/mixing'
import { fail, succeed, type Outcome } from '@/core/outcome'
import { planBatches, type BatchPlan } from '@/core/batch'
import type { Problem } from '@/core/problems'
import { leadFill } from './garden'
import type { BedSpec, Fill, Job, LimeSetting, Place, Vessel } from './schemas'

const prepared = new Map<string, PreparedMaterial>()

export const materialById = (id: string): Material | undefined => MATERIALS.find((m) => m.id === id)

/** A material ready for blending, worked out once for each. */
export function preparedMaterial(id: string): PreparedMaterial | undefined {
  let found = prepared.get(id)
  if (!found) {
    const material = materialById(id)
    if (!material) return undefined
    found = prepareMaterial(material)
    prepared.set(id, found)
  }
  return found
}

export const containerOf = (vessel: Vessel): Container => ({
  shape: vessel.shape,
  headspace: vessel.headspace,
  base: vessel.base,
})

/** Most alike believed in one line: beyond it a slip is likelier. */
const MOST_ALIKE = 5000

/** What is wrong with a number of containers, if anything. */
export function countProblem(count: number): Problem | null {
  if (count > MOST_ALIKE) return { code: 'size-too-large', field: 'count', value: count, limit: MOST_ALIKE }
  return Number.isInteger(count) && count >= 1 ? null : { code: 'count-not-whole', value: count }
}

/** What one container of a fill takes. Errors: those of `fillPlan`. */
export const planOfFill = ({ spec, sunkBy }: Pick<Fill, 'spec' | 'sunkBy'>): Outcome<FillPlan> =>
  fillPlan({
    container: containerOf(spec.vessel),
    layers: spec.layers,
    rootBalls: spec.rootBalls,
    sunkBy,
  })

/** Layers as the evaluation takes them: cloth has no body. */
const bottomLayers = (layers: readonly FillerLayer[]): BottomLayer[] =>
  layers.flatMap(({ kind, thickness }) => {
    const { material } = LAYERS[kind]
    const prepared = material === null ? undefined : preparedMaterial(material)
    return prepared && thickness > 0 ? [{ thickness, parts: [{ material: prepared, parts: 1 }] }] : []
  })

export function limeChoice(setting: LimeSetting): LimeChoice[] {
  const byId = (id: string) => LIMES.find((l) => l.id === id)!
  return [
    { lime: byId('lime_calcitic'), share: 1 - setting.dolomiteShare },
    { lime: byId('lime_dolomitic'), share: setting.dolomiteShare },
  ]
}

function blendParts(parts: { materialId: string; amount: number }[]): Outcome<BlendPart[]> {
  const list: BlendPart[] = []
  for (const part of parts) {
    const material = preparedMaterial(part.materialId)
    if (!material) return fail({ code: 'unknown-material', material: part.materialId })
    list.push({ material, parts: part.amount })
  }
  return succeed(list)
}

/** Weight of an empty container, kg for each square metre of its sides. Source: our assumption by usual wall thickness. */
const WALL_WEIGHT: Record<BedSpec['wall'], number> = {
  plastic: 2.5,
  fabric: 0.4,
  terracotta: 24,
  timber: 12,
  metal: 8,
}

/** Crop, place and care of a job as the core takes them; undefined where no crop is chosen. */
function growingOf(job: Job, place: Place | undefined): Growing | undefined {
  const crop = CROPS.find((c) => c.id === job.cropId)
  if (!crop) return undefined
  const { spec } = leadFill(job)
  const plan = planOfFill({ spec, sunkBy: null })
  const room = plan.ok ? plantsIn(crop, plan.value.space, plan.value.surface).count : 1
  const sides = plan.ok ? wallArea(spec.vessel.shape, plan.value.mixHeight) / 10_000 : 0
  return {
    crop,
    plants: Math.max(1, job.plants ?? room),
    plantingMonth: job.plantMonth ?? undefined,
    climate: place && { latitude: place.latitude, elevation: place.elevation, months: place.months },
    wallKind: spec.wall === 'fabric' || spec.wall === 'terracotta' ? spec.wall : 'closed',
    waterAlkalinity: place?.waterAlkalinity,
    emptyWeight: WALL_WEIGHT[spec.wall] * sides,
  }
}

/** A job's mix as the core takes it. `amounts` stands in for the recipe when judging what was really measured. */
export function inputOfJob(
  job: Job,
  amounts = job.parts.map((p) => ({ materialId: p.materialId, amount: p.twelfths })),
  place?: Place,
): Outcome<MixInContainer> {
  const parts = blendParts(amounts)
  if (!parts.ok) return parts
  const grams = limeGramsPerLitre(job)
  if (!grams.ok) return grams
  const { spec } = leadFill(job)
  const filled = planOfFill({ spec, sunkBy: null })
  if (!filled.ok) return filled
  return succeed(
    {
      container: containerOf(spec.vessel),
      bottomLayers: bottomLayers(spec.layers),
      parts: parts.value,
      limes: limeChoice(job.lime),
      limeGramsPerLitre: grams.value,
      growing: growingOf(job, place),
    },
    ...grams.notes,
  )
}

/** As finely as a screen shows; later years are not on any screen yet. */
const ON_SCREEN: Effort = { ...FULL_EFFORT, years: [] }

/** The mix of a job in its container. */
export function evaluateJob(
  job: Job,
  amounts?: { materialId: string; amount: number }[],
  place?: Place,
): Outcome<Evaluation> {
  const input = inputOfJob(job, amounts, place)
  if (!input.ok) return input
  const answer = evaluate(input.value, ON_SCREEN)
  return answer.ok ? succeed(answer.value, ...answer.notes, ...input.notes) : answer
}

/** Lime for the recipe by its setting, g per litre of blended mix. */
export function limeGramsPerLitre(job: Job): Outcome<number> {
  const { lime } = job
  if (lime.mode === 'none') return succeed(0)
  if (lime.mode === 'fixed') {
    if (!(lime.gramsPerLitre >= 0))
      return fail({ code: 'amount-negative', field: 'limeGramsPerLitre', value: lime.gramsPerLitre })
    if (lime.gramsPerLitre > 50)
      return fail({
        code: 'size-too-large',
        field: 'limeGramsPerLitre',
        value: lime.gramsPerLitre,
        limit: 50,
      })
    return succeed(lime.gramsPerLitre)
  }
  const parts = blendParts(job.parts.map((p) => ({ materialId: p.materialId, amount: p.twelfths })))
  if (!parts.ok) return parts
  const mixed = blend(parts.value)
  if (!mixed.ok) return mixed
  const plan = limeForTarget(mixed.value, limeChoice(lime), lime.target)
  return plan.ok ? succeed(plan.value.gramsPerLitre, ...plan.notes) : plan
}

export interface Quantities {
  /** What one container of each fill takes, in the order of the job. */
  fills: FillPlan[]
  /** Mix in place in all containers, litres. */
  inPlace: number
  /** Blended mix to make, with what watering-in settles, litres. */
  toBlend: number
  plan: BatchPlan
  /** Lime for one litre of blend, g. */
  limeGramsPerLitre: number
  /** The mix as it will be measured, rounding included. */
  asMeasured: Evaluation
  asWritten: Evaluation
}

/** Everything from one container's answer to all the buckets of a job. */
export function quantitiesOf(job: Job): Outcome<Quantities> {
  const written = evaluateJob(job)
  if (!written.ok) return written
  let inPlace = 0
  const fills: FillPlan[] = []
  for (const fill of job.fills) {
    const wrong = countProblem(fill.count)
    if (wrong) return fail(wrong)
    const one = planOfFill(fill)
    if (!one.ok) return one
    fills.push(one.value)
    inPlace += one.value.net * fill.count
  }
  if (!(job.plan.settling >= 0))
    return fail({ code: 'amount-negative', field: 'settling', value: job.plan.settling })
  if (job.plan.settling > 0.5)
    return fail({ code: 'size-too-large', field: 'settling', value: job.plan.settling, limit: 0.5 })
  if (!(inPlace > 0)) return fail({ code: 'size-not-positive', field: 'wanted', value: inPlace })
  const toBlend = inPlace * (1 + job.plan.settling)
  const plan = planBatches({
    parts: job.parts.map((p) => ({ id: p.materialId, twelfths: p.twelfths })),
    blendingLoss: written.value.blend.blendingLoss,
    wanted: toBlend,
    bucket: job.plan.bucket,
    vessel: job.plan.vessel,
  })
  if (!plan.ok) return plan
  const asMeasured = evaluateJob(
    job,
    plan.value.totals.map((t) => ({ materialId: t.id, amount: t.twelfths })),
  )
  if (!asMeasured.ok) return asMeasured
  return succeed(
    {
      fills,
      inPlace,
      toBlend,
      plan: plan.value,
      limeGramsPerLitre: written.value.lime.gramsPerLitre,
      asMeasured: asMeasured.value,
      asWritten: written.value,
    },
    ...written.notes,
    ...plan.notes,
  )
}

/** What a job's mix is held against, with the reasons, and where its crops disagree. */
export function targetsOfJob(job: Job, place?: Place): Targets {
  const { spec } = leadFill(job)
  const crops = [job.cropId, ...job.companionIds].flatMap((id) => CROPS.find((c) => c.id === id) ?? [])
  return targetsFor({
    crops,
    inGround: spec.vessel.base.kind === 'onSoil',
    carried: spec.carried,
    waterEvery: place?.waterEvery ?? null,
    own: job.bands,
  })
}

/** The bands of a job by name; easy water falls back to that of pots. */
export function bandsOf(targets: Targets) {
  const band = (target: Target) => targets.bands.find((b) => b.target === target)?.band
  return {
    airFilledPorosity: band('airFilledPorosity')!,
    pH: band('pH')!,
    easilyAvailableWater: band('easilyAvailableWater') ?? EASY_WATER,
    drainedWeight: band('drainedWeight') ?? null,
    daysBetweenWaterings: band('daysBetweenWaterings') ?? null,
  }
}
