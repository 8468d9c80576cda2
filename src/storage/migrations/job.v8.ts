import { z } from 'zod/mini'

/** What a job keeps of getting ready and of making since version 8, before anything is done. */
const NOTHING_DONE = {
  mixOn: null,
  readySteps: [],
  readyAdded: [],
  readyLeft: [],
  boughtWith: [],
  bought: [],
  otherwise: [],
  tally: null,
  readings: [],
  corrections: [],
  timers: [],
}

/** Job, version 7 to 8: the mixing day, getting ready, buying, and what was made otherwise. */
export function jobV8(data: unknown): unknown {
  return { ...z.looseObject({}).parse(data), ...NOTHING_DONE }
}
