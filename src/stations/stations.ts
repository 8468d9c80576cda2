import type { Job } from '@/model/garden/schemas'

/** A page that belongs to a station of the work. */
export interface StationPage {
  /** Name of its route, and its path below the job. */
  id: string
  title: string
}

/** A station of the work. */
export interface Station extends StationPage {
  /** What is to be done there, after "Next:". */
  next: string
  isDone: (job: Job) => boolean
  /** Pages that belong to it and have no place in the bar. */
  within: readonly StationPage[]
}

/** Its season has been looked back on, or it was put away. */
export const isOver = (job: Job): boolean => job.archived || job.followedSteps.includes('look-back')
const isMade = (job: Job) => job.plantedOn !== null || job.recordId !== null
/** Something of getting ready or of making is done. */
const isBegun = (job: Job) => job.ticks.length + job.readySteps.length > 0
const isMixed = (job: Job) => isMade(job) || job.parts.length > 0

/** The work in its order: the router, the bar of a job and Today take what a station is from here. */
export const STATIONS: readonly Station[] = [
  {
    id: 'containers',
    title: 'Containers',
    next: 'say what is filled',
    isDone: (job) => isMixed(job) || job.cropId !== null,
    within: [],
  },
  {
    id: 'mix',
    title: 'Mix',
    next: 'make up the mix',
    isDone: isMixed,
    within: [
      { id: 'finder', title: 'Find a mix' },
      { id: 'compare', title: 'Compare mixes' },
      { id: 'water', title: 'Water it' },
      { id: 'lessons', title: 'Lessons' },
    ],
  },
  {
    id: 'buy',
    title: 'Buy',
    next: 'gather the materials',
    isDone: (job) => isMade(job) || (isMixed(job) && (isBegun(job) || job.bought.length > 0)),
    within: [],
  },
  {
    id: 'prepare',
    title: 'Prepare',
    next: 'get the materials ready',
    isDone: (job) => isMade(job) || (isMixed(job) && job.ticks.length > 0),
    within: [],
  },
  {
    id: 'make',
    title: 'Make',
    next: 'measure and blend',
    isDone: isMade,
    within: [{ id: 'record', title: 'Write it down' }],
  },
  {
    id: 'fill',
    title: 'Fill',
    next: 'fill and plant',
    isDone: (job) => job.plantedOn !== null,
    within: [{ id: 'labels', title: 'Labels' }],
  },
  {
    id: 'season',
    title: 'Season',
    next: 'follow it through the season',
    isDone: isOver,
    within: [
      { id: 'plan', title: 'Watering plan' },
      { id: 'log', title: 'Log' },
      { id: 'next', title: 'Next year' },
      { id: 'wrong', title: 'Something looks wrong' },
    ],
  },
]

/** Where a job stands: the first station with something left to do; the last where all is done. */
export const nextStation = (job: Job): Station =>
  STATIONS.find((station) => !station.isDone(job)) ?? STATIONS.at(-1)!

/** The station a page belongs to, by the name of its route. */
export const stationOf = (route: unknown): Station | undefined =>
  STATIONS.find(({ id, within }) => id === route || within.some((page) => page.id === route))
