<script setup lang="ts">
/** Where the garden is, asked in a line where it first matters; the time zone gives a guess that says so. */
import { placeAsk as words } from '@/text/components/place'
import Button from 'primevue/button'
import type { RouteLocationRaw } from 'vue-router'

const { guess, to } = defineProps<{
  /** What the climate is called that is probably near; null where there is no guess. */
  guess: string | null
  /** Where another is chosen. */
  to: RouteLocationRaw
}>()
const emit = defineEmits<{ take: [] }>()
</script>

<template>
  <p class="ask">
    {{ words.howOften }}
    <template v-if="guess">
      {{ words.fromYourTimeZone }} <strong>{{ guess }}</strong>.
      <span class="row">
        <Button :label="words.use(guess)" size="small" outlined @click="emit('take')" />
        <RouterLink :to="to">{{ words.another }}</RouterLink>
      </span>
    </template>
    <RouterLink v-else :to="to">{{ words.choose }}</RouterLink>
  </p>
</template>

<style scoped>
.ask {
  font-size: 0.92rem;
  margin: 8px 0 0;
  padding-left: 10px;
  border-left: 4px solid var(--straw);
}
.row {
  gap: 14px;
  margin-top: 4px;
}
</style>
