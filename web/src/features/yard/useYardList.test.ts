import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { defineComponent } from 'vue'
import { createMemoryHistory, createRouter } from 'vue-router'
import type { Schemas } from '../../api/client'
import type { Figures } from '../../shared/figures/useFigures'
import { useYardList } from './useYardList'

const figures = { figure: String, withUnit: String, rate: String, unit: 'mm' } as unknown as Figures
const row = (name: string, site: string, machine: string, date: string | null, hours: number, point = '') =>
  ({
    name,
    site,
    machine,
    typeCode: 'T1',
    shownHours: hours,
    hasFigures: true,
    findings: point ? [{ point, state: 'tight', mm: 0.3, limitMm: 0.35 }] : [],
    decides: { rule: 'bookHours', hours: 10, date },
  }) as unknown as Schemas['DueRow']
const rows = [
  row('Skarv port', 'North Quay', 'ferry', '2026-12-01', 18000, '4E'),
  row('Lorry 10', 'Depot', 'lorry', '2027-02-01', 900),
  row('Lorry 2', 'Depot', 'lorry', '2027-01-01', 7000),
  row('Set 1', 'Power House', 'generator', null, 300),
]

async function yard(address: string) {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/', component: { render: () => null } }],
  })
  await router.push(address)
  let list!: ReturnType<typeof useYardList>
  mount(
    defineComponent({
      setup() {
        list = useYardList(
          () => rows,
          figures,
          () => '2027-01-26',
        )
        return () => null
      },
    }),
    { global: { plugins: [router] } },
  )
  return { list, router, names: () => list.sorted.value.map((r) => r.name) }
}

describe('the yard', () => {
  it('stands in the server’s order until somebody asks for another', async () =>
    expect((await yard('/')).names()).toEqual(['Skarv port', 'Lorry 10', 'Lorry 2', 'Set 1']))

  it.each([
    ['/?sort=name', ['Lorry 2', 'Lorry 10', 'Set 1', 'Skarv port']],
    ['/?sort=due', ['Skarv port', 'Lorry 2', 'Lorry 10', 'Set 1']],
    ['/?sort=hours', ['Skarv port', 'Lorry 2', 'Lorry 10', 'Set 1']],
    ['/?sort=site', ['Lorry 10', 'Lorry 2', 'Skarv port', 'Set 1']],
    ['/?sort=nonsense', ['Skarv port', 'Lorry 10', 'Lorry 2', 'Set 1']],
    ['/?kind=lorry', ['Lorry 10', 'Lorry 2']],
    ['/?site=Power+House', ['Set 1']],
    ['/?find=power', ['Set 1']],
    ['/?find=4e+tight', ['Skarv port']],
    ['/?until=2027-01-15', ['Skarv port', 'Lorry 2']],
    ['/?kind=lorry&until=2027-01-15', ['Lorry 2']],
    ['/?find=nothing+of+the+kind', []],
  ])('at %s is what the address says', async (address, names) => expect((await yard(address)).names()).toEqual(names))

  it('keeps every choice in the address, the usual ones left out', async () => {
    const { list, router } = await yard('/')
    list.find.value = 'lorry'
    list.sort.value = 'name'
    await flushPromises()
    expect(router.currentRoute.value.fullPath).toBe('/?find=lorry&sort=name')
    expect(list.isNarrowed.value).toBe(true)

    list.sort.value = 'urgency'
    list.clear()
    await flushPromises()
    expect(router.currentRoute.value.fullPath).toBe('/')
    expect(list.isNarrowed.value).toBe(false)
  })

  it('knows its sites, each once, in order', async () =>
    expect((await yard('/')).list.sites.value).toEqual(['Depot', 'North Quay', 'Power House']))
})
