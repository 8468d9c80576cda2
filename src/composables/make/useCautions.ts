import { computed } from 'vue'
import type { Settings } from '@/model/garden/schemas'
import { isoDay } from '@/text/base/dates'

/** Which cautions were read today; each is asked for once a day. */
export function useCautions(garden: {
  readonly settings: Settings
  setSettings: (change: Partial<Settings>) => void
}) {
  const today = isoDay(new Date())
  return {
    read: computed(
      () =>
        new Set(
          Object.entries(garden.settings.cautionsRead).flatMap(([id, day]) => (day === today ? [id] : [])),
        ) as ReadonlySet<string>,
    ),
    /** What was read on other days is forgotten with it. */
    acknowledge(ids: readonly string[]) {
      const kept = Object.entries(garden.settings.cautionsRead).filter(([, day]) => day === today)
      garden.setSettings({
        cautionsRead: Object.fromEntries([...kept, ...ids.map((id) => [id, today])]),
      })
    },
  }
}
