import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h } from 'vue'
import { Refusal } from '../../api/client'
import Field from '../fields/Field.vue'
import { toasts } from '../toasts/toasts'
import FormEnd from './FormEnd.vue'
import { useForm, type FormOptions } from './useForm'

/** A form of two fields, as any dialog has them. */
function drawn(options: FormOptions<string>) {
  const Form = defineComponent({
    setup() {
      const form = useForm(options)
      return () =>
        h('form', { onSubmit: (e: Event) => (e.preventDefault(), form.submit(e)) }, [
          ...['name', 'hours'].map((name) =>
            h(
              Field,
              { name, label: name, hint: `hint of ${name}` },
              { default: ({ bind }: { bind: object }) => h('input', { ...bind, 'data-name': name }) },
            ),
          ),
          h(FormEnd, null, { default: () => 'Save' }),
        ])
    },
  })
  return mount(Form, { attachTo: document.body })
}
const field = (form: ReturnType<typeof drawn>, name: string) => form.find<HTMLInputElement>(`[data-name=${name}]`)

beforeEach(() => {
  document.body.innerHTML = ''
  toasts.value = []
})

describe('a form', () => {
  it('names all that is missing at once, sends nothing, and puts the focus into the first', async () => {
    const send = vi.fn(() => Promise.resolve('done'))
    const form = drawn({ check: () => ({ name: 'Give a name.', hours: 'Give the hours.' }), send })
    await form.trigger('submit')
    await flushPromises()

    expect(form.findAll('.complaint').map((c) => c.text())).toEqual(['Give a name.', 'Give the hours.'])
    expect(send).not.toHaveBeenCalled()
    expect(document.activeElement).toBe(field(form, 'name').element)
    expect(field(form, 'name').attributes('aria-describedby')).toBe(form.findAll('.complaint')[0]!.attributes('id'))
  })

  it('says a refusal beside the field it belongs to, by the server’s name for it, nested names too', async () => {
    const refusal = new Refusal('No.', 400, { 'hours[0].value': ['Below the last reading.'] }, {})
    const form = drawn({ send: () => Promise.reject(refusal) })
    await form.trigger('submit')
    await flushPromises()

    expect(form.findAll('.complaint').map((c) => c.text())).toEqual(['Below the last reading.'])
    expect(document.activeElement).toBe(field(form, 'hours').element)
    expect(field(form, 'hours').attributes('aria-invalid')).toBe('true')
  })

  it('says at its end what belongs to no field that is shown', async () => {
    const form = drawn({ send: () => Promise.reject(new Refusal('The engine is open.', 409, { version: ['x'] }, {})) })
    await form.trigger('submit')
    await flushPromises()

    expect(form.findAll('.complaint').map((c) => c.text())).toEqual(['The engine is open.'])
  })

  it('keeps what was typed when the server is gone, and says so', async () => {
    const form = drawn({ send: () => Promise.reject(new TypeError('network')) })
    await field(form, 'name').setValue('Pump')
    await form.trigger('submit')
    await flushPromises()

    expect(field(form, 'name').element.value).toBe('Pump')
    expect(form.text()).toContain('The server cannot be reached. What you typed is still here')
  })

  it('is busy while it is sent, and takes a second press for none', async () => {
    let finish: (made: string) => void = () => undefined
    const send = vi.fn(() => new Promise<string>((resolve) => (finish = resolve)))
    const form = drawn({ send })
    await form.trigger('submit')
    await form.trigger('submit')
    await flushPromises()

    expect(send).toHaveBeenCalledTimes(1)
    expect(form.find('button').attributes('disabled')).toBeDefined()
    expect(form.find('button').text()).toBe('Saving…')
    finish('done')
    await flushPromises()
    expect(form.find('button').text()).toBe('Save')
  })

  it('says what was done, with the way back where there is one', async () => {
    const undo = vi.fn(() => Promise.resolve())
    const then = vi.fn()
    const form = drawn({ send: () => Promise.resolve('Lorry 4'), done: (made) => `${made} is kept.`, undo, then })
    await form.trigger('submit')
    await flushPromises()

    expect(toasts.value.map((t) => t.text)).toEqual(['Lorry 4 is kept.'])
    expect(then).toHaveBeenCalledWith('Lorry 4')
    await toasts.value[0]!.undo!()
    expect(undo).toHaveBeenCalledWith('Lorry 4')
  })

  it('shows a hint until there is something to complain of', async () => {
    let missing: string | undefined = 'Give a name.'
    const form = drawn({ check: () => ({ name: missing }), send: () => Promise.resolve('x') })
    expect(form.text()).toContain('hint of name')
    await form.trigger('submit')
    await flushPromises()
    expect(form.text()).not.toContain('hint of name')
    missing = undefined
    await form.trigger('submit')
    await flushPromises()
    expect(form.text()).toContain('hint of name')
  })
})
