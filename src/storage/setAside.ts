import { z } from 'zod/mini'
import { misfitIn } from '@/model/garden/schemas/misfit'
import { readEnvelope, type Unreadable } from './envelope'
import type { StoragePort } from './port'

const PREFIX = 'set-aside/'

/** A stored value that could not be used, or lost to a later writer: kept whole until the grower lets it go. */
export interface SetAside {
  /** Its key in the store. */
  id: string
  key: string
  at: string
  why: Unreadable | { code: 'overwritten'; key: string }
  raw: unknown
}

const setAsideSchema = z.object({
  key: z.string(),
  at: z.string(),
  why: z.looseObject({ code: z.string() }),
  raw: z.unknown(),
})

export const isSetAsideKey = (key: string) => key.startsWith(PREFIX)

/**
 * Puts a raw value aside; answers where. With `leaving` the original goes in the same step, so that it is in one place
 * whatever happens; else it stays.
 */
export async function putAside(
  port: StoragePort,
  item: Omit<SetAside, 'id'>,
  leaving = false,
): Promise<SetAside> {
  const { key, at } = item
  let id = `${PREFIX}${at}/${key}`
  for (let n = 2; (await port.get(id)) !== null; n++) id = `${PREFIX}${at}/${n}/${key}`
  await port.setMany([[id, item], ...(leaving ? [[key, null] as const] : [])])
  return { id, ...item }
}

/** Why it was put aside; versions before this one kept the words themselves. */
function whyOf(why: z.infer<typeof setAsideSchema>['why']): SetAside['why'] {
  const { message, ...rest } = why
  const misfit = { code: 'fault', words: String(message) }
  return (message === undefined ? why : { ...rest, misfit }) as unknown as SetAside['why']
}

/** What was put aside among all that is stored; an entry that is itself broken is still listed, whole. */
export function listSetAside(entries: readonly (readonly [string, unknown])[]): SetAside[] {
  return entries
    .filter(([id]) => isSetAsideKey(id))
    .map(([id, raw]): SetAside => {
      const parsed = setAsideSchema.safeParse(raw)
      return parsed.success
        ? { id, ...parsed.data, why: whyOf(parsed.data.why) }
        : {
            id,
            key: id,
            at: '',
            why: {
              code: 'broken',
              key: id,
              where: 'set-aside entry',
              misfit: misfitIn(raw, parsed.error.issues).misfit,
            },
            raw,
          }
    })
    .sort((a, b) => b.at.localeCompare(a.at))
}

/** Puts an entry back under its own key if it can be read now and nothing is there. */
export async function putBack(port: StoragePort, item: SetAside): Promise<boolean> {
  if (!readEnvelope(item.key, item.raw).ok) return false
  if ((await port.get(item.key)) !== null) return false
  await port.setMany([
    [item.key, item.raw],
    [item.id, null],
  ])
  return true
}
