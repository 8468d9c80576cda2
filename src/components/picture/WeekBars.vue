<script setup lang="ts">
/**
 * What is wanted of several things week by week, and what of it is there: a bar for each week, hatched where something
 * is missing; the first week that is short is marked.
 */
import { weekBars as words } from '@/text/components/frame'
import { computed, useId } from 'vue'
import type { WeekRow } from '@/text/readings/reading'

const { rows, label } = defineProps<{
  rows: readonly WeekRow[]
  /** The whole picture in a sentence. */
  label: string
}>()

/** The picture, a row of it and the bars in a row, px. */
const WIDE = 300
const ROW = 38
const BAR = 18
const hatch = useId()
const weeks = computed(() => Math.max(1, ...rows.map((r) => r.weeks.length)))
const step = computed(() => WIDE / weeks.value)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} ${rows.length * ROW}`" class="weeks" role="img" :aria-label="label">
    <defs>
      <pattern :id="hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="5" class="line" />
      </pattern>
    </defs>
    <g v-for="(r, i) in rows" :key="r.name" :transform="`translate(0 ${i * ROW})`">
      <text x="0" y="13" :class="{ first: r.isFirst }">
        {{ r.name }}{{ r.shortFrom === null ? '' : words.shortFrom(r.shortFrom + 1) }}
      </text>
      <g v-for="(w, k) in r.weeks" :key="k">
        <rect
          v-if="w.wanted > w.met + 0.005"
          class="missing"
          :x="k * step"
          :y="ROW - 3 - w.wanted * BAR"
          :width="step * 0.86"
          :height="(w.wanted - w.met) * BAR"
          :fill="`url(#${hatch})`"
        />
        <rect
          class="met"
          :x="k * step"
          :y="ROW - 3 - w.met * BAR"
          :width="step * 0.86"
          :height="w.met * BAR"
        />
      </g>
      <line
        v-if="r.isFirst && r.shortFrom !== null"
        class="mark"
        :x1="r.shortFrom * step"
        :x2="r.shortFrom * step"
        :y1="ROW - 5 - BAR"
        :y2="ROW"
      />
      <line class="base" x1="0" :x2="WIDE" :y1="ROW - 3" :y2="ROW - 3" />
    </g>
  </svg>
</template>

<style scoped>
.weeks {
  display: block;
  width: 100%;
  max-width: 420px;
  margin: 4px 0;
}
text {
  font: 13.5px var(--text);
  fill: var(--ink);
}
.first {
  font-weight: 600;
  fill: var(--clay);
}
.met {
  fill: var(--leaf);
}
.missing {
  stroke: var(--straw);
  stroke-width: 0.8;
}
.line {
  stroke: var(--straw);
  stroke-width: 2.4;
}
.base {
  stroke: var(--rule);
}
.mark {
  stroke: var(--clay);
  stroke-width: 2.5;
}
</style>
