<script setup lang="ts">
/**
 * Two tabs changed the same thing: say so to the later one and let it choose. Whichever loses is put aside, not lost.
 */
import { conflictNotice as words } from '@/text/components/app'
import Button from 'primevue/button'
import type { Conflict } from '@/storage/saver'
import { recordName } from '@/text/base/recordNames'
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
      <strong>{{ words.wasInAnotherTab(what(c), c.theirs ? 'changed' : 'removed') }}</strong>
      {{ words.whileYouWereChangingIt }}
    </span>
    <Button :label="words.keepMine" size="small" @click="emit('settle', c, true)" />
    <Button :label="words.takeTheOther" size="small" outlined @click="emit('settle', c, false)" />
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
