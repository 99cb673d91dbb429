import { ref } from 'vue'

/** Browsers keep pages and data for the road only over HTTPS, or on the machine itself. */
export const canTakeAlong = window.isSecureContext && 'serviceWorker' in navigator

/** Whether the browser promised to keep what is stored; null where it cannot say. */
export const isPersistent = ref<boolean | null>(null)

/** How much this device's storage holds and may hold, bytes; null where the browser does not say. */
export const room = ref<{ used: number; all: number } | null>(null)

const tight = 24 * 1024 * 1024

/** Said before it is full. */
export const isAlmostFull = (r: { used: number; all: number } | null) => r !== null && r.all - r.used < tight

/** Asks the browser to keep what is stored, and looks how much room there is. */
export async function askToPersist(): Promise<void> {
  const storage = navigator.storage as StorageManager | undefined
  isPersistent.value = (await storage?.persist?.().catch(() => false)) ?? null
  await lookAtRoom()
}

export async function lookAtRoom(): Promise<void> {
  const storage = navigator.storage as StorageManager | undefined
  isPersistent.value = (await storage?.persisted?.().catch(() => false)) ?? null
  const { usage, quota } = (await storage?.estimate?.().catch(() => ({}) as StorageEstimate)) ?? {}
  room.value = usage !== undefined && quota !== undefined ? { used: usage, all: quota } : null
}

/** The core's files, kept for when there is no network; the service worker answers with them. */
export const coreCache = 'zd-tablet-core'

export async function keepCore(): Promise<void> {
  if (!('caches' in window)) return
  const { base, files } = __TABLET__
  const cache = await caches.open(coreCache)
  const missing: string[] = []
  for (const file of files) if (!(await cache.match(base + file))) missing.push(base + file)
  await cache.addAll(missing)
  for (const request of await cache.keys())
    if (!new URL(request.url).pathname.startsWith(base)) await cache.delete(request)
}
