import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import BenchRows from './BenchRows.vue'
import { pinsOf, pinsText, type Bench, type BenchPoint } from './useBench'

const point = (id: string, more: Partial<BenchPoint>): BenchPoint => ({
  id,
  visitId: 'v',
  label: id,
  kind: 'exhaust',
  standing: 'placed',
  minMm: 0.35,
  maxMm: 0.45,
  targetMm: 0.4,
  gapFromMm: 0.3,
  gapToMm: 0.3,
  gapMm: 0.3,
  state: 'tight',
  fittedMm: 2.7,
  shimMm: 2.7,
  from: 'own',
  predictedMm: 0.3,
  inWindow: false,
  pinned: false,
  why: '',
  options: [],
  ...more,
})
const bench = {
  engines: [{ visitId: 'v', engine: 'Lorry', unit: 'mm' }],
  drawers: [{ id: 'd', name: 'Kit', held: [] }],
  points: [
    point('1E', { from: 'stock', drawerId: 'd', shimMm: 2.6, predictedMm: 0.4 }),
    point('2E', { from: 'point', fromPoint: '1E', shimMm: 2.7 }),
    point('3E', { standing: 'shimUnknown', fittedMm: null, from: null }),
    point('4E', { gapFromMm: null, gapToMm: 0.05, gapMm: null, standing: 'closedUp', from: null }),
  ],
} as unknown as Bench
const rows = () => mount(BenchRows, { props: { bench, picked: '1E', over: '' } })

describe('the rows of the bench', () => {
  beforeEach(() => setActivePinia(createPinia()))

  it('say where each shim comes from, and what a point that has none lacks', () => {
    const text = (id: string) => rows().find(`[data-point='${id}']`).text()
    expect(text('1E')).toContain('Kit')
    expect(text('2E')).toContain('from 1E')
    expect(text('3E')).toContain('measure its shim first')
    expect(text('4E')).toContain('a thinner one first')
    expect(text('4E')).toContain('< 0.05')
  })
  it('draw one swap for every shim that goes from point to point', () =>
    expect(rows().findAll('.swaps path')).toHaveLength(1))
  it('give a shim to whoever takes it, and take one only where a shim is known to go', async () => {
    const shown = rows()
    await shown.find("[data-point='2E'] .grab").trigger('pointerdown')
    expect(shown.emitted('take')![0]![1]).toBe(2.7)
    const takes = (id: string) => shown.find(`[data-point='${id}']`).attributes('data-takes')
    expect([takes('1E'), takes('3E')]).toEqual(['1E', undefined])
  })
})

describe('choices made by hand', () => {
  it('stand in the address and come back from it, also with the name of an engine', () => {
    const pins = [
      { point: 'Lorry 6 1E rear', shimMm: 2.675 },
      { point: '2E', shimMm: 2.7 },
    ]
    expect(pinsOf(pinsText(pins))).toEqual(pins)
  })
  it('that are no choice are left out', () =>
    expect(pinsOf('~=2.7~1E=~1E=x~2E=2.6')).toEqual([{ point: '2E', shimMm: 2.6 }]))
})
