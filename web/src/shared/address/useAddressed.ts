import { computed, type WritableComputedRef } from 'vue'
import { useRoute, useRouter, type LocationQuery } from 'vue-router'

let next: LocationQuery | null = null

/**
 * A choice that lives in the address, so that a link, a reload and Back keep it; left out where it is the usual one.
 *
 *     const site = useAddressed('site')
 *     const sort = useAddressed('sort', 'urgency')
 */
export function useAddressed(name: string, usual = ''): WritableComputedRef<string> {
  const route = useRoute()
  const router = useRouter()
  return computed({
    get: () => (typeof route.query[name] === 'string' ? (route.query[name] as string) : usual),
    set: (value) => {
      // Two choices changed in one moment must not undo each other.
      const query = { ...(next ?? route.query) }
      if (value && value !== usual) query[name] = value
      else delete query[name]
      next = query
      void router.replace({ query, hash: route.hash }).finally(() => (next = null))
    },
  })
}
