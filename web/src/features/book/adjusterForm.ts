import type { Schemas } from '../../api/client'

/** What valves can be set with; injectors and brakes have screws of their own. */
export const valveAdjusters: Schemas['AdjusterKind'][] = [
  'screwAtValve',
  'screwAtPushrod',
  'bridgeScrew',
  'followerScrew',
  'eccentricShaft',
  'shimOnTop',
  'shimUnderBucket',
  'puck',
  'hydraulicPreload',
]
export const screws: string[] = ['screwAtValve', 'screwAtPushrod', 'bridgeScrew', 'followerScrew']

/** Numbers one after another, point or comma. */
export const list = (text: string) =>
  text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map((part) => Number(part.replace(',', '.')))

/** 2.30 to 3.20 by 0.05, or the sizes one after another. */
export function sizesOf(text: string): number[] {
  const series = /^\s*([\d.,]+)\s*(?:to|-|–|…)\s*([\d.,]+)\s*(?:by|\/|step)\s*([\d.,]+)\s*$/i.exec(text)
  if (!series) return text.trim() ? list(text.replace(/,(?=\d)/g, '.')) : []
  const [from, to, by] = series.slice(1).map((n) => Number(n.replace(',', '.'))) as [number, number, number]
  if (!(by > 0) || !(to >= from) || (to - from) / by > 999) return [NaN]
  return Array.from({ length: Math.round((to - from) / by) + 1 }, (_, i) => Math.round((from + i * by) * 1000) / 1000)
}

/** The bridges with a screw of their own: all of them, none, or the points named. */
export const bridgesOf = (form: { bridgeScrews: string }, labels: string[]) =>
  /^\s*all\s*$/i.test(form.bridgeScrews)
    ? labels
    : /^\s*none\s*$/i.test(form.bridgeScrews)
      ? []
      : form.bridgeScrews
          .split(/[,;]+|\s+(?=\d)/)
          .map((t) => t.trim())
          .filter(Boolean)

/** The events of a two-stroke; null where the book gives none. */
export function uniflowOf(form: { cycle: string; uniflow: string }) {
  if (form.cycle !== 'twoStroke' || !form.uniflow.trim()) return null
  const [evoAtdc, evcAtdc, injectorFrom, injectorTo] = list(form.uniflow) as [number, number, number, number]
  return { evoAtdc, evcAtdc, injectorFrom, injectorTo }
}
