/** The letter behind a cylinder's number: 4E, 2I; J an injector, B an engine brake. */
export function letterOf(kind: string): string {
  return { intake: 'I', exhaust: 'E', injector: 'J', engineBrake: 'B' }[kind] ?? '?'
}

/** 3 exhaust; 2 intake rear. */
export function spoken(point: { cylinder: number; kind: string; place?: string | null }): string {
  return `${point.cylinder} ${kindWord(point.kind)}${point.place ? ` ${point.place}` : ''}`
}

/** What a point drives. */
export function kindWord(kind: string): string {
  return { intake: 'intake', exhaust: 'exhaust', injector: 'injector', engineBrake: 'engine brake' }[kind] ?? kind
}
