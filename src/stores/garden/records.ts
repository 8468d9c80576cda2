import { computed, ref, shallowRef } from 'vue'
import { jobsOf, ownNames, recordsOf, settingsOf } from '@/model/garden/garden'
import type { AnyData } from '@/model/garden/schemas'
import type { GardenName } from '@/storage/forage'
import { setOwnNames } from '@/text/shelf/ownNames'

/** A record as it is from now on; null where it is gone. */
export interface Shown {
  key: string
  after: AnyData | null
}

/** The records on screen, and what is read off them everywhere. */
export function useRecords() {
  const name = ref<GardenName>('my')
  const records = shallowRef<ReadonlyMap<string, AnyData>>(new Map())

  /** Puts records on screen; sentences learn what the grower's own things are called. */
  function show(next: ReadonlyMap<string, AnyData>) {
    setOwnNames(ownNames(next))
    records.value = next
  }
  function replace(changes: readonly Shown[]) {
    const next = new Map(records.value)
    for (const { key, after } of changes) {
      if (after === null) next.delete(key)
      else next.set(key, after)
    }
    show(next)
  }
  return {
    name,
    records,
    jobs: computed(() => jobsOf(records.value)),
    mixRecords: computed(() => recordsOf(records.value)),
    settings: computed(() => settingsOf(records.value)),
    show,
    replace,
  }
}
export type Records = ReturnType<typeof useRecords>
