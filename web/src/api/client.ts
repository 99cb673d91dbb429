import createClient from 'openapi-fetch'
import { reaching } from './reach'
import type { components, paths } from './schema'

/** The one client; its types come from the server's own document. */
export const api = createClient<paths>({ fetch: reaching })

export type Schemas = components['schemas']

/** What the server says is wrong: one sentence, and the fields it belongs to. */
export class Refusal extends Error {
  constructor(
    message: string,
    readonly status: number,
    readonly errors: Record<string, string[]>,
    readonly body: Record<string, unknown>,
  ) {
    super(message)
  }

  /** The stable code of what is wrong; the interface branches on this and never on the sentence. */
  get code(): string {
    return typeof this.body.code === 'string' ? this.body.code : ''
  }

  /** The sentence for a field, if there is one. */
  for(field: string): string | undefined {
    return this.errors[field]?.[0]
  }
}

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

export function toRefusal(error: unknown, status: number): Refusal {
  const body = (typeof error === 'object' && error !== null ? error : {}) as Record<string, unknown>
  const said = body.detail ?? body.title
  const message = typeof said === 'string' ? said : `The server answered ${status}.`
  return new Refusal(message, status, (body.errors as Record<string, string[]>) ?? {}, body)
}

/** An error whose message is a sentence for people. */
const isSaid = (failure: Error) => failure.name === 'Said'

/** A sentence for any failure, also when the server cannot be reached. */
export function sentence(failure: unknown): string {
  if (failure instanceof Refusal || (failure instanceof Error && isSaid(failure))) return failure.message
  return 'The server cannot be reached. What you typed is still here; try again when it is back.'
}
