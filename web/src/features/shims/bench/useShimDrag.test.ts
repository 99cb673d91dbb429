import { mount } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { defineComponent } from 'vue'
import { useShimDrag } from './useShimDrag'

const letGo = vi.fn()
let drag: ReturnType<typeof useShimDrag>
const bench = mount(
  defineComponent({
    setup() {
      drag = useShimDrag(letGo)
      return () => null
    },
  }),
)
const at = (type: string, x: number, y: number) =>
  window.dispatchEvent(Object.assign(new Event(type), { clientX: x, clientY: y, pointerId: 1, button: 0 }))
const down = (x: number, y: number, mm: number) =>
  drag.take({ clientX: x, clientY: y, pointerId: 1, button: 0 } as PointerEvent, mm)
function pointUnder(id: string | null) {
  const row = document.createElement('div')
  if (id) row.dataset.takes = id
  vi.spyOn(document, 'elementFromPoint').mockReturnValue(row)
}

afterEach(() => letGo.mockReset())

describe('a shim dragged by finger', () => {
  it('is let go over the point under it', () => {
    pointUnder('1E')
    down(10, 10, 2.7)
    at('pointermove', 40, 60)
    expect([drag.dragged.value, drag.over.value]).toEqual([2.7, '1E'])
    at('pointerup', 40, 60)
    expect(letGo).toHaveBeenCalledWith('1E', 2.7)
    expect(drag.dragged.value).toBeNull()
  })

  it('stays where it is for a tap that trembles, and beside every point', () => {
    pointUnder('1E')
    down(10, 10, 2.7)
    at('pointermove', 12, 11)
    at('pointerup', 12, 11)
    pointUnder(null)
    down(10, 10, 2.7)
    at('pointermove', 80, 80)
    at('pointerup', 80, 80)
    expect(letGo).not.toHaveBeenCalled()
  })

  it('is not taken along by a bench that is gone', () => {
    pointUnder('1E')
    down(10, 10, 2.7)
    at('pointermove', 40, 60)
    bench.unmount()
    at('pointerup', 40, 60)
    expect(letGo).not.toHaveBeenCalled()
  })
})
