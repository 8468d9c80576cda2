<script setup lang="ts">
/** A bucket filled to a fraction: the measure as the hand will make it. */
import { computed, useId } from 'vue'
const { twelfths, tint } = defineProps<{ twelfths: number; tint: string }>()
const level = computed(() => 26 - (Math.min(12, twelfths) / 12) * 22)
const clip = useId()
</script>

<template>
  <svg class="bucket" viewBox="0 0 28 30" aria-hidden="true">
    <clipPath :id="clip"><path d="M3 4h22l-3 22H6z" /></clipPath>
    <rect :clip-path="`url(#${clip})`" x="0" :y="level" width="28" height="30" :fill="tint" />
    <path class="edge" d="M3 4l3 22h16l3-22M1.500 4h25" />
  </svg>
</template>

<style scoped>
.bucket {
  width: 28px;
  height: 30px;
  flex: none;
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
