import { describe, expect, it } from 'vitest'
import { useStretch } from './useStretch'

describe('the stretch of a life that is shown', () => {
  it('goes closer around what comes, moves along and never past the ends', () => {
    const s = useStretch(() => [0, 20_000])
    expect(s.stretch.value).toBeNull()
    s.closer()
    expect(s.stretch.value).toEqual([10_000, 20_000])
    s.along(-0.5)
    expect(s.stretch.value).toEqual([5_000, 15_000])
    s.along(-5)
    expect(s.stretch.value).toEqual([0, 10_000])
    s.wider()
    expect(s.stretch.value).toBeNull()
  })

  it('ends somewhere, however often one goes closer', () => {
    const s = useStretch(() => [0, 20_000])
    for (let i = 0; i < 20; i++) s.closer()
    expect(s.stretch.value![1] - s.stretch.value![0]).toBe(500)
  })
})
