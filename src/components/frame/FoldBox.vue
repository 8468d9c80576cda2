<script setup lang="ts">
/** Depth on demand: a heading that says what is in it, what is in it once it is opened, remembered on this device. */
import { computed } from 'vue'
import { useFold } from '@/composables/page/useFold'

const {
  id,
  says = '',
  needed = false,
} = defineProps<{
  /** What it is remembered by. */
  id: string
  title: string
  /** What is in it, or its answer, in a few words. */
  says?: string | undefined
  /** Something in it has to be seen. */
  needed?: boolean
}>()
const kept = useFold(id)
const open = computed(() => needed || kept.value)
</script>

<template>
  <details class="fold" :open="open" @toggle="needed || (kept = ($event.target as HTMLDetailsElement).open)">
    <summary>
      <strong>{{ title }}</strong>{{ ' ' }}
      <span v-if="says" class="soft">{{ says }}</span>
    </summary>
    <div v-if="open" class="inside"><slot /></div>
  </details>
</template>

<style scoped>
.fold {
  border-bottom: 1px solid var(--rule);
}
summary {
  cursor: pointer;
  min-height: 44px;
  padding: 10px 0;
  color: var(--clay);
}
summary .soft {
  font-size: 0.92rem;
}
.inside {
  padding-bottom: 12px;
}
</style>
