<script setup lang="ts">
/**
 * A container in section, to one scale both ways, with what lies in it from one height to another and words beside it:
 * the grammar of docs/design.md. What is in is drawn with its grain, what comes next in clay, what is still to come as
 * an outline.
 */
import { useElementSize } from '@vueuse/core'
import { computed, ref, useId } from 'vue'
import { containerOf } from '@/model/garden/garden'
import type { BedSpec } from '@/model/garden/schemas'
import { shapeHeight } from '@/core/geometry'
import { layoutSection, tornEdge, wallLine, widestOf, WIDEST } from '@/painting/section'
import { bandPoints } from '../bed/bedSection'
import { spread } from './spread'
import type { SectionBand, SectionMark } from './sectionParts'

const {
  spec,
  bands,
  marks,
  ball = null,
  label,
  most = 420,
} = defineProps<{
  spec: BedSpec
  /** From the back to the front, cm above the base. */
  bands: readonly SectionBand[]
  /** Words beside it, each at its height. */
  marks: readonly SectionMark[]
  /** A root ball whose top lies so high, cm, and so large, litres. */
  ball?: { top: number; litres: number; isIn: boolean } | null
  /** The whole picture in a sentence. */
  label: string
  /** Height it takes at the most, px. */
  most?: number
}>()

/** Two lines of words, px. */
const GAP = 40
/** Above and below it, px. */
const MARGIN = 44
/** Room for words beside it, px. */
const BESIDE = 156
const host = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(host)
/** As high as the container wants at the width there is, and no higher than `most`. */
const tall = computed(() => {
  const { shape } = spec.vessel
  const drawn = Math.max(80, width.value - BESIDE - 22)
  const ratio = Math.max(1 / WIDEST, shapeHeight(shape) / widestOf(shape))
  return Math.round(Math.min(most, drawn * ratio + MARGIN))
})
const layout = computed(() =>
  width.value > 120 && height.value > 80
    ? layoutSection(containerOf(spec.vessel), {
        width: width.value,
        height: height.value,
        left: 8,
        right: BESIDE + 14,
        top: 20,
        bottom: 20,
      })
    : null,
)
const isOnGround = computed(() => ['onSoil', 'onPaving'].includes(spec.vessel.base.kind))
const holes = computed(() => {
  const l = layout.value
  const { base } = spec.vessel
  if (!l || spec.wall === 'fabric') return []
  if (base.kind === 'drainHoles')
    return [0.25, 0.5, 0.75].map((t) => ({ x: l.left(0) + (l.right(0) - l.left(0)) * t, y: l.y(0) }))
  return base.kind === 'sideHoles' ? [{ x: l.left(base.height), y: l.y(base.height) }] : []
})
const tear = computed(() => layout.value && tornEdge(layout.value, layout.value.height))
const words = computed(() => {
  const l = layout.value
  if (!l) return []
  const heights = marks.map((m) => l.y(m.at))
  const places = spread(heights, { gap: GAP, top: 14, bottom: height.value - 20 })
  const x = width.value - BESIDE
  return marks.map((mark, i) => ({ ...mark, x, y: places[i]!, from: l.right(mark.at), level: heights[i]! }))
})
/** A ball as wide as high, no wider than the container. */
const roots = computed(() => {
  const l = layout.value
  if (!l || !ball) return null
  const across = Math.min(
    Math.cbrt((ball.litres * 1000 * 4) / Math.PI),
    ((l.right(ball.top) - l.left(ball.top)) / l.scale) * 0.9,
  )
  const side = across * l.scale
  const middle = (l.left(ball.top) + l.right(ball.top)) / 2
  return { x: middle - side / 2, y: l.y(ball.top), side, middle }
})
const grains = useId()
const SPECKS = [
  [3, 4, 1.2],
  [11, 2, 0.8],
  [17, 7, 1.4],
  [7, 11, 0.9],
  [14, 14, 1.1],
  [2, 17, 0.8],
  [20, 18, 1],
] as const
</script>

