<script setup lang="ts">
/** Sizes written on the drawing of a bed. */
import type { BedSpec } from '@/model/garden/schemas'
import { baseWords } from '@/text/bed/vessels'
import { lengthText, type UnitSystem } from '@/text/base/units'
import type { SectionLayout } from '@/painting/section'
import { insideMarks, widthText, type Levels } from './bedSection'

const { spec, levels, layout, units } = defineProps<{
  spec: BedSpec
  levels: Levels
  layout: SectionLayout
  units: UnitSystem
}>()
const middle = (z: number) => (layout.left(z) + layout.right(z)) / 2
</script>

<template>
  <g aria-hidden="true">
    <path :d="`M${layout.left(0) - 26} ${layout.y(0)}h10m-5 0V${layout.y(levels.total)}m-5 0h10`" />
    <text
      :transform="`translate(${layout.left(0) - 32} ${(layout.y(0) + layout.y(levels.total)) / 2}) rotate(-90)`"
      text-anchor="middle"
    >
      {{ lengthText(levels.total, units) }}
    </text>
    <text :x="middle(levels.total)" :y="layout.y(levels.total) - 14" text-anchor="middle">
      {{ widthText(spec, layout, units) }}
    </text>
    <text
      v-for="mark in insideMarks(levels, units)"
      :key="mark.id"
      class="inside"
      :x="middle(mark.across)"
      :y="layout.y(mark.at) + mark.shift"
      text-anchor="middle"
    >
      {{ mark.text }}
    </text>
    <text :x="middle(0)" :y="layout.y(0) + 30" text-anchor="middle">
      {{ baseWords(spec) }}
    </text>
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke: var(--ink-soft);
}
text {
  font-family: var(--text);
  font-size: 13.5px;
  fill: var(--ink-soft);
}
.inside {
  fill: var(--ink);
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 3px;
}
</style>
