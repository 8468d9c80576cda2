import { useTitle } from '@vueuse/core'
import { computed } from 'vue'
import type { RouteLocationNormalizedLoaded } from 'vue-router'
import { jobOf, type Garden } from '@/model/garden/garden'
import { jobTitle } from '@/text/base/titles'
import { titleOf } from '@/text/views/titles'

/** The title of the window: the page, and the job it is of. */
export function usePageTitle(
  route: Pick<RouteLocationNormalizedLoaded, 'params' | 'meta'>,
  records: () => Garden,
) {
  const jobName = computed(() => {
    const job = route.params.jobId ? jobOf(records(), String(route.params.jobId)) : undefined
    return job ? jobTitle(job) : ''
  })
  useTitle(computed(() => titleOf(route.meta.title, jobName.value)))
}
