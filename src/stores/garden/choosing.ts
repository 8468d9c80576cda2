import { readEnvelope } from '@/storage/envelope'
import type { Conflict } from '@/storage/saver'
import { isSetAsideKey, listSetAside, putBack, type SetAside } from '@/storage/setAside'
import type { Connection } from './connection'
import type { Records } from './records'

/** What only the grower can decide: whose edit counts, and what becomes of what was set aside. */
export function useChoosing({ replace }: Records, { held, conflicts, setAside }: Connection) {
  async function refreshSetAside() {
    // What could not be moved lies in its own place and is listed all the same.
    const inPlace = setAside.value.filter((item) => !isSetAsideKey(item.id))
    setAside.value = [...listSetAside(await held.port.entries()), ...inPlace]
  }
  return {
    async settle(conflict: Conflict, mineWins: boolean) {
      const { saver } = held
      if (!saver) return
      try {
        if (mineWins) await saver.keepMine(conflict.key)
        else replace([{ key: conflict.key, after: await saver.takeTheirs(conflict.key) }])
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
