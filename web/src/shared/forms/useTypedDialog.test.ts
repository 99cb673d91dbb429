import { nextTick, ref } from 'vue'
import { beforeEach, describe, expect, it } from 'vitest'
import { useTypedDialog } from './useTypedDialog'

beforeEach(() => localStorage.clear())

/** The dialog of a type's kit, as a page newly loaded has it. */
function dialog(version = 3) {
  const open = ref(false)
  const form = useTypedDialog(
    open,
    () => `kit:t:${version}`,
    () => ({ tools: 'spanner', why: '' }),
  )
  const show = async (now: boolean) => {
    open.value = now
    await nextTick()
  }
  return { ...form, show }
}

describe('what is typed into a dialog', () => {
  it('is there again after a reload, and says so', async () => {
    const before = dialog()
    await before.show(true)
    before.typed.why = 'page 4'
    await nextTick()

    const after = dialog()
    await after.show(true)
    expect(after.typed).toEqual({ tools: 'spanner', why: 'page 4' })
    expect(after.isHalf.value).toBe(true)
  })

  it('is there again where the dialog was closed on the way', async () => {
    const { typed, isHalf, show } = dialog()
    await show(true)
    expect(isHalf.value).toBe(false)
    typed.tools = 'crowfoot'
    await nextTick()
    await show(false)
    await show(true)
    expect(typed.tools).toBe('crowfoot')
    expect(isHalf.value).toBe(true)
  })

  it('is not laid over what somebody else has changed since', async () => {
    const before = dialog()
    await before.show(true)
    before.typed.tools = 'crowfoot'
    await nextTick()

    const after = dialog(4)
    await after.show(true)
    expect(after.typed.tools).toBe('spanner')
  })

  it('is gone once it is sent, once it is begun afresh, and where nothing was typed', async () => {
    const { typed, isHalf, afresh, sent, show } = dialog()
    await show(true)
    typed.why = 'page 4'
    await nextTick()
    sent()
    await nextTick()
    await show(true)
    expect([typed.why, isHalf.value]).toEqual(['', false])

    typed.why = 'page 5'
    await nextTick()
    afresh()
    await nextTick()
    await show(false)
    await show(true)
    expect([typed.why, isHalf.value, localStorage.length]).toEqual(['', false, 0])
  })
})
