import { closeStore, storeName } from './store'

/** Wipes this device: what was taken along, what was kept, who used it, the application itself. The caller sees to it that nothing waits. */
export async function forgetEverything(): Promise<void> {
  await closeStore()
  await new Promise<void>((resolve) => {
    const gone = indexedDB.deleteDatabase(storeName)
    gone.onsuccess = gone.onerror = gone.onblocked = () => resolve()
  })
  localStorage.clear()
  sessionStorage.clear()
  if ('caches' in window) for (const name of await caches.keys()) await caches.delete(name)
  const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined
  for (const registration of (await workers?.getRegistrations()) ?? []) await registration.unregister()
}
