/** Where a crank angle is drawn: one lap is one turn, a four-stroke cycle two laps of a spiral, zero at the top. */
export interface CrankPath {
  /** A place on the spiral. */
  at: (deg: number, off?: number) => { x: number; y: number }
  /** A stretch of it as a path, forwards from one angle to another, this far off its middle line. */
  line: (from: number, to: number, off?: number) => string
  /** The direction on the page of a turn by so many degrees. */
  turned: (deg: number) => number
}

/** A spiral round (cx, cy): its first lap begins at `inner`, each lap is `lap` further out. */
export function crankPath(cx: number, cy: number, inner: number, lap: number, anticlockwise: boolean): CrankPath {
  const turned = (deg: number) => (anticlockwise ? -deg : deg)
  const at = (deg: number, off = 0) => {
    const r = inner + (deg / 360) * lap + off
    const a = ((turned(deg) - 90) * Math.PI) / 180
    return { x: cx + r * Math.cos(a), y: cy + r * Math.sin(a) }
  }
  const line = (from: number, to: number, off = 0) => {
    const steps = Math.max(1, Math.ceil(Math.abs(to - from) / 4))
    return Array.from({ length: steps + 1 }, (_, i) => {
      const p = at(from + ((to - from) * i) / steps, off)
      return `${i === 0 ? 'M' : 'L'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`
    }).join('')
  }
  return { at, line, turned }
}
