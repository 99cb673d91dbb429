import type { Schemas } from '../../api/client'
import { hours } from '../figures/hours'
import type { Figures } from '../figures/useFigures'
import { counted, form } from './counts'
import { begun, chance, percent } from './odds'

type Voice = Schemas['VoiceResponse']

/** What the fleet's engines that are worth an early look come to: the chances of all, summed by the server. */
export function earlyLooks(early: Schemas['EarlyLooks']): string {
  const { engines, expectedOut } = early
  const out = Math.round(expectedOut)
  const of =
    expectedOut < 0.5
      ? `hardly one is expected out by ${engines === 1 ? 'its' : 'their'} date`
      : `about ${counted(out).toLowerCase()} ${form(out, 'is', 'are')} expected out by ${engines === 1 ? 'its' : 'their'} date`
  return engines === 1
    ? `One engine is worth an early look.`
    : `${counted(engines)} engines are worth an early look; of these ${of}.`
}

/** 20 % chance that one of its 12 valves is out of limits before the manual’s date, if nothing new begins to fail. */
export function engineChance(voice: Voice): string {
  if (voice.risk == null) return ''
  const of = voice.valves === 1 ? 'that its valve' : `that one of its ${voice.valves} valves`
  const ifNew =
    voice.riskIfNew != null && percent(voice.riskIfNew) !== percent(voice.risk)
      ? `; ${percent(voice.riskIfNew)} if one begins to fail as they do in this fleet`
      : ''
  return begun(
    `${chance(voice.risk)} ${of} is out of limits before the manual’s date, if nothing new begins to fail${ifNew}.`,
  )
}

/** A point by its own odds; else that none stands out. */
export function whoStandsOut(voice: Voice): string {
  if (!voice.raised || voice.risk == null) return ''
  return voice.points.length
    ? begun(`${voice.points.map((p) => `${p.point} itself ${percent(p.p)}`).join(', ')}.`)
    : voice.named.length
      ? ''
      : 'No single one stands out.'
}

/** 3E has worn another way since 3 000 h. */
export const namedText = (n: Schemas['NamedPoint']) =>
  n.sinceHours == null
    ? `${n.point} has worn fast all its life`
    : `${n.point} has worn another way since ${hours(n.sinceHours)} h`

/** Found 0.28 where 0.38 was expected: a question, never a finding. */
export const lookAgainText = (a: Schemas['AskedPoint'], figures: Figures) =>
  a.foundMm == null || a.expectedMm == null
    ? `${a.point} may have begun to wear another way: so far not told apart from an outlier.`
    : `${a.point} was found ${figures.figure(a.foundMm)} where ${figures.rough(a.expectedMm)} ${figures.unit} was expected: so far not told apart from an outlier.`
