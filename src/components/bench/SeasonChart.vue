<script setup lang="ts">
/** One course over the season for several mixes; the table behind it says the same. */
import { common } from '@/text/base/common'
import {
  CategoryScale,
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js'
import { computed, onMounted, ref } from 'vue'
import { Line } from 'vue-chartjs'
import ChartFrame from '../frame/ChartFrame.vue'
import { chartLook, rolesOf } from '../frame/chartLook'
import { endLabels, roomFor } from '../frame/endLabels'

Chart.register(LineController, CategoryScale, LinearScale, PointElement, LineElement, Tooltip, endLabels)

const { labels, courses, axis } = defineProps<{
  labels: readonly string[]
  courses: readonly { name: string; values: readonly (number | null)[] }[]
  axis: string
}>()

const ROLES = ['--ink', '--clay', '--leaf', '--straw', '--ink-soft']
const DASHES = [[], [8, 4], [2, 3], [12, 4, 2, 4], [4, 4]]
const MARKS = ['circle', 'rect', 'triangle', 'rectRot', 'cross'] as const
const colours = ref<Record<string, string>>({})
onMounted(() => (colours.value = rolesOf([...ROLES, '--rule'])))
const colour = (i: number) => colours.value[ROLES[i % ROLES.length]!] ?? '#444'
const data = computed(() => ({
  labels: [...labels],
  datasets: courses.map((c, i) => ({
    label: c.name,
    data: [...c.values],
    borderColor: colour(i),
    backgroundColor: colour(i),
    borderDash: DASHES[i % DASHES.length],
    pointStyle: MARKS[i % MARKS.length],
    borderWidth: 2,
    pointRadius: 4,
  })),
}))
const options = computed(() => {
  const ink = colours.value['--ink'] ?? '#222'
  const grid = { color: colours.value['--rule'] ?? '#ccc' }
  const names = courses.map((c) => c.name)
  return {
    ...chartLook(),
    layout: { padding: (of: { chart: Chart }) => ({ right: roomFor(names, of.chart.width) }) },
    scales: {
      x: { ticks: { color: ink }, grid },
      y: {
        beginAtZero: axis !== 'pH',
        ticks: { color: ink },
        grid,
      },
    },
    plugins: { legend: { display: false } },
  }
})
</script>

<template>
  <ChartFrame :height="250" :axis="axis">
    <Line :data="data" :options="options" role="img" :aria-label="common.overTheSeasonTheTable(axis)" />
    <template #table>
      <table class="plain">
        <thead>
          <tr>
            <td></td>
            <th v-for="c in courses" :key="c.name" scope="col" class="num">{{ c.name }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(label, i) in labels" :key="label">
            <th scope="row">{{ label }}</th>
            <td v-for="c in courses" :key="c.name" class="num">{{ c.values[i]?.toFixed(1) ?? '–' }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </ChartFrame>
</template>
