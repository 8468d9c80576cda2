import { useSessionStorage } from '@vueuse/core'
import type { Router } from 'vue-router'

/** Not on a tour. */
const AWAY = -1
/** Where a walk through the demo is; kept while the tab is open. */
const at = useSessionStorage('open-bed-tour', AWAY)

/** A walk through five pages of the demo. */
export function useTour(router: Pick<Router, 'push'>) {
  return {
    /** The step it is at, from 0; -1 while nobody is on it. */
    at,
    async go(step: number) {
      const { TOUR } = await import('@/text/components/tour')
      const { job, page } = TOUR[step]!
      at.value = step
      await router.push({ name: page, params: { garden: 'demo', jobId: job } })
    },
    leave: () => {
      at.value = AWAY
    },
  }
}
