import type { QueryClient } from '@tanstack/vue-query'
import { ref, watch } from 'vue'
import { Refusal } from '../api/client'
import { queries } from '../api/queries'
import { exchange } from './exchange'
import { arrived, followTabs, look, refuse, waiting } from './outbox'

const batchSize = 400
const retryAfter = 2_000

/** Whether what waits is on its way, or cannot be taken just now. */
export const isHeld = ref(false)
/** Why it is held, where the server said so. */
export const heldBecause = ref<Refusal | null>(null)

let sending = false
let timer: ReturnType<typeof setTimeout> | undefined

/**
 * The one sender of the application: whatever any screen or tab wrote down goes, visit by visit, in the order it was made; what cannot go waits
 * and is tried again. One tab sends at a time where the browser can tell them apart; twice sent does no harm either way.
 *
 *     onMounted(() => startSending(queryClient))
 */
export function startSending(client: QueryClient): () => void {
  const forget = followTabs()
  const stop = watch(waiting, (lines) => lines.length > 0 && void turn(client), { immediate: true })
  return () => {
    forget()
    stop()
    clearTimeout(timer)
  }
}

async function turn(client: QueryClient): Promise<void> {
  if (sending) return
  sending = true
  try {
    const locks = navigator.locks as LockManager | undefined
    const all = locks
      ? await locks.request('zd-send', { ifAvailable: true }, (lock) => (lock ? sendAll(client) : false))
      : await sendAll(client)
    if (!all) again(client)
  } finally {
    sending = false
  }
}

/** Whether all that waited has gone. */
async function sendAll(client: QueryClient): Promise<boolean> {
  look()
  let all = true
  for (const visitId of new Set(waiting.value.map((w) => w.visitId))) {
    // What one visit cannot send holds up no other.
    for (;;) {
      const batch = waiting.value
        .filter((w) => w.visitId === visitId)
        .slice(0, batchSize)
        .map((w) => w.entry)
      if (batch.length === 0) break
      try {
        const { outcomes } = await exchange(visitId, batch)
        ;[isHeld.value, heldBecause.value] = [false, null]
        for (const outcome of outcomes) {
          const entry = batch.find((e) => e.id === outcome.id)
          if (entry && outcome.outcome === 'refused' && outcome.problem)
            refuse(visitId, entry, outcome.problem as unknown as Record<string, unknown>)
        }
        // The view comes before the entries go from here: nothing flickers away between the two.
        await client.fetchQuery({ ...queries.visit(visitId), staleTime: 0 }).catch(() => undefined)
        arrived(
          visitId,
          outcomes.map((o) => o.id),
        )
        if (outcomes.length === 0) return false
      } catch (caught) {
        // Whatever keeps the whole batch from being taken, it stays written down here: nobody's figure is thrown away.
        isHeld.value = true
        heldBecause.value = caught instanceof Refusal ? caught : null
        all = false
        break
      }
    }
  }
  return all
}

function again(client: QueryClient): void {
  clearTimeout(timer)
  timer = setTimeout(() => {
    look()
    if (waiting.value.length > 0) void turn(client)
  }, retryAfter)
}
