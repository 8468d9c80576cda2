<script setup lang="ts">
/** One figure through the weeks, small: its line, what suits as a band, its first and last value on the spot. */
import { weekBars as words } from '@/text/components/frame'
import { computed } from 'vue'
import type { WeekCourse } from '@/text/readings/reading'

const { course, label } = defineProps<{
  course: WeekCourse
  /** The whole picture in a sentence. */
  label: string
}>()

/** The picture and the room round the line, px. */
const WIDE = 300
const TALL = 96
const SIDE = 34
const [TOP, FOOT] = [14, 22]
const range = computed(() => {
  const all = course.points.map((p) => p.value)
  const suits = course.suits ? [course.suits.low, course.suits.high] : []
  return [Math.min(...all, ...suits), Math.max(...all, ...suits)] as const
})
const last = computed(() => course.points.at(-1)!)
const x = (week: number) => SIDE + (week / (last.value.week || 1)) * (WIDE - 2 * SIDE)
const y = (value: number) => {
  const [low, high] = range.value
  return TOP + (1 - (value - low) / (high - low || 1)) * (TALL - TOP - FOOT)
}
const line = computed(() =>
  course.points.map((p) => `${x(p.week).toFixed(1)},${y(p.value).toFixed(1)}`).join(' '),
)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDE} ${TALL}`" class="line" role="img" :aria-label="label">
    <rect
      v-if="course.suits"
      class="suits"
      :x="SIDE"
      :width="WIDE - 2 * SIDE"
      :y="y(course.suits.high)"
      :height="y(course.suits.low) - y(course.suits.high)"
    />
    <polyline :points="line" />
    <text :x="SIDE - 5" :y="y(course.points[0]!.value) + 5" text-anchor="end">
      {{ course.points[0]!.text }}
    </text>
    <text :x="WIDE - SIDE + 5" :y="y(last.value) + 5">{{ last.text }}</text>
    <text class="soft" :x="SIDE" :y="TALL - 4">{{ words.mixed }}</text>
    <text class="soft" :x="WIDE - SIDE" :y="TALL - 4" text-anchor="end">
      {{ words.week(last.week.toFixed(0)) }}
    </text>
  </svg>
</template>

<style scoped>
.line {
  display: block;
  width: 100%;
  max-width: 420px;
  margin: 4px 0;
}
.suits {
  fill: var(--leaf-wash);
}
polyline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
  stroke-linejoin: round;
}
text {
  font: 600 13.5px var(--text);
  fill: var(--ink);
}
.soft {
  font-weight: 400;
  fill: var(--ink-soft);
}
</style>
