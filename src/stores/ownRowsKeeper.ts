import { keepOwnRows, type OwnRows } from '@/core/data/ownRows'
import type { Garden } from '@/model/garden/garden'

/** Own rows of a garden, kept for the lookups of the core. */
export interface OwnRowsKeeper {
  /** Before the garden is shown. */
  open: (garden: Garden) => Promise<void>
  /** After every change. */
  keep: (garden: Garden) => void
}

const hasOwn = (garden: Garden): boolean =>
  [...garden.keys()].some(
    (key) => key.startsWith('material/') || key.startsWith('dressing/') || key === 'learned',
  )

/**
 * Keeps own rows. What completes them comes with the first garden that has any, not with the page; `onLate` is called
 * where that was after the garden was shown.
 */
export function createOwnRowsKeeper(onLate: () => void): OwnRowsKeeper {
  let complete: ((garden: Garden) => OwnRows) | null = null
  let latest: Garden = new Map()
  async function load() {
    complete ??= (await import('@/model/garden/ownRows')).rowsInUse
    keepOwnRows(complete(latest))
  }
  return {
    async open(garden) {
      latest = garden
      if (hasOwn(garden)) await load()
      else keepOwnRows(undefined)
    },
    keep(garden) {
      latest = garden
      if (complete) keepOwnRows(complete(garden))
      else if (hasOwn(garden)) void load().then(onLate)
    },
  }
}
