<script setup lang="ts">
/** A chart, and the table behind it that says the same. */
import { common } from '@/text/base/common'

const { height, axis } = defineProps<{
  height: number
  /** What its values are, written above it. */
  axis: string
}>()
</script>

<template>
  <p class="axis">{{ axis }}</p>
  <div class="chart" :style="{ height: `${height}px` }"><slot /></div>
  <details>
    <summary>{{ common.theSameAsATable }}</summary>
    <div class="scroll"><slot name="table" /></div>
  </details>
</template>

<style scoped>
.axis {
  margin: 0 0 4px;
  font-size: 0.92rem;
  color: var(--ink-soft);
}
.chart {
  position: relative;
}
summary {
  cursor: pointer;
  color: var(--clay);
  padding: 6px 0;
}
.scroll {
  max-height: 320px;
  overflow: auto;
}
</style>
