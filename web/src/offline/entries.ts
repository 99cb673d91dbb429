import type { Schemas } from '../api/client'

export type Stage = Schemas['ReadingStage']
export type Felt = Schemas['Feel']

/** What every line bears, which the device adds as it writes it down. */
type Stamp = 'id' | 'at' | 'by' | 'device'
type Unstamped<T> = T extends unknown ? Omit<T, Stamp> : never

/** What a device adds to a visit: one of these a line, as the contract has them. A pause is told after it, with its own time; all else is of now. */
export type Entry = Unstamped<Schemas['EntryRequest']> & { at?: string }

/** The entry of one kind. */
export type EntryOf<K extends Entry['kind']> = Extract<Entry, { kind: K }>

/** Ways of working, as chosen on the way. */
export type Chosen = Omit<EntryOf<'chose'>, 'kind'>

/** What was seen of one valve. */
export type Sign = NonNullable<NonNullable<EntryOf<'positionProved'>['signs']>[number]>

/** An entry as it is written down and sent. */
export type WrittenEntry = Entry & { id: string; at: string; by: string; device: string }

export type Outcome = Schemas['EntryOutcomeResponse']
