import createClient from 'openapi-fetch'
import { reaching } from './reach'
import { Refusal, toRefusal } from './refusal'
import type { components, paths } from './schema'

/** The one client; its types come from the server's own document. */
export const api = createClient<paths>({ fetch: reaching })

export { Refusal }

export type Schemas = components['schemas']

type Answer<T> = { data?: T; error?: unknown; response: Response }

/**
 * Unwraps an answer, or throws a `Refusal` with the server's own sentence.
 *
 *     const due = await answer(api.GET('/api/due'))
 */
export async function answer<T>(request: Promise<Answer<T>>): Promise<T> {
  const { data, error, response } = await request
  if (response.ok) return data as T
  throw toRefusal(error, response.status)
}

/** A sentence for any failure, also when the server cannot be reached. */
export function sentence(failure: unknown): string {
  if (failure instanceof Refusal) return failure.message
  return 'The server cannot be reached. What you typed is still here; try again when it is back.'
}
