import { computed, shallowRef, toRaw, watch } from 'vue'
import type { Outcome } from '@/core/outcome'
import type { Found } from '@/core/finder'
import type { FindProgress, FindRequest, FoundMixes } from '@/model/find/findMixes'
import { afterFinding } from '@/model/find/nextMoves'
import { hasPeat, withoutPeatRequest } from '@/model/find/withoutPeat'
import { versionOf } from '@/model/mix/versions'
import { problemText, type Sentence } from '@/text/base/problems.en'
import { failureText } from '@/text/make/tasks'
import { findInWorker } from '@/workers/core.client'
import type { JobInHand } from '../job/useJob'
import { useTask } from '../page/useTask'

/** Recipes looked at before the best is taken. Source: our assumption. */
const LOOKS = 12

/** A mix without peat that behaves like the one on the bench, looked for beside the page and kept as a version. */
export function useWithoutPeat({ garden, job, units }: JobInHand, name: string, run = findInWorker) {
  const search = useTask<FindRequest, FindProgress, Outcome<FoundMixes>>((request, controls) =>
    run({ ...request, looks: LOOKS, chances: 0 }, controls),
  )
  const outcome = computed(() => search.answer.value?.value ?? null)
  const best = computed<Found | null>(() => {
    if (!outcome.value?.ok) return null
    const looked = outcome.value.value.found.filter((f) => f.look !== null)
    return looked.find((f) => !f.look!.findings.some((x) => x.severity === 'grave')) ?? looked[0] ?? null
  })
  const refused = shallowRef<Sentence | null>(null)
  let take: ((id: string) => void) | null = null
  watch(best, (found) => {
    const one = job.value
    if (!found || !one || !take) return
    const version = {
      ...versionOf(one, crypto.randomUUID(), new Date().toISOString(), name),
      ...afterFinding(toRaw(one), found.candidate, found.look?.feeds),
    }
    garden.run({ type: 'version/keep', jobId: one.id, version, beside: true })
    take(`version ${version.id}`)
    take = null
  })
  return {
    offered: computed(() => job.value !== undefined && hasPeat(job.value, garden.records)),
    running: computed(() => search.status.value === 'running'),
    /** Why there is none; null before it was asked for, and where there is one. */
    trouble: computed<Sentence | 'none' | null>(() => {
      if (refused.value) return refused.value
      if (search.failure.value) return failureText(search.failure.value)
      if (outcome.value && !outcome.value.ok) return problemText(outcome.value.problem, units.value)
      return outcome.value?.ok && !best.value ? 'none' : null
    }),
    /** Looks for one; `then` gets the id of its place among what is compared. */
    find(then: (id: string) => void) {
      if (!job.value) return
      const request = withoutPeatRequest(garden.records, toRaw(job.value))
      refused.value = request.ok ? null : problemText(request.problem, units.value)
      if (!request.ok) return
      take = then
      search.start(request.value)
    },
  }
}
