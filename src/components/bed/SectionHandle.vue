<script setup lang="ts">
/** A line in a section that can be moved: dragged by its grip, or with the arrow keys. Heights in cm above the base. */
import { computed, ref } from 'vue'

const { label, value, low, high, valueText, x1, x2, y, toHeight, step } = defineProps<{
  label: string
  /** Where it is, and between what it may be moved. */
  value: number
  low: number
  high: number
  valueText: string
  /** The line, px. */
  x1: number
  x2: number
  y: number
  /** Height of a place on the screen, from its client y. */
  toHeight: (clientY: number) => number
  /** One press of an arrow. */
  step: number
}>()
const emit = defineEmits<{ move: [height: number] }>()

const dragging = ref(false)
const held = computed(() => Math.min(high, Math.max(low, value)))
/** To the step, so that a drag gives figures a tape measure can show. */
function moveTo(height: number) {
  const kept = Math.min(high, Math.max(low, Math.round(height / step) * step))
  if (kept !== value) emit('move', kept)
}
function onDown(event: PointerEvent) {
  dragging.value = true
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
const onMove = (event: PointerEvent) => {
  if (dragging.value) moveTo(toHeight(event.clientY))
}
const JUMP: Record<string, (at: number) => number> = {
  ArrowUp: (at) => at + step,
  ArrowRight: (at) => at + step,
  ArrowDown: (at) => at - step,
  ArrowLeft: (at) => at - step,
  PageUp: (at) => at + 10 * step,
  PageDown: (at) => at - 10 * step,
  Home: () => low,
  End: () => high,
}
function onKey(event: KeyboardEvent) {
  const jump = JUMP[event.key]
  if (!jump) return
  event.preventDefault()
  moveTo(jump(value))
}
</script>

<template>
  <g
    class="handle"
    :class="{ dragging }"
    role="slider"
    tabindex="0"
    :aria-label="label"
    aria-orientation="vertical"
    :aria-valuenow="held"
    :aria-valuemin="low"
    :aria-valuemax="high"
    :aria-valuetext="valueText"
    @pointerdown="onDown"
    @pointermove="onMove"
    @pointerup="dragging = false"
    @pointercancel="dragging = false"
    @keydown="onKey"
  >
    <line class="reach" :x1="x1" :x2="x2 + 26" :y1="y" :y2="y" />
    <line class="line" :x1="x1" :x2="x2" :y1="y" :y2="y" />
    <g :transform="`translate(${x2 + 14} ${y})`">
      <circle r="12" />
      <path d="M-4 -2.5l4 -4l4 4M-4 2.5l4 4l4 -4" />
    </g>
  </g>
</template>

<style scoped>
.handle {
  cursor: ns-resize;
  touch-action: none;
  outline: none;
}
.reach {
  stroke: transparent;
  stroke-width: 30;
}
.line {
  stroke: var(--clay);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
circle {
  fill: var(--sheet);
  stroke: var(--clay);
  stroke-width: 2;
}
path {
  fill: none;
  stroke: var(--clay);
  stroke-width: 2;
}
.handle:hover circle,
.handle.dragging circle {
  fill: var(--clay-wash);
}
.handle:focus-visible circle {
  stroke: var(--focus);
  stroke-width: 4;
}
</style>
