import type { Schemas } from '../../../api/client'
import type { Point, Stage } from './useVisit'

type Reading = Schemas['SheetReadingRecord']

/** One figure on the way from found to left. */
export interface TrailStep {
  key: string
  word: string
  reading?: Reading | undefined
  /** What is measured now. */
  here: boolean
}

/** Found, then every lock in the order it was made, then what is at hand: a failed lock stands where it was. */
export function trailOf(point: Point, stage: Stage): TrailStep[] {
  const lockWord = point.locks ? 'locked' : 'set'
  const tried = [...point.attempts, point.beforeLock, point.left].filter((r) => !!r)
  let locks = 0
  const steps: TrailStep[] = tried.map((reading) => ({
    key: reading.id,
    word:
      reading.stage === 'asFound'
        ? 'looked again'
        : reading.stage === 'beforeLock'
          ? 'not locked'
          : locks++
            ? `${lockWord} again`
            : lockWord,
    reading,
    here: false,
  }))
  if (point.found) steps.unshift({ key: point.found.id, word: 'found', reading: point.found, here: false })
  if (!point.left) {
    const growing = stage === 'beforeLock' ? point.beforeLockDraft : stage === 'asLeft' ? point.leftDraft : undefined
    if (stage !== 'asFound')
      steps.push({
        key: 'now',
        word: stage === 'beforeLock' ? 'not locked' : locks ? `${lockWord} again` : lockWord,
        reading: growing ?? undefined,
        here: true,
      })
  }
  return steps
}
