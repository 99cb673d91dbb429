<script setup lang="ts">
import { CustomChart, LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import type { Schemas } from '../../api/client'
import { day, hours, useFigures } from '../../app/figures'
import { usePreferences } from '../../app/preferences'

use([
  LineChart,
  ScatterChart,
  CustomChart,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
  SVGRenderer,
])

type Point = Schemas['EnginePointResponse']
const props = defineProps<{ point: Point; points: Point[]; totalHours: number }>()
defineEmits<{ pick: [label: string] }>()
const figures = useFigures()
const preferences = usePreferences()

const scale = (mm: number) => (preferences.unit === 'mm' ? mm : mm / 0.0254)
const ink = computed(() => (preferences.theme === 'dark' ? '#e9edf0' : '#14202b'))
const soft = computed(() => (preferences.theme === 'dark' ? '#a4b0ba' : '#55606a'))
const plate = computed(() => (preferences.theme === 'dark' ? '#18222c' : '#ffffff'))
const blue = computed(() => (preferences.theme === 'dark' ? '#9db2f2' : '#21409a'))
const wash = computed(() => (preferences.theme === 'dark' ? '#243357' : '#e6eaf6'))
const out = (mm: number) =>
  props.point.minMm != null && mm < props.point.minMm
    ? 'tight'
    : props.point.maxMm != null && mm > props.point.maxMm
      ? 'loose'
      : 'in'
const signal = (mm: number) =>
  ({
    tight: preferences.theme === 'dark' ? '#ff9a6b' : '#c2410c',
    loose: preferences.theme === 'dark' ? '#5fd0c4' : '#0f766e',
    in: ink.value,
  })[out(mm)]

const option = computed(() => {
  const saw: ([number, number] | [number, null])[] = []
  const rings: object[] = []
  const dots: object[] = []
  for (const visit of props.point.series) {
    if (visit.partChanged) saw.push([visit.hours, null])
    const text = `${day(visit.date, true)}, ${hours(visit.hours)} h`
    if (visit.foundMm !== null && visit.foundMm !== undefined) {
      if (!visit.excluded) saw.push([visit.hours, scale(visit.foundMm)])
      rings.push({
        value: [visit.hours, scale(visit.foundMm)],
        name: `${text}<br>found ${figures.withUnit(visit.foundMm)}${visit.excluded ? ', left out of the rate' : ''}${out(visit.foundMm) === 'in' ? '' : `, ${out(visit.foundMm)}`}`,
        itemStyle: {
          color: plate.value,
          borderColor: signal(visit.foundMm),
          borderWidth: 2,
          borderType: visit.excluded ? 'dashed' : 'solid',
        },
      })
    }
    if (visit.leftMm !== null && visit.leftMm !== undefined) {
      saw.push([visit.hours, null], [visit.hours, scale(visit.leftMm)])
      dots.push({
        value: [visit.hours, scale(visit.leftMm)],
        name: `${text}<br>left ${figures.withUnit(visit.leftMm)}`,
        itemStyle: { color: signal(visit.leftMm) },
      })
    }
  }
  const fan: { mean: [number, number][]; low: [number, number][]; high: [number, number][] } = {
    mean: [],
    low: [],
    high: [],
  }
  if (props.point.rate && props.point.expectedMm != null && props.point.expectedSdMm != null) {
    const lastHours = props.point.series.filter((s) => !s.excluded).at(-1)?.hours ?? props.totalHours
    const span = Math.max(600, (props.totalHours - (props.point.series[0]?.hours ?? 0)) * 0.12)
    for (let i = 0; i <= 8; i++) {
      const ahead = (span * i) / 8
      const mean = props.point.expectedMm + (props.point.rate.mmPer1000h / 1000) * ahead
      const sd = Math.hypot(props.point.expectedSdMm, (props.point.rate.standardErrorMmPer1000h / 1000) * ahead)
      fan.mean.push([props.totalHours + ahead, scale(mean)])
      fan.low.push([props.totalHours + ahead, scale(mean - 1.645 * sd)])
      fan.high.push([props.totalHours + ahead, scale(mean + 1.645 * sd)])
    }
    const last = props.point.series.filter((s) => !s.excluded).at(-1)
    const from = last?.leftMm ?? last?.foundMm
    if (from != null) fan.mean.unshift([lastHours, scale(from)])
  }
  const values = [...saw.map((s) => s[1]), ...fan.low.map((f) => f[1]), ...fan.high.map((f) => f[1])].filter(
    (v): v is number => v !== null,
  )
  if (props.point.minMm != null && props.point.maxMm != null)
    values.push(scale(props.point.minMm), scale(props.point.maxMm))
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const pad = (high - low) * 0.15
  const round = (v: number) => (preferences.unit === 'mm' ? Number(v.toFixed(2)) : Math.round(v))
  return {
    animation: false,
    textStyle: { fontFamily: 'Atkinson Hyperlegible Next' },
    grid: { left: 58, right: 24, top: 14, bottom: 40 },
    tooltip: {
      trigger: 'item',
      formatter: (p: { name: string }) => p.name,
      backgroundColor: plate.value,
      borderColor: ink.value,
      textStyle: { color: ink.value },
    },
    xAxis: {
      type: 'value',
      min: 'dataMin',
      max: 'dataMax',
      name: 'engine hours',
      nameLocation: 'middle',
      nameGap: 24,
      nameTextStyle: { color: soft.value },
      axisLabel: { color: soft.value, showMinLabel: false, showMaxLabel: false, formatter: (v: number) => hours(v) },
      splitLine: { show: false },
      axisLine: { show: true, lineStyle: { color: soft.value } },
    },
    yAxis: {
      type: 'value',
      min: Math.max(0, round(low - pad)),
      max: round(high + pad),
      axisLabel: {
        color: soft.value,
        formatter: (v: number) => (preferences.unit === 'mm' ? v.toFixed(2) : String(v)),
      },
      splitLine: { show: false },
    },
    series: [
      {
        type: 'line',
        name: 'window',
        data: [],
        silent: true,
        markArea:
          props.point.minMm != null && props.point.maxMm != null
            ? {
                silent: true,
                itemStyle: { color: wash.value },
                data: [[{ yAxis: scale(props.point.minMm) }, { yAxis: scale(props.point.maxMm) }]],
              }
            : undefined,
        markLine:
          props.point.minMm != null && props.point.maxMm != null
            ? {
                silent: true,
                symbol: 'none',
                label: { show: false },
                lineStyle: { color: blue.value, type: 'solid', width: 1.4 },
                data: [{ yAxis: scale(props.point.minMm) }, { yAxis: scale(props.point.maxMm) }],
              }
            : undefined,
      },
      {
        type: 'line',
        data: fan.low,
        symbol: 'none',
        silent: true,
        lineStyle: { opacity: 0 },
        stack: 'fan',
        stackStrategy: 'all',
      },
      {
        type: 'line',
        data: fan.high.map((f, i) => [f[0], f[1] - (fan.low[i]?.[1] ?? 0)]),
        symbol: 'none',
        silent: true,
        lineStyle: { opacity: 0 },
        stack: 'fan',
        stackStrategy: 'all',
        areaStyle: { color: soft.value, opacity: 0.25 },
      },
      {
        type: 'line',
        data: fan.mean,
        symbol: 'none',
        silent: true,
        lineStyle: { color: soft.value, type: 'dashed', width: 1.4 },
      },
      {
        type: 'line',
        data: saw,
        symbol: 'none',
        silent: true,
        connectNulls: false,
        lineStyle: { color: soft.value, width: 1.6 },
      },
      { type: 'scatter', data: rings, symbolSize: 10, z: 5 },
      { type: 'scatter', data: dots, symbolSize: 9, z: 6 },
    ],
  }
})
const sentence = computed(() => {
  const p = props.point
  if (!p.rate) return p.series.length ? 'Too few readings for a rate.' : 'Never measured.'
  const way = p.rate.mmPer1000h < 0 ? 'closing' : 'opening'
  const risk =
    p.hoursToRisk != null
      ? ` Five in a hundred that it is ${p.side} ${p.hoursToRisk > 0 ? `in ${hours(p.hoursToRisk)} h` : 'now'}.`
      : ''
  return `${way} ${figures.rate(p.rate.mmPer1000h)} ± ${figures.rate(p.rate.standardErrorMmPer1000h)} ${preferences.unit} a 1000 h${p.unlikeSiblings ? ', unlike its siblings' : ''}.${risk}`
})
</script>

<template>
  <section class="plate p-3" aria-label="Clearance against engine hours">
    <div class="d-flex align-items-baseline gap-3 flex-wrap">
      <h2>{{ point.label }} against engine hours</h2>
      <span class="soft small">{{ sentence }}</span>
      <label class="ms-auto small soft">
        point
        <select
          class="form-select d-inline-block w-auto ms-1"
          :value="point.label"
          @change="$emit('pick', ($event.target as HTMLSelectElement).value)"
        >
          <option v-for="p in points" :key="p.id" :value="p.label">{{ p.label }}</option>
        </select>
      </label>
    </div>
    <VChart
      v-if="point.series.length"
      :option="option"
      :update-options="{ notMerge: true }"
      class="chart"
      autoresize
      :aria-label="`${point.label}: ${sentence}`"
    />
    <p v-else class="mt-2 mb-0">No reading yet. The first overhead draws the first point.</p>
    <p class="small soft mb-0">Ring: as found. Dot: as left. Band: the window. Fan: nine in ten of what is expected.</p>
  </section>
</template>

<style scoped>
.chart {
  height: 260px;
}
</style>
