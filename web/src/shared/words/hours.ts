/** Where a figure of hours came from. */
export const sourceWords: Record<string, string> = {
  round: 'the round',
  table: 'a table',
  telematics: 'telematics',
  can: 'a bus log',
}
