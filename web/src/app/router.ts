import { createRouter, createWebHistory } from 'vue-router'
import YardPage from '../features/yard/YardPage.vue'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'yard', component: YardPage, meta: { title: 'Yard' } },
    {
      path: '/engines/:id',
      name: 'engine',
      component: () => import('../features/engine/EnginePage.vue'),
      props: true,
      meta: { title: 'Engine' },
    },
    {
      path: '/at-the-engine',
      name: 'at-the-engine',
      component: () => import('../features/at-the-engine/OpenOverheadsPage.vue'),
      meta: { title: 'At the engine' },
    },
    {
      path: '/engines/:engineId/open',
      name: 'start-overhead',
      component: () => import('../features/at-the-engine/StartPage.vue'),
      props: true,
      meta: { title: 'Open an engine' },
    },
    {
      path: '/overheads/:id',
      name: 'overhead',
      component: () => import('../features/at-the-engine/OverheadPage.vue'),
      props: true,
      meta: { title: 'Overhead', bare: true },
    },
    {
      path: '/overheads/:id/crank',
      name: 'crank',
      component: () => import('../features/at-the-engine/CrankPage.vue'),
      props: true,
      meta: { title: 'At the crank', bare: true },
    },
    {
      path: '/overheads/:id/record',
      name: 'record',
      component: () => import('../features/engine/RecordPage.vue'),
      props: true,
      meta: { title: 'Record' },
    },
    {
      path: '/book/:id?',
      name: 'book',
      component: () => import('../features/book/BookPage.vue'),
      props: true,
      meta: { title: 'Book' },
    },
    {
      path: '/book-new',
      name: 'new-type',
      component: () => import('../features/book/NewTypePage.vue'),
      meta: { title: 'New engine type' },
    },
    {
      path: '/pocket/:tool?',
      name: 'pocket',
      component: () => import('../features/pocket/PocketPage.vue'),
      props: true,
      meta: { title: 'Pocket' },
    },
    {
      path: '/logbook',
      name: 'logbook',
      component: () => import('../features/logbook/LogbookPage.vue'),
      meta: { title: 'Logbook' },
    },
    {
      path: '/:rest(.*)*',
      name: 'nowhere',
      component: () => import('./NowherePage.vue'),
      meta: { title: 'Nothing here' },
    },
  ],
})

router.afterEach((to) => {
  document.title = `${to.meta.title as string} · Zero Drift`
})
