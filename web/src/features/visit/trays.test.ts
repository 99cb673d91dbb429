import { describe, expect, it } from 'vitest'
import type { Schemas } from '../../api/client'
import { ownTrays, trays } from './trays'

const set = (name: string, more: Partial<Schemas['InstrumentResponse']> = {}) =>
  ({ name, kind: 'bladeSet', unit: 'mm', blades: ['0.20'], withdrawn: null, ...more }) as Schemas['InstrumentResponse']

describe('blades to measure with', () => {
  it('as they are sold go upwards and never name a blade twice', () => {
    for (const tray of trays) {
      const sizes = tray.blades.map(Number)
      expect(sizes).toEqual([...new Set(sizes)].sort((a, b) => a - b))
      expect(sizes.every((s) => s > 0)).toBe(true)
    }
  })
  it('of the fleet’s own are its blade sets in use, in their own unit', () =>
    expect(
      ownTrays([
        set('Set A'),
        set('Bent', { withdrawn: { why: 'bent' } as unknown as Schemas['InstrumentResponse']['withdrawn'] }),
        set('Dial', { kind: 'dial' }),
        set('Old', { unit: 'thou' }),
      ]).map((t) => [t.name, t.unit]),
    ).toEqual([
      ['Set A', 'mm'],
      ['Old', 'thou'],
    ]))
})
