import { group } from 'd3-array'
import { outbox, unwritten } from '../../offline/outbox'
import { saveText } from '../../shared/figures/csv'

/** All that was not sent, as a file that the exchange of a visit takes: by visit, each in its order. */
export function saveWaiting(): void {
  const lines = [...outbox.value, ...unwritten.value]
  const visits = [...group(lines, (line) => line.visitId)].map(([visitId, rows]) => ({
    visitId,
    entries: rows.map((row) => row.entry),
  }))
  saveText('not-sent.json', JSON.stringify({ visits }, null, 2), 'application/json')
}
