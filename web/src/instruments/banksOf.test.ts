import { describe, expect, it } from 'vitest'
import { banksOf } from './banksOf'

const at = (label: string, bank: number, along: number) => ({
  label,
  bank,
  along,
  cylinder: Number(label.slice(0, -1)),
})

describe('points as they sit', () => {
  it('go bank by bank and front to back, whatever order they come in', () => {
    const banks = banksOf([
      at('5E', 1, 0),
      at('2E', 0, 3),
      at('1I', 0, 0),
      at('2I', 0, 2),
      at('1E', 0, 1),
      at('5I', 1, 1),
    ])
    expect(banks.map((b) => b.map((c) => [c.cylinder, c.points.map((p) => p.label).join(' ')]))).toEqual([
      [
        [1, '1I 1E'],
        [2, '2I 2E'],
      ],
      [[5, '5E 5I']],
    ])
  })
  it('of one cylinder are one cylinder', () => expect(banksOf([at('1E', 0, 0)])).toHaveLength(1))
  it('leave out a bank that has none', () => expect(banksOf([at('7E', 2, 0)])).toHaveLength(1))
})
