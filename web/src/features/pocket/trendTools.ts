import type { Schemas } from '../../api/client'
import { day } from '../../shared/figures/days'
import { hours } from '../../shared/figures/hours'
import Runway from '../../instruments/Runway.vue'
import SmallPlan from './SmallPlan.vue'
import { tool } from './tool'

const number = (text: string | undefined) => (text === undefined ? null : Number(text.replace(',', '.')))

export const trendTools = [
  tool<Schemas['DriftResponse']>({
    key: 'rate',
    name: 'Rate of drift',
    call: 'drift',
    asks: [
      {
        name: 'readings',
        label: 'Point, run, hours, clearance, give or take; one reading a line',
        kind: 'lines',
        start:
          '1E 1 0 0.40 0.01\n1E 1 1900 0.37 0.01\n1E 2 1900 0.40 0.01\n1E 2 3800 0.36 0.01\n2E 1 0 0.41 0.01\n2E 1 1900 0.39 0.01\n2E 1 3800 0.37 0.01',
        hint: 'A new run begins each time the point is set. Points of one kind are pooled.',
      },
    ],
    body: (read) => {
      const points = new Map<string, Record<string, unknown>[]>()
      for (const [id, run, h, mm, u] of read.lines('readings')) {
        const list = points.get(id ?? '') ?? []
        list.push({
          run: number(run),
          hours: number(h),
          clearanceMm: (number(mm) ?? Number.NaN) * read.unitMm,
          standardUncertaintyMm: (number(u) ?? 0.01 / read.unitMm) * read.unitMm,
        })
        points.set(id ?? '', list)
      }
      return {
        points: [...points].map(([id, readings]) => ({
          id,
          group: id.slice(-1).toUpperCase() === 'E' ? 'exhaust' : 'intake',
          readings,
        })),
      }
    },
    say: (r, _read, f) => {
      const rates = r.points.filter((p) => p.rate)
      const worst = rates.reduce<(typeof rates)[number] | undefined>(
        (a, b) => (a && a.rate!.mmPer1000h <= b.rate!.mmPer1000h ? a : b),
        undefined,
      )
      const text = (rate: { mmPer1000h: number; standardErrorMmPer1000h: number }) =>
        `${rate.mmPer1000h < 0 ? 'closing' : 'opening'} ${f.rate(rate.mmPer1000h)} ± ${f.rate(rate.standardErrorMmPer1000h)}`
      return {
        sentence: worst
          ? `${worst.id} is ${text(worst.rate!)} ${f.unit} a 1000 h.`
          : 'Too few readings for a rate: a run needs two at different hours.',
        lines: r.points.map(
          (p) =>
            `${p.id}: ${p.rate ? text(p.rate) : 'no rate'}${p.ownRate ? `, by its own readings ${text(p.ownRate)}` : ', from its siblings alone'}${p.unlikeSiblings ? '; unlike its siblings, a finding' : ''}`,
        ),
        working: [
          'Per point: weighted least squares, one rate for all its runs, an own starting figure for each; weights 1 ÷ u².',
          ...r.points
            .filter((p) => p.birgeRatio > 1)
            .map((p) => `${p.id}: scatter beyond the uncertainty, error widened by ${p.birgeRatio.toFixed(2)}.`),
          ...r.groups.map((g) =>
            g.meanMmPer1000h != null
              ? `${g.group}: mean ${g.meanMmPer1000h.toFixed(4)} ± ${g.standardErrorMmPer1000h?.toFixed(4)}, spread between points ${g.tauMmPer1000h?.toFixed(4)} mm a 1000 h; each rate is drawn towards the mean by how unsure it is.`
              : `${g.group}: fewer than two own rates, not pooled.`,
          ),
        ],
        source:
          'Weighted least squares; Birge 1932; restricted maximum likelihood, Patterson and Thompson 1971; variance of the posterior mean, Prasad and Rao 1990.',
      }
    },
  }),
  tool<Schemas['ForecastResponse']>({
    key: 'hours-to-limit',
    name: 'Hours to the limit',
    call: 'forecast',
    asks: [
      { name: 'mm', label: 'Clearance left', kind: 'length', start: '0.40' },
      { name: 'u', label: 'Give or take, mm', kind: 'number', start: '0.005' },
      { name: 'rate', label: 'Rate, mm a 1000 h; closing is negative', kind: 'number', start: '-0.02' },
      { name: 'se', label: 'Its standard error', kind: 'number', start: '0.005' },
      { name: 'min', label: 'Window from', kind: 'length', start: '0.30' },
      { name: 'max', label: 'to', kind: 'length', start: '0.50' },
      { name: 'risk', label: 'Risk you take', kind: 'number', start: '0.05' },
      { name: 'horizon', label: 'Look ahead, h', kind: 'number', start: '20000' },
    ],
    body: (read) => ({
      risk: read.number('risk'),
      horizonHours: read.number('horizon'),
      points: [
        {
          id: 'this valve',
          clearanceMm: read.mm('mm'),
          standardUncertaintyMm: read.number('u'),
          mmPer1000h: read.number('rate'),
          standardErrorMmPer1000h: read.number('se'),
          minMm: read.mm('min'),
          maxMm: read.mm('max'),
          setMm: read.mm('mm'),
        },
      ],
    }),
    say: (r, read, f) => {
      const aim = r.points[0]?.aimOff
      return {
        sentence:
          r.hoursToRisk == null
            ? 'Not within the hours looked ahead.'
            : r.hoursToRisk === 0
              ? 'The risk is reached already.'
              : `${hours(r.hoursToRisk)} h until it may be ${r.side}.`,
        tone: r.side === 'tight' || r.side === 'loose' ? r.side : 'ink',
        lines:
          aim && aim.gainHours > 50
            ? [
                `Left at ${f.withUnit(aim.aimMm)} it would last about ${hours(aim.gainHours)} h longer. That is off the book’s figure: your decision.`,
              ]
            : [],
        picture: {
          is: Runway,
          props: {
            labels: true,
            at: r.hoursToRisk,
            early: r.hoursToRisk,
            side: r.side,
            urgent: true,
            span: Math.max(3000, Math.ceil((r.hoursToRisk ?? 0) / 1500) * 1800),
          },
        },
        working: [
          `clearance after D hours = ${f.figure(read.mm('mm'))} + rate × D; its variance = u² + var(rate) × D² + 2 × D × covariance`,
          'p(out) = p(below the window) + p(above it), normal distribution',
          `the first D at which p(out) reaches ${read.text('risk') || 0.05}: scanned, then halved down${r.hoursToRisk ? ` to ${r.hoursToRisk.toFixed(1)} h` : ''}`,
        ],
        source: 'Propagation of uncertainty: JCGM 100:2008, 5.2. A risk of 5 %: the fleet’s choice.',
      }
    },
  }),
  tool<Schemas['HoursResponse']>({
    key: 'hours-run',
    name: 'Hours run',
    call: 'hours',
    asks: [
      {
        name: 'readings',
        label: 'Date and hours, one a line; at a meter change add what the new one shows',
        kind: 'lines',
        start: '2026-09-01 4810\n2026-10-01 4990\n2026-10-15 5062 0\n2026-11-10 160',
        hint: 'Dates like 2026-09-01.',
      },
      { name: 'ahead', label: 'When will it have run, hours more', kind: 'number', start: '500' },
      { name: 'duty', label: 'Hours a day, while readings are few', kind: 'number', start: '4' },
      { name: 'season', label: 'Twelve monthly weights, if seasonal', kind: 'text', start: '' },
    ],
    body: (read) => ({
      readings: read
        .lines('readings')
        .map(([date, h, fresh]) => ({ date, hours: number(h), newMeterShows: number(fresh) })),
      hoursAhead: read.number('ahead'),
      dutyHoursPerDay: read.number('duty'),
      monthlyWeights: read.text('season') ? read.numbers('season') : null,
    }),
    say: (r) => ({
      sentence: r.dateReached ? `About ${day(r.dateReached)}.` : 'Not within forty years at this use.',
      lines: [
        `${r.hoursPerDay.toFixed(1)} h a day, nine in ten between ${r.hoursPerDayLow.toFixed(1)} and ${r.hoursPerDayHigh.toFixed(1)}${r.fromReadings ? '' : ' (the duty class: too few readings)'}`,
        `between ${day(r.earliestDate)} and ${day(r.latestDate)}`,
        `total now ${hours(r.totals.at(-1)?.totalHours ?? 0)} h through all meters`,
      ],
      working: [
        ...r.totals.slice(-6).map((t) => `${day(t.date)}: ${hours(t.totalHours)} h in all`),
        'Use: the median of the slopes of all pairs of readings in the last 120 days; the band is the 10 and 90 % quantile of those slopes. In season it is divided by the window’s mean monthly weight.',
      ],
      source: 'Theil 1950, Sen 1968.',
    }),
  }),
  tool<Schemas['ScheduleResponse']>({
    key: 'small-plan',
    name: 'A small plan',
    call: 'schedule',
    asks: [
      { name: 'start', label: 'First day', kind: 'text', start: '2027-01-04' },
      { name: 'days', label: 'Days', kind: 'number', start: '14' },
      {
        name: 'people',
        label: 'Mechanics: name, skills joined by +',
        kind: 'lines',
        start: 'Marit marine+plant\nOlav marine+lorry',
        hint: 'Eight hours Monday to Friday.',
      },
      {
        name: 'jobs',
        label: 'Jobs: name, skill, site, hours, due day',
        kind: 'lines',
        start: 'Skarv marine north 6 3\nLomvi marine north 9 4\nSet-1 plant power 6 4\nLorry-2 lorry depot 5 8',
        hint: 'Days are counted from 0.',
      },
      { name: 'site', label: 'A change of site costs, days', kind: 'number', start: '2' },
    ],
    body: (read) => {
      const first = new Date(`${read.text('start')}T12:00:00Z`).getUTCDay()
      const week = [0, 1, 2, 3, 4, 5, 6].map((i) => ([0, 6].includes((first + i) % 7) ? 0 : 8))
      return {
        startDate: read.text('start') || null,
        dayCount: read.number('days'),
        technicians: read
          .lines('people')
          .map(([id, skills]) => ({ id, skills: (skills ?? '').split('+').filter(Boolean), hoursByDay: week })),
        jobs: read.lines('jobs').map(([id, skill, site, h, due]) => ({
          id,
          skill,
          site,
          hours: number(h),
          dueDay: number(due),
          latePerDay: 10,
          earlyPerDay: 1,
        })),
        siteChangeCost: read.number('site'),
        timeLimitSeconds: 3,
      }
    },
    say: (r, read) => ({
      sentence:
        r.status === 'infeasible'
          ? 'The pins cannot hold.'
          : `${r.assignments.length} placed${r.unplaced.length ? `, ${r.unplaced.length} left out` : ''}; ${r.status === 'optimal' ? 'no plan costs less' : r.bound > 0 ? `within ${Math.round((r.cost / r.bound - 1) * 100)} % of the bound` : 'not proved the cheapest'}.`,
      picture: {
        is: SmallPlan,
        props: {
          days: read.number('days') ?? 14,
          start: read.text('start'),
          technicians: read.lines('people').map((p) => p[0]),
          assignments: r.assignments,
          due: Object.fromEntries(read.lines('jobs').map((j) => [j[0], number(j[4])])),
        },
      },
      lines: [
        ...r.assignments.map(
          (a) => `${a.job}: ${a.technician}, ${a.date ? day(a.date) : `day ${a.day}`}. ${a.because}`,
        ),
        ...r.unplaced.map((u) => `${u.job} does not fit. ${u.reason}`),
      ],
      working: [
        `cost ${r.cost}, bound ${r.bound}: 10 for each day late, 1 for each day early, ${read.text('site') || 0} for each further site a mechanic visits in a day, 1000 for a job left out.`,
        'Every plan holds hours, skills and blocked days; among those the cheapest is searched, always in the same order, so that the same question gets the same plan.',
      ],
      source: 'Constraint programming, CP-SAT.',
    }),
  }),
]
