import { describe, expect, it } from 'vitest'
import { csv } from './csv'

describe('a table as a file', () => {
  it('quotes what needs quoting and leaves nothing out', () => {
    expect(
      csv([
        ['point', 'found, mm'],
        ['1E', 0.32],
        ['2E "new"', null],
      ]),
    ).toBe('point,"found, mm"\n1E,0.32\n"2E ""new""",')
  })

  it('carries no formula into a spreadsheet, and lets a negative number be one', () => {
    expect(csv([['=1+1', '@name', -0.02]])).toBe("'=1+1,'@name,-0.02")
  })
})
