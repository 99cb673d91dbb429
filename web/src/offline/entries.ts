import type { Schemas } from '../api/client'

export type Stage = Schemas['ReadingStage']
export type Felt = Schemas['Feel']

/** What was seen of one valve. */
export type Sign = {
  cylinder: number
  kind: Schemas['LashKind']
  state: Schemas['ValveState']
}

/** Ways of working, as chosen on the way. */
export type Chosen = {
  method?: Schemas['TurningMethod']
  order?: Schemas['PointOrder']
  setting?: Schemas['SettingOrder']
  judging?: Schemas['JudgingSchool']
  manner?: Schemas['SettingManner']
  measuring?: Schemas['MeasuringMeans']
  turnedBy?: string
  tray?: { setId?: string; unit: string; blades: string[] }
}

/** What a device adds to a visit: one of these a line. The fields are the contract's. */
export type Entry =
  | {
      kind: 'opened'
      engineId: string
      job: Schemas['JobKind']
      date: string
      shownHours?: number | null
      contextId?: string
      method?: Schemas['TurningMethod']
      order?: Schemas['PointOrder']
      setting?: Schemas['SettingOrder']
      tray?: { setId?: string; unit: string; blades: string[] }
      instruments?: string[]
      bench?: boolean
      jobId?: string
      continues?: string
    }
  | ({ kind: 'chose' } & Chosen)
  | { kind: 'ticked'; step: string; on: boolean; said?: string }
  | {
      kind: 'conditionStated'
      condition: string
      engineTemperatureC?: number | null
      hoursStanding?: number
      measureAnyway?: boolean
    }
  | { kind: 'positionProved'; crankDeg?: number; points?: string[]; signs?: Sign[]; said?: string }
  | { kind: 'barredTo'; crankDeg: number }
  | {
      kind: 'tried'
      reading: string
      point: string
      stage: Stage
      blades: string[]
      unit: string
      feel: Felt
      bladeSet?: string
      unproved?: boolean
    }
  | {
      kind: 'figureRead'
      reading: string
      point: string
      stage: Stage
      figure: string
      unit: string
      with: 'figure' | 'dial'
      claimedBy?: string
      unproved?: boolean
    }
  | {
      kind: 'shimRead'
      point: string
      stage: Stage
      thickness: string
      unit: string
      how: Schemas['ShimKnownBy']
    }
  | {
      kind: 'partChanged'
      points?: string[]
      cylinder?: number
      whole?: boolean
      part: string
      why: string
      cutMm?: number
    }
  | { kind: 'startState'; point: string; state: Schemas['StartState'] }
  | { kind: 'kept'; reading: string; sure?: boolean }
  | { kind: 'dropped'; reading: string }
  | {
      kind: 'outcome'
      point: string
      outcome: Schemas['PointOutcome']
      why?: string
      amount?: string
      unit?: string
      contact?: string
      pass?: number
      waitMinutes?: number
      old?: string
      new?: string
      movementId?: string
    }
  | {
      kind: 'answered'
      question: 'warm' | 'otherBlades' | 'swapped'
      answer: 'yes' | 'no' | 'unknown'
      points?: string[]
    }
  | { kind: 'marked'; name: string; crankDeg: number; trap?: boolean }
  | { kind: 'noted'; text: string; point?: string; photo?: string; customer?: string }
  | { kind: 'undone'; entry: string }
  | { kind: 'abandoned'; why: string }
  | { kind: 'signed'; remark?: string }
  | { kind: 'corrected'; entry: string; why: string; fields: Record<string, unknown> }
  | { kind: 'countersigned'; readings: { point: string; figure: string; unit: string }[] }
  | { kind: 'admitted'; entries: string[]; why: string }

/** An entry as it is written down and sent. */
export type WrittenEntry = Entry & { id: string; at: string; by: string; device: string }

export type Outcome = Schemas['EntryOutcomeResponse']
