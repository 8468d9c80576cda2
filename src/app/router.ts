import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router'
import { STATION_PAGES } from './stationPages'
import { STATIONS } from '../stations/stations'

const GARDEN = '/:garden(my|demo)'

/** Places of a garden: path below it, name, title, page. */
const PLACES = [
  ['', 'today', 'Today', () => import('@/views/TodayView.vue')],
  ['/beds', 'beds', 'Beds', () => import('@/views/BedsView.vue')],
  ['/place', 'place', 'Place', () => import('@/views/PlaceView.vue')],
  ['/recipe', 'recipe', 'A recipe from somebody', () => import('@/views/RecipeView.vue')],
  ['/shelf', 'shelf', 'Shelf', () => import('@/views/shelf/ShelfView.vue')],
  ['/tests', 'tests', 'Tests', () => import('@/views/tests/TestsView.vue')],
  ['/tests/:testId', 'test', 'Test', () => import('@/views/tests/TestView.vue')],
  ['/learned', 'learned', 'What readings taught', () => import('@/views/tests/LearnedView.vue')],
  ['/seasons', 'seasons', 'Compare seasons', () => import('@/views/SeasonsView.vue')],
  ['/foretold', 'foretold', 'How well was it foretold', () => import('@/views/tests/ForetoldView.vue')],
  ['/records', 'records', 'Records', () => import('@/views/RecordsView.vue')],
  ['/method', 'method', 'Method', () => import('@/views/MethodView.vue')],
  ['/settings', 'settings', 'Settings and data', () => import('@/views/SettingsView.vue')],
  ['/:rest(.*)*', 'lost', 'Not found', () => import('@/views/LostView.vue')],
] as const

const routes: RouteRecordRaw[] = [
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
  ...PLACES.map(([path, name, title, page]): RouteRecordRaw => ({
    path: `${GARDEN}${path}`,
    name,
    component: page,
    meta: { title },
  })),
]

export const router = createRouter({
  history: createWebHistory(),
  routes,
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? 'Open Bed')} · Open Bed`
})
