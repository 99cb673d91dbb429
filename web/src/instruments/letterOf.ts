/** The letter behind a cylinder's number: 4E, 2I; J an injector, B an engine brake. */
export function letterOf(kind: string): string {
  return { intake: 'I', exhaust: 'E', injector: 'J', engineBrake: 'B' }[kind] ?? '?'
}
