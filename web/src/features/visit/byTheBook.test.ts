import { describe, expect, it } from 'vitest'
import { notAnAmount } from './byTheBook'

describe('an amount that a point was set by', () => {
  it.each(['0.5', '0,5', '.75', '78.2', '1/2', '13/16', '1 1/4', ''])('%s may stand', (text) =>
    expect(notAnAmount(text)).toBeUndefined(),
  )

  it.each(['half', '1/0', '-0.5', '0.5 turns', '1.2.3', '1/2/3'])('%s is asked again', (text) =>
    expect(notAnAmount(text)).toBe(`'${text}' is no amount: give a figure or a fraction, such as 0.5 or 1/2.`),
  )
})
