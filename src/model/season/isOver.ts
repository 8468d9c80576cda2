import type { Job } from '../garden/schemas'

/** Its season has been looked back on, or it was put away. */
export const isOver = (job: Pick<Job, 'archived' | 'followedSteps'>): boolean =>
  job.archived || job.followedSteps.includes('look-back')
