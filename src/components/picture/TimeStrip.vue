<script setup lang="ts">
/**
 * One line of time: months across, those too cold or too hot marked, tasks as bars with their names, today marked. What
 * can be moved is dragged to another day, or moved with the arrow keys; what goes with it lies below on the same days.
 */
import { timeStripWords as words } from '@/text/components/frame'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { MonthSuits } from '@/core/season'
import { shortDayText } from '@/text/base/dates'
import { MONTHS } from '@/text/base/months'
import { SUITS_MARKS, SUITS_NAMES } from '@/text/season/season'
import { useMoving } from './useMoving'
import { timeStrip, type TimeItem } from './timeStrip'

const {
  items,
  today,
  suits = null,
  rain = null,
  label,
  least = 0,
} = defineProps<{
  items: readonly TimeItem[]
  today: string
  /** How each month suits the crop outside; null where the crop or the place is not known. */
  suits?: readonly MonthSuits[] | null
  /** Rain of each month, mm, and how it is written; drawn at the foot of the months. */
  rain?: { mm: readonly number[]; write: (mm: number) => string } | null
  /** The whole picture in a sentence. */
  label: string
  /** Days it shows at the least. */
  least?: number
}>()
/** A task put on another ISO day. */
const emit = defineEmits<{ move: [id: string, on: string] }>()

/** A lane, what lies over and under them, and the rain of the wettest month, px. */
const LANE = 24
const TOP = 24
const RAIN = 22
const host = ref<HTMLElement | null>(null)
const { width } = useElementSize(host)
const strip = computed(() => timeStrip(items, today, width.value, least))
/** Rain is drawn by whole months. */
const hasRain = computed(() => rain !== null && strip.value.columns.some((c) => c.day === null))
const height = computed(() => TOP + strip.value.lanes * LANE + 4 + (hasRain.value ? RAIN : 0))
const shown = computed(() => (hasRain.value ? strip.value.columns.map((c) => rain!.mm[c.month]!) : []))
const rainTall = (month: number) => (rain!.mm[month]! / Math.max(1, ...shown.value)) * RAIN
const moving = useMoving(strip, (id, on) => emit('move', id, on))
const isAnyMovable = computed(() => strip.value.items.some((i) => i.movable))
const signOf = (month: number) => {
  const is = suits?.[month]
  return is === 'frost' || is === 'hot' ? ` ${SUITS_MARKS[is]}` : ''
}
/** "Apr ✻", "A" where there is little room; of days "30", the first of a month with its name. */
function headOf({ month, width, day }: (typeof strip.value.columns)[number], i: number): string {
  const name = MONTHS[month]!.slice(0, 3)
  if (day !== null) return i === 0 || day === 1 ? `${day} ${name}` : width > 22 ? String(day) : ''
  return `${width > 50 ? name : width > 15 ? name.slice(0, 1) : ''}${width > 34 ? signOf(month) : ''}`
}
const legend = computed(() =>
  (['frost', 'hot'] as const)
    .filter((is) => strip.value.columns.some((c) => c.day === null && suits?.[c.month] === is))
    .map((is) => `${SUITS_MARKS[is]} ${SUITS_NAMES[is]}`)
    .join(' · '),
)
</script>

