import { afterEach, describe, expect, it } from 'vitest'
import { effectScope, nextTick, ref, type EffectScope } from 'vue'
import type { Entry } from '../../../offline/entries'
import { useUntold } from './useUntold'

const scopes: EffectScope[] = []
afterEach(() => {
  scopes.splice(0).forEach((s) => s.stop())
  localStorage.clear()
})
function page(named = false) {
  const scope = effectScope()
  scopes.push(scope)
  const [person, said] = [ref(named), [] as Entry[]]
  return {
    person,
    said,
    scope,
    ...scope.run(() =>
      useUntold(
        'v1',
        () => person.value,
        (...e) => void said.push(...e),
      ),
    )!,
  }
}
const tick: Entry = { kind: 'ticked', step: 'battery', on: true }

describe('what is said before anybody has said who it is', () => {
  it('waits, and goes down once under the name that is chosen', async () => {
    const bench = page()
    bench.hold(tick)
    expect([bench.untold.value, bench.said]).toEqual([1, []])

    bench.person.value = true
    await nextTick()
    expect([bench.untold.value, bench.said]).toEqual([0, [tick]])
    bench.person.value = false
    await nextTick()
    bench.person.value = true
    await nextTick()
    expect(bench.said).toEqual([tick])
  })

  it('survives a reload, and a name chosen elsewhere meanwhile', async () => {
    const before = page()
    before.hold(tick)
    await nextTick()
    before.scope.stop()

    expect(page().untold.value).toBe(1)
    expect(page(true).said).toEqual([tick])
  })
})
