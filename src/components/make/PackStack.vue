<script setup lang="ts">
/**
 * What is bought of one material against what is needed, to one scale for the whole list: what is there already, then
 * each pack; what is left over is hatched.
 */
import { computed, useId } from 'vue'
import type { PackStack } from '@/model/make/packStack'

const { stack, scale, tint, label } = defineProps<{
  stack: PackStack
  /** Litres across the whole width. */
  scale: number
  tint: string
  label: string
}>()

const TALL = 20
const across = (litres: number) => (100 * litres) / scale
/** From the left: where each begins and ends, in per cent of the width. */
const boxes = computed(() => {
  let at = 0
  return [...(stack.there > 0 ? [stack.there] : []), ...stack.packs].map((litres, i) => {
    const box = { x: across(at), width: across(litres), isThere: i === 0 && stack.there > 0 }
    at += litres
    return box
  })
})
const hatch = useId()
</script>

<template>
  <svg class="stack" width="100%" :height="TALL + 4" role="img" :aria-label="label">
    <pattern :id="hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <rect width="6" height="6" />
      <path d="M0 0v6" />
    </pattern>
    <svg
      v-for="b in boxes"
      :key="b.x"
      :x="`${b.x}%`"
      :width="`${b.width}%`"
      y="2"
      :height="TALL"
      class="box"
      :class="{ there: b.isThere }"
    >
      <rect x="1" y="0" width="100%" :height="TALL" :fill="tint" />
    </svg>
    <rect
      v-if="stack.left > 0"
      class="left"
      :x="`${across(stack.need)}%`"
      y="2"
      :width="`${across(stack.left)}%`"
      :height="TALL"
      :fill="`url(#${hatch})`"
    />
    <rect
      v-for="b in boxes"
      :key="`edge ${b.x}`"
      class="edge"
      :class="{ there: b.isThere }"
      :x="`${b.x}%`"
      y="2"
      :width="`${b.width}%`"
      :height="TALL"
    />
    <line class="need" :x1="`${across(stack.need)}%`" :x2="`${across(stack.need)}%`" y1="0" :y2="TALL + 4" />
  </svg>
</template>

<style scoped>
.stack {
  display: block;
  max-width: 340px;
  overflow: visible;
}
.left {
  stroke: none;
}
pattern rect {
  fill: var(--sheet);
  opacity: 0.6;
}
pattern path {
  stroke: var(--ink-soft);
  stroke-width: 2.5;
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.edge.there {
  stroke-dasharray: 4 3;
}
.need {
  stroke: var(--clay);
  stroke-width: 2.5;
}
</style>
