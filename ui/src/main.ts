import '@fontsource-variable/bricolage-grotesque/wght.css'
import '@fontsource-variable/figtree/wght.css'
import 'vuetify/styles/core'
import './frame/look.css'

import { createApp } from 'vue'
import { createRouter, createWebHistory } from 'vue-router'

import App from './App.vue'
import { began, rested } from './api/busy'
import FrontPage from './front/FrontPage.vue'
import { vuetify } from './frame/theme'

// The first page is there at once; the counter comes while one looks at it.
const counter = () => import('./counter/CounterPage.vue')

const router = createRouter({
  history: createWebHistory(),
  // Another page or station starts at its top; another drawer leaves one where one is.
  scrollBehavior: (to, from, saved) =>
    saved ??
    (to.hash || (to.params.station && to.params.station === from.params.station) ? false : { top: 0 }),
  routes: [
    { path: '/', component: FrontPage },
    { path: '/jobs/:id', redirect: (to) => `/jobs/${String(to.params.id)}/card` },
    {
      path: '/jobs/:id/:station(card|layers|envelope|mail|paper|bench)/:drawer?',
      component: counter,
      props: true,
    },
    { path: '/jobs/:id/swatches', component: () => import('./stations/layers/SwatchPage.vue'), props: true },
    { path: '/jobs/:id/table', component: () => import('./bench/BenchView.vue'), props: true },
    { path: '/jobs/:id/true-size', component: () => import('./bench/TrueSize.vue'), props: true },
    { path: '/jobs/:id/gauge', component: () => import('./stations/mail/GaugePage.vue'), props: true },
    {
      path: '/jobs/:id/history/:state?',
      component: () => import('./history/HistoryPage.vue'),
      props: true,
    },
    { path: '/backups', component: () => import('./backups/BackupsPage.vue') },
    { path: '/repair', component: () => import('./backups/RepairPage.vue') },
    { path: '/rules', component: () => import('./rules/RulesPage.vue') },
    { path: '/help', component: () => import('./help/HelpPage.vue') },
    { path: '/chart', component: () => import('./bench/ChartPage.vue') },
    { path: '/shelf', component: () => import('./shelf/ShelfPage.vue') },
    { path: '/:rest(.*)', component: FrontPage, props: { lost: true } },
  ],
})

// The page is busy while a view is fetched; going where one is already begins nothing.
let going = false
router.beforeEach(() => {
  if (!going) began()
  going = true
})
function there() {
  if (going) rested()
  going = false
}
router.afterEach(there)
router.onError(there)

// Where it cannot be had now it is had when it is wanted.
router.afterEach(
  () => void (window.requestIdleCallback ?? window.setTimeout)(() => counter().catch(() => undefined)),
)

createApp(App).use(vuetify).use(router).mount('#app')
void router.isReady().then(rested, rested)
