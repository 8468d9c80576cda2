import { createRouter, createWebHistory, type RouteRecordRaw } from 'vue-router'

const GARDEN = '/:garden(my|demo)'

const routes: RouteRecordRaw[] = [
  { path: '/', redirect: '/my' },
  { path: GARDEN, name: 'today', component: () => import('@/views/TodayView.vue'), meta: { title: 'Today' } },
  {
    path: `${GARDEN}/jobs/:jobId`,
    component: () => import('@/views/job/JobView.vue'),
    props: true,
    children: [
      { path: '', name: 'job', redirect: (to) => ({ name: 'fill', params: to.params }) },
      {
        path: 'fill',
        name: 'fill',
        props: true,
        component: () => import('@/views/job/FillStation.vue'),
        meta: { title: 'Fill what' },
      },
      {
        path: 'mix',
        name: 'mix',
        props: true,
        component: () => import('@/views/job/MixStation.vue'),
        meta: { title: 'Mix' },
      },
      {
        path: 'finder',
        name: 'finder',
        props: true,
        component: () => import('@/views/job/FinderView.vue'),
        meta: { title: 'Find a mix' },
      },
      {
        path: 'compare',
        name: 'compare',
        props: true,
        component: () => import('@/views/job/CompareView.vue'),
        meta: { title: 'Compare mixes' },
      },
      {
        path: 'buy',
        name: 'buy',
        props: true,
        component: () => import('@/views/job/BuyStation.vue'),
        meta: { title: 'Buy' },
      },
      {
        path: 'make',
        name: 'make',
        props: true,
        component: () => import('@/views/job/MakeStation.vue'),
        meta: { title: 'Make' },
      },
      {
        path: 'record',
        name: 'record',
        props: true,
        component: () => import('@/views/job/RecordStation.vue'),
        meta: { title: 'Write it down' },
      },
      {
        path: 'filling',
        name: 'filling',
        props: true,
        component: () => import('@/views/job/FillingStation.vue'),
        meta: { title: 'Fill' },
      },
      {
        path: 'season',
        name: 'season',
        props: true,
        component: () => import('@/views/job/SeasonStation.vue'),
        meta: { title: 'Season' },
      },
    ],
  },
  {
    path: `${GARDEN}/beds`,
    name: 'beds',
    component: () => import('@/views/BedsView.vue'),
    meta: { title: 'Beds' },
  },
  {
    path: `${GARDEN}/place`,
    name: 'place',
    component: () => import('@/views/PlaceView.vue'),
    meta: { title: 'Place' },
  },
  {
    path: `${GARDEN}/recipe`,
    name: 'recipe',
    component: () => import('@/views/RecipeView.vue'),
    meta: { title: 'A recipe from somebody' },
  },
  {
    path: `${GARDEN}/shelf`,
    name: 'shelf',
    component: () => import('@/views/ShelfView.vue'),
    meta: { title: 'Shelf' },
  },
  {
    path: `${GARDEN}/records`,
    name: 'records',
    component: () => import('@/views/RecordsView.vue'),
    meta: { title: 'Records' },
  },
  {
    path: `${GARDEN}/method`,
    name: 'method',
    component: () => import('@/views/MethodView.vue'),
    meta: { title: 'Method' },
  },
  {
    path: `${GARDEN}/settings`,
    name: 'settings',
    component: () => import('@/views/SettingsView.vue'),
    meta: { title: 'Settings and data' },
  },
  {
    path: `${GARDEN}/:rest(.*)*`,
    name: 'lost',
    component: () => import('@/views/LostView.vue'),
    meta: { title: 'Not found' },
  },
]

export const router = createRouter({
  history: createWebHistory(),
  routes,
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
})

router.afterEach((to) => {
  document.title = `${String(to.meta.title ?? 'Open Bed')} · Open Bed`
})
