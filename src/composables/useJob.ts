import { computed, toRaw, toValue, type MaybeRefOrGetter } from 'vue'
import { targetsFor } from '@/core/targets'
import { jobOf, judgedBed, liveJob, placeOf } from '@/model/garden/garden'
import {
  bandsOf,
  containerOf,
  evaluateInput,
  inputOfJob,
  mixNeededFor,
  quantitiesOf,
  targetsOfJob,
} from '@/model/mix/reckoning'
import { materialIdsOf } from '@/model/mix/innerMix'
import { sameData } from '@/model/garden/same'
import { materialById, cropById } from '@/core/data'
import { useGarden } from '@/stores/garden'
import { problemField, problemText, type Sentence } from '@/text/problems.en'

/** What most vegetables like, while there is no job to ask. */
const NO_JOB = targetsFor({ crops: [], inGround: false, carried: false, waterEvery: null })

/** A job, everything worked out from it, and ways to change it; for the views of one job. */
export function useJob(jobId: MaybeRefOrGetter<string>) {
  const garden = useGarden()
  const id = () => toValue(jobId)
  const units = computed(() => garden.settings.units)
  const job = computed(() => {
    const stored = jobOf(garden.records, id())
    return stored && liveJob(garden.records, stored)
  })
  /** The bed the mix is judged in. */
  const lead = computed(() => (job.value ? judgedBed(job.value) : null))
  const crop = computed(() => cropById(job.value?.cropId))
  const place = computed(() => placeOf(garden.records))
  const targets = computed(() => (job.value ? targetsOfJob(job.value, place.value) : null))
  type Bands = ReturnType<typeof bandsOf>
  // The same as long as they say the same: what shows them need not be drawn again for another part of the mix.
  const bands = computed<Bands>((old) => {
    const now = bandsOf(targets.value ?? NO_JOB)
    return old && sameData(old, now) ? old : now
  })
  const container = computed(() => (lead.value ? containerOf(lead.value.spec.vessel) : null))
  const fill = computed(() => (lead.value ? mixNeededFor({ ...lead.value, sunkBy: null }) : null))
  // What is reckoned with is made once and serves both the figures here and their ranges in the worker: plain data, no proxies.
  const input = computed(() =>
    job.value ? inputOfJob(toRaw(job.value), undefined, toRaw(place.value)) : null,
  )
  const evaluation = computed(() => (input.value ? evaluateInput(input.value) : null))
  /** The mix as plain data, for drawing its ranges; null where it cannot be worked out. */
  const mixInput = computed(() => (evaluation.value?.ok && input.value?.ok ? input.value.value : null))
  const quantities = computed(() => (job.value ? quantitiesOf(job.value) : null))
  /** Everything the hands will meet, inside finished mixes too. */
  const materials = computed(() =>
    job.value ? materialIdsOf(job.value).flatMap((id) => materialById(id) ?? []) : [],
  )

  /** The sentence of a problem, if it belongs beside this field. */
  const beside = (
    field: string,
    outcome: { ok: boolean; problem?: Parameters<typeof problemText>[0] } | null,
  ): Sentence | null =>
    outcome && !outcome.ok && outcome.problem && problemField(outcome.problem) === field
      ? problemText(outcome.problem, units.value)
      : null

  return {
    garden,
    units,
    job,
    lead,
    crop,
    place,
    targets,
    bands,
    container,
    fill,
    evaluation,
    mixInput,
    quantities,
    materials,
    beside,
  }
}
