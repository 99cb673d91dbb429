import type { QueryClient } from '@tanstack/vue-query'
import { queries } from '../api/queries'
import { goneSince } from '../api/reach'
import { startTablet } from '../core/tablet'
import { onlyOne } from './onlyOne'
import { dropClosed, takeEngine, taken, type ToTake } from './taken'
import { askToPersist, keepCore, lookAtRoom } from './tabletReady'

const lookEvery = 5 * 60_000
const oldAfter = 15 * 60_000

/**
 * Takes engines along: the core that computes, what every page shows of the fleet, and of each engine its context, its open visits and its page.
 *
 * @param say - Told what is being done.
 */
export async function takeAllAlong(
  client: QueryClient,
  engines: ToTake[],
  say: (doing: string) => void,
): Promise<void> {
  say('Bringing what computes…')
  await keepCore()
  await startTablet()
  await bringFleet(client)
  for (const [i, engine] of engines.entries()) {
    say(engines.length > 1 ? `Taking ${engine.name}, ${i + 1} of ${engines.length}…` : `Taking ${engine.name}…`)
    await bringEngine(client, engine)
  }
  await askToPersist()
}

/** Brings what was taken along up to date by itself, while the server answers: at the start, and every now and then. */
export function keepUpToDate(client: QueryClient): () => void {
  const look = async () => {
    await lookAtRoom()
    await dropClosed().catch(() => undefined)
    const old = taken.value.filter((t) => Date.now() - t.at > oldAfter)
    if (old.length === 0 || goneSince.value !== null || document.hidden) return
    await onlyOne('refresh', async () => {
      await keepCore()
      await bringFleet(client)
      for (const engine of old) await bringEngine(client, engine)
    }).catch(() => undefined)
  }
  const timers = [setTimeout(() => void look(), 10_000), setInterval(() => void look(), lookEvery)]
  return () => timers.forEach((timer) => clearInterval(timer))
}

async function bringFleet(client: QueryClient): Promise<void> {
  const all = [
    queries.fleet(),
    queries.yard(),
    queries.people(),
    queries.everybody(),
    queries.instruments(),
    queries.types(),
    queries.openVisits(),
  ]
  await Promise.all(all.map((query) => fetchAnew(client, query)))
}

async function bringEngine(client: QueryClient, engine: ToTake): Promise<void> {
  await takeEngine(engine)
  await Promise.all(
    [queries.engine(engine.engineId), queries.engineDrift(engine.engineId)].map((query) => fetchAnew(client, query)),
  )
}

const fetchAnew = (client: QueryClient, query: object) =>
  client.fetchQuery({ ...query, staleTime: 0 } as Parameters<QueryClient['fetchQuery']>[0])
