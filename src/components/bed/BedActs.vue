<script setup lang="ts">
/** What can be done with a bed, and what it was filled with. */
import { common } from '@/text/base/common'
import { bedActs as words } from '@/text/components/bed'
import Button from 'primevue/button'
import type { RouteLocationRaw } from 'vue-router'

const { notes, history } = defineProps<{
  notes: readonly string[]
  /** Jobs that filled it, newest first. */
  history: readonly { id: string; title: string; day: string; to: RouteLocationRaw }[]
}>()
const emit = defineEmits<{ fill: []; copy: []; remove: [] }>()
</script>

<template>
  <div class="acts">
    <Button :label="words.fillIt" icon="pi pi-arrow-right" icon-pos="right" @click="emit('fill')" />
    <Button :label="common.copy" icon="pi pi-copy" text @click="emit('copy')" />
    <Button :label="common.remove" icon="pi pi-trash" text severity="danger" @click="emit('remove')" />
    <p v-for="note in notes" :key="note" class="note">{{ note }}</p>
    <template v-if="history.length">
      <h3>{{ words.whatItWasFilledWith }}</h3>
      <ul class="plain">
        <li v-for="job in history" :key="job.id">
          <RouterLink :to="job.to">{{ job.title }}</RouterLink>
          <small>{{ job.day }}</small>
        </li>
      </ul>
    </template>
    <slot />
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-content: flex-start;
}
.acts > :is(ul, p, h3),
.acts > :slotted(*) {
  flex-basis: 100%;
}
li small {
  margin-left: 8px;
}
.note {
  font-size: 0.92rem;
  padding-left: 10px;
  border-left: 4px solid var(--straw);
}
</style>
