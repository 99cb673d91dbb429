import { computed, type ComputedRef } from 'vue'
import type { Entry } from '../../../offline/entries'
import { usePreferences } from '../../../shared/preferences'
import { keptSignal } from '../../../shared/signals/keptSignal'
import { useUntold } from './useUntold'
import type { Visit } from './useVisit'

/** What is tapped becomes entries under somebody's name; while nobody is chosen they wait for one, and the name is asked for. */
export function useSaying(
  visitId: string,
  view: ComputedRef<Visit | null>,
  closed: ComputedRef<boolean>,
  add: (...entries: Entry[]) => Promise<void>,
) {
  const preferences = usePreferences()
  const nobody = computed(() => !preferences.person && !closed.value)
  const { hold, untold } = useUntold(visitId, () => !!view.value && !nobody.value, say)
  function say(...entries: Entry[]) {
    if (nobody.value) {
      hold(...entries)
      document.querySelector<HTMLElement>('.who select, .who input')?.focus()
      return
    }
    void add(...entries)
    if (entries.some((e) => e.kind === 'kept')) keptSignal(preferences.sound, preferences.buzz)
  }
  return { nobody, untold, say }
}
