import { useQuery } from '@tanstack/vue-query'
import { queries } from '../../api/queries'
import { usePreferences } from '../preferences'

/** The name of whoever works at this machine, for what is written down by name; null where nobody is chosen. */
export function useMe() {
  const preferences = usePreferences()
  const people = useQuery(() => queries.people())
  return () => people.data.value?.find((p) => p.id === preferences.person)?.name ?? null
}
