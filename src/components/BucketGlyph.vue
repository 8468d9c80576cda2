<script setup lang="ts">
/** A bucket filled to a fraction: the measure as the hand will make it. */
import { computed, useId } from 'vue'
const { twelfths, tint } = defineProps<{ twelfths: number; tint: string }>()
const level = computed(() => 26 - (Math.min(12, twelfths) / 12) * 22)
/** The wall at a height leans in by 3 over 22. */
const wall = (y: number) => 3 + (3 * (y - 4)) / 22
/** What is nearly as white as the paper shows its grains. */
const PALE = 200
const isPale = computed(() => {
  const channels = /^#(..)(..)(..)$/.exec(tint)?.slice(1) ?? []
  return channels.length > 0 && channels.every((c) => parseInt(c, 16) > PALE)
})
const GRAINS = [
  ...[8, 13, 18, 22].map((x) => [x, 8] as const),
  ...[10, 15, 20].map((x) => [x, 13] as const),
  ...[8, 13, 18].map((x) => [x, 18] as const),
  ...[10, 15, 19].map((x) => [x, 23] as const),
]
const clip = useId()
</script>

<template>
  <svg class="bucket" viewBox="0 0 28 30" aria-hidden="true">
    <clipPath :id="clip"><path d="M3 4h22l-3 22H6z" /></clipPath>
    <rect :clip-path="`url(#${clip})`" x="0" :y="level" width="28" height="30" :fill="tint" />
    <g v-if="isPale" :clip-path="`url(#${clip})`" class="grains">
      <template v-for="[x, y] in GRAINS" :key="`${x} ${y}`">
        <circle v-if="y > level" :cx="x" :cy="y" r="0.9" />
      </template>
    </g>
    <path v-if="twelfths < 12" class="mark" :d="`M${wall(level)} ${level}H${28 - wall(level)}`" />
    <path class="edge" d="M3 4l3 22h16l3-22M1.500 4h25" />
  </svg>
</template>

<style scoped>
.bucket {
  width: 28px;
  height: 30px;
  flex: none;
}
.grains {
  fill: var(--ink-soft);
}
.mark {
  stroke: var(--clay);
  stroke-width: 2;
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
