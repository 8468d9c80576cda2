<script setup lang="ts">
/** The tub of a batch, to scale: what is in, what comes next in clay, what is to come as an outline. */
import { tubPicture as words } from '@/text/components/make'
import { computed } from 'vue'
import { sectionWidth } from '@/core/geometry'
import type { BatchCard } from '@/model/make/batchCard'
import { measuredName, measureOfLine } from '@/text/make/measures'
import { lowerFirst } from '@/text/base/counted'
import { volumeText, type UnitSystem } from '@/text/base/units'
import { spread } from '../picture/spread'
import { bandCorners } from '../picture/bandCorners'
import { tubBands, tubShape } from './tub'

const { card, ticks, vessel, units } = defineProps<{
  card: BatchCard
  ticks: ReadonlySet<string>
  /** Litres of the tub, brim-full. */
  vessel: number
  units: UnitSystem
}>()

/** The picture, the tub in it, and a line of words, px. */
const WIDE = 380
const TALL = 176
const TUB = { width: 176, height: 152 }
const LINE = 18
const shape = computed(() => tubShape(vessel))
const at = computed(() => {
  const [tall, wide] = [heightOf(), sectionWidth(shape.value, heightOf())]
  const scale = Math.min(TUB.width / wide, TUB.height / tall)
  return { middle: TUB.width / 2 + 4, scale, y: (cm: number) => TALL - 12 - cm * scale }
})
const heightOf = () => ('height' in shape.value ? shape.value.height : 0)
const bands = computed(() => tubBands(card, ticks, shape.value))
const wall = computed(() => {
  const tall = heightOf()
  const [a, b, c, d] = bandCorners(shape.value, { from: 0, to: tall }, at.value).split(' ')
  return [b, a, d, c].join(' ')
})
/** Names beside the bands, apart from each other; joined by a line. */
const names = computed(() => {
  const middles = bands.value.map(({ from, to }) => at.value.y((from + to) / 2))
  const places = spread(middles, { gap: LINE, top: 12, bottom: TALL - 6 })
  return bands.value.map((band, i) => ({
    band,
    y: places[i]!,
    path: `M${at.value.middle + (sectionWidth(shape.value, (band.from + band.to) / 2) * at.value.scale) / 2 - 4} ${middles[i]!}L196 ${places[i]! - 4}`,
    text: measuredName(band.line.what),
  }))
})
const litres = (state: 'in' | 'all') =>
  bands.value.reduce((sum, b) => sum + (state === 'all' || b.state === 'in' ? b.line.litres : 0), 0)
const next = computed(() => bands.value.find((b) => b.state === 'next'))
const label = computed(() =>
  words.says(
    volumeText(litres('in'), units),
    volumeText(litres('all'), units),
    next.value
      ? `${measureOfLine(next.value.line, units)} of ${lowerFirst(measuredName(next.value.line.what))}`
      : '',
  ),
)
</script>

<template>
  <figure class="tub">
    <svg :viewBox="`0 0 ${WIDE} ${TALL}`" role="img" :aria-label="label">
      <g v-for="{ band, y, path, text } in names" :key="band.line.id" :class="band.state">
        <polygon
          :points="bandCorners(shape, band, at)"
          :style="band.state === 'in' ? { fill: band.tint } : undefined"
        />
        <path class="lead" :d="path" />
        <text x="200" :y="y">{{ text }}{{ band.state === 'in' ? ' ✓' : '' }}</text>
      </g>
      <polyline class="wall" :points="wall" />
    </svg>
    <figcaption>{{ label }}</figcaption>
  </figure>
</template>

<style scoped>
.tub {
  margin: 0 0 14px;
}
svg {
  width: 100%;
  max-width: 400px;
}
polygon {
  stroke: none;
}
.in polygon {
  stroke: var(--ink-soft);
  stroke-width: 0.7;
}
.next polygon {
  fill: var(--clay-wash);
  stroke: var(--clay);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
.out polygon {
  fill: none;
  stroke: var(--edge);
  stroke-dasharray: 3 4;
}
.lead {
  fill: none;
  stroke: var(--edge);
  stroke-width: 1;
}
text {
  font: 13.5px var(--text);
  fill: var(--ink-soft);
}
.next text {
  fill: var(--clay);
  font-weight: 600;
}
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4.5;
  stroke-linecap: round;
  stroke-linejoin: round;
}
figcaption {
  font-size: 0.92rem;
  color: var(--ink-soft);
}
</style>
