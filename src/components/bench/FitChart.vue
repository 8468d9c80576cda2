<script setup lang="ts">
/**
 * Cost against fit: every recipe a point with its place in the list, said in words what lies where; a point is picked
 * by hand or with the arrow keys.
 */
import { common } from '@/text/base/common'
import { fitChart as words } from '@/text/components/bench'
import { useElementSize } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, nextTick, ref } from 'vue'
import type { Candidate, Found } from '@/core/finder'
import { chanceText, fitSentence, foundText, fitText } from '@/text/mix/finder'
import { rateFigure, rateUnit, type UnitSystem } from '@/text/base/units'
import { FIT_ROOM, fitPoints } from './fitPoints'

const { found, units } = defineProps<{
  /** Recipes found, best first. */
  found: readonly Found[]
  units: UnitSystem
}>()
const emit = defineEmits<{ open: [candidate: Candidate] }>()

const TALL = 210
/** px a finger needs about a point. */
const REACH = 16
const host = ref<HTMLElement | null>(null)
const { width } = useElementSize(host)
const points = computed(() => fitPoints(found, { width: width.value, height: TALL }))
const front = computed(() => points.value.filter((p) => p.isFront))
const steps = computed(() =>
  front.value.map((p, i) => (i === 0 ? `M${p.x} ${p.y}` : `H${p.x}V${p.y}`)).join(''),
)
const key = ref<string | null>(null)
const chosen = computed(
  () =>
    points.value.find((p) => p.key === key.value) ??
    points.value.find((p) => p.rank === 1) ??
    points.value[0],
)
/** Drawn last, so that no other point hides them: the best, then the one picked. */
const over = computed(() => [
  ...front.value.filter((p) => p !== chosen.value),
  ...(chosen.value ? [chosen.value] : []),
])
const ends = computed(() =>
  [points.value[0], points.value.at(-1)].map((p) => (p ? rateFigure(p.cost, units) : '')),
)
const MOVES: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }
async function press(event: KeyboardEvent, at: number) {
  const by = MOVES[event.key]
  const next = by === undefined ? undefined : points.value[at + by]
  if (by !== undefined) event.preventDefault()
  if (!next) return
  key.value = next.key
  const group = (event.currentTarget as Element).parentElement!
  await nextTick()
  group.querySelector<SVGElement>('[aria-checked=true]')?.focus()
}
</script>

<template>
  <figure v-if="points.length > 1 || width < 1" class="fit">
    <p>{{ fitSentence(points, units) }}</p>
    <div ref="host" class="host">
      <svg
        v-if="width > 100"
        :width="width"
        :height="TALL"
        role="radiogroup"
        :aria-label="words.costAgainstFitTheTable"
      >
        <line
          class="base"
          :x1="FIT_ROOM.left - 16"
          :x2="width"
          :y1="TALL - FIT_ROOM.bottom"
          :y2="TALL - FIT_ROOM.bottom"
        />
        <g aria-hidden="true" class="words">
          <text x="0" y="14">{{ words.surer }}</text>
          <text x="0" :y="TALL - 4">{{ words.cheaper(ends[0]!) }}</text>
          <text :x="width" :y="TALL - 4" text-anchor="end">
            {{ words.dearer(ends[1]!, rateUnit(units)) }}
          </text>
        </g>
        <path class="front" :d="steps" aria-hidden="true" />
        <g
          v-for="(p, i) in points"
          :key="p.key"
          class="point"
          :class="{ best: p.isFront, chosen: p === chosen }"
          role="radio"
          :aria-checked="p === chosen"
          :aria-label="words.point(p.rank, foundText(p.found.candidate), rateFigure(p.cost, units))"
          :tabindex="p === chosen ? 0 : -1"
          @click="key = p.key"
          @keydown="press($event, i)"
        >
          <circle class="reach" :cx="p.x" :cy="p.y" :r="REACH" />
          <circle class="dot" :cx="p.x" :cy="p.y" :r="p.isFront ? 10 : 6" />
        </g>
        <!-- What is best, and what is picked, lies over its neighbours. -->
        <g
          v-for="p in over"
          :key="`over ${p.key}`"
          class="point over"
          :class="{ best: p.isFront, chosen: p === chosen }"
          aria-hidden="true"
        >
          <circle class="dot" :cx="p.x" :cy="p.y" :r="p.isFront ? 10 : 6" />
          <text v-if="p.isFront" :x="p.x" :y="p.y + 4.5" text-anchor="middle">{{ p.rank }}</text>
        </g>
      </svg>
    </div>
    <figcaption v-if="chosen" class="row picked" aria-live="polite">
      <span>
        <strong>{{ chosen.rank }}. {{ foundText(chosen.found.candidate) }}</strong>
        <small>{{
          words.costs(
            rateFigure(chosen.cost, units),
            rateUnit(units),
            fitText(chosen.found.candidate),
            chanceText(chosen.found.look?.chance ?? 0),
          )
        }}</small>
      </span>
      <Button
        :label="common.onTheBench"
        size="small"
        outlined
        @click="emit('open', chosen.found.candidate)"
      />
    </figcaption>
  </figure>
</template>

<style scoped>
.fit {
  margin: 0 0 14px;
}
.host {
  position: relative;
  height: 210px;
}
svg {
  position: absolute;
  inset: 0;
}
.over {
  pointer-events: none;
}
.base {
  stroke: var(--rule);
  stroke-width: 2;
}
.words text {
  font: 13.5px var(--text);
  fill: var(--ink-soft);
}
.front {
  fill: none;
  stroke: var(--clay);
  stroke-width: 2;
}
.point {
  cursor: pointer;
}
.reach {
  fill: transparent;
}
.dot {
  fill: var(--sheet);
  stroke: var(--leaf);
  stroke-width: 2;
}
.best .dot {
  stroke: var(--clay);
}
.chosen .dot {
  fill: var(--clay);
  stroke: var(--clay);
}
.point text {
  font: 600 13px var(--text);
  fill: var(--clay);
}
.chosen text {
  fill: var(--sheet);
}
.point:focus-visible {
  outline: none;
}
.point:focus-visible .dot {
  stroke: var(--focus);
  stroke-width: 4;
}
.picked {
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  flex-wrap: nowrap;
}
.picked small {
  display: block;
}
</style>
