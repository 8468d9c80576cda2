import { limeForTarget, type LimeChoice } from '@/core/chemistry'
import { LIMES, cropById } from '@/core/data'
import {
  evaluate,
  FULL_EFFORT,
  type BottomLayer,
  type Effort,
  type Evaluation,
  type MixInContainer,
} from '@/core/evaluate'
import { cropFit, mixNeeded, LAYERS, type MixNeeded, type FillerLayer } from '@/core/filling'
import { wallArea, type Container } from '@/core/geometry'
import type { Growing } from '@/core/growing'
import { targetsFor, type Target, type Targets } from '@/core/targets'
import { blend, type FlatRecipe } from '@/core/mixing'
import { acidDosesOf, type DressingDose } from '@/core/nutrients'
import { fail, succeed, type Outcome } from '@/core/outcome'
import { planBatches, type BatchPlan } from '@/core/batch'
import type { Problem } from '@/core/problems'
import { judgedBed } from '@/model/garden/garden'
import { premixedIn, flatOf, type Amount, type Premixed } from './innerMix'
import { preparedMaterial } from './prepared'
import { dressingById } from '@/core/data/dressings'
import type {
  BedSpec,
  DressingLine,
  JobBed,
  InnerMix,
  Job,
  LimeSetting,
  Place,
  Vessel,
} from '@/model/garden/schemas'

export const containerOf = (vessel: Vessel): Container => ({
  shape: vessel.shape,
  headspace: vessel.headspace,
  base: vessel.base,
})

/** More than this of anything given by weight is a slip, g per litre. */
const MOST_DOSE = 60

/** Most alike believed in one line: beyond it a slip is likelier. */
const MOST_ALIKE = 5000

/** What is wrong with a number of containers, if anything. */
export function countProblem(count: number): Problem | null {
  if (count > MOST_ALIKE) return { code: 'size-too-large', field: 'count', value: count, limit: MOST_ALIKE }
  return Number.isInteger(count) && count >= 1 ? null : { code: 'count-not-whole', value: count }
}

/** Plans by bed and by how far it sank: a bed that changes is another bed, and one that does not is asked about often. */
const PLANS = new WeakMap<BedSpec, Map<number | null, Outcome<MixNeeded>>>()

/** What one container of a fill takes. Errors: those of `mixNeeded`. The bed must not be changed in place. */
export function mixNeededFor({ spec, sunkBy }: Pick<JobBed, 'spec' | 'sunkBy'>): Outcome<MixNeeded> {
  const known = PLANS.get(spec) ?? new Map<number | null, Outcome<MixNeeded>>()
  PLANS.set(spec, known)
  const plan =
    known.get(sunkBy) ??
    mixNeeded({
      container: containerOf(spec.vessel),
      layers: spec.layers,
      rootBalls: spec.rootBalls,
      sunkBy,
    })
  known.set(sunkBy, plan)
  return plan
}

/** Layers as the evaluation takes them: cloth has no body. */
const bottomLayers = (layers: readonly FillerLayer[]): BottomLayer[] =>
  layers.flatMap(({ kind, thickness }) => {
    const { material } = LAYERS[kind]
    const prepared = material === null ? undefined : preparedMaterial(material)
    return prepared && thickness > 0 ? [{ thickness, parts: [{ material: prepared, parts: 1 }] }] : []
  })

/** Ground limestone and dolomite by the share of the second. */
export function limesBy(dolomiteShare: number): LimeChoice[] {
  const byId = (id: string) => LIMES.find((l) => l.id === id)!
  return [
    { lime: byId('lime_calcitic'), share: 1 - dolomiteShare },
    { lime: byId('lime_dolomitic'), share: dolomiteShare },
  ]
}
export const limeChoice = (setting: LimeSetting): LimeChoice[] => limesBy(setting.dolomiteShare)

