<script setup lang="ts">
/** A label for a pot: what is in it in a few lines, and a code that opens its record or carries its recipe. */
import { computed } from 'vue'
import type { LabelText } from '@/text/mix/label'
import { qrSquares } from './qr'

const { label, code } = defineProps<{ label: LabelText; code: string }>()
const qr = computed(() => qrSquares(code))
/** Room for the code, and where it stands, in the units of the drawing. */
const CODE = 116
</script>

<template>
  <svg
    class="label"
    viewBox="0 0 340 136"
    xmlns="http://www.w3.org/2000/svg"
    role="img"
    :aria-label="[label.title, ...label.lines].join('. ')"
  >
    <rect x="0.5" y="0.5" width="339" height="135" rx="6" fill="#fff" stroke="#999" />
    <g fill="#111" font-family="Arial, Helvetica, sans-serif">
      <text x="12" y="26" font-size="17" font-weight="700">{{ label.title }}</text>
      <text v-for="(line, i) in label.lines" :key="i" x="12" :y="44 + 16 * i" font-size="12">
        {{ line }}
      </text>
    </g>
    <svg
      v-if="qr"
      :x="340 - CODE - 10"
      y="10"
      :width="CODE"
      :height="CODE"
      :viewBox="`0 0 ${qr.size} ${qr.size}`"
      shape-rendering="crispEdges"
    >
      <path :d="qr.path" fill="#111" />
    </svg>
  </svg>
</template>

<style scoped>
.label {
  display: block;
  width: 100%;
}
</style>
