import { describe, expect, it } from 'vitest'
import { readTyped } from './read'
import type { Ask } from './tool'

const asks = [
  { kind: 'length', name: 'gap', label: 'Gap' },
  { kind: 'number', name: 'hours', label: 'Hours' },
  { kind: 'number', name: 'pitch', label: 'Pitch', when: (typed: Record<string, string>) => typed.how === 'screw' },
] as unknown as Ask[]

describe('what is typed into a calculator', () => {
  it('is a length in the screen’s unit and millimetres to the core', () => {
    expect(readTyped(asks, { gap: '0,30', hours: '' }, 'mm').read.mm('gap')).toBeCloseTo(0.3, 12)
    expect(readTyped(asks, { gap: '12', hours: '' }, 'thou').read.mm('gap')).toBeCloseTo(0.3048, 12)
    expect(readTyped(asks, { gap: '', hours: '' }, 'mm').read.mm('gap')).toBeNull()
  })
  it('names the first field that holds no number', () => {
    const { complaint } = readTyped(asks, { gap: '0.3', hours: 'many', pitch: 'wide', how: 'screw' }, 'mm')
    expect(complaint).toEqual({ name: 'hours', text: "'many' is not a number." })
  })
  it('does not ask for what is not shown', () => {
    expect(readTyped(asks, { gap: '0.3', hours: '1', pitch: 'wide', how: 'shim' }, 'mm').complaint).toBeNull()
    expect(readTyped(asks, { gap: '0.3', hours: '1', pitch: 'wide', how: 'screw' }, 'mm').complaint?.name).toBe('pitch')
  })
  it('may be several numbers or a table, parted by blanks or semicolons', () => {
    const { read } = readTyped([], { blades: '0,05 0.10; 0.15', table: '0 0.30\n\n 500; 0,28 ' }, 'mm')
    expect(read.numbers('blades')).toEqual([0.05, 0.1, 0.15])
    expect(read.lines('table')).toEqual([
      ['0', '0.30'],
      ['500', '0,28'],
    ])
    expect(read.text('nothing')).toBe('')
  })
})