/** A recipe's dressings, and those its finished mixes bring, as the core takes them. Errors: a dressing nobody knows, a dose below nought. */
export function dosesOf(lines: readonly DressingLine[], brought?: Premixed): Outcome<DressingDose[]> {
  const doses: DressingDose[] = (brought?.dressings ?? []).flatMap(({ dressingId, gramsPerLitre }) => {
    const dressing = dressingById(dressingId)
    return dressing ? [{ dressing, gramsPerLitre, place: { kind: 'throughout' as const } }] : []
  })
  for (const { dressingId, gramsPerLitre, place } of lines) {
    const dressing = dressingById(dressingId)
    if (!dressing) return fail({ code: 'unknown-dressing', dressing: dressingId })
    if (!(gramsPerLitre >= 0))
      return fail({ code: 'amount-negative', field: dressingId, value: gramsPerLitre })
    if (gramsPerLitre > MOST_DOSE)
      return fail({ code: 'size-too-large', field: dressingId, value: gramsPerLitre, limit: MOST_DOSE })
    doses.push({ dressing, gramsPerLitre, place })
  }
  return succeed(doses)
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
  const crop = cropById(job.cropId)
  if (!crop) return undefined
  const { spec } = judgedBed(job)
  const plan = mixNeededFor({ spec, sunkBy: null })
  const sides = plan.ok ? wallArea(spec.vessel.shape, plan.value.mixHeight) / 10_000 : 0
  return {
    crop,
    plants: plan.ok ? cropFit(crop, plan.value, job.plants).plants : 1,
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
  amounts: readonly Amount[] = job.parts.map((p) => ({ materialId: p.materialId, amount: p.twelfths })),
  place?: Place,
): Outcome<MixInContainer> {
  const flat = flatOf(job, amounts)
  if (!flat.ok) return flat
  const brought = premixedIn(job, flat.value, amounts)
  const grams = limeGramsPerLitre(job)
  if (!grams.ok) return grams
  const lime = grams.value + brought.lime
  const doses = dosesOf(job.dressings, brought)
  if (!doses.ok) return doses
  const { spec } = judgedBed(job)
  const filled = mixNeededFor({ spec, sunkBy: null })
  if (!filled.ok) return filled
  return succeed(
    {
      container: containerOf(spec.vessel),
      bottomLayers: bottomLayers(spec.layers),
      parts: flat.value.parts,
      limes: limeChoice(limeTogether(job.lime, grams.value, brought)),
      limeGramsPerLitre: lime,
      dressings: doses.value,
      growing: growingOf(job, place),
    },
    ...grams.notes,
  )
}

/** As finely as a screen shows; later years are not on any screen yet. */
const ON_SCREEN: Effort = { ...FULL_EFFORT, years: [] }

/** With its later years too: for what can wait until the hand rests. */
export function evaluateLater(job: Job, place?: Place): Outcome<Evaluation> {
  const input = inputOfJob(job, undefined, place)
  return input.ok ? evaluate(input.value, { slices: 60, years: [1, 2, 3] }) : input
}

/** The mix of a job in its container. */
export function evaluateJob(job: Job, amounts?: readonly Amount[], place?: Place): Outcome<Evaluation> {
  return evaluateInput(inputOfJob(job, amounts, place))
}

/** As finely as a screen shows, from what `inputOfJob` has. */
export function evaluateInput(input: Outcome<MixInContainer>): Outcome<Evaluation> {
  if (!input.ok) return input
  const answer = evaluate(input.value, ON_SCREEN)
  return answer.ok ? succeed(answer.value, ...answer.notes, ...input.notes) : answer
}

/** Own lime and that of finished mixes, as one choice of limes by weight. */
const limeTogether = (own: LimeSetting, grams: number, brought: Premixed): LimeSetting => ({
  ...own,
  dolomiteShare:
    brought.lime > 0
      ? Math.min(1, (grams * own.dolomiteShare + brought.dolomite) / (grams + brought.lime))
      : own.dolomiteShare,
})

/** Lime to add to the recipe by its setting, beside what its finished mixes bring, g per litre of blended mix. */
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
  const flat = flatOf(job)
  if (!flat.ok) return flat
  const mixed = blend(flat.value.parts)
  if (!mixed.ok) return mixed
  const brought = premixedIn(job, flat.value)
  const doses = dosesOf(job.dressings, brought)
  if (!doses.ok) return doses
  const filled = mixNeededFor({ spec: judgedBed(job).spec, sunkBy: null })
  const depth = filled.ok ? filled.value.mixHeight - filled.value.floor : 1
  const acids = acidDosesOf(doses.value, depth)
  const plan = limeForTarget(mixed.value, limeChoice(lime), lime.target, undefined, undefined, acids)
  // What a finished mix brings counts towards it; nothing takes it out again.
  return plan.ok ? succeed(Math.max(0, plan.value.gramsPerLitre - brought.lime), ...plan.notes) : plan
}

/** Mix a job asks for, settling counted in, whatever it is made of, litres; null while a bed or its number is wrong. */
export function mixWanted(job: Job): number | null {
  let inPlace = 0
  for (const fill of job.fills) {
    const one = mixNeededFor(fill)
    if (!one.ok || countProblem(fill.count)) return null
    inPlace += one.value.net * fill.count
  }
  return inPlace * (1 + job.plan.settling)
}

