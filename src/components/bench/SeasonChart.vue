<script setup lang="ts">
/** One course over the season for several mixes; the table behind it says the same. */
import { common } from '@/text/base/common'
import {
  CategoryScale,
  Chart,
  Legend,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
} from 'chart.js'
import { computed, onMounted, ref } from 'vue'
import { Line } from 'vue-chartjs'

Chart.register(LineController, CategoryScale, LinearScale, PointElement, LineElement, Tooltip, Legend)

const { labels, courses, axis } = defineProps<{
  labels: readonly string[]
  courses: readonly { name: string; values: readonly (number | null)[] }[]
  axis: string
}>()

const ROLES = ['--ink', '--clay', '--leaf', '--straw', '--ink-soft']
const DASHES = [[], [8, 4], [2, 3], [12, 4, 2, 4], [4, 4]]
const MARKS = ['circle', 'rect', 'triangle', 'rectRot', 'cross'] as const
const colours = ref<Record<string, string>>({})
onMounted(() => {
  const style = getComputedStyle(document.documentElement)
  colours.value = Object.fromEntries([...ROLES, '--rule'].map((r) => [r, style.getPropertyValue(r).trim()]))
})
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
  return {
    responsive: true,
    maintainAspectRatio: false,
    animation: false as const,
    scales: {
      x: { ticks: { color: ink }, grid },
      y: {
        beginAtZero: axis !== 'pH',
        ticks: { color: ink },
        grid,
        title: { display: true, text: axis, color: ink },
      },
    },
    plugins: { legend: { labels: { color: ink, usePointStyle: true } } },
  }
})
</script>

<template>
  <div class="chart">
    <Line :data="data" :options="options" role="img" :aria-label="common.overTheSeasonTheTable(axis)" />
  </div>
  <details>
    <summary>{{ common.theSameAsATable }}</summary>
    <div class="scroll">
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
    </div>
  </details>
</template>

<style scoped>
.chart {
  position: relative;
  height: 250px;
}
summary {
  cursor: pointer;
  color: var(--clay);
  padding: 6px 0;
}
</style>
