/** What a label says behind its cylinder, in the letters of its own book: E, or E front. */
export function letterOf(label: string): string {
  return label.replace(/^\d+/, '')
}

/** Where no book lends its letters the kind is spelt short, so that no E can be mistaken. */
export function shortKind(kind: string): string {
  return { intake: 'in', exhaust: 'ex', injector: 'inj', engineBrake: 'brk' }[kind] ?? kind
}

/** 3 exhaust; 2 intake rear. */
export function spoken(point: { cylinder: number; kind: string; place?: string | null }): string {
  return `${point.cylinder} ${kindWord(point.kind)}${point.place ? ` ${point.place}` : ''}`
}

/** What a point drives. */
export function kindWord(kind: string): string {
  return { intake: 'intake', exhaust: 'exhaust', injector: 'injector', engineBrake: 'engine brake' }[kind] ?? kind
}

/** Points as their own book calls them, one after another. */
export function inTheBook(sheet: { points: { label: string; bookName?: string | null }[] }, labels: string[]): string {
  return labels.map((label) => sheet.points.find((p) => p.label === label)?.bookName ?? label).join('  ')
}
