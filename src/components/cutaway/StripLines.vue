<script setup lang="ts">
/** The strip beside a section, with air written at three depths. */
import { vTextContent } from '@/composables/page/vTextContent'
import type { marksOf, Strip } from '@/painting/strip'

const { strip, marks, narrow } = defineProps<{
  strip: Strip
  marks: ReturnType<typeof marksOf>
  narrow: boolean
}>()
</script>

<template>
  <g>
    <rect class="air" :x="strip.x" :y="strip.top" :width="strip.wide" :height="strip.bottom - strip.top" />
    <polygon class="water" :points="strip.wet" />
    <polygon class="solids" :points="strip.solids" />
    <rect class="edge" :x="strip.x" :y="strip.top" :width="strip.wide" :height="strip.bottom - strip.top" />
  </g>
  <g v-for="mark in marks" :key="mark.words" class="mark">
    <path :d="`M${strip.x + strip.wide} ${mark.y}h${narrow ? 6 : 10}`" />
    <text
      v-text-content="`${mark.air} air`"
      class="big"
      :x="strip.x + strip.wide + (narrow ? 9 : 15)"
      :y="mark.y + 2"
    />
    <text :x="strip.x + strip.wide + (narrow ? 9 : 15)" :y="mark.y + 19">{{ mark.words }}</text>
  </g>
</template>

<style scoped>
text {
  font-family: var(--text);
  font-size: 13.5px;
  fill: var(--ink-soft);
}
path {
  stroke: var(--ink);
  stroke-width: 1.2;
}
.big {
  font-family: var(--slab);
  font-weight: 600;
  font-size: 18px;
  fill: var(--ink);
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1;
}
.solids {
  fill: #6b5136;
}
.water {
  fill: var(--water);
}
.air {
  fill: var(--air);
}
@media (max-width: 480px) {
  .big {
    font-size: 15px;
  }
  text:not(.big) {
    font-size: 13px;
  }
}
</style>
