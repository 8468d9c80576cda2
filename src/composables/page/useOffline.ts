import { readonly, ref, type Ref } from 'vue'
import type { Kept } from '@/text/base/settings'

/** What starts the keeping, and reports on it; the register module of the build is one. */
export type Register = (on: {
  onNeedRefresh: () => void
  onOfflineReady: () => void
  onRegisteredSW: (url: string, registration: { active: unknown } | undefined) => void
  onRegisterError: (error: unknown) => void
}) => (reload?: boolean) => Promise<void>

export interface Offline {
  kept: Readonly<Ref<Kept>>
  /** A newer version is fetched and waits for a word. */
  newer: Readonly<Ref<boolean>>
  /** Puts the newer version in place and loads the page anew. */
  useNewer: () => Promise<void>
  /** Not now: the bar goes, and the newer version comes with the next start. */
  later: () => void
}

const kept = ref<Kept>('no')
const newer = ref(false)
let take: ((reload?: boolean) => Promise<void>) | null = null

/**
 * Keeps the app on the device, once for the page: after that it starts and works with no network. `load` fetches what
 * registers; a browser that will not keep anything leaves all as it is.
 */
export async function keepOffline(load: () => Promise<Register>): Promise<void> {
  kept.value = 'fetching'
  try {
    const register = await load()
    take = register({
      onNeedRefresh: () => (newer.value = true),
      onOfflineReady: () => (kept.value = 'all'),
      onRegisteredSW: (_url, registration) => {
        if (registration?.active) kept.value = 'all'
      },
      onRegisterError: () => (kept.value = 'no'),
    })
  } catch {
    kept.value = 'no'
  }
}

/** Whether the app is kept on this device, and whether a newer one waits. */
export const useOffline = (): Offline => ({
  kept: readonly(kept),
  newer: readonly(newer),
  useNewer: async () => {
    newer.value = false
    await take?.(true)
  },
  later: () => (newer.value = false),
})
