<script setup lang="ts">
/** What a container weighs from "water now" to "just drained", as a spring balance shows it. */
import { liftScale as words } from '@/text/components/water'
import { computed } from 'vue'
import { QUANTITIES, weightText, type UnitSystem } from '@/text/base/units'
import { liftScale } from './liftScale'

const { light, heavy, units } = defineProps<{
  /** When it is time to water, and when it has just drained, kg, the container included. */
  light: number
  heavy: number
  units: UnitSystem
}>()
/** The scale on the drawing, px: from zero to the heavier weight. */
const [LEFT, LONG] = [8, 304]
const inUnit = (kg: number) => kg * QUANTITIES.weight[units].factor
const scale = computed(() => liftScale(inUnit(light), inUnit(heavy)))
const at = (share: number) => LEFT + share * LONG
/** Room for the words of the heavier weight, px: those of the lighter end before them. */
const APART = 92
const x = computed(() => Math.min(at(scale.value.light), at(1) - APART))
</script>

<template>
  <figure :aria-label="words.says(weightText(light, units), weightText(heavy, units))">
    <svg viewBox="0 0 320 78" aria-hidden="true">
      <rect class="dry" :x="LEFT" y="30" :width="scale.light * LONG" height="16" />
      <rect class="wet" :x="at(scale.light)" y="30" :width="(1 - scale.light) * LONG" height="16" />
      <path v-for="m in scale.marks" :key="m" :d="`M${at(m)} 46v7`" />
      <path class="needle" :d="`M${at(scale.light)} 24v28M${at(1)} 24v28`" />
      <text class="figure" :x="x" y="18" text-anchor="end">{{ weightText(light, units) }}</text>
      <text class="figure" :x="at(1)" y="18" text-anchor="end">{{ weightText(heavy, units) }}</text>
      <text :x="x" y="72" text-anchor="end">{{ words.waterNow }}</text>
      <text :x="at(1)" y="72" text-anchor="end">{{ words.justDrained }}</text>
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
