import type { Component } from 'vue'

/** The page of every station and of every page within one, by the id of its row in `STATIONS`. */
export const STATION_PAGES: Readonly<Record<string, () => Promise<{ default: Component }>>> = {
  containers: () => import('@/views/job/ContainersStation.vue'),
  raise: () => import('@/views/job/RaiseView.vue'),
  mix: () => import('@/views/job/MixStation.vue'),
  finder: () => import('@/views/job/FinderView.vue'),
  compare: () => import('@/views/job/CompareView.vue'),
  water: () => import('@/views/job/WaterView.vue'),
  lessons: () => import('@/views/job/LessonsView.vue'),
  buy: () => import('@/views/job/BuyStation.vue'),
  prepare: () => import('@/views/job/PrepareStation.vue'),
  make: () => import('@/views/job/MakeStation.vue'),
  record: () => import('@/views/job/RecordStation.vue'),
  fill: () => import('@/views/job/FillStation.vue'),
  labels: () => import('@/views/job/LabelsView.vue'),
  season: () => import('@/views/job/SeasonStation.vue'),
  plan: () => import('@/views/job/PlanView.vue'),
  feed: () => import('@/views/job/FeedView.vue'),
  log: () => import('@/views/job/LogView.vue'),
  next: () => import('@/views/job/NextView.vue'),
  wrong: () => import('@/views/job/WrongView.vue'),
}
