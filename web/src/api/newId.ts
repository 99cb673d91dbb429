import { v7 } from 'uuid'

/**
 * A UUIDv7 made on this machine, so that the same request can be sent twice without harm. Those made here one after another also sort in that
 * order, within a millisecond too.
 */
export const newId = (): string => v7()
