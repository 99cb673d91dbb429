import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Schemas } from '../../../api/client'
import { useTyped } from '../../../shared/forms/useTyped'
import { today } from '../../../shared/figures/days'
import { typedBlades } from '../../../shared/figures/typedBlades'
import { typedHours } from '../../../shared/figures/typedHours'
import { usePreferences } from '../../../shared/preferences'
import { jobNames } from '../../../shared/words/jobs'
import { ownTrays, trays } from '../trays'

/** What is typed before an engine is opened. */
export interface OpeningForm {
  job: Schemas['JobKind']
  hours: string
  date: string
  person: string
  tray: string
  ownBlades: string
  ownUnit: 'mm' | 'thou'
  place: Schemas['VisitPlace']
  turnedBy: string
  typesIn: boolean
  besides: string[]
  /** The visit to go on with; 'anew' where somebody says otherwise. */
  goOn: string
  method: Schemas['TurningMethod'] | ''
}

/** The form an engine is opened with: what stands in it from the start, what follows from it, and the entry it makes. */
export function useOpening(
  engineId: string,
  engine: () => Schemas['EngineResponse'] | undefined,
  instruments: () => Schemas['InstrumentResponse'][],
) {
  const route = useRoute()
  const preferences = usePreferences()
  const asked = String(route.query.job ?? '')
  // What was typed for another job is of another form.
  const { typed, forget } = useTyped<OpeningForm>(`open:${engineId}:${asked}`, {
    job: (asked in jobNames ? asked : 'overhead') as Schemas['JobKind'],
    hours: '',
    date: '',
    person: preferences.person,
    tray: preferences.tray || trays[0]!.name,
    ownBlades: '',
    ownUnit: 'mm',
    place: 'inMachine',
    turnedBy: '',
    typesIn: false,
    besides: [],
    goOn: '',
    method: '',
  })
  watch(
    engine,
    (data) => {
      if (!data) return
      typed.method ||= data.type.method
      if (!preferences.tray && data.type.revisions.find((r) => r.inForce)?.figures[0]?.unit === 'thou')
        typed.tray = trays[2]!.name
    },
    { immediate: true },
  )
  const own = computed(() => ownTrays(instruments()))
  // A set that was withdrawn since it was used here last is not offered any more.
  watch([own, () => typed.tray], () => {
    const gone = instruments().some((i) => i.name === typed.tray && i.withdrawn)
    if (gone) typed.tray = own.value[0]?.name ?? trays[0]!.name
  })
  const tray = computed(
    () =>
      [...own.value, ...trays].find((t) => t.name === typed.tray) ?? {
        name: 'own set',
        unit: typed.ownUnit,
        blades: typedBlades(typed.ownBlades),
      },
  )
  const bench = computed(() => typed.place === 'onBench')
  const waits = computed(() => (typed.place === 'inMachine' ? (engine()?.waiting ?? []) : []))
  /** The visit whose points wait: an overhead goes on with the newest unless somebody says otherwise. */
  const goesOn = computed(
    () =>
      waits.value.find((w) => w.visitId === typed.goOn) ??
      (typed.goOn === '' && typed.job === 'overhead' ? (waits.value[0] ?? null) : null),
  )
  /** The job that signing closes: the one this was opened from, else the engine's overhead. */
  const closes = computed(() => {
    const jobs = engine()?.jobs ?? []
    const named = jobs.find((j) => j.id === route.query.jobId)
    return (
      named ?? (typed.job === 'overhead' || typed.job === 'build' ? jobs.find((j) => j.closedByOverhead) : undefined)
    )
  })
  const entry = () => ({
    kind: 'opened' as const,
    engineId,
    job: typed.job,
    date: typed.date || today(),
    shownHours: bench.value ? null : (typedHours(typed.hours) ?? null),
    ...(typed.place === 'inMachine' ? {} : { place: typed.place }),
    ...(typed.turnedBy && !bench.value ? { turnedBy: typed.turnedBy } : {}),
    tray: { setId: tray.value.name, unit: tray.value.unit, blades: tray.value.blades },
    ...(typeof route.query.jobId === 'string' ? { jobId: route.query.jobId } : {}),
    ...(typed.besides.length ? { instruments: typed.besides } : {}),
    // The book's way goes unsaid: where the starter turns the crank it gives way to one that needs no mark.
    ...(typed.method && typed.method !== engine()?.type.method ? { method: typed.method } : {}),
    ...(goesOn.value ? { continues: goesOn.value.visitId } : {}),
  })
  /** Who opened it and with which blades is offered the next time. */
  function remember() {
    preferences.person = typed.person
    if (typed.tray === 'own') return
    preferences.tray = typed.tray
    preferences.trayOf = { ...preferences.trayOf, [typed.person]: typed.tray }
  }
  return { typed, forget, own, tray, bench, waits, goesOn, closes, entry, remember }
}
