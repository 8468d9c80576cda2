import { shallowRef, toValue, watchEffect, type MaybeRefOrGetter, type ShallowRef } from 'vue'
import type { Garden } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import type { NextUp } from '@/model/season/due'
import { drawn, inStretches } from '@/model/stretches'
import { isoDay } from '@/text/base/dates'

/** What comes next, with what it is called in both systems of units. */
export type NamedNext = NextUp & { title: string }

/**
 * What each job with a date asks for next, by its id. The work is fetched and done after the page is drawn, in short
 * stretches; the answer comes whole. Until then, and while it is done anew, the last answer stays.
 */
export function useDues(
  garden: MaybeRefOrGetter<Garden>,
  jobs: MaybeRefOrGetter<readonly Job[]>,
): ShallowRef<ReadonlyMap<string, NamedNext>> {
  const dues = shallowRef<ReadonlyMap<string, NamedNext>>(new Map())
  watchEffect(async (onCleanup) => {
    const records = toValue(garden)
    const dated = toValue(jobs).filter((job) => job.plantedOn ?? (job.recordId === null && job.mixOn))
    let wanted = true
    onCleanup(() => (wanted = false))
    const found = new Map<string, NamedNext>()
    if (dated.length > 0) {
      const [{ duesOf }, { FOLLOW_UP_TEXTS }] = await Promise.all([
        import('@/model/season/due'),
        import('@/text/season/season'),
      ])
      await drawn()
      const rest = inStretches()
      for (const [jobId, due] of duesOf(records, dated, isoDay(new Date()))) {
        if (due)
          found.set(jobId, {
            ...due,
            title: due.kind === 'due' ? FOLLOW_UP_TEXTS[due.code].title : due.prep.title,
          })
        await rest()
        if (!wanted) return
      }
    }
    if (wanted) dues.value = found
  })
  return dues
}
