import { useMutation, useQueryClient } from '@tanstack/vue-query'
import type { Entry } from './entries'
import { sendNow } from './exchange'

/**
 * Entries sent at once from a form: to open a visit, to correct, to answer after signing. Makes stale what rests on the visit.
 *
 *     const send = useSend()
 *     await send.mutateAsync({ visitId, entries: [{ kind: 'signed' }], by: person })
 */
export function useSend() {
  const client = useQueryClient()
  return useMutation({
    networkMode: 'always' as const,
    mutationFn: ({ visitId, entries, by }: { visitId: string; entries: Entry[]; by: string }) =>
      sendNow(visitId, entries, by),
    onSuccess: async (_, { visitId }) => {
      const stale = [['visit', visitId], ['visits'], ['yard'], ['engine'], ['drift'], ['instruments'], ['people']]
      await Promise.all(stale.map((queryKey) => client.invalidateQueries({ queryKey })))
    },
  })
}
