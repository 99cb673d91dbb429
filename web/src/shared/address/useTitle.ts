import { watchEffect } from 'vue'

/**
 * The title of the tab, so that twenty of them can be told apart. Until its name is known the page keeps the address's own.
 *
 *     useTitle(() => engine.data.value?.row.name)
 */
export function useTitle(title: () => string | null | undefined | false): void {
  watchEffect(() => {
    const now = title()
    if (now) document.title = `${now} · Zero Drift`
  })
}