<template>
  <div class="strip">
    <figure :aria-label="label">
      <div ref="host" class="host" :style="{ height: `${height}px` }">
        <svg
          v-if="strip.lanes"
          :width="width"
          :height="height"
          :role="isAnyMovable ? 'group' : 'img'"
          :aria-label="label"
        >
          <g v-for="(m, i) in strip.columns" :key="i" aria-hidden="true">
            <rect
              class="month"
              :class="{
                other: i % 2 === 1,
                cold: suits?.[m.month] === 'frost',
                hot: suits?.[m.month] === 'hot',
              }"
              :x="m.x"
              y="0"
              :width="m.width"
              :height="height"
            />
            <rect
              v-if="hasRain"
              class="rain"
              :x="m.x + 3"
              :y="height - rainTall(m.month)"
              :width="Math.max(0, m.width - 6)"
              :height="rainTall(m.month)"
            />
            <text class="name" :x="m.x + 5" y="16">
              {{ headOf(m, i) }}
            </text>
          </g>
          <g v-if="strip.today !== null" class="today" aria-hidden="true">
            <line :x1="strip.today" :x2="strip.today" y1="0" :y2="height" />
            <circle :cx="strip.today" cy="4" r="4" />
          </g>
          <g
            v-for="i in strip.items"
            :key="i.id"
            class="item"
            :class="[
              i.state,
              { harvest: i.isHarvest, movable: i.movable, held: moving.held.value?.id === i.id },
            ]"
            :transform="moving.held.value?.id === i.id ? `translate(${moving.held.value.by} 0)` : undefined"
            v-bind="i.movable ? moving.handle(i) : {}"
            v-on="i.movable ? moving.listeners(i) : {}"
          >
            <rect
              v-if="i.movable"
              class="grip"
              :x="i.x - 4"
              :y="TOP + i.lane * LANE"
              :width="i.width + 8"
              :height="LANE - 1"
            />
            <rect class="bar" :x="i.x" :y="TOP + i.lane * LANE + 5" :width="i.width" height="13" rx="3" />
            <text :x="i.textX" :y="TOP + i.lane * LANE + 16" :text-anchor="i.isLeft ? 'end' : 'start'">
              {{ moving.held.value?.id === i.id ? shortDayText(moving.held.value.on) : i.title
              }}{{ i.state === 'done' ? ' ✓' : '' }}
            </text>
          </g>
        </svg>
      </div>
      <figcaption v-if="legend || hasRain || strip.today !== null || isAnyMovable">
        <span v-if="strip.today !== null"><i />{{ words.today }}</span>
        <span v-if="legend">{{ legend }}</span>
        <span v-if="hasRain">{{
          words.rain(rain!.write(Math.min(...shown)), rain!.write(Math.max(...shown)))
        }}</span>
        <span v-if="isAnyMovable">{{ words.dragToMove }}</span>
      </figcaption>
    </figure>
    <slot name="below" :strip="strip" :width="width" />
  </div>
</template>

<style scoped>
.strip {
  margin: 0 0 -12px;
  min-width: 0;
}
figure {
  margin: 0;
}
.host {
  position: relative;
}
svg {
  position: absolute;
  inset: 0;
}
.month {
  fill: var(--sheet);
}
.rain {
  fill: var(--water);
  opacity: 0.45;
}
.month.other {
  fill: color-mix(in srgb, var(--sheet) 45%, var(--paper));
}
.month.hot {
  fill: var(--straw-wash);
}
.month.cold {
  fill: color-mix(in srgb, var(--edge) 22%, var(--sheet));
}
text {
  font: 13.5px var(--text);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--sheet);
  stroke-width: 2.5px;
}
.name {
  fill: var(--ink-soft);
  stroke: none;
}
.item .bar {
  fill: var(--clay-wash);
  stroke: var(--clay);
  stroke-width: 1.5;
}
.movable {
  cursor: ew-resize;
  touch-action: pan-y;
}
.movable:focus-visible {
  outline: none;
}
.movable:focus-visible .grip {
  stroke: var(--focus);
  stroke-width: 3;
}
.item .grip {
  fill: transparent;
  stroke: none;
}
.held .grip {
  fill: var(--clay-wash);
}
.item.done .bar {
  fill: var(--edge);
  stroke: var(--edge);
}
.item.done text {
  fill: var(--ink-soft);
}
.item.late .bar {
  fill: var(--alarm-wash);
  stroke: var(--alarm);
}
.item.harvest:not(.done) .bar {
  fill: var(--leaf-wash);
  stroke: var(--leaf);
}
.today line {
  stroke: var(--clay);
  stroke-width: 2;
}
.today circle {
  fill: var(--clay);
}
figcaption {
  margin-top: 2px;
  font-size: 0.9rem;
  color: var(--ink-soft);
}
figcaption span + span::before {
  content: ' · ';
}
figcaption i {
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 5px;
  border-radius: 50%;
  background: var(--clay);
}
</style>
