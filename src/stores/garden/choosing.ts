import { belongingsOf } from '@/model/garden/garden'
import { idOfKey } from '@/model/garden/schemas'
import { readEnvelope } from '@/storage/envelope'
import type { Conflict } from '@/storage/saver'
import { isSetAsideKey, listSetAside, putBack, type SetAside } from '@/storage/setAside'
import type { Connection } from './connection'
import type { Records } from './records'

/** What only the grower can decide: whose edit counts, and what becomes of what was set aside. */
export function useChoosing({ records, replace }: Records, { held, conflicts, setAside }: Connection) {
  async function refreshSetAside() {
    // What could not be moved lies in its own place and is listed all the same.
    const inPlace = setAside.value.filter((item) => !isSetAsideKey(item.id))
    setAside.value = [...listSetAside(await held.port.entries()), ...inPlace]
  }
  /** What belongs to a job that is removed in the store and still in sight here. */
  async function goneWith(key: string): Promise<string[]> {
    if (!key.startsWith('job/')) return []
    const keys = belongingsOf(records.value, idOfKey(key)!)
    const raws = await held.port.getMany(keys)
    return keys.filter((_, i) => raws[i] === null)
  }
  return {
    async settle(conflict: Conflict, mineWins: boolean) {
      await held.whole
      const { saver } = held
      if (!saver) return
      try {
        const lost = conflict.theirs === null ? await goneWith(conflict.key) : []
        if (mineWins) {
          await saver.keepMine(conflict.key)
          // The job comes back whole.
          if (lost.length > 0) saver.stage(lost.map((key) => [key, records.value.get(key)!]))
        } else {
          const theirs = await saver.takeTheirs(conflict.key)
          replace([{ key: conflict.key, after: theirs }, ...lost.map((key) => ({ key, after: null }))])
        }
      } catch {
        // Nothing was decided: the question stays, and saving says what is wrong.
        await saver.flush()
        return
      }
      conflicts.value = conflicts.value.filter((c) => c.key !== conflict.key)
      await saver.flush()
      await refreshSetAside()
    },
    /** Tries a set-aside record again; true when it is back in use. */
    async tryAgain(item: SetAside): Promise<boolean> {
      const back = await held.lock(() => putBack(held.port, item))
      const read = back ? readEnvelope(item.key, await held.port.get(item.key)) : null
      if (read?.ok) {
        held.saver?.accept(item.key, read.revision)
        replace([{ key: item.key, after: read.data }])
      }
      await refreshSetAside()
      return back
    },
    /** Lets a set-aside record go for good. */
    async letGo(item: SetAside) {
      await held.lock(() => held.port.remove(item.id))
      setAside.value = setAside.value.filter((other) => other.id !== item.id)
    },
  }
}
