import { answer, api } from '../api/client'
import type { paths } from '../api/schema'
import { askTablet } from './tablet'

type CalcPath = Extract<keyof paths, `/api/calc/${string}`>
type NameOf<P> = P extends `/api/calc/${infer Name}` ? Name : never

/** The calls of the core, by name. */
export type CallName = NameOf<CalcPath>
type Post<Name extends CallName> = paths[`/api/calc/${Name}`]['post']
type JsonOf<T> = T extends { content: { 'application/json': infer Body } } ? Body : never

export type CallRequest<Name extends CallName> = JsonOf<NonNullable<Post<Name>['requestBody']>>
export type CallAnswer<Name extends CallName> = JsonOf<Post<Name>['responses'][200]>

/**
 * The one door to computation: the rules live in the core, and nothing on this side works any of them out. The core answers on this device, with
 * the server or without; only a schedule needs what the server has.
 *
 *     const { turns } = await call('screw', { measuredMm: 0.31, targetMm: 0.4, pitchMm: 1 })
 */
export function call<Name extends CallName>(name: Name, request: CallRequest<Name>): Promise<CallAnswer<Name>> {
  return name === 'schedule'
    ? (answer(api.POST('/api/calc/schedule', { body: request as CallRequest<'schedule'> })) as Promise<
        CallAnswer<Name>
      >)
    : askTablet(name, request)
}
