<script setup lang="ts">
/** What is drawn of a container in section whatever is in it: walls, holes, ground, and how deep the mix is. */
import { common } from '@/text/base/common'
import { sectionLines as words } from '@/text/components/cutaway'
import { computed } from 'vue'
import type { Container } from '@/core/geometry'
import { lengthText, type UnitSystem } from '@/text/base/units'
import { bandLine, tornEdge, wallLine, type Band, type SectionLayout } from '@/painting/section'

const {
  layout,
  container,
  bare,
  floor = 0,
  bands = [],
  cloth = false,
  units,
} = defineProps<{
  layout: SectionLayout
  container: Container
  /** Nothing is in it yet. */
  bare: boolean
  /** It drains through its walls. */
  cloth?: boolean
  /** Where the mix begins, cm above the base. */
  floor?: number
  /** Layers below the mix and what lies on it, each with its name. */
  bands?: readonly Band[]
  units: UnitSystem
}>()

const ruler = computed(
  () => Math.min(layout.left(0), layout.left(layout.mixHeight), layout.left(layout.mixHeight / 2)) - 20,
)

const outline = computed(() => wallLine(layout, layout.height))
const tear = computed(() => tornEdge(layout, layout.height))

const holes = computed(() => {
  if (container.base.kind === 'drainHoles' && !cloth)
    return [0.25, 0.5, 0.75].map((t) => ({
      x: layout.left(0) + (layout.right(0) - layout.left(0)) * t,
      y: layout.y(0),
    }))
  if (container.base.kind === 'sideHoles') {
    const z = container.base.height
    const sides = [{ x: layout.left(z), y: layout.y(z) }]
    if (!layout.cutShort) sides.push({ x: layout.right(z), y: layout.y(z) })
    return sides
  }
  return []
})
const reservoir = computed(() =>
  container.base.kind === 'sideHoles'
    ? {
        y: layout.y(container.base.height),
        x1: layout.left(container.base.height),
        x2: layout.right(container.base.height),
      }
    : null,
)
</script>

<template>
  <g>
    <g v-if="container.base.kind === 'onSoil'" class="ground">
      <line :x1="layout.left(0) - 30" :x2="layout.right(0) + 30" :y1="layout.y(0)" :y2="layout.y(0)" />
      <path
        v-for="i in 9"
        :key="i"
        :d="`M${layout.left(0) - 30 + ((layout.right(0) - layout.left(0) + 60) * (i - 0.5)) / 9} ${layout.y(0)} l-10 12`"
      />
    </g>
    <rect
      v-if="bare"
      class="empty"
      :x="layout.left(layout.mixHeight)"
      :y="layout.y(layout.mixHeight)"
      :width="Math.max(0, layout.right(layout.mixHeight) - layout.left(layout.mixHeight))"
      height="2"
    />
    <g v-if="reservoir" class="reservoir">
      <line :x1="reservoir.x1" :x2="reservoir.x2" :y1="reservoir.y" :y2="reservoir.y" />
    </g>
    <g v-for="band in bands" :key="`${band.name} ${band.from}`" class="band">
      <polygon :points="bandLine(layout, band)" />
      <text
        :x="(layout.left(band.from) + layout.right(band.from)) / 2"
        :y="layout.y((band.from + band.to) / 2) + 4.5"
        text-anchor="middle"
      >
        {{ band.name }}
      </text>
    </g>
    <text v-if="reservoir" class="water" :x="reservoir.x1 + 8" :y="reservoir.y + 16">
      {{ words.openToTheReservoir }}
    </text>
    <polyline class="section-wall" :points="outline" />
    <polyline v-if="tear" class="section-tear" :points="tear" />
    <circle v-for="(hole, i) in holes" :key="i" class="hole" :cx="hole.x" :cy="hole.y" r="4.5" />

    <g class="dimension">
      <path
        :d="`M${ruler - 7} ${layout.y(floor)}h14M${ruler - 7} ${layout.y(layout.mixHeight)}h14M${ruler} ${layout.y(floor)}V${layout.y(layout.mixHeight)}`"
      />
      <text
        :transform="`translate(${ruler - 8} ${(layout.y(floor) + layout.y(layout.mixHeight)) / 2}) rotate(-90)`"
        text-anchor="middle"
      >
        {{ common.ofMix(lengthText(layout.mixHeight - floor, units)) }}
      </text>
      <text
        v-if="layout.cutShort"
        :x="layout.left(0)"
        :y="layout.y(0) + (container.base.kind === 'onSoil' ? 36 : 22)"
      >
        {{ words.drawnInPartGoesOn }}
      </text>
      <text
        v-if="container.base.kind === 'onSoil' && !layout.cutShort"
        :x="layout.left(0)"
        :y="layout.y(0) + 36"
      >
        {{ words.openToTheSoil }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.hole {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.ground line {
  stroke: var(--ink);
  stroke-width: 2;
}
.ground path {
  stroke: var(--ink-soft);
  stroke-width: 1.5;
}
.empty {
  fill: var(--edge);
}
.reservoir line {
  stroke: var(--water-ink);
  stroke-width: 2;
  stroke-dasharray: 7 5;
}
.band polygon {
  fill: var(--paper);
  fill-opacity: 0.86;
  stroke: var(--ink-soft);
  stroke-dasharray: 5 4;
}
.band text {
  fill: var(--ink);
  font-weight: 600;
}
.dimension path {
  fill: none;
  stroke: var(--ink-soft);
}
text {
  font-family: var(--text);
  font-size: 13.5px;
  fill: var(--ink-soft);
}
/* Over the grains: with a rim of paper, or it cannot be read. */
text.water {
  fill: var(--water-ink);
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
</style>
