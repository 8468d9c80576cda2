<script setup lang="ts">
/** Count-downs that run, and those that are over. */
import { timerList as words } from '@/text/components/make'
import Button from 'primevue/button'
import type { Timers } from '@/composables/make/useTimers'
import { leftText } from '@/text/make/timers'

const { timers } = defineProps<{ timers: Timers }>()
</script>

<template>
  <section v-if="timers.running.value.length" class="timers no-print" :aria-label="words.timers">
    <div v-for="t in timers.running.value" :key="t.id" class="one" :class="{ over: t.left <= 0 }">
      <strong class="figure" :role="t.left <= 0 ? 'alert' : 'timer'">{{ leftText(t.left) }}</strong>
      <span>{{ t.label }}</span>
      <Button icon="pi pi-times" text :aria-label="words.stopTheTimer(t.label)" @click="timers.stop(t.id)" />
    </div>
  </section>
</template>

<style scoped>
.one {
  display: flex;
  align-items: center;
  gap: 12px;
  border-bottom: 1px solid var(--rule);
}
.one span {
  flex: 1;
}
.figure {
  font-size: 1.3rem;
  min-width: 5.5rem;
}
.over .figure {
  color: var(--alarm);
}
.one .p-button {
  min-width: 48px;
  min-height: 48px;
}
</style>
