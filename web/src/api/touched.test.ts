import { describe, expect, it } from 'vitest'
import { queries } from './queries'
import { restsOn, staleBy } from './touched'
import { writes } from './writes'

const roots = Object.values(queries).map((query) =>
  String((query as (...given: unknown[]) => { queryKey: readonly unknown[] })('a', 'b', 'c').queryKey[0]),
)

describe('what a write touches', () => {
  it('is known of every kind of answer, and of no other', () =>
    expect([...new Set(roots)].sort()).toEqual(Object.keys(restsOn).sort()))

  it('a meter read moves the yard, the engine, its drift, the round, the plan and what shims are wanted', () =>
    expect(staleBy('meter').map(([root]) => root)).toEqual(
      expect.arrayContaining(['yard', 'engine', 'drift', 'hours', 'jobs', 'plan', 'shims']),
    ))

  it('is said by every write', () => {
    for (const [name, write] of Object.entries(writes)) {
      expect(write.touches, name).toBeDefined()
      if (name !== 'tryDue') expect(write.touches.length, name).toBeGreaterThan(0)
    }
  })
})
