import type { Schemas } from '../../api/client'

/** Where a step of a type belongs. */
export const stepListNames: Record<Exclude<Schemas['StepList'], 'makeSafe'>, string> = {
  kit: 'to bring',
  covers: 'before the covers',
  stop: 'at a crank angle, first',
  point: 'at a point, before its as-left',
  beforeCloseUp: 'after the last point',
  closeUp: 'closing up',
}

type Step = Schemas['StepRecord']

/** What a step says, by its name; the name alone where it is not known. */
export const stepText = (steps: Step[] | undefined, key: string) => steps?.find((s) => s.step === key)?.text ?? key
