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

/** A problem document as an error whose sentence and fields a form can show. */
export function toRefusal(problem: unknown, status?: number): Refusal {
  const body = (typeof problem === 'object' && problem !== null ? problem : {}) as Record<string, unknown>
  const answered = status ?? Number(body.status ?? 422)
  const said = body.detail ?? body.title
  const message = typeof said === 'string' ? said : `The server answered ${answered}.`
  return new Refusal(message, answered, (body.errors as Record<string, string[]>) ?? {}, body)
}
