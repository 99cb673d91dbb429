import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { sentence } from '../api/client'
import { queries } from '../api/queries'
import { startTablet } from '../core/tablet'
import { takeEngine, type ToTake } from './taken'
import { askToPersist, keepCore } from './tabletReady'

/**
 * Takes engines along: their contexts and open visits, the pages' answers about them, the core that computes.
 *
 *     const { take, busy, failure } = useTaking()
 *     await take(enginesOfTheSite)
 */
export function useTaking() {
  const client = useQueryClient()
  const busy = ref('')
  const failure = ref('')
  const fetch = (query: { queryKey: readonly unknown[] }) =>
    client.fetchQuery({ ...query, staleTime: 0 } as Parameters<typeof client.fetchQuery>[0])

  async function take(engines: ToTake[]): Promise<void> {
    failure.value = ''
    try {
      busy.value = 'Bringing what computes…'
      await keepCore()
      await startTablet()
      await Promise.all(
        [
          queries.fleet(),
          queries.yard(),
          queries.people(),
          queries.everybody(),
          queries.instruments(),
          queries.types(),
          queries.openVisits(),
        ].map(fetch),
      )
      for (const [i, engine] of engines.entries()) {
        busy.value =
          engines.length > 1 ? `Taking ${engine.name}, ${i + 1} of ${engines.length}…` : `Taking ${engine.name}…`
        await takeEngine(engine)
        await Promise.all([queries.engine(engine.engineId), queries.engineDrift(engine.engineId)].map(fetch))
      }
      await askToPersist()
    } catch (caught) {
      failure.value = sentence(caught)
    } finally {
      busy.value = ''
    }
  }
  return { take, busy, failure }
}
