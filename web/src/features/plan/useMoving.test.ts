import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useMoving } from './useMoving'

/** The server's answers, in the order they are let go. */
const waiting: { body: { date: string }; answer: (status: number, body: unknown) => void }[] = []

beforeEach(() => {
  waiting.length = 0
  vi.stubGlobal(
    'fetch',
    vi.fn(async (request: Request) => {
      const body = (await request.json()) as { date: string }
      return new Promise<Response>((answer) =>
        waiting.push({
          body,
          answer: (status, said) =>
            answer(new Response(JSON.stringify(said), { status, headers: { 'content-type': 'application/json' } })),
        }),
      )
    }),
  )
})

const asked = (count: number) => vi.waitFor(() => expect(waiting).toHaveLength(count))
const check = (sentence: string) => ({ fits: true, sentence, lastDate: '2026-12-01', lateDays: 0, earlyDays: 0 })

describe('a job held over a day', () => {
  it('is asked about at once, and again over another day', async () => {
    const { state, hold, over } = useMoving()
    hold('job', 'marit', '2026-12-01')
    await asked(1)
    waiting[0]!.answer(200, check('On its due day.'))
    await vi.waitFor(() => expect(state.moving?.check?.sentence).toBe('On its due day.'))
    over('marit', '2026-12-02')
    expect(state.moving?.check).toBeNull()
    await asked(2)
    expect(waiting[1]!.body.date).toBe('2026-12-02')
  })

  it('over the same day is not asked about twice', async () => {
    const { hold, over } = useMoving()
    hold('job', 'marit', '2026-12-01')
    over('marit', '2026-12-01')
    await asked(1)
    await Promise.resolve()
    expect(waiting).toHaveLength(1)
  })

  it('shows the answer for the day it hangs over, whichever comes last', async () => {
    const { state, hold, over } = useMoving()
    hold('job', 'marit', '2026-12-01')
    await asked(1)
    over('marit', '2026-12-02')
    await asked(2)
    waiting[1]!.answer(200, check('Second.'))
    await vi.waitFor(() => expect(state.moving?.check?.sentence).toBe('Second.'))
    waiting[0]!.answer(200, check('First.'))
    await new Promise((done) => setTimeout(done, 20))
    expect(state.moving?.check?.sentence).toBe('Second.')
  })

  it('says what the server refused', async () => {
    const { state, hold } = useMoving()
    hold('job', 'marit', '2020-01-01')
    await asked(1)
    waiting[0]!.answer(400, { title: 'Bad input', status: 400, detail: 'That day is past; choose today or later.' })
    await vi.waitFor(() => expect(state.moving?.failure).not.toBe(''))
  })

  it('let go is told where it was, and an answer that comes later is nobody’s', async () => {
    const { state, hold, over, letGo } = useMoving()
    hold('job', 'marit', '2026-12-01')
    over('olav', '2026-12-03')
    await asked(2)
    expect(letGo()).toMatchObject({ jobId: 'job', personId: 'olav', date: '2026-12-03' })
    waiting[1]!.answer(200, check('Too late.'))
    await new Promise((done) => setTimeout(done, 20))
    expect(state.moving).toBeNull()
    expect(letGo()).toBeNull()
  })
})
