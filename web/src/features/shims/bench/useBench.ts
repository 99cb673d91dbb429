import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { Schemas } from '../../../api/client'
import { queries } from '../../../api/queries'
import { useAddressed } from '../../../shared/address/useAddressed'

export type Bench = Schemas['BenchResponse']
export type BenchPoint = Schemas['BenchPointResponse']
export type Pin = { point: string; shimMm: number }

/** Choices made by hand as they stand in an address: 2E=2.675~Lorry 6 3E=2.7. */
export const pinsOf = (text: string): Pin[] =>
  text
    .split('~')
    .map((part) => {
      const at = part.lastIndexOf('=')
      return { point: part.slice(0, at), shimMm: Number(part.slice(at + 1)) }
    })
    .filter((pin) => pin.point && pin.shimMm > 0)
export const pinsText = (pins: Pin[]) => pins.map((pin) => `${pin.point}=${pin.shimMm}`).join('~')

/** The bench: what lies on it, how it is decided, and the choices made by hand; all of it in the address, so that nothing chosen is lost. */
export function useBench() {
  const visits = useAddressed('visits')
  const policy = useAddressed('policy', 'leaveGoodAlone')
  const loose = useAddressed('loose')
  const chosen = useAddressed('chosen')
  const pins = computed(() => pinsOf(chosen.value))
  const body = computed((): Schemas['BenchRequest'] => ({
    visits: visits.value.split(',').filter(Boolean),
    policy: policy.value as Schemas['ShimPolicy'],
    keepLoose: loose.value === 'yes',
    pins: pins.value,
  }))
  const query = useQuery(() => ({ ...queries.shimBench(body.value), placeholderData: keepPreviousData }))
  return {
    query,
    body,
    policy,
    loose,
    visits,
    pins,
    pin(point: string, shimMm: number) {
      chosen.value = pinsText([...pins.value.filter((p) => p.point !== point), { point, shimMm }])
    },
    free(point?: string) {
      chosen.value = point ? pinsText(pins.value.filter((p) => p.point !== point)) : ''
    },
    add(visit: string) {
      visits.value = `${visits.value},${visit}`
      chosen.value = ''
    },
    take(visit: string) {
      visits.value = visits.value
        .split(',')
        .filter((v) => v !== visit)
        .join(',')
      chosen.value = ''
    },
  }
}
