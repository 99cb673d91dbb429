import { useElementSize } from '@vueuse/core'
import { computed, type Ref } from 'vue'

/** The width a drawing has on the screen, px, so that its text keeps its size however narrow it is. Until it is known, the usual one. */
export function useDrawnWidth(box: Readonly<Ref<HTMLElement | null>>, usual: number, least = 240) {
  const { width } = useElementSize(box)
  return computed(() => (width.value > 0 ? Math.max(least, width.value) : usual))
}
