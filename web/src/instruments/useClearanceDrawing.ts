import { extent } from 'd3-array'
import { scaleLinear, scaleUtc } from 'd3-scale'
import { area, line } from 'd3-shape'
import { computed, type Ref } from 'vue'
import type { Figures } from '../shared/figures/useFigures'
import { marksOf, visitRuns, type SeriesVisit } from './clearanceSeries'

/** A step of the forecast, hours from now. */
export interface FanStep {
  hours: number
  meanMm: number
  lowMm: number
  highMm: number
}

/** The window that held from a day on. */
export interface HeldWindow {
  date: string
  minMm: number
  maxMm: number
  setMm?: number | null
}

export interface ClearanceProps {
  series: SeriesVisit[]
  fan: FanStep[]
  totalHours: number
  minMm?: number | null
  maxMm?: number | null
  figures: Figures
  label: string
  /** Small, as one of many. */
  compact?: boolean
  /** Along days instead of engine hours; needs what day is now and the use. */
  dates?: { today: string; hoursPerWeek: number } | null
  /** The stretch of hours or of milliseconds shown; the whole life without. */
  stretch?: [number, number] | null
  /** Windows as they were revised. */
  windows?: HeldWindow[]
  /** What is usual for its kind, mm per 1000 h: drawn behind. */
  usual?: number | null
}

/** A moment ahead at the present use, in milliseconds, for an axis of days. */
export const momentAhead = (use: { today: string; hoursPerWeek: number }, hours: number) =>
  ms(use.today) + (hours / Math.max(use.hoursPerWeek, 1)) * 7 * 86_400_000

const ms = (iso: string) => Date.parse(`${iso.slice(0, 10)}T00:00:00Z`)

/** Scales and paths of a point's clearance along its life. Everything drawn comes as it is from the core. */
export function useClearanceDrawing(props: ClearanceProps, width: Ref<number>) {
  const height = computed(() => (props.compact ? 150 : 250))
  const edge = computed(() =>
    props.compact ? { left: 42, right: 8, top: 8, bottom: 24 } : { left: 52, right: 16, top: 12, bottom: 38 },
  )
  const visits = computed(() =>
    props.series.filter(
      (v) => v.foundMm !== null || v.leftMm !== null || v.foundLowMm != null || v.foundHighMm != null,
    ),
  )
  const along = (v: { hours: number; date: string }) => (props.dates ? ms(v.date) : v.hours)
  const ahead = (hours: number) => (props.dates ? momentAhead(props.dates, hours) : props.totalHours + hours)
  const whole = computed((): [number, number] => {
    const [first = 0, last = 1] = extent([
      ...visits.value.map(along),
      ahead(0),
      ...props.fan.map((f) => ahead(f.hours)),
    ]) as [number, number]
    return [first, Math.max(last, first + 1)]
  })
  const x = computed(() => {
    const range = [edge.value.left + 6, Math.max(edge.value.left + 20, width.value - edge.value.right)]
    const domain = props.stretch ?? whole.value
    return props.dates ? scaleUtc(domain, range) : scaleLinear(domain, range)
  })
  const inside = (at: number) => !props.stretch || (at >= props.stretch[0] && at <= props.stretch[1])
  const y = computed(() => {
    const values = [
      ...visits.value
        .filter((v) => inside(along(v)))
        .flatMap((v) => [v.foundMm, v.leftMm, v.foundLowMm, v.foundHighMm]),
      ...props.fan.filter((f) => inside(ahead(f.hours))).flatMap((f) => [f.lowMm, f.highMm]),
      props.minMm,
      props.maxMm,
    ].filter((v): v is number => v !== null && v !== undefined)
    const [low = 0, high = 1] = extent(values.map(props.figures.scaled)) as [number, number]
    const pad = Math.max(high - low, props.figures.scaled(0.02)) * 0.12
    return scaleLinear([Math.max(0, low - pad), high + pad], [height.value - edge.value.bottom, edge.value.top]).nice(4)
  })
  const at = (mm: number) => y.value(props.figures.scaled(mm))
  const drawn = line<[number, number]>(
    (d) => x.value(d[0]),
    (d) => at(d[1]),
  )
  const runs = computed(() =>
    visitRuns(visits.value).map((run) => drawn(run.map((r): [number, number] => [along(r.visit), r.mm]))),
  )
  /** From each setting, where a usual valve of its kind would have gone. */
  const usual = computed(() =>
    props.usual == null
      ? []
      : visitRuns(visits.value).map((run) => {
          const from = run[0]!
          const to = run.at(-1)!
          const gone = (props.usual! * (to.visit.hours - from.visit.hours)) / 1000
          return drawn([
            [along(from.visit), from.mm],
            [along(to.visit), from.mm + gone],
          ])
        }),
  )
  const fanArea = computed(() =>
    area<FanStep>()
      .x((f) => x.value(ahead(f.hours)))
      .y0((f) => at(f.lowMm))
      .y1((f) => at(f.highMm))(props.fan),
  )
  const fanMean = computed(() => {
    const last = visits.value.filter((v) => !v.excluded).at(-1)
    const from = last?.leftMm ?? last?.foundMm
    const start: [number, number][] = last && from != null ? [[along(last), from]] : []
    return drawn([...start, ...props.fan.map((f): [number, number] => [ahead(f.hours), f.meanMm])])
  })
  /** The window along the life, a step at every revision; without revisions the one in force. */
  const windows = computed(() => {
    const [from, to] = x.value.domain().map(Number) as [number, number]
    const held = props.windows?.length
      ? props.windows
      : props.minMm != null && props.maxMm != null
        ? [{ date: '', minMm: props.minMm, maxMm: props.maxMm }]
        : []
    return held
      .map((w, i) => {
        const begins = i === 0 ? from : onLife(w.date)
        const ends = i + 1 < held.length ? onLife(held[i + 1]!.date) : to
        const [a, b] = [Math.max(begins, from), Math.min(ends, to)]
        return { ...w, x: x.value(a), width: x.value(b) - x.value(a), changed: i > 0 && begins > from && begins < to }
      })
      .filter((w) => w.width > 0)
  })
  /** A day as it stands on the axis: between the hours of the visits around it. */
  function onLife(date: string): number {
    if (props.dates) return ms(date)
    const known = [...visits.value.map((v) => [ms(v.date), v.hours] as const)]
    const after = known.findIndex(([d]) => d >= ms(date))
    if (after < 0) return props.totalHours
    if (after === 0) return -Infinity
    const [d0, h0] = known[after - 1]!
    const [d1, h1] = known[after]!
    return d1 === d0 ? h1 : h0 + ((ms(date) - d0) / (d1 - d0)) * (h1 - h0)
  }
  const marks = computed(() =>
    marksOf(visits.value, props, props.figures)
      .filter((m) => inside(along(m)))
      .map((m) => ({ ...m, x: x.value(along(m)), y: at(m.mm) })),
  )
  const parts = computed(() =>
    visits.value
      .filter((v) => v.partChanged && inside(along(v)))
      .map((v) => ({ key: v.visitId ?? v.date, x: x.value(along(v)) })),
  )
  const ticks = computed(() => {
    const count = Math.max(2, Math.floor(width.value / (props.compact ? 75 : 120)))
    return (x.value.ticks(count) as (number | Date)[]).map((t) => ({ value: t, x: x.value(t) }))
  })
  return { height, edge, x, y, at, runs, usual, fanArea, fanMean, windows, marks, parts, ticks }
}
