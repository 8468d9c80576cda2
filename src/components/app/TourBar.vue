<script setup lang="ts">
/** Where a walk through the demo is, and what to look at here; it can be left at any time. */
import { TOUR, tourBar as words } from '@/text/components/tour'
import Button from 'primevue/button'

const { at } = defineProps<{ at: number }>()
const emit = defineEmits<{ go: [at: number]; leave: [] }>()
</script>

<template>
  <aside class="tour no-print" role="status" :aria-label="words.tour">
    <strong class="figure">{{ words.step(at + 1, TOUR.length) }}</strong>
    <span class="says">{{ TOUR[at]!.says }}</span>
    <Button
      v-if="at < TOUR.length - 1"
      :label="words.next"
      icon="pi pi-arrow-right"
      icon-pos="right"
      size="small"
      @click="emit('go', at + 1)"
    />
    <Button
      :label="at < TOUR.length - 1 ? words.leave : words.finish"
      size="small"
      outlined
      @click="emit('leave')"
    />
  </aside>
</template>

<style scoped>
.tour {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
  padding: 8px 24px;
  background: var(--clay-wash);
  border-bottom: 1px solid var(--clay);
}
.says {
  flex: 1;
  min-width: 15rem;
}
@media (max-width: 760px) {
  .tour {
    padding: 8px 14px;
  }
}
</style>
