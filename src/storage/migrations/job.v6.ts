import { z } from 'zod/mini'

const before = z.looseObject({ plan: z.looseObject({}) })

/** Job, version 5 to 6: a scoop beside the bucket, a litre where nobody said. */
export function jobV6(data: unknown): unknown {
  const job = before.parse(data)
  return { ...job, plan: { ...job.plan, scoop: 1 } }
}
