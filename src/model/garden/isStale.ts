import type { Change } from './commands'
import type { Garden } from './garden'

/** Has any record that a file would change been edited since it was compared with `lookedAt`? */
export const isStale = (
  { added, changed }: { added: readonly Change[]; changed: readonly Change[] },
  lookedAt: Garden,
  now: Garden,
): boolean => [...added, ...changed].some(({ key }) => lookedAt.get(key) !== now.get(key))
