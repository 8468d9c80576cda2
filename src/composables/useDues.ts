import { shallowRef, toValue, watchEffect, type MaybeRefOrGetter, type ShallowRef } from 'vue'
import type { Garden } from '@/model/garden/garden'
import type { Job } from '@/model/garden/schemas'
import type { Due } from '@/model/season/season'

/** Longest stretch of work before the page may draw, ms. */
const STRETCH = 20

/**
 * What each planted job asks for next, by its id. The work is fetched and done after the page stands, in short
 * stretches; the answer comes whole. Until then, and while it is done anew, the last answer stands.
 */
export function useDues(
  garden: MaybeRefOrGetter<Garden>,
  jobs: MaybeRefOrGetter<readonly Job[]>,
): ShallowRef<ReadonlyMap<string, Due>> {
  const dues = shallowRef<ReadonlyMap<string, Due>>(new Map())
  watchEffect(async (onCleanup) => {
    const records = toValue(garden)
    const planted = toValue(jobs).filter((job) => job.plantedOn)
    let wanted = true
    onCleanup(() => (wanted = false))
    const found = new Map<string, Due>()
    if (planted.length > 0) {
      const { duesOf } = await import('@/model/season/due')
      let rested = 0
      for (const [jobId, due] of duesOf(records, planted)) {
        if (due) found.set(jobId, due)
        if (performance.now() - rested < STRETCH) continue
        await new Promise((drawn) => setTimeout(drawn))
        if (!wanted) return
        rested = performance.now()
      }
    }
    if (wanted) dues.value = found
  })
  return dues
}
