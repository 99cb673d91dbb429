import { onBeforeUnmount, ref } from 'vue'

/** So far a finger trembles without taking anything along. */
const trembles = 6

/**
 * A shim taken by mouse, pen or finger and let go over a point: what is dragged, and the point under it. What is taken names its thickness; a point
 * takes one that stands as `data-takes` with its id.
 *
 *     const shims = useShimDrag((point, mm) => pin(point, mm))
 *     // <span class="grab" @pointerdown="shims.take($event, 2.7)"> … <div :data-takes="point.id">
 */
export function useShimDrag(letGo: (point: string, mm: number) => void) {
  const dragged = ref<number | null>(null)
  const over = ref('')
  let taken: { x: number; y: number; mm: number; pointer: number } | null = null

  const under = (event: PointerEvent) =>
    document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[data-takes]')?.dataset.takes ?? ''

  function take(event: PointerEvent, mm: number) {
    if (event.button !== 0) return
    taken = { x: event.clientX, y: event.clientY, mm, pointer: event.pointerId }
    window.addEventListener('pointermove', move)
    window.addEventListener('pointerup', drop)
    window.addEventListener('pointercancel', end)
  }
  function move(event: PointerEvent) {
    if (!taken || event.pointerId !== taken.pointer) return
    if (dragged.value == null && Math.hypot(event.clientX - taken.x, event.clientY - taken.y) < trembles) return
    dragged.value = taken.mm
    over.value = under(event)
  }
  function drop(event: PointerEvent) {
    const mm = dragged.value
    const point = under(event)
    end()
    if (mm != null && point) letGo(point, mm)
  }
  function end() {
    taken = null
    dragged.value = null
    over.value = ''
    window.removeEventListener('pointermove', move)
    window.removeEventListener('pointerup', drop)
    window.removeEventListener('pointercancel', end)
  }
  onBeforeUnmount(end)
  return { dragged, over, take }
}
