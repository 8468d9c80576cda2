import { z } from 'zod/mini'

const before = z.looseObject({ versions: z.array(z.looseObject({})) })

/**
 * Job, version 4 to 5: finished mixes may be parts of a mix, on the bench and in every kept version; there were none
 * before.
 */
export function jobV5(data: unknown): unknown {
  const job = before.parse(data)
  return { ...job, mixes: [], versions: job.versions.map((v) => ({ ...v, mixes: [] })) }
}
