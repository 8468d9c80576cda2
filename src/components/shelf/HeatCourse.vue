<script setup lang="ts">
/** Heat of a heap by days, read by read, with the line at which weed seed dies; turns are marked. */
import { heapView as words } from '@/text/views/heapView'
import { differenceInCalendarDays, parseISO } from 'date-fns'
import { computed } from 'vue'
import { HEAP_LIMITS } from '@/core/heap'
import type { HeapRecord } from '@/model/garden/schemas'
import { temperatureText, type UnitSystem } from '@/text/base/units'

const { builtOn, readings, units } = defineProps<{
  builtOn: string
  readings: HeapRecord['readings']
  units: UnitSystem
}>()
/** The picture and the room round the line, px. */
const WIDE = 320
const TALL = 130
const [SIDE, TOP, FOOT] = [44, 12, 24]
const MOST = 80
const points = computed(() =>
  readings
    .map((r) => ({ ...r, day: differenceInCalendarDays(parseISO(r.on), parseISO(builtOn)) }))
    .sort((a, b) => a.day - b.day),
)
const last = computed(() => Math.max(7, points.value.at(-1)?.day ?? 7))
const x = (day: number) => SIDE + (Math.max(0, day) / last.value) * (WIDE - SIDE - 10)
const y = (c: number) => TOP + (1 - Math.min(MOST, Math.max(0, c)) / MOST) * (TALL - TOP - FOOT)
const line = computed(() =>
  points.value.map((p) => `${x(p.day).toFixed(1)},${y(p.temperature).toFixed(1)}`).join(' '),
)
const hot = HEAP_LIMITS.hot.value
</script>

<template>
  <svg v-if="points.length" :viewBox="`0 0 ${WIDE} ${TALL}`" role="img" :aria-label="words.course">
    <line class="hot" :x1="SIDE" :x2="WIDE - 10" :y1="y(hot)" :y2="y(hot)" />
    <text :x="SIDE - 4" :y="y(hot) + 5" text-anchor="end">{{ temperatureText(hot, units) }}</text>
    <polyline :points="line" />
    <circle
      v-for="p in points"
      :key="p.day"
      :class="{ turned: p.turned }"
      :cx="x(p.day)"
      :cy="y(p.temperature)"
      r="4"
    />
    <text :x="SIDE" :y="TALL - 6">{{ words.builtOn }}</text>
    <text :x="WIDE - 10" :y="TALL - 6" text-anchor="end">{{ last }}</text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  max-width: 460px;
}
polyline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.5;
}
.hot {
  stroke: var(--clay);
  stroke-width: 1.5;
  stroke-dasharray: 6 4;
}
circle {
  fill: var(--ink);
}
.turned {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2.5;
}
text {
  font: 13.5px var(--text);
  fill: var(--ink-soft);
}
</style>
