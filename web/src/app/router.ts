import { nextTick } from 'vue'
import { createRouter, createWebHistory } from 'vue-router'
import YardPage from '../features/yard/YardPage.vue'
import { toast } from '../shared/toasts/toasts'

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (to, from, saved) => saved ?? (to.path === from.path ? false : { top: 0 }),
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
      path: '/engines/:id/drift',
      name: 'engine-drift',
      component: () => import('../features/drift/EngineDriftPage.vue'),
      props: true,
      meta: { title: 'Drift' },
    },
    {
      path: '/due',
      name: 'due',
      component: () => import('../features/due/DuePage.vue'),
      meta: { title: 'Due by week' },
    },
    {
      path: '/year',
      name: 'year',
      component: () => import('../features/year/YearPage.vue'),
      meta: { title: 'The year' },
    },
    {
      path: '/engines/:engineId/slip',
      name: 'slip',
      component: () => import('../features/due/SlipPage.vue'),
      props: true,
      meta: { title: 'Report a problem' },
    },
    {
      path: '/plan',
      name: 'plan',
      component: () => import('../features/plan/PlanPage.vue'),
      meta: { title: 'Planner' },
    },
    {
      path: '/plan/limits',
      name: 'plan-limits',
      component: () => import('../features/plan/PlanLimitsPage.vue'),
      meta: { title: 'Limits of the plan' },
    },
    {
      path: '/jobs/:id/card',
      name: 'job-card',
      component: () => import('../features/plan/JobCardPage.vue'),
      props: true,
      meta: { title: 'Job card' },
    },
    {
      path: '/shims',
      name: 'shims',
      component: () => import('../features/shims/drawers/ShimsPage.vue'),
      meta: { title: 'Shims' },
    },
    {
      path: '/shim-bench',
      name: 'shim-bench',
      component: () => import('../features/shims/bench/ShimBenchPage.vue'),
      meta: { title: 'Shim bench' },
    },
    {
      path: '/shim-jobs/:id',
      name: 'shim-job',
      component: () => import('../features/shims/job/ShimJobPage.vue'),
      props: true,
      meta: { title: 'Shims' },
    },
    {
      path: '/hours',
      name: 'hours',
      component: () => import('../features/hours/HoursPage.vue'),
      meta: { title: 'Hours' },
    },
    {
      path: '/drift',
      name: 'drift',
      component: () => import('../features/drift/FleetDriftPage.vue'),
      meta: { title: 'Drift' },
    },
    {
      path: '/at-the-engine',
      name: 'visits',
      component: () => import('../features/visit/VisitsPage.vue'),
      meta: { title: 'At the engine' },
    },
    {
      path: '/engines/:engineId/open',
      name: 'open',
      component: () => import('../features/visit/open/OpenPage.vue'),
      props: true,
      meta: { title: 'Open an engine' },
    },
    {
      path: '/visits/:id',
      name: 'visit',
      component: () => import('../features/visit/bench/BenchPage.vue'),
      props: true,
      meta: { title: 'At the engine', bare: true, asksDoubts: true },
    },
    {
      path: '/visits/:id/crank',
      name: 'crank',
      component: () => import('../features/visit/bench/CrankPage.vue'),
      props: true,
      meta: { title: 'At the crank', bare: true },
    },
    {
      path: '/visits/:id/stop-card',
      name: 'stop-card',
      component: () => import('../features/visit/print/StopCardPage.vue'),
      props: true,
      meta: { title: 'Stop card' },
    },
    {
      path: '/visits/:id/rim-tape',
      name: 'rim-tape',
      component: () => import('../features/visit/print/RimTapePage.vue'),
      props: true,
      meta: { title: 'Rim tape' },
    },
    {
      path: '/visits/:id/handover',
      name: 'handover',
      component: () => import('../features/visit/print/HandoverPage.vue'),
      props: true,
      meta: { title: 'Handover' },
    },
    {
      path: '/visits/:id/type-in',
      name: 'type-in',
      component: () => import('../features/visit/TypeInPage.vue'),
      props: true,
      meta: { title: 'Type in a field sheet', asksDoubts: true },
    },
    {
      path: '/engines/:engineId/field-sheet',
      name: 'field-sheet',
      component: () => import('../features/visit/print/FieldSheetPage.vue'),
      props: true,
      meta: { title: 'Field sheet' },
    },
    {
      path: '/engines/:engineId/label',
      name: 'label',
      component: () => import('../features/visit/print/LabelPage.vue'),
      props: true,
      meta: { title: 'Label' },
    },
    {
      path: '/check-record',
      name: 'check-record',
      component: () => import('../features/visit/record/CheckRecordPage.vue'),
      meta: { title: 'Check a record' },
    },
    {
      path: '/visits/:id/record',
      name: 'record',
      component: () => import('../features/visit/record/RecordPage.vue'),
      props: true,
      meta: { title: 'Record' },
    },
    // Links that people kept from before visits had their own word.
    { path: '/overheads/:id/:rest(.*)*', redirect: (to) => ({ path: to.path.replace('/overheads/', '/visits/') }) },
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
      path: '/this-tablet',
      name: 'this-tablet',
      component: () => import('../features/tablet/TabletPage.vue'),
      meta: { title: 'This tablet' },
    },
    {
      path: '/install',
      name: 'install',
      component: () => import('../features/tablet/InstallPage.vue'),
      meta: { title: 'On another tablet' },
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
      path: '/settings',
      name: 'settings',
      component: () => import('../features/settings/SettingsPage.vue'),
      meta: { title: 'Settings' },
    },
    {
      path: '/people/:id/hand',
      name: 'hand',
      component: () => import('../features/settings/HandPage.vue'),
      props: true,
      meta: { title: 'A hand' },
    },
    {
      path: '/help',
      name: 'help',
      component: () => import('../features/help/HelpPage.vue'),
      meta: { title: 'Help' },
    },
    {
      path: '/:rest(.*)*',
      name: 'nowhere',
      component: () => import('./NowherePage.vue'),
      meta: { title: 'Nothing here' },
    },
  ],
})

router.afterEach(async (to, from) => {
  if (to.path !== from.path) document.title = `${to.meta.title as string} · Zero Drift`
  if (to.path === from.path || from.matched.length === 0) return
  // A new page begins at its heading for whoever cannot see that it changed.
  await nextTick()
  const heading = document.querySelector<HTMLElement>('#main h1')
  if (heading && (document.activeElement === document.body || !document.activeElement)) {
    heading.tabIndex = -1
    heading.focus({ preventScroll: true })
  }
})

/** The pages come one by one as they are asked for, and the rest in a quiet moment: with all of them here the menu works without the server too. */
export function bringEveryPage(): void {
  const quiet = window.requestIdleCallback ?? ((work: () => void) => setTimeout(work, 1_500))
  quiet(async () => {
    for (const route of router.getRoutes()) {
      const page = route.components?.default
      if (typeof page === 'function') await (page as () => Promise<unknown>)().catch(() => undefined)
    }
  })
}

// A page that never came cannot be shown without the server; say so instead of doing nothing.
router.onError(() => toast('That page is still on the server, which cannot be reached. Try again when it is back.'))
