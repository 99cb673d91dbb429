/// <reference lib="webworker" />
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'
import { CacheFirst } from 'workbox-strategies'
import { sendVisit, visitsToSend } from '../offline/sendOutbox'

declare const self: ServiceWorkerGlobalScope & { __WB_MANIFEST: { url: string; revision: string | null }[] }

precacheAndRoute(self.__WB_MANIFEST)
cleanupOutdatedCaches()
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), {
    denylist: [/^\/api\//, /^\/openapi/, /^\/health/, /^\/depot-root/, /^\/stand-in/],
  }),
)
registerRoute(({ url }) => url.pathname.startsWith('/tablet/'), new CacheFirst({ cacheName: 'zd-tablet-core' }))

// A newer version takes over when somebody says so, or when no page is open.
self.addEventListener('message', (event) => {
  if ((event.data as { type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting()
})

// The browser has a network again and the pages may be closed: what waits is sent from here.
self.addEventListener('sync', (event) => {
  const sync = event as ExtendableEvent & { tag: string }
  if (sync.tag === 'zd-send') sync.waitUntil(sendAll())
})

async function sendAll(): Promise<void> {
  await navigator.locks.request('zd-send', { ifAvailable: true }, async (lock) => {
    // A page is at it.
    if (!lock) return
    for (const visitId of await visitsToSend()) {
      const sent = await sendVisit(visitId)
      // Said to the browser, which asks again later.
      if (sent === 'gone' || sent === 'later') throw new Error('not yet')
    }
  })
}
