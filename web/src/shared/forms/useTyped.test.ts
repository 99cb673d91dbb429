import { nextTick } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { useTyped } from './useTyped'

beforeEach(() => localStorage.clear())

describe('what is typed into a form', () => {
  it('is there again after a reload, beside what has come to the form since', async () => {
    const before = useTyped('open:e', { hours: '', person: 'tove' })
    before.typed.hours = '1200'
    await nextTick()

    expect(useTyped('open:e', { hours: '', person: 'tove', tray: 'Set 1' }).typed).toEqual({
      hours: '1200',
      person: 'tove',
      tray: 'Set 1',
    })
    expect(useTyped('open:another', { hours: '' }).typed.hours).toBe('')
  })

  it('is forgotten once it has been sent', async () => {
    const form = useTyped('open:e', { hours: '' })
    form.typed.hours = '1200'
    await nextTick()
    form.forget()
    form.typed.hours = '1300'
    await nextTick()

    expect(useTyped('open:e', { hours: '' }).typed.hours).toBe('')
  })

  it('is forgotten after half a day', async () => {
    const form = useTyped('open:e', { hours: '' })
    form.typed.hours = '1200'
    await nextTick()
    vi.spyOn(Date, 'now').mockReturnValue(Date.now() + 13 * 3_600_000)

    expect(useTyped('open:e', { hours: '' }).typed.hours).toBe('')
  })

  it('passes over what it cannot read', () => {
    localStorage.setItem('zd-typed:open:e', '{half')
    expect(useTyped('open:e', { hours: '5' }).typed.hours).toBe('5')
  })
})
