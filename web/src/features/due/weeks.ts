import type { Schemas } from '../../api/client'
import { addDays, weekday } from '../../shared/figures/dayMath'

/** What falls due in one week; the first holds what is overdue. */
export interface DueWeek {
  monday: string
  rows: Schemas['DueRow'][]
}

/** The Monday of a day's week. */
export const mondayOf = (iso: string) => addDays(iso, -weekday(iso))

/** Rows by the week of the day that decides; what is overdue or urgent now stands in this week, what has no day is left out. */
export function byWeek(rows: Schemas['DueRow'][], today: string): DueWeek[] {
  const weeks = new Map<string, Schemas['DueRow'][]>()
  for (const row of rows) {
    if (!row.decides.date) continue
    const monday = mondayOf(row.decides.date < today ? today : row.decides.date)
    weeks.set(monday, [...(weeks.get(monday) ?? []), row])
  }
  return [...weeks].map(([monday, of]) => ({ monday, rows: of })).sort((a, b) => (a.monday < b.monday ? -1 : 1))
}

/** How the due list is grouped. */
export type Grouping = 'week' | 'site' | 'machine' | 'type' | 'rule'

export interface DueGroup {
  key: string
  rows: Schemas['DueRow'][]
}

/** Rows under their site, kind of machine, type or deciding rule; inside each the first due first. */
export function grouped(rows: Schemas['DueRow'][], of: (row: Schemas['DueRow']) => string): DueGroup[] {
  const groups = new Map<string, Schemas['DueRow'][]>()
  const dated = rows.filter((r) => r.decides.date).sort((a, b) => (a.decides.date! < b.decides.date! ? -1 : 1))
  for (const row of dated) groups.set(of(row), [...(groups.get(of(row)) ?? []), row])
  return [...groups].map(([key, own]) => ({ key, rows: own })).sort((a, b) => a.key.localeCompare(b.key))
}
