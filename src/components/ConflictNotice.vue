<script setup lang="ts">
/**
 * Two tabs changed the same thing: say so to the later one and let it choose. Whichever loses is put aside, not lost.
 */
import Button from 'primevue/button'
import type { Conflict } from '@/storage/saver'
import { recordName } from '@/text/commands'
const { conflicts } = defineProps<{ conflicts: readonly Conflict[] }>()
const emit = defineEmits<{ settle: [conflict: Conflict, mineWins: boolean] }>()
const what = (c: Conflict) => {
  const data = c.mine ?? c.theirs
  const name = data ? recordName(c.key, data) : 'a record'
  return name[0]!.toUpperCase() + name.slice(1)
}
</script>

<template>
  <div v-for="c in conflicts" :key="c.key" class="conflict" role="alert">
    <span>
      <strong>{{ what(c) }} was {{ c.theirs ? 'changed' : 'removed' }} in another tab</strong> while you were
      changing it here. What you did here is not saved yet; it lies under Settings, set aside. Choose: the
      version you do not take is kept there.
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
