import { csvFormatRows } from 'd3-dsv'

/** Rows as CSV; a cell that a spreadsheet would take for a formula is kept as text. */
export function csv(rows: (string | number | null | undefined)[][]): string {
  return csvFormatRows(
    rows.map((row) =>
      row.map((cell) => {
        const text = cell == null ? '' : String(cell)
        return typeof cell === 'string' && /^[=+\-@\t\r]/.test(text) ? `'${text}` : text
      }),
    ),
  )
}

/** Gives a text to the browser as a file. */
export function saveText(name: string, text: string, type: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }))
  const link = Object.assign(document.createElement('a'), { href: url, download: name })
  link.click()
  setTimeout(() => URL.revokeObjectURL(url), 10_000)
}
