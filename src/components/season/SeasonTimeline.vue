<script setup lang="ts">
/** One thing through the season: the course that was expected, and what was read on it; a table behind it. */
import { common } from '@/text/base/common'
import { seasonTimeline as says } from '@/text/components/season'
import { Chart, LinearScale, LineController, LineElement, PointElement, Tooltip } from 'chart.js'
import { computed, onMounted, ref } from 'vue'
import { Line } from 'vue-chartjs'
import type { Timeline, TimelineCourse } from '@/model/season/timeline'
import { dateOf } from '@/model/season/timeline'
import { isoDay, shortDayText } from '@/text/base/dates'
import { timelineRows, timelineWords } from '@/text/season/timeline'
import type { UnitSystem } from '@/text/base/units'
import ChartFrame from '../frame/ChartFrame.vue'
import { chartLook, rolesOf } from '../frame/chartLook'
import { endLabels, roomFor } from '../frame/endLabels'
import FigureTable from '../frame/FigureTable.vue'

Chart.register(LineController, LinearScale, PointElement, LineElement, Tooltip, endLabels)

const { course, of, start, units } = defineProps<{
  course: TimelineCourse
  of: Timeline
  /** The day it is counted from. */
  start: string
  units: UnitSystem
}>()

const colours = ref({ ink: '#222', clay: '#a03', rule: '#ccc' })
onMounted(() => {
  const roles = rolesOf(['--ink', '--clay', '--rule'])
  colours.value = { ink: roles['--ink']!, clay: roles['--clay']!, rule: roles['--rule']! }
})
const words = computed(() => timelineWords(of, units))
const points = (list: TimelineCourse['read']) =>
  list.map(({ day, value }) => ({ x: day, y: words.value.shown(value) }))
const data = computed(() => ({
  datasets: [
    {
      label: says.expected,
      data: points(course.expected),
      borderColor: colours.value.ink,
      backgroundColor: colours.value.ink,
      borderWidth: 2,
      borderDash: [6, 4],
      pointRadius: 0,
    },
    {
      label: of === 'waterings' ? says.asNoted : says.read,
      data: points(course.read),
      showLine: false,
      borderColor: colours.value.clay,
      backgroundColor: colours.value.clay,
      pointStyle: 'rectRot' as const,
      pointRadius: 6,
    },
  ],
}))
const dayName = (day: number) => shortDayText(isoDay(dateOf(start, day)))
const options = computed(() => {
  const { ink, rule: color } = colours.value
  return {
    ...chartLook(),
    layout: { padding: (on: { chart: Chart }) => ({ right: roomFor([says.expected], on.chart.width) }) },
    scales: {
      x: {
        type: 'linear' as const,
        ticks: { color: ink, stepSize: 28, callback: (day: string | number) => dayName(Number(day)) },
        grid: { color },
      },
      y: {
        reverse: of === 'level',
        beginAtZero: of !== 'pH',
        ticks: { color: ink },
        grid: { color },
      },
    },
    plugins: {
      legend: { display: false },
      tooltip: {
        callbacks: {
          title: (items: { parsed: { x: number | null } }[]) => dayName(items[0]?.parsed.x ?? 0),
        },
      },
    },
  }
})
const rows = computed(() => timelineRows(course, start, of, units))
</script>

<template>
  <ChartFrame :height="240" :axis="words.axis">
    <Line :data="data" :options="options" role="img" :aria-label="common.overTheSeasonTheTable(words.axis)" />
    <template #table>
      <FigureTable :caption="words.axis" :head="['', 'expected', 'read']" :rows="rows" />
    </template>
  </ChartFrame>
</template>
