import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router'
import { STATION_PAGES } from './stationPages'
import { STATIONS } from '../stations/stations'
import { TITLES } from '@/text/views/titles'

const GARDEN = '/:garden(my|demo)'

/** Places of a garden: path below it, name, page. */
const PLACES = [
  ['', 'today', () => import('@/views/TodayView.vue')],
  ['/beds', 'beds', () => import('@/views/BedsView.vue')],
  ['/place', 'place', () => import('@/views/PlaceView.vue')],
  ['/water', 'tap', () => import('@/views/YourWaterView.vue')],
  ['/away', 'away', () => import('@/views/AwayView.vue')],
  ['/sheet', 'sheet', () => import('@/views/AwaySheetView.vue')],
  ['/recipe', 'recipe', () => import('@/views/RecipeView.vue')],
  ['/heap', 'heap', () => import('@/views/shelf/HeapView.vue')],
  ['/years', 'years', () => import('@/views/YearsView.vue')],
  ['/shelf', 'shelf', () => import('@/views/shelf/ShelfView.vue')],
  ['/tests', 'tests', () => import('@/views/tests/TestsView.vue')],
  ['/tests/:testId', 'test', () => import('@/views/tests/TestView.vue')],
  ['/learned', 'learned', () => import('@/views/tests/LearnedView.vue')],
  ['/seasons', 'seasons', () => import('@/views/SeasonsView.vue')],
  ['/predictions', 'predictions', () => import('@/views/tests/PredictionsView.vue')],
  ['/records', 'records', () => import('@/views/RecordsView.vue')],
  ['/method', 'method', () => import('@/views/MethodView.vue')],
  ['/settings', 'settings', () => import('@/views/SettingsView.vue')],
  ['/:rest(.*)*', 'lost', () => import('@/views/LostView.vue')],
] as const

const routes: RouteRecordRaw[] = [
  // Bookmarks of the page that was called so.
  { path: `${GARDEN}/foretold`, redirect: (to) => ({ name: 'predictions', params: to.params }) },
  { path: '/', redirect: '/my' },
  {
    path: `${GARDEN}/jobs/:jobId`,
    component: () => import('@/views/job/JobView.vue'),
    props: true,
    children: [
      { path: '', name: 'job', redirect: (to) => ({ name: STATIONS[0]!.id, params: to.params }) },
      // Bookmarks of the station that was called so.
      { path: 'filling', redirect: (to) => ({ name: 'fill', params: to.params }) },
      ...STATIONS.flatMap((station) => [station, ...station.within]).map(({ id, title }): RouteRecordRaw => ({
        path: id,
        name: id,
        component: STATION_PAGES[id]!,
        props: true,
        meta: { title },
      })),
    ],
  },
  ...PLACES.map(([path, name, page]): RouteRecordRaw => ({
    path: `${GARDEN}${path}`,
    name,
    component: page,
    meta: { title: TITLES[name] },
  })),
]

export const router = createRouter({
  history: createWebHistory(),
  routes,
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
})
