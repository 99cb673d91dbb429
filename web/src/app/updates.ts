import { ref } from 'vue'
import type { Router } from 'vue-router'
import type { Workbox } from 'workbox-window'

/** A newer version of the application is here and waits until somebody takes it. */
export const newerVersion = ref(false)
const lookEvery = 15 * 60_000
let worker: Workbox | null = null

/**
 * Keeps the application on this device, so that it opens without the server. A newer version is brought in the background; it takes over when
 * somebody says so, or when no page is open any more.
 */
export async function offerUpdates(router: Router): Promise<void> {
  if (!import.meta.env.PROD || !window.isSecureContext || !('serviceWorker' in navigator)) return
  const { Workbox } = await import('workbox-window')
  worker = new Workbox('/serviceWorker.js')
  worker.addEventListener('waiting', () => (newerVersion.value = true))
  void worker.register().catch(() => undefined)
  // A page that stays open for days looks when somebody moves about.
  let looked = Date.now()
  router.afterEach(() => {
    if (Date.now() - looked < lookEvery) return
    looked = Date.now()
    void worker?.update().catch(() => undefined)
  })
}

/** Takes the newer version now. */
export function takeUpdate(): void {
  worker?.addEventListener('controlling', () => location.reload())
  worker?.messageSkipWaiting()
}
