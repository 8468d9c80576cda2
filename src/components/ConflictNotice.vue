<script setup lang="ts">
/**
 * Two tabs changed the same thing: say so to the later one and let it choose. Whichever loses is put aside, not lost.
 */
import Button from 'primevue/button'
import type { Conflict } from '@/storage/saver'
const { conflicts } = defineProps<{ conflicts: readonly Conflict[] }>()
const emit = defineEmits<{ settle: [conflict: Conflict, mineWins: boolean] }>()
const what = (c: Conflict) =>
  c.key.startsWith('job/') ? 'This job' : c.key.startsWith('record/') ? 'This record' : 'A setting'
</script>

<template>
  <div v-for="c in conflicts" :key="c.key" class="conflict" role="alert">
    <span>
      <strong>{{ what(c) }} was {{ c.theirs ? 'changed' : 'removed' }} in another tab</strong> while you were
      changing it here. The version you do not choose is kept under Settings.
    </span>
    <Button label="Keep mine" size="small" @click="emit('settle', c, true)" />
    <Button label="Take the other" size="small" outlined @click="emit('settle', c, false)" />
  </div>
</template>

<style scoped>
.conflict {
  display: flex;
  gap: 12px;
  align-items: center;
  flex-wrap: wrap;
  background: var(--straw-wash);
  border-bottom: 2px solid var(--straw);
  padding: 10px 20px;
}
</style>
