import { queryOptions, useQuery, useQueryClient } from '@tanstack/vue-query'
import { onBeforeUnmount, ref } from 'vue'
import { goneSince } from '../api/reach'
import { firstAnswer } from './firstAnswer'
import { foldedKey, foldLine, foldVisit, type FoldedVisit } from './foldedVisit'
import { pull } from './held'
import { hear } from './news'
import { Refusal } from '../api/refusal'

const every = 1_700

const foldedVisit = (visitId: string) =>
  queryOptions({
    queryKey: foldedKey(visitId),
    queryFn: async () => {
      try {
        return await foldVisit(visitId)
      } catch (caught) {
        if (caught instanceof TypeError) goneSince.value ??= Date.now()
        throw caught
      }
    },
    staleTime: 0,
  })

/**
 * A visit folded on this device, with what others add within two seconds: one tab asks the server, and every tab hears of what changed.
 *
 *     const { query, quick } = useFoldedVisit(() => props.id)
 */
export function useFoldedVisit(id: () => string) {
  const client = useQueryClient()
  const query = useQuery(() => foldedVisit(id()))
  void firstAnswer(client, id())
  const leads = ref(false)
  // While the line of a tap is on its way the whole sheet waits for it.
  let hurrying = 0
  const anew = () => void (hurrying === 0 && client.invalidateQueries({ queryKey: foldedVisit(id()).queryKey }))
  const deaf = hear(({ visitId }) => {
    if (!visitId || visitId === id()) anew()
  })

  const timer = setInterval(async () => {
    if (!leads.value || document.hidden || !query.data.value || query.data.value.held) return
    try {
      await pull(id())
      goneSince.value = null
    } catch (caught) {
      // A visit that was opened here and has not reached the server is not known there.
      if (!(caught instanceof Refusal)) goneSince.value ??= Date.now()
    }
  }, every)

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
    clearInterval(timer)
    deaf()
    left.abort()
    release()
  })

  /** Does something that bears on one point, and shows its line at once; the whole sheet follows. */
  async function quick(point: string, work: () => Promise<unknown>): Promise<void> {
    hurrying++
    try {
      await work()
      const line = await foldLine(id(), point)
      if (line)
        client.setQueryData(foldedVisit(id()).queryKey, (now: FoldedVisit | undefined) => {
          if (!now?.view.sheet) return now
          const points = now.view.sheet.points.map((p) => (p.label === line.label ? line : p))
          return { ...now, view: { ...now.view, sheet: { ...now.view.sheet, points } } }
        })
    } finally {
      hurrying--
      anew()
    }
  }
  return { query, quick }
}
