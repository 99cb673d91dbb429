import { useMutation, useQueryClient } from '@tanstack/vue-query'
import { throwAway } from './decide'
import type { Entry, WrittenEntry } from './entries'
import { look, putAway, refused, writeDown } from './outbox'
import { toRefusal } from '../api/refusal'
import { afterEntries, sendThis } from './sender'
import { store } from './store'

/**
 * Entries said from a form: to open a visit, to correct, to answer after signing. Written down first, then sent; without the server they wait like
 * any others. A refusal goes to the form, which still has what was typed.
 *
 *     const send = useSend()
 *     await send.mutateAsync({ visitId, entries: [{ kind: 'signed' }], by: person })
 */
export function useSend() {
  const client = useQueryClient()
  return useMutation({
    networkMode: 'always' as const,
    mutationFn: async ({
      visitId,
      entries,
      by,
    }: {
      visitId: string
      entries: Entry[]
      by: string
    }): Promise<WrittenEntry[]> => {
      const lines = await writeDown(visitId, entries, by)
      const sent = await sendThis(visitId)
      await look()
      if (sent === 'held') {
        const problem = (await (await store()).get('visits', visitId))?.held ?? {}
        if (lines.some((line) => line.kind === 'opened')) await throwAway(visitId)
        throw toRefusal(problem)
      }
      const no = refused.value.find((row) => lines.some((line) => line.id === row.entry.id))
      if (!no) return lines
      await putAway(visitId)
      throw toRefusal(no.refused!)
    },
    onSuccess: async () => {
      // The sender has had the pages ask again; the form waits for that answer and does not ask once more.
      const asked = afterEntries.map((queryKey) => client.invalidateQueries({ queryKey }, { cancelRefetch: false }))
      await Promise.all(asked)
    },
  })
}
