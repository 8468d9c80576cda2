import { shallowRef, toRaw, toValue, watch, type MaybeRefOrGetter, type ShallowRef } from 'vue'
import { cropName } from '@/core/data/cropTable'
import { liveJob, placeOf, type Garden } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import { drawn } from '@/model/stretches'

/**
 * What is said first of each job's mix, by the job's id: the sentence the bench has. Worked out beside the page, after
 * it is drawn; a job without parts has none. A change begins anew, and the last lines are kept until then.
 */
export function useVerdictLines(
  garden: MaybeRefOrGetter<Garden>,
  jobs: MaybeRefOrGetter<readonly Job[]>,
): Readonly<ShallowRef<ReadonlyMap<string, string>>> {
  const lines = shallowRef<ReadonlyMap<string, string>>(new Map())
  watch(
    () => [toValue(garden), toValue(jobs)] as const,
    async ([records, list], _, onCleanup) => {
      const abort = new AbortController()
      onCleanup(() => abort.abort())
      const mixed = list.filter((job) => job.parts.length > 0)
      if (mixed.length === 0) return
      await drawn()
      const [{ verdictsInWorker }, { questionOfJob }, { tablesOf }, { verdictText }] = await Promise.all([
        import('@/workers/core.client'),
        import('@/model/mix/questionOfJob'),
        import('@/model/garden/tables'),
        import('@/text/mix/topics'),
      ])
      if (abort.signal.aborted) return
      const live = mixed.map((job) => toRaw(liveJob(records, job)))
      const asked = live.map((job) => ({
        question: questionOfJob(job, toRaw(placeOf(records)), tablesOf(records)),
        answered: job.dismissed.map((d) => d.code),
      }))
      const verdicts = await verdictsInWorker(asked, { signal: abort.signal }).catch(() => null)
      if (!verdicts || abort.signal.aborted) return
      lines.value = new Map(
        live.flatMap((job, i) => {
          const verdict = verdicts[i]
          return verdict ? [[job.id, verdictText(verdict, cropName(job.cropId) || null)] as const] : []
        }),
      )
    },
    { immediate: true },
  )
  return lines
}
