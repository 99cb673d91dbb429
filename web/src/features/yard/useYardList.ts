import { computed } from 'vue'
import type { Schemas } from '../../api/client'
import { useAddressed } from '../../shared/address/useAddressed'
import type { Figures } from '../../shared/figures/useFigures'
import { decision } from '../../shared/words/due'
import { machineNames } from '../../shared/words/machines'
import { hasWords } from '../../shared/words/search'

type Row = Schemas['DueRow']

/** Ways to look at the yard. The first is the server's own order. */
export const sorts = {
  urgency: 'By urgency',
  name: 'By name',
  site: 'By site',
  due: 'By due day',
  hours: 'By hours run',
} as const
type Sort = keyof typeof sorts

const text = new Intl.Collator('en', { numeric: true }).compare

/** Finds, filters and sorts the yard; every choice lives in the address. */
export function useYardList(rows: () => Row[], figures: Figures, soonUntil: () => string | undefined) {
  const find = useAddressed('find')
  const machine = useAddressed('kind')
  const site = useAddressed('site')
  const sort = useAddressed('sort', 'urgency')
  const until = useAddressed('until')

  /** A day in the address, of links that were kept, or what the fleet calls soon. */
  const dueBy = computed(() => (until.value === 'soon' ? soonUntil() : until.value) || '')
  const sites = computed(() => [...new Set(rows().map((r) => r.site))].sort(text))
  const found = computed(() => {
    const fits = hasWords<Row>(find.value, (row) => {
      const said = decision(row, figures)
      return `${row.name} ${row.site} ${machineNames[row.machine]} ${row.typeCode} ${said.main} ${said.below}`
    })
    return rows().filter((row) => {
      if (machine.value && row.machine !== machine.value) return false
      if (site.value && row.site !== site.value) return false
      if (dueBy.value && !(row.findings.length > 0 || (row.decides.date && row.decides.date <= dueBy.value)))
        return false
      return fits(row)
    })
  })
  const orders: Record<Exclude<Sort, 'urgency'>, (a: Row, b: Row) => number> = {
    name: (a, b) => text(a.name, b.name),
    site: (a, b) => text(a.site, b.site),
    due: (a, b) => text(a.decides.date ?? '9999', b.decides.date ?? '9999'),
    hours: (a, b) => b.shownHours - a.shownHours,
  }
  const sorted = computed(() => {
    const order = orders[sort.value as Exclude<Sort, 'urgency'>]
    return order ? [...found.value].sort(order) : found.value
  })
  const isNarrowed = computed(() => !!(find.value || machine.value || site.value || until.value))
  function clear() {
    ;[find.value, machine.value, site.value, until.value] = ['', '', '', '']
  }
  return { find, machine, site, sort, until, dueBy, sites, sorted, isNarrowed, clear }
}
