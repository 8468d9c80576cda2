import { z } from 'zod/mini'

/** What version 1 of a job said of its container, and no more of it than the step needs. */
const before = z.looseObject({
  id: z.string(),
  vessel: z.looseObject({ kind: z.string(), count: z.number() }),
})

/** Sides as they usually are for a kind of container. */
const WALL: Record<string, string> = { fabricBag: 'fabric', raisedBed: 'timber' }

/**
 * Job, version 1 to 2: the one container it held becomes its one fill, standing alone until it is put among the beds.
 * A job made of several alike was "the name of the job"; the fill has no name of its own yet.
 */
export function jobV2(data: unknown): unknown {
  const { vessel, ...job } = before.parse(data)
  return {
    ...job,
    companionIds: [],
    fills: [
      {
        id: `${job.id}-1`,
        bedId: null,
        spec: {
          name: '',
          vessel,
          wall: WALL[vessel.kind] ?? 'plastic',
          standing: 'ground',
          layers: [],
          rootBalls: 0,
          carried: false,
        },
        count: vessel.count,
        sunkBy: null,
      },
    ],
    judgedIn: null,
    plantMonth: null,
    plants: null,
    bands: {},
    archived: false,
  }
}
