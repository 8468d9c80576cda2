import type { Job } from './garden/schemas'

export type Station = 'fill' | 'mix' | 'buy' | 'make' | 'filling' | 'season'
export const STATIONS: readonly Station[] = ['fill', 'mix', 'buy', 'make', 'filling', 'season']

/** Where a job stands: the first station with something left to do. */
export function nextStation(job: Job): Station {
  if (job.plantedOn) return 'season'
  if (job.recordId) return 'filling'
  if (job.parts.length === 0) return job.cropId === null ? 'fill' : 'mix'
  if (job.ticks.length > 0) return 'make'
  return 'buy'
}

/** Its season has been looked back on, or it was put away. */
export const isOver = (job: Job): boolean => job.archived || job.followedSteps.includes('look-back')
