<script setup lang="ts">
/**
 * What goes with a line of time, on the same days: one small course under the other, expected as a line, read as marks,
 * what suits as a band; each has its name and its last figure on the spot.
 */
import { computed } from 'vue'
import { courseRow, ROW, type SmallCourse } from './timeCourses'
import type { Strip } from './timeStrip'

const { strip, width, courses } = defineProps<{
  strip: Strip
  width: number
  courses: readonly SmallCourse[]
}>()

const rows = computed(() => courses.map((course) => ({ course, drawn: courseRow(course, strip, width) })))
</script>

<template>
  <svg
    v-for="{ course, drawn } in rows"
    :key="course.id"
    :width="width"
    :height="ROW"
    role="img"
    :aria-label="course.label"
  >
    <rect
      v-for="(m, i) in strip.columns"
      :key="i"
      class="month"
      :class="{ other: i % 2 === 1 }"
      :x="m.x"
      y="0"
      :width="m.width"
      :height="ROW"
    />
    <rect
      v-if="drawn.band"
      class="suits"
      :x="drawn.from"
      :width="Math.max(0, drawn.to - drawn.from)"
      :y="drawn.band.y"
      :height="drawn.band.height"
    />
    <line v-if="drawn.limit !== null" class="limit" x1="0" :x2="width" :y1="drawn.limit" :y2="drawn.limit" />
    <line v-if="strip.today !== null" class="today" :x1="strip.today" :x2="strip.today" y1="0" :y2="ROW" />
    <polyline class="expected" :points="drawn.line" />
    <rect
      v-for="(p, i) in drawn.read"
      :key="`r${i}`"
      class="read"
      :x="p.x - 4"
      :y="p.y - 4"
      width="8"
      height="8"
      :transform="`rotate(45 ${p.x} ${p.y})`"
    />
    <text x="5" y="15" class="name">{{ course.name }}</text>
    <text
      v-for="w in drawn.words"
      :key="w.text + w.x"
      :x="w.x"
      :y="w.y"
      :text-anchor="w.isLeft ? 'end' : 'start'"
    >
      {{ w.text }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  border-top: 1px solid var(--rule);
}
.month {
  fill: var(--sheet);
}
.month.other {
  fill: color-mix(in srgb, var(--sheet) 45%, var(--paper));
}
.suits {
  fill: var(--leaf-wash);
}
.limit {
  stroke: var(--alarm);
  stroke-dasharray: 5 4;
}
.today {
  stroke: var(--clay);
  stroke-width: 2;
}
.expected {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
.read {
  fill: var(--clay);
  stroke: var(--sheet);
}
text {
  font: 13.5px var(--text);
  fill: var(--ink);
  font-variant-numeric: tabular-nums;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 2.5px;
}
.name {
  font-weight: 600;
}
</style>
