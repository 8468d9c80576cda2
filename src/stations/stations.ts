import type { Job } from '@/model/garden/schemas'
import { NEXT, TITLES } from '@/text/views/titles'

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
    title: TITLES.containers,
    next: NEXT.containers,
    isDone: (job) => isMixed(job) || job.cropId !== null,
    within: [{ id: 'raise', title: TITLES.raise }],
  },
  {
    id: 'mix',
    title: TITLES.mix,
    next: NEXT.mix,
    isDone: isMixed,
    within: [
      { id: 'finder', title: TITLES.finder },
      { id: 'compare', title: TITLES.compare },
      { id: 'water', title: TITLES.water },
      { id: 'lessons', title: TITLES.lessons },
    ],
  },
  {
    id: 'buy',
    title: TITLES.buy,
    next: NEXT.buy,
    isDone: (job) => isMade(job) || (isMixed(job) && (isBegun(job) || job.bought.length > 0)),
    within: [],
  },
  {
    id: 'prepare',
    title: TITLES.prepare,
    next: NEXT.prepare,
    isDone: (job) => isMade(job) || (isMixed(job) && job.ticks.length > 0),
    within: [],
  },
  {
    id: 'make',
    title: TITLES.make,
    next: NEXT.make,
    isDone: isMade,
    within: [{ id: 'record', title: TITLES.record }],
  },
  {
    id: 'fill',
    title: TITLES.fill,
    next: NEXT.fill,
    isDone: (job) => job.plantedOn !== null,
    within: [{ id: 'labels', title: TITLES.labels }],
  },
  {
    id: 'season',
    title: TITLES.season,
    next: NEXT.season,
    isDone: isOver,
    within: [
      { id: 'plan', title: TITLES.plan },
      { id: 'feed', title: TITLES.feed },
      { id: 'log', title: TITLES.log },
      { id: 'next', title: TITLES.next },
      { id: 'wrong', title: TITLES.wrong },
    ],
  },
]

/** Where a job stands: the first station with something left to do; the last where all is done. */
export const nextStation = (job: Job): Station =>
  STATIONS.find((station) => !station.isDone(job)) ?? STATIONS.at(-1)!

/** The station a page belongs to, by the name of its route. */
export const stationOf = (route: unknown): Station | undefined =>
  STATIONS.find(({ id, within }) => id === route || within.some((page) => page.id === route))
