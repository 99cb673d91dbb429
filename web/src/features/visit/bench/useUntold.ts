import { computed, watch } from 'vue'
import type { Entry } from '../../../offline/entries'
import { useTyped } from '../../../shared/forms/useTyped'

/**
 * Nothing is written down under nobody's name: what is said while nobody is chosen waits, over a reload too, and is said once somebody is.
 *
 *     const { hold, untold } = useUntold(props.id, () => !!view.value && !!preferences.person, say)
 */
export function useUntold(visitId: string, isNamed: () => boolean, say: (...entries: Entry[]) => void) {
  const { typed } = useTyped<{ entries: Entry[] }>(`untold:${visitId}`, { entries: [] })
  function hold(...entries: Entry[]) {
    typed.entries.push(...entries)
  }
  watch(
    isNamed,
    (named) => {
      const waited = named ? typed.entries.splice(0) : []
      if (waited.length) say(...waited)
    },
    { immediate: true },
  )
  return { hold, untold: computed(() => typed.entries.length) }
}
