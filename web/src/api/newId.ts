let last = 0
let counter = 0

/**
 * A UUIDv7 made on this machine, so that the same request can be sent twice without harm. Those made here one after another also sort in that
 * order, within a millisecond too.
 */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(16))
  const now = Math.max(Date.now(), last)
  counter = now === last ? counter + 1 : 0
  last = now
  for (let i = 0; i < 6; i++) bytes[i] = Math.floor(now / 2 ** (8 * (5 - i))) % 256
  bytes[6] = 0x70 | ((counter >> 8) & 0x0f)
  bytes[7] = counter & 0xff
  bytes[8] = ((bytes[8] ?? 0) & 0x3f) | 0x80
  const hex = [...bytes].map((b) => b.toString(16).padStart(2, '0')).join('')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-${hex.slice(12, 16)}-${hex.slice(16, 20)}-${hex.slice(20)}`
}
