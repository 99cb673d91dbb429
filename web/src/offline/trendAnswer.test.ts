import { describe, expect, it } from 'vitest'
import { trendAnswer } from './trendAnswer'

describe('whether a visit counts for the trend', () => {
  it.each([
    ['counts', ['no', 'no']],
    ['warm', ['yes', 'no']],
    ['otherBlades', ['no', 'yes']],
  ] as const)('%s answers both questions', (what, answers) => {
    expect(trendAnswer(what).map((e) => e.kind === 'answered' && e.answer)).toEqual(answers)
  })
})
