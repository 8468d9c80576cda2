<script setup lang="ts">
/** A station of a job: two columns, or one; what keeps it from being worked out, with the way back, above them. */
import type { Sentence } from '@/text/base/problems.en'
import ProblemBox from './ProblemBox.vue'

const { problem = null, columns = '' } = defineProps<{
  problem?: Sentence | null
  /** Columns on a desk, as a grid has them; a phone has one. */
  columns?: string
}>()
</script>

<template>
  <div class="page station" :class="{ wide: columns }" :style="{ '--columns': columns }">
    <ProblemBox v-if="problem" :sentence="problem"><slot name="back" /></ProblemBox>
    <slot />
  </div>
</template>

<style scoped>
.wide {
  display: grid;
  grid-template-columns: var(--columns);
  gap: 32px;
  align-items: start;
}
.wide > :deep(.problem) {
  grid-column: 1 / -1;
}
@media (max-width: 900px) {
  .wide {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
}
</style>
