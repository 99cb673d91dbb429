import { newId } from '../api/newId'

/** A short name of this device, the same for as long as it keeps its storage. */
export function deviceName(): string {
  const known = localStorage.getItem('zd-device')
  if (known) return known
  const made = `web ${newId().slice(-4)}`
  localStorage.setItem('zd-device', made)
  return made
}