/** Of the lime an evaluation counts, what is to be added: the rest is in finished mixes already. g per litre of blended mix. */
export function ownLime(evaluation: Evaluation, job: Job, flat?: FlatRecipe): number {
  if (job.mixes.length === 0) return evaluation.lime.gramsPerLitre
  const all = flat ? succeed(flat) : flatOf(job)
  return all.ok
    ? Math.max(0, evaluation.lime.gramsPerLitre - premixedIn(job, all.value).lime)
    : evaluation.lime.gramsPerLitre
}

/** A finished mix that is made before the mix it goes into. */
export interface MadeFirst {
  mix: InnerMix
  litres: number
  plan: BatchPlan
}

export interface Quantities {
  /** Finished mixes to make before anything else, in the order of the recipe. */
  first: MadeFirst[]
  /** What one container of each fill takes, in the order of the job. */
  fills: MixNeeded[]
  /** Mix in place in all containers, litres. */
  inPlace: number
  /** Blended mix to make, with what watering-in settles, litres. */
  toBlend: number
  plan: BatchPlan
  /** Lime to add to one litre of blend, g: what finished mixes bring is in them. */
  limeGramsPerLitre: number
  /** Lost in the last stirring, as a share of what is measured then. */
  lossHere: number
  /** The mix as it will be measured, rounding included. */
  asMeasured: Evaluation
  asWritten: Evaluation
}

/** Batches of a finished mix that give so many litres of it. Errors: those of `flatOf` and `planBatches`. */
function planMix(mix: InnerMix, wanted: number, { bucket, vessel }: Job['plan']): Outcome<BatchPlan> {
  const flat = flatOf({ parts: mix.parts, mixes: [] })
  if (!flat.ok) return flat
  return planBatches({
    parts: mix.parts.map((p) => ({ id: p.materialId, twelfths: p.twelfths })),
    blendingLoss: flat.value.lossHere,
    wanted,
    bucket,
    vessel,
  })
}

/** Everything from one container's answer to all the buckets of a job. */
export function quantitiesOf(job: Job): Outcome<Quantities> {
  const written = evaluateJob(job)
  if (!written.ok) return written
  let inPlace = 0
  const fills: MixNeeded[] = []
  for (const fill of job.fills) {
    const wrong = countProblem(fill.count)
    if (wrong) return fail(wrong)
    const one = mixNeededFor(fill)
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
  const flat = flatOf(job)
  if (!flat.ok) return flat
  const plan = planBatches({
    parts: job.parts.map((p) => ({ id: p.materialId, twelfths: p.twelfths })),
    blendingLoss: flat.value.lossHere,
    wanted: toBlend,
    bucket: job.plan.bucket,
    vessel: job.plan.vessel,
  })
  if (!plan.ok) return plan
  const first: MadeFirst[] = []
  for (const mix of job.mixes) {
    const total = plan.value.totals.find((t) => t.id === mix.id)
    if (mix.origin.kind !== 'made' || !total) continue
    const made = planMix(mix, total.litres, job.plan)
    if (!made.ok) return made
    first.push({ mix, litres: total.litres, plan: made.value })
  }
  const asMeasured = evaluateJob(
    job,
    plan.value.totals.map((t) => ({ materialId: t.id, amount: t.twelfths })),
  )
  if (!asMeasured.ok) return asMeasured
  return succeed(
    {
      first,
      fills,
      inPlace,
      toBlend,
      plan: plan.value,
      limeGramsPerLitre: ownLime(written.value, job, flat.value),
      lossHere: 1 - plan.value.blendLitres / plan.value.totals.reduce((s, t) => s + t.litres, 0),
      asMeasured: asMeasured.value,
      asWritten: written.value,
    },
    ...written.notes,
    ...plan.notes,
  )
}

/** What a job's mix is held against, with the reasons, and where its crops disagree. */
export function targetsOfJob(job: Job, place?: Place): Targets {
  const { spec } = judgedBed(job)
  const crops = [job.cropId, ...job.companionIds].flatMap((id) => cropById(id) ?? [])
  return targetsFor({
    crops,
    inGround: spec.vessel.base.kind === 'onSoil',
    carried: spec.carried,
    waterEvery: place?.waterEvery ?? null,
    own: job.bands,
  })
}

/** The bands of a job by name; a bed open to soil is not held to the easy water of pots. */
export function bandsOf(targets: Targets) {
  const band = (target: Target) => targets.bands.find((b) => b.target === target)?.band
  return {
    airFilledPorosity: band('airFilledPorosity')!,
    pH: band('pH')!,
    easilyAvailableWater: band('easilyAvailableWater') ?? null,
    electricalConductivity: band('electricalConductivity') ?? null,
    drainedWeight: band('drainedWeight') ?? null,
    daysBetweenWaterings: band('daysBetweenWaterings') ?? null,
  }
}
