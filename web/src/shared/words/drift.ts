import type { Schemas } from '../../api/client'
import { day } from '../figures/days'
import { hours } from '../figures/hours'
import type { Figures } from '../figures/useFigures'
import { spoken } from './points'
import { verdictWords } from './verdicts'
import { engineChance, namedText, whoStandsOut } from './voice'

type Drift = Schemas['EngineDriftResponse']
type Point = Schemas['EngineDriftPointResponse']

const times: Record<number, string> = { 2: 'twice', 3: 'three times', 4: 'four times', 5: 'five times' }
const way = (rate: number) => (rate < 0 ? 'closing' : 'opening')
/** What is usual for a point's kind, mm per 1000 h. */
export const usualOf = (drift: Drift, point: Point) =>
  drift.kinds.find((k) => k.kind === point.kind)?.mmPer1000h ?? null

/** closing 0.024 ± 0.004 mm a 1000 h. */
export function rateText(point: Pick<Point, 'mmPer1000h' | 'standardErrorMmPer1000h'>, figures: Figures): string {
  if (point.mmPer1000h == null) return ''
  const error = point.standardErrorMmPer1000h
  return `${way(point.mmPer1000h)} ${figures.rate(point.mmPer1000h)}${error == null ? '' : ` ± ${figures.rate(error)}`} ${figures.unit} a 1000 h`
}

/** Found out of its window and not set, the worst first. */
export const standingOut = (drift: Drift) =>
  drift.points
    .filter((p) => p.standing === 'tight' || p.standing === 'loose')
    .sort((a, b) => (a.standing === b.standing ? 0 : a.standing === 'tight' ? -1 : 1))

/** The one sentence that says the main thing of an engine's drift. */
export function driftHeadline(drift: Drift, figures: Figures): string {
  const out = standingOut(drift)[0]
  if (out)
    return `${spoken(out)} was found ${verdictWords[out.standing!]}, ${figures.withUnit(out.lastMm)} where ${figures.figure(out.standing === 'tight' ? out.minMm : out.maxMm)} is the ${out.standing === 'tight' ? 'least' : 'most'}, and waits to be set.`
  const changed = drift.voice.named.find((n) => n.sinceHours != null)
  if (changed) return `${namedText(changed)}.`
  const fast = drift.points.find((p) => p.unlikeSiblings)
  if (fast) {
    const usual = usualOf(drift, fast)
    const ratio = usual ? Math.round(fast.mmPer1000h! / usual) : 0
    return ratio >= 2
      ? `${spoken(fast)} is ${way(fast.mmPer1000h!)} ${times[ratio] ?? `${ratio} times`} as fast as its sisters.`
      : `${spoken(fast)} is ${way(fast.mmPer1000h!)} unlike its sisters.`
  }
  const asked = drift.visits.find((v) => v.asked)
  if (asked)
    return `The visit of ${day(asked.date)} read ${figures.withUnit(Math.abs(asked.shiftMm!))} ${asked.shiftMm! < 0 ? 'tight' : 'loose'} throughout. Was the engine warm?`
  const lastOut = drift.voice.foundOut[0]
  const again = drift.voice.lookAgain[0]
  if (drift.beforeBook)
    return drift.openAfterHours! > 0
      ? `Check it by ${day(drift.openDate)}, before the manual’s date.`
      : 'Check it now, before the manual’s date.'
  if (again) return `${again.point} asks for another look.`
  if (lastOut) return `${lastOut} was out of its window when it was last found.`
  const early =
    drift.openAfterHours != null && (drift.bookHoursLeft == null || drift.openAfterHours < drift.bookHoursLeft)
  if (early)
    return `No valve is expected near its limit before the manual’s date; an early look is worth its price ${drift.openAfterHours! > 0 ? `by ${day(drift.openDate)}` : 'now'} all the same.`
  if (!drift.voice.valves) return 'Not enough found yet for a date of its own: the next one comes from the manual.'
  return 'No valve is expected out of limits before the manual’s date.'
}

/** What lies behind it: rate, odds with their day, the book. */
export function driftBelow(drift: Drift, figures: Figures): string {
  const said: string[] = []
  const point =
    standingOut(drift)[0] ??
    drift.points.find((p) => p.unlikeSiblings) ??
    drift.points.find((p) => p.label === drift.voice.points[0]?.point)
  if (point?.mmPer1000h != null) {
    const usual = usualOf(drift, point)
    said.push(
      `${point.label} ${rateText(point, figures)}${usual == null ? '' : `, its sisters ${figures.rate(usual)}`}.`,
    )
  }
  if (drift.bookHoursLeft != null)
    said.push(
      drift.bookHoursLeft > 0
        ? `The manual’s date is ${hours(drift.bookHoursLeft)} h ahead.`
        : `The manual’s date was ${hours(-drift.bookHoursLeft)} h ago.`,
    )
  if (!standingOut(drift).length) said.push(engineChance(drift.voice), whoStandsOut(drift.voice))
  return said.filter(Boolean).join(' ')
}

/** What the last visit changed: the hours at which the risk is reached, on the same scale, before and after. */
export function driftChanged(drift: Drift): string {
  const b = drift.before
  const last = drift.visits.at(-1)
  if (!b || !last) return ''
  const at = (now: number, ahead: number | null | undefined) => (ahead == null ? null : now + ahead)
  const [was, is] = [at(b.hoursNow, b.riskHours), at(drift.totalHours, drift.riskHours)]
  const visit = `The visit of ${day(last.date)}`
  if (was == null && is == null) return ''
  if (was == null) return `${visit} brought a limit in sight, at ${hours(is!)} h.`
  if (is == null) return `${visit} took the limit at ${hours(was)} h out of sight.`
  if (Math.abs(is - was) < 50) return `${visit} changed next to nothing.`
  return `${visit} moved the limit from ${hours(was)} h to ${hours(is)} h${b.decidedBy && drift.decidedBy && b.decidedBy !== drift.decidedBy ? `, and from ${b.decidedBy} to ${drift.decidedBy}` : ''}.`
}
