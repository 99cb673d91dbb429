import { methodNames } from './methods'
import { judgingNames, mannerNames, measuringNames, orderNames, settingNames } from './schools'
import { feelWords } from './verdicts'
import { outcomeWords } from './outcomes'

type Line = { kind: string } & Record<string, unknown>

const stages: Record<string, string> = {
  asFound: 'as found',
  beforeLock: 'before the lock',
  asLeft: 'as left',
  claimed: 'as claimed',
}

/** What was chosen otherwise, in the words of the trade. */
function chosen(line: Line): string {
  const names: Record<string, Record<string, string>> = {
    method: methodNames,
    order: orderNames,
    setting: settingNames,
    judging: judgingNames,
    manner: mannerNames,
    measuring: measuringNames,
  }
  const said = Object.entries(names).flatMap(([key, words]) =>
    typeof line[key] === 'string' ? [(words[line[key]] ?? line[key]).toLowerCase()] : [],
  )
  if (typeof line.point === 'string') said.push(`to go on with ${line.point}`)
  if (line.tray) said.push('other blades')
  if (line.turnedBy) said.push(`turned by ${String(line.turnedBy)}`)
  return said.join('; ') || 'as the book does it'
}

/** An entry as a person would say it: "1E as found: the 0.20 blade drags". */
export function entryText(line: Line, stepText: (step: string) => string = (step) => step): string {
  const point = typeof line.point === 'string' ? line.point : ''
  const stage = stages[String(line.stage)] ?? ''
  const said: Record<string, () => string> = {
    opened: () => `Opened${line.shownHours == null ? '' : ` at ${String(line.shownHours)} h`}`,
    chose: () => `Chose ${chosen(line)}`,
    ticked: () =>
      line.notHere
        ? `Not here: ${stepText(String(line.step))}${line.why ? ` (${String(line.why)})` : ''}`
        : `${line.on ? 'Ticked' : 'Not ticked after all'}: ${stepText(String(line.step))}`,
    conditionStated: () =>
      `The engine is ${String(line.condition)}${line.engineTemperatureC == null ? '' : `, ${String(line.engineTemperatureC)} °C`}`,
    positionProved: () =>
      `${Array.isArray(line.points) && line.points.length ? `${line.points.join(', ')} seen to be free` : 'Stop proved'}${line.crankDeg == null ? '' : ` at ${String(line.crankDeg)}°`}${line.said ? `: ${String(line.said)}` : ''}`,
    barredTo: () => `Barred to ${String(line.crankDeg)}°`,
    tried: () =>
      `${point} ${stage}: the ${(line.blades as string[]).join(' + ')} blade ${feelWords[line.feel as keyof typeof feelWords]}`,
    figureRead: () =>
      `${point} ${stage}: ${String(line.figure)} ${String(line.unit)}${line.with === 'dial' ? ' on the dial' : ''}`,
    marked: () => `Mark ${String(line.name)} at ${String(line.crankDeg)}°${line.trap ? ', a trap' : ''}`,
    shimRead: () => `${point}: shim ${String(line.thickness)} ${String(line.unit)}`,
    turned: () =>
      `${point} turned${line.turns == null ? '' : ` ${String(line.turns)} turns ${String(line.direction ?? '')}`}${line.nut ? `, ${line.nut === 'tight' ? 'locked' : 'its nut loose'}` : ''}`,
    startState: () => `${point}: ${String(line.state)}`,
    kept: () => 'A figure kept',
    dropped: () => 'A figure given up',
    outcome: () => `${point}: ${outcomeWords[line.outcome as keyof typeof outcomeWords] ?? String(line.outcome)}`,
    partChanged: () => `Part changed: ${String(line.part)}`,
    answered: () => `Answered: ${String(line.answer)}`,
    noted: () => `Note${point ? ` at ${point}` : ''}: ${String(line.text)}`,
    undone: () => 'Something taken back',
    abandoned: () => `Given up: ${String(line.why)}`,
    signed: () => 'Signed',
    countersigned: () => 'Countersigned',
    corrected: () => `A correction: ${String(line.why)}`,
    admitted: () => 'Late entries taken into the record',
  }
  return said[line.kind]?.() ?? line.kind
}
