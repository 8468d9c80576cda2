<script setup lang="ts">
/**
 * One thing to do, ticked when it is done: its name, how it is done, and what stands at the end of the line. Of
 * several, only the next says how until the others are asked; on paper all do.
 */
import Checkbox from 'primevue/checkbox'
import { useId } from 'vue'

const {
  title,
  text,
  disabled = false,
  brief = false,
} = defineProps<{
  title: string
  text: string
  disabled?: boolean
  /** How it is done is left out on the screen. */
  brief?: boolean
}>()
const done = defineModel<boolean>('done', { required: true })
const id = useId()
</script>

<template>
  <li class="tick" :class="{ done }">
    <Checkbox v-model="done" :input-id="id" binary :disabled="disabled" />
    <label :for="id"
      ><strong>{{ title }}</strong><span :class="{ 'print-only': brief }">{{ text }}</span></label
    >
    <slot />
  </li>
</template>

<style scoped>
.tick {
  display: flex;
  gap: 14px;
  align-items: flex-start;
  padding: 10px 4px;
  border-bottom: 1px solid var(--rule);
}
label {
  flex: 1;
  display: flex;
  flex-direction: column;
  cursor: pointer;
}
.done :is(label, :slotted(*)) {
  color: var(--ink-soft);
}
.done strong::after {
  content: ' ✓';
  color: var(--leaf);
}
@media (max-width: 900px) {
  .tick {
    flex-wrap: wrap;
  }
}
</style>
