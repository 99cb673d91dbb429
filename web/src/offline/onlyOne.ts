import { newId } from '../api/newId'
import { store } from './store'

const leaseMs = 20_000
const me = newId()

/**
 * Does something that only one tab may do at a time: under a lock where the browser has them, else under a lease in the store. Without waiting it
 * gives undefined where another has it.
 *
 *     await onlyOne('send', () => sendAll())
 */
export async function onlyOne<T>(name: string, work: () => Promise<T>): Promise<T | undefined> {
  const locks = navigator.locks as LockManager | undefined
  if (locks) return locks.request(`zd-${name}`, { ifAvailable: true }, (lock) => (lock ? work() : undefined))
  if (!(await takeLease(name))) return undefined
  try {
    return await work()
  } finally {
    const db = await store()
    if ((await db.get('leases', name))?.holder === me) await db.delete('leases', name)
  }
}

async function takeLease(name: string): Promise<boolean> {
  const tx = (await store()).transaction('leases', 'readwrite')
  const lease = await tx.store.get(name)
  const isFree = !lease || lease.holder === me || lease.until < Date.now()
  if (isFree) await tx.store.put({ name, holder: me, until: Date.now() + leaseMs })
  await tx.done
  return isFree
}
