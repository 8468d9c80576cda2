import { onScopeDispose, watch, type Ref } from 'vue'
import type { Router } from 'vue-router'

/** What is open over the page, the last on top; each is a way to shut it. */
const open: (() => void)[] = []

/** What is open over the page while `visible`: Back shuts it. */
export function useShutByBack(visible: Ref<boolean>) {
  const shut = () => {
    visible.value = false
  }
  const leave = () => {
    const at = open.indexOf(shut)
    if (at >= 0) open.splice(at, 1)
  }
  watch(
    visible,
    (is) => {
      leave()
      if (is) open.push(shut)
    },
    { immediate: true },
  )
  onScopeDispose(leave)
}

/** Where the page is in the history of the tab, as the router counts. */
const positionNow = () => (history.state as { position?: number } | null)?.position ?? 0

/** Back shuts what is open over the page, and only then leaves the page. */
export function useBackShuts(router: Pick<Router, 'beforeEach' | 'afterEach'>) {
  let position = positionNow()
  router.beforeEach(() => {
    const shut = open.at(-1)
    // A link followed is not in the history yet; after Back the browser is there already.
    if (!shut || positionNow() >= position) return true
    shut()
    return false
  })
  router.afterEach((_to, _from, failure) => {
    if (!failure) position = positionNow()
  })
}
