import { computed, ref } from 'vue'

/** The stretch of a life that is shown, the same in every drawing: closer, wider, along, all. */
export function useStretch(whole: () => [number, number]) {
  const own = ref<[number, number] | null>(null)
  const least = () => (whole()[1] - whole()[0]) / 40
  function set(from: number, to: number) {
    const [first, last] = whole()
    const width = Math.min(Math.max(to - from, least()), last - first)
    const begin = Math.min(Math.max(from, first), last - width)
    own.value = width >= last - first ? null : [begin, begin + width]
  }
  const shown = () => own.value ?? whole()
  /** Around its end when nothing is chosen: what comes is what matters. */
  function scale(factor: number) {
    const [from, to] = shown()
    const middle = own.value ? (from + to) / 2 : to
    const width = (to - from) * factor
    set(middle - width / 2, middle + width / 2)
  }
  return {
    stretch: computed(() => own.value),
    closer: () => scale(0.5),
    wider: () => scale(2),
    along: (share: number) => {
      const [from, to] = shown()
      const step = (to - from) * share
      set(from + step, to + step)
    },
    all: () => (own.value = null),
  }
}
