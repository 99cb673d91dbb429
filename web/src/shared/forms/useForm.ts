import { computed, inject, nextTick, onBeforeUnmount, provide, reactive, ref, type InjectionKey } from 'vue'
import { Refusal, sentence } from '../../api/client'
import { toast } from '../toasts/toasts'

/** What a field and the end of a form need of it. */
export interface FormState {
  /** The complaint of a field, by its name on the server. */
  complaint: (name: string) => string | undefined
  /** A field that is shown, so that what belongs to no field is said at the end. */
  shows: (name: string) => void
  /** Something a field still does, such as adding a person typed there: submitting waits for it. */
  waitFor: (work: Promise<unknown>) => void
  /** A sentence that belongs to no field that is shown. */
  readonly rest: string
  readonly busy: boolean
}

const formKey: InjectionKey<FormState> = Symbol('form')

export interface FormOptions<Made> {
  /** What is wrong or missing, by field: all of it at once, before anything is sent. */
  check?: () => Record<string, string | undefined | null | false>
  send: () => Promise<Made>
  /** Said when it is done. */
  done?: (made: Made) => string
  /** The way back from it, offered beside the sentence. */
  undo?: (made: Made) => Promise<unknown>
  then?: (made: Made) => unknown
}

/**
 * One way to submit: busy while it lasts, a refusal beside its field by the server's name for it, the focus there, all that is missing named at
 * once, a word when it is done.
 *
 *     const form = useForm({ check: () => ({ name: !name.value && 'Give it a name.' }), send: () => add.mutateAsync({ name: name.value }) })
 *     // <form @submit.prevent="form.submit"> <Field name="name" …/> <FormEnd>Add it</FormEnd>
 */
export function useForm<Made>(options: FormOptions<Made>) {
  const local = ref<Record<string, string>>({})
  const failure = ref<unknown>()
  const shown = new Set<string>()
  const waits: Promise<unknown>[] = []
  let alive = true
  onBeforeUnmount(() => (alive = false))

  const ofServer = (name: string) => {
    if (!(failure.value instanceof Refusal)) return undefined
    const errors = failure.value.errors
    const key = Object.keys(errors).find((k) => k === name || k.startsWith(`${name}[`) || k.startsWith(`${name}.`))
    return key === undefined ? undefined : errors[key]?.[0]
  }
  const state = reactive({
    busy: false,
    complaint: (name: string) => local.value[name] ?? ofServer(name),
    shows: (name: string) => void shown.add(name),
    waitFor: (work: Promise<unknown>) => void waits.push(work),
    get rest(): string {
      if (!failure.value) return ''
      return [...shown].some((name) => ofServer(name)) ? '' : sentence(failure.value)
    },
    get failure() {
      return failure.value
    },
    clear() {
      local.value = {}
      failure.value = undefined
    },
    async submit(event?: Event) {
      if (state.busy) return
      const from = event?.target instanceof HTMLElement ? event.target : null
      state.busy = true
      await Promise.allSettled(waits.splice(0))
      state.busy = false
      local.value = Object.fromEntries(
        Object.entries(options.check?.() ?? {}).filter((entry): entry is [string, string] => !!entry[1]),
      )
      failure.value = undefined
      if (Object.keys(local.value).length > 0) return focusFirst(from)
      state.busy = true
      try {
        const made = await options.send()
        const undo = options.undo
        if (options.done) toast(options.done(made), undo ? () => undo(made) : undefined)
        await options.then?.(made)
      } catch (caught) {
        if (!alive) return
        failure.value = caught
        await focusFirst(from)
      } finally {
        state.busy = false
      }
    },
  })
  provide(formKey, state)
  return state
}

/** The form a field stands in, if any. */
export const useFormState = () => inject(formKey, null)

/**
 * For what hides a part of a form: whether one of the fields within has a complaint, so that it can be opened.
 */
export function useFormPart() {
  const form = useFormState()
  const within = ref(new Set<string>())
  if (form)
    provide(formKey, {
      ...form,
      complaint: (name) => form.complaint(name),
      shows(name) {
        within.value.add(name)
        form.shows(name)
      },
      waitFor: (work) => form.waitFor(work),
      get rest() {
        return form.rest
      },
      get busy() {
        return form.busy
      },
    })
  return computed(() => [...within.value].some((name) => form?.complaint(name)))
}

/** The first field with a complaint takes the focus, so that typing goes on where it must. */
async function focusFirst(from: HTMLElement | null): Promise<void> {
  await nextTick()
  const within = from?.closest('form') ?? document
  within.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
}
