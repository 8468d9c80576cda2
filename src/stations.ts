import type { Component } from 'vue'
import type { Job } from '@/model/garden/schemas'

type Page = () => Promise<{ default: Component }>

/** A page that belongs to a station of the work. */
export interface StationPage {
  /** Name of its route, and its path below the job. */
  id: string
  title: string
  page: Page
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

/** The work in its order: the router, the bar of a job and Today take everything about its stations from here. */
export const STATIONS: readonly Station[] = [
  {
    id: 'containers',
    title: 'Containers',
    next: 'say what is filled',
    isDone: (job) => isMixed(job) || job.cropId !== null,
    page: () => import('@/views/job/ContainersStation.vue'),
    within: [],
  },
  {
    id: 'mix',
    title: 'Mix',
    next: 'make up the mix',
    isDone: isMixed,
    page: () => import('@/views/job/MixStation.vue'),
    within: [
      { id: 'finder', title: 'Find a mix', page: () => import('@/views/job/FinderView.vue') },
      { id: 'compare', title: 'Compare mixes', page: () => import('@/views/job/CompareView.vue') },
      { id: 'water', title: 'Water it', page: () => import('@/views/job/WaterView.vue') },
      { id: 'lessons', title: 'Lessons', page: () => import('@/views/job/LessonsView.vue') },
    ],
  },
  {
    id: 'buy',
    title: 'Buy',
    next: 'gather the materials',
    isDone: (job) => isMade(job) || (isMixed(job) && (isBegun(job) || job.bought.length > 0)),
    page: () => import('@/views/job/BuyStation.vue'),
    within: [],
  },
  {
    id: 'prepare',
    title: 'Prepare',
    next: 'get the materials ready',
    isDone: (job) => isMade(job) || (isMixed(job) && job.ticks.length > 0),
    page: () => import('@/views/job/PrepareStation.vue'),
    within: [],
  },
  {
    id: 'make',
    title: 'Make',
    next: 'measure and blend',
    isDone: isMade,
    page: () => import('@/views/job/MakeStation.vue'),
    within: [{ id: 'record', title: 'Write it down', page: () => import('@/views/job/RecordStation.vue') }],
  },
  {
    id: 'fill',
    title: 'Fill',
    next: 'fill and plant',
    isDone: (job) => job.plantedOn !== null,
    page: () => import('@/views/job/FillStation.vue'),
    within: [{ id: 'labels', title: 'Labels', page: () => import('@/views/job/LabelsView.vue') }],
  },
  {
    id: 'season',
    title: 'Season',
    next: 'follow it through the season',
    isDone: isOver,
    page: () => import('@/views/job/SeasonStation.vue'),
    within: [
      { id: 'plan', title: 'Watering plan', page: () => import('@/views/job/PlanView.vue') },
      { id: 'log', title: 'Log', page: () => import('@/views/job/LogView.vue') },
      { id: 'next', title: 'Next year', page: () => import('@/views/job/NextView.vue') },
      { id: 'wrong', title: 'Something looks wrong', page: () => import('@/views/job/WrongView.vue') },
    ],
  },
]

/** Where a job stands: the first station with something left to do; the last where all is done. */
export const nextStation = (job: Job): Station =>
  STATIONS.find((station) => !station.isDone(job)) ?? STATIONS.at(-1)!

/** The station a page belongs to, by the name of its route. */
export const stationOf = (route: unknown): Station | undefined =>
  STATIONS.find(({ id, within }) => id === route || within.some((page) => page.id === route))
