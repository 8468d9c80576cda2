<script setup lang="ts">
/** The first thing to know of the mix, in one sentence: worked out when the hand rests. */
import { computed } from 'vue'
import { useBenchContext } from '@/composables/bench/useBenchContext'
import { useDelayedByFrame } from '@/composables/page/useDelayedByFrame'
import { verdictText } from '@/text/mix/topics'

const { later, crop } = useBenchContext()
const stale = useDelayedByFrame(later.stale)
const verdict = computed(() => {
  const rested = later.value.value
  return rested && verdictText(rested.verdict, crop.value?.name ?? null)
})
</script>

<template>
  <p class="bench-verdict" :class="{ stale }" role="status">{{ verdict }}</p>
</template>

<style scoped>
/* It keeps its line while nothing is said, so that nothing below it moves. */
.bench-verdict {
  grid-column: 1 / -1;
  margin: 0;
  min-height: 1.5em;
  font: 600 1.125rem/1.5 var(--slab);
}
/* Shown only where it lasts, and never so faint that it cannot be read. */
.stale {
  opacity: 0.75;
  transition: opacity 0s 0.25s;
}
@media (max-width: 760px) {
  .bench-verdict {
    order: -1;
  }
}
</style>
