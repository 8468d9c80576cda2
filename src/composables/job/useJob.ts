import { computed, toRaw, toValue, type ComputedRef, type MaybeRefOrGetter } from 'vue'
import { cropById, materialIn, type Crop, type Material, type Tables } from '@/core/data'
import type { Evaluation, MixInContainer } from '@/core/evaluate'
import type { MixNeeded } from '@/core/filling'
import type { Container } from '@/core/geometry'
import { succeed, type Outcome } from '@/core/outcome'
import { bandsOf, targetsFor, type Bands, type Targets } from '@/core/targets'
import { asJudged, containerOf, jobOf, judgedBed, placeOf } from '@/model/garden/garden'
import { asDosed } from '@/model/amounts/asDosed'
import { mixNeededFor } from '@/model/garden/mixNeededFor'
import { sameData } from '@/model/garden/same'
import type { Job, JobBed, Place } from '@/model/garden/schemas'
import { quantitiesOf, type Quantities } from '@/model/make/quantities'
import { materialIdsOf } from '@/model/mix/innerMix'
import { evaluatePrepared, prepare, targetsOf, type PreparedMix } from '@/model/mix/prepare'
import type { MixQuestion } from '@/model/mix/question'
import { askTheSame, questionOfJob } from '@/model/mix/questionOfJob'
import { useGarden } from '@/stores/garden'
import { problemField, problemText, type Sentence } from '@/text/base/problems.en'
import type { UnitSystem } from '@/text/base/units'
import type { GardenDoor } from '../garden/gardenDoor'
import { useTables } from '../garden/useTables'

/** A job and everything worked out from it, each once for a change. */
export interface JobInHand<G extends GardenDoor = GardenDoor> {
  garden: G
  units: ComputedRef<UnitSystem>
  job: ComputedRef<Job | undefined>
  /** The bed the mix is judged in. */
  lead: ComputedRef<JobBed | null>
  /** What grows in the bed it is judged in. */
  crop: ComputedRef<Crop | undefined>
  place: ComputedRef<Place | undefined>
  /** The rows it is worked out with. */
  tables: ComputedRef<Tables>
  targets: ComputedRef<Targets | null>
  bands: ComputedRef<Bands>
  container: ComputedRef<Container | null>
  /** What one container of the judged bed takes when it is empty. */
  fill: ComputedRef<Outcome<MixNeeded> | null>
  /** The job as the core is asked about it. */
  question: ComputedRef<MixQuestion | null>
  prepared: ComputedRef<Outcome<PreparedMix> | null>
  evaluation: ComputedRef<Outcome<Evaluation> | null>
  /** The mix as plain data, for drawing its ranges; null where it cannot be worked out. */
  mixInput: ComputedRef<MixInContainer | null>
  quantities: ComputedRef<Outcome<Quantities> | null>
  /** Everything the hands will meet, inside finished mixes too. */
  materials: ComputedRef<Material[]>
  /** The sentence of a problem, if it belongs beside this field. */
  beside: (field: string, outcome: Outcome<unknown> | null) => Sentence | null
}

/** What most vegetables like, while there is no job to ask. */
const NO_JOB = targetsFor({ crops: [], inGround: false, height: null, carried: false, waterEvery: null })

/** What is asked about a job; the same question as long as it asks the same. */
function useQuestion(
  job: ComputedRef<Job | undefined>,
  place: ComputedRef<Place | undefined>,
  tables: ComputedRef<Tables>,
) {
  let asked: { job: Job; place: Place | undefined; tables: Tables } | null = null
  return computed<MixQuestion | null>((old) => {
    const [j, p, t] = [toRaw(job.value), toRaw(place.value), tables.value]
    if (!j) return null
    if (old && asked && asked.place === p && asked.tables === t && askTheSame(asked.job, j)) return old
    asked = { job: j, place: p, tables: t }
    return questionOfJob(j, p, t)
  })
}

/** A job of a garden, worked out by `work`; a test counts how often that is. */
export function useJobIn<G extends GardenDoor>(
  garden: G,
  jobId: MaybeRefOrGetter<string>,
  work: typeof prepare = prepare,
): JobInHand<G> {
  const units = computed(() => garden.settings.units)
  const job = computed(() => {
    const stored = jobOf(garden.records, toValue(jobId))
    return stored && asDosed(garden.records, stored)
  })
  const lead = computed(() => (job.value ? judgedBed(job.value) : null))
  const place = computed(() => placeOf(garden.records))
  // What is worked out with is plain data, made once; it serves the figures here and their ranges in the worker.
  const tables = useTables(garden)
  const question = useQuestion(job, place, tables)
  const prepared = computed(() => (question.value ? work(question.value) : null))
  // Bands follow the mix where there is one.
  const targets = computed(() => {
    if (prepared.value?.ok) return prepared.value.value.targets
    return question.value ? targetsOf(question.value) : null
  })
  // The same as long as they say the same: what shows them need not be drawn again for another part of the mix.
  const bands = computed<Bands>((old) => {
    const now = bandsOf(targets.value ?? NO_JOB)
    return old && sameData(old, now) ? old : now
  })
  const evaluation = computed(() => answerOf(prepared.value))
  return {
    garden,
    units,
    job,
    lead,
    crop: computed(() => cropById(job.value && asJudged(job.value).cropId)),
    place,
    tables,
    targets,
    bands,
    container: computed(() => (lead.value ? containerOf(lead.value.spec.vessel) : null)),
    fill: computed(() =>
      lead.value ? mixNeededFor({ spec: lead.value.spec, sunkBy: null }, tables.value) : null,
    ),
    question,
    prepared,
    evaluation,
    mixInput: computed(() =>
      evaluation.value?.ok && prepared.value?.ok ? prepared.value.value.input : null,
    ),
    quantities: computed(() => {
      const ready = prepared.value
      return job.value && ready ? quantitiesOf(job.value, ready, evaluation.value ?? undefined) : null
    }),
    materials: computed(() =>
      job.value ? materialIdsOf(job.value).flatMap((id) => materialIn(tables.value, id) ?? []) : [],
    ),
    beside: (field, outcome) => besideField(field, outcome, units.value),
  }
}

/** The whole answer, with what was noted on the way to it. */
function answerOf(ready: Outcome<PreparedMix> | null): Outcome<Evaluation> | null {
  if (!ready?.ok) return ready
  const answer = evaluatePrepared(ready.value)
  return answer.ok ? succeed(answer.value, ...answer.notes, ...ready.notes) : answer
}

const besideField = (field: string, outcome: Outcome<unknown> | null, units: UnitSystem): Sentence | null =>
  outcome && !outcome.ok && problemField(outcome.problem) === field
    ? problemText(outcome.problem, units)
    : null

/** A job of the garden on screen. */
export const useJob = (jobId: MaybeRefOrGetter<string>) => useJobIn(useGarden(), jobId)
