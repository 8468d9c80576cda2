<script setup lang="ts">
/** A chart, and the table behind it that says the same. */
import { common } from '@/text/base/common'

const { height } = defineProps<{ height: number }>()
</script>

<template>
  <div class="chart" :style="{ height: `${height}px` }"><slot /></div>
  <details>
    <summary>{{ common.theSameAsATable }}</summary>
    <div class="scroll"><slot name="table" /></div>
  </details>
</template>

<style scoped>
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
