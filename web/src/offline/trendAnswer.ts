import type { TrendAnswer } from '../shared/words/trend'
import type { Entry } from './entries'

/** The answer as entries: both questions are answered, whichever was meant. */
export const trendAnswer = (what: TrendAnswer): Entry[] => [
  { kind: 'answered', question: 'warm', answer: what === 'warm' ? 'yes' : 'no' },
  { kind: 'answered', question: 'otherBlades', answer: what === 'otherBlades' ? 'yes' : 'no' },
]

/** Whether two points were written down the wrong way round. */
export const swappedAnswer = (points: { first: string; second: string }, yes: boolean): Entry => ({
  kind: 'answered',
  question: 'swapped',
  answer: yes ? 'yes' : 'no',
  points: [points.first, points.second],
})
