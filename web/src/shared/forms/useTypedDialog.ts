import { reactive, ref, watch, type Ref } from 'vue'
import { keptTyping } from './keptTyping'

/**
 * What is typed into a dialog: filled afresh each time it opens, unless it was left half typed, by a reload or closed on the way. The key names
 * what is changed, with its version, so that nothing half typed is laid over what somebody else has changed since.
 *
 *     const { typed, isHalf, afresh, sent } = useTypedDialog(open, () => `kit:${id}:${version}`, () => ({ why: '' }))
 */
export function useTypedDialog<T extends object>(open: Ref<boolean>, key: () => string, fresh: () => T) {
  const typed = reactive(fresh()) as T
  const isHalf = ref(false)
  let kept: ReturnType<typeof keptTyping<T>> | null = null
  let untouched = ''
  watch(
    open,
    (isOpen) => {
      kept = isOpen ? keptTyping<T>(key()) : null
      if (!kept) return
      const half = kept.read()
      const start = fresh()
      untouched = JSON.stringify(start)
      isHalf.value = !!half
      Object.assign(typed, start, half)
    },
    { immediate: true },
  )
  watch(
    typed,
    (now) => {
      if (JSON.stringify(now) === untouched) kept?.forget()
      else kept?.keep(now)
    },
    { deep: true },
  )
  function afresh(): void {
    isHalf.value = false
    Object.assign(typed, fresh())
  }
  /** What was typed has gone where it belongs: forgotten, and the dialog closes. */
  function sent(): void {
    kept?.forget()
    kept = null
    open.value = false
  }
  return { typed, isHalf, afresh, sent }
}
