import { z } from 'zod/mini'

const before = z.looseObject({ recordId: z.nullable(z.string()), archived: z.boolean() })

/**
 * Job, version 2 to 3: filling and the season are followed too. A job whose mix was recorded counted as done before;
 * it is put away, so that it does not come back asking to be filled. Taken up again, it can be followed like any
 * other.
 */
export function jobV3(data: unknown): unknown {
  const job = before.parse(data)
  return {
    ...job,
    filledSteps: [],
    plantedOn: null,
    followedSteps: [],
    archived: job.archived || job.recordId !== null,
  }
}
