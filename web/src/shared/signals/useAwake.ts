import { useWakeLock } from '@vueuse/core'
import { onBeforeUnmount, watch } from 'vue'

/** Keeps the screen awake while a bench is shown; where the browser cannot, nothing happens. */
export function useAwake(wanted: () => boolean): void {
  const lock = useWakeLock()
  watch(
    wanted,
    (now) => {
      if (!lock.isSupported.value) return
      void (now ? lock.request('screen') : lock.release()).catch(() => undefined)
    },
    { immediate: true },
  )
  onBeforeUnmount(() => void lock.release().catch(() => undefined))
}
