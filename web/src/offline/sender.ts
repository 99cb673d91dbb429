import type { QueryClient } from '@tanstack/vue-query'
import { group } from 'd3-array'
import { ref } from 'vue'
import { goneSince } from '../api/reach'
import { staleBy } from '../api/touched'
import { exchange } from './exchange'
import { moveFirstOutbox } from './firstOutbox'
import { headOf, heldVisit, pull } from './held'
import { hear, tell } from './news'
import { onlyOne } from './onlyOne'
import { sendPhotos } from './photos'
import { followOutbox, outbox, unwritten, writeAgain } from './outbox'
import { sendVisit, visitsToSend, type Sent } from './sendOutbox'

const firstPause = 2_000
const longestPause = 60_000

/** Whether what waits cannot go just now. */
export const isHeld = ref(false)

/** What a sent visit makes stale. */
export const afterEntries = staleBy('visit', 'meter')

const pauses = new Map<string, { until: number; tries: number }>()
let timer: ReturnType<typeof setTimeout> | undefined
let turning = false
let again = false

/**
 * The one sender of the application: whatever any screen or tab wrote down goes, visit by visit, in the order it was made. What cannot go waits
 * and is tried again with growing pauses, and holds up no other visit. One tab sends at a time.
 *
 *     onMounted(() => startSending(queryClient))
 */
export function startSending(client: QueryClient): () => void {
  const forget = followOutbox()
  const deaf = hear(({ sent }) => {
    // Also where another tab sent it, or the service worker did while a page was on its way.
    if (sent)
      for (const queryKey of afterEntries)
        void client.invalidateQueries({ queryKey, refetchType: document.hidden ? 'none' : 'active' })
    void turn()
  })
  const online = () => sendNow()
  window.addEventListener('online', online)
  // A page that comes back from the background has been asleep.
  document.addEventListener('visibilitychange', online)
  void moveFirstOutbox()
    .catch(() => undefined)
    .then(() => turn())
  return () => {
    forget()
    deaf()
    window.removeEventListener('online', online)
    document.removeEventListener('visibilitychange', online)
    clearTimeout(timer)
  }
}

/** Tries everything at once, whatever pause was on: the server is back, or somebody asked. */
export function sendNow(): void {
  pauses.clear()
  void turn()
}

/** Sends one visit now and tells what came of it, for a form that waits. Where another tab sends, it has gone by the time that tab is done. */
export async function sendThis(visitId: string): Promise<Sent> {
  for (let tries = 0; tries < 100; tries++) {
    const sent = await onlyOne('send', () => sendVisit(visitId))
    if (sent !== undefined) return heard(visitId, sent)
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  return 'later'
}

async function turn(): Promise<void> {
  if (turning) {
    again = true
    return
  }
  turning = true
  try {
    await writeAgain()
    do {
      again = false
      await onlyOne('send', sendAll)
      await sendUnwritten()
      await sendPhotos()
    } while (again)
  } catch {
    // A store that cannot be read now is read at the next turn.
  } finally {
    turning = false
    wait()
  }
}

async function sendAll(): Promise<void> {
  for (const visitId of await visitsToSend()) {
    if ((pauses.get(visitId)?.until ?? 0) > Date.now()) continue
    const sent = heard(visitId, await sendVisit(visitId))
    if (sent === 'gone') return
  }
}

/** What this device cannot write down goes from the page: sent, it is safe. It leaves the page once the device has it back from the server. */
async function sendUnwritten(): Promise<void> {
  for (const [visitId, lines] of group(unwritten.value, (line) => line.visitId)) {
    try {
      await exchange(
        visitId,
        headOf(await heldVisit(visitId)),
        lines.map((line) => line.entry),
      )
      goneSince.value = null
      await pull(visitId)
      unwritten.value = unwritten.value.filter((line) => !lines.includes(line))
      tell({ visitId, sent: true })
    } catch {
      // Still full, or nobody answers: at the next turn.
    }
  }
}

function heard(visitId: string, sent: Sent): Sent {
  if (sent === 'gone') goneSince.value ??= Date.now()
  else goneSince.value = null
  isHeld.value = sent === 'gone' || sent === 'later'
  if (isHeld.value) {
    const tries = (pauses.get(visitId)?.tries ?? 0) + 1
    pauses.set(visitId, { tries, until: Date.now() + Math.min(firstPause * 2 ** (tries - 1), longestPause) })
  } else {
    pauses.delete(visitId)
  }
  return sent
}

/** The next look: at the end of the shortest pause, or soon where another tab sends or the device could not write. */
function wait(): void {
  clearTimeout(timer)
  const waits = new Set(outbox.value.filter((row) => !row.refused).map((row) => row.visitId))
  if (waits.size === 0 && unwritten.value.length === 0) return
  void askForSync()
  const soonest = unwritten.value.length > 0 ? firstPause : longestPause
  const next = Math.min(...[...waits].map((id) => (pauses.get(id)?.until ?? 0) - Date.now()), soonest)
  timer = setTimeout(() => void turn(), Math.max(next, firstPause))
}

/** Where the browser can, it sends by itself once there is a network, also when the page is closed. */
async function askForSync(): Promise<void> {
  const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined
  const registration = (await workers?.getRegistration()) as
    (ServiceWorkerRegistration & { sync?: { register: (tag: string) => Promise<void> } }) | undefined
  await registration?.sync?.register('zd-send').catch(() => undefined)
}
