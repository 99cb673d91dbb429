import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { onBeforeUnmount, ref, watch } from 'vue'
import type { Schemas } from '../api/client'
import { queries } from '../api/queries'

const every = 2_000

/**
 * A visit followed live: one tab of this machine asks every two seconds and tells the others.
 *
 *     const visit = useFollowedVisit(() => props.id)
 */
export function useFollowedVisit(id: () => string) {
  const client = useQueryClient()
  const leads = ref(false)
  const query = useQuery(() => ({
    ...queries.visit(id()),
    refetchInterval: leads.value ? every : (false as const),
    refetchOnMount: 'always' as const,
  }))
  const channel = new BroadcastChannel(`zd-visit:${id()}`)
  let told = ''
  channel.onmessage = (event: MessageEvent<Schemas['VisitRecord']>) => {
    told = JSON.stringify(event.data)
    client.setQueryData(queries.visit(id()).queryKey, event.data)
  }
  watch(query.data, (view) => {
    if (!view || !leads.value) return
    const now = JSON.stringify(view)
    if (now !== told) channel.postMessage(JSON.parse((told = now)))
  })

  // Where the browser has no locks (plain http on the depot's network) every tab asks for itself.
  let release: () => void = () => undefined
  const locks = navigator.locks as LockManager | undefined
  const left = new AbortController()
  if (!locks) leads.value = true
  else
    void locks
      .request(`zd-follow:${id()}`, { signal: left.signal }, () => {
        leads.value = true
        return new Promise<void>((resolve) => (release = resolve))
      })
      .catch(() => undefined)
  onBeforeUnmount(() => {
    left.abort()
    release()
    channel.close()
  })
  return query
}
