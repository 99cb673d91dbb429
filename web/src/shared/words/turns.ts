import type { Schemas } from '../../api/client'

type Stop = Pick<
  Schemas['SheetStopRecord'],
  | 'index'
  | 'crankDeg'
  | 'turnDeg'
  | 'toolTurns'
  | 'turnFromPreviousDeg'
  | 'toolTurnsFromPrevious'
  | 'compressionCylinder'
  | 'rockingCylinder'
  | 'sign'
>
type Type = { toolTurnsPerCrankTurn: number; speaksCamTurns?: boolean }
const round = (n: number) => Math.round(n * 10) / 10
const round2 = (n: number) => Math.round(n * 100) / 100

/** Degrees as they are called out: one whole turn, half a turn, 120°. */
export function degreesText(degrees: number): string {
  const d = Math.round(degrees)
  if (d === 360) return 'one whole turn'
  if (d === 180) return 'half a turn'
  return `${d}°`
}

/**
 * What to turn to come to a stop, from where the crank stands: "Bar forwards half a turn, 6 turns of the tool."
 *
 * @returns null where nobody knows where it stands and no stop came before
 */
export function turnText(stop: Stop, type: Type): string | null {
  const known = stop.turnDeg != null
  if (!known && stop.index === 0) return null
  const degrees = known ? stop.turnDeg! : stop.turnFromPreviousDeg
  if (Math.round(degrees) === 0) return 'The crank stands here.'
  const tool = known ? (stop.toolTurns ?? 0) : stop.toolTurnsFromPrevious
  const besides = [
    type.toolTurnsPerCrankTurn === 1 ? '' : `${round(tool)} turns of the barring tool`,
    type.speaksCamTurns ? `${round((degrees / 720) * 100) / 100} turn of the cam` : '',
  ].filter(Boolean)
  return `Bar forwards ${degreesText(degrees)}${besides.length ? `, ${besides.join(', ')}` : ''}.`
}

/** What is watched for while barring, in the school's own words. */
export function watchText(method: Schemas['TurningMethod'], stop: Stop): string {
  if (method === 'rocking' && stop.rockingCylinder != null)
    return `Bar until ${stop.rockingCylinder} rocks: set ${stop.compressionCylinder}.`
  if (method === 'exhaustOpeningIntakeClosing') return `Bar until ${stop.sign.replace(/\.$/, '')}.`
  return stop.sign
}

/** How far past TDC a small engine with a compression release is measured: piston travel first, for that is what is seen. */
export function travelText(past: Schemas['PastTdc'] | null | undefined): string {
  if (!past) return ''
  const angle = past.degrees > 0 ? `, ${Math.round(past.degrees)}° of the crank` : ''
  return `From TDC on compression bar on until the piston is ${round2(past.travelMm)} mm (${(past.travelMm / 25.4).toFixed(2)} in) down${angle}: a straw on the piston shows it, never a hard rod.`
}
