import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { sentence } from '../api/client'
import type { ToTake } from './taken'
import { takeAllAlong } from './taking'

/**
 * Takes engines along from a page, which says meanwhile what is being done.
 *
 *     const { take, busy, failure } = useTaking()
 *     await take(enginesOfTheSite)
 */
export function useTaking() {
  const client = useQueryClient()
  const busy = ref('')
  const failure = ref('')
  async function take(engines: ToTake[]): Promise<void> {
    failure.value = ''
    try {
      await takeAllAlong(client, engines, (doing) => (busy.value = doing))
    } catch (caught) {
      failure.value = sentence(caught)
    } finally {
      busy.value = ''
    }
  }
  return { take, busy, failure }
}
