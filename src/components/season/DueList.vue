<script setup lang="ts">
/** What the season asks for, by date: ticked when it is done. */
import { dueList as words } from '@/text/components/season'
import TickLine from '../frame/TickLine.vue'

const { rows, locked } = defineProps<{
  rows: readonly { id: string; title: string; text: string; when: string; done: boolean; late: boolean }[]
  /** Nothing can be ticked yet. */
  locked: boolean
}>()
const emit = defineEmits<{ tick: [id: string, done: boolean] }>()
</script>

<template>
  <ol class="plain">
    <TickLine
      v-for="d in rows"
      :key="d.id"
      :title="d.title"
      :text="d.text"
      :done="d.done"
      :disabled="locked"
      @update:done="emit('tick', d.id, $event)"
    >
      <span class="when"
        >{{ d.when }}<small v-if="d.late">{{ words.pastItsDay }}</small></span
      >
    </TickLine>
  </ol>
</template>

<style scoped>
.when {
  text-align: right;
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
.when small {
  display: block;
  color: var(--alarm);
}
@media (max-width: 900px) {
  .when {
    width: 100%;
    padding-left: 38px;
    text-align: left;
  }
  .when small {
    display: inline;
    margin-left: 8px;
  }
}
</style>
