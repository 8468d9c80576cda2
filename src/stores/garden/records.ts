import { computed, ref, shallowRef } from 'vue'
import { jobsOf, ownNames, recordsOf, settingsOf } from '@/model/garden/garden'
import { KeptGarden, type Put } from '@/model/garden/keptGarden'
import type { AnyData } from '@/model/garden/schemas'
import type { GardenName } from '@/storage/forage'
import { setMoneySign } from '@/text/base/sums'
import { setOwnNames } from '@/text/shelf/ownNames'

/** The records on screen, and what is read off them everywhere. */
export function useRecords() {
  const name = ref<GardenName>('my')
  const records = shallowRef(KeptGarden.of([]))

  /** Puts records on screen; sentences learn what the grower's own things are called. */
  function show(next: KeptGarden) {
    setOwnNames(ownNames(next))
    setMoneySign(settingsOf(next).currency)
    records.value = next
  }
  const replace = (changes: readonly Put[]) => show(records.value.with(changes))
  return {
    name,
    records,
    jobs: computed(() => jobsOf(records.value)),
    mixRecords: computed(() => recordsOf(records.value)),
    settings: computed(() => settingsOf(records.value)),
    show: (all: Iterable<readonly [string, AnyData]>) => show(KeptGarden.of(all)),
    replace,
  }
}
export type Records = ReturnType<typeof useRecords>
