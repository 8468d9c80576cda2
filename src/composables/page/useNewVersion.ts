import { useEventListener } from '@vueuse/core'
import { ref, type Ref } from 'vue'
import type { Router } from 'vue-router'

/** How browsers say that a part of the app could not be fetched. */
const GONE = /dynamically imported module|importing a module script failed|preload CSS|module script/i

/**
 * Whether a part of the app could not be fetched: after a new version was put in place under an open tab its files
 * are gone. The page stays as it is; reloading brings the new version.
 */
export function useNewVersion(
  router: Pick<Router, 'onError'>,
  page: EventTarget = window,
): Readonly<Ref<boolean>> {
  const missing = ref(false)
  router.onError((error: unknown) => {
    if (GONE.test(String(error))) missing.value = true
  })
  useEventListener(page, 'vite:preloadError', (event: Event) => {
    event.preventDefault()
    missing.value = true
  })
  useEventListener(page, 'unhandledrejection', (event: Event) => {
    if (!GONE.test(String((event as PromiseRejectionEvent).reason))) return
    event.preventDefault()
    missing.value = true
  })
  return missing
}
