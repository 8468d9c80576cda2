<script setup lang="ts">
/** Cost against fit: every family found, and the front that nothing beats in both. The table below says the same. */
import { fitChart as words } from '@/text/components/bench'
import { Chart, Legend, LinearScale, LineElement, PointElement, ScatterController, Tooltip } from 'chart.js'
import { computed, onMounted, ref } from 'vue'
import { Scatter } from 'vue-chartjs'
import type { Candidate } from '@/core/finder'
import { partsText } from '@/text/mix/recipes'
import { chartLook } from '../frame/chartLook'
import { rateNumber, rateUnit, type UnitSystem } from '@/text/base/units'

Chart.register(ScatterController, LinearScale, PointElement, LineElement, Tooltip, Legend)

const { families, front, units } = defineProps<{
  units: UnitSystem
  families: readonly Candidate[]
  front: readonly Candidate[]
}>()

const colours = ref({ ink: '#222', soft: '#666', clay: '#a43', leaf: '#373', rule: '#ccc' })
onMounted(() => {
  const style = getComputedStyle(document.documentElement)
  const of = (name: string) => style.getPropertyValue(name).trim()
  colours.value = {
    ink: of('--ink'),
    soft: of('--ink-soft'),
    clay: of('--clay'),
    leaf: of('--leaf'),
    rule: of('--rule'),
  }
})
const point = (c: Candidate) => ({
  x: rateNumber(c.figures.costPerLitre, units),
  y: c.score,
  recipe: c,
})
const data = computed(() => ({
  datasets: [
    {
      label: words.nothingBetterForTheMoney,
      data: front.map(point),
      showLine: true,
      stepped: true as const,
      borderColor: colours.value.clay,
      backgroundColor: colours.value.clay,
      pointStyle: 'rectRot' as const,
      pointRadius: 6,
    },
    {
      label: words.bestOfEachFamily,
      data: families.filter((c) => Number.isFinite(c.figures.costPerLitre)).map(point),
      borderColor: colours.value.leaf,
      backgroundColor: 'transparent',
      borderWidth: 2,
      pointRadius: 4,
    },
  ],
}))
const axis = (text: string) => ({
  beginAtZero: true,
  title: { display: true, text, color: colours.value.ink },
  ticks: { color: colours.value.soft },
  grid: { color: colours.value.rule },
})
const shared = computed(() => chartLook(colours.value.ink))
const options = computed(() => ({
  ...shared.value.look,
  scales: { x: axis(words.costOf(rateUnit(units))), y: axis(words.stepsOutsideTheBands) },
  plugins: {
    legend: shared.value.legend,
    tooltip: {
      callbacks: {
        label: (item: { raw: unknown }) => {
          const { recipe } = item.raw as { recipe: Candidate }
          return partsText(recipe.parts.map((p) => ({ materialId: p.id, twelfths: p.parts * 12 })))
        },
      },
    },
  },
}))
</script>

<template>
  <div class="chart">
    <Scatter :data="data" :options="options" :aria-label="words.costAgainstFitTheTable" role="img" />
  </div>
</template>

<style scoped>
.chart {
  position: relative;
  height: 260px;
}
</style>
