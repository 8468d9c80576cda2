<script setup lang="ts">
/** What a container weighs from "water now" to "just drained", as a spring balance shows it. */
import { liftScale as words } from '@/text/components/water'
import { weightText, type UnitSystem } from '@/text/base/units'

const { light, heavy, units } = defineProps<{
  /** When it is time to water, and when it has just drained, kg, the container included. */
  light: number
  heavy: number
  units: UnitSystem
}>()
const MARKS = 11
</script>

<template>
  <figure :aria-label="words.says(weightText(light, units), weightText(heavy, units))">
    <svg viewBox="0 0 320 78" role="img" aria-hidden="true">
      <rect class="dry" x="8" y="30" width="76" height="16" />
      <rect class="wet" x="84" y="30" width="228" height="16" />
      <path
        v-for="i in MARKS"
        :key="i"
        :d="`M${8 + ((i - 1) * 304) / (MARKS - 1)} 46v${i % 5 === 1 ? 9 : 5}`"
      />
      <path class="needle" d="M84 24v28M312 24v28" />
      <text class="figure" x="84" y="18" text-anchor="middle">{{ weightText(light, units) }}</text>
      <text class="figure" x="312" y="18" text-anchor="end">{{ weightText(heavy, units) }}</text>
      <text x="84" y="72" text-anchor="middle">{{ words.waterNow }}</text>
      <text x="312" y="72" text-anchor="end">{{ words.justDrained }}</text>
    </svg>
  </figure>
</template>

<style scoped>
figure {
  margin: 4px 0 10px;
  max-width: 420px;
}
svg {
  display: block;
  width: 100%;
}
.dry {
  fill: var(--straw-wash);
}
.wet {
  fill: var(--water);
}
path {
  fill: none;
  stroke: var(--ink-soft);
}
.needle {
  stroke: var(--ink);
  stroke-width: 2.5;
}
text {
  font: 14px var(--text);
  fill: var(--ink-soft);
}
.figure {
  font: 600 17px var(--slab);
  fill: var(--ink);
}
</style>
