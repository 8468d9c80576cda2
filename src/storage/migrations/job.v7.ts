import { z } from 'zod/mini'
import { withLineIds } from '@/model/garden/lineIds'

const recipe = z.looseObject({ dressings: z.array(z.looseObject({ dressingId: z.string() })) })
const before = z.extend(recipe, { versions: z.array(recipe) })

/** Job, version 6 to 7: a dressing may be given more than once, so every line has an id of its own. */
export function jobV7(data: unknown): unknown {
  const job = before.parse(data)
  return { ...withLineIds(job), versions: job.versions.map(withLineIds) }
}
