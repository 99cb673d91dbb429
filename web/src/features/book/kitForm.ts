import type { Schemas } from '../../api/client'
import { notHours, typedHours } from '../../shared/figures/typedHours'
import { notANumber, typedNumber } from '../../shared/figures/typedNumber'

/** What a job takes, as it is typed. */
export const emptyKit = () => ({
  fasteners: [] as { use: string; size: string; torque: string }[],
  gaskets: [] as { name: string; count: string; singleUse: boolean }[],
  tools: '',
  gasketHours: '',
  hotMinutes: '',
  resetHotHours: '',
  sameWithin: '',
  shimDiameter: '',
  screwFree: '',
  narrowBlade: false,
})
export type KitForm = ReturnType<typeof emptyKit>

const shown = (n: number | null | undefined) => (n == null ? '' : String(n))

export const kitOf = (type: Schemas['EngineTypeResponse']): KitForm => ({
  fasteners: type.fasteners.map((f) => ({ use: f.use ?? '', size: f.size ?? '', torque: shown(f.torqueNm) })),
  gaskets: type.gaskets.map((g) => ({ name: g.name ?? '', count: shown(g.count), singleUse: g.singleUse ?? false })),
  tools: type.scarceTools.join('\n'),
  gasketHours: shown(type.gasketHours),
  hotMinutes: shown(type.hotMinutes),
  resetHotHours: shown(type.resetHotHours),
  sameWithin: shown(type.sameWithinMm),
  shimDiameter: shown(type.shimDiameterMm),
  screwFree: shown(type.screwFreeMm),
  narrowBlade: type.narrowBlade,
})

/** What can be told wrong before anything is sent, by field. */
export function kitComplaints(kit: KitForm): Record<string, string | undefined> {
  const complaints: Record<string, string | undefined> = {
    gasketHours: notHours(kit.gasketHours),
    hotMinutes: notANumber(kit.hotMinutes),
    resetHotHours: notHours(kit.resetHotHours),
    sameWithinMm: notANumber(kit.sameWithin),
    shimDiameterMm: notANumber(kit.shimDiameter),
    screwFreeMm: notANumber(kit.screwFree),
  }
  kit.fasteners.forEach((f, i) => (complaints[`fasteners[${i}].torqueNm`] = notANumber(f.torque)))
  kit.gaskets.forEach((g, i) => (complaints[`gaskets[${i}].count`] = notANumber(g.count)))
  return complaints
}

/** As the server wants it; numbers that were emptied are named, since nothing given leaves what stands. */
export function kitRequest(kit: KitForm) {
  const numbers = {
    gasketHours: typedHours(kit.gasketHours) ?? null,
    hotMinutes: typedNumber(kit.hotMinutes) ?? null,
    resetHotHours: typedHours(kit.resetHotHours) ?? null,
    sameWithinMm: typedNumber(kit.sameWithin) ?? null,
    shimDiameterMm: typedNumber(kit.shimDiameter) ?? null,
    screwFreeMm: typedNumber(kit.screwFree) ?? null,
  }
  return {
    fasteners: kit.fasteners.map((f) => ({
      use: f.use.trim(),
      size: f.size.trim() || null,
      torqueNm: typedNumber(f.torque) ?? null,
      count: null,
    })),
    gaskets: kit.gaskets.map((g) => ({
      name: g.name.trim(),
      count: typedNumber(g.count) ?? 1,
      singleUse: g.singleUse,
    })),
    scarceTools: kit.tools
      .split('\n')
      .map((t) => t.trim())
      .filter(Boolean),
    narrowBlade: kit.narrowBlade,
    ...numbers,
    emptied: Object.entries(numbers).flatMap(([name, n]) => (n === null ? [name] : [])),
  }
}
