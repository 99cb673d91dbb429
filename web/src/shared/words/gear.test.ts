import { describe, expect, it } from 'vitest'
import { gearNamed, isFree, mustBeFree, whichLap } from './gear'

describe('what shows that a cylinder is free', () => {
  const rockers = { gear: 'rocker', each: 2 } as const
  const followers = { gear: 'follower', each: 4 } as const
  const buckets = { gear: 'bucket', each: 4 } as const
  it('is taken hold of where there is something to take hold of', () => {
    expect(whichLap(rockers, 1, 4)).toBe('Compression or overlap? Take hold of both rockers of 1, then of 4.')
    expect(gearNamed(followers)).toBe('all followers')
  })
  it('is looked at under buckets, which nobody can shake', () => {
    expect(whichLap(buckets, 1, 4)).toBe('Compression or overlap? Look at the lobes of 1, then of 4.')
    expect(isFree(buckets, 4)).toBe('lobes of 4 point away')
    expect(mustBeFree(buckets, 1, false)).toBe(
      'The lobes of 1 must point away from the buckets; if they press, turn once more, forwards.',
    )
  })
  it('sends no two-stroke round once more', () => {
    const said = mustBeFree({ gear: 'rocker', each: 1 }, 2, true)
    expect(said).toBe('The rocker of 2 must be loose. Its mark comes up once a cycle: there is no other lap.')
    expect(said).not.toContain('turn once more')
  })
})
