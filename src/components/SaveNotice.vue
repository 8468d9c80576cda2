<script setup lang="ts">
/** How saving goes, in a word. */
import { saveNotice as says } from '@/text/components/app'
import { computed } from 'vue'
import type { SaveStatus } from '@/storage/saver'
const { status } = defineProps<{ status: SaveStatus }>()
const words = computed(
  () =>
    ({ saved: 'Saved', saving: 'Saving…', waiting: says.notSavedYet, failing: says.notSaved })[status.state],
)
</script>

<template>
  <span class="notice" :class="status.state" role="status">{{ words }}</span>
</template>

<style scoped>
.notice {
  font-size: 0.9rem;
  color: var(--ink-soft);
  min-width: 4.4em;
  text-align: center;
}
.waiting,
.failing {
  color: var(--alarm);
  font-weight: 700;
}
</style>
