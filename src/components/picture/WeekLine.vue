<script setup lang="ts">
/**
 * One figure through the weeks, small: its line, what suits as a band, its first and last value on the spot; the same
 * under another condition dashed beside it, with its name.
 */
import { weekBars as words } from '@/text/components/frame'
import { computed } from 'vue'
import type { WeekCourse } from '@/text/readings/reading'
import { spread } from './spread'

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
  const all = [...course.points, ...(course.beside?.points ?? [])].map((p) => p.value)
  const suits = course.suits ? [course.suits.low, course.suits.high] : []
  return [Math.min(...all, ...suits), Math.max(...all, ...suits)] as const
})
const last = computed(() => course.points.at(-1)!)
const x = (week: number) => SIDE + (week / (last.value.week || 1)) * (WIDE - 2 * SIDE)
const y = (value: number) => {
  const [low, high] = range.value
  return TOP + (1 - (value - low) / (high - low || 1)) * (TALL - TOP - FOOT)
}
const lineOf = (points: WeekCourse['points']) =>
  points.map((p) => `${x(p.week).toFixed(1)},${y(p.value).toFixed(1)}`).join(' ')
/** The last values, apart from each other. */
const ends = computed(() => {
  const lasts = [last.value, ...(course.beside ? [course.beside.points.at(-1)!] : [])]
  const heights = lasts.map((p) => y(p.value) + 5)
  const places = spread(heights, { gap: 15, top: TOP, bottom: TALL - FOOT })
  return lasts.map(({ text }, i) => ({ text, y: places[i]! }))
})
/** The name of the dashed line, over it or under it, where the other line is not. */
const named = computed(() => {
  if (!course.beside) return null
  const at = Math.floor(course.beside.points.length * 0.6)
  const [own, other] = [course.beside.points[at]!, course.points[at] ?? last.value]
  return { text: course.beside.name, x: x(own.week), y: y(own.value) + (own.value < other.value ? 14 : -7) }
})
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
    <polyline v-if="course.beside" class="beside" :points="lineOf(course.beside.points)" />
    <polyline :points="lineOf(course.points)" />
    <text v-if="named" class="soft" :x="named.x" :y="named.y" text-anchor="middle">{{ named.text }}</text>
    <text :x="SIDE - 5" :y="y(course.points[0]!.value) + 5" text-anchor="end">
      {{ course.points[0]!.text }}
    </text>
    <text v-for="(end, i) in ends" :key="i" :class="{ soft: i > 0 }" :x="WIDE - SIDE + 5" :y="end.y">
      {{ end.text }}
    </text>
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
.beside {
  stroke: var(--ink-soft);
  stroke-width: 2;
  stroke-dasharray: 6 4;
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
