<script setup lang="ts">
/** Values of two or more on one scale, each a dot, with the mean and its likely range marked; a limit where one is. */
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { dotScale, EDGE, type DotRow } from './dotRows'

const {
  rows,
  label,
  zero = true,
  limit = null,
} = defineProps<{
  rows: readonly DotRow[]
  /** The whole picture in a sentence. */
  label: string
  /** The scale begins at zero. */
  zero?: boolean
  /** A value that is marked across all rows, with its name. */
  limit?: { at: number; text: string } | null
}>()

/** The widest it is drawn, and a row of it, px; words keep their size on a narrow page. */
const WIDEST = 560
const ROW = 52
const host = ref<HTMLElement | null>(null)
const { width } = useElementSize(host)
const wide = computed(() => Math.min(WIDEST, width.value))
const at = computed(() => dotScale(rows, wide.value, { zero, also: limit ? [limit.at] : [] }))
const tall = computed(() => rows.length * ROW + (limit ? 18 : 0))
/** Words by their mark, held within the picture. */
const textAt = (x: number) => (x > wide.value * 0.72 ? 'end' : x < wide.value * 0.28 ? 'start' : 'middle')
</script>

<template>
  <div ref="host">
    <svg v-if="wide > 0" :width="wide" :height="tall" class="dots" role="img" :aria-label="label">
      <g v-if="limit" class="limit">
        <line :x1="at(limit.at)" :x2="at(limit.at)" y1="0" :y2="tall - 16" />
        <text :x="at(limit.at)" :y="tall - 3" :text-anchor="textAt(at(limit.at))">{{ limit.text }}</text>
      </g>
      <g
        v-for="(r, i) in rows"
        :key="r.id"
        :class="{ other: r.isOther }"
        :transform="`translate(0 ${i * ROW})`"
      >
        <text x="0" y="15" class="name">{{ r.name }}</text>
        <line class="scale" :x1="EDGE" :x2="wide - EDGE" y1="36" y2="36" />
        <line v-if="r.range" class="range" :x1="at(r.range.low)" :x2="at(r.range.high)" y1="36" y2="36" />
        <circle v-for="(d, k) in r.dots" :key="k" :cx="at(d)" cy="36" r="5.5" />
        <line class="mean" :x1="at(r.at)" :x2="at(r.at)" y1="26" y2="46" />
        <text :x="at(r.at)" y="20" :text-anchor="textAt(at(r.at))" class="value">{{ r.text }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.dots {
  display: block;
}
text {
  font: 13.5px var(--text);
  fill: var(--ink-soft);
}
.value {
  font: 600 15px var(--slab);
  fill: var(--ink);
}
.name {
  font-weight: 600;
}
.scale {
  stroke: var(--rule);
  stroke-width: 2;
}
.range {
  stroke: var(--edge);
  stroke-width: 7;
  stroke-linecap: round;
  opacity: 0.55;
}
.mean {
  stroke: var(--ink);
  stroke-width: 3;
}
circle {
  fill: var(--ink);
  fill-opacity: 0.45;
  stroke: var(--ink);
}
.other circle {
  fill: var(--clay);
  stroke: var(--clay);
}
.other .mean {
  stroke: var(--clay);
}
.limit line {
  stroke: var(--alarm);
  stroke-width: 2;
  stroke-dasharray: 5 4;
}
.limit text {
  fill: var(--alarm);
}
</style>
