import { toRefusal } from '../api/refusal'
import { CoreGone } from './coreGone'

type Reply = { ready?: true; failed?: string; id?: number; answer?: string; failure?: string }
interface Asked {
  answer: (text: string) => void
  fail: (reason: unknown) => void
}

let worker: Worker | null = null
let started: Promise<void> | null = null
let next = 0
const asked = new Map<number, Asked>()

/** Starts the core in its worker, if it is not there yet: when a visit or Pocket needs it, and not before. */
export function startTablet(): Promise<void> {
  return (started ??= new Promise<void>((resolve, reject) => {
    const start = performance.now()
    worker = new Worker(new URL('./tabletWorker.ts', import.meta.url), { type: 'module', name: 'tablet core' })
    const gone = () => {
      // The next call tries anew: the network may be back by then.
      worker?.terminate()
      ;[worker, started] = [null, null]
      for (const waiting of asked.values()) waiting.fail(new CoreGone())
      asked.clear()
      reject(new CoreGone())
    }
    worker.onerror = gone
    worker.onmessage = ({ data }: MessageEvent<Reply>) => {
      if (data.ready) {
        timed('core start', start)
        return resolve()
      }
      if (data.failed !== undefined) return gone()
      const waiting = asked.get(data.id!)
      asked.delete(data.id!)
      if (data.answer !== undefined) waiting?.answer(data.answer)
      else waiting?.fail(new Error(data.failure))
    }
  }))
}

/** Asks the core: the answer's text as it is, or a `Refusal` with the core's own sentence. */
export async function askTablet<T>(name: string, request: unknown): Promise<T> {
  await startTablet()
  const start = performance.now()
  const text = await new Promise<string>((answer, fail) => {
    asked.set(++next, { answer, fail })
    worker!.postMessage({ id: next, name, json: JSON.stringify(request) })
  })
  timed(`core ${name}`, start)
  const end = text.indexOf('\n')
  const [status, body] = [Number(text.slice(0, end)), JSON.parse(text.slice(end + 1)) as unknown]
  if (status !== 200) throw toRefusal(body, status)
  return body as T
}

/** Told to whoever measures, and kept by nobody. */
function timed(what: string, start: number): void {
  performance.measure(what, { start })
  performance.clearMeasures(what)
}
