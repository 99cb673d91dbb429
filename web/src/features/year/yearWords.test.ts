import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import { byTheBook, failing, found, headline, opened, timed } from './yearWords'

const nothing: Schemas['YearFigures'] = {
  overheads: 0,
  spotChecks: 0,
  builds: 0,
  measured: 0,
  outAsFound: 0,
  set: 0,
  hoursRun: null,
  workedHours: 0,
  timed: 0,
  parts: 0,
  shims: 0,
  bookOpenings: 0,
  bookCosted: 0,
  bookHours: null,
  openings: 0,
}

describe('the words of the year', () => {
  it('says what was opened and what was found', () => {
    const year = { ...nothing, overheads: 2, spotChecks: 1, openings: 3, measured: 25, outAsFound: 1 }
    expect(opened(year)).toBe('2 overheads and 1 spot check')
    expect(headline(year)).toBe(
      '2 overheads and 1 spot check signed. Of 25 valves measured, 1 was out of limits as found.',
    )
    expect(found(year)).toBe('1 of 25 out of limits')
  })
  it('says that nothing was opened, and claims no work that was not timed', () => {
    expect(headline(nothing)).toBe('No engine was opened.')
    expect(timed(nothing)).toBe('')
    expect(found({ ...nothing, builds: 1, openings: 1 })).toBe('none measured as found')
  })
  it('sets the manual’s interval beside what was done, with the work only of types that were timed', () => {
    expect(byTheBook(nothing)).toBe('By the manual’s interval no overhead would have fallen due.')
    expect(byTheBook({ ...nothing, bookOpenings: 3, overheads: 1 })).toBe(
      'By the manual’s interval 3 overheads would have fallen due; 1 was done.',
    )
    expect(byTheBook({ ...nothing, bookOpenings: 3, bookCosted: 2, bookHours: 7.25, overheads: 2 })).toBe(
      'By the manual’s interval 3 overheads would have fallen due; 2 were done. At what overheads of each type took here, the 2 of types timed here come to 7.3 h of work.',
    )
    expect(timed({ ...nothing, workedHours: 4.04, timed: 1, openings: 2 })).toBe(
      '4.0 h of work, timed at 1 of 2 openings.',
    )
  })
  it('names a valve that wears otherwise with the visit since when', () => {
    expect(failing({ point: '3E', since: '2026-05-12' })).toBe('3E wears otherwise since 12 May 2026')
    expect(failing({ point: '2E', since: null })).toBe('2E has worn fast all its life')
  })
})
