/** What changed in the store: all of it, or a visit; and whether something of it has reached the server, whoever took it there. */
export type News = { visitId?: string; sent?: boolean }

const channel = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('zd-store')
const listeners = new Set<(news: News) => void>()
channel?.addEventListener('message', (event: MessageEvent<News>) => listeners.forEach((l) => l(event.data)))

/** Tells this tab, the others and the service worker that the store has changed. */
export function tell(news: News = {}): void {
  listeners.forEach((l) => l(news))
  channel?.postMessage(news)
}

/**
 * Hears of every change of the store, whoever made it.
 *
 *     const stop = hear(({ visitId }) => …)
 */
export function hear(listener: (news: News) => void): () => void {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