<template>
  <div ref="host" class="section-picture" :style="{ height: `${tall}px` }">
    <svg v-if="layout" :width="width" :height="height" role="img" :aria-label="label">
      <pattern :id="grains" width="22" height="21" patternUnits="userSpaceOnUse">
        <circle v-for="[x, y, r] in SPECKS" :key="`${x} ${y}`" :cx="x" :cy="y" :r="r" />
      </pattern>
      <line
        v-if="isOnGround"
        class="ground"
        :x1="layout.left(0) - 8"
        :x2="layout.right(0) + 12"
        :y1="layout.y(0)"
        :y2="layout.y(0)"
      />
      <template v-for="b in bands" :key="b.id">
        <polygon :class="[b.look, b.state]" :points="bandPoints(layout, b.from, b.to)" />
        <polygon
          v-if="b.state === 'in' && b.look !== 'water' && b.look !== 'lost'"
          :fill="`url(#${grains})`"
          :points="bandPoints(layout, b.from, b.to)"
        />
      </template>
      <g v-if="roots" class="ball" :class="{ in: ball?.isIn }">
        <path
          :d="`M${roots.x} ${roots.y}h${roots.side}l${-0.12 * roots.side} ${roots.side}h${-0.76 * roots.side}z`"
        />
        <path class="plant" :d="`M${roots.middle} ${roots.y}v-16m0 8l-9-7m9 3l9-7`" />
      </g>
      <polyline class="section-wall" :points="wallLine(layout, layout.height)" />
      <polyline v-if="tear" class="section-tear" :points="tear" />
      <circle v-for="h in holes" :key="h.x" class="hole" r="4.5" :cx="h.x" :cy="h.y" />
      <g v-for="w in words" :key="w.id" class="word" :class="w.state" aria-hidden="true">
        <path :d="`M${w.from + 5} ${w.level}L${w.x - 26} ${w.level}L${w.x - 6} ${w.y}`" />
        <text :x="w.x" :y="w.y - 2" class="figure">{{ w.title }}</text>
        <text :x="w.x" :y="w.y + 14">{{ w.text }}</text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.section-picture {
  position: relative;
}
svg {
  position: absolute;
  inset: 0;
  overflow: visible;
}
pattern circle {
  fill: var(--ink);
  opacity: 0.42;
}
polygon {
  stroke: none;
}
.mix.in {
  fill: var(--lies-mix);
}
.old.in {
  fill: var(--lies-old);
}
.gravel.in {
  fill: var(--lies-gravel);
}
:is(.bark, .cover, .logs).in {
  fill: var(--lies-bark);
}
.material.in {
  fill: var(--lies-material);
}
.cloth.in {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
  stroke-dasharray: 3 3;
}
.water.in {
  fill: var(--water);
  opacity: 0.55;
}
.lost.in {
  fill: none;
  stroke: var(--ink-soft);
  stroke-dasharray: 4 4;
}
polygon.next {
  fill: var(--clay-wash);
  stroke: var(--clay);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
polygon.out {
  fill: none;
  stroke: var(--edge);
  stroke-dasharray: 3 4;
}
.ball path {
  fill: none;
  stroke: var(--edge);
  stroke-width: 1.5;
  stroke-dasharray: 3 4;
}
.ball.in path {
  fill: color-mix(in srgb, #4a3524 88%, var(--sheet));
  stroke: var(--ink);
  stroke-dasharray: none;
}
.ball .plant,
.ball.in .plant {
  fill: none;
  stroke: var(--leaf);
  stroke-width: 3;
  stroke-linecap: round;
  stroke-dasharray: none;
}
.ball:not(.in) .plant {
  opacity: 0.5;
}
.hole {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.ground {
  stroke: var(--ink);
  stroke-width: 2;
}
.word path {
  fill: none;
  stroke: var(--edge);
}
.word text {
  font: 13.5px var(--text);
  fill: var(--ink-soft);
}
.word .figure {
  font: 600 15.5px var(--slab);
  fill: var(--ink);
}
.word.next .figure {
  fill: var(--clay);
}
.word.next path {
  stroke: var(--clay);
  stroke-width: 2;
}
</style>
